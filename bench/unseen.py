"""Words and lines in hands that no part of the reading has seen: bench/hands/unseen, and bench/hands/last.

Training has neither these hands nor these words (training.writing). Beside each figure stands the base: the plain
recogniser with its beam and word frequencies, as the reading would be without anything of our own. Half of the texts
are traced as wholes from their pictures, half are written letter by letter with a writer's habits.

    python -m bench.unseen last        the hands that nothing was tuned on either: looked at when a change is done
"""

from __future__ import annotations

import json
import sys
import time
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import numpy as np

from bench.table import Row, show
from sunroom.core.reading.decode import beam_search
from sunroom.core.reading.lines import find_lines
from sunroom.core.reading.own_hand import OwnHand
from sunroom.resources import prior, reader

HANDS = Path(__file__).parent / "hands"
#: Units of the files to a font's size, and the size that it is written in.
UNITS, SIZE = 400, 60.0
#: Of the small fixed sample that a test holds: so many words of each joined-up hand.
SAMPLED = 3
TENTH = 10

Strokes = list[np.ndarray]


def hands(part: str) -> list[tuple[str, dict[str, Any]]]:
    files = sorted((HANDS / part).glob("*.json"))
    return [(file.stem, json.loads(file.read_text())) for file in files]


def strokes_of(written: dict[str, Any]) -> Strokes:
    return [np.array(flat, float).reshape(-1, 2) * SIZE / UNITS for flat in written["strokes"]]


def sample() -> Iterator[tuple[str, Strokes]]:
    """A few words of each joined-up hand that is measured."""
    for _, hand in hands("unseen"):
        if hand["joined"]:
            yield from ((one["text"], strokes_of(one)) for one in hand["written"][:SAMPLED])


def plain(strokes: Strokes) -> str:
    """What the recogniser reads with beam and word frequencies."""
    the_reader, likely, lines = reader(), prior("en"), []
    for line in find_lines(strokes):
        rows = the_reader.look(line.strokes).picture
        texts = {
            " ".join(text.split()): log for text, log in reversed(beam_search(rows, the_reader.alphabet))
        }
        texts.pop("", None)
        lines.append(max(texts, key=lambda text: texts[text] + likely.score(text), default=""))
    return "\n".join(lines)


def rows(part: str = "unseen") -> list[Row]:
    """Words and lines, of hands that join and of others; how it spreads over hands; what a share of 90 % is worth."""
    groups: dict[str, list[tuple[bool, bool, bool]]] = {}
    by_hand: dict[str, list[tuple[bool, bool]]] = {}
    sure: list[tuple[float, bool]] = []
    times: list[float] = []
    taught: dict[str, list[tuple[bool, bool]]] = {}
    for name, hand in hands(part):
        own = _own_hands(hand["written"]) if hand["joined"] else {}
        for written in hand["written"]:
            strokes, wanted = strokes_of(written), _folded(written["text"])
            start = time.perf_counter()
            readings = reader().read(strokes)
            times.append((time.perf_counter() - start) * 1000)
            said = [_folded(reading.text) for reading in readings[:3]]
            right, base = said[:1] == [wanted], _folded(plain(strokes)) == wanted
            kind = "lines" if " " in wanted else "words"
            group = f"{kind} of unseen hands, {'joined-up' if hand['joined'] else 'letters apart'}"
            groups.setdefault(group, []).append((right, wanted in said, base))
            by_hand.setdefault(name, []).append((right, base))
            sure += [(readings[0].score, right)] if readings else []
            if own.get(kind) is not None:
                again = reader().read(strokes, own[kind])[:1]
                taught.setdefault(kind, []).append((bool(again) and _folded(again[0].text) == wanted, right))
    made = [_row(group, hits) for group, hits in sorted(groups.items())]
    made[0] = Row(made[0].what, f"{made[0].value}; {show(times)}", made[0].base, made[0].aim, made[0].met)
    return [
        *made,
        *(_row_taught(kind, hits) for kind, hits in sorted(taught.items())),
        _spread(by_hand),
        _calibration(sure),
    ]


def _own_hands(written: list[dict[str, Any]]) -> dict[str, OwnHand | None]:
    """Words are read by a hand that has learned from lines, and lines by one that has learned from words."""
    texts = [(one["text"], strokes_of(one)) for one in written]
    lines, words = ([one for one in texts if (" " in one[0]) == line] for line in (True, False))
    return {"words": reader().own_hand(lines), "lines": reader().own_hand(words)}


def _row_taught(kind: str, hits: list[tuple[bool, bool]]) -> Row:
    right, before = (100 * float(np.mean(column)) for column in zip(*hits, strict=True))
    other = "lines" if kind == "words" else "words"
    what = f"{kind} of unseen joined-up hands, with an own hand that knows their {other} ({len(hits)})"
    return Row(what, f"{right:.1f} % exact", f"without it {before:.1f} %", "no worse", right >= before)


def _row(group: str, hits: list[tuple[bool, bool, bool]]) -> Row:
    right, three, base = (100 * float(np.mean(column)) for column in zip(*hits, strict=True))
    value = f"{right:.1f} % exact, {three:.1f} % in the first three"
    return Row(f"{group} ({len(hits)})", value, f"plain recogniser {base:.1f} %", "no worse", right >= base)


def _spread(by_hand: dict[str, list[tuple[bool, bool]]]) -> Row:
    shares = {name: 100 * np.mean(hits, axis=0) for name, hits in by_hand.items()}
    ours, base = (sorted(share[column] for share in shares.values()) for column in (0, 1))
    tenth = max(1, round(len(ours) / TENTH))
    worse = [name for name, (right, plainly) in shares.items() if right < plainly]
    return Row(
        f"over {len(shares)} unseen hands",
        f"median {np.median(ours):.0f} %, worst tenth {np.mean(ours[:tenth]):.0f} %",
        f"plain recogniser {np.median(base):.0f} %, {np.mean(base[:tenth]):.0f} %",
        "none worse than it",
        not worse,
    )


def _calibration(sure: list[tuple[float, bool]]) -> Row:
    """Of what is said with so much certainty, how much is right."""
    parts = []
    for low, high in ((0.5, 0.7), (0.7, 0.9), (0.9, 1.01)):
        hits = [right for score, right in sure if low <= score < high]
        if hits:
            parts.append(
                f"{100 * low:.0f}–{min(100 * high, 100):.0f} %: {100 * np.mean(hits):.0f} % of {len(hits)}"
            )
    certain = [right for score, right in sure if score >= 0.9]
    met = bool(certain) and float(np.mean(certain)) >= 0.9
    return Row("readings said with a share of", "; ".join(parts), "", "90 % of those over 90 %", met)


def _folded(text: str) -> str:
    return " ".join(text.casefold().replace("×", "x").split())


if __name__ == "__main__":
    for row in rows(sys.argv[1]):
        print(row.what, row.value, row.base, sep=" | ")
