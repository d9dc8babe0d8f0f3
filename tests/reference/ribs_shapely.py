"""Ribs made once more with NumPy and Shapely, by other means, and laid over the program's own."""
import re
import sys
from pathlib import Path

import numpy as np
from shapely.geometry import LineString, Point as ShapelyPoint, Polygon, box
from shapely.ops import unary_union

from common import demo, inner, export, finish, load, near, run, scratch, stations, true


def naca4(digits, n=400):
    """NACA Report 460, dense, both surfaces from the nose."""
    m, p, t = int(digits[0]) / 100, int(digits[1]) / 10, int(digits[2:]) / 100
    x = (1 - np.cos(np.linspace(0, np.pi, n))) / 2
    yt = 5 * t * (0.2969 * np.sqrt(x) - 0.1260 * x - 0.3516 * x**2 + 0.2843 * x**3 - 0.1015 * x**4)
    yc = np.where(x < p, m / p**2 * (2 * p * x - x**2), m / (1 - p)**2 * (1 - 2 * p + 2 * p * x - x**2))
    slope = np.where(x < p, 2 * m / p**2 * (p - x), 2 * m / (1 - p)**2 * (p - x))
    angle = np.arctan(slope)
    up = np.column_stack([x - yt * np.sin(angle), yc + yt * np.cos(angle)])
    low = np.column_stack([x + yt * np.sin(angle), yc - yt * np.cos(angle)])
    grid = (1 - np.cos(np.linspace(0, np.pi, n))) / 2
    faces = [np.column_stack([grid, np.interp(grid, s[:, 0], s[:, 1])]) for s in (up, low)]
    for face in faces:
        face[0] = 0, 0  # the upper surface starts ahead of x = 0, where it cannot be looked up by x
    return faces


def placed(section, chord, setback, washout, axis):
    c, s = np.cos(washout), np.sin(washout)
    pivot = np.array([axis * chord, 0])
    return [((face * chord - pivot) @ np.array([[c, s], [-s, c]])) + pivot + [setback, 0] for face in section]


def ribs(design):
    """Outlines and wood of every rib, in panel axes."""
    p, r = design["panel"], design["ribs"]
    root = placed(naca4(design["sections"]["root"]["naca"]), p["rootChord"], 0, 0, 0)
    tip = placed(naca4(design["sections"]["tip"]["naca"]), p["tipChord"], p["tipSetback"], np.radians(p["washoutDeg"]), p["washoutAxis"])
    out = []
    for share in np.linspace(0, 1, r["count"]):
        up, low = [(1 - share) * a + share * b for a, b in zip(root, tip)]
        out.append((share, up, low))
    return root, tip, out


def at_fraction(face, f, n=400):
    grid = (1 - np.cos(np.linspace(0, np.pi, n))) / 2
    return np.array([np.interp(f, grid, face[:, 0]), np.interp(f, grid, face[:, 1])])


def cut(design, root, tip, share, up, low):
    """The wood of a rib: bare outline less sheet, strips, stock and notches."""
    sheet, strip, le, te = design["sheeting"], design["capStrips"], design["leadingEdge"], design["trailingEdge"]
    outline = Polygon(np.vstack([up[::-1], low[1:]]))
    nose, tail = up[0], (up[-1] + low[-1]) / 2
    along = (tail - nose) / np.linalg.norm(tail - nose)
    square, chord = np.array([-along[1], along[0]]), np.linalg.norm(tail - nose)

    def chordwise(x0, x1, z0=-300, z1=300):
        return Polygon([nose + along * x + square * z for x, z in ((x0, z0), (x1, z0), (x1, z1), (x0, z1))])

    takes = []
    for face, sign in ((up, 1), (low, -1)):
        edge = at_fraction(face, sheet["fraction"])
        x = (face - nose) @ along
        front = face[: np.searchsorted(face[:, 0], edge[0])]
        back = face[len(front) - 2:]  # lapped, or a needle is left between two square ends
        takes.append(LineString(np.vstack([front, edge])).buffer(sheet["thickness"], cap_style=2, join_style=2))
        takes.append(LineString(back).buffer(strip["thickness"], cap_style=2, join_style=2))
    middle = lambda x: np.mean([np.interp(x, (f - nose) @ along, (f - nose) @ square) for f in (up, low)])
    # Widths are square to the edge: along the rib they take width over the cosine of the edge's sweep.
    p = design["panel"]
    def along_rib(edge, aft):
        return np.hypot(1, aft / p["span"]) if edge["widthIs"] == "squareToEdge" else 1
    wider = along_rib(le, p["tipSetback"])
    face, back = (le["width"] - le["letIn"]) * wider, le["width"] * wider
    takes.append(chordwise(-50, face))
    takes.append(chordwise(face - 1, back, middle(back) - le["height"] / 2, middle(back) + le["height"] / 2))
    takes.append(chordwise(chord - te["width"] * along_rib(te, p["tipSetback"] + p["tipChord"] - p["rootChord"]), chord + 300))
    for spar in design["spars"]:
        for index, cap, sign in ((0, spar["top"], -1), (1, spar["bottom"], 1)):
            ends = []
            for faces, f in ((root, spar["rootFraction"]), (tip, spar["tipFraction"])):
                cover = sheet["thickness"] if f <= sheet["fraction"] else strip["thickness"]
                a, b = at_fraction(faces[index], f - 0.01), at_fraction(faces[index], f + 0.01)
                slope = (b[1] - a[1]) / (b[0] - a[0])
                ends.append(at_fraction(faces[index], f) + [0, sign * cover * np.hypot(1, slope)])
            seat = (1 - share) * ends[0] + share * ends[1]
            half, inner = (cap["width"] + design["ribs"]["notchFit"]) / 2, seat[1] + sign * cap["depth"]
            takes.append(box(seat[0] - half, min(inner, inner - sign * 300), seat[0] + half, max(inner, inner - sign * 300)))
    wood = outline.difference(unary_union(takes))
    pieces = [g for g in getattr(wood, "geoms", [wood]) if g.area > 0.5]
    return outline, max(pieces, key=lambda g: g.area), nose, along, square


def loops(svg):
    """Closed loops of the cut layer, in mm, y up."""
    layer = re.search(r'<g id="cut".*?</g>', svg, re.S).group(0)
    return [np.array([[float(x), -float(y)] for x, y in re.findall(r"[ML]\s*([-\d.]+) ([-\d.]+)", d)]) for d in re.findall(r' d="([^"]+)"', layer)]


def parted(folder, rows):
    """Ribs that an aileron is sawn off: as wide as ever before, in two after, and nothing lost but between the planes."""
    whole_area = {f"R{row['number']:.0f}": row["cut_area_mm2"] for row in rows}
    surface = load(run("surfaces", demo(folder), "--json"))["surfaces"][0]
    true("ribs are parted", len(surface["ribs"]) >= 4)
    for rib in surface["ribs"]:
        name = rib["rib"]
        whole, wing, tail = (unary_union([Polygon(loop) for loop in rib[part]]) for part in ("whole", "wing", "tail"))
        near(f"{name} whole", whole.area, whole_area[name], 0.0005 * whole.area)
        near(f"{name} in both", wing.intersection(tail).area, 0, 0.01)
        near(f"{name} beside itself", wing.union(tail).difference(whole.buffer(0.01)).area, 0, 0.01)
        lost = whole.difference(wing.union(tail)).buffer(-0.02)
        near(f"{name} lost before the wing's facing", lost.bounds[0], wing.bounds[2], 0.5)
        true(f"{name} lost behind the surface's", lost.bounds[2] <= tail.bounds[0] + 0.5)


def main():
    with scratch() as folder:
        path = demo(folder, plain=True)
        design, rows = inner(path.read_text()), stations(path)
        drawn = loops([f for f in export(path, folder, "svg", "--hand", "right") if "ribs" in f.name][0].read_text())
        root, tip, all_ribs = ribs(design)
        true("a loop a rib", len(drawn) == len(all_ribs))
        for row, loop, (share, up, low) in zip(rows, drawn, all_ribs):
            outline, wood, nose, along, square = cut(design, root, tip, share, up, low)
            name = f"R{row['number']:.0f}"
            near(f"{name} bare area", row["bare_area_mm2"], outline.area, 0.0005 * outline.area)
            near(f"{name} cut area", row["cut_area_mm2"], wood.area, 0.001 * wood.area)
            theirs = Polygon(np.column_stack([(np.array(wood.exterior.coords) - nose) @ along, (np.array(wood.exterior.coords) - nose) @ square]))
            ours = Polygon(loop)
            shift = np.array(theirs.bounds[:2]) - np.array(ours.bounds[:2])
            ours = Polygon(loop + shift)
            # Both ways: no point of one further than this from the other.
            apart = max(max(b.exterior.distance(ShapelyPoint(c)) for c in a.exterior.coords) for a, b in ((ours, theirs), (theirs, ours)))
            near(f"{name} outline apart", apart, 0, 0.05)
        parted(folder, rows)
    finish()


if __name__ == "__main__":
    main()
