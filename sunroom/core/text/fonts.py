"""Metrics of the shipped fonts, read from their files' bytes, and the fallback from one to the next."""

from __future__ import annotations

import io
from collections.abc import Mapping, Sequence

from fontTools.ttLib import TTFont

from sunroom.core.text.layout import Line, break_lines

#: Distance of two baselines, as a part of the size.
LINE_HEIGHT = 1.3
#: From the top of a line to its baseline, as a part of the size.
BASELINE = 1.0
#: Drawn by the browser's own font when no shipped face has the character.
OTHER_FACE = "other"


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
        font = TTFont(io.BytesIO(data), lazy=True)
        self.units_per_em: int = font["head"].unitsPerEm
        glyphs: Mapping[int, str] = font.getBestCmap()
        widths = font["hmtx"].metrics
        self._outlines = font["glyf"]
        self._glyphs = glyphs
        self._advance = {chr(code): widths[glyph][0] / self.units_per_em for code, glyph in glyphs.items()}

    def advance(self, character: str) -> float | None:
        """Width of ``character`` at size 1; None when the face does not have it."""
        return self._advance.get(character)

    def extent(self, character: str) -> tuple[float, float] | None:
        """How far ``character`` reaches above and below the baseline at size 1; None for an empty one."""
        outline = self._outlines[self._glyphs[ord(character)]]
        if not outline.numberOfContours:
            return None
        return outline.yMax / self.units_per_em, -outline.yMin / self.units_per_em


class Typesetter:
    """Breaks text into lines with a chain of faces: the first that has a character draws it.

    Kerning and ligatures are off here and in every drawing, so a width is the sum of its characters'.
    """

    def __init__(self, faces: Sequence[FontFace]) -> None:
        self.faces = {face.name: face for face in faces}
        self._chosen: dict[str, tuple[str, float]] = {}

    def choose(self, character: str) -> tuple[str, float]:
        """The face that draws ``character`` and its width at size 1 (1 em when no face has it)."""
        found = self._chosen.get(character)
        if found is None:
            found = (OTHER_FACE, 1.0)
            for face in self.faces.values():
                advance = face.advance(character)
                if advance is not None:
                    found = (face.name, advance)
                    break
            self._chosen[character] = found
        return found

    def layout(self, text: str, size: float, wrap_width: float | None = None) -> tuple[Line, ...]:
        """Lines of ``text`` at ``size``; broken at spaces when wider than ``wrap_width`` (None: never).

        Returns
        -------
        tuple of Line
            At least one, also for empty text; x and baseline relative to the text's top left corner.
        """
        return break_lines(text, size, wrap_width, self.choose, LINE_HEIGHT * size, BASELINE * size)

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

    def width(self, text: str, size: float) -> float:
        """Width of the widest line of ``text``, unwrapped."""
        return max(line.width for line in self.layout(text, size))
