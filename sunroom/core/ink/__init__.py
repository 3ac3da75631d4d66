"""Ink: the samples of a stroke, how they travel, and the outline they are drawn with."""

from sunroom.core.ink.outline import outline, outlines, stroke_width, uniform
from sunroom.core.ink.samples import MAX_SAMPLES, SAMPLE_BYTES, pack_samples, unpack_samples

__all__ = [
    "MAX_SAMPLES",
    "SAMPLE_BYTES",
    "outline",
    "outlines",
    "pack_samples",
    "stroke_width",
    "uniform",
    "unpack_samples",
]
