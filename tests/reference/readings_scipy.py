"""Readings of a made-up wing fitted once more with SciPy, and held against what the program makes of them."""
import json

import numpy as np
from scipy.optimize import curve_fit
from scipy.stats import sem

from common import demo, finish, near, run, scratch, true

random = np.random.default_rng(12)
with scratch() as folder:
    path = demo(folder, "skerrow-1460", plain=True)
    design = json.loads(path.read_text())
    ribs = design["wings"][0]["panels"][0]["ribs"]["count"]
    readings = []

    def read(kind, hand, rib, value, doubt):
        readings.append({"kind": kind, "wing": 0, "panel": 0, "hand": hand, "rib": int(rib), "value": float(value),
                         "doubt": float(doubt), "by": "made up", "at": "2026-11-20 19:00", "note": ""})

    for hand in ("right", "left"):
        for rib in range(1, ribs + 1):
            doubt = random.uniform(0.05, 0.4)
            read("incidence", hand, rib, 0.3 - 0.2 * rib + random.normal(0, 2 * doubt), doubt)
        for _ in range(7):
            doubt = random.uniform(0.05, 0.3)
            read("mass", hand, 0, 80 + random.normal(0, doubt), doubt)
    design["records"] = {"looked": [], "steps": [], "readings": readings, "parts": [], "log": []}
    path.write_text(json.dumps(design))
    told = json.loads(run("log", path, "--json"))
    true("both hands are fitted", {t["hand"] for t in told["twists"]} == {"right", "left"})
    for t in told["twists"]:
        at, value, doubt = np.array(t["samples"]).T
        (slope, root), covariance = curve_fit(lambda x, a, b: a * x + b, at, value, sigma=doubt, absolute_sigma=True)
        chi = np.sum(((value - slope * at - root) / doubt) ** 2)
        scatter = max(np.sqrt(chi / (len(at) - 2)), 1)
        near(f"{t['hand']}: slope", t["slope"], slope, 1e-7 * abs(slope) + 1e-12)
        near(f"{t['hand']}: at the root", t["atRoot"], root, 1e-7)
        near(f"{t['hand']}: scatter", t["scatter"], scatter, 1e-4)
        near(f"{t['hand']}: slope's doubt", t["slopeDoubt"], scatter * np.sqrt(covariance[0, 0]), 1e-4 * t["slopeDoubt"])
        near(f"{t['hand']}: root's doubt", t["rootDoubt"], scatter * np.sqrt(covariance[1, 1]), 1e-4 * t["rootDoubt"])
    masses = [m for m in told["means"] if m["kind"] == "mass"]
    true("both halves were weighed", len(masses) == 2)
    for m in masses:
        mine = [(r["value"], r["doubt"]) for r in readings if r["kind"] == "mass" and r["hand"] == m["hand"]]
        value, doubt = np.array(mine).T
        mean, weight = np.average(value, weights=1 / doubt**2, returned=True)
        chi = np.sum(((value - mean) / doubt) ** 2)
        near(f"{m['hand']}: mean", m["mean"], mean, 1e-9)
        near(f"{m['hand']}: doubt", m["doubt"], np.sqrt(1 / weight) * max(np.sqrt(chi / (len(value) - 1)), 1), 1e-9)
        near(f"{m['hand']}: deviation", m["deviation"], sem(value) * np.sqrt(len(value)), 1e-9)
finish()
