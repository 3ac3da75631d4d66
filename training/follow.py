"""Train the reader that follows the pen: from the path of a line of writing to its characters.

    python -m training.follow MINUTES       trains for so long, and goes on from training/var/paths.pt when it is there
    python -m training.follow 0             writes sunroom/models/paths.onnx from there

Samples are made on the fly by another process; each is seen about four times.
"""

from __future__ import annotations

import math
import os
import sys
from collections.abc import Hashable
from multiprocessing.queues import Queue
from typing import Any

import numpy as np
import torch

from sunroom.core.ink.pen_path import FEATURES
from training.hands import TRACED
from training.lines import Random, Sample, Supply, learn, texts_of
from training.nets import WritingNet
from training.train import OUT, SEED
from training.writing import ALPHABET, MEASURED, sample

KEPT = TRACED / "paths.pt"
BATCH, BUCKETS = 64, 8
CHUNK, SEEN_TIMES, POOL = 256, 4, 24_000
BEST_RATE = 2.5e-3


def main() -> None:
    minutes = float(sys.argv[1])
    torch.set_num_threads(int(os.environ.get("THREADS", "1")))
    torch.manual_seed(SEED)
    net = WritingNet(FEATURES, len(ALPHABET) + 1)
    if KEPT.exists():
        net.load_state_dict(torch.load(KEPT))
    if minutes:
        train(net, 60 * minutes)
    else:
        write(net)


def train(net: WritingNet, seconds: float) -> None:
    supply = Supply(make, CHUNK, 8 * CHUNK, SEEN_TIMES, POOL)
    learn(
        net,
        seconds,
        supply,
        chosen,
        batch,
        held_out_samples(),
        KEPT,
        best_rate=BEST_RATE,
        clip=5.0,
        decay=1e-4,
    )


def chosen(pool: dict[Hashable, list[Sample]], random: Random) -> list[list[Sample]]:
    """Batches of lines about equally long."""
    (samples,) = pool.values()
    some = sorted(
        (samples[int(n)] for n in random.integers(len(samples), size=BATCH * BUCKETS)),
        key=lambda s: len(s[0]),
    )
    return [some[at * BATCH : (at + 1) * BATCH] for at in random.permutation(BUCKETS)]


def make(queue: Queue[list[Sample]], seed: int) -> None:
    """Samples without end."""
    os.nice(5)
    random = np.random.default_rng((SEED, seed))
    while True:
        queue.put([encoded(*sample(random)) for _ in range(CHUNK)])


def encoded(path: np.ndarray, text: str) -> Sample:
    return path.astype(np.float16), np.array([ALPHABET.index(c) + 1 for c in text])


def batch(samples: list[Sample], random: Random) -> tuple[torch.Tensor, ...]:
    # Few different lengths: what is laid out for one is used again.
    longest = -(-max(len(path) for path, _ in samples) // 64) * 64
    paths = np.zeros((len(samples), longest, FEATURES), np.float32)
    for row, (path, _) in enumerate(samples):
        paths[row, : len(path)] = path
        paths[row, : len(path), :2] += random.normal(0, random.uniform(0, 0.12), (len(path), 2))
        paths[row, : len(path), 2] *= math.exp(random.normal(0, 0.08))
        paths[row, : len(path), 2] += random.normal(0, 0.12)
    lengths = torch.tensor([len(path) // 4 + 1 for path, _ in samples])
    return torch.from_numpy(paths), lengths, *texts_of(samples)


def held_out_samples() -> list[Sample]:
    """Lines by the hands that are for measuring."""
    random = np.random.default_rng(5)
    return [encoded(*sample(random, list(MEASURED))) for _ in range(320)]


def write(net: WritingNet) -> None:
    """The net as ONNX, with its characters."""
    import onnx

    net.eval()
    out = OUT / "paths.onnx"
    torch.onnx.export(
        net,
        (torch.zeros(1, 64, FEATURES),),
        str(out),
        input_names=["path"],
        output_names=["probabilities"],
        dynamic_axes={"path": {1: "points"}, "probabilities": {1: "rows"}},
        dynamo=False,
    )
    model: Any = onnx.load(str(out))
    entry = model.metadata_props.add()
    entry.key, entry.value = "classes", "\n".join(ALPHABET)
    onnx.save(model, str(out))
    print(f"{out}: {out.stat().st_size / 1e6:.1f} MB")


if __name__ == "__main__":
    main()
