"""What a writer must be able to draw, so that every one shows what the screen shows."""

from __future__ import annotations

from typing import Literal, Protocol

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Affine, Box
from sunroom.core.text import Typesetter

Points = NDArray[np.float64]

#: What things are to whoever listens to a page.
Role = Literal["words", "heading", "picture", "table", "row", "head", "cell"]


class Parts(msgspec.Struct, frozen=True):
    """What of a page is saved besides its writing: the paper's colour and picture, its ruling, notes, names on them."""

    paper: bool = True
    ruling: bool = True
    notes: bool = True
    names: bool = True


ALL = Parts()


class Drawing(Protocol):
    """What a writer must be able to draw; all numbers in page units, colours as #rrggbb."""

    typesetter: Typesetter

    def begin_page(self, box: Box, colour: str) -> None: ...

    def item(self, uid: str) -> None:
        """What is drawn from here on is that item."""
        ...

    def begin(self, role: Role, box: Box, alt: str = "") -> None:
        """What is drawn until ``end`` is one thing, somewhere in ``box``; ``alt`` says what a picture shows."""
        ...

    def end(self) -> None: ...

    def fill(self, polygons: list[Points], curved: bool, colour: str, opacity: float) -> None: ...

    def stroke(
        self,
        points: Points,
        closed: bool,
        curved: bool,
        colour: str,
        width: float,
        opacity: float,
        dashes: tuple[float, ...] = (),
    ) -> None: ...

    def text(self, face: str, text: str, place: Affine, size: float, colour: str) -> None: ...

    def link(self, address: str, corners: Points) -> None:
        """What lies between four corners leads to ``address``."""
        ...

    def picture(self, picture: str, place: Affine, opacity: float, shown: Points | None = None) -> None:
        """A picture in the unit square that ``place`` takes to the page; of it only what lies between the four
        corners ``shown``.
        """
        ...

    def picture_size(self, picture: str) -> tuple[float, float] | None:
        """Width and height in pixels; None when there is no such picture."""
        ...
