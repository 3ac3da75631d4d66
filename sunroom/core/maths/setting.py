"""Formulas set as outlines: computed once, and drawn alike on the screen, in PDF, pictures and SVG.

The layout is ziamath's (MIT), by the rules of an OpenType font for maths (STIX Two Math, SIL Open Font License 1.1).
"""

from __future__ import annotations

import re
from collections import OrderedDict
from collections.abc import Iterator, Sequence
from functools import lru_cache
from typing import Any
from xml.etree import ElementTree

import msgspec
import numpy as np
from numpy.typing import NDArray
from ziamath import Math  # type: ignore[attr-defined]
from ziamath.config import config
from ziamath.nodes.mrow import Mrow

from sunroom.core.errors import MalformedError
from sunroom.core.maths.chemistry import chemistry_of
from sunroom.core.maths.notation import Gap, Row, Word, mathml_of, upright
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.maths.typed import read_formula
from sunroom.core.sentences import said

#: Outlines are kept in so many units to the size of the type.
UNITS = 1_000
#: The size at which the layout is computed.
SET_SIZE = 100.0
#: Room around a formula, in sizes: strokes of letters reach out of their boxes.
PAD = 0.06
#: Room between a formula and its number.
NUMBER_GAP = 2.0
#: Set formulas kept at hand in a process.
KEPT = 400

#: Characters of an outline at most.
MAX_OUTLINE, MAX_OUTLINE_IN_LINE = 200_000, 20_000

_PATH = re.compile(r"([MLQCZ])([^MLQCZ]*)")
_NUMBER = re.compile(r"-?[\d.]+(?:e-?\d+)?")

# Paths, not references to them.
config.svg2 = False

_measured = Mrow._get_height_nostretch


def _height_without_stretching(row: Mrow, line: list[ElementTree.Element], **how: Any) -> tuple[float, float]:
    """How high a row is without what stretches to it.

    ziamath sets every row twice to know that, and so the rows in it four times, and so on; only those with a bracket that stretches
    need to know, and none while it is being measured.
    """
    if how.get("nostretch") or not any(child.get("stretchy") == "true" for child in line):
        return 0.0, 0.0
    found: tuple[float, float] = _measured(row, line, **how)
    return found


Mrow._get_height_nostretch = _height_without_stretching  # type: ignore[method-assign, assignment]


class Setting(msgspec.Struct, frozen=True):
    """A formula set at size 1.

    ``outline`` is an SVG path of M, L, Q and Z, its numbers whole ``UNITS`` of the size from the upper left corner;
    filled by the nonzero rule. Width and height in sizes; ``baseline`` from the upper edge.
    """

    outline: str
    width: float
    height: float
    baseline: float


_kept: OrderedDict[tuple[str, str], Setting] = OrderedDict()


def set_formula(formula: str, number: str = "") -> Setting:
    """Set a typed formula, with its number to the right; raises MalformedError with what is not understood."""
    made = _kept.get((formula, number))
    if made is None:
        row = read_formula(formula)
        if number:
            row = Row((*row.nodes, Gap(NUMBER_GAP), Word(f"({number})")))
        made = set_row(row)
        keep_setting(formula, made, number)
    return made


@lru_cache(maxsize=KEPT)
def set_in_line(formula: str) -> Setting | None:
    """A typed formula as it stands among words, with lower fractions; None where it cannot be set, or is too much for that."""
    try:
        made = set_row(read_formula(formula), in_line=True)
    except MalformedError:
        return None
    return made if len(made.outline) <= MAX_OUTLINE_IN_LINE else None


def keep_setting(formula: str, made: Setting, number: str = "") -> None:
    """Know how a formula is set that another process has set: whoever previews it is about to ask for it."""
    _kept[formula, number] = made
    while len(_kept) > KEPT:
        _kept.popitem(last=False)


def set_row(row: Row, in_line: bool = False) -> Setting:
    """Set a formula, by itself or ``in_line`` among words; raises MalformedError where the layout cannot."""
    try:
        # Symbols of elements stand upright.
        mathml = mathml_of(upright(row) if chemistry_of(row) else row, in_line=in_line)
        made = Math(mathml, size=SET_SIZE)
        drawn, reach = made.svgxml(), made.node.bbox
    except Exception as error:  # the layout is another's: what it cannot set is told, and nothing is lost
        raise MalformedError("formula", said("a-formula-cannot-be-set")) from error
    left, top = reach.xmin - PAD * SET_SIZE, -reach.ymax - PAD * SET_SIZE
    outline = "".join(_outlines(drawn, left, top))
    if len(outline) > MAX_OUTLINE:
        raise MalformedError("formula", said("a-formula-has-at-most", signs=MAX_FORMULA))
    return Setting(
        outline,
        round((reach.xmax - reach.xmin) / SET_SIZE + 2 * PAD, 4),
        round((reach.ymax - reach.ymin) / SET_SIZE + 2 * PAD, 4),
        round(-top / SET_SIZE, 4),
    )


def _outlines(drawn: ElementTree.Element, left: float, top: float) -> Iterator[str]:
    """The drawing's paths and bars, one after another, from the upper left corner."""
    for element in drawn.iter():
        name = element.tag.rpartition("}")[2]
        if name == "path":
            for command, numbers in _PATH.findall(element.get("d", "")):
                values = [float(number) for number in _NUMBER.findall(numbers)]
                yield command + _units(values, left, top)
        elif name == "rect":
            x, y, width, height = (float(element.get(key, "0")) for key in ("x", "y", "width", "height"))
            corners = (x, y), (x + width, y), (x + width, y + height), (x, y + height)
            yield "".join("ML"[at > 0] + _units(corner, left, top) for at, corner in enumerate(corners)) + "Z"


def _units(values: Sequence[float], left: float, top: float) -> str:
    """Coordinates in whole units, x and y by turns."""
    scale = UNITS / SET_SIZE
    whole = (round((value - (top if at % 2 else left)) * scale) for at, value in enumerate(values))
    return " ".join(map(str, whole))


def outline_curves(outline: str) -> list[NDArray[np.float64]]:
    """The closed lines of an outline as chains of 1 + 3·n cubic control points, in its units."""
    curves: list[NDArray[np.float64]] = []
    line: list[tuple[float, float]] = []
    for command, numbers in _PATH.findall(outline):
        values = [float(number) for number in _NUMBER.findall(numbers)]
        points = list(zip(values[::2], values[1::2], strict=True))
        if command == "M":
            line = points[:1]
        elif command == "Z":
            if len(line) > 1:
                curves.append(np.array(line))
        else:
            start = np.array(line[-1])
            inner = np.array(points)
            if command == "L":
                end = inner[-1]
                controls = [start + (end - start) / 3, start + 2 * (end - start) / 3, end]
            elif command == "Q":
                via, end = inner
                controls = [start + 2 * (via - start) / 3, end + 2 * (via - end) / 3, end]
            else:
                controls = list(inner)
            line += [(float(x), float(y)) for x, y in controls]
    return curves
