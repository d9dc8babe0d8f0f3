"""SVG files rendered with librsvg: what is drawn must be there, and at full size."""
import re
import struct
import subprocess
import zlib
from pathlib import Path

from common import demo, export, finish, near, scratch, stations, true

DPI = 127  # 5 pixels a millimetre


def pixels(png):
    """Rows of RGBA bytes of an 8-bit PNG, filters undone."""
    data = Path(png).read_bytes()
    at, packed = 8, b""
    while at < len(data):
        length, kind = struct.unpack(">I4s", data[at:at + 8])
        body = data[at + 8:at + 8 + length]
        if kind == b"IHDR":
            width, height, depth, colour = struct.unpack(">IIBB", body[:10])
        packed += body if kind == b"IDAT" else b""
        at += 12 + length
    assert depth == 8 and colour in (2, 6)
    n = 4 if colour == 6 else 3
    raw, rows, before = zlib.decompress(packed), [], bytearray(width * n)
    for y in range(height):
        start = y * (width * n + 1)
        mode, line = raw[start], bytearray(raw[start + 1:start + 1 + width * n])
        for i in range(len(line)):
            a = line[i - n] if i >= n else 0
            b, c = before[i], before[i - n] if i >= n else 0
            if mode == 1: line[i] = (line[i] + a) & 255
            elif mode == 2: line[i] = (line[i] + b) & 255
            elif mode == 3: line[i] = (line[i] + (a + b) // 2) & 255
            elif mode == 4:
                p = a + b - c
                nearest = min((abs(p - a), 0, a), (abs(p - b), 1, b), (abs(p - c), 2, c))[2]
                line[i] = (line[i] + nearest) & 255
        rows.append(bytes(line))
        before = line
    return width, height, n, rows


with scratch() as folder:
    path = demo(folder)
    rows = stations(path)
    plan = [f for f in export(path, folder, "svg", "--hand", "right") if "plan" in f.name][0]
    text = plan.read_text()
    width = float(re.search(r'width="([\d.]+)mm"', text).group(1))
    png = Path(folder) / "plan.png"
    subprocess.run(["rsvg-convert", "--dpi-x", str(DPI), "--dpi-y", str(DPI), "-b", "white", "-o", png, plan], check=True)
    w, h, n, lines = pixels(png)
    near("pixels across", w, width * DPI / 25.4, 2)
    # The red cut lines run from the root to the tip: as many millimetres as the half span.
    red = [x for line in lines[::7] for x in range(w) if line[x * n] > 150 and line[x * n + 1] < 150 and line[x * n + 2] < 150]
    near("half span as rendered", (max(red) - min(red)) / DPI * 25.4, rows[-1]["station_mm"], 0.6)
    true("no lettering", any(line[x * n] < 90 and line[x * n + 1] < 90 for line in lines[::3] for x in range(0, w)))
finish()
