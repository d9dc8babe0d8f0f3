"""PDF pages and check bars measured with poppler."""
import re
import subprocess
from pathlib import Path

from common import demo, export, finish, near, scratch, true

MM = 25.4 / 72
PAPER = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}


def dark_runs(ppm, dpi):
    """Longest dark run along each line and each column of a grey picture, in mm."""
    data = Path(ppm).read_bytes()
    _, w, h, _ = re.match(rb"(P5)\s+(\d+)\s+(\d+)\s+(\d+)\s", data).groups()
    w, h = int(w), int(h)
    body = data[len(data) - w * h:]

    def longest(line):
        best = run = 0
        for value in line:
            run = run + 1 if value < 128 else 0
            best = max(best, run)
        return best * 25.4 / dpi

    return [longest(body[y * w:(y + 1) * w]) for y in range(h)], [longest(body[x::w]) for x in range(w)]


with scratch() as folder:
    path = demo(folder)
    for paper, (width, height) in PAPER.items():
        for file in export(path, Path(folder) / paper, "pdf", "--paper", paper):
            info = subprocess.run(["pdfinfo", "-f", "1", "-l", "99", file], capture_output=True, text=True, check=True).stdout
            pages = int(re.search(r"Pages:\s+(\d+)", info).group(1))
            for w, h in re.findall(r"size:\s+([\d.]+) x ([\d.]+) pts", info):
                got = sorted((float(w) * MM, float(h) * MM))
                near(f"{file.name} page width", got[0], width, 0.2)
                near(f"{file.name} page height", got[1], height, 0.2)
            text = subprocess.run(["pdftotext", "-layout", file, "-"], capture_output=True, text=True, check=True).stdout
            hand = "RIGHT HAND" if "right" in file.name else "LEFT HAND"
            for number in range(1, pages + 1):
                true(f"{file.name}: page {number} of {pages} not written", f"page {number} of {pages}" in text)
            true(f"{file.name}: hand or scale missing", text.count(hand) >= pages and text.count("full size 1:1") >= pages)
            fonts = subprocess.run(["pdffonts", file], capture_output=True, text=True, check=True).stdout.splitlines()[2:]
            true(f"{file.name}: fonts not embedded: {fonts}", fonts and all(" yes " in line for line in fonts))
    # Check bars on the last page of the bench card, where nothing else is as long.
    card = [f for f in export(path, Path(folder) / "a4", "pdf", "--hand", "right") if "bench" in f.name][0]
    dpi = 254
    subprocess.run(["pdftoppm", "-gray", "-r", str(dpi), "-f", "1", "-l", "1", card, Path(folder) / "page"], check=True)
    along, up = dark_runs(sorted(Path(folder).glob("page*.pgm"))[0], dpi)
    true(f"no 100 mm bar along: {max(along)}", any(abs(v - 100) < 0.4 for v in along))
    true(f"no 100 mm bar up: {max(up)}", any(abs(v - 100) < 0.4 for v in up))
finish()
