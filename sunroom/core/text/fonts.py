"""Metrics of the shipped fonts, read from their files' bytes, and the fallback from one to the next."""

from __future__ import annotations

import io
import unicodedata
from collections.abc import Mapping, Sequence
from functools import cached_property

from fontTools.ttLib import TTFont

from sunroom.core.text.layout import OTHER_FACE, Line, Manner, SetFormula, break_lines
from sunroom.core.text.styles import Align, Family, Listing, Span

#: Distance of two baselines, as a part of the size.
LINE_HEIGHT = 1.3
#: From the top of a line to its baseline, as a part of the size.
BASELINE = 1.0
#: Text that is to fit is tried at sizes this far apart.
FIT_STEP = 0.94
#: How wide a character is about, as a part of the size, that no shipped face has: a picture sign, a wide one, any other.
PICTURE_WIDTH, WIDE_WIDTH, OTHER_WIDTH = 1.25, 1.0, 0.6


class FontFace:
    """One font file: which characters it has and how wide they are.

    Parameters
    ----------
    name : str
        The face's name in runs, in the browser's stylesheet and in saved files.
    data : bytes
        The font file (TrueType, OpenType or WOFF2).
    """

    def __init__(self, name: str, data: bytes) -> None:
        self.name = name
        self.data = data

    @cached_property
    def _font(self) -> TTFont:
        # Read when the first character is asked for: the large face of signs takes a second.
        return TTFont(io.BytesIO(self.data), lazy=True)

    @cached_property
    def _glyphs(self) -> Mapping[int, str]:
        return self._font.getBestCmap()  # type: ignore[no-any-return]

    @cached_property
    def _advances(self) -> dict[str, float]:
        widths, upem = self._font["hmtx"].metrics, self._font["head"].unitsPerEm
        return {chr(code): widths[glyph][0] / upem for code, glyph in self._glyphs.items()}

    def advance(self, character: str) -> float | None:
        """Width of ``character`` at size 1; None when the face does not have it."""
        return self._advances.get(character)

    def extent(self, character: str) -> tuple[float, float] | None:
        """How far ``character`` reaches above and below the baseline at size 1; None for an empty one."""
        outline = self._font["glyf"][self._glyphs[ord(character)]]
        if not outline.numberOfContours:
            return None
        upem = self._font["head"].unitsPerEm
        return outline.yMax / upem, -outline.yMin / upem


def _about_width(character: str) -> float:
    category = unicodedata.category(character)
    if category in ("Mn", "Me", "Cf"):
        return 0.0
    if category == "So":
        return PICTURE_WIDTH
    return WIDE_WIDTH if unicodedata.east_asian_width(character) in "WF" else OTHER_WIDTH


#: Characters whose faces are kept at hand: more than any lesson's.
MAX_CHOSEN = 50_000


class Typesetter:
    """Breaks text into lines with a chain of faces: the first that has a character draws it.

    Kerning and ligatures are off here and in every drawing, so a width is the sum of its characters'. ``set_formula`` sets
    the formulas that stand among words.
    """

    def __init__(self, faces: Sequence[FontFace], set_formula: SetFormula | None = None) -> None:
        self.faces = {face.name: face for face in faces}
        self._set_formula = set_formula
        self._chosen: dict[tuple[str, str], tuple[str, float]] = {}

    def choose(self, character: str, wanted: str = "") -> tuple[str, float]:
        """The face that draws ``character``, ``wanted`` if it can, and the width at size 1; about that, when no face has it."""
        key = character, wanted
        found = self._chosen.get(key)
        if found is None:
            found = (OTHER_FACE, _about_width(character))
            first = [self.faces[wanted]] if wanted in self.faces else []
            # Of scripts from right to left some faces have single signs, whose letters would not join.
            from_right = unicodedata.bidirectional(character) in ("R", "AL")
            for face in () if from_right else (*first, *self.faces.values()):
                advance = face.advance(character)
                if advance is not None:
                    found = (face.name, advance)
                    break
            if len(self._chosen) >= MAX_CHOSEN:
                self._chosen.clear()
            self._chosen[key] = found
        return found

    def layout(
        self,
        text: str,
        size: float,
        wrap_width: float | None = None,
        family: Family = "sans",
        align: Align = "left",
        listing: Listing = "none",
        spans: tuple[Span, ...] = (),
        pitch: float = 0.0,
    ) -> tuple[Line, ...]:
        """Lines of ``text`` at ``size``; broken at spaces when wider than ``wrap_width`` (None: never).

        ``pitch`` is the room of each sign as a part of the size; 0: as wide as it is.

        Returns
        -------
        tuple of Line
            At least one, also for empty text; x and baseline relative to the text's top left corner.
        """
        manner = Manner(size, wrap_width, family, align, listing, pitch)
        return break_lines(
            text, spans, manner, self.choose, LINE_HEIGHT * size, BASELINE * size, self._set_formula
        )

    def fitted(
        self, text: str, width: float, height: float, largest: float, least: float, align: Align = "centre"
    ) -> tuple[tuple[Line, ...], float]:
        """Lines of ``text`` as large as a box allows, and their size; at ``least`` they may stick out."""
        sizes = [largest]
        while sizes[-1] > least:
            sizes.append(max(least, sizes[-1] * FIT_STEP))
        # What fits at one size fits at all smaller ones: the largest that fits is found by halving.
        low, high = 0, len(sizes) - 1
        while low < high:
            middle = (low + high) // 2
            lines = self.layout(text, sizes[middle], width, align=align)
            widest = max(line.width for line in lines)
            if len(lines) * LINE_HEIGHT * sizes[middle] <= height and widest <= width + 0.01:
                high = middle
            else:
                low = middle + 1
        return self.layout(text, sizes[low], width, align=align), sizes[low]

    def extent(self, text: str) -> tuple[float, float]:
        """How far ``text`` reaches above and below its baseline at size 1: ascenders and tails.

        (0.7, 0) when it has no character that shows.
        """
        extents = [
            extent
            for character in set(text)
            if (face := self.faces.get(self.choose(character)[0])) and (extent := face.extent(character))
        ]
        if not extents:
            return 0.7, 0.0
        return max(up for up, _ in extents), max(down for _, down in extents)

    def size_of(self, text: str, height: float) -> float:
        """The size of type at which the letters of ``text``, from the top of the first line's to the bottom of
        the last line's, are ``height`` high."""
        lines = text.split("\n")
        above, below = self.extent(lines[0])[0], self.extent(lines[-1])[1]
        return height / (above + below + LINE_HEIGHT * (len(lines) - 1))

    def width(self, text: str, size: float, spans: tuple[Span, ...] = ()) -> float:
        """Width of the widest line of ``text``, unwrapped."""
        return max(line.width for line in self.layout(text, size, spans=spans))
