"""DXF files opened and measured with ezdxf."""
import ezdxf
from ezdxf.lldxf.encoding import decode_dxf_unicode
from common import demo, export, finish, near, scratch, stations, true

with scratch() as folder:
    path = demo(folder, plain=True)
    rows = stations(path)
    for file in export(path, folder, "dxf"):
        doc = ezdxf.readfile(file)
        true(f"{file.name}: faults {doc.audit().errors}", not doc.audit().errors)
        true(f"{file.name}: units {doc.units}", doc.units == 4)
        layers = {e.dxf.layer for e in doc.modelspace()}
        true(f"{file.name}: layers {layers}", layers <= {"CUT", "MARK", "TEXT"} and "TEXT" in layers)
        true(f"{file.name}: nothing to cut", "CUT" in layers or "strength" in file.name or "cut-list" in file.name or "work-sheet" in file.name)
        texts = decode_dxf_unicode(" ".join(e.dxf.text for e in doc.modelspace().query("TEXT")))
        hand = "RIGHT" if "right" in file.name else "LEFT"
        true(f"{file.name}: hand not written", hand in texts and ("LEFT" if hand == "RIGHT" else "RIGHT") not in texts)
        if "bench" in file.name:
            true(f"{file.name}: the degree sign is lost", "°" in texts)
        if "ribs" not in file.name:
            continue
        area, closed = 0.0, 0
        for line in doc.modelspace().query('LWPOLYLINE[layer=="CUT"]'):
            true("an open outline on CUT", line.closed)
            points = [(x, y) for x, y, *_ in line.get_points()]
            area += abs(sum(a[0] * b[1] - a[1] * b[0] for a, b in zip(points, points[1:] + points[:1]))) / 2
            closed += 1
        near(f"{file.name}: outlines", closed, len(rows), 0)
        want = sum(r["cut_area_mm2"] for r in rows)
        near(f"{file.name}: area of wood", area, want, 0.0005 * want)
finish()
