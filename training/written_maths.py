"""Formulas as they are written by hand: trees of training.formulas, laid out as a hand would, stroke by stroke.

Each sign knows its parent and how it stands to it, so that what was written can be told from the strokes alone.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

import numpy as np

from training import hands, signs
from training.drawn import formula
from training.formulas import Node
from training.maths_hands import (
    GREEK_FONTS,
    KEY_OF,
    Random,
    Strokes,
    cap_height,
    fallback,
    fine,
    hershey,
    real_digits,
    varied,
)

RELATIONS = ("right", "sup", "sub", "above", "below", "inside", "cell")
CLASSES = (*"0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ", *signs.DRAWN)
WORDS = {"lim"}
#: Signs that stretch to what they embrace.
FENCES = frozenset(["(", ")", "[", "]", r"\{", r"\}", "|"])
#: What stands between two things, with room on both sides.
BETWEEN = frozenset(["+", "-", "=", "<", ">", r"\cdot", r"\times", r"\div", r"\pm", r"\le", r"\ge", r"\ne", r"\approx", r"\equiv", r"\sim",
                     r"\rightarrow", r"\rightleftharpoons", r"\Rightarrow", r"\Leftrightarrow", r"\in", r"\cup", r"\cap", r"\subset",
                     r"\perp", r"\parallel"])  # fmt: skip


@dataclass
class Sign:
    name: str
    strokes: Strokes
    parent: int = -1
    relation: str = ""


@dataclass
class Piece:
    """Signs that stand together: which, the one that is linked to, the one that goes on, and their box."""

    members: list[int]
    first: int
    last: int
    box: np.ndarray = field(default_factory=lambda: np.zeros(4))


class Writer:
    """One person's hand for one formula."""

    def __init__(self, random: Random, fonts: tuple[str, ...], digits: hands.Part) -> None:
        self.random = random
        self.digits_of = digits
        known = [name for name in fonts if (hands.TRACED / f"{name}.json").exists()]
        self.font = known[int(random.integers(len(known)))]
        self.glyphs = hands.traced(self.font)
        self.unit = cap_height(self.font)
        self.signs: list[Sign] = []
        pick = random.random
        self.digit_way = "real" if pick() < 0.5 else "font" if pick() < 0.65 else "drawn"
        self.letters_drawn = 0.15 if pick() < 0.75 else 0.9
        self.lean = random.normal(0.04, 0.1)
        self.tight = float(np.exp(random.normal(-0.15, 0.45)))
        self.script_size = random.uniform(0.5, 0.85)
        self.raised = random.uniform(0.25, 0.8)
        self.dropped = random.uniform(0.05, 0.4)
        #: Room around what stands between two things.
        self.apart = random.uniform(0.0, 0.4)
        #: How often a sign is written into the one before it.
        self.crowded = 0.0 if pick() < 0.5 else random.uniform(0.05, 0.5)
        self.drift = random.uniform(0, 0.07)
        self.uneven = random.uniform(0.02, 0.11)
        self.bar_first = pick() < 0.2
        self.small_fractions = pick() < 0.25
        #: How often a stroke is made in two: some pens, and some tracers, lift at every bend.
        self.lifted = 0.02 if pick() < 0.8 else random.uniform(0.1, 0.4)
        self.ways: dict[str, int] = {}
        #: Whether a table would stand in brackets: otherwise its rows are lines of working.
        self.fenced = False

    # Signs

    def glyph(self, name: str) -> Strokes:
        random = self.random
        if name.isdigit() and self.digit_way == "real":
            real = real_digits(int(name), self.digits_of)
            strokes = [stroke * (1, 1) - (0, 1) for stroke in real[int(random.integers(len(real)))]]
        else:
            strokes = self._drawn(name)
        return strokes

    def _drawn(self, name: str) -> Strokes:
        random = self.random
        drawn = signs.ways(name)
        traced = signs.of_fonts(name)
        if traced and random.random() < (0.35 if name in KEY_OF else 0.2):
            return [stroke.copy() for stroke in traced[int(random.integers(len(traced)))]]
        if name in KEY_OF and random.random() < 0.2:
            strokes = hershey(GREEK_FONTS[0], KEY_OF[name])
            if strokes:
                return strokes
        plain = name in self.glyphs
        apart = self.letters_drawn if name.isalnum() else 0.8
        if name.isdigit():
            apart = 1.0 if self.digit_way == "drawn" else 0.0
        if plain and (not drawn or random.random() > apart):
            return [np.array(stroke)[:, :2] / self.unit for stroke in self.glyphs[name]["strokes"]]
        if not drawn:
            return fallback(name, random)
        # A hand keeps to its way, mostly.
        if name not in self.ways or random.random() < 0.15:
            self.ways[name] = int(random.integers(len(drawn)))
        return [stroke.copy() for stroke in drawn[self.ways[name]]]

    def add(self, name: str, size: float, strokes: Strokes | None = None) -> Piece:
        random = self.random
        strokes = self.glyph(name) if strokes is None else strokes
        strokes = varied(strokes, self.lean, random, lifted=self.lifted)
        size *= float(np.exp(random.normal(0, self.uneven)))
        strokes = [stroke * size for stroke in strokes]
        self.signs.append(Sign(name, strokes))
        at = len(self.signs) - 1
        return self._piece([at], at, at)

    def _piece(self, members: list[int], first: int, last: int) -> Piece:
        points = np.vstack([stroke for at in members for stroke in self.signs[at].strokes])
        return Piece(members, first, last, np.concatenate([points.min(axis=0), points.max(axis=0)]))

    def move(self, piece: Piece, dx: float, dy: float) -> None:
        for at in piece.members:
            self.signs[at].strokes = [stroke + (dx, dy) for stroke in self.signs[at].strokes]
        piece.box = piece.box + (dx, dy, dx, dy)

    def link(self, child: int, parent: int, relation: str) -> None:
        self.signs[child].parent, self.signs[child].relation = parent, relation

    # Layout

    def write(self, node: Any, size: float = 1.0) -> Piece:
        if isinstance(node, str):
            if node in WORDS:
                return self.row(list(node), size)
            return self.add(node, size)
        kind, *rest = node
        made: Piece = getattr(self, kind)(*rest, size=size)
        return made

    def gap(self, size: float, before: str = "", after: str = "") -> float:
        wide = 0.16 if before in signs.DRAWN or after in signs.DRAWN else 0.11
        if before.isdigit() and after.isdigit():
            wide = 0.09
        if before in BETWEEN or after in BETWEEN:
            wide += self.apart / self.tight
        return max(size * self.tight * (wide + self.random.normal(0, 0.05)), -0.03 * size)

    def into(self, before: Piece, after: Piece) -> float:
        """How far a sign reaches into the one before it: mostly not at all, and never so far that nobody could tell them."""
        if self.random.random() >= self.crowded:
            return 0.0
        narrow = min(piece.box[2] - piece.box[0] for piece in (before, after))
        return self.random.uniform(0.1, 0.65) * float(narrow)

    def row(self, nodes: list[Any], size: float) -> Piece:
        pieces: list[Piece] = []
        stack: list[int] = []
        before_this, self.fenced = self.fenced, True
        for node in nodes:
            piece = self.write(node, size)
            name = self.signs[piece.first].name
            if pieces:
                before = pieces[-1]
                gap = self.gap(size, self.signs[before.last].name, name)
                left = max(piece.box[2] for piece in pieces[-3:]) if len(pieces) > 1 else before.box[2]
                left = before.box[2] if left - before.box[2] > 0.4 * size else left
                gap -= self.into(self._piece([before.last], 0, 0), self._piece([piece.first], 0, 0))
                self.move(piece, left + gap - piece.box[0], self.random.normal(0, self.drift) * size)
                self.link(piece.first, before.last, "right")
            pieces.append(piece)
            if name in ("(", "[", r"\{"):
                stack.append(len(pieces) - 1)
            elif name in (")", "]", r"\}") and stack:
                self._fence(pieces, stack.pop(), len(pieces) - 1, size)
        while stack:
            self._fence(pieces, stack.pop(), None, size)
        self.fenced = before_this
        return self._piece([at for piece in pieces for at in piece.members], pieces[0].first, pieces[-1].last)

    def _fence(self, pieces: list[Piece], opened: int, closed: int | None, size: float) -> None:
        """Brackets become as high as what they embrace, or nearly."""
        inner = pieces[opened + 1 : closed]
        if not inner:
            return
        top, bottom = min(p.box[1] for p in inner), max(p.box[3] for p in inner)
        if bottom - top < 1.3 * size:
            return
        for at in (opened, closed):
            if at is None:
                continue
            piece = pieces[at]
            sign = self.signs[piece.first]
            if sign.name not in FENCES:
                continue
            own = np.vstack(sign.strokes)
            scale = (bottom - top) * self.random.uniform(0.85, 1.15) / max(float(np.ptp(own[:, 1])), 1e-6)
            middle = (top + bottom) / 2 + self.random.normal(0, 0.05) * size
            centre = own.min(axis=0) / 2 + own.max(axis=0) / 2
            wide = min(scale, 1.6) ** 0.5
            sign.strokes = [
                (stroke - centre) * (wide, scale) + (centre[0], middle) for stroke in sign.strokes
            ]
            pieces[at] = self._piece(piece.members, piece.first, piece.last)

    def frac(self, above: Any, below: Any, size: float) -> Piece:
        random = self.random
        inner = size * (random.uniform(0.6, 0.8) if self.small_fractions else random.uniform(0.8, 1.0))
        bar_at = len(self.signs)
        if self.bar_first:
            self.signs.append(Sign("-", []))
        top = self.write(above, inner)
        if not self.bar_first and random.random() < 0.8:
            bar_at = len(self.signs)
            self.signs.append(Sign("-", []))
            below_piece = self.write(below, inner)
        else:
            below_piece = self.write(below, inner)
            if not self.bar_first:
                bar_at = len(self.signs)
                self.signs.append(Sign("-", []))
        width = max(top.box[2] - top.box[0], below_piece.box[2] - below_piece.box[0]) + size * random.uniform(
            0.02, 0.4
        )
        axis = -0.45 * size
        bar = np.column_stack(
            [
                np.linspace(0, width, 7),
                axis
                + np.cumsum(random.normal(0, 0.008, 7)) * size
                + np.linspace(0, random.normal(0, 0.03) * width, 7),
            ]
        )
        self.signs[bar_at].strokes = [bar if random.random() < 0.9 else bar[::-1]]
        middle = width / 2
        for piece, away in ((top, -1), (below_piece, 1)):
            space = size * max(random.normal(0.17, 0.06), 0.05)
            y = axis - space - piece.box[3] if away < 0 else axis + space - piece.box[1]
            self.move(piece, middle - (piece.box[0] + piece.box[2]) / 2 + random.normal(0, 0.04) * width, y)
        self.link(top.first, bar_at, "above")
        self.link(below_piece.first, bar_at, "below")
        made = self._piece([*top.members, bar_at, *below_piece.members], bar_at, bar_at)
        self.move(made, -made.box[0], 0)
        return made

    def script(self, base: Any, sub: Any, sup: Any, size: float) -> Piece:
        random = self.random
        made = self.write(base, size)
        members = list(made.members)
        name = self.signs[made.last].name
        box = self._piece([made.last], made.last, made.last).box
        if name == "-" and len(made.members) > 1:
            box = made.box
        tall = box[3] - box[1]
        right = box[2]
        for node, up in ((sub, False), (sup, True)):
            if node is None:
                continue
            small = size * self.script_size * random.uniform(0.9, 1.1)
            piece = self.write(node, small)
            if up:
                # The script's foot stands at some part of the base's height.
                foot = min(box[1] + tall * (1 - self.raised), -0.3 * size) + random.normal(0, 0.05) * size
                if node in (r"\circ", "'"):
                    foot = min(box[1], -0.75 * size) + 0.75 * small + random.normal(0, 0.04) * size
                y = foot
            else:
                drop = (self.dropped + random.normal(0, 0.04)) * size
                y = max(box[3], 0) - 0.2 * size * (name == r"\int") + drop
                y = min(y, max(box[3] + 0.35 * size, drop))
            dx = right + size * max(random.normal(0.07, 0.05), -0.04) - piece.box[0]
            dx -= self.into(self._piece([made.last], 0, 0), piece)
            if name in (r"\int", r"\oint") and not up:
                dx -= 0.25 * size * random.random()
            self.move(piece, dx, y)
            self.link(piece.first, made.last, "sup" if up else "sub")
            members += piece.members
        return self._piece(members, made.first, made.last)

    def sqrt(self, body: Any, index: Any, size: float) -> Piece:
        random = self.random
        at = len(self.signs)
        late = random.random() < 0.15
        if not late:
            self.signs.append(Sign(r"\sqrt", []))
        inner = self.write(body, size * random.uniform(0.85, 1.0))
        if late:
            at = len(self.signs)
            self.signs.append(Sign(r"\sqrt", []))
        top = inner.box[1] - size * random.uniform(0.08, 0.28)
        bottom = inner.box[3] + size * random.uniform(-0.08, 0.12)
        left = inner.box[0] - size * random.uniform(0.05, 0.2)
        right = inner.box[2] + size * random.uniform(-0.05, 0.25)
        hook = size * random.uniform(0.3, 0.55)
        tall = bottom - top
        foot = (left - hook * random.uniform(0.35, 0.55), bottom)
        start = (left - hook - 0.1 * size, bottom - tall * random.uniform(0.3, 0.5))
        knee = (left - hook, bottom - tall * random.uniform(0.38, 0.6))
        corner = (left + random.uniform(-0.05, 0.05) * size, top)
        end = (right, top + random.normal(0, 0.05) * size)
        parts = [np.array([start, knee, foot, corner, end])]
        if random.random() < 0.25:
            parts = [np.array([start, knee, foot, corner]), np.array([corner, end])]
        elif random.random() < 0.2:
            parts = [np.array([knee, foot, corner, end])]
        if random.random() < 0.15:
            parts[-1] = np.vstack([parts[-1], (right, top + 0.15 * size)])
        self.signs[at].strokes = varied([fine(part) for part in parts], 0, random, 0.35)
        self.link(inner.first, at, "inside")
        members = [at, *inner.members]
        if index is not None:
            piece = self.write(index, size * random.uniform(0.4, 0.6))
            self.move(
                piece,
                knee[0] + 0.05 * size - piece.box[2] + 0.5 * (foot[0] - knee[0]),
                knee[1] - 0.08 * size - piece.box[3] - random.uniform(0, 0.1) * size,
            )
            self.link(piece.first, at, "above")
            members += piece.members
        made = self._piece(members, at, at)
        self.move(made, -made.box[0], 0)
        return made

    def big(self, name: str, below: Any, above: Any, size: float) -> Piece:
        random = self.random
        made = self.write(name, size)
        members = list(made.members)
        middle = (made.box[0] + made.box[2]) / 2
        beside = name != "lim" and random.random() < 0.15
        small = size * random.uniform(0.45, 0.7)
        for node, away in ((above, -1), (below, 1)):
            if node is None:
                continue
            piece = self.write(node, small)
            space = size * max(random.normal(0.14, 0.06), 0.03)
            if beside:
                y = made.box[1] + 0.3 * size if away < 0 else made.box[3] + 0.1 * size
                self.move(piece, made.box[2] + 0.08 * size - piece.box[0], y)
                self.link(piece.first, made.last, "sup" if away < 0 else "sub")
            else:
                y = made.box[1] - space - piece.box[3] if away < 0 else made.box[3] + space - piece.box[1]
                self.move(
                    piece, middle - (piece.box[0] + piece.box[2]) / 2 + random.normal(0, 0.06) * size, y
                )
                self.link(piece.first, made.first, "above" if away < 0 else "below")
            members += piece.members
        whole = self._piece(members, made.first, made.last)
        self.move(whole, -whole.box[0], 0)
        return whole

    def over(self, accent: str, body: Any, size: float) -> Piece:
        random = self.random
        at = len(self.signs)
        inner = self.write(body, size)
        at = len(self.signs)
        wide = (inner.box[2] - inner.box[0]) * random.uniform(0.85, 1.3)
        wide = max(wide, 0.3 * size)
        x0 = (inner.box[0] + inner.box[2] - wide) / 2 + random.normal(0.03, 0.04) * size
        y = inner.box[1] - size * random.uniform(0.06, 0.22)
        line = np.column_stack([np.linspace(x0, x0 + wide, 6), y + random.normal(0, 0.01, 6) * size])
        head = size * random.uniform(0.1, 0.2)
        tip = line[-1]
        if accent == r"\overline":
            strokes = [line]
        elif accent == r"\hat":
            strokes = [np.array([(x0, y), ((2 * x0 + wide) / 2, y - 0.22 * size), (x0 + wide, y)])]
        else:
            arrow = np.array([tip + (-head, -head * 0.7), tip, tip + (-head, head * 0.7)])
            way = random.random()
            strokes = (
                [line, arrow]
                if way < 0.5
                else [np.vstack([line, arrow[:1], tip[None], arrow[2:]])]
                if way < 0.75
                else [np.vstack([line, arrow[:1]])]
                if way < 0.88
                else [line, arrow[:2], arrow[1:]]
            )
        self.signs.append(Sign(accent, varied(strokes, 0, random, 0.4)))
        self.link(inner.first, at, "inside")
        return self._piece([*inner.members, at], at, at)

    def table(self, rows: list[list[Any]], size: float) -> Piece:
        random = self.random
        cells = [[self.write(cell, size) for cell in row] for row in rows]
        wide = [max(row[c].box[2] - row[c].box[0] for row in cells) for c in range(len(rows[0]))]
        between, apart = size * random.uniform(0.4, 0.9), size * random.uniform(0.15, 0.45)
        left_bound = len(rows[0]) == 1 and (not self.fenced or random.random() < 0.5)
        if not self.fenced:
            apart = size * random.uniform(0.25, 1.4)
        y, members = 0.0, []
        for row_at, row in enumerate(cells):
            top, bottom = min(c.box[1] for c in row), max(c.box[3] for c in row)
            x = 0.0
            for at, cell in enumerate(row):
                dx = x - cell.box[0] + (0 if left_bound else (wide[at] - cell.box[2] + cell.box[0]) / 2)
                self.move(cell, dx + random.normal(0, 0.03) * size, y - top)
                x += wide[at] + between
                if at:
                    self.link(cell.first, row[at - 1].last, "cell")
                members += cell.members
            if row_at:
                self.link(row[0].first, cells[row_at - 1][0].first, "below")
            y += bottom - top + apart
        piece = self._piece(members, cells[0][0].first, cells[0][-1].last)
        self.move(piece, -piece.box[0], -0.45 * size - (piece.box[1] + piece.box[3]) / 2)
        return piece


def sample(
    random: Random,
    fonts: tuple[str, ...],
    digits: hands.Part = "training",
    draw: Callable[[Random], Node] = formula,
) -> list[Sign]:
    """The signs of one formula, in the order of writing."""
    while True:
        node = draw(random)
        writer = Writer(random, fonts, digits)
        writer.write(node)
        count = sum(len(sign.strokes) for sign in writer.signs)
        if count <= 60 and all(sign.strokes for sign in writer.signs):
            return writer.signs


def in_order(found: list[Sign], random: Random) -> tuple[Strokes, list[int]]:
    """Strokes in an order of writing, and the sign of each: now and then one is made late."""
    strokes = [(stroke, at) for at, sign in enumerate(found) for stroke in sign.strokes]
    if random.random() < 0.25 and len(strokes) > 3:
        late = int(random.integers(len(strokes) - 1))
        strokes.insert(min(late + int(random.integers(1, 8)), len(strokes) - 1), strokes.pop(late))
    return [stroke for stroke, _ in strokes], [at for _, at in strokes]
