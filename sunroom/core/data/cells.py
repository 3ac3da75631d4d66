"""Cells of a table that are worked out: arithmetic and a few functions over other cells, as spreadsheets write them.

A cell that begins with = names others by column letter and row number (A2, B2:B9). What cannot be worked out says so in
its place: ``?`` is not understood, ``÷0`` divides by nothing, ``B2?`` needs a number that is not in B2.
"""

from __future__ import annotations

import math
import re
import statistics
import unicodedata
from collections.abc import Callable, Iterator, Sequence
from graphlib import CycleError, TopologicalSorter
from typing import Any

from lark import Lark, Token, Transformer
from lark.exceptions import LarkError

#: Cells that the formulas of one table look at, each counted as often as it is named.
MAX_LOOKS = 20_000
#: Characters of all worked-out cells of one table.
MAX_SIGNS = 12_000
MAX_POWER, MAX_VALUE, MAX_NUMBER = 1_000.0, 1e300, 1e15
NOT_UNDERSTOOD, BY_NOTHING = "?", "÷0"

#: Thousands with something between them, a fraction, its own sign, or digits with parts; then a share of a hundred or a unit.
#: Dates, times and 10–19 are none.
_NUMBER = re.compile(
    r"""\s*(?P<sign>[+\-−–]?)(?:[€$£¥]\s?)?(?:
    (?P<grouped>\d{1,3}(?:[ \u00a0\u2009\u202f'’]\d{3})+(?:[.,]\d+)?
        |\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:,\d{3}){2,}|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?:\.\d{3}){2,})
    |(?P<over>\d+)\s?[/⁄]\s?(?P<under>\d+)(?![/⁄])
    |(?P<whole>\d*)\s?(?P<vulgar>[¼½¾⅐-⅞])
    |(?P<plain>(?:\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE][+\-−]?\d{1,3}(?![A-Za-z]))?)(?!\s?[/⁄:]\s?\d|[-−–]\d)
    )(?:\s*(?P<share>%))?(?=$|[^\d.,])""",
    re.VERBOSE,
)
_GRAMMAR = r"""
start: sum
?sum: product | sum "+" product -> add | sum "-" product -> subtract
?product: signed | product "*" signed -> multiply | product "/" signed -> divide
?signed: power | "-" signed -> negative | "+" signed
?power: atom | atom "^" signed -> power
?atom: PART -> part | NUMBER -> number | PLACE -> place | NAME "(" args ")" -> call | "(" sum ")" | NAME -> name
args: (arg (_COMMA arg)*)?
?arg: RANGE -> range | sum
PART.3: /\d+(\.\d+)?%/
NUMBER.2: /\d+(\.\d+)?/
RANGE.5: /\$?[A-Z]{1,2}\$?\d{1,2}:\$?[A-Z]{1,2}\$?\d{1,2}/
PLACE.4: /\$?[A-Z]{1,2}\$?\d{1,2}(?![A-Z0-9(])/
NAME: /[A-Z]+/
_COMMA: /[,;]/
%ignore /\s+/
"""
_parser = Lark(_GRAMMAR, parser="lalr")
_PLACE = re.compile(r"\$?([A-Z]{1,2})\$?(\d{1,2})(?![A-Za-z0-9(])", re.IGNORECASE)

_SAME = {"−": "-", "–": "-", "×": "*", "·": "*", "÷": "/"}

Place = tuple[int, int]
Value = float | list[float]


class WrongError(Exception):
    """A cell cannot be worked out; its text is what stands there instead."""


def number_of(text: str) -> float | None:
    """The number that a cell begins with, such as 2.14 of “2,14 m”; None when it begins with none."""
    found = _NUMBER.match(text)
    if not found:
        return None
    if found["under"]:
        value = float(found["over"]) / float(found["under"]) if float(found["under"]) else math.inf
    elif found["vulgar"]:
        value = float(found["whole"] or 0) + unicodedata.numeric(found["vulgar"])
    elif found["grouped"]:
        value = _of_thousands(found["grouped"])
    else:
        value = float(found["plain"].replace(",", ".").replace("−", "-"))
    # What is larger is no number that anybody measures.
    if not value <= MAX_NUMBER:
        return None
    return (-value if found["sign"] in ("-", "−", "–") else value) / (100 if found["share"] else 1)


def _of_thousands(text: str) -> float:
    """1 234,5 or 1,234.5: the last mark is before the parts, when it is no other one's like."""
    marks = re.sub(r"\d", "", text)
    parts = marks[-1] if marks[-1] in ".," and marks.count(marks[-1]) == 1 else ""
    whole, _, part = text.rpartition(parts) if parts else (text, "", "")
    return float(re.sub(r"\D", "", whole) + "." + (part or "0"))


def points_of(cells: Sequence[str], columns: int) -> list[tuple[float, float]]:
    """The numbers of the first two columns that have several, row by row where both have one."""
    shown = [number_of(text) for text in shown_cells(cells, columns)]
    rows = [shown[at : at + columns] for at in range(0, len(shown), columns)]
    of_numbers = [at for at in range(columns) if sum(row[at] is not None for row in rows) > 1][:2]
    if len(of_numbers) < 2:
        return []
    pairs = [(row[of_numbers[0]], row[of_numbers[1]]) for row in rows]
    return [(x, y) for x, y in pairs if x is not None and y is not None]


def is_worked_out(cell: str) -> bool:
    return len(cell) > 1 and cell.startswith("=")


def shown_cells(cells: Sequence[str], columns: int) -> tuple[str, ...]:
    """The texts of all cells, row by row, with what is worked out in its place."""
    if not any(map(is_worked_out, cells)):
        return tuple(cells)
    if sum(map(len, filter(is_worked_out, cells))) > MAX_SIGNS:
        return tuple(NOT_UNDERSTOOD if is_worked_out(cell) else cell for cell in cells)
    # A comma divides the parts of a number where the table itself does so; in 1,234.5 it divides thousands.
    comma = any(re.search(r"\d,\d(?!\d*\.\d)", cell) for cell in cells if not is_worked_out(cell))
    worked = _worked_out(cells, columns)
    return tuple(_text(worked[at], comma) if at in worked else cell for at, cell in enumerate(cells))


def _text(value: float | str, comma: bool) -> str:
    if isinstance(value, str):
        return value
    # Parts that only the computer's arithmetic has are not shown.
    value += 0.0  # no minus before nothing
    whole = value.is_integer() and abs(value) < MAX_NUMBER
    text = (f"{value:.0f}" if whole else f"{value:.10g}").replace("-", "−")
    return text.replace(".", ",") if comma else text


def _worked_out(cells: Sequence[str], columns: int) -> dict[int, float | str]:
    """The value of each cell that is worked out, or why it has none."""
    trees: dict[int, Any] = {}
    found: dict[int, float | str] = {}
    needs: dict[int, list[int]] = {}
    looks = 0
    for at, cell in enumerate(cells):
        if not is_worked_out(cell):
            continue
        try:
            trees[at] = _parser.parse(_plain(cell[1:]))
            needs[at] = [place for place in _looked_at(trees[at], columns) if place < len(cells)]
        except (LarkError, WrongError, RecursionError):
            found[at] = NOT_UNDERSTOOD
            continue
        looks += len(needs[at])
        if looks > MAX_LOOKS:
            return {n: NOT_UNDERSTOOD for n, text in enumerate(cells) if is_worked_out(text)}
    for at in _in_order(trees, needs, columns, found):
        try:
            value = _Worker(cells, columns, found).transform(trees[at])
            number = value if isinstance(value, float) else _only(value)
            found[at] = number if math.isfinite(number) and abs(number) < MAX_VALUE else NOT_UNDERSTOOD
        except (LarkError, ArithmeticError, ValueError, RecursionError) as error:
            cause = error.__context__ if isinstance(error, LarkError) else error
            by_nothing = isinstance(cause, ZeroDivisionError)
            found[at] = (
                str(cause) if isinstance(cause, WrongError) else BY_NOTHING if by_nothing else NOT_UNDERSTOOD
            )
        except WrongError as error:
            found[at] = str(error)
    return found


def _plain(formula: str) -> str:
    """A formula in the signs of the grammar: a comma between digits is a decimal one, but for those that part what a function takes."""
    made, calls = "", [False]
    for at, sign in enumerate(formula):
        if sign == "(":
            calls.append(made[-1:].isalpha())
        elif sign == ")" and len(calls) > 1:
            calls.pop()
        parts = any(calls) and ";" not in formula
        decimal = sign == "," and made[-1:].isdigit() and formula[at + 1 : at + 2].isdigit() and not parts
        made += "." if decimal else _SAME.get(sign, sign.upper())
    return made


def _in_order(
    trees: dict[int, Any], needs: dict[int, list[int]], columns: int, found: dict[int, float | str]
) -> list[int]:
    """Cells after all that they need; those of a circle are named in ``found``."""
    waiting = dict(needs)
    while True:
        try:
            return [at for at in TopologicalSorter(waiting).static_order() if at in waiting]
        except CycleError as error:
            for at in set(error.args[1]):
                found[at] = f"{_name(at, columns)}?"
                waiting.pop(at, None)


def _looked_at(tree: Any, columns: int) -> Iterator[int]:
    for token in tree.scan_values(lambda value: isinstance(value, Token)):
        if token.type == "PLACE":
            yield _index(_place(token), columns)
        elif token.type == "RANGE":
            yield from (_index(place, columns) for place in _range(token))


def _place(name: str) -> Place:
    """Row and column from 0."""
    letters, digits = re.fullmatch(r"([A-Z]+)(\d+)", name.replace("$", "")).groups()  # type: ignore[union-attr]
    column = 0
    for letter in letters:
        column = 26 * column + ord(letter) - 64
    if not int(digits):
        raise WrongError(NOT_UNDERSTOOD)
    return int(digits) - 1, column - 1


def _range(name: str) -> Iterator[Place]:
    (r0, c0), (r1, c1) = map(_place, name.split(":"))
    for row in range(min(r0, r1), max(r0, r1) + 1):
        for column in range(min(c0, c1), max(c0, c1) + 1):
            yield row, column


def _index(place: Place, columns: int) -> int:
    row, column = place
    if column >= columns:
        raise WrongError(NOT_UNDERSTOOD)
    return row * columns + column


def _name(at: int, columns: int) -> str:
    return f"{column_name(at % columns)}{at // columns + 1}"


def column_name(column: int) -> str:
    """The letters of a column, from 0: A to Z, then AA."""
    return ("" if column < 26 else chr(64 + column // 26)) + chr(65 + column % 26)


def _only(value: Value) -> float:
    if isinstance(value, list):
        raise WrongError(NOT_UNDERSTOOD)
    return value


def _mode(values: list[float]) -> float:
    most = statistics.multimode(values)
    return most[0]


def _round(values: list[float]) -> float:
    digits = int(values[1]) if len(values) > 1 else 0
    power = 10.0 ** max(-12, min(12, digits))
    # Halves go up, as schools have it.
    return math.copysign(math.floor(abs(values[0]) * power + 0.5) / power, values[0])


#: What a function does with all its numbers, and how few of them it needs.
FUNCTIONS: dict[str, tuple[Callable[[list[float]], float], int]] = {
    "SUM": (math.fsum, 0),
    "MEAN": (statistics.fmean, 1),
    "MEDIAN": (statistics.median, 1),
    "MODE": (_mode, 1),
    "MIN": (min, 1),
    "MAX": (max, 1),
    "RANGE": (lambda values: max(values) - min(values), 1),
    "COUNT": (len, 0),
    "SD": (statistics.pstdev, 1),
    "STDEV": (statistics.stdev, 2),
    "STDEVP": (statistics.pstdev, 1),
    "ROUND": (_round, 1),
    "SQRT": (lambda values: math.sqrt(values[0]), 1),
    "ABS": (lambda values: abs(values[0]), 1),
    "PRODUCT": (math.prod, 1),
}
#: The same under the names that spreadsheets in the interface's languages have for them.
_ALSO = {
    "AVERAGE": "MEAN", "SUMME": "SUM", "MITTELWERT": "MEAN", "ANZAHL": "COUNT", "RUNDEN": "ROUND", "WURZEL": "SQRT",
    "SOMME": "SUM", "MOYENNE": "MEAN", "NB": "COUNT", "ARRONDI": "ROUND", "RACINE": "SQRT", "MEDIANE": "MEDIAN",
    "SUMA": "SUM", "PROMEDIO": "MEAN", "CONTAR": "COUNT", "REDONDEAR": "ROUND", "RAIZ": "SQRT", "MEDIANA": "MEDIAN",
}  # fmt: skip


class _Worker(Transformer):  # type: ignore[type-arg]
    """Works a tree out from its leaves; ``found`` has the cells that were worked out before."""

    def __init__(self, cells: Sequence[str], columns: int, found: dict[int, float | str]) -> None:
        super().__init__()
        self._cells, self._columns, self._found = cells, columns, found

    def start(self, parts: list[Value]) -> Value:
        return parts[0]

    def number(self, parts: list[str]) -> float:
        return float(parts[0])

    def part(self, parts: list[str]) -> float:
        return float(parts[0].rstrip("%")) / 100

    def name(self, parts: list[str]) -> float:
        if parts[0] == "PI":
            return math.pi
        raise WrongError(NOT_UNDERSTOOD)

    def place(self, parts: list[str]) -> float:
        at = _index(_place(parts[0]), self._columns)
        value = self._value(at)
        if value is None:
            raise WrongError(f"{_name(at, self._columns)}?")
        return value

    def range(self, parts: list[str]) -> list[float]:
        values = (self._value(_index(place, self._columns)) for place in _range(parts[0]))
        return [value for value in values if value is not None]

    def _value(self, at: int) -> float | None:
        """A cell's number; None for words and for nothing."""
        if at >= len(self._cells):
            return None
        if is_worked_out(self._cells[at]):
            value = self._found.get(at, NOT_UNDERSTOOD)
            if isinstance(value, str):
                raise WrongError(
                    value if value.endswith("?") and len(value) > 1 else f"{_name(at, self._columns)}?"
                )
            return value
        return number_of(self._cells[at])

    def add(self, parts: list[Value]) -> float:
        return _only(parts[0]) + _only(parts[1])

    def subtract(self, parts: list[Value]) -> float:
        return _only(parts[0]) - _only(parts[1])

    def multiply(self, parts: list[Value]) -> float:
        return _only(parts[0]) * _only(parts[1])

    def divide(self, parts: list[Value]) -> float:
        return _only(parts[0]) / _only(parts[1])

    def negative(self, parts: list[Value]) -> float:
        return -_only(parts[0])

    def signed(self, parts: list[Value]) -> float:
        return _only(parts[0])

    def power(self, parts: list[Value]) -> float:
        base, power = _only(parts[0]), _only(parts[1])
        if abs(power) > MAX_POWER:
            raise WrongError(NOT_UNDERSTOOD)
        found = base**power
        if isinstance(found, complex):
            raise WrongError(NOT_UNDERSTOOD)
        return float(found)

    def args(self, parts: list[Value]) -> list[float]:
        return [value for part in parts for value in (part if isinstance(part, list) else [part])]

    def call(self, parts: list[Any]) -> float:
        name, values = parts
        name = _ALSO.get(name, name)
        function, least = FUNCTIONS.get(name, (None, 0))
        if function is None or len(values) < least:
            raise WrongError(NOT_UNDERSTOOD)
        return float(function(values))


def shifted(cell: str, across: bool, place: int, by: int) -> str:
    """A worked-out cell after a row, or a column when ``across``, has come (1) or gone (-1) at a place."""
    if not is_worked_out(cell):
        return cell

    def moved(found: re.Match[str]) -> str:
        letters, digits = found[1], found[2]
        try:
            row, column = _place((letters + digits).upper())
        except WrongError:
            return found[0]
        if across and column >= place + (by < 0):
            column += by
        elif not across and row >= place + (by < 0):
            row += by
        return f"{column_name(column)}{row + 1}"

    return _PLACE.sub(moved, cell)
