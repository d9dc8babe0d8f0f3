"""The demo's figures worked once more with SciPy: quadrature and rotations instead of closed forms."""
import numpy as np
from scipy.integrate import quad
from scipy.spatial.transform import Rotation

from common import demo, inner, finish, load, near, run, scratch, stations

G = 9.80665  # m/s², standard gravity
MODULUS = {"spruce": 10800.0, "balsa-220": 4700.0}  # MPa, as in data/materials


def chord_at(panel, y):
    return panel["rootChord"] + (panel["tipChord"] - panel["rootChord"]) * y / panel["span"]


def planform(panel, figures):
    b = panel["span"]
    area = quad(lambda y: chord_at(panel, y), 0, b)[0]
    mac = quad(lambda y: chord_at(panel, y) ** 2, 0, b)[0] / area
    at = quad(lambda y: chord_at(panel, y) * y, 0, b)[0] / area
    near("area", figures["panel.area"], 2 * area, 1e-3)
    near("mean chord", figures["panel.mac"], mac, 1e-4)
    near("its place", figures["panel.macAt"], at, 1e-4)
    near("its leading edge", figures["panel.macLe"], panel["tipSetback"] * at / b, 1e-4)
    near("aspect ratio", figures["panel.aspect"], (2 * b) ** 2 / (2 * area), 1e-6)


def schrenk(panel, lift):
    """Lift per mm: the mean of the chord's share and the ellipse's (Schrenk, NACA TM 948)."""
    b = panel["span"]
    area = quad(lambda y: chord_at(panel, y), 0, b)[0]
    return lambda y: lift / 2 * (chord_at(panel, y) / area + 4 / (np.pi * b) * np.sqrt(max(0.0, 1 - (y / b) ** 2)))


def loads(design, figures):
    panel, flying = design["panel"], design["flying"]
    b, lift = panel["span"], flying["loadFactor"] * flying["mass"] / 1000 * G / 2
    near("half lift", figures["load.halfLift"], lift, 1e-6)
    spread = schrenk(panel, lift)
    near("lift adds up", quad(spread, 0, b)[0], lift, 1e-4)
    moment = lambda y: quad(lambda s: spread(s) * (s - y), y, b)[0]
    near("root moment", figures["load.rootMoment"], moment(0), 0.5)
    return moment


def seats(design, rows, index):
    """Outer faces of a spar's caps over the root chord at both ends, from the rows of the stations: notch and cover."""
    spar = design["spars"][index]
    depth = []
    for row in (rows[0], rows[-1]):
        taken = sum(row[f"spar{index + 1}_notch_{face}_mm"] - spar[face]["depth"] for face in ("top", "bottom"))
        depth.append(row[f"spar{index + 1}_depth_mm"] - taken)
    return depth


def stiffness(spar, depth):
    """EI of two rectangles about their modulus-weighted axis, summed over thin slices."""
    slices = []
    for face, sign in (("top", -1), ("bottom", 1)):
        cap, outer = spar[face], depth if face == "top" else 0.0
        n = 400
        z = outer + sign * (np.arange(n) + 0.5) / n * cap["depth"]
        slices.append((z, np.full(n, cap["width"] * cap["depth"] / n * MODULUS[cap["material"]])))
    z, ea = np.concatenate([s[0] for s in slices]), np.concatenate([s[1] for s in slices])
    axis = (z * ea).sum() / ea.sum()
    return ((z - axis) ** 2 * ea).sum(), axis


def spars(design, rows, figures, moment):
    ends = [seats(design, rows, k) for k in range(len(design["spars"]))]
    at = lambda k, share: stiffness(design["spars"][k], ends[k][0] + (ends[k][1] - ends[k][0]) * share)
    total = sum(at(k, 0)[0] for k in range(len(ends)))
    for k, spar in enumerate(design["spars"], 1):
        ei, axis = at(k - 1, 0)
        near(f"spar {k} depth", figures[f"spar.{k}.depth"], ends[k - 1][0], 0.03)
        near(f"spar {k} EI", figures[f"spar.{k}.stiffness"], ei, 0.005 * ei)
        near(f"spar {k} share", figures[f"spar.{k}.share"], 100 * ei / total, 0.2)
        mine = moment(0) * ei / total
        top = mine * MODULUS[spar["top"]["material"]] * (ends[k - 1][0] - axis) / ei
        near(f"spar {k} stress", figures[f"spar.{k}.stressTop"], top, 0.005 * top)
    # Tip deflection as one integral of the curvature times its arm to the tip.
    b = design["panel"]["span"]
    bend = lambda y: moment(y) / sum(at(k, y / b)[0] for k in range(len(ends))) * (b - y)
    sag = np.trapz([bend(y) for y in np.linspace(0, b, 121)], np.linspace(0, b, 121))
    near("tip deflection", figures["load.tipDeflection"], sag, 0.005 * sag)


def ruled(design, rows, figures):
    """Chords and washout of the ribs on straight lines between the placed ends of root and tip."""
    panel = design["panel"]
    turn = Rotation.from_euler("y", -panel["washoutDeg"], degrees=True)  # nose down: the tail goes up
    pivot = np.array([panel["washoutAxis"] * panel["tipChord"], 0, 0])

    def placed(x):
        return turn.apply(np.array([x, 0, 0]) - pivot) + pivot + [panel["tipSetback"], panel["span"], 0]

    root = np.array([[0, 0, 0], [panel["rootChord"], 0, 0]], dtype=float)
    tip = np.array([placed(0.0), placed(panel["tipChord"])])
    for row in rows:
        share = row["station_mm"] / panel["span"]
        nose, tail = (1 - share) * root + share * tip
        name, chord = f"R{row['number']:.0f}", np.linalg.norm(tail - nose)
        washout = np.degrees(np.arctan2(tail[2] - nose[2], tail[0] - nose[0]))
        near(f"{name} chord", row["chord_mm"], chord, 1e-4)
        near(f"{name} washout", row["washout_deg"], washout, 1e-4)
        near(f"{name} nose aft", row["le_x_mm"], nose[0], 1e-4)
        near(f"{name} nose up", row["le_z_mm"], nose[2], 1e-4)
        near(f"{name} nose and tail", row["under_te_mm"] - row["nose_mm"], tail[2] - nose[2], 0.5)
        near(f"{name} chord figure", figures[f"rib.{name[1:]}.chord"], chord, 1e-4)
        near(f"{name} washout figure", figures[f"rib.{name[1:]}.washout"], washout, 1e-4)
    spacing = np.diff([row["station_mm"] for row in rows])
    near("even spacing", spacing.max() - spacing.min(), 0, 1e-4)
    near("first rib", rows[0]["station_mm"], 0, 1e-9)
    near("last rib", rows[-1]["station_mm"], panel["span"], 1e-4)


def join(design, figures):
    panel, rise = design["panel"], design["join"]["dihedral"]["rise"]
    gamma = np.arcsin(rise / panel["span"])
    near("dihedral", figures["join.dihedral"], np.degrees(gamma), 1e-6)
    near("span from above", figures["panel.spanFromAbove"], 2 * panel["span"] * np.cos(gamma), 1e-6)
    # The spar's plan line turned up by the dihedral, and its mirror image.
    spar, washout = design["spars"][0], np.radians(panel["washoutDeg"])
    root = spar["rootFraction"] * panel["rootChord"]
    pivot = panel["washoutAxis"] * panel["tipChord"]
    tip = panel["tipSetback"] + pivot + (spar["tipFraction"] * panel["tipChord"] - pivot) * np.cos(washout)
    line = np.array([tip - root, panel["span"], 0.0])
    right = Rotation.from_rotvec([gamma, 0, 0]).apply(line / np.linalg.norm(line))
    left = right * [-1, 1, -1]
    near("brace bend", figures["brace.bend"], np.degrees(np.arccos(np.clip(right @ left, -1, 1))), 1e-4)


with scratch() as folder:
    path = demo(folder)
    design, rows = inner(path.read_text()), stations(path)
    figures = {f["key"]: f["value"] for f in load(run("report", path, "--json"))["figures"]}
    planform(design["panel"], figures)
    spars(design, rows, figures, loads(design, figures))
    ruled(design, rows, figures)
    join(design, figures)
finish()
