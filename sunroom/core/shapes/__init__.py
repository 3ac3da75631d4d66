"""Rough ink to exact figures, with scores, and exact figures for the shape tool."""

from sunroom.core.shapes.even import evened, like_neighbour
from sunroom.core.shapes.find import Figure, Finder, any_figure
from sunroom.core.shapes.sketch import Part, drawn_among, find_sketch

__all__ = ["Figure", "Finder", "Part", "any_figure", "drawn_among", "evened", "find_sketch", "like_neighbour"]
