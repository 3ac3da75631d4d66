"""Ink to readings: lines found and straightened, drawn for the recogniser, decoded with word frequencies."""

from sunroom.core.reading.kinds import Taken, figure_first, taken_unasked
from sunroom.core.reading.reader import Reader
from sunroom.core.reading.readings import Reading, ReadLine, joined

__all__ = ["ReadLine", "Reader", "Reading", "Taken", "figure_first", "joined", "taken_unasked"]
