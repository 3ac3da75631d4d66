"""Teach the recogniser's end more hands: from its own last stage on, by lines of writing made on the fly.

    python -m training.taught MINUTES       trains for so long, and goes on from training/var/taught.pt, or from what ships
    python -m training.taught 0             writes sunroom/models/taught.onnx from there
    python -m training.taught mix OTHER.pt SHARE   each weight becomes SHARE of its own and the rest of another stage's

What comes before that stage stays as it ships, and is asked once for both. Samples are made by other processes; each is
seen about twice.
"""

from __future__ import annotations

import os
import sys
from collections.abc import Hashable
from multiprocessing.queues import Queue
from pathlib import Path
from typing import Any

import numpy as np
import onnx
import torch
from onnx import numpy_helper
from torch import nn

from sunroom.core.reading.picture import line_picture, shortened
from sunroom.resources import SEEN_BY_RECOGNISER, recogniser_model
from training.hands import TRACED
from training.lines import Random, Sample, Supply, learn, mix, texts_of
from training.nets import TaughtEnd
from training.shipped import take_up
from training.train import OUT, SEED
from training.writing import ALPHABET, MEASURED, sample_strokes

KEPT, SHIPPED = TRACED / "taught.pt", OUT / "taught.onnx"
#: Samples of one batch are equally wide: pictures are filled up with paper to a multiple of this (px).
FILLED_TO = 48
#: A batch is about so wide (px), all its pictures together; wider lines are not learned from.
BATCH_PX, WIDEST_PX = 9_600, 1_300
CHUNK, SEEN_TIMES, POOL = 64, 2, 16_000
#: At first, and of a net that goes on.
BEST_RATE, RATE_AGAIN = 6e-4, 3e-4
#: A sample is what the recogniser sees of a picture before its last stage, (192, 6, W / 4) float16, and its text.


def main() -> None:
    if sys.argv[1] == "mix":
        return mix(KEPT, Path(sys.argv[2]), float(sys.argv[3]))
    minutes = float(sys.argv[1])
    torch.set_num_threads(int(os.environ.get("THREADS", "1")))
    torch.manual_seed(SEED)
    net = TaughtEnd(len(ALPHABET) + 1)
    if KEPT.exists():
        net.load_state_dict(torch.load(KEPT))
    elif SHIPPED.exists():
        seen = torch.from_numpy(Front().sample(np.random.default_rng(SEED))[0][None].astype(np.float32))
        take_up(net, SHIPPED, lambda: net.logits(seen))
    else:
        take_over(net)
    if minutes:
        train(net, 60 * minutes, RATE_AGAIN if SHIPPED.exists() else BEST_RATE)
    else:
        write(net)


def take_over(net: TaughtEnd) -> None:
    """The recogniser's own weights as the beginning."""
    model = onnx.load(str(recogniser_model()))
    arrays = {array.name: numpy_helper.to_array(array) for array in model.graph.initializer}
    nodes = list(model.graph.node)
    start = next(n for n, node in enumerate(nodes) if SEEN_BY_RECOGNISER in node.output) + 1
    found = [
        arrays[name].squeeze() if node.op_type == "Add" else arrays[name]
        for node in nodes[start:]
        if node.op_type in ("Conv", "BatchNormalization", "MatMul", "Add", "Mul")
        for name in node.input
        if name in arrays and arrays[name].size > 1
    ]
    columns = dict((entry.key, entry.value) for entry in model.metadata_props)["character"].splitlines()
    numbers = {character: number + 1 for number, character in enumerate(columns)}
    # The recogniser's own list ends with the space.
    numbers[" "] = found[-1].size - 1
    with torch.no_grad():
        for target in _in_order(net):
            weights = torch.from_numpy(found.pop(0).copy())
            target.copy_((weights.T if target.ndim == 2 else weights).reshape(target.shape))
        head, bias = found
        for row, column in enumerate([0, *(numbers.get(c, -1) for c in ALPHABET)]):
            if column >= 0:
                net.choose.weight[row] = torch.from_numpy(head[:, column].copy())
                net.choose.bias[row] = float(bias[column])


def _in_order(net: TaughtEnd) -> list[torch.Tensor]:
    """The net's parts in the order in which the recogniser's graph names them, but for the last."""
    made: list[torch.Tensor] = []
    for part in (net.stage, net.beside, net.narrow, net.along):
        for module in part.modules():
            if isinstance(module, nn.Conv2d):
                made += [module.weight] if module.bias is None else [module.weight, module.bias]
            elif isinstance(module, nn.BatchNorm2d):
                made += [module.weight, module.bias, module.running_mean, module.running_var]
    for block in net.rows:
        for layer in (block.first, block.asks, block.gives, block.second, block.wide[0], block.wide[2]):
            made += [layer.weight, layer.bias]
    return [*made, net.last.weight, net.last.bias]


def train(net: TaughtEnd, seconds: float, rate: float) -> None:
    # In this layout a step takes a fifth less time.
    net.to(memory_format=torch.channels_last)  # type: ignore[call-overload]
    supply = Supply(make, CHUNK, 16 * CHUNK, SEEN_TIMES, POOL, kind=lambda sample: sample[0].shape[2])
    learn(
        net, seconds, supply, chosen, batch, held_out_samples(), KEPT,
        best_rate=rate, clip=2.0, decay=1e-3, training=False,
    )  # fmt: skip


def chosen(pool: dict[Hashable, list[Sample]], random: Random) -> list[list[Sample]]:
    """One batch of lines equally wide."""
    widths: list[Any] = list(pool)
    shares = np.array([len(pool[width]) * width for width in widths], float)
    width = widths[int(random.choice(len(widths), p=shares / shares.sum()))]
    count = max(1, BATCH_PX // (4 * width))
    return [[pool[width][int(n)] for n in random.integers(len(pool[width]), size=count)]]


class Front:
    """The recogniser up to its last stage."""

    def __init__(self) -> None:
        import onnxruntime

        model = onnx.load(str(recogniser_model()))
        front = onnx.utils.Extractor(model).extract_model(["x"], [SEEN_BY_RECOGNISER])
        options = onnxruntime.SessionOptions()
        options.intra_op_num_threads = 1
        self._session = onnxruntime.InferenceSession(front.SerializeToString(), options)

    def sample(self, random: Random, names: list[str] | None = None) -> Sample:
        while True:
            strokes, text = sample_strokes(random, names)
            picture = line_picture(shortened(strokes))
            width = -(-picture.shape[3] // FILLED_TO) * FILLED_TO
            if width <= WIDEST_PX:
                filled = np.ones((1, 3, picture.shape[2], width), np.float32)
                filled[..., : picture.shape[3]] = picture
                seen = self._session.run(None, {"x": filled})[0][0].astype(np.float16)
                return seen, np.array([ALPHABET.index(c) + 1 for c in text])


def make(queue: Queue[list[Sample]], seed: int) -> None:
    """Samples without end."""
    front = Front()
    random = np.random.default_rng((SEED, seed))
    while True:
        queue.put([front.sample(random) for _ in range(CHUNK)])


def batch(samples: list[Sample], random: Random) -> tuple[torch.Tensor, ...]:
    pictures = np.stack([seen for seen, _ in samples]).astype(np.float32)
    pictures *= 1 + random.normal(0, 0.05, (len(samples), pictures.shape[1], 1, 1)).astype(np.float32)
    laid = torch.from_numpy(pictures).contiguous(memory_format=torch.channels_last)
    return laid, torch.full((len(samples),), pictures.shape[3] - 1), *texts_of(samples)


def held_out_samples() -> list[Sample]:
    """Lines by the hands that are for measuring."""
    front, random = Front(), np.random.default_rng(5)
    return [front.sample(random, list(MEASURED)) for _ in range(320)]


def write(net: TaughtEnd) -> None:
    """The net as ONNX, with its characters; its weights in half precision."""
    net.eval()
    out = OUT / "taught.onnx"
    torch.onnx.export(
        net,
        (torch.zeros(1, 192, 6, 64),),
        str(out),
        input_names=["seen"],
        output_names=["probabilities", "rows"],
        dynamic_axes={"seen": {3: "columns"}, "probabilities": {1: "t"}, "rows": {1: "t"}},
        dynamo=False,
    )
    model: Any = onnx.load(str(out))
    halve(model)
    entry = model.metadata_props.add()
    entry.key, entry.value = "classes", "\n".join(ALPHABET)
    onnx.save(model, str(out))
    print(f"{out}: {out.stat().st_size / 1e6:.1f} MB")


def halve(model: Any) -> None:
    """Large weights kept as float16, and made float32 again when the net is loaded."""
    for array in list(model.graph.initializer):
        weights = numpy_helper.to_array(array)
        if weights.dtype == np.float32 and weights.size > 256:
            model.graph.initializer.remove(array)
            model.graph.initializer.append(
                numpy_helper.from_array(weights.astype(np.float16), f"{array.name}.half")
            )
            cast = onnx.helper.make_node(
                "Cast", [f"{array.name}.half"], [array.name], to=onnx.TensorProto.FLOAT
            )
            model.graph.node.insert(0, cast)


if __name__ == "__main__":
    main()
