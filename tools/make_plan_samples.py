#!/usr/bin/env python3
"""Small pictures of one and the same cross, in every kind of pixel file that a scanner may write (needs Pillow).

Writes tests/files/plans/: 120 × 80 pixels, white, a vertical line 3 pixels wide with its middle at x = 40 and a
horizontal one with its middle at y = 30; 200 pixels an inch where the file can say it.
"""
import pathlib
from PIL import Image, ImageDraw

OUT = pathlib.Path(__file__).resolve().parent.parent / "tests/files/plans"


def cross(mode):
    image = Image.new("L", (120, 80), 255)
    draw = ImageDraw.Draw(image)
    draw.rectangle((39, 0, 41, 79), fill=0)
    draw.rectangle((0, 29, 119, 31), fill=0)
    if mode == "RGBA":  # ink is opaque, paper is nothing
        rgba = Image.new("RGBA", image.size, (0, 0, 0, 0))
        rgba.paste((10, 10, 10, 255), mask=image.point(lambda v: 255 - v))
        return rgba
    return image.convert(mode)


OUT.mkdir(parents=True, exist_ok=True)
for mode in ("1", "L", "P", "RGB", "RGBA", "I;16"):
    image = cross("L").convert("I").point(lambda v: v * 257).convert("I;16") if mode == "I;16" else cross(mode)
    image.save(OUT / f"{mode.replace(';', '')}.png", dpi=(200, 200))
for mode in ("L", "RGB", "CMYK"):
    cross(mode).save(OUT / f"{mode}.jpg", dpi=(200, 200), quality=92)
cross("RGB").save(OUT / "progressive.jpg", dpi=(200, 200), progressive=True)
for mode, compression in (("1", "group4"), ("1", None), ("L", "tiff_lzw"), ("RGB", None), ("RGB", "tiff_deflate"),
                          ("CMYK", None), ("P", "packbits"), ("RGBA", None)):
    name = f"{mode}-{compression or 'plain'}.tif"
    cross(mode).save(OUT / name, dpi=(200, 200), **({"compression": compression} if compression else {}))
cross("L").save(OUT / "two-pages.tif", save_all=True, append_images=[Image.new("L", (60, 50), 255)], dpi=(200, 200))
