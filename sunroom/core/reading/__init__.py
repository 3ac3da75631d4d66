"""Ink to readings: lines found and straightened, drawn for the recogniser, decoded with word frequencies."""

from sunroom.core.reading.kinds import figure_first
from sunroom.core.reading.reader import Reader
from sunroom.core.reading.readings import Reading, ReadLine, joined

__all__ = ["ReadLine", "Reader", "Reading", "figure_first", "joined"]
