"""A wing of three panels once more with SciPy: planform and loads by quadrature, joins by rotations in space."""
import numpy as np
from scipy.integrate import quad
from scipy.spatial.transform import Rotation

from common import demo, finish, load, near, run, scratch, stations, true

G = 9.80665
with scratch() as folder:
    path = demo(folder, "tarnbrook-2000")
    wing, rows = load(path.read_text()), stations(path)
    figures = {f["key"]: f["value"] for f in load(run("report", path, "--json", codes=(0, 1)))["figures"]}

panels = [p["panel"] for p in wing["wings"][0]["panels"]]
joins = [p["join"] for p in wing["wings"][0]["panels"]]
spars = [p["spars"][0] for p in wing["wings"][0]["panels"]]
for inside, p, inner, outer in zip(panels, panels[1:], spars, spars[1:]):
    if p["continues"]:
        p["rootChord"] = inside["tipChord"]
        p["rootWashoutDeg"], p["rootAxis"] = inside["washoutDeg"], inside["washoutAxis"]
        outer["rootFraction"] = inner["tipFraction"]
edges = np.cumsum([0] + [p["span"] for p in panels])
gammas = [np.radians(j["dihedral"]["angleDeg"]) for j in joins]
half = edges[-1]


def chord(y):
    return np.interp(y, edges, [panels[0]["rootChord"]] + [p["tipChord"] for p in panels])


def setback(y):
    return np.interp(y, edges, np.cumsum([0] + [p["tipSetback"] for p in panels]))


def over(f, low=0.0):
    return sum(quad(f, max(a, low), b)[0] for a, b in zip(edges, edges[1:]) if b > low)


area = over(chord)
near("area", figures["panel.area"], 2 * area, 1e-3)
near("mean chord", figures["panel.mac"], over(lambda y: chord(y) ** 2) / area, 1e-4)
near("its place", figures["panel.macAt"], over(lambda y: chord(y) * y) / area, 1e-4)
near("its leading edge", figures["panel.macLe"], over(lambda y: chord(y) * setback(y)) / area, 1e-4)
near("span from above", figures["panel.spanFromAbove"], 2 * sum(p["span"] * np.cos(g) for p, g in zip(panels, gammas)), 1e-6)
near("tip over the root", figures["wing.tipRise"], sum(p["span"] * np.sin(g) for p, g in zip(panels, gammas)), 1e-6)


def gamma(y):
    return gammas[min(int(np.searchsorted(edges, y, side="right")) - 1, len(gammas) - 1)]


arm = over(lambda y: gamma(y) * chord(y) * y) / over(lambda y: chord(y) * y)
near("effective dihedral", figures["wing.effectiveDihedral"], np.degrees(arm), 1e-5)

# Schrenk: the mean of the chord and of the ellipse of the same area.
lift = wing["flying"]["loadFactor"] * wing["flying"]["mass"] / 1000 * G / 2
spread = lambda y: lift / 2 * (chord(y) / area + 4 / (np.pi * half) * np.sqrt(max(0.0, 1 - (y / half) ** 2)))
for k, y0 in enumerate(edges[:-1]):
    key = "load.rootMoment" if k == 0 else f"panel{k + 1}.load.rootMoment"
    want = over(lambda y: spread(y) * (y - y0), y0)
    near(key, figures[key], want, 1e-4 * want)

# Each panel's own turn about the aft axis; the spar's line on its chord lines, from the stations.
ends = [[r for r in rows if int(r["panel"]) == k + 1] for k in range(len(panels))]
line = lambda r: r["le_x_mm"] + r["spar1_x_mm"] * np.cos(np.radians(r["washout_deg"]))
ways = []
for k, own in enumerate(ends):
    flat = np.array([line(own[-1]) - line(own[0]), own[-1]["station_mm"] - own[0]["station_mm"], 0.0])
    ways.append(Rotation.from_euler("x", gammas[k]).apply(flat / np.linalg.norm(flat)))
for k in range(1, len(panels)):
    bend = np.degrees(np.arccos(np.clip(ways[k - 1] @ ways[k], -1, 1)))
    near(f"bend of brace {k + 1}", figures[f"panel{k + 1}.brace.bend"], bend, 2e-3)
    square = np.cross(ways[k - 1], ways[k])
    near(f"lean of brace {k + 1}", figures[f"panel{k + 1}.brace.lean"], np.degrees(np.arcsin(abs(square[2]) / np.linalg.norm(square))), 2e-2)
    near(f"rib at join {k + 1}", figures[f"panel{k + 1}.join.rootLean"], np.degrees(gammas[k] - gammas[k - 1]) / 2, 1e-6)
    a, b = ends[k - 1][-1], ends[k][0]
    for what in ("chord_mm", "washout_deg", "le_x_mm", "station_mm", "bare_area_mm2"):
        near(f"{what} runs on over join {k + 1}", a[what], b[what], 2e-3 * max(1.0, abs(a[what])) if "area" in what else 1e-4)
true("ribs are counted through", [int(r["number"]) for r in rows] == list(range(1, len(rows) + 1)))

finish()
