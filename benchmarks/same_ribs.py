"""The same ribs by plain NumPy and Shapely, timed: what docs/performance.md compares with.

Usage: /usr/bin/python3 benchmarks/same_ribs.py build/release/src/euptera-cli
"""
import sys
import time
from pathlib import Path

sys.path.insert(0, str(Path(__file__).resolve().parent.parent / "tests" / "reference"))
import ribs_shapely  # noqa: E402
from common import demo, inner, scratch  # noqa: E402

with scratch() as folder:
    design = inner(demo(folder).read_text())
    times = []
    for _ in range(9):
        start = time.perf_counter()
        root, tip, ribs = ribs_shapely.ribs(design)
        for share, up, low in ribs:
            ribs_shapely.cut(design, root, tip, share, up, low)
        times.append(time.perf_counter() - start)
    print(f"{design['ribs']['count']} ribs, median of 9: {sorted(times)[4] * 1000:.1f} ms")
