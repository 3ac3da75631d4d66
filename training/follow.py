"""Train the reader that follows the pen: from the path of a line of writing to its characters.

    python -m training.follow MINUTES       trains for so long, and goes on from training/var/paths.pt when it is there
    python -m training.follow 0             writes sunroom/models/paths.onnx from there

Samples are made on the fly by another process; each is seen about four times.
"""

from __future__ import annotations

import math
import os
import sys
import time
from multiprocessing import get_context
from multiprocessing.queues import Queue
from typing import Any

import numpy as np
import torch
from torch import nn

from sunroom.core.ink.pen_path import FEATURES
from training.hands import TRACED
from training.nets import TaughtEnd, WritingNet
from training.train import OUT, SEED
from training.writing import ALPHABET, MEASURED, sample

KEPT = TRACED / "paths.pt"
BATCH, BUCKETS = 64, 8
CHUNK, SEEN_TIMES, POOL = 256, 4, 24_000
BEST_RATE = 2.5e-3
WARM_UP_S, REPORT_S = 60.0, 120.0

Sample = tuple[np.ndarray, np.ndarray]


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
    context = get_context("spawn")
    queue: Queue[list[Sample]] = context.Queue(8)
    start = time.time()
    maker = context.Process(target=make, args=(queue, int(start)), daemon=True)
    maker.start()
    random = np.random.default_rng(SEED)
    optimiser = torch.optim.AdamW(net.parameters(), BEST_RATE, weight_decay=1e-4)
    loss_of = nn.CTCLoss(zero_infinity=True)
    pool: list[Sample] = []
    losses: list[float] = []
    seen, made, report = 0, 0, start + REPORT_S
    held_out = held_out_samples()
    print(f"{sum(p.numel() for p in net.parameters()):,} parameters", flush=True)
    while (now := time.time() - start) < seconds:
        while made < 8 * CHUNK or seen / SEEN_TIMES > made:
            new = queue.get()
            made += len(new)
            for one in new:
                if len(pool) < POOL:
                    pool.append(one)
                else:
                    pool[int(random.integers(POOL))] = one
        for group in optimiser.param_groups:
            warm = min(now / WARM_UP_S, 1.0)
            group["lr"] = BEST_RATE * warm * (0.5 + 0.5 * math.cos(math.pi * min(now / seconds, 1.0)))
        net.train()
        chosen = sorted(
            (pool[int(n)] for n in random.integers(len(pool), size=BATCH * BUCKETS)), key=lambda s: len(s[0])
        )
        for at in random.permutation(BUCKETS):
            paths, lengths, texts, sizes = batch(chosen[at * BATCH : (at + 1) * BATCH], random)
            logs = net.logits(paths).log_softmax(2).transpose(0, 1)
            loss = loss_of(logs, texts, lengths, sizes)
            optimiser.zero_grad()
            loss.backward()
            nn.utils.clip_grad_norm_(net.parameters(), 5.0)
            optimiser.step()
            losses.append(float(loss.detach()))
        seen += BATCH * BUCKETS
        if time.time() > report:
            report = time.time() + REPORT_S
            torch.save(net.state_dict(), KEPT)
            print(
                f"{(time.time() - start) / 60:.0f} min, {made:,} made, {seen:,} seen: loss {np.mean(losses[-400:]):.3f}, "
                f"held out {100 * error_of(net, held_out):.1f} % of characters wrong",
                flush=True,
            )
    torch.save(net.state_dict(), KEPT)
    maker.terminate()


def make(queue: Queue[list[Sample]], seed: int) -> None:
    """Samples without end."""
    os.nice(5)
    random = np.random.default_rng((SEED, seed))
    while True:
        queue.put([encoded(*sample(random)) for _ in range(CHUNK)])


def encoded(path: np.ndarray, text: str) -> Sample:
    return path.astype(np.float16), np.array([ALPHABET.index(c) + 1 for c in text])


def batch(samples: list[Sample], random: np.random.Generator | None) -> tuple[torch.Tensor, ...]:
    # Few different lengths: what is laid out for one is used again.
    longest = -(-max(len(path) for path, _ in samples) // 64) * 64
    paths = np.zeros((len(samples), longest, FEATURES), np.float32)
    for row, (path, _) in enumerate(samples):
        paths[row, : len(path)] = path
        if random is not None:
            ways = path.shape[0], 2
            paths[row, : len(path), :2] += random.normal(0, random.uniform(0, 0.12), ways)
            paths[row, : len(path), 2] *= math.exp(random.normal(0, 0.08))
            paths[row, : len(path), 2] += random.normal(0, 0.12)
    lengths = torch.tensor([len(path) // 4 + 1 for path, _ in samples])
    texts = torch.from_numpy(np.concatenate([text for _, text in samples])).long()
    return torch.from_numpy(paths), lengths, texts, torch.tensor([len(text) for _, text in samples])


def held_out_samples() -> list[Sample]:
    """Lines by the hands that are for measuring."""
    random = np.random.default_rng(5)
    return [encoded(*sample(random, list(MEASURED))) for _ in range(320)]


def error_of(net: WritingNet | TaughtEnd, samples: list[Sample]) -> float:
    """Edits for each character, by the likeliest row at each place."""
    from bench.reading import edits

    net.eval()
    wrong = count = 0
    with torch.no_grad():
        for seen, text in samples:
            best = net.logits(torch.from_numpy(seen[None].astype(np.float32)))[0].argmax(1).tolist()
            said = [c for c, before in zip(best, [0, *best[:-1]], strict=True) if c and c != before]
            wrong += edits([*map(chr, said)], [*map(chr, text)])  # type: ignore[arg-type]
            count += len(text)
    return wrong / count


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
