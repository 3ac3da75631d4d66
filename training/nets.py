"""The small nets: from what strokes look like, or how they run, and six measures to classes."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from pathlib import Path

import numpy as np
import torch
from torch import nn

EMBEDDING = 96
BATCH = 256
BEST_RATE, WARM_UP, DECAY = 3e-3, 0.15, 0.02

#: Of each part of a net by its name.
Weights = Mapping[str, torch.Tensor]


class Residual(nn.Module):
    """Two convolutions that add to what they are given: over a picture, or with ``path`` along points."""

    def __init__(self, before: int, after: int, stride: int, path: bool = False) -> None:
        super().__init__()
        layer, norm, size = (nn.Conv1d, nn.BatchNorm1d, 5) if path else (nn.Conv2d, nn.BatchNorm2d, 3)
        self.more = nn.Sequential(
            layer(before, after, size, stride, size // 2, bias=False), norm(after), nn.ReLU(),
            layer(after, after, size, 1, size // 2, bias=False), norm(after),
        )  # fmt: skip
        self.kept = nn.Sequential(layer(before, after, 1, stride, bias=False), norm(after))

    def forward(self, x: torch.Tensor) -> torch.Tensor:
        return torch.relu(self.more(x) + self.kept(x))


class InkNet(nn.Module):
    """A convolution, three residual blocks and an embedding; the raster's side must be a multiple of 8.

    Labels that are smoothed in training leave a net less sure than it is right: logits are taken ``sharper`` times.
    """

    def __init__(self, side: int, classes: int, sharper: float = 1.0) -> None:
        super().__init__()
        self.sharper = sharper
        self.look = nn.Sequential(
            nn.Conv2d(3, 24, 5, 2, 2, bias=False), nn.BatchNorm2d(24), nn.ReLU(),
            Residual(24, 32, 1), Residual(32, 64, 2), Residual(64, 96, 2),
        )  # fmt: skip
        self.where = nn.Sequential(
            nn.Conv2d(96, 24, 1, bias=False), nn.BatchNorm2d(24), nn.ReLU(), nn.Flatten()
        )
        self.embed = nn.Sequential(nn.Linear(24 * (side // 8) ** 2 + 96 + 6, EMBEDDING), nn.ReLU())
        self.drop = nn.Dropout(0.25)
        self.choose = nn.Linear(EMBEDDING, classes)

    def forward(self, raster: torch.Tensor, measures: torch.Tensor) -> tuple[torch.Tensor, torch.Tensor]:
        """Probabilities, and embeddings of length 1."""
        embedding = self._embedding(raster, measures)
        chosen = self.sharper * self.choose(embedding)
        return torch.softmax(chosen, 1), nn.functional.normalize(embedding, dim=1)

    def logits(self, raster: torch.Tensor, measures: torch.Tensor) -> torch.Tensor:
        return self.choose(self.drop(self._embedding(raster, measures)))

    def _embedding(self, raster: torch.Tensor, measures: torch.Tensor) -> torch.Tensor:
        looked = self.look(raster)
        return self.embed(torch.cat([self.where(looked), looked.amax((2, 3)), measures], 1))


class PathNet(nn.Module):
    """Residual blocks along a sequence of points, then what was seen anywhere beside all else."""

    def __init__(self, points: int, classes: int, width: int = 96) -> None:
        super().__init__()
        self.follow = nn.Sequential(
            nn.Conv1d(5, 48, 7, padding=3, bias=False), nn.BatchNorm1d(48), nn.ReLU(),
            Residual(48, 48, 1, True), Residual(48, 64, 2, True), Residual(64, width, 2, True),
        )  # fmt: skip
        self.place = nn.Parameter(torch.zeros(points // 4, width))
        self.among = nn.Sequential(Attending(width, 4), Attending(width, 4))
        self.choose = nn.Sequential(
            nn.Linear(2 * width + 6, EMBEDDING), nn.ReLU(), nn.Dropout(0.25), nn.Linear(EMBEDDING, classes)
        )

    def forward(self, sequence: torch.Tensor, measures: torch.Tensor) -> torch.Tensor:
        """Probabilities."""
        return torch.softmax(self.logits(sequence, measures), 1)

    def logits(self, sequence: torch.Tensor, measures: torch.Tensor) -> torch.Tensor:
        followed = self.among(self.follow(sequence).transpose(1, 2) + self.place)
        return self.choose(torch.cat([followed.mean(1), followed.amax(1), measures], 1))


class WritingNet(nn.Module):
    """Along the path of a line of writing, with what lies before and after: one row of characters to four points."""

    def __init__(self, features: int, classes: int, width: int = 128) -> None:
        super().__init__()
        self.start = nn.Sequential(nn.Conv1d(features, width, 8, 4, 4), nn.BatchNorm1d(width), nn.ReLU())
        self.blocks = nn.ModuleList(
            nn.Sequential(
                nn.Conv1d(width, width, 5, padding=2 * reach, dilation=reach),
                nn.BatchNorm1d(width),
                nn.ReLU(),
            )
            for reach in (1, 2, 4, 8, 2, 1)
        )
        self.choose = nn.Conv1d(width, classes, 1)

    def forward(self, path: torch.Tensor) -> torch.Tensor:
        """(N, T, features) to (N, T // 4 + 1, classes) probabilities; class 0 is the blank."""
        return torch.softmax(self.logits(path), 2)

    def logits(self, path: torch.Tensor) -> torch.Tensor:
        followed = self.start(path.transpose(1, 2))
        for block in self.blocks:
            followed = followed + block(followed)
        return self.choose(followed).transpose(1, 2)


class FormulaNet(nn.Module):
    """Strokes of a formula, each in its surroundings and every two together: what they are, and how they hang together."""

    def __init__(self, layers: int, side: int, measures: int, pairs: int, classes: int, relations: int,
                 width: int = 128, heads: int = 4, blocks: int = 5, both: int = 48) -> None:  # fmt: skip
        super().__init__()
        self.look = nn.Sequential(
            nn.Conv2d(layers, 20, 5, 2, 2), nn.BatchNorm2d(20), nn.ReLU(),
            nn.Conv2d(20, 40, 3, 1, 1), nn.BatchNorm2d(40), nn.ReLU(), nn.MaxPool2d(2),
            nn.Conv2d(40, 56, 3, 1, 1), nn.BatchNorm2d(56), nn.ReLU(), nn.MaxPool2d(2),
            nn.Flatten(), nn.Linear(56 * (side // 8) ** 2, width), nn.ReLU(),
        )  # fmt: skip
        self.start = nn.Sequential(nn.Linear(width + measures, width), nn.ReLU(), nn.Linear(width, width))
        self.pair = nn.Sequential(nn.Linear(pairs, both), nn.ReLU(), nn.Linear(both, both), nn.ReLU())
        self.blocks = nn.ModuleList(AmongStrokes(width, heads, both) for _ in range(blocks))
        self.last = nn.LayerNorm(width)
        self.choose = nn.Linear(width, classes)
        self.root = nn.Linear(width, 1)
        self.one, self.other = nn.Linear(width, 2 * both), nn.Linear(width, 2 * both)
        self.near = nn.Linear(both, 2 * both)
        self.together = nn.Linear(2 * both, 1 + relations)

    def forward(
        self, pictures: torch.Tensor, measures: torch.Tensor, pairs: torch.Tensor
    ) -> tuple[torch.Tensor, ...]:
        """Of one formula of n strokes: (n, classes), (n, n, 1 + relations), (n, 1), all not yet shares."""
        signs, both, root = self.logits(pictures[None], measures[None], pairs[None], None)
        return signs[0], both[0], root[0]

    def logits(
        self, pictures: torch.Tensor, measures: torch.Tensor, pairs: torch.Tensor, there: torch.Tensor | None
    ) -> tuple[torch.Tensor, ...]:
        """(B, N, …) of each, and ``there`` (B, N) says where strokes are."""
        b, n = measures.shape[:2]
        looked = self.look(pictures.flatten(0, 1)).reshape(b, n, -1)
        strokes = self.start(torch.cat([looked, measures], 2))
        near = self.pair(pairs)
        for block in self.blocks:
            strokes = block(strokes, near, there)
        strokes = self.last(strokes)
        both = torch.relu(self.one(strokes)[:, :, None] + self.other(strokes)[:, None] + self.near(near))
        return self.choose(strokes), self.together(both), self.root(strokes)


class AmongStrokes(nn.Module):
    """Attention of each stroke to all, by what they are and how they stand to each other."""

    def __init__(self, width: int, heads: int, both: int) -> None:
        super().__init__()
        self.heads = heads
        self.before, self.between = nn.LayerNorm(width), nn.LayerNorm(width)
        self.asked = nn.Linear(width, 3 * width)
        self.near = nn.Linear(both, heads)
        self.out = nn.Linear(width, width)
        self.think = nn.Sequential(nn.Linear(width, 2 * width), nn.GELU(), nn.Linear(2 * width, width))

    def forward(self, strokes: torch.Tensor, near: torch.Tensor, there: torch.Tensor | None) -> torch.Tensor:
        b, n, width = strokes.shape
        asked = self.asked(self.before(strokes)).reshape(b, n, 3, self.heads, -1).permute(2, 0, 3, 1, 4)
        query, key, value = asked[0], asked[1], asked[2]
        weight = query @ key.transpose(2, 3) / (width / self.heads) ** 0.5 + self.near(near).permute(
            0, 3, 1, 2
        )
        if there is not None:
            weight = weight.masked_fill(~there[:, None, None], -1e4)
        told = (torch.softmax(weight, 3) @ value).transpose(1, 2).reshape(b, n, width)
        strokes = strokes + self.out(told)
        return strokes + self.think(self.between(strokes))


def fit(
    net: InkNet | PathNet, inputs: Sequence[np.ndarray], labels: np.ndarray, epochs: int, smoothed: float,
    best_rate: float = BEST_RATE, short: bool = False,
) -> None:  # fmt: skip
    """Train with Adam and a one-cycle schedule; ``inputs`` are (N, …) arrays, those of int8 with 127 for 1.

    With ``short`` much is computed in numbers of 16 bits, which takes two thirds of the time.
    """
    order = np.random.default_rng(torch.initial_seed())
    matrices = [values for values in net.parameters() if values.ndim > 1]
    others = [values for values in net.parameters() if values.ndim <= 1]
    optimiser = torch.optim.AdamW(
        [{"params": matrices, "weight_decay": DECAY}, {"params": others, "weight_decay": 0.0}], best_rate
    )
    steps = epochs * (len(labels) // BATCH)
    schedule = torch.optim.lr_scheduler.OneCycleLR(optimiser, best_rate, total_steps=steps, pct_start=WARM_UP)
    loss_of = nn.CrossEntropyLoss(label_smoothing=smoothed)
    net.train()
    for epoch in range(epochs):
        total = 0.0
        shuffled = order.permutation(len(labels))
        for at in range(0, len(labels) - BATCH + 1, BATCH):
            rows = shuffled[at : at + BATCH]
            with torch.autocast("cpu", torch.bfloat16, short):
                loss = loss_of(
                    net.logits(*(as_seen(column[rows]) for column in inputs)),
                    torch.from_numpy(labels[rows]).long(),
                )
            optimiser.zero_grad()
            loss.backward()
            optimiser.step()
            schedule.step()
            total += loss.item()
        print(f"epoch {epoch + 1} of {epochs}: loss {total / (len(labels) // BATCH):.3f}", flush=True)
    net.eval()


def as_seen(column: np.ndarray) -> torch.Tensor:
    """Rows as a net sees them."""
    values = torch.from_numpy(column)
    return values.float() / 127 if column.dtype == np.int8 else values.float()


def mixed(own: Weights, others: Weights, share: float) -> Weights:
    """Between two stages of the same learning lies a net that reads unseen hands better than either."""
    return {
        key: share * value + (1 - share) * others[key] if value.is_floating_point() else value
        for key, value in own.items()
    }


def save(
    net: nn.Module, inputs: dict[str, tuple[int, ...]], outputs: list[str], classes: list[str], out: Path
) -> None:
    """The net as ONNX, its classes in the metadata, one to a line; ``inputs`` are shapes of one row."""
    import onnx

    torch.onnx.export(
        net,
        tuple(torch.zeros(1, *shape) for shape in inputs.values()),
        str(out),
        input_names=list(inputs),
        output_names=outputs,
        dynamic_axes={name: {0: "n"} for name in (*inputs, *outputs)},
        dynamo=False,
    )
    model = onnx.load(str(out))
    entry = model.metadata_props.add()
    entry.key, entry.value = "classes", "\n".join(classes)
    onnx.save(model, str(out))
    print(f"{out}: {out.stat().st_size / 1e6:.1f} MB, {len(classes)} classes")


class Mixing(nn.Module):
    """One block of the recogniser's last stage: along and across, then between layers."""

    def __init__(self, before: int, after: int, stride: int = 1, squeezed: int = 0) -> None:
        super().__init__()
        self.near = nn.Conv2d(before, before, 3, (stride, 1), 1, groups=before)
        self.squeeze = nn.Sequential(
            nn.AdaptiveAvgPool2d(1), nn.Conv2d(before, squeezed, 1), nn.ReLU(), nn.Conv2d(squeezed, before, 1), nn.Hardsigmoid(),
        ) if squeezed else None  # fmt: skip
        self.layers = nn.Sequential(
            nn.Conv2d(before, 2 * before, 1), nn.GELU(), nn.Conv2d(2 * before, after, 1)
        )
        self.adds = before == after

    def forward(self, x: torch.Tensor) -> torch.Tensor:
        x = self.near(x)
        if self.squeeze is not None:
            x = x * self.squeeze(x)
        return x + self.layers(x) if self.adds else self.layers(x)


class Attending(nn.Module):
    """One block of the recogniser's end: all rows of a line see each other."""

    def __init__(self, width: int, heads: int) -> None:
        super().__init__()
        self.heads = heads
        self.first, self.second = nn.LayerNorm(width), nn.LayerNorm(width)
        self.asks, self.gives = nn.Linear(width, 3 * width), nn.Linear(width, width)
        self.wide = nn.Sequential(nn.Linear(width, 2 * width), nn.SiLU(), nn.Linear(2 * width, width))

    def forward(self, x: torch.Tensor) -> torch.Tensor:
        lines, rows, width = x.shape
        q, k, v = (
            self.asks(self.first(x))
            .view(lines, rows, 3, self.heads, width // self.heads)
            .permute(2, 0, 3, 1, 4)
        )
        seen = torch.softmax(q @ k.transpose(2, 3) * (width // self.heads) ** -0.5, 3) @ v
        x = x + self.gives(seen.transpose(1, 2).reshape(lines, rows, width))
        return x + self.wide(self.second(x))


class TaughtEnd(nn.Module):
    """The recogniser from its last stage on, with rows twice as near to each other, and our characters alone."""

    def __init__(self, classes: int, width: int = 120) -> None:
        super().__init__()
        self.stage = nn.Sequential(Mixing(192, 384, 2), Mixing(384, 384, squeezed=96), Mixing(384, 384))
        self.beside = nn.Sequential(nn.Conv2d(384, width, 1, bias=False), nn.BatchNorm2d(width), nn.SiLU())
        self.narrow = nn.Sequential(nn.Conv2d(384, width, 1, bias=False), nn.BatchNorm2d(width), nn.SiLU())
        self.along = nn.Sequential(
            nn.Conv2d(width, width, (1, 7), padding=(0, 6), dilation=(1, 2), groups=width, bias=False),
            nn.BatchNorm2d(width),
            nn.SiLU(),
        )
        self.rows = nn.Sequential(Attending(width, 8), Attending(width, 8))
        self.last = nn.LayerNorm(width)
        self.choose = nn.Linear(width, classes)

    def forward(self, seen: torch.Tensor) -> tuple[torch.Tensor, torch.Tensor]:
        """(N, 192, 6, T) to (N, T - 1, classes) probabilities, class 0 being the blank; and the rows before that."""
        rows = self.looked(seen)
        return torch.softmax(self.choose(rows), 2), rows

    def logits(self, seen: torch.Tensor) -> torch.Tensor:
        return self.choose(self.looked(seen))

    def looked(self, seen: torch.Tensor) -> torch.Tensor:
        x = nn.functional.avg_pool2d(self.stage(seen), (3, 2), (3, 1))
        narrow = self.narrow(x)
        rows = (narrow + self.along(narrow)).flatten(2).transpose(1, 2)
        return self.last(self.rows(rows)) + self.beside(x).flatten(2).transpose(1, 2)
