"""The board's plain face with a zero without its slash, which stands too near to θ and ø in a lesson.

Run from the project's root after `npm ci`: `python frontend/fonts/plain_zero.py`. Nothing but that outline is changed;
its width stays. The fonts' licence (OFL.txt, no reserved name) allows it.
"""

from __future__ import annotations

import shutil
from pathlib import Path

from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTFont

HERE = Path(__file__).resolve().parent
PACKAGE = HERE.parent / "node_modules" / "@fontsource" / "atkinson-hyperlegible-next"
STYLES = ("400-normal", "700-normal", "400-italic", "700-italic")


def without_slash(font: TTFont, name: str) -> None:
    """Replace what the slash has left of the zero's inside by the whole of it: the outer contour, made smaller."""
    glyphs = font["glyf"]
    glyph = glyphs[name]
    coordinates, ends, flags = glyph.getCoordinates(glyphs)
    starts = [0, *(end + 1 for end in ends[:-1])]
    boxes = [_box(coordinates[a : b + 1]) for a, b in zip(starts, ends, strict=True)]
    outer = max(range(len(boxes)), key=lambda i: boxes[i][2] - boxes[i][0])
    inner = [box for i, box in enumerate(boxes) if i != outer]
    left, low = min(box[0] for box in inner), min(box[1] for box in inner)
    right, high = max(box[2] for box in inner), max(box[3] for box in inner)
    x0, y0, x1, y1 = boxes[outer]
    contour = list(zip(coordinates, flags, strict=True))[starts[outer] : ends[outer] + 1]
    smaller = [
        ((left + (x - x0) * (right - left) / (x1 - x0), low + (y - y0) * (high - low) / (y1 - y0)), flag)
        for (x, y), flag in reversed(contour)
    ]
    pen = TTGlyphPen(None)
    for points in (contour, smaller):
        first = next(i for i, (_, flag) in enumerate(points) if flag & 1)
        turned = [*points[first:], *points[:first]]
        pen.moveTo(turned[0][0])
        off: list[tuple[float, float]] = []
        for place, flag in [*turned[1:], turned[0]]:
            if not flag & 1:
                off.append(place)
            elif off:
                pen.qCurveTo(*off, place)
                off = []
            else:
                pen.lineTo(place)
        pen.closePath()
    glyphs[name] = pen.glyph(round=round)


def _box(points: list[tuple[int, int]]) -> tuple[int, int, int, int]:
    xs, ys = [x for x, _ in points], [y for _, y in points]
    return min(xs), min(ys), max(xs), max(ys)


def main() -> None:
    for style in STYLES:
        font = TTFont(PACKAGE / "files" / f"atkinson-hyperlegible-next-latin-{style}.woff2")
        for name in ("zero", "zero.tf"):
            without_slash(font, name)
        font.flavor = "woff2"
        font.save(HERE / f"board-plain-{style}.woff2")
    shutil.copy(PACKAGE / "LICENSE", HERE / "OFL.txt")


if __name__ == "__main__":
    main()
