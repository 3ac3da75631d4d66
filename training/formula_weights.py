"""Fit how much each counts of what is seen of a formula (core.maths.weighing), and write sunroom/models/formulas.json.

    PYTHONPATH=. python -m training.formula_weights       in the environment of training: three minutes

A conditional logistic regression: of all ways to read a formula the right one is to be likeliest. It learns from the first two sets of
bench/hands/maths and those by lot, from other formulas by the same hands (more_formulas.txt), and, each for half, from the
known formulas by hands that the net has learned from. To these each known formula is as likely as it is by counts
without it. Weights are held near to those that were set by hand before. What is read right of a fifth of the formulas by weights
from the others is printed, beside what those by hand read.
"""

from __future__ import annotations

import json
from collections import defaultdict
from collections.abc import Callable
from functools import cache
from multiprocessing import Pool
from typing import Any, NamedTuple

import numpy as np

from bench.maths import HANDS as SETS
from bench.maths import _plain
from sunroom.core.maths.likely import LikelyFormulas
from sunroom.core.maths.weighing import FEATURES, KINDS, OF_FORMULA, PLACES
from sunroom.core.maths.written_latex import oddness
from sunroom.resources import MODELS, written_reader
from training import measured_maths
from training.known import KNOWN
from training.likely_formulas import counted
from training.maths_hands import APART, JOINED

OUT = MODELS / "formulas.json"
FOLDS, SEED = 5, 1000
#: How much a known formula counts beside another, and how much a weight that is not as it was by hand costs.
KNOWN_COUNTS, RIDGE, FEW = 0.5, 8.0, 0.5
BY_HAND = {
    "parting": 0.5, "uneven": -8.0, "lost": -3.0, "likely": 0.28, "odd": -1.0,
    **{f"{kind}, log": 1.0 for kind in KINDS}, **{f"{place}, log": 0.85 for place in PLACES},
}  # fmt: skip
START = np.array([BY_HAND.get(name, 0.0) for name in FEATURES])


class Seen(NamedTuple):
    """A formula's ways to be read: their features, which is right (-1: none), in which fold it is, how much it counts."""

    group: str
    features: np.ndarray
    right: int
    fold: int
    counts: float


def main() -> None:
    rows = [
        {**row, "group": name, "fold": fold, "counts": 1.0}
        for name in ("formulas", "formulas-joined", "formulas-lot", "formulas-joined-lot")
        for row in json.loads((SETS / f"{name}.json").read_text())
        for fold in [hash_of(row["latex"])]
    ]
    with Pool(2) as pool:
        rows += [row for made in pool.imap(_more, enumerate(_lines("more_formulas.txt")), 4) for row in made]
        rows += [row for made in pool.imap(_known, enumerate(_lines(KNOWN.name)), 4) for row in made]
        seen = [each for each in pool.imap(_seen, rows, 8) if each is not None]
    measured = [each for each in seen if each.counts == 1.0]
    hits: dict[str, list[tuple[bool, ...]]] = defaultdict(list)
    for fold in range(FOLDS):
        weights = _fitted([each for each in seen if each.fold != fold])
        for each in measured:
            if each.fold == fold:
                hits[each.group].append((*_hit(each, START), *_hit(each, weights)))
    for group, right in hits.items():
        print(
            group,
            len(right),
            "by hand {:.1f}, {:.1f}; fitted {:.1f}, {:.1f}".format(*(100 * np.mean(right, axis=0))),
        )
    weights = _fitted(seen)
    OUT.write_text(json.dumps(dict(zip(FEATURES, weights.round(2).tolist(), strict=True)), indent=0) + "\n")


def hash_of(latex: str) -> int:
    """In which fold a formula is, however it is written."""
    return sum(_plain(latex).encode()) % FOLDS


def _lines(name: str) -> list[str]:
    return [line for line in KNOWN.with_name(name).read_text().splitlines() if line]


def _more(numbered: tuple[int, str]) -> list[dict[str, Any]]:
    """Each formula by two hands of each of the first sets."""
    number, latex = numbered
    random = np.random.default_rng(SEED + number)
    return [
        _row(latex, str(hand), random, f"more, {group}", hash_of(latex), 1.0)
        for group in ("formulas", "formulas-joined")
        for hand in random.choice(measured_maths.HANDS[group], measured_maths.TIMES, replace=False)
    ]


def _known(numbered: tuple[int, str]) -> list[dict[str, Any]]:
    """Each known formula by a hand of either kind that the net has learned from."""
    number, latex = numbered
    random = np.random.default_rng(2 * SEED + number)
    taken = {hand for hands in measured_maths.HANDS.values() for hand in hands}
    return [
        _row(latex, str(random.choice([hand for hand in hands if hand not in taken])), random, "known", number % FOLDS, KNOWN_COUNTS)
        for hands in (APART, JOINED)
    ]  # fmt: skip


def _row(
    latex: str, hand: str, random: np.random.Generator, group: str, fold: int, counts: float
) -> dict[str, Any]:
    strokes = [
        measured_maths.flat(stroke) for stroke in measured_maths.written(latex, hand, random, "tuning")
    ]
    return {"latex": latex, "strokes": strokes, "group": group, "fold": fold, "counts": counts}


@cache
def _likely_without(fold: int) -> Callable[[str], float]:
    """How likely formulas are by counts without the known ones of a fold."""
    lines = [line for number, line in enumerate(_lines(KNOWN.name)) if number % FOLDS != fold]
    with np.load(MODELS / "likely-formulas.npz") as arrays:
        lot = {name: arrays[name] for name in ("tokens", "known", "lot")}
    numbers = {str(token): number for number, token in enumerate(lot["tokens"])}
    lot["known"] = LikelyFormulas.arrays(numbers, counted(lines, numbers, np.random.default_rng(SEED)), {})[
        "known"
    ]
    return LikelyFormulas.of({**lot, "tokens": np.array(list(numbers))}).log


def _seen(row: dict[str, Any]) -> Seen | None:
    if r"\\" in row["latex"] and r"\begin" not in row["latex"]:
        return None  # lines of working are read one by one
    reader = written_reader()
    likely = reader._likely if row["group"] != "known" else _likely_without(row["fold"])
    strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
    features: dict[str, np.ndarray] = {}
    scores: dict[str, float] = {}
    for whole in reader._wholes(strokes, reader.looked(strokes), {}):
        found = reader._features(whole, reader._tree_of(whole))
        latex = whole.latex
        score = float(START @ found)
        if score > scores.get(latex, -np.inf):
            found[OF_FORMULA] = likely(latex), oddness(latex)
            scores[latex], features[latex] = score, found
    plain = [_plain(latex) for latex in features]
    wanted = _plain(row["latex"])
    right = plain.index(wanted) if wanted in plain else -1
    return Seen(row["group"], np.array([*features.values()]), right, row["fold"], row["counts"])


def _hit(each: Seen, weights: np.ndarray) -> tuple[bool, bool]:
    """Whether the right reading is the first, and among the first three."""
    if each.right < 0:
        return False, False
    scores = each.features @ weights
    before = int((scores > scores[each.right]).sum())
    return before == 0, before < 3


def _fitted(seen: list[Seen]) -> np.ndarray:
    import torch

    seen = [each for each in seen if each.right >= 0]
    beside = np.concatenate([each.features - each.features[each.right] for each in seen])
    scale = beside.std(axis=0) + FEW
    told, start = torch.tensor(beside / scale), torch.tensor(beside @ START)
    formula = torch.tensor(np.repeat(np.arange(len(seen)), [len(each.features) for each in seen]))
    counts = torch.tensor([each.counts for each in seen], dtype=torch.float64)
    change = torch.zeros(len(FEATURES), dtype=torch.float64, requires_grad=True)
    optimiser = torch.optim.LBFGS([change], max_iter=200, line_search_fn="strong_wolfe")

    def loss() -> Any:
        optimiser.zero_grad()
        scores = start + told @ change
        most = (
            torch.full((len(seen),), -1e9, dtype=torch.float64)
            .scatter_reduce(0, formula, scores, "amax")
            .detach()
        )
        shares = torch.zeros(len(seen), dtype=torch.float64).index_add(
            0, formula, torch.exp(scores - most[formula])
        )
        total = (counts * (most + torch.log(shares))).sum() + RIDGE * (change**2).sum()
        total.backward()
        return total

    optimiser.step(loss)
    return START + change.detach().numpy() / scale


if __name__ == "__main__":
    main()
