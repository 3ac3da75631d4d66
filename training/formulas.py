"""Formulas of school and first years as trees, each kind drawn by lot: what training writes by hand.

A node is a sign as a string, or a tuple: ("row", nodes), ("frac", above, below), ("script", base, sub, sup),
("sqrt", body, index), ("big", sign, below, above), ("over", accent, body), ("table", rows of cells). None is an
empty place.
"""

from __future__ import annotations

from typing import Any

import numpy as np

Node = Any
Random = np.random.Generator

LETTERS = [*"xxxxxxyyyyzzaaabbbcccdefghiijkkllmmnnnnopqrrsttuvvw", *"ABCDEFGHIKLMNOPQRSTUVWXYZ"]
NAMES = [*"xxxxxyyyzabcnkmtrspquvfgh"]
CAPITALS = [*"AABBCCDDEFGHIKLMNPQRSTUVWXYZO"]
GREEK = [r"\alpha", r"\beta", r"\gamma", r"\delta", r"\epsilon", r"\theta", r"\theta", r"\lambda", r"\mu", r"\pi", r"\pi", r"\pi", r"\rho",
         r"\sigma", r"\tau", r"\phi", r"\varphi", r"\omega", r"\psi", r"\eta", r"\nu", r"\xi", r"\Delta", r"\Omega", r"\Phi", r"\Gamma", r"\Lambda"]  # fmt: skip
COMPARED = ["="] * 9 + ["<", ">", r"\le", r"\ge", r"\ne", r"\approx", r"\equiv", r"\sim"]
BETWEEN = ["+", "+", "+", "-", "-", "-", r"\cdot", r"\times", r"\pm", r"\div", "/"]
FUNCTIONS = [
    "sin", "sin", "cos", "cos", "tan", "log", "ln", "exp", "max", "min", "arcsin", "arctan", "cot", "sinh",
    "det", "gcd",
]  # fmt: skip


def pick(random: Random, of: list[Any]) -> Any:
    return of[int(random.integers(len(of)))]


def row(*nodes: Node) -> Node:
    flat: list[Node] = []
    for node in nodes:
        if isinstance(node, tuple) and node[0] == "row":
            flat += node[1]
        elif isinstance(node, str) and not node.startswith("\\") and len(node) > 1:
            flat += list(node)
        elif node is not None:
            flat.append(node)
    return flat[0] if len(flat) == 1 else ("row", flat)


def text(of: str) -> Node:
    return row(*of)


def number(random: Random, most: int = 4) -> Node:
    way = random.random()
    if way < 0.4:
        return str(random.integers(10))
    if way < 0.75:
        return text(str(random.integers(10, 100)))
    if way < 0.85:
        return text(str(random.integers(100, 10 ** max(3, most))))
    return text(
        f"{random.integers(0, 100)}{pick(random, ['.', '.', ','])}{random.integers(0, 10 ** int(random.integers(1, 4)))}"
    )


def name(random: Random) -> Node:
    way = random.random()
    if way < 0.6:
        return pick(random, NAMES)
    if way < 0.78:
        return pick(random, LETTERS)
    if way < 0.92:
        return pick(random, GREEK)
    return ("script", pick(random, NAMES + CAPITALS), _index(random), None)


def _index(random: Random) -> Node:
    way = random.random()
    if way < 0.5:
        return str(random.integers(0, 10))
    if way < 0.8:
        return pick(random, [*"nikjmxyabt", "0", "A", "B"])
    if way < 0.9:
        return row(pick(random, [*"nik"]), pick(random, ["+", "-"]), str(random.integers(1, 4)))
    return text(pick(random, ["12", "ij", "10", "max", "min", "21", "AB", "1,2"]))


def power(random: Random, base: Node) -> Node:
    way = random.random()
    if way < 0.55:
        sup: Node = pick(random, [*"22222333456789n"])
    elif way < 0.7:
        sup = row("-", str(random.integers(1, 10)))
    elif way < 0.8:
        sup = row(*[pick(random, [*"nkxmt", "2", "3"]) for _ in range(2)])
    elif way < 0.9:
        sup = row(pick(random, [*"nxk"]), pick(random, ["+", "-"]), pick(random, [*"1234k"]))
    elif way < 0.95:
        sup = ("frac", pick(random, [*"123nx"]), pick(random, [*"2345n"]))
    else:
        sup = row("-", power(random, "x")) if random.random() < 0.5 else name(random)
    return ("script", base, None, sup)


def bracketed(random: Random, body: Node) -> Node:
    left, right = pick(random, [("(", ")")] * 8 + [("[", "]"), ("|", "|"), (r"\{", r"\}")])
    return row(left, body, right)


def factor(random: Random, depth: int) -> Node:
    way = random.random()
    if depth <= 0 or way < 0.34:
        return name(random) if random.random() < 0.6 else number(random, 3)
    if way < 0.54:
        return power(
            random, name(random) if random.random() < 0.8 else bracketed(random, total(random, depth - 2))
        )
    if way < 0.68:
        return ("frac", total(random, depth - 2), total(random, depth - 2))
    if way < 0.78:
        index = pick(random, [None] * 5 + ["3", "4", "n"])
        inside = total(random, depth - 2)
        if random.random() < 0.25:
            inside = ("frac", total(random, depth - 2), total(random, depth - 2))
        return ("sqrt", inside, index)
    if way < 0.9:
        return bracketed(random, total(random, depth - 1))
    if way < 0.96:
        return function(random, depth - 1)
    return ("over", pick(random, [r"\vec", r"\vec", r"\overline", r"\hat"]), name(random))


def term(random: Random, depth: int) -> Node:
    parts = [factor(random, depth) for _ in range(int(pick(random, [1, 1, 1, 2, 2])))]
    if random.random() < 0.4:
        parts.insert(0, number(random, 2))
    made = row(*parts)
    return made


def total(random: Random, depth: int) -> Node:
    count = int(pick(random, [1, 1, 2, 2, 3] if depth > 0 else [1, 1, 1, 2]))
    parts: list[Node] = ["-"] if random.random() < 0.1 else []
    for at in range(count):
        if at:
            parts.append(pick(random, BETWEEN))
        parts.append(term(random, depth - 1))
    return row(*parts)


def function(random: Random, depth: int) -> Node:
    way = random.random()
    if way < 0.55:
        called = pick(random, FUNCTIONS)
        base: Node = text(called)
        extra = random.random()
        if extra < 0.15 and called in ("sin", "cos", "tan"):
            base = end_script(base, None, pick(random, ["2", "2", "3", row("-", "1")]))
        elif called == "log" and extra < 0.6:
            base = end_script(base, pick(random, [*"23abx", text("10")]), None)
        inner = name(random) if random.random() < 0.5 else row("(", total(random, depth - 1), ")")
        if random.random() < 0.2:
            inner = row(number(random, 2), name(random))
        return row(base, inner)
    primes = ["'"] * int(pick(random, [0, 0, 0, 1, 1, 2]))
    return row(
        pick(random, [*"fgfghFPuv"]),
        *primes,
        "(",
        name(random) if random.random() < 0.7 else total(random, depth - 1),
        ")",
    )


def end_script(base: Node, sub: Node, sup: Node) -> Node:
    """A script at the last sign of a row: as one is written."""
    signs = base[1] if isinstance(base, tuple) else [base]
    return row(*signs[:-1], ("script", signs[-1], sub, sup))


def equation(random: Random) -> Node:
    parts = [total(random, 2)]
    for _ in range(int(pick(random, [1, 1, 1, 1, 2]))):
        parts += [pick(random, COMPARED), total(random, int(random.integers(0, 4)))]
    return row(*parts)


def polynomial(random: Random) -> Node:
    x = pick(random, [*"xxxxyztnap"])
    parts: list[Node] = []
    for degree in sorted(random.choice(5, int(random.integers(2, 4)), replace=False), reverse=True):
        if parts or random.random() < 0.15:
            parts.append(pick(random, ["+", "-"]))
        if random.random() < 0.75 or degree == 0:
            parts.append(number(random, 2) if random.random() < 0.8 else pick(random, [*"abck"]))
        if degree:
            parts.append(x if degree == 1 else ("script", x, None, str(degree)))
    way = random.random()
    if way < 0.6:
        parts += [
            pick(random, COMPARED),
            pick(random, ["0", "0", number(random, 2), row(number(random), x), "y"]),
        ]
    elif way < 0.8:
        parts = [*(("y", "=") if random.random() < 0.5 else ("f", "(", x, ")", "=")), *parts]
    return row(*parts)


def product(random: Random) -> Node:
    parts: list[Node] = []
    for _ in range(int(random.integers(2, 4))):
        inner = row("(", *([number(random, 2)] if random.random() < 0.3 else []), pick(random, NAMES), pick(random, ["+", "-"]),
                    number(random, 2) if random.random() < 0.7 else name(random), ")")  # fmt: skip
        parts.append(
            end_script(inner, None, pick(random, ["2", "3", "n"])) if random.random() < 0.25 else inner
        )
    return row(*parts, *(["=", pick(random, ["0", total(random, 1)])] if random.random() < 0.6 else []))


def sum_up(random: Random) -> Node:
    n = pick(random, [*"nikj"])
    way = random.random()
    top = pick(random, [r"\infty", "n", "N", "m", number(random, 2), row("n", "-", "1")])
    if way < 0.6:
        start = row(n, "=", pick(random, ["0", "1", "1", "2", "k"]))
        sign = pick(random, [r"\sum", r"\sum", r"\sum", r"\prod"])
        return row(
            ("big", sign, start, top if random.random() < 0.9 else None),
            term(random, 2),
            *(["=", total(random, 1)] if random.random() < 0.3 else []),
        )
    to = row(
        pick(random, [*"xhnt"]),
        r"\rightarrow",
        pick(random, ["0", r"\infty", "a", number(random, 2), row("-", r"\infty")]),
    )
    return row(
        ("big", "lim", to, None), term(random, 2), *(["=", total(random, 1)] if random.random() < 0.4 else [])
    )


def integral(random: Random) -> Node:
    x = pick(random, [*"xxxtuyr", r"\theta"])
    limits = (None, None)
    if random.random() < 0.65:
        limits = (
            pick(random, ["0", "a", "1", row("-", "1"), number(random, 2), row("-", r"\infty")]),
            pick(random, ["1", "b", r"\infty", r"\pi", number(random, 2), "2", ("frac", r"\pi", "2")]),
        )
    sign = r"\int" if random.random() < 0.94 else r"\oint"
    body = term(random, 2) if random.random() < 0.6 else power(random, x)
    return row(
        ("script", sign, *limits) if limits[0] is not None else sign,
        body,
        "d",
        x,
        *(["=", total(random, 1)] if random.random() < 0.4 else []),
    )


def derivative(random: Random) -> Node:
    d = pick(random, ["d", "d", "d", r"\partial", r"\Delta"])
    y, x = pick(random, [*"yfusvxQ"]), pick(random, [*"xxtty"])
    way = random.random()
    if way < 0.55:
        made: Node = ("frac", row(d, y), row(d, x))
    elif way < 0.75:
        made = row(("frac", d, row(d, x)), term(random, 1))
    else:
        made = ("frac", row(("script", d, None, "2"), y), row(d, ("script", x, None, "2")))
    return row(made, "=", total(random, 2)) if random.random() < 0.75 else made


def arithmetic(random: Random) -> Node:
    parts = [number(random)]
    for _ in range(int(random.integers(1, 4))):
        parts += [
            pick(random, ["+", "-", r"\times", r"\cdot", r"\div", ":"]),
            number(random) if random.random() < 0.75 else ("frac", number(random, 2), number(random, 2)),
        ]
    return row(*parts, *(["=", number(random)] if random.random() < 0.7 else []))


def fractions(random: Random) -> Node:
    def one() -> Node:
        made: Node = (
            "frac",
            number(random, 2) if random.random() < 0.7 else total(random, 0),
            number(random, 2) if random.random() < 0.7 else total(random, 0),
        )
        return row(str(random.integers(1, 10)), made) if random.random() < 0.12 else made

    return row(
        one(),
        pick(random, ["+", "-", r"\cdot", r"\div", r"\times", "="]),
        one(),
        *(["=", one()] if random.random() < 0.5 else []),
    )


def slashed(random: Random) -> Node:
    """Fractions written in a line, alone and among numbers: 5/6 + 1/3 = 7/6."""

    def one() -> Node:
        if random.random() < 0.15:
            return number(random, 2)
        if random.random() < 0.12:
            return row(name(random), "/", name(random) if random.random() < 0.5 else number(random, 2))
        most = pick(random, [10, 13, 13, 100])
        return row(text(str(random.integers(1, most))), "/", text(str(random.integers(2, most))))

    parts = [one()]
    for _ in range(int(pick(random, [0, 1, 1, 1, 2]))):
        parts += [pick(random, ["+", "+", "-", "-", r"\times", r"\cdot", r"\div", ":", "<", ">"]), one()]
    return row(*parts, *(["=", one()] if random.random() < 0.5 else []))


def working(random: Random) -> Node:
    """Two or three lines below each other."""
    one = pick(random, [equation, polynomial, product, arithmetic, fractions, slashed])
    return ("table", [[one(random)] for _ in range(int(pick(random, [2, 2, 3])))])
