"""Formulas of geometry, sets, vectors, physics and chemistry, drawn by lot: trees as those of ``training.formulas``."""

from __future__ import annotations

from collections.abc import Callable

from training.formulas import (
    CAPITALS,
    GREEK,
    NAMES,
    Node,
    Random,
    end_script,
    name,
    number,
    pick,
    power,
    row,
    text,
    total,
)

UNITS = [
    "m", "cm", "mm", "km", "kg", "g", "s", "h", "N", "J", "W", "kW", "V", "A", "Pa", "Hz", "mol", "K", "L",
    "ml", "min", "kJ", "eV", "mg",
]  # fmt: skip
ATOMS = [
    "H", "O", "C", "N", "Na", "Cl", "Mg", "Ca", "Fe", "Cu", "S", "P", "K", "Al", "Zn", "Ag", "Br", "I",
    "Mn", "Pb", "Li", "Ba",
]  # fmt: skip
GROUPS = ["OH", "SO", "NO", "CO", "NH", "PO", "ClO", "MnO"]


def geometry(random: Random) -> Node:
    def points(count: int) -> Node:
        at = int(random.integers(0, 20))
        letters = (
            "ABCDEFGHIJKLMNOPQRSTUVWXYZ"[at : at + count]
            if random.random() < 0.7
            else "".join(random.choice(list("ABCDEFGHMNOPQRST"), count, replace=False))
        )
        return text(letters)

    ways: list[Callable[[], Node]] = [
        lambda: row(r"\angle", points(3), "=", end_script(number(random, 3), None, r"\circ")),
        lambda: row(r"\triangle", points(3), pick(random, [r"\sim", r"\equiv", "="]), r"\triangle", points(3)),
        lambda: row(points(2), pick(random, [r"\perp", r"\parallel"]), points(2)),
        lambda: row(("over", r"\overline", points(2)), "=", pick(random, [number(random, 2), ("over", r"\overline", points(2))])),
        lambda: row(pick(random, GREEK[:6]), "=", end_script(number(random, 3), None, r"\circ")),
        lambda: row(pick(random, GREEK[:3]), "+", pick(random, GREEK[:4]), "=", end_script(text("180"), None, r"\circ")),
        lambda: row(pick(random, [*"AVSO"]), "=", *([("frac", *map(str, random.integers(1, 10, 2)))] if random.random() < 0.5 else []), r"\pi", power(random, "r"), *(["h"] if random.random() < 0.4 else [])),
        lambda: row(pick(random, ["sin", "cos", "tan"]), pick(random, GREEK[:7]), "=", ("frac", pick(random, [*"abc"]), pick(random, [*"abc"]))),
        lambda: row(("script", "a", None, "2"), "+", ("script", "b", None, "2"), "=", ("script", "c", None, "2")),
        lambda: row(pick(random, ["sin", "cos", "tan"]), end_script(number(random, 2), None, r"\circ"), "=", number(random, 2)),
        lambda: row("(", number(random, 2), ",", number(random, 2), ")"),
        lambda: row(pick(random, CAPITALS), "(", number(random, 2), pick(random, [",", "|", ";"]), number(random, 2), ")"),
    ]  # fmt: skip
    return pick(random, ways)()


def sets(random: Random) -> Node:
    a, b = pick(random, CAPITALS), pick(random, CAPITALS)
    ways: list[Callable[[], Node]] = [
        lambda: row(pick(random, NAMES), pick(random, [r"\in", r"\in", r"\notin"]), pick(random, [r"\mathbb{R}", r"\mathbb{N}", r"\mathbb{Z}", a])),
        lambda: row(a, pick(random, [r"\cup", r"\cap"]), b, *([pick(random, ["=", r"\subset"]), pick(random, [r"\emptyset", "C"])] if random.random() < 0.6 else [])),
        lambda: row(a, pick(random, [r"\subset", r"\subseteq"]), b),
        lambda: row(a, "=", r"\{", _listed(random), r"\}"),
        lambda: row(pick(random, [r"\forall", r"\exists"]), "x", r"\in", pick(random, [a, r"\mathbb{R}"]), *([":", total(random, 1), ">", "0"] if random.random() < 0.4 else [])),
        lambda: row(total(random, 1), pick(random, [r"\Rightarrow", r"\Leftrightarrow"]), total(random, 1)),
        lambda: row("x", r"\in", pick(random, ["[", "("]), number(random, 2), ",", pick(random, [number(random, 2), r"\infty"]), pick(random, ["]", ")"])),
        lambda: row(pick(random, ["L", "S"]), "=", r"\{", number(random, 2), r"\}"),
        lambda: row("P", "(", a, *(["|", b] if random.random() < 0.5 else []), ")", "=", pick(random, [number(random, 3), ("frac", number(random, 2), number(random, 2))])),
        lambda: row(pick(random, [*"nkm", number(random, 2)]), "!", *(["=", number(random, 4)] if random.random() < 0.4 else [])),
        lambda: row(number(random, 2), r"\%", "=", number(random, 3)),
    ]  # fmt: skip
    return pick(random, ways)()


def _listed(random: Random) -> Node:
    nodes: list[Node] = []
    for at in range(int(random.integers(2, 5))):
        nodes += [*([","] if at else []), number(random, 2) if random.random() < 0.7 else name(random)]
    return row(*nodes, *([",", r"\dots"] if random.random() < 0.25 else []))


def vectors(random: Random) -> Node:
    def vector() -> Node:
        return (
            "over",
            r"\vec",
            pick(random, [*"abcuvwxyrFvE"])
            if random.random() < 0.75
            else text("".join(random.choice(list("ABCDOPQ"), 2, replace=False))),
        )

    def cell() -> Node:
        way = random.random()
        return (
            number(random, 2)
            if way < 0.55
            else row("-", number(random, 2))
            if way < 0.7
            else name(random)
            if way < 0.9
            else row(number(random), name(random))
        )

    def table() -> Node:
        rows, columns = pick(random, [(2, 1), (3, 1), (2, 1), (2, 2), (2, 2), (3, 3), (2, 3)])
        left, right = pick(random, [("(", ")")] * 4 + [("[", "]"), ("|", "|")])
        return row(left, ("table", [[cell() for _ in range(columns)] for _ in range(rows)]), right)

    ways: list[Callable[[], Node]] = [
        lambda: row(vector(), pick(random, ["+", "-", r"\cdot", r"\times"]), vector(), *(["=", pick(random, ["0", vector()])] if random.random() < 0.7 else [])),
        lambda: row(vector(), "=", table()),
        lambda: row(pick(random, CAPITALS), "=", table()),
        lambda: row("|", vector(), "|", "=", ("sqrt", row(power(random, "a"), "+", power(random, "b")), None)),
        lambda: row(vector(), "=", number(random), vector(), "+", name(random), vector()),
        lambda: row(pick(random, [*"fg"]), "(", "x", ")", "=", r"\{", ("table", [[total(random, 1)] for _ in range(2)])),
        lambda: row(r"\{", ("table", [[row(total(random, 1), "=", number(random, 2))] for _ in range(2)])),
    ]  # fmt: skip
    return pick(random, ways)()


def units(random: Random) -> Node:
    way = random.random()
    unit = _unit(random)
    many = number(random, 3)
    if way < 0.3:
        many = row(
            number(random, 2),
            pick(random, [r"\times", r"\cdot"]),
            end_script(
                text("10"),
                None,
                row(*(["-"] if random.random() < 0.4 else []), text(str(random.integers(1, 25)))),
            ),
        )
    measured = row(many, unit)
    if random.random() < 0.45:
        return row(
            pick(random, [*"vatsmFEUIRpVTP", r"\lambda", r"\rho", r"\Delta"]),
            pick(random, ["=", "=", r"\approx"]),
            measured,
        )
    return measured


def _unit(random: Random) -> Node:
    way = random.random()
    if way < 0.35:
        return text(pick(random, UNITS))
    if way < 0.45:
        return row(r"\circ", "C")
    if way < 0.65:
        second: Node = pick(
            random,
            [
                "s",
                "h",
                ("script", "s", None, "2"),
                end_script(text("cm"), None, "3"),
                ("script", "m", None, "3"),
                ("script", "m", None, "2"),
                "K",
                text("mol"),
            ],
        )
        first = text(pick(random, ["m", "km", "g", "kg", "N", "J", "W"]))
        return row(first, "/", second) if random.random() < 0.75 else ("frac", first, second)
    if way < 0.8:
        return row(
            text(pick(random, ["m", "kg", "J", "mol", "W"])),
            pick(
                random,
                [
                    ("script", "s", None, row("-", pick(random, ["1", "2"]))),
                    end_script(text("kg"), None, row("-", "1")),
                    ("script", "m", None, row("-", pick(random, ["3", "2"]))),
                ],
            ),
        )
    if way < 0.9:
        return end_script(text(pick(random, ["m", "cm", "mm", "km"])), None, pick(random, ["2", "3"]))
    return pick(random, [r"\Omega", row("k", r"\Omega"), row(r"\mu", "m"), row(r"\mu", "s"), r"\%"])


def physics(random: Random) -> Node:
    letters = [*"FmavstEpUIRQWPTVhqcgkLBfAd", *GREEK]
    left = (
        pick(random, letters)
        if random.random() < 0.7
        else (
            "script",
            pick(random, letters),
            pick(random, [*"012abcxykpt", text("kin"), text("pot"), text("ges"), text("max")]),
            None,
        )
    )
    right = [pick(random, letters) for _ in range(int(random.integers(1, 4)))]
    if random.random() < 0.4:
        right[-1] = power(random, right[-1])
    body: Node = row(*right)
    way = random.random()
    if way < 0.35:
        body = ("frac", body, row(*[pick(random, letters) for _ in range(int(random.integers(1, 3)))]))
    elif way < 0.5:
        body = row(("frac", "1", "2"), body)
    elif way < 0.6:
        body = row(body, pick(random, ["+", "-", r"\cdot"]), pick(random, letters))
    elif way < 0.7:
        body = ("frac", row(r"\Delta", pick(random, letters)), row(r"\Delta", pick(random, [*"tsx"])))
    return row(left, "=", body)


def molecule(random: Random) -> Node:
    nodes: list[Node] = []
    for _ in range(int(pick(random, [1, 2, 2, 2, 3]))):
        way = random.random()
        if way < 0.78:
            atom = text(pick(random, ATOMS))
        elif way < 0.92:
            atom = text(pick(random, GROUPS))
        else:
            nodes += [row("(", text(pick(random, GROUPS))), ("script", ")", str(random.integers(2, 4)), None)]
            continue
        nodes.append(
            end_script(atom, pick(random, [*"2222334", "6", text("12")]), None)
            if random.random() < 0.5
            else atom
        )
    made = row(*nodes)
    if random.random() < 0.2:
        charge = row(*([pick(random, ["2", "3"])] if random.random() < 0.6 else []), pick(random, ["+", "-"]))
        last = made[1][-1] if isinstance(made, tuple) and made[0] == "row" else made
        rest = made[1][:-1] if isinstance(made, tuple) and made[0] == "row" else []
        made = row(
            *rest,
            ("script", last[1], last[2], charge)
            if isinstance(last, tuple) and last[0] == "script"
            else ("script", last, None, charge),
        )
    return made


def chemistry(random: Random) -> Node:
    def side() -> Node:
        parts: list[Node] = []
        for at in range(int(random.integers(1, 3))):
            parts += [
                *(["+"] if at else []),
                *([str(random.integers(2, 8))] if random.random() < 0.5 else []),
                molecule(random),
            ]
            if random.random() < 0.12:
                parts += ["(", text(pick(random, ["s", "l", "g", "aq"])), ")"]
        return row(*parts)

    if random.random() < 0.35:
        return molecule(random)
    return row(side(), pick(random, [r"\rightarrow"] * 5 + [r"\rightleftharpoons"] * 2), side())


def sequence(random: Random) -> Node:
    a = pick(random, [*"aaubxS"])
    ways: list[Callable[[], Node]] = [
        lambda: row(("script", a, "n", None), "=", total(random, 2)),
        lambda: row(("script", a, row("n", "+", "1"), None), "=", ("script", a, "n", None), pick(random, ["+", r"\cdot", "-"]), pick(random, ["d", "q", number(random, 2)])),
        lambda: row(("script", "x", text("1"), None), "=", ("frac", row("-", "b", r"\pm", ("sqrt", row(("script", "b", None, "2"), "-", "4", "a", "c"), None)), row("2", "a"))),
        lambda: row(("script", "x", pick(random, [*"12"]), None), "=", number(random, 3)),
        lambda: row(("script", "x", "1", "2"), "+", ("script", "x", "2", "2")),
        lambda: row(("over", r"\overline", "x"), "=", ("frac", "1", "n"), ("big", r"\sum", row("i", "=", "1"), "n"), ("script", "x", "i", None)),
        lambda: row(text("log"), "(", name(random), r"\cdot", name(random), ")", "=", text("log"), name(random), "+", text("log"), name(random)),
        lambda: row(("script", "e", None, row("i", r"\pi")), "+", "1", "=", "0"),
        lambda: row(power(random, pick(random, [*"aex2"])), r"\cdot", power(random, pick(random, [*"aex2"])), "=", power(random, pick(random, [*"aex2"]))),
    ]  # fmt: skip
    return pick(random, ways)()
