"""Fit how much the readers, the words and the length of a text count beside each other (core.reading.joint).

    PYTHONPATH=. python -m training.weigh texts       in the project's environment: what bench/hands/unseen may say, a minute
    PYTHONPATH=. python -m training.weigh fit         in that of training: fits, and writes sunroom/models/reading.json

A conditional logistic regression: of the texts that a line may say, the right one is to be likeliest. It is fitted on all
hands but those of one fold in turn, and what is said of the hands left out is printed; the weights that are kept are
those of all hands. So the shares of readings are likelihoods, as far as these hands are like others.
"""

from __future__ import annotations

import json
import pickle
import sys
from collections import defaultdict
from pathlib import Path
from typing import Any

import numpy as np

HERE = Path(__file__).parent
KEPT = HERE / "var" / "texts.pickle"
OUT = HERE.parent / "sunroom" / "models" / "reading.json"
FOLDS, MOST_TEXTS = 6, 60
NAMES = ("picture", "taught", "path", "words", "length", "unusual", "pairs")
SCALE, RIDGE = 10.0, 1e-3

#: Hand, text, whether its letters join, and the texts it may say with their features.
Line = tuple[str, str, bool, list[str], np.ndarray]


def texts() -> None:
    """What each line may say, with what each of ``NAMES`` says of it."""
    from bench.unseen import hands, strokes_of
    from sunroom.core.reading.lines import find_lines
    from sunroom.resources import reader

    found: list[Line] = []
    the_reader = reader()
    for name, hand in hands("unseen"):
        for written in hand["written"]:
            lines = find_lines(strokes_of(written))
            if len(lines) != 1:
                continue
            strokes = lines[0].strokes
            look = the_reader.joint.look(the_reader.look(strokes))
            likely = sorted(look.weighed, key=lambda text: -look.weighed[text])[:MOST_TEXTS]
            found.append((name, written["text"], hand["joined"], likely, look.features(likely)))
    KEPT.parent.mkdir(exist_ok=True)
    KEPT.write_bytes(pickle.dumps(found))
    print(f"{len(found)} lines")


def fit() -> None:
    lines: list[Line] = pickle.loads(KEPT.read_bytes())
    hands = sorted({line[0] for line in lines})
    hits: dict[str, list[bool]] = defaultdict(list)
    for fold in range(FOLDS):
        left_out = {hand for number, hand in enumerate(hands) if number % FOLDS == fold}
        weights = _fitted([line for line in lines if line[0] not in left_out])
        for name, text, joined, likely, features in lines:
            if name in left_out:
                said = likely[int(np.argmax(features @ weights))] if likely else ""
                hits[f"{'lines' if ' ' in text else 'words'}{' joined' if joined else ''}"].append(
                    said.casefold() == text.casefold()
                )
    for group, right in sorted(hits.items()):
        print(f"{group}: {100 * np.mean(right):.1f} % of {len(right)} in hands left out")
    weights = {name: round(float(w), 3) for name, w in zip(NAMES, _fitted(lines), strict=True)}
    OUT.write_text(json.dumps(weights) + "\n")
    print(weights)


def _fitted(lines: list[Line]) -> np.ndarray:
    import torch

    told = [
        (torch.tensor(features / SCALE), [n for n, other in enumerate(likely) if other == text])
        for _, text, _, likely, features in lines
    ]
    told = [(features, right) for features, right in told if right]
    weights = torch.zeros(len(NAMES), dtype=torch.float64, requires_grad=True)
    optimiser = torch.optim.LBFGS([weights], max_iter=80, line_search_fn="strong_wolfe")

    def loss() -> Any:
        optimiser.zero_grad()
        total = RIDGE * (weights**2).sum()
        for features, right in told:
            scores = features @ weights
            total = total + (torch.logsumexp(scores, 0) - torch.logsumexp(scores[right], 0)) / len(told)
        total.backward()
        return total

    optimiser.step(loss)
    return np.asarray(weights.detach().numpy() / SCALE)


if __name__ == "__main__":
    {"texts": texts, "fit": fit}[sys.argv[1]]()
