"""A tree of written signs as LaTeX, and how little it looks like a formula."""

from __future__ import annotations

import re
from dataclasses import dataclass, field

from sunroom.core.errors import MalformedError
from sunroom.core.fractions import fraction_beside_large
from sunroom.core.maths.elements import WEIGHTS
from sunroom.core.maths.notation import joined
from sunroom.core.maths.signs import FUNCTIONS
from sunroom.core.maths.tokens import CLOSING, OPENING
from sunroom.core.maths.typed import read_formula

#: What is odd costs so much (log): what cannot be set, an open bracket, a letter among digits, no element, an open end,
#: a number right after a letter, a 1 that a letter is times, a number that begins with 0.
ODD_COST, UNPAIRED_COST, LETTER_COST, SYMBOL_COST = 2.5, 3.0, 1.2, 1.5
ODD_END_COST, BESIDE_COST, ONE_COST, ZERO_COST = 2.0, 1.0, 2.0, 2.0
#: Fractions in a line stand among small numbers: what one of three digits and more costs, as the stroke may be a 1.
LARGE_COST = 4.0
#: Greek letters that schools seldom write, and that look like others: what one of them costs.
SELDOM = {
    r"\nu": 3.0, r"\tau": 2.2, r"\upsilon": 4.5, r"\iota": 4.5, r"\kappa": 2.2, r"\chi": 1.5, r"\eta": 1.5, r"\zeta": 2.2, r"\xi": 1.5,
}  # fmt: skip

RIGHT, SUP, SUB, ABOVE, BELOW, INSIDE, CELL = range(7)
LARGE = frozenset([r"\sum", r"\prod", r"\int", r"\oint"])
#: What a level stroke may be.
BARS = frozenset(["-", r"\overline"])
OVERS = frozenset([r"\vec", r"\overline", r"\hat"])


@dataclass
class Tree:
    """Signs by number: what each is, the children that stand at it by their relation, and which are in its LaTeX."""

    names: list[str]
    children: list[dict[int, int]]
    root: int
    told: set[int] = field(default_factory=set)


def latex_of(tree: Tree) -> str:
    """What a tree of signs is in LaTeX."""
    lines = _lines(tree, tree.root)
    made = [_DEGREES.sub(r"^{\\circ}", _row(tree, line)) for line in lines]
    return made[0] if len(made) == 1 else r" \\ ".join(made)


#: A ring after a digit is that of degrees, however high it stands.
_DEGREES = re.compile(r"(?<=\d) ?\\circ(?![a-z])")


def _lines(tree: Tree, first: int) -> list[int]:
    """The first signs of lines below each other: what hangs below a sign that itself takes nothing below."""
    lines = [first]
    seen = {first}
    while BELOW in tree.children[lines[-1]] and not _takes_below(tree, lines[-1]):
        following = tree.children[lines[-1]][BELOW]
        if following in seen:
            break
        seen.add(following)
        lines.append(following)
    return lines


def line_of_each(tree: Tree) -> list[int]:
    """Of each sign the number of the line that it stands in."""
    made = [0] * len(tree.names)
    lines = _lines(tree, tree.root)
    for number, first in enumerate(lines):
        waiting, seen = [first], set(lines) - {first}
        while waiting:
            at = waiting.pop()
            if at not in seen:
                seen.add(at)
                made[at] = number
                waiting += tree.children[at].values()
    return made


def _takes_below(tree: Tree, at: int) -> bool:
    name = tree.names[at]
    if name in BARS:
        return ABOVE in tree.children[at]
    return (
        name in LARGE
        or name in (r"\rightarrow", r"\rightleftharpoons")
        or _word_at(tree, at) in ("lim", "max", "min")
    )


def _word_at(tree: Tree, at: int) -> str:
    """The function whose name begins at a sign; "" for none."""
    letters = ""
    place: int | None = at
    while (
        place is not None and len(letters) < 6 and tree.names[place].isalpha() and len(tree.names[place]) == 1
    ):
        letters += tree.names[place]
        own = tree.children[place]
        if (SUP in own or SUB in own) or RIGHT not in own:
            break
        place = own[RIGHT]
    return next((name for name in FUNCTIONS if letters.startswith(name)), "")


def _row(tree: Tree, first: int) -> str:
    """A row from its first sign on."""
    parts: list[str] = []
    at: int | None = first
    done: set[int] = set()
    while at is not None and at not in done:
        done.add(at)
        tree.told.add(at)
        name, own = tree.names[at], tree.children[at]
        if len(name) == 1 and name.isalpha() and (word := _word_at(tree, at)) and not _is_unit(parts, word):
            below = own.get(BELOW)
            for _ in word[1:]:
                at = tree.children[at][RIGHT]
                done.add(at)
                tree.told.add(at)
            own = tree.children[at]
            scripts = {**own, SUB: below} if below is not None and word in ("lim", "max", "min") else own
            parts.append(rf"\{word}" + _scripts(tree, scripts))
        elif (lines := _lines(tree, at)) and len(lines) > 1 and at != first:
            parts.append(_table(tree, lines))
            at = _after_table(tree, at)
            continue
        else:
            parts.append(_sign(tree, at))
        at = tree.children[at].get(RIGHT)
    return joined(parts)


def _is_unit(parts: list[str], word: str) -> bool:
    """Whether min after a number are minutes."""
    return word == "min" and bool(parts) and parts[-1][-1:].isdigit()


def _sign(tree: Tree, at: int) -> str:
    name, own = tree.names[at], tree.children[at]
    if name in BARS and ABOVE in own and (BELOW in own or INSIDE in own):
        # What has something on it and something under it is a fraction's stroke, whatever it looks like.
        below = own.get(BELOW, own.get(INSIDE, at))
        return rf"\frac{{{_row(tree, own[ABOVE])}}}{{{_row(tree, below)}}}" + _scripts(tree, own)
    if name == "-" and INSIDE in own:
        name = r"\overline"
    if name == r"\sqrt":
        index = f"[{_row(tree, own[ABOVE])}]" if ABOVE in own else ""
        inside = _row(tree, own[INSIDE]) if INSIDE in own else ""
        return rf"\sqrt{index}{{{inside}}}" + _scripts(tree, own)
    if name in OVERS:
        inside = _row(tree, own[INSIDE]) if INSIDE in own else ""
        return rf"{name}{{{inside}}}" + _scripts(tree, own)
    if name in LARGE:
        limits = dict(own)
        for place, script in ((BELOW, SUB), (ABOVE, SUP)):
            if place in own and script not in own:
                limits[script] = own[place]
        return name + _scripts(tree, limits)
    if name in (r"\rightarrow", r"\rightleftharpoons") and ABOVE in own:
        return rf"\overset{{{_row(tree, own[ABOVE])}}}{{{name}}}"
    return name + _scripts(tree, own)


def _scripts(tree: Tree, own: dict[int, int]) -> str:
    made = f"_{{{_row(tree, own[SUB])}}}" if SUB in own else ""
    if SUP not in own:
        return made
    above = _row(tree, own[SUP])
    return made + (above if set(above) == {"'"} else f"^{{{above}}}")


def _table(tree: Tree, lines: list[int]) -> str:
    rows = []
    for line in lines:
        cells, at = [], line
        while True:
            cells.append(_cell(tree, at, line))
            following = _next_cell(tree, at)
            if following is None:
                break
            at = following
        rows.append(" & ".join(cells))
    return r"\begin{matrix}" + r" \\ ".join(rows) + r"\end{matrix}"


def _cell(tree: Tree, first: int, line: int) -> str:
    """A cell's row, up to where the next one or a closing bracket is."""
    parts: list[str] = []
    at: int | None = first
    depth, done = 0, set()
    while at is not None and at not in done:
        done.add(at)
        tree.told.add(at)
        name = tree.names[at]
        depth += (name in OPENING) - (name in CLOSING)
        if depth < 0 or (name == "|" and at != first and CELL not in tree.children[at]):
            break
        own = {key: child for key, child in tree.children[at].items() if key != BELOW or at != line}
        parts.append(
            _sign(
                Tree(tree.names, [*tree.children[:at], own, *tree.children[at + 1 :]], tree.root, tree.told),
                at,
            )
        )
        at = tree.children[at].get(RIGHT)
    return joined(parts)


def _next_cell(tree: Tree, at: int) -> int | None:
    seen: set[int] = set()
    place: int | None = at
    while place is not None and place not in seen:
        seen.add(place)
        if CELL in tree.children[place]:
            return tree.children[place][CELL]
        place = tree.children[place].get(RIGHT)
    return None


def _after_table(tree: Tree, at: int) -> int | None:
    """The closing bracket that follows the last cell of a table's first row."""
    cell: int | None = at
    while cell is not None and (following := _next_cell(tree, cell)) is not None:
        cell = following
    depth, place, seen = 0, cell, set()
    while place is not None and place not in seen:
        seen.add(place)
        name = tree.names[place]
        depth += (name in OPENING) - (name in CLOSING)
        if depth < 0 or (name == "|" and place != cell):
            return place
        place = tree.children[place].get(RIGHT)
    return None


def looks_like_maths(latex: str) -> bool:
    """Whether a reading has what words have not: fractions, powers, roots, an equals sign or its like between two things."""
    return any(mark in latex for mark in _SCRIPTS) or cannot_be_a_map(latex)


def cannot_be_a_map(latex: str) -> bool:
    """Whether it looks like maths by more than its powers and indices, which scattered words seem to have."""
    return any(mark in latex for mark in _MARKS) or bool(_EQUATION.search(latex))


def stands_in_sums(latex: str) -> bool:
    """Whether a reading between words is rather a formula: it counts with letters or brackets, as ``(m-8)(c-8)`` and ``f(x)``; a range (10-15) does not."""
    return bool(_TERM.search(latex))


def breaks_off(latex: str) -> bool:
    """Whether a reading ends with a sign that something follows: ``v^{2}=u^{2}+``."""
    return bool(_OPEN_END.search(latex))


def has_words(latex: str) -> bool:
    """Whether a reading has so many letters in a row that they are rather a word than what is multiplied: ``e-mail``."""
    return bool(_LONG.search("".join(_COMMANDS.sub(" ", latex).split())))


_COMMANDS, _LONG = re.compile(r"\\[A-Za-z]+(?:\{[A-Za-z]+\})?"), re.compile(r"[A-Za-z][a-z]{3}")
_SCRIPTS = ("^{", "_{")
_MARKS = (r"\frac", r"\sqrt", r"\sum", r"\int", r"\prod", r"\le", r"\ge", r"\ne", r"\pm", r"\vec")
_BETWEEN = r"[=<>]|\\(?:approx|equiv|in(?![a-z])|subset|cup|cap|perp|parallel|[rR]ightarrow|Leftrightarrow)"
_OPEN_END = re.compile(rf"(?:{_BETWEEN}|[-+]|\\(?:cdot|times|div|pm)(?![a-z]))\s*$")
_COUNTS = r"\s*(?:[-+]|\\(?:cdot|times|div)(?![a-z]))\s*"
_TERM = re.compile(rf"[A-Za-z)]\d*{_COUNTS}[\w(]|\d{_COUNTS}\d*[A-Za-z(]|[A-Za-z)]\s*\(")
_EQUATION = re.compile(rf"\S\s*(?:{_BETWEEN})\s*\S|\\(?:tri)?angle\s*[A-Z]")


def oddness(latex: str) -> float:
    """How little a formula looks like one: what cannot be set, brackets without their other half, letters among digits."""
    cost = 0.0
    try:
        read_formula(latex.replace(r"\overset", r"\frac"))
    except MalformedError:
        cost += ODD_COST
    plain = latex.replace(r"\{", "").replace(r"\}", "")
    cost += UNPAIRED_COST * min(_misplaced(plain), 3)
    # 1O and l0 are numbers; C2 and H2 are not: there the digit stands lower.
    cost += LETTER_COST * len(_LETTER_IN_NUMBER.findall(plain))
    # Nobody writes 1 before a letter that it is times: 1n is ln.
    cost += ONE_COST * len(_ONE_TIMES.findall("".join(plain.split())))
    cost += ZERO_COST * len(_ZERO_FIRST.findall(plain))
    cost += LARGE_COST * fraction_beside_large(plain)
    cost += sum(
        much * len(re.findall(re.escape(letter) + "(?![a-z])", plain)) for letter, much in SELDOM.items()
    )
    # A number right after a letter stands lower or higher than it.
    cost += BESIDE_COST * min(len(_NUMBER_AFTER.findall(_COMMAND.sub(" ", plain))), 2)
    if r"\rightarrow" in plain or r"\rightleftharpoons" in plain or "_" in plain:
        cost += _unknown_symbols(plain)
    return cost + ODD_END_COST * (plain[-1:] in ("+", "-", "=", "<", ">") and "^" not in plain[-4:])


def _misplaced(latex: str) -> int:
    """Brackets that do not close where they open, and equals signs in a power or an index."""
    odd, groups = 0, [("", 0)]
    for at, sign in enumerate(latex):
        kind, opened = groups[-1]
        if sign == "{":
            script = latex[at - 1 : at] in ("_", "^")
            groups.append(("limit" if _LIMITED.search(latex[:at]) else "script" if script else "", 0))
        elif sign == "}" and len(groups) > 1:
            groups.pop()
            odd += opened != 0
        elif sign in "([":
            groups[-1] = kind, opened + 1
        elif sign in ")]":
            odd += opened == 0
            groups[-1] = kind, max(opened - 1, 0)
        elif sign == "=" and kind == "script":
            odd += 1
    return odd + (groups[0][1] != 0)


#: A place below a sum or a limit begins there.
_LIMITED = re.compile(r"\\(?:sum|prod|int|oint|lim|max|min)[_^]$")


def _unknown_symbols(latex: str) -> float:
    """In what is written as a reaction, letters that are no elements are odd: CI is Cl."""
    if r"\rightarrow" not in latex and r"\rightleftharpoons" not in latex:
        return 0.0
    letters = re.sub(r"\\[A-Za-z]+|\((?:s|l|g|aq)\)", " ", latex)
    words = re.findall(r"[A-Za-z]+", letters)
    elements = sum(1 for word in words if word[0].isupper())
    if not words or elements < len(words) / 2:
        return 0.0  # a limit or a map
    odd = 0
    for word in words:
        odd += "".join(symbol for symbol in re.findall(r"[A-Z][a-z]?", word) if symbol in WEIGHTS) != word
    return SYMBOL_COST * odd


_ONE_TIMES = re.compile(r"(?<![\d.,}])1(?=[A-Za-z])")
_ZERO_FIRST = re.compile(r"(?<![\d.,])0\d")
_COMMAND = re.compile(r"\\[A-Za-z]+")
_NUMBER_AFTER = re.compile(r"[A-Za-z]\d")
_LETTER_IN_NUMBER = re.compile(r"(?<=\d)[OoIl|](?=\d|[}^=+-]|$)|(?<![A-Za-z\d])[OIl](?=\d)")
