#!/usr/bin/env python3
"""Draws the two demo plans and writes what is true of them.

    tools/make_demo_plans.py      (needs numpy and Pillow)

Writes data/demos/fenlark-plan.png (clean) and data/demos/fenlark-faulty-plan.png (with faults put in on purpose), their
wing files with readings, and tests/files/*-truth.json. The program never sees this script or the truth. The
model and its plan are invented. Pixels: x right, y down, a pixel's middle at its whole number.
"""
import base64, hashlib, json, math, pathlib, random
import numpy as np
from PIL import Image, ImageDraw, ImageFont

ROOT = pathlib.Path(__file__).resolve().parent.parent
DPI = 150
PX = DPI / 25.4
BAY, BAYS, ROOT_CHORD, TIP_CHORD, SETBACK, SPAR = 62.5, 12, 240.0, 162.0, 22.0, 0.30
SPAN = BAY * BAYS

class Sheet:
    """Ink on paper. Drawn in true millimetres (y up); the print's stretch and the scanner's turn come after."""

    def __init__(self, width, height, turn_deg, stretch):
        self.h = height
        self.turn, self.stretch = math.radians(turn_deg), stretch
        self.size = (round(width * PX), round(height * PX))
        self.grey = np.full((self.size[1], self.size[0]), 255.0, np.float32)

    def pixel(self, p):
        x, y = p[0] * self.stretch[0], (self.h - p[1]) * self.stretch[1]
        cx, cy = self.size[0] / 2 / PX, self.size[1] / 2 / PX
        c, s = math.cos(self.turn), math.sin(self.turn)
        dx, dy = x - cx, y - cy
        return ((cx + c * dx - s * dy) * PX, (cy + s * dx + c * dy) * PX)

    def line(self, a, b, width=0.35):
        (ax, ay), (bx, by) = self.pixel(a), self.pixel(b)
        half = width * PX / 2
        x0, x1 = int(max(0, min(ax, bx) - 4)), int(min(self.size[0] - 1, max(ax, bx) + 4))
        y0, y1 = int(max(0, min(ay, by) - 4)), int(min(self.size[1] - 1, max(ay, by) + 4))

        # Long slanting lines in pieces, so that their box stays small.
        pieces = max(1, int((min(abs(bx - ax), abs(by - ay))) / 40))
        for k in range(pieces):
            t0, t1 = k / pieces, (k + 1) / pieces
            px0, px1 = sorted((ax + (bx - ax) * t0, ax + (bx - ax) * t1))
            py0, py1 = sorted((ay + (by - ay) * t0, ay + (by - ay) * t1))
            i0, i1 = max(x0, int(px0) - 4), min(x1, int(px1) + 5)
            j0, j1 = max(y0, int(py0) - 4), min(y1, int(py1) + 5)
            if i1 < i0 or j1 < j0:
                continue
            xs, ys = np.meshgrid(np.arange(i0, i1 + 1), np.arange(j0, j1 + 1))
            l2 = (bx - ax) ** 2 + (by - ay) ** 2
            t = np.clip(((xs - ax) * (bx - ax) + (ys - ay) * (by - ay)) / l2, 0, 1)
            d = np.hypot(xs - ax - t * (bx - ax), ys - ay - t * (by - ay))
            ink = 255 * (1 - np.clip(half + 0.5 - d, 0, 1))
            part = self.grey[j0:j1 + 1, i0:i1 + 1]
            np.minimum(part, ink, out=part)

    def chain(self, points, width=0.35):
        for a, b in zip(points, points[1:]):
            self.line(a, b, width)

    def cross(self, p, arm=3.0):
        self.line((p[0] - arm, p[1]), (p[0] + arm, p[1]), 0.3)
        self.line((p[0], p[1] - arm), (p[0], p[1] + arm), 0.3)

    def text(self, p, words, size=4.0):
        font = ImageFont.truetype(str(ROOT / "data/fonts/Inter-Regular.otf"), round(size * PX))
        layer = Image.new("L", (round(size * PX * 0.7 * len(words)) + 8, round(size * PX * 1.6)), 255)
        ImageDraw.Draw(layer).text((2, 2), words, fill=40, font=font)
        x, y = (round(v) for v in self.pixel(p))
        a = np.asarray(layer, np.float32)
        x, y = max(0, min(x, self.size[0] - a.shape[1])), max(0, min(y, self.size[1] - a.shape[0]))
        part = self.grey[y:y + a.shape[0], x:x + a.shape[1]]
        np.minimum(part, a, out=part)

    def save(self, path):
        image = Image.fromarray(np.round(self.grey / 17).astype(np.uint8), "P")  # 16 greys: a small file
        image.putpalette([v for i in range(16) for v in (17 * i,) * 3])
        image.save(path, optimize=True, bits=4, dpi=(DPI, DPI))

def naca(m, p, t, x):
    yt = 5 * t * (0.2969 * math.sqrt(x) - 0.1260 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - 0.1015 * x ** 4)
    yc = m / p ** 2 * (2 * p * x - x * x) if x < p else m / (1 - p) ** 2 * (1 - 2 * p + 2 * p * x - x * x)
    return yc + yt, yc - yt  # laid off upright: close enough for a drawing, and exactly what the truth says

def outline(chord, count=160):
    xs = [(i / count) ** 2 for i in range(count + 1)]
    up = [(x * chord, naca(0.02, 0.4, 0.12, x)[0] * chord) for x in xs]
    low = [(x * chord, naca(0.02, 0.4, 0.12, x)[1] * chord) for x in xs]
    return up, low

def half_wing(sheet, origin, side, truth, faults, hand):
    """A half wing as a plan shows it, seen from above; origin is the root leading edge, side +1 to the right."""
    ox, oy = origin
    stations = [BAY * i for i in range(BAYS + 1)]
    for rib, by in faults.get("moved", {}).items():
        stations[rib - 1] += by
    tip_chord = TIP_CHORD + (faults.get("left_tip", 0) if hand == "left" else 0)

    def le(t):
        return SETBACK * t / SPAN

    def te(t):
        return ROOT_CHORD + (SETBACK + tip_chord - ROOT_CHORD) * t / SPAN

    def spar(t):
        straight = SPAR * ROOT_CHORD + (SETBACK + SPAR * tip_chord - SPAR * ROOT_CHORD) * t / SPAN
        bow = faults.get("bow", 0) if hand == "right" else 0
        return straight + bow * 4 * t / SPAN * (1 - t / SPAN)

    def at(t, x):
        return (ox + side * t, oy - x)

    def run(f, n=60):
        return [at(SPAN * i / n, f(SPAN * i / n)) for i in range(n + 1)]

    sheet.line(at(0, le(0)), at(SPAN, le(SPAN)))
    sheet.line(at(0, te(0)), at(SPAN, te(SPAN)))
    sheet.chain(run(spar), 0.3)
    out = {"ribs": [], "spar": []}
    for i, t in enumerate(stations):
        rib = i + 1
        sheet.line(at(t, le(t)), at(t, te(t)), 0.3)
        thick = faults.get("thick", {}).get(rib, 3.0 if rib in (1, BAYS + 1) else 2.0)
        a, b = le(t) + 0.45 * (te(t) - le(t)), le(t) + 0.58 * (te(t) - le(t))
        for edge in (-thick / 2, thick / 2):
            sheet.line(at(t + edge, a), at(t + edge, b), 0.25)
        middle = (a + b) / 2
        out["ribs"].append({"rib": rib, "t": t, "le": le(t), "te": te(t), "chord": te(t) - le(t), "thickness": thick,
                            "lePixel": sheet.pixel(at(t, le(t))), "tePixel": sheet.pixel(at(t, te(t))),
                            "thicknessPixels": [sheet.pixel(at(t - thick / 2, middle)), sheet.pixel(at(t + thick / 2, middle))]})
        out["spar"].append({"t": t, "x": spar(t), "pixel": sheet.pixel(at(t, spar(t)))})
        if rib in (1, 4, 7, 10, 13):
            sheet.text((at(t, 0)[0] - 3, oy + 12), f"R{rib}")
    out["leSweepDeg"] = math.degrees(math.atan2(SETBACK, SPAN))
    out["teSweepDeg"] = math.degrees(math.atan2(SETBACK + tip_chord - ROOT_CHORD, SPAN))
    truth[hand] = out

def templates(sheet, top, truth, faults):
    truth["templates"] = []
    for k, rib in enumerate((1, 3, 5, 7, 9, 11, 13)):
        t = BAY * (rib - 1) + faults.get("moved", {}).get(rib, 0)
        chord = ROOT_CHORD + (TIP_CHORD - ROOT_CHORD) * t / SPAN + faults.get("short", {}).get(rib, 0)
        x, y = 30 + (k % 3) * 255, top - 42 - (k // 3) * 52
        up, low = outline(chord)
        for chain in (up, low):
            sheet.chain([(x + a, y + b) for a, b in chain], 0.3)
        sheet.line((x - 4, y), (x + chord + 4, y), 0.2)
        below = y - 15  # the template's length, dimensioned under it
        sheet.line((x, below), (x + chord, below), 0.2)
        for end in (x, x + chord):
            sheet.cross((end, below))
        sheet.text((x + 0.45 * chord, y + 8), f"R{rib} template")
        entry = {"rib": rib, "length": chord, "pixels": [sheet.pixel((x, below)), sheet.pixel((x + chord, below))]}
        if rib == 1:
            entry["upper"] = [sheet.pixel((x + a, y + b)) for a, b in up]
            entry["lower"] = [sheet.pixel((x + a, y + b)) for a, b in low]
        truth["templates"].append(entry)

def bars(sheet, y, truth):
    truth["lengths"] = []
    for name, a, b in (("500 along", (40, y), (540, y)), ("200 across", (785, y - 10), (785, y + 190)),
                       ("100 slanting", (600, y - 8), (680, y + 52))):
        sheet.cross(a), sheet.cross(b)
        sheet.line(a, b, 0.18)
        sheet.text((a[0] + 6, a[1] + 8), name.split()[0] + " mm", 3)
        truth["lengths"].append({"name": name, "length": math.dist(a, b), "pixels": [sheet.pixel(a), sheet.pixel(b)]})

def reading(kind, number, pixels, hand="right", name=""):
    return {"name": name, "kind": kind, "sheet": 1, "hand": hand, "number": number,
            "points": [[round(x, 2), round(y, 2)] for x, y in pixels]}

def wing_file(name, plan_png, sheet, truth, seed):
    """A wing with the plan in it and its readings, each off by what a careful reader is off by."""
    rng = random.Random(seed)

    def read(pixels):
        return [(x + rng.gauss(0, 0.2), y + rng.gauss(0, 0.2)) for x, y in pixels]

    readings = []
    for hand in ("right", "left"):
        if hand not in truth:
            continue
        for rib in truth[hand]["ribs"]:
            readings.append(reading("leadingEdge", rib["rib"], read([rib["lePixel"]]), hand))
            readings.append(reading("trailingEdge", rib["rib"], read([rib["tePixel"]]), hand))
        for place in truth[hand]["spar"]:
            readings.append(reading("spar", 1, read([place["pixel"]]), hand))
    for rib in truth["right"]["ribs"]:
        readings.append(reading("ribThickness", rib["rib"], read(rib["thicknessPixels"])))
    for t in truth["templates"]:
        readings.append(reading("ribTemplate", t["rib"], read(t["pixels"])))
    first = truth["templates"][0]
    readings.append(reading("upperSurface", 1, read(first["upper"][::8])))
    readings.append(reading("lowerSurface", 1, read(first["lower"][::8])))
    data = (ROOT / "data/demos" / plan_png).read_bytes()
    plan = {
        "sheets": [{
            "name": "Sheet 1", "file": plan_png, "checksum": hashlib.sha256(data).hexdigest(), "copy": "", "page": 1,
            "width": sheet.size[0], "height": sheet.size[1], "dpi": DPI, "by": "lengths",
            "lengths": [{"name": l["name"], "ends": [[round(v, 2) for v in p] for p in read(l["pixels"])],
                         "length": round(l["length"], 3)} for l in truth["lengths"]],
            "corners": [], "cornerWidth": 297, "cornerHeight": 210,
            "level": [[round(v, 2) for v in p] for p in truth["level"]]}],
        "readings": readings, "verdicts": []}
    base = json.loads((ROOT / "data/demos/fenlark-1500.euptera").read_text())
    base = {"format": base["format"], "version": base["version"], "name": name, "unit": "mm", "plan": plan,
            **{k: v for k, v in base.items() if k not in ("format", "version", "name", "unit", "plan")}}
    return base

def make(stem, name, faults, seed):
    both = faults.get("both", False)
    height = 800 if both else 510
    sheet = Sheet(815, height, faults["turn"], faults["stretch"])
    truth = {"bay": BAY, "span": SPAN, "stretch": faults["stretch"], "dpi": DPI}
    top = height - 30
    bars(sheet, top - 262, truth)
    half_wing(sheet, (30, top), 1, truth, faults, "right")
    level = [(30, top - 275), (780, top - 275)]
    sheet.line(*level, 0.2)
    truth["level"] = [sheet.pixel(p) for p in level]
    y = top - 285
    if both:
        half_wing(sheet, (780, y - 25), -1, truth, {**faults, "moved": faults.get("moved", {})}, "left")
        y -= 295
    templates(sheet, y, truth, faults)
    sheet.text((300, 14), name + "   full size   right hand" + (" above, left hand below" if both else ""), 6)
    png = stem + ".png"
    sheet.save(ROOT / "data/demos" / png)
    truth["faults"] = {k: v for k, v in faults.items()}
    (ROOT / "tests/files" / f"{stem}-truth.json").write_text(json.dumps(truth))
    wing = wing_file(name, png, sheet, truth, seed)
    (ROOT / "data/demos" / f"{stem}.euptera").write_text(json.dumps(wing, separators=(",", ":")) + "\n")

make("fenlark-plan", "Fenlark plan", {"turn": 0.35, "stretch": [1.0, 1.0]}, 1)
make("fenlark-faulty-plan", "Fenlark plan with faults",
     {"turn": -0.5, "stretch": [1.004, 0.987], "moved": {5: 1.9, 9: -1.6}, "short": {7: -2.4}, "bow": 2.3,
      "left_tip": 2.0, "thick": {7: 3.0}, "both": True}, 2)
