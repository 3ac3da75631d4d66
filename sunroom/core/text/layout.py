"""Line breaking: text to lines of runs, each run in one face at a known place."""

from __future__ import annotations

from collections.abc import Callable

import msgspec

#: face and width at size 1 of a character
Choose = Callable[[str], tuple[str, float]]


class Run(msgspec.Struct, frozen=True, array_like=True):
    """Characters of one face in a row; ``x`` from the line's start, both in board units."""

    face: str
    text: str
    x: float
    width: float


class Line(msgspec.Struct, frozen=True, array_like=True):
    """One line; ``baseline`` from the top of the text, ``width`` without trailing spaces."""

    runs: tuple[Run, ...]
    baseline: float
    width: float


def break_lines(
    text: str, size: float, wrap_width: float | None, choose: Choose, line_height: float, ascent: float
) -> tuple[Line, ...]:
    """Break ``text`` at its line ends and, where ``wrap_width`` asks for it, at spaces.

    A word wider than ``wrap_width`` is broken between characters.
    """
    pieces: list[str] = []
    for paragraph in text.split("\n"):
        pieces.extend(_wrap(paragraph, size, wrap_width, choose))
    return tuple(
        _line(piece, size, choose, ascent + number * line_height) for number, piece in enumerate(pieces)
    )


def _wrap(paragraph: str, size: float, wrap_width: float | None, choose: Choose) -> list[str]:
    if wrap_width is None:
        return [paragraph]
    limit = wrap_width + 1e-6 * size
    lines: list[str] = []
    start, last_space, width = 0, -1, 0.0
    for index, character in enumerate(paragraph):
        if character == " ":
            last_space = index
        width += choose(character)[1] * size
        if width <= limit or character == " " or index == start:
            continue
        if last_space > start:
            lines.append(paragraph[start:last_space])
            start = last_space + 1
        else:
            lines.append(paragraph[start:index])
            start = index
        width = sum(choose(c)[1] for c in paragraph[start : index + 1]) * size
    return [*lines, paragraph[start:]]


def _line(text: str, size: float, choose: Choose, baseline: float) -> Line:
    runs: list[Run] = []
    x, start, run_start, face = 0.0, 0.0, 0, ""
    for index, character in enumerate(text):
        name, advance = choose(character)
        if name != face and index > run_start:
            runs.append(Run(face, text[run_start:index], start, x - start))
            start, run_start = x, index
        face = name
        x += advance * size
    if text:
        runs.append(Run(face, text[run_start:], start, x - start))
    trailing = len(text) - len(text.rstrip(" "))
    return Line(tuple(runs), baseline, x - trailing * choose(" ")[1] * size)
