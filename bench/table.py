"""Figures and how they are shown."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np


@dataclass
class Row:
    """One measurement: what, its value, the base beside it, and the aim it is held to."""

    what: str
    value: str
    base: str = ""
    aim: str = ""
    met: bool | None = None

    def cells(self) -> list[str]:
        verdict = {True: "yes", False: "no", None: ""}[self.met]
        return [self.what, self.value, self.base, self.aim, verdict]


HEAD = ["what", "measured", "base", "aim", "met"]


def percentiles(times_ms: list[float]) -> tuple[float, float]:
    """Median and 95th percentile."""
    return float(np.percentile(times_ms, 50)), float(np.percentile(times_ms, 95))


def show(times_ms: list[float]) -> str:
    p50, p95 = percentiles(times_ms)
    return f"p50 {p50:.1f} ms, p95 {p95:.1f} ms"


def markdown(rows: list[Row]) -> str:
    lines = ["| " + " | ".join(HEAD) + " |", "| " + " | ".join("---" for _ in HEAD) + " |"]
    return "\n".join([*lines, *("| " + " | ".join(row.cells()) + " |" for row in rows)])
