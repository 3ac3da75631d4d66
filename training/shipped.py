"""A net as it ships, taken up again: whoever has no training/var goes on from there.

An export to ONNX keeps the names of most weights. The matrices of linear layers stand turned and without a name, and
convolutions have taken their normalisation in; each of both kinds comes in the order in which it is used.
"""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import onnx
import torch
from onnx import numpy_helper
from torch import nn

#: The name of weights that are kept in half precision ends so.
HALVED = ".half"
Norms = (nn.BatchNorm1d, nn.BatchNorm2d)


def take_up(net: nn.Module, file: Path, look: Callable[[], object]) -> None:
    """Give ``net`` the weights of its ONNX file; ``look`` shows it samples as in training, by which it is normalised again."""
    kept = {
        array.name.removesuffix(HALVED): torch.tensor(numpy_helper.to_array(array)).float()
        for array in onnx.load(str(file)).graph.initializer
    }
    named = {name: kept.pop(name) for name, _ in net.named_parameters() if name in kept}
    numbered = sorted(kept, key=lambda name: int(name.split("_")[-1]))
    linear, convolved = (
        iter([kept[name] for name in numbered if ("MatMul" in name) == matrix]) for matrix in (True, False)
    )
    names = {module: name for name, module in net.named_modules()}
    used: list[nn.Module] = []
    _looking(net, look, lambda module, given: used.append(module))
    biases: dict[nn.Module, torch.Tensor] = {}
    for module, then in zip(used, [*used[1:], None], strict=True):
        if isinstance(module, nn.Conv1d | nn.Conv2d | nn.Linear) and f"{names[module]}.weight" not in named:
            if isinstance(module, nn.Linear):
                named[f"{names[module]}.weight"] = next(linear).T
            else:
                named[f"{names[module]}.weight"] = next(convolved)
                bias = next(convolved)
                if module.bias is not None:
                    named[f"{names[module]}.bias"] = bias
                elif then is not None:
                    biases[then] = bias
    if next(linear, None) is not None or next(convolved, None) is not None:
        raise ValueError(f"{file} is not of this net")
    for module in used:
        if isinstance(module, Norms):
            module.reset_parameters()
    net.load_state_dict(named, strict=False)
    _looking(net, look, _as_it_comes)
    for module, bias in biases.items():
        module.bias.data += bias  # type: ignore[union-attr,operator]


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
