"""Layout of typed text with the metrics of the shipped fonts: one line breaking for every output."""

from sunroom.core.text.fonts import FontFace, Typesetter
from sunroom.core.text.layout import Line, Run

__all__ = ["FontFace", "Line", "Run", "Typesetter"]
