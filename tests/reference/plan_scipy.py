"""The demo plans worked once more: the sheet made true by SciPy's least squares, edges and spars by NumPy's fits, and the
scan read with Pillow, all against what the script that drew them knows."""
import json
from pathlib import Path

import numpy as np
from PIL import Image
from scipy.optimize import least_squares

from common import finish, load, near, run, scratch, true

HERE = Path(__file__).resolve().parent
for name in ("fenlark-plan", "fenlark-faulty-plan"):
    with scratch() as folder:
        path = Path(folder) / "wing.euptera"
        path.write_text(run("demo", name))
        figures = {f["key"]: f["value"] for f in load(run("report", path, "--json", codes=(0, 1)))["figures"]}
        plan = json.loads(path.read_text())["plan"]
    truth = json.loads((HERE.parent / "files" / f"{name}-truth.json").read_text())
    sheet = plan["sheets"][0]
    image = Image.open(HERE.parent.parent / "data/demos" / sheet["file"])
    true(f"{name} size", image.size == (sheet["width"], sheet["height"]))
    grey = np.asarray(image.convert("L"))
    for rib in truth["right"]["ribs"]:  # the truth's places are inked
        x, y = (round(v) for v in rib["lePixel"])
        true(f"{name} ink at LE R{rib['rib']}", grey[y - 2:y + 3, x - 2:x + 3].min() < 90)

    # |T d| = L for every known length, T upper triangular in (x right, y up).
    ends = np.array([l["ends"] for l in sheet["lengths"]])
    d = (ends[:, 1] - ends[:, 0]) * [1, -1]
    lengths = np.array([l["length"] for l in sheet["lengths"]])
    fit = least_squares(lambda v: np.hypot(v[0] * d[:, 0] + v[2] * d[:, 1], v[1] * d[:, 1]) - lengths, [0.17, 0.17, 0], xtol=1e-15, ftol=1e-15)
    p, q, k = fit.x
    nominal = 25.4 / sheet["dpi"]
    near(f"{name} along", figures["plan.sheet1.along"], 100 * nominal / p, 0.01)
    near(f"{name} across", figures["plan.sheet1.across"], 100 * nominal / np.hypot(k, q), 0.01)
    near(f"{name} stretch along", figures["plan.sheet1.along"], 100 * truth["stretch"][0], 0.1)
    near(f"{name} stretch across", figures["plan.sheet1.across"], 100 * truth["stretch"][1], 0.15)

    t = np.array([[p, k], [0, q]])
    a, b = (t @ (np.array(v) * [1, -1]) for v in sheet["level"])
    turn = np.arctan2(*(b - a)[::-1])
    turn = (turn + np.pi / 2) % np.pi - np.pi / 2
    r = np.array([[np.cos(turn), np.sin(turn)], [-np.sin(turn), np.cos(turn)]])

    def mm(pixel):
        return r @ (t @ (np.array(pixel) * [1, -1]))

    for kind, key, sign in (("leadingEdge", "le", -1), ("trailingEdge", "te", -1)):
        places = np.array([mm(x["points"][0]) for x in plan["readings"] if x["kind"] == kind and x["hand"] == "right"])
        slope = np.polyfit(places[:, 0], sign * places[:, 1], 1)[0]
        near(f"{name} {key} sweep", figures[f"plan.right.{key}Sweep.panel1"], np.degrees(np.arctan(slope)), 0.005)
        near(f"{name} {key} sweep, true", figures[f"plan.right.{key}Sweep.panel1"], truth["right"][f"{key}SweepDeg"], 0.05)
    near(f"{name} half span", figures["plan.halfSpan"], truth["span"], 0.2)
finish()
