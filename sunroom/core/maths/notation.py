"""How a formula looks: a tree of signs, fractions, roots and scripts, and its way into LaTeX and MathML.

What a formula means is another tree (core.maths.meaning); what means nothing can be set beautifully all the same.
"""

from __future__ import annotations

from typing import Literal
from xml.sax.saxutils import escape

import msgspec

from sunroom.core.maths.signs import LIMITED, OVERS, SIGNS

Form = Literal["matrix", "cases", "lines"]


class Sign(msgspec.Struct, frozen=True, tag="sign"):
    """A letter, or a sign by its name in LaTeX; ``upright`` where it is a unit's or a substance's."""

    name: str
    upright: bool = False


class Number(msgspec.Struct, frozen=True, tag="number"):
    """Digits, with a point or a comma among them."""

    digits: str


class Word(msgspec.Struct, frozen=True, tag="word"):
    """Upright words: a function's name, or text between."""

    text: str
    function: bool = False


class Gap(msgspec.Struct, frozen=True, tag="gap"):
    """Some room, in parts of the size."""

    width: float


class Row(msgspec.Struct, frozen=True, tag="row"):
    """One thing after another."""

    nodes: tuple[Node, ...] = ()


class Fraction(msgspec.Struct, frozen=True, tag="fraction"):
    above: Row
    below: Row


class Root(msgspec.Struct, frozen=True, tag="root"):
    body: Row
    index: Row | None = None


class Script(msgspec.Struct, frozen=True, tag="script"):
    """What stands lower and higher beside a base; under and over it where the base is a large sign."""

    base: Row
    sub: Row | None = None
    sup: Row | None = None


class Over(msgspec.Struct, frozen=True, tag="over"):
    """A mark over (or a line under) a body."""

    mark: str
    body: Row


class Fenced(msgspec.Struct, frozen=True, tag="fenced"):
    """Brackets as high as what they embrace; ``""`` for none on that side."""

    left: str
    body: Row
    right: str


class Table(msgspec.Struct, frozen=True, tag="table"):
    """Rows of cells: of a matrix, of cases, or of lines that stand below each other at their signs."""

    rows: tuple[tuple[Row, ...], ...]
    form: Form


PRIME = Sign("'")

Node = Sign | Number | Word | Gap | Row | Fraction | Root | Script | Over | Fenced | Table


def row_of(*nodes: Node) -> Row:
    """The nodes as one row, rows among them dissolved."""
    flat: list[Node] = []
    for node in nodes:
        flat.extend(node.nodes if isinstance(node, Row) else (node,))
    return Row(tuple(flat))


def lines_of(row: Row) -> list[Row]:
    """The lines of a formula of several, or the one that it is."""
    match row.nodes:
        case (Table(rows=rows, form="lines"),):
            return [line for cells in rows if (line := row_of(*cells)).nodes]
        case _:
            return [row]


# LaTeX


def latex_of(node: Node) -> str:
    """LaTeX that reads back as the same tree."""
    match node:
        case Row(nodes=nodes):
            return joined([_run_latex(inner) for inner in _runs(nodes)])
        case Sign(name=name, upright=upright):
            return rf"\mathrm{{{name}}}" if upright else name
        case Number(digits=digits):
            return digits.replace(",", "{,}")
        case Word(text=text, function=True):
            return rf"\{text}"
        case Word(text=text):
            return rf"\text{{{text}}}"
        case Gap(width=width):
            return r"\quad" if width > 0.5 else r"\,"
        case Fraction(above=above, below=below):
            return rf"\frac{{{latex_of(above)}}}{{{latex_of(below)}}}"
        case Root(body=body, index=index):
            return rf"\sqrt{'' if index is None else f'[{latex_of(index)}]'}{{{latex_of(body)}}}"
        case Script(base=base, sub=sub, sup=sup):
            single = len(base.nodes) == 1 and isinstance(base.nodes[0], Sign | Number | Word | Over | Fenced)
            made = latex_of(base) if single else f"{{{latex_of(base)}}}"
            made += "" if sub is None else f"_{{{latex_of(sub)}}}"
            if sup is not None and all(node == PRIME for node in sup.nodes):
                return made + "'" * len(sup.nodes)
            return made + ("" if sup is None else f"^{{{latex_of(sup)}}}")
        case Over(mark=mark, body=body):
            return rf"{mark}{{{latex_of(body)}}}"
        case Fenced(left=left, body=Row(nodes=(Table() as table,)), right=right) if (
            table.form,
            left,
            right,
        ) in ENVIRONMENTS:
            return _table_latex(table, ENVIRONMENTS[table.form, left, right])
        case Fenced(left=left, body=body, right=right):
            inner = latex_of(body)
            if left and right and not _is_tall(body):
                return joined([left, inner, right])
            return rf"\left{left or '.'}{' ' if left[:1].isalpha() else ''}{inner}\right{right or '.'}"
        case Table():
            return _table_latex(node)


def _runs(nodes: tuple[Node, ...]) -> list[tuple[Node, ...]]:
    """The nodes, upright letters beside each other together."""
    runs: list[tuple[Node, ...]] = []
    for node in nodes:
        if runs and _is_upright(node) and _is_upright(runs[-1][-1]):
            runs[-1] = (*runs[-1], node)
        else:
            runs.append((node,))
    return runs


def _run_latex(run: tuple[Node, ...]) -> str:
    if len(run) == 1:
        return latex_of(run[0])
    return rf"\mathrm{{{''.join(node.name for node in run if isinstance(node, Sign))}}}"


def _is_upright(node: Node) -> bool:
    return isinstance(node, Sign) and node.upright


def _is_tall(row: Row) -> bool:
    """Whether brackets around it grow."""
    for node in row.nodes:
        match node:
            case Fraction() | Table() | Root():
                return True
            case Fenced(body=body):
                if _is_tall(body):
                    return True
            case Script(base=base):
                if _is_tall(base) or any(
                    isinstance(inner, Sign) and inner.name in _LARGE for inner in base.nodes
                ):
                    return True
            case _:
                pass
    return False


_LARGE = frozenset([r"\sum", r"\prod", r"\int", r"\bigcup", r"\bigcap"])


#: Tables with their brackets by what LaTeX calls them.
ENVIRONMENTS = {
    ("matrix", "(", ")"): "pmatrix", ("matrix", "[", "]"): "bmatrix", ("matrix", "|", "|"): "vmatrix", ("cases", r"\{", ""): "cases",
}  # fmt: skip
BARE_TABLES = {"matrix": "matrix", "cases": "matrix", "lines": "aligned"}


def _table_latex(table: Table, name: str = "") -> str:
    name = name or BARE_TABLES[table.form]
    rows = r" \\ ".join(" & ".join(latex_of(cell) for cell in row) for row in table.rows)
    return rf"\begin{{{name}}}{rows}\end{{{name}}}"


def joined(parts: list[str]) -> str:
    """LaTeX of things beside each other."""
    made = ""
    for part in parts:
        # A command ends where no letter follows.
        if made and part[:1].isalpha() and _ends_in_command(made):
            made += " "
        made += part
    return made


def _ends_in_command(text: str) -> bool:
    tail = text.rstrip("abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ")
    return tail.endswith("\\") and len(tail) < len(text)


# MathML


def mathml_of(node: Node, colour: str = "", in_line: bool = False) -> str:
    """MathML 3 (presentation), as other programs take it."""
    styled = f' mathcolor="{colour}"' if colour else ""
    display = "inline" if in_line else "block"
    return f'<math xmlns="http://www.w3.org/1998/Math/MathML" display="{display}"{styled}>{_ml(node)}</math>'


def _ml(node: Node) -> str:
    match node:
        case Row(nodes=(one,)):
            return _ml(one)
        case Row(nodes=nodes):
            before: tuple[Node | None, ...] = (None, *nodes)
            return f"<mrow>{''.join(_in_row(inner, prior) for prior, inner in zip(before, nodes, strict=False))}</mrow>"
        case Sign():
            return _sign_ml(node)
        case Number(digits=digits):
            return f"<mn>{escape(digits)}</mn>"
        case Word(text=text, function=True):
            return f"<mi>{escape(text)}</mi><mo>&#8289;</mo>"
        case Word(text=text):
            return f"<mtext>{escape(text)}</mtext>"
        case Gap(width=width):
            return f'<mspace width="{width}em"/>'
        case Fraction(above=above, below=below):
            return f"<mfrac>{_one(above)}{_one(below)}</mfrac>"
        case Root(body=body, index=None):
            return f"<msqrt>{_one(body)}</msqrt>"
        case Root(body=body, index=index):
            assert index is not None
            return f"<mroot>{_one(body)}{_one(index)}</mroot>"
        case Script():
            return _script_ml(node)
        case Over(mark=r"\underline", body=body):
            return f'<munder accentunder="true">{_one(body)}<mo stretchy="true">_</mo></munder>'
        case Over(mark=mark, body=body):
            return f'<mover accent="true">{_one(body)}<mo stretchy="true">{OVERS[mark]}</mo></mover>'
        case Fenced(left=left, body=body, right=right):
            return f"<mrow>{_fence_ml(left)}{_one(body)}{_fence_ml(right)}</mrow>"
        case Table(rows=rows, form=form):
            align = {"matrix": "center", "cases": "left", "lines": "right left"}[form]
            cells = "".join(
                f"<mtr>{''.join(f'<mtd>{_one(cell)}</mtd>' for cell in row)}</mtr>" for row in rows
            )
            return f'<mtable columnalign="{align}" displaystyle="{"true" if form == "lines" else "false"}">{cells}</mtable>'


def _in_row(node: Node, before: Node | None) -> str:
    """A node after another: a sign with nothing before it that it could be added to belongs to what follows."""
    if isinstance(node, Sign) and node.name in ("+", "-", r"\pm"):
        prior = SIGNS.get(before.name) if isinstance(before, Sign) else None
        if before is None or (prior and prior.kind in ("relation", "binary", "open", "comma")):
            return f'<mo form="prefix">{SIGNS[node.name].character}</mo>'
    return _ml(node)


def _one(row: Row) -> str:
    """A row as exactly one element."""
    made = _ml(row)
    return made if len(row.nodes) == 1 and not isinstance(row.nodes[0], Word) else f"<mrow>{made}</mrow>"


#: Room on both sides of signs that what lays formulas out knows none for: as much as others of their kind have, and more where they
#: join statements.
_ROOM = {r"\cup": "0.222em", r"\cap": "0.222em", r"\subset": "0.278em", r"\wedge": "0.5em", r"\vee": "0.5em"}


def _sign_ml(sign: Sign) -> str:
    known = SIGNS.get(sign.name)
    if known is None or known.kind == "name":
        character = known.character if known else sign.name
        # Large Greek letters stand upright, as printers have it.
        upright = sign.upright or (character.isupper() and not character.isascii())
        return _upright(character) if upright else f"<mi>{escape(character)}</mi>"
    if known.kind in ("open", "close") or sign.name in ("|", r"\|"):
        return f'<mo stretchy="false">{escape(known.character)}</mo>'
    if known.kind == "other" or sign.name == "!":
        return _upright(known.character)
    room = _ROOM.get(sign.name)
    beside = f' lspace="{room}" rspace="{room}"' if room else ""
    return f"<mo{beside}>{escape(known.character)}</mo>"


def _upright(character: str) -> str:
    return f'<mi mathvariant="normal">{escape(character)}</mi>'


def _fence_ml(name: str) -> str:
    return f'<mo fence="true" stretchy="true">{escape(SIGNS[name].character)}</mo>' if name else ""


def _script_ml(node: Script) -> str:
    below = _is_limited(node.base)
    parts = [_one(node.base), *(_one(part) for part in (node.sub, node.sup) if part is not None)]
    if node.sub is not None and node.sup is not None:
        name = "munderover" if below else "msubsup"
    elif node.sub is not None:
        name = "munder" if below else "msub"
    else:
        name = "mover" if below else "msup"
    return f"<{name}>{''.join(parts)}</{name}>"


def _is_limited(base: Row) -> bool:
    match base.nodes:
        case (Word(text=text, function=True),):
            return text in LIMITED
        case (Sign(name=name),):
            return name in (r"\sum", r"\prod", r"\bigcup", r"\bigcap")
        case _:
            return False


def upright(row: Row) -> Row:
    """A row with its letters upright, as those of units and substances are printed."""
    return Row(tuple(map(upright_node, row.nodes)))


def upright_node(node: Node) -> Node:
    match node:
        case Sign(name=name) if len(name) == 1 and name.isalpha():
            return Sign(name, upright=True)
        case Script(base=base, sub=sub, sup=sup):
            return Script(upright(base), sub, sup)
        case Fenced(left=left, body=body, right=right):
            return Fenced(left, upright(body), right)
        case _:
            return node
