"""Small drawings of our own, made of the product's own things, so that they can be taken apart and coloured anew."""

from __future__ import annotations

from sunroom.core.board.items import Item
from sunroom.core.drawings.drawing import Drawing, Picture
from sunroom.core.drawings.faces import FACES
from sunroom.core.drawings.maths import MATHS
from sunroom.core.drawings.physics import PHYSICS
from sunroom.core.drawings.places import PLACES
from sunroom.core.drawings.science import SCIENCE
from sunroom.core.drawings.signs import SIGNS

__all__ = ["DRAWINGS", "SUBJECTS", "drawing"]

#: The drawings of each subject, in the order in which they are shown.
SUBJECTS: dict[str, dict[str, Drawing]] = {
    "science": SCIENCE,
    "physics": PHYSICS,
    "maths": MATHS,
    "places": PLACES,
    "faces": FACES,
    "signs": SIGNS,
}
DRAWINGS: dict[str, Drawing] = {name: make for subject in SUBJECTS.values() for name, make in subject.items()}


def drawing(name: str) -> list[Item]:
    """The things of the drawing of this name, from the lowest; raises KeyError when there is none."""
    picture = Picture()
    DRAWINGS[name](picture)
    return picture.items
