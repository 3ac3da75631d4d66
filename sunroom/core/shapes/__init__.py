"""Rough ink to exact figures, with scores, and exact figures for the shape tool."""

from sunroom.core.shapes.even import evened, like_neighbour
from sunroom.core.shapes.find import Figure, Finder, any_figure
from sunroom.core.shapes.sketch import (
    HEADED,
    ROUND,
    Part,
    find_sketch,
    frames_in,
    has_large,
    is_plainly_one,
    lie_in_lines,
    stand_like_letters,
    writing_in,
)

__all__ = [
    "HEADED",
    "ROUND",
    "Figure",
    "Finder",
    "Part",
    "any_figure",
    "evened",
    "find_sketch",
    "frames_in",
    "has_large",
    "is_plainly_one",
    "lie_in_lines",
    "like_neighbour",
    "stand_like_letters",
    "writing_in",
]
