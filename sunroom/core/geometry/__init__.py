"""Points, boxes and curves: the arithmetic under ink, shapes and layout."""

from sunroom.core.geometry.affine import Affine
from sunroom.core.geometry.box import Box
from sunroom.core.geometry.curves import (
    bezier_points,
    ellipse_bezier,
    flatten_cubics,
    path_length,
    resample,
    simplify,
    smooth_centreline,
)

__all__ = [
    "Affine",
    "Box",
    "bezier_points",
    "ellipse_bezier",
    "flatten_cubics",
    "path_length",
    "resample",
    "simplify",
    "smooth_centreline",
]
