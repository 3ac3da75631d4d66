"""The exact figure of a given kind that lies nearest to some ink."""

from __future__ import annotations

from collections.abc import Callable
from typing import Literal, get_args

from sunroom.core.shapes import closed_fits, open_fits
from sunroom.core.shapes.ink import Fitted, Ink

Kind = Literal[
    "line",
    "polyline",
    "elbow",
    "arrow",
    "double_arrow",
    "circle",
    "ellipse",
    "arc",
    "triangle",
    "rectangle",
    "square",
    "rhombus",
    "parallelogram",
    "trapezium",
    "pentagon",
    "hexagon",
    "star",
    "axes",
    "number_line",
    "tick",
    "cross",
    "brace",
]
KINDS: tuple[Kind, ...] = get_args(Kind)


def fit(kind: Kind, ink: Ink) -> Fitted | None:
    """The figure of ``kind`` nearest to the ink; None when the ink can be none."""
    return _FITS[kind](ink)


_FITS: dict[Kind, Callable[[Ink], Fitted | None]] = {
    "line": open_fits.fit_line,
    "polyline": open_fits.fit_polyline,
    "elbow": open_fits.fit_elbow,
    "arrow": open_fits.fit_arrow,
    "double_arrow": open_fits.fit_double_arrow,
    "circle": closed_fits.fit_circle,
    "ellipse": closed_fits.fit_ellipse,
    "arc": closed_fits.fit_arc,
    "triangle": closed_fits.fit_triangle,
    "rectangle": closed_fits.fit_rectangle,
    "square": closed_fits.fit_square,
    "rhombus": closed_fits.fit_rhombus,
    "parallelogram": closed_fits.fit_parallelogram,
    "trapezium": closed_fits.fit_trapezium,
    "pentagon": closed_fits.fit_pentagon,
    "hexagon": closed_fits.fit_hexagon,
    "star": closed_fits.fit_star,
    "axes": open_fits.fit_axes,
    "number_line": open_fits.fit_number_line,
    "tick": open_fits.fit_tick,
    "cross": open_fits.fit_cross,
    "brace": open_fits.fit_brace,
}
