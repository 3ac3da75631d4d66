"""Layout of typed text with the metrics of the shipped fonts: one line breaking for every output."""

from sunroom.core.text.fonts import FontFace, Typesetter
from sunroom.core.text.layout import Line, Run
from sunroom.core.text.styles import Align, Family, Listing, Span

__all__ = ["Align", "Family", "FontFace", "Line", "Listing", "Run", "Span", "Typesetter"]
