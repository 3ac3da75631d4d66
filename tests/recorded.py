"""A recording as a browser's recorder writes it: without an end, a length or a table of places."""

from __future__ import annotations

import io
from fractions import Fraction

import av
import numpy as np

RATE = 48_000


def webm(seconds: float) -> bytes:
    """A tone in Opus."""
    out = io.BytesIO()
    with av.open(out, "w", format="webm", options={"live": "1"}) as file:
        sound = file.add_stream("libopus", rate=RATE, layout="mono")
        count = 960
        for start in range(0, int(seconds * RATE), count):
            tone = np.sin(np.arange(start, start + count) * 2 * np.pi * 220 / RATE)
            frame = av.AudioFrame.from_ndarray((tone[None] * 8_000).astype(np.int16), "s16", "mono")
            frame.sample_rate, frame.pts, frame.time_base = RATE, start, Fraction(1, RATE)
            file.mux(sound.encode(frame))
        file.mux(sound.encode(None))
    return out.getvalue()
