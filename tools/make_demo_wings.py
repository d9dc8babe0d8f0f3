"""Writes the demo wings of several panels and of other kinds, from invented numbers, over the decisions of the first demo.

Run from anywhere; needs only Python. The files are committed: nothing runs this when building.
"""
import copy
import json
import pathlib

ROOT = pathlib.Path(__file__).resolve().parent.parent
BASE = json.loads((ROOT / "data/demos/fenlark-1500.euptera").read_text())


def wing(stem, name, panels, flying, others=(), posts=None):
    d = copy.deepcopy(BASE)
    d["name"] = name
    d["wings"][0]["posts"].update(posts or {})
    plain = d["wings"][0]["panels"][0]
    d["wings"][0]["panels"] = [merged(plain, p) for p in panels]
    if others:
        d["wings"][0]["surface"]["name"] = "Main wing"
    for surface, more in others:
        d["wings"].append({"surface": surface, "panels": [merged(plain, p) for p in more]})
    d["flying"].update(pushFactor=0.0, gust=0.0, tipTouch=0.0, linePull=0.0, diveSpeed=0.0, aileronChord=0.0)
    d["flying"].update(flying)
    (ROOT / "data/demos" / f"{stem}.euptera").write_text(json.dumps(d, indent=1, ensure_ascii=False) + "\n")


def merged(base, changes):
    out = copy.deepcopy(base)
    for key, value in changes.items():
        if isinstance(value, dict) and isinstance(out.get(key), dict) and key != "dihedral":
            out[key] = merged(out[key], value)
        else:
            out[key] = value
    return out


def panel(span, root, tip, setback, washout=0.0, axis=0.0):
    return {"span": span, "rootChord": root, "tipChord": tip, "tipSetback": setback, "washoutDeg": washout, "washoutAxis": axis}


def naca(digits):
    return {"kind": "naca", "naca": digits}


def caps(name, root, tip, width, depth, wood="spruce", to=None, stops=None, webs=0.0):
    """`to` is the width and depth that they taper to, `stops` where they end."""
    end = to or (width, depth)
    cap = {"fitted": True, "width": width, "depth": depth, "material": wood, "tapers": to is not None,
           "tipWidth": end[0], "tipDepth": end[1], "changes": False, "changesAt": 0.5, "thenMaterial": "balsa-160"}
    return {"name": name, "kind": "caps", "rootFraction": root, "tipFraction": tip, "top": cap, "bottom": dict(cap),
            "sheet": 3.0, "ribSlot": "above", "sheetMaterial": "balsa-160", "stops": stops is not None,
            "stopsAt": stops or 400.0, "webs": "between" if webs else "none", "webThickness": webs or 1.5,
            "webMaterial": "balsa-160"}


def surface(name, kind, carries, aft, up):
    return {"name": name, "kind": kind, "carries": carries, "aft": aft, "up": up}


def even(count, thickness=2.0, ends=3.0, rim=1.0):
    return {"rule": "count", "count": count, "thickness": thickness, "rootThickness": ends, "tipThickness": ends, "rim": rim}


def brace(**changes):
    return {**BASE["wings"][0]["panels"][0]["join"]["braces"][0], **changes}


def angle(degrees, **more):
    return {"dihedral": {"angleDeg": degrees}, **more}


# A thermal soarer: three panels a side, more and more dihedral.
soarer = dict(stiffening={"covering": "film"}, sheeting={"thickness": 1.5, "to": "fraction", "fraction": 0.34}, capStrips={"width": 6.0, "thickness": 1.5},
              leadingEdge={"kind": "square", "width": 6.0}, trailingEdge={"kind": "wedge", "width": 25.0})
wing("tarnbrook-2000", "Tarnbrook 2000", [
    dict(soarer, sections={"root": naca("3411"), "tip": naca("3410")}, panel=panel(430.0, 214.0, 202.0, 4.0),
         ribs=even(9), spars=[caps("main spar", 0.31, 0.31, 12.0, 3.0, webs=2.0)], join=angle(1.5, braces=[]),
         joiner={"fitted": True, "along": "across", "fraction": 0.41, "diameter": 9.0, "bore": 0.0, "sleeve": 9.5, "toRib": 3, "facing": 1.6,
                 "material": "carbon-tube", "pin": True, "pinFraction": 0.72, "pinDiameter": 3.0}),
    dict(soarer, sections={"root": naca("3410"), "tip": naca("3410")}, panel=panel(350.0, 202.0, 168.0, 14.0, 0.5, 0.3),
         ribs=even(8), spars=[caps("main spar", 0.31, 0.31, 12.0, 3.0, to=(6.0, 3.0), webs=1.5)],
         join=angle(6.0, braces=[brace(toRib=3, thickness=2.5, side="both", over="faces")], rods=True, rodDiameter=4.0,
                    rodFront=0.18, rodRear=0.54)),
    dict(soarer, sections={"root": naca("3410"), "tip": naca("2409")}, panel=panel(220.0, 168.0, 112.0, 24.0, 2.0, 0.3),
         ribs=even(7), spars=[caps("main spar", 0.31, 0.32, 5.0, 2.0)],
         join=angle(12.0, braces=[brace(toRib=2, thickness=2.0, over="faces")]), tip={"kind": "block", "reach": 28.0, "farthest": 0.7}),
], {"mass": 980.0, "loadFactor": 5.0})

# A swept, tapered sport wing with plenty of washout.
wing("skerrow-1460", "Skerrow 1460", [
    dict(sections={"root": naca("2412"), "tip": naca("2410")}, panel=panel(730.0, 268.0, 172.0, 168.0, 3.5, 0.25),
         ribs=even(13, rim=0.7), spars=[caps("main spar", 0.28, 0.28, 8.0, 3.0, webs=1.5), caps("rear spar", 0.64, 0.64, 4.0, 2.0, "balsa-220", stops=620.0, webs=1.5)],
         sheeting={"thickness": 1.5, "to": "spar", "spar": 1}, tip={"kind": "plate", "thickness": 2.0, "margin": 3.0},
         joiner={"fitted": True, "along": "across", "fraction": 0.5, "diameter": 10.0, "bore": 0.0, "sleeve": 10.5, "toRib": 3, "facing": 1.6,
                 "material": "carbon-tube", "pin": True, "pinFraction": 0.78, "pinDiameter": 3.0},
         join=angle(2.0, braces=[], blockAt="trailingEdge", feet=True, footWidth=9.0, footClearance=6.0)),
], {"mass": 1650.0, "loadFactor": 6.0})

# A vintage-style wing: undercambered, a flat middle and turned-up tips.
vintage = dict(stiffening={"covering": "tissue"}, riblets={"inBay": 1, "thickness": 1.5, "to": "spar", "spar": 1}, sheeting={"top": False, "bottom": False}, capStrips={"top": False, "bottom": False},
               leadingEdge={"kind": "onEdge", "width": 6.0}, trailingEdge={"kind": "wedge", "width": 22.0})
wing("oldacre-1320", "Oldacre 1320", [
    dict(vintage, sections={"root": naca("6409"), "tip": naca("6409")}, panel=panel(400.0, 206.0, 206.0, 0.0),
         ribs=even(9, 2.0, 2.5, 0.3), spars=[caps("main spar", 0.30, 0.30, 6.0, 3.0)],
         join=angle(0.0, braces=[], datum="undersideFlat", sparsThere="through")),
    dict(vintage, sections={"root": naca("6409"), "tip": naca("6407")}, panel=panel(260.0, 206.0, 138.0, 22.0, 2.0, 0.0),
         ribs=even(7, 2.0, 2.5, 0.3), spars=[caps("main spar", 0.30, 0.30, 5.0, 2.0)], tip={"kind": "bow", "reach": 62.0, "farthest": 0.66, "raised": 4.0, "thickness": 0.8, "strips": 4, "bowWidth": 5.0, "springBack": 0.08},
         join=angle(14.0, braces=[brace(toRib=2, thickness=1.5, side="both", over="between", slots=True)], datum="undersideFlat")),
], {"mass": 420.0, "loadFactor": 4.0}, [
    (surface("Tailplane", "tailplane", 0.2, 560.0, 18.0), [
        dict(vintage, sections={"root": naca("4406"), "tip": naca("4406")}, panel=panel(250.0, 140.0, 104.0, 14.0),
             ribs=even(7, 1.5, 2.0, 0.2), spars=[caps("spar", 0.34, 0.34, 3.0, 2.0, "balsa-220")], riblets={"inBay": 0},
             leadingEdge={"kind": "square", "width": 4.0}, trailingEdge={"kind": "wedge", "width": 12.0},
             tip={"kind": "bow", "reach": 40.0, "farthest": 0.62, "raised": 0.0, "thickness": 0.8, "strips": 3, "bowWidth": 3.0},
             join=angle(0.0, braces=[], datum="undersideFlat"))]),
    (surface("Fin", "fin", 0.08, 600.0, 20.0), [
        dict(vintage, sections={"root": naca("0006"), "tip": naca("0006")}, panel=panel(120.0, 118.0, 78.0, 26.0),
             ribs=even(4, 1.5, 1.5, 0.3), spars=[caps("spar", 0.36, 0.36, 3.0, 2.0, "balsa-220")], riblets={"inBay": 0},
             leadingEdge={"kind": "square", "width": 3.0}, trailingEdge={"kind": "wedge", "width": 10.0},
             tip={"kind": "outline", "reach": 34.0, "farthest": 0.7, "thickness": 3.0, "width": 9.0},
             join=angle(0.0, braces=[]))]),
])

# An indoor wing: curved plates, two panels a side, weight counted in tenths of a gram.
plate = {"kind": "curvedPlate", "plate": 0.03, "curve": "arc", "camber": 0.05}
indoor = dict(sections={"root": plate, "tip": plate}, sheeting={"top": False, "bottom": False}, capStrips={"top": False, "bottom": False},
              leadingEdge={"kind": "none"}, trailingEdge={"kind": "none"})
ribs = {"rule": "count", "thickness": 0.8, "rootThickness": 0.8, "tipThickness": 0.8, "rim": 0.5, "notchFit": 0.0}
spar = dict(caps("spar", 0.42, 0.42, 1.4, 1.4, "balsa-160"), bottom={"fitted": False, "width": 1.4, "depth": 1.4, "material": "balsa-160", "tapers": False, "tipWidth": 1.4,
                                                                               "tipDepth": 1.4, "changes": False, "changesAt": 0.5,
                                                                               "thenMaterial": "balsa-160"})
wing("gossamoor-480", "Gossamoor 480", [
    dict(indoor, panel=panel(150.0, 92.0, 92.0, 0.0), ribs=dict(ribs, count=5), spars=[spar],
         join={"dihedral": {"rise": 0.0}, "braces": []}, left={"differs": True, "washoutDeg": -1.2}),
    dict(indoor, panel=panel(90.0, 92.0, 60.0, 10.0), ribs=dict(ribs, count=4), spars=[spar],
         join={"dihedral": {"rise": 38.0}, "braces": [], "sparsThere": "cracked", "crackLeaves": 0.4}),
], {"mass": 1.8, "loadFactor": 2.0},
    posts={"fitted": True, "front": 0.08, "rear": 0.85, "height": 34.0, "incidenceDeg": 2.5, "diameter": 1.0, "inTube": 9.0,
           "material": "balsa-220"})

# A swept wing of crossing ribs, covered with film.
crossed = {"rule": "count", "count": 9, "thickness": 1.5, "rootThickness": 3.0, "tipThickness": 2.0, "rim": 0.3,
           "direction": "diagonal", "angleDeg": 38.0, "crossing": True}
wing("lanehurst-1180", "Lanehurst 1180", [
    dict(sections={"root": naca("2413"), "tip": naca("2411")}, panel=panel(590.0, 218.0, 156.0, 46.0, 1.5, 0.25), ribs=crossed,
         sheeting={"top": False, "bottom": False}, capStrips={"top": False, "bottom": False},
         leadingEdge={"kind": "square", "width": 6.0}, trailingEdge={"kind": "wedge", "width": 24.0},
         spars=[caps("main spar", 0.30, 0.30, 6.0, 3.0, to=(4.0, 2.0), webs=1.5), caps("rear spar", 0.52, 0.60, 4.0, 2.0, "spruce", webs=1.5)],
         join=angle(3.0, braces=[brace(toRib=3, thickness=2.0, side="both", over="faces", form="folded"),
                                 brace(spar=2, thickness=1.5, side="behind", over="faces", form="folded", toRib=2)]),
         tip={"kind": "rounded", "radius": 22.0}, stiffening={"covering": "film"}),
], {"mass": 860.0, "loadFactor": 5.0})
