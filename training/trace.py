"""Drawn letters to pen strokes: the middle lines of a font's glyphs, or of a picture of a digit.

    python -m training.trace FONT.woff2 OUT.json [SOURCE]

OUT.json holds {"source": …, "glyphs": {character: {"advance": …, "strokes": [[[x, y, pressure], …], …]}}};
1 unit is the font's size, the baseline is y = 0, y down. demo/hand.json was made so from
caveat-latin-400-normal.woff2 of the npm package @fontsource/caveat 5.3.0.
"""

from __future__ import annotations

import io
import json
import sys
from pathlib import Path
from typing import Any

import numpy as np
from fontTools.ttLib import TTFont
from PIL import Image, ImageDraw, ImageFont

from sunroom.core.geometry import simplify
from sunroom.core.ink.tracing import trace_picture

SIZE_PX = 240
CHARACTERS = (
    "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"
    ".,:;!?'\"()[]{}<>+-=*/%°×÷±&€$£@#²³àâäçéèêëîïôöùûüÿñáíóúßœæ¿¡ÀÂÄÇÉÈÊÔÖÜÑ"
)
#: Points nearer than this (in font sizes) to the line without them are left out.
TOLERANCE = 0.0025


def main() -> None:
    font_file, out = Path(sys.argv[1]), Path(sys.argv[2])
    source = sys.argv[3] if len(sys.argv) > 3 else font_file.stem
    glyphs = trace_font(font_file)
    out.write_text(json.dumps({"source": source, "glyphs": glyphs}, ensure_ascii=False))
    print(f"{out}: {len(glyphs)} characters")


def trace_font(font_file: Path) -> dict[str, Any]:
    """Advance and strokes of each of ``CHARACTERS`` that the font has."""
    face, known = opened_font(font_file)
    found = {
        character: {
            "advance": round(face.getlength(character) / SIZE_PX, 4),
            "strokes": trace(character, face),
        }
        for character in CHARACTERS
        if ord(character) in known
    }
    return {character: glyph for character, glyph in found.items() if glyph["strokes"]}


def opened_font(font_file: Path) -> tuple[ImageFont.FreeTypeFont, set[int]]:
    """A web font at the size of tracing, and the code points that it has."""
    font = TTFont(font_file)
    font.flavor = None
    plain = io.BytesIO()
    font.save(plain)
    plain.seek(0)
    return ImageFont.truetype(plain, SIZE_PX), set(font.getBestCmap() or ())


def trace(character: str, face: ImageFont.FreeTypeFont) -> list[list[list[float]]]:
    """Strokes of one character, left to right, each from its upper left end."""
    image = Image.new("L", (SIZE_PX * 2, SIZE_PX * 2))
    origin = (SIZE_PX // 2, SIZE_PX + SIZE_PX // 4)
    ImageDraw.Draw(image).text(origin, character, fill=255, font=face, anchor="ls")
    solid = (np.array(image) > 127).astype(np.uint8)
    strokes = [(points - (*origin, 0)) / (SIZE_PX, SIZE_PX, 1) for points in trace_picture(solid)]
    rows = [np.round(stroke[simplify(stroke[:, :2], TOLERANCE)], 3).tolist() for stroke in strokes]
    return sorted(rows, key=lambda stroke: min(row[0] for row in stroke))


if __name__ == "__main__":
    main()
