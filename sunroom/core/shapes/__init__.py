"""Rough ink to exact shapes, by classical geometry, with scores."""

from sunroom.core.shapes.find import Figure, find_shapes

__all__ = ["Figure", "find_shapes"]
