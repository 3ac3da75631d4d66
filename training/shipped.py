"""A net as it ships, taken up again: whoever has no training/var goes on from there.

An export to ONNX keeps the names of most weights. The matrices of linear layers stand turned and without a name, and
convolutions have taken their normalisation in; both come in the order in which they are used.
"""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import onnx
import torch
from onnx import numpy_helper
from torch import nn

Norms = (nn.BatchNorm1d, nn.BatchNorm2d)


def take_up(net: nn.Module, file: Path, look: Callable[[], object]) -> None:
    """Give ``net`` the weights of its ONNX file; ``look`` shows it samples as in training, by which it is normalised again."""
    kept = {array.name: numpy_helper.to_array(array) for array in onnx.load(str(file)).graph.initializer}
    named = {name: torch.tensor(kept.pop(name)) for name, _ in net.named_parameters() if name in kept}
    unnamed = iter(
        [torch.tensor(kept[name]) for name in sorted(kept, key=lambda name: int(name.split("_")[-1]))]
    )
    names = {module: name for name, module in net.named_modules()}
    used: list[nn.Module] = []
    _looking(net, look, lambda module, given: used.append(module))
    for module in used:
        if isinstance(module, nn.Conv1d | nn.Conv2d | nn.Linear) and f"{names[module]}.weight" not in named:
            weight = next(unnamed)
            named[f"{names[module]}.weight"] = weight.T if isinstance(module, nn.Linear) else weight
            if not isinstance(module, nn.Linear):
                named[f"{names[module]}.bias"] = next(unnamed)
    if next(unnamed, None) is not None:
        raise ValueError(f"{file} is not of this net")
    for module in used:
        if isinstance(module, Norms):
            module.reset_parameters()
    net.load_state_dict(named, strict=False)
    _looking(net, look, _as_it_comes)


def _as_it_comes(module: nn.Module, given: torch.Tensor) -> None:
    """Let a layer expect what it is given, and give it on as it is."""
    if isinstance(module, Norms):
        apart = given.transpose(0, 1).flatten(1)
        module.running_mean, module.running_var = apart.mean(1), apart.var(1)
        module.bias.data = apart.mean(1)
        module.weight.data = torch.sqrt(apart.var(1) + module.eps)


def _looking(
    net: nn.Module, look: Callable[[], object], see: Callable[[nn.Module, torch.Tensor], None]
) -> None:
    """Let the net look, and ``see`` each layer and what it is given, in order."""
    leaves = [module for module in net.modules() if not list(module.children())]
    hooks = [
        module.register_forward_pre_hook(lambda module, given: see(module, given[0])) for module in leaves
    ]
    net.eval()
    with torch.no_grad():
        look()
    for hook in hooks:
        hook.remove()
