"""Ink: the samples of a stroke, how they travel, the outline they are drawn with, and rubbing out."""

from sunroom.core.ink.outline import Ends, Nib, arrow_head, outline, outlines, stroke_width, uniform
from sunroom.core.ink.rub import rubbed
from sunroom.core.ink.samples import MAX_SAMPLES, SAMPLE_BYTES, pack_samples, unpack_samples

__all__ = [
    "MAX_SAMPLES",
    "SAMPLE_BYTES",
    "Ends",
    "Nib",
    "arrow_head",
    "outline",
    "outlines",
    "pack_samples",
    "rubbed",
    "stroke_width",
    "uniform",
    "unpack_samples",
]
