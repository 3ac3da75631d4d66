"""The samples of one stroke, as numbers and as the bytes that travel and are kept.

A stroke of N samples is 11·N bytes, column by column, little-endian: N pairs of float32 (x, y in board
units, relative to the item's place), N bytes of pressure (0–255), N uint16 of milliseconds since the
stroke began (the last value stays at 65,535 once it is reached). frontend/src/ink/samples.ts is its twin.
"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

SAMPLE_BYTES = 11
#: A pen at 240 samples a second writes 83 s without lifting before it meets this.
MAX_SAMPLES = 20_000
#: Beyond this float32 is coarser than a hundredth of a unit, and no board is so large.
MAX_COORDINATE = 1_000_000.0


def pack_samples(samples: NDArray[np.float64]) -> bytes:
    """Bytes of ``samples`` ((N, 4): x, y in board units, pressure 0–1, time in ms)."""
    xy = samples[:, :2].astype("<f4").tobytes()
    pressure = np.round(np.clip(samples[:, 2], 0, 1) * 255).astype("u1").tobytes()
    time_ms = np.clip(np.round(samples[:, 3]), 0, 65_535).astype("<u2").tobytes()
    return xy + pressure + time_ms


def unpack_samples(data: bytes) -> NDArray[np.float64]:
    """Samples from bytes: (N, 4) float array, N >= 1.

    Raises
    ------
    MalformedError
        When there is no sample, a rest of bytes, more than ``MAX_SAMPLES``, or a number that is not
        finite or lies outside every board.
    """
    count, rest = divmod(len(data), SAMPLE_BYTES)
    if rest or count == 0:
        raise MalformedError("samples", said("the-strokes-bytes-do-not"))
    if count > MAX_SAMPLES:
        raise MalformedError("samples", said("the-stroke-has-samples-are", count=count, samples=MAX_SAMPLES))
    samples = np.empty((count, 4))
    samples[:, :2] = np.frombuffer(data, "<f4", 2 * count).reshape(count, 2)
    samples[:, 2] = np.frombuffer(data, "u1", count, 8 * count) / 255
    samples[:, 3] = np.frombuffer(data, "<u2", count, 9 * count)
    # The comparison is False for NaN, so one test finds all three faults.
    if not bool((np.abs(samples[:, :2]) <= MAX_COORDINATE).all()):
        raise MalformedError("samples", said("the-stroke-has-a-point"))
    return samples
