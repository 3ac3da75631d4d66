"""Ink to readings: lines found and straightened, drawn for the recogniser, decoded with word frequencies."""

from sunroom.core.reading.reader import Reader, Reading

__all__ = ["Reader", "Reading"]
