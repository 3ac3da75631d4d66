"""The small net that both kinds of ink share: from a raster and six measures to classes and an embedding."""

from __future__ import annotations

from pathlib import Path

import numpy as np
import torch
from torch import nn

EMBEDDING = 96
BATCH = 256


class InkNet(nn.Module):
    """Four convolutions and an embedding; the raster's side must be a multiple of 8."""

    def __init__(self, side: int, classes: int, width: int = 16) -> None:
        super().__init__()
        steps = (
            (3, width, 5, 2),
            (width, 2 * width, 3, 1),
            (2 * width, 3 * width, 3, 1),
            (3 * width, 3 * width, 3, 1),
        )
        layers: list[nn.Module] = []
        for number, (before, after, kernel, stride) in enumerate(steps):
            layers += [
                nn.Conv2d(before, after, kernel, stride, kernel // 2),
                nn.BatchNorm2d(after),
                nn.ReLU(),
            ]
            if number in (1, 3):
                layers.append(nn.MaxPool2d(2))
        self.look = nn.Sequential(*layers, nn.Flatten())
        self.embed = nn.Sequential(nn.Linear(3 * width * (side // 8) ** 2 + 6, EMBEDDING), nn.ReLU())
        self.drop = nn.Dropout(0.25)
        self.choose = nn.Linear(EMBEDDING, classes)

    def forward(self, raster: torch.Tensor, measures: torch.Tensor) -> tuple[torch.Tensor, torch.Tensor]:
        embedding = self.embed(torch.cat([self.look(raster), measures], 1))
        logits = self.choose(self.drop(embedding))
        if self.training:
            return logits, embedding
        return torch.softmax(logits, 1), nn.functional.normalize(embedding, dim=1)


def fit(
    net: InkNet, rasters: np.ndarray, measures: np.ndarray, labels: np.ndarray, epochs: int, seed: int
) -> None:
    """Train with Adam and a cosine schedule; rasters are (N, 3, side, side) int8 (±127 is ±1)."""
    torch.manual_seed(seed)
    order = np.random.default_rng(seed)
    optimiser = torch.optim.AdamW(net.parameters(), 2e-3, weight_decay=1e-4)
    steps = epochs * (len(labels) // BATCH)
    schedule = torch.optim.lr_scheduler.OneCycleLR(optimiser, 4e-3, total_steps=steps)
    loss_of = nn.CrossEntropyLoss(label_smoothing=0.03)
    net.train()
    for epoch in range(epochs):
        total = 0.0
        shuffled = order.permutation(len(labels))
        for at in range(0, len(labels) - BATCH + 1, BATCH):
            rows = shuffled[at : at + BATCH]
            logits, _ = net(
                torch.from_numpy(rasters[rows]).float() / 127, torch.from_numpy(measures[rows]).float()
            )
            loss = loss_of(logits, torch.from_numpy(labels[rows]).long())
            optimiser.zero_grad()
            loss.backward()
            optimiser.step()
            schedule.step()
            total += loss.item()
        print(f"epoch {epoch + 1} of {epochs}: loss {total / (len(labels) // BATCH):.3f}", flush=True)
    net.eval()


def save(net: InkNet, side: int, classes: list[str], out: Path) -> None:
    """The net as ONNX, its classes in the metadata, one to a line."""
    import onnx

    torch.onnx.export(
        net,
        (torch.zeros(1, 3, side, side), torch.zeros(1, 6)),
        str(out),
        input_names=["raster", "measures"],
        output_names=["probabilities", "embedding"],
        dynamic_axes={name: {0: "n"} for name in ("raster", "measures", "probabilities", "embedding")},
        dynamo=False,
    )
    model = onnx.load(str(out))
    entry = model.metadata_props.add()
    entry.key, entry.value = "classes", "\n".join(classes)
    onnx.save(model, str(out))
    print(f"{out}: {out.stat().st_size / 1e6:.1f} MB, {len(classes)} classes")
