"""How a net learns from lines of writing that another process makes: samples, rate, steps, reports."""

from __future__ import annotations

import math
import time
from collections import defaultdict
from collections.abc import Callable, Hashable
from dataclasses import dataclass, field
from multiprocessing import get_context
from pathlib import Path
from typing import Any

import numpy as np
import torch
from torch import nn

from training.nets import mixed
from training.train import SEED

WARM_UP_S, REPORT_S = 60.0, 180.0
#: Choices of batches by which what layers are given is measured at the end.
MEASURING = 4

#: What a net sees of a line, and the numbers of its characters.
Sample = tuple[np.ndarray, np.ndarray]
Random = np.random.Generator


@dataclass
class Supply:
    """Samples that ``make``, in a process of its own, puts into a queue for ever, ``chunk`` at a time.

    The last ``most`` are kept by what ``kind`` says of each; training waits until ``first`` are there, and for more when each
    has been seen ``times`` times.
    """

    make: Callable[[Any, int], None]
    chunk: int
    first: int
    times: float
    most: int
    kind: Callable[[Sample], Hashable] = lambda sample: None
    pool: dict[Hashable, list[Sample]] = field(default_factory=lambda: defaultdict(list))
    made: int = 0

    def start(self, seed: int) -> None:
        context = get_context("spawn")
        self._queue: Any = context.Queue(8)
        self._maker = context.Process(target=self.make, args=(self._queue, seed), daemon=True)
        self._maker.start()

    def keep_up(self, seen: int, random: Random) -> None:
        while self.made < self.first or seen / self.times > self.made:
            for one in self._queue.get():
                self.made += 1
                like = self.pool[self.kind(one)]
                if sum(map(len, self.pool.values())) < self.most or not like:
                    like.append(one)
                else:
                    like[int(random.integers(len(like)))] = one

    def stop(self) -> None:
        self._maker.terminate()


def learn(
    net: Any,
    seconds: float,
    supply: Supply,
    chosen: Callable[[dict[Hashable, list[Sample]], Random], list[list[Sample]]],
    batch: Callable[[list[Sample], Random], tuple[torch.Tensor, ...]],
    held_out: list[Sample],
    kept: Path,
    *,
    best_rate: float,
    clip: float,
    decay: float,
    training: bool = True,
) -> None:
    """Let ``net`` learn for so long; its weights are in ``kept`` at each report and at the end.

    ``chosen`` are the samples of the next batches. The rate rises to ``best_rate`` and falls to nothing as a cosine does.
    Without ``training`` the net's measures of whole batches stay as they are.
    """
    start = time.time()
    supply.start(int(start))
    random = np.random.default_rng((SEED, int(start)))
    optimiser = torch.optim.AdamW(net.parameters(), best_rate, weight_decay=decay)
    loss_of = nn.CTCLoss(zero_infinity=True)
    losses: list[float] = []
    seen = 0
    print(f"{sum(p.numel() for p in net.parameters()):,} parameters", flush=True)
    print(f"before: {100 * error_of(net, held_out):.1f} % of characters wrong", flush=True)
    start = time.time()
    report = start + REPORT_S
    while (now := time.time() - start) < seconds:
        supply.keep_up(seen, random)
        for group in optimiser.param_groups:
            warm = min(now / WARM_UP_S, 1.0)
            group["lr"] = best_rate * warm * (0.5 + 0.5 * math.cos(math.pi * min(now / seconds, 1.0)))
        net.train(training)
        for samples in chosen(supply.pool, random):
            lines, lengths, texts, sizes = batch(samples, random)
            logs = net.logits(lines).log_softmax(2).transpose(0, 1)
            loss = loss_of(logs, texts, lengths, sizes)
            optimiser.zero_grad()
            loss.backward()
            nn.utils.clip_grad_norm_(net.parameters(), clip)
            optimiser.step()
            losses.append(float(loss.detach()))
            seen += len(samples)
        if time.time() > report:
            report = time.time() + REPORT_S
            torch.save(net.state_dict(), kept)
            print(
                f"{(time.time() - start) / 60:.0f} min, {supply.made:,} made, {seen:,} seen: "
                f"loss {np.mean(losses[-400:]):.3f}, held out {100 * error_of(net, held_out):.1f} % of characters wrong",
                flush=True,
            )
    if training:
        lines = [samples for _ in range(MEASURING) for samples in chosen(supply.pool, random)]
        measure_anew(net, [batch(samples, random)[0] for samples in lines])
    torch.save(net.state_dict(), kept)
    supply.stop()
    print(f"at the end: {100 * error_of(net, held_out):.1f} % of characters wrong", flush=True)


def measure_anew(net: nn.Module, batches: list[torch.Tensor]) -> None:
    """Measures of many batches, each counting as much: those of the last few may be spoiled by a single odd line."""
    for module in net.modules():
        if isinstance(module, nn.BatchNorm1d | nn.BatchNorm2d):
            module.reset_running_stats()
            module.momentum = None
    net.train()
    with torch.no_grad():
        for lines in batches:
            net.logits(lines)  # type: ignore[operator]


def error_of(net: Any, samples: list[Sample]) -> float:
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


def mix(kept: Path, other: Path, share: float) -> None:
    """Let what is kept be ``share`` of itself and the rest of another stage."""
    torch.save(mixed(torch.load(kept), torch.load(other), share), kept)


def texts_of(samples: list[Sample]) -> tuple[torch.Tensor, torch.Tensor]:
    """The texts of a batch one after the other, and how long each is."""
    texts = torch.from_numpy(np.concatenate([text for _, text in samples])).long()
    return texts, torch.tensor([len(text) for _, text in samples])
