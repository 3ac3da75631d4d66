"""Handwriting fonts as hands that join their letters: every glyph that shaping brings, traced into pen strokes.

A font of joined-up writing has several forms of a letter, and which one is written depends on its neighbours; the
shaper (HarfBuzz) says which. ``Face`` shapes a text and gives the strokes of each glyph; all glyphs that common words
need are traced once and kept in training/var.

    python -m training.faces        trace all fonts on two cores: about a quarter of an hour
"""

from __future__ import annotations

import io
import pickle
from functools import cache
from multiprocessing import Pool
from typing import NamedTuple

import cv2
import numpy as np
import uharfbuzz
from fontTools.pens.basePen import BasePen
from fontTools.ttLib import TTFont
from wordfreq import top_n_list

from sunroom.core.geometry import simplify
from sunroom.core.ink.tracing import trace_picture
from training.hands import PACKAGES, TRACED, font_names
from training.trace import CHARACTERS

SIZE_PX = 200
TOLERANCE_PX = 0.6
CURVE_STEPS = 8
#: Letters by whose lines the thickness of a font's pen is told.
TYPICAL = "nloeadhu"
#: Of these languages so many words are shaped to find the forms of letters that are used.
LANGUAGES, WORDS = ("en", "de", "fr", "es"), 6_000

Strokes = list[np.ndarray]


class Glyph(NamedTuple):
    """One glyph of a shaped text: its strokes in font sizes, y down, where they stand in the line."""

    strokes: Strokes
    cluster: int


class Face:
    """A font as a hand."""

    def __init__(self, name: str) -> None:
        self.name = name
        self._font = _font(name)
        self._em = self._font.face.upem
        kept = TRACED / f"face-{name}.pickle"
        if not kept.exists():
            TRACED.mkdir(exist_ok=True)
            kept.write_bytes(pickle.dumps(_trace_all(self._font)))
        self._traced: dict[int, Strokes] = pickle.loads(kept.read_bytes())
        self._space = self._font.get_nominal_glyph(ord(" "))

    def shape(self, text: str) -> tuple[list[Glyph], float] | None:
        """The glyphs of a text and its width, or None when the font lacks one of its characters."""
        glyphs, x = [], 0.0
        buffer = _shaped(self._font, text)
        for info, place in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True):
            strokes = self._traced.get(info.codepoint, [] if info.codepoint == self._space else None)
            if strokes is None:
                return None
            at = (x + place.x_offset / self._em, -place.y_offset / self._em)
            glyphs.append(Glyph([s + at for s in strokes], info.cluster))
            x += place.x_advance / self._em
        return glyphs, x

    def trace_text(self, text: str) -> Strokes:
        """The strokes of a text, traced as a whole from its picture: parted where its lines cross, as on paper."""
        buffer = _shaped(self._font, text)
        pen, x = _Outline(), 0
        for info, place in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True):
            pen.at = (x + place.x_offset, place.y_offset)
            self._font.draw_glyph_with_pen(info.codepoint, pen)
            x += place.x_advance
        return _strokes_of(pen, self._em, _half(self._font))


@cache
def face(name: str) -> Face:
    return Face(name)


def _font(name: str) -> uharfbuzz.Font:
    file = PACKAGES / "@fontsource" / name / "files" / f"{name}-latin-400-normal.woff2"
    font = TTFont(file)
    font.flavor = None
    plain = io.BytesIO()
    font.save(plain)
    return uharfbuzz.Font(uharfbuzz.Face(plain.getvalue()))


def _shaped(font: uharfbuzz.Font, text: str) -> uharfbuzz.Buffer:
    buffer = uharfbuzz.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    uharfbuzz.shape(font, buffer)
    return buffer


def _trace_all(font: uharfbuzz.Font) -> dict[int, Strokes]:
    has = {c for c in CHARACTERS + " " if font.get_nominal_glyph(ord(c))}
    texts = [*CHARACTERS, *(f"a{c}a" for c in CHARACTERS)]
    for language in LANGUAGES:
        for word in top_n_list(language, WORDS):
            texts += [word, word.capitalize()]
    used = {0}
    for text in texts:
        if set(text) <= has:
            used |= {info.codepoint for info in _shaped(font, text).glyph_infos}
    used.discard(0)
    half = _half(font)
    return {glyph: _traced(font, glyph, half) for glyph in sorted(used)}


def _half(font: uharfbuzz.Font) -> float:
    """About half of the pen's thickness, in px."""
    depths = []
    for letter in TYPICAL:
        pen = _Outline()
        font.draw_glyph_with_pen(font.get_nominal_glyph(ord(letter)), pen)
        solid, _ = _picture(pen, font.face.upem)
        if solid.any():
            depth = cv2.distanceTransform(solid, cv2.DIST_L2, 5)
            depths.append(float(np.percentile(depth[solid > 0], 80)) * 1.6)
    return float(np.median(depths)) if depths else 5.0


def _traced(font: uharfbuzz.Font, glyph: int, half: float) -> Strokes:
    pen = _Outline()
    font.draw_glyph_with_pen(glyph, pen)
    return _strokes_of(pen, font.face.upem, half)


def _strokes_of(pen: _Outline, em: int, half: float) -> Strokes:
    solid, origin = _picture(pen, em)
    if not solid.any():
        return []
    lines = [stroke[:, :2] for stroke in trace_picture(solid, half=half)]
    found = [
        (points[simplify(points, TOLERANCE_PX)] - origin) / SIZE_PX
        for number, points in enumerate(lines)
        if not _is_stub(points, [*lines[:number], *lines[number + 1 :]], half)
    ]
    return sorted(found, key=lambda stroke: float(stroke[:, 0].min()))


def _is_stub(points: np.ndarray, others: Strokes, half: float) -> bool:
    """A short piece on another line is left of the pen's bluntness; by itself it is a dot."""
    if len(points) <= 3 or float(np.hypot(*np.diff(points, axis=0).T).sum()) >= 2 * half or not others:
        return False
    return float(np.abs(np.vstack(others)[:, None] - points[::3]).max(axis=2).min()) < half


def _picture(pen: _Outline, em: int) -> tuple[np.ndarray, np.ndarray]:
    """Outlines as a black and white picture, and where their origin lies in it."""
    if not pen.contours:
        return np.zeros((1, 1), np.uint8), np.zeros(2)
    scale = SIZE_PX / em
    contours = [np.array(c) * (scale, -scale) for c in pen.contours if len(c) > 2]
    everything = np.vstack(contours)
    low = np.floor(everything.min(axis=0)) - 4
    width, height = (np.ceil(everything.max(axis=0)) - low + 4).astype(int)
    winding = np.zeros((height, width), np.int16)
    for contour in contours:
        mask = np.zeros((height, width), np.uint8)
        cv2.fillPoly(mask, [np.rint((contour - low) * 16).astype(np.int32)], 1, cv2.LINE_8, 4)
        x, y = contour.T
        turns = 1 if float(np.dot(x, np.roll(y, -1)) - np.dot(y, np.roll(x, -1))) > 0 else -1
        winding += turns * mask.astype(np.int16)
    return (winding != 0).astype(np.uint8), -low


class _Outline(BasePen):
    """Contours as polygons, moved by ``at``."""

    def __init__(self) -> None:
        super().__init__(None)
        self.contours: list[list[tuple[float, float]]] = []
        self.at = (0, 0)

    def _moveTo(self, pt: tuple[float, float]) -> None:
        self.contours.append([])
        self._lineTo(pt)

    def _lineTo(self, pt: tuple[float, float]) -> None:
        self.contours[-1].append((pt[0] + self.at[0], pt[1] + self.at[1]))

    def _curveToOne(
        self, pt1: tuple[float, float], pt2: tuple[float, float], pt3: tuple[float, float]
    ) -> None:
        start = np.array(self._getCurrentPoint())
        for t in np.linspace(0, 1, CURVE_STEPS + 1)[1:]:
            weights = ((1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t**2 * (1 - t), t**3)
            point = sum(w * np.array(p) for w, p in zip(weights, (start, pt1, pt2, pt3), strict=True))
            self._lineTo((float(point[0]), float(point[1])))


def _trace_one(name: str) -> str:
    try:
        face(name)
    except Exception as error:  # a font that cannot be used is named, and the others go on
        return f"{name}: {error!r}"
    return f"{name}: {len(face(name)._traced)} glyphs"


if __name__ == "__main__":
    with Pool(2) as pool:
        for line in pool.imap_unordered(_trace_one, font_names()):
            print(line, flush=True)
