"""Formulas that the reader of written maths is measured on: bench/hands/maths.

Hands, real digits and expressions (formulas.txt) are none that training has; how they are laid out is another's work,
too: each sign stands where a printer would set it (ziamath), and is then drawn by hand. Two more sets are of formulas drawn
by lot, laid out as for training, by the same hands: nobody writes such, so what is learned of likely formulas must not spoil them.
"""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import numpy as np
from ziamath import Math  # type: ignore[attr-defined]

from sunroom.core.geometry import simplify
from sunroom.core.maths.notation import mathml_of
from sunroom.core.maths.signs import BY_CHARACTER
from sunroom.core.maths.typed import read_formula, unmistakable
from training import signs
from training.drawn import unknown_formula
from training.hands import Part, traced
from training.likely_formulas import latex_of_signs
from training.maths_hands import GREEK_FONTS, KEY_OF, hershey, varied
from training.written_maths import Writer, in_order, sample

OUT = Path(__file__).parents[1] / "bench" / "hands" / "maths"
FORMULAS = Path(__file__).with_name("formulas.txt")
HANDS = {
    "formulas": (
        "architects-daughter",
        "kalam",
        "nothing-you-could-do",
        "patrick-hand",
        "gaegu",
        "comic-neue",
    ),
    "formulas-last": ("handlee", "delius", "mansalva", "just-me-again-down-here", "short-stack", "mali"),
    "formulas-joined": (
        "playwrite-ar",
        "playwrite-cz",
        "playwrite-fr-trad",
        "playwrite-no",
        "cookie",
        "sacramento",
    ),
    "formulas-joined-last": (
        "playwrite-ca",
        "playwrite-hu",
        "playwrite-ro",
        "playwrite-es",
        "norican",
        "dancing-script",
    ),
}
#: Each formula is written in so many hands.
TIMES = 2
#: So many formulas by lot by the hands of each of the first sets.
LOT = {"formulas-lot": "formulas", "formulas-joined-lot": "formulas-joined"}
DRAWN, SEED = 150, 77
#: Heights of a printed and of our hands' digits, in sizes.
PRINTED = 0.66
#: What is set in less than seven pixels has indices as large as its letters.
PRINTED_SIZE = 100.0
UNITS = 100


def main() -> None:
    lines = FORMULAS.read_text().split("\n")
    for at, (name, hands) in enumerate(HANDS.items()):
        random = np.random.default_rng(7 + at)
        rows = []
        for latex in [line for line in lines if line][at::2]:
            for hand in random.choice(hands, TIMES, replace=False):
                strokes = written(latex, str(hand), random)
                rows.append(
                    {"latex": latex, "hand": str(hand), "strokes": [flat(stroke) for stroke in strokes]}
                )
        _keep(name, rows)
    for name, other in LOT.items():
        _keep(name, by_lot(HANDS[other], np.random.default_rng(SEED)))


def _keep(name: str, rows: list[dict[str, Any]]) -> None:
    (OUT / f"{name}.json").write_text(json.dumps(rows, separators=(",", ":")))
    print(name, len(rows))


def by_lot(hands: tuple[str, ...], random: np.random.Generator) -> list[dict[str, Any]]:
    """Formulas that are none of the well-known ones."""
    rows = []
    for _ in range(DRAWN):
        found = sample(random, hands, "held out", unknown_formula)
        strokes, _ = in_order(found, random)
        rows.append({"latex": latex_of_signs(found), "hand": "by lot", "strokes": [flat(s) for s in strokes]})
    return rows


def flat(stroke: np.ndarray) -> list[int]:
    kept = stroke[simplify(stroke, 0.006)]
    flat: list[int] = np.round(kept * UNITS).astype(int).ravel().tolist()
    return flat


def written(latex: str, hand: str, random: np.random.Generator, part: Part = "held out") -> list[np.ndarray]:
    """A formula's strokes, a digit's height being about 1; real digits are of ``part``."""
    traced(hand)  # a writer takes hands that have been traced, and no others
    writer = Writer(random, (hand,), part)
    printed = Math(mathml_of(read_formula(unmistakable(latex))), size=PRINTED_SIZE).node
    placed = [
        (kind, what, x / PRINTED_SIZE, y / PRINTED_SIZE, size / PRINTED_SIZE, tuple(edge / PRINTED_SIZE for edge in box))
        for kind, what, x, y, size, box in _placed(printed, 0.0, 0.0)
    ]  # fmt: skip
    strokes: list[np.ndarray] = []
    at = 0
    while at < len(placed):
        kind, what, x, y, size, box = placed[at]
        if kind == "bar":
            line = np.column_stack([np.linspace(box[0], box[1], 6), np.full(6, y)])
            strokes += varied([line], 0, random, 0.3)
        elif what == "√":
            bar = placed[at + 1] if at + 1 < len(placed) and placed[at + 1][0] == "bar" else None
            right, top = (bar[5][1], bar[3]) if bar else (box[1], box[2])
            hook = box[1] - box[0]
            points = [
                (box[0], box[3] - 0.45 * (box[3] - top)),
                (box[0] + 0.45 * hook, box[3]),
                (box[1], top),
                (right, top),
            ]
            strokes += varied([np.array(points)], 0, random, 0.35)
            at += bar is not None
        else:
            strokes += _sign(writer, what, x, y, size, box, random)
        at += 1
    return [stroke / PRINTED for stroke in strokes]


def _placed(node: Any, x: float, y: float) -> Any:
    """Glyphs and bars of a layout, each with its place and its box (left, right, top, bottom)."""
    kind = type(node).__name__
    if kind == "Glyph":
        box = (x + node.bbox.xmin, x + node.bbox.xmax, y - node.bbox.ymax, y - node.bbox.ymin)
        yield "glyph", node.char, x, y, node.size, box
    elif kind == "HLine":
        yield "bar", "", x, y, 0.0, (x, x + node.length, y, y)
    else:
        for (dx, dy), inner in zip(getattr(node, "nodexy", ()), node.nodes, strict=False):
            yield from _placed(inner, x + dx, y + dy)


def _sign(
    writer: Writer,
    character: str,
    x: float,
    y: float,
    size: float,
    box: tuple[float, ...],
    random: np.random.Generator,
) -> list[np.ndarray]:
    name = {"⁡": "", "‾": r"\overline", "°": r"\circ", "∘": r"\circ"}.get(
        character, BY_CHARACTER.get(character, character)
    )
    if not name or name.isspace():
        return []
    if box[1] - box[0] <= 0:
        return []
    if name == r"\overline" or (name == r"\rightarrow" and size < 0.999 and box[3] < y - 0.3):
        line = np.column_stack([np.linspace(box[0], box[1], 6), np.full(6, (box[2] + box[3]) / 2)])
        head = (
            []
            if name == r"\overline"
            else [np.array([line[-1] + (-0.12, -0.07), line[-1], line[-1] + (-0.12, 0.07)])]
        )
        return varied([line, *head], 0, random, 0.4)
    if name in KEY_OF and random.random() < 0.5:
        strokes = hershey(GREEK_FONTS[0], KEY_OF[name])
    else:
        strokes = writer.glyph(name)
    strokes = varied(strokes, writer.lean, random)
    own = np.vstack(strokes)
    if (name in signs.DRAWN and not name[-1].isalpha()) or name in (r"\sum", r"\prod", r"\int"):
        # Signs fill the box that is set for them.
        low, high = own.min(axis=0), own.max(axis=0)
        scale = (
            (box[3] - box[2]) / max(high[1] - low[1], 1e-6)
            if name not in ("-", ".", ",", "=", r"\cdot")
            else PRINTED * size
        )
        middle = np.array([(box[0] + box[1]) / 2, (box[2] + box[3]) / 2])
        return [(stroke - (low + high) / 2) * scale + middle for stroke in strokes]
    scale = PRINTED * size * float(np.exp(random.normal(0, 0.06)))
    left = own[:, 0].min()
    wide = (box[1] - box[0]) / max(float(np.ptp(own[:, 0])) * scale, 1e-6)
    # A hand's letter is as wide as it is; where it is much wider than the printed one, a little narrower.
    narrow = min(max(wide, 0.75), 1.0)
    drift = random.normal(0, 0.02) * size
    return [(stroke - (left, 0)) * (scale * narrow, scale) + (box[0], y + drift) for stroke in strokes]


if __name__ == "__main__":
    main()
