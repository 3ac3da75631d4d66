"""Train the reader of written maths: from the strokes of a formula to its signs and how they stand to each other.

    python -m training.formula_reader MINUTES     trains for so long, and goes on from training/var/formulas.pt when it is there
    python -m training.formula_reader 0           writes sunroom/models/formulas.onnx from there
    python -m training.formula_reader mix OTHER.pt SHARE   each weight becomes SHARE of its own and the rest of another stage's

Formulas are made on the fly by other processes; each is seen once or twice.
"""

from __future__ import annotations

import math
import os
import sys
import time
from multiprocessing import get_context
from multiprocessing.queues import Queue
from pathlib import Path
from typing import Any, NamedTuple

import numpy as np
import torch
from torch import nn

from sunroom.core.maths.strokes import LAYERS, MEASURES, PAIR_MEASURES, SIDE, seen_strokes
from training import hands, written_maths
from training.hands import TRACED
from training.lines import mix
from training.maths_hands import APART, JOINED
from training.nets import FormulaNet
from training.shipped import take_up
from training.train import OUT, SEED
from training.written_maths import CLASSES, RELATIONS

KEPT, SHIPPED = TRACED / "formulas.pt", OUT / "formulas.onnx"
#: Strokes in a batch, at most; batches of a like length that are drawn together.
BATCH_STROKES, BUCKETS = 640, 6
CHUNK, SEEN_TIMES, POOL = 32, 1.5, 12_000
#: At first, and of a net that goes on: at the former it would forget for half an hour.
BEST_RATE, RATE_AGAIN = 1e-3, 4e-4
WARM_UP_S, REPORT_S = 60.0, 300.0
#: Kept from training, for looking at while it learns.
HELD_OUT = (*hands.HELD_OUT, "gaegu", "comic-neue", "short-stack", "mali", "playwrite-ar", "playwrite-cz")


class Sample(NamedTuple):
    """One formula: what the net sees, and of each stroke its class, its sign, the sign of its parent (-1) and the relation."""

    pictures: np.ndarray
    measures: np.ndarray
    pairs: np.ndarray
    classes: np.ndarray
    sign: np.ndarray
    parent: np.ndarray
    relation: np.ndarray


def main() -> None:
    if sys.argv[1] == "mix":
        return mix(KEPT, Path(sys.argv[2]), float(sys.argv[3]))
    minutes = float(sys.argv[1])
    torch.set_num_threads(int(os.environ.get("THREADS", "1")))
    torch.manual_seed(SEED)
    net = FormulaNet(LAYERS, SIDE, MEASURES, PAIR_MEASURES, len(CLASSES), len(RELATIONS))
    rate = RATE_AGAIN
    if KEPT.exists():
        net.load_state_dict(torch.load(KEPT))
    elif SHIPPED.exists():
        alike = batches(sorted(held_out_samples(), key=lambda one: len(one.sign)))
        seen = stacked(alike[len(alike) // 2])
        take_up(net, SHIPPED, lambda: net.logits(*seen))
    else:
        rate = BEST_RATE
    if minutes:
        train(net, 60 * minutes, rate)
    else:
        write(net)


def train(net: FormulaNet, seconds: float, rate: float) -> None:
    context = get_context("spawn")
    queue: Queue[list[Sample]] = context.Queue(32)
    start = time.time()
    makers = int(os.environ.get("MAKERS", "1"))
    workers = [
        context.Process(target=make, args=(queue, int(start) + at), daemon=True) for at in range(makers)
    ]
    for worker in workers:
        worker.start()
    random = np.random.default_rng(SEED)
    optimiser = torch.optim.AdamW(net.parameters(), rate, weight_decay=1e-3)
    pool: list[Sample] = []
    losses: list[tuple[float, float, float]] = []
    seen, made, report = 0, 0, start + REPORT_S
    held_out = held_out_samples()
    print(f"{sum(p.numel() for p in net.parameters()):,} parameters", flush=True)
    while (now := time.time() - start) < seconds:
        while made < 16 * CHUNK or seen / SEEN_TIMES > made:
            new = queue.get()
            made += len(new)
            for one in new:
                if len(pool) < POOL:
                    pool.append(one)
                else:
                    pool[int(random.integers(POOL))] = one
        for group in optimiser.param_groups:
            warm = min(now / WARM_UP_S, 1.0)
            group["lr"] = (
                rate * warm * (0.02 + 0.98 * (0.5 + 0.5 * math.cos(math.pi * min(now / seconds, 1.0))))
            )
        net.train()
        chosen = sorted(
            (pool[int(n)] for n in random.integers(len(pool), size=32 * BUCKETS)), key=lambda s: len(s.sign)
        )
        for samples in batches(chosen):
            loss, parts = loss_of(net, samples)
            optimiser.zero_grad()
            loss.backward()
            nn.utils.clip_grad_norm_(net.parameters(), 2.0)
            optimiser.step()
            losses.append(parts)
        seen += len(chosen)
        if time.time() > report:
            report = time.time() + REPORT_S
            torch.save(net.state_dict(), KEPT)
            signs, parts, parents, whole = right_of(net, held_out)
            print(
                f"{(time.time() - start) / 60:.0f} min, {made:,} made, {seen:,} seen: loss "
                f"{' '.join(f'{value:.3f}' for value in np.mean(losses[-300:], axis=0))}, held out: signs {signs:.1f}, "
                f"together {parts:.1f}, parents {parents:.1f}, whole {whole:.1f} %",
                flush=True,
            )
    torch.save(net.state_dict(), KEPT)
    for worker in workers:
        worker.terminate()


def make(queue: Queue[list[Sample]], seed: int) -> None:
    """Samples without end."""
    os.nice(5)
    random = np.random.default_rng((SEED, seed))
    fonts = tuple(name for name in (*APART, *JOINED) if name not in HELD_OUT)
    while True:
        queue.put([one_sample(random, fonts) for _ in range(CHUNK)])


def one_sample(
    random: np.random.Generator, fonts: tuple[str, ...], digits: hands.Part = "training"
) -> Sample:
    found = written_maths.sample(random, fonts, digits)
    strokes, of = written_maths.in_order(found, random)
    seen = seen_strokes(strokes)
    return Sample(
        seen.pictures,
        seen.measures.astype(np.float16),
        seen.pairs.astype(np.float16),
        np.array([CLASSES.index(found[at].name) for at in of], np.int16),
        np.array(of, np.int16),
        np.array([found[at].parent for at in of], np.int16),
        np.array(
            [RELATIONS.index(found[at].relation) if found[at].parent >= 0 else -1 for at in of], np.int16
        ),
    )


def batches(chosen: list[Sample]) -> list[list[Sample]]:
    made: list[list[Sample]] = [[]]
    for one in chosen:
        if made[-1] and (len(made[-1]) + 1) * len(one.sign) > BATCH_STROKES:
            made.append([])
        made[-1].append(one)
    return made


def stacked(samples: list[Sample]) -> tuple[torch.Tensor, ...]:
    longest = max(len(s.sign) for s in samples)
    b = len(samples)
    pictures = np.zeros((b, longest, LAYERS, SIDE, SIDE), np.float32)
    measures = np.zeros((b, longest, MEASURES), np.float32)
    pairs = np.zeros((b, longest, longest, PAIR_MEASURES), np.float32)
    there = np.zeros((b, longest), bool)
    for row, one in enumerate(samples):
        n = len(one.sign)
        pictures[row, :n] = one.pictures / np.float32(255)
        measures[row, :n], pairs[row, :n, :n], there[row, :n] = one.measures, one.pairs, True
    return tuple(map(torch.from_numpy, (pictures, measures, pairs, there)))


def loss_of(net: FormulaNet, samples: list[Sample]) -> tuple[torch.Tensor, tuple[float, float, float]]:
    pictures, measures, pairs, there = stacked(samples)
    signs, both, root = net.logits(pictures, measures, pairs, there)
    b, n = there.shape
    labels = torch.full((b, n), -100)
    same = torch.zeros(b, n, n)
    # Where each stroke's parent may be: (B, N, N * relations + 1), the last for none.
    right = torch.zeros(b, n, n * len(RELATIONS) + 1, dtype=torch.bool)
    for row, one in enumerate(samples):
        m = len(one.sign)
        labels[row, :m] = torch.from_numpy(one.classes.astype(np.int64))
        same[row, :m, :m] = torch.from_numpy((one.sign[:, None] == one.sign[None]).astype(np.float32))
        hit = one.parent[:, None] == one.sign[None]
        for at in range(m):
            if one.parent[at] < 0:
                right[row, at, -1] = True
            else:
                right[
                    row,
                    at,
                    torch.from_numpy(np.flatnonzero(hit[at]) * len(RELATIONS) + int(one.relation[at])),
                ] = True
    class_loss = nn.functional.cross_entropy(signs.flatten(0, 1), labels.flatten(), label_smoothing=0.02)
    valid = there[:, :, None] & there[:, None] & ~torch.eye(n, dtype=torch.bool)[None]
    same_loss = nn.functional.binary_cross_entropy_with_logits(both[..., 0], same, reduction="none")
    # Most pairs are far from each other and easily told: those weigh less.
    same_loss = (same_loss * valid).sum() / there.sum()
    ways = torch.cat([both[..., 1:].masked_fill(~valid[..., None], -1e4).flatten(2), root], 2)
    logs = torch.log_softmax(ways, 2)
    parent_loss = -torch.logsumexp(logs.masked_fill(~right, -1e4), 2)[there].mean()
    loss = class_loss + same_loss + parent_loss
    return loss, (float(class_loss.detach()), float(same_loss.detach()), float(parent_loss.detach()))


def held_out_samples() -> list[Sample]:
    random = np.random.default_rng(5)
    return [one_sample(random, HELD_OUT, "held out") for _ in range(300)]


def right_of(net: FormulaNet, samples: list[Sample]) -> tuple[float, float, float, float]:
    """Per cent of strokes whose sign is right, whose fellows are, whose parent is, and of formulas where all are."""
    net.eval()
    tallies = np.zeros(3)
    count = whole = 0
    with torch.no_grad():
        for one in samples:
            signs, both, root = net(*(tensor[0] for tensor in stacked([one])[:3]))
            n = len(one.sign)
            sign_right = signs.argmax(1).numpy() == one.classes
            together = ((both[..., 0].numpy() > 0) == (one.sign[:, None] == one.sign[None])) | np.eye(
                n, dtype=bool
            )
            both[torch.arange(n), torch.arange(n)] = -1e4
            best = torch.cat([both[..., 1:].flatten(1), root], 1).argmax(1).numpy()
            parent = np.where(
                best == n * len(RELATIONS), -1, one.sign[np.minimum(best // len(RELATIONS), n - 1)]
            )
            parent_right = (parent == one.parent) & ((parent < 0) | (best % len(RELATIONS) == one.relation))
            parts = (sign_right, together.all(axis=1), parent_right)
            tallies += [part.sum() for part in parts]
            count += n
            whole += all(part.all() for part in parts)
    return (*(100 * tallies / count), 100 * whole / len(samples))  # type: ignore[return-value]


def write(net: FormulaNet) -> None:
    """The net as ONNX, with its signs and relations."""
    import onnx

    net.eval()
    n = 7
    shapes = {"pictures": (n, LAYERS, SIDE, SIDE), "measures": (n, MEASURES), "pairs": (n, n, PAIR_MEASURES)}
    axes = {"pictures": {0: "n"}, "measures": {0: "n"}, "pairs": {0: "n", 1: "n"}}
    torch.onnx.export(
        net,
        tuple(torch.zeros(*shape) for shape in shapes.values()),
        str(SHIPPED),
        input_names=list(shapes),
        output_names=["signs", "both", "root"],
        dynamic_axes={**axes, "signs": {0: "n"}, "both": {0: "n", 1: "n"}, "root": {0: "n"}},
        dynamo=False,
    )
    model: Any = onnx.load(str(SHIPPED))
    for key, values in (("classes", CLASSES), ("relations", RELATIONS)):
        entry = model.metadata_props.add()
        entry.key, entry.value = key, "\n".join(values)
    onnx.save(model, str(SHIPPED))
    print(f"{SHIPPED}: {SHIPPED.stat().st_size / 1e6:.1f} MB")


if __name__ == "__main__":
    main()
