"""Taking things off, whole or what an eraser touches of ink."""

from __future__ import annotations

import msgspec
import numpy as np

from sunroom.core.board.items import InkItem, Item
from sunroom.core.board.limits import check_id, check_number, check_range
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import PATH, STROKE, samples_of
from sunroom.core.board.requests.family import GoneError, Now, check_ids, chosen, found
from sunroom.core.board.steps import RemoveItems, ReplaceItems, Step, remaining
from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples, rubbed, unpack_samples
from sunroom.core.ink.outline import nib_reach
from sunroom.core.ink.rub import cut
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said

#: A rub is sent in parts when it goes on for longer.
MAX_RUB_POINTS = 600


class RubItems(msgspec.Struct, frozen=True, tag_field="step", tag="rub_items"):
    """Take from the strokes ``ids`` what an eraser touched along ``path`` (x, y, radius).

    What is left of a stroke gets an id that begins with ``id``.
    """

    page: str
    ids: tuple[str, ...]
    id: str
    path: tuple[tuple[float, float, float], ...]


Removing = RemoveItems | RubItems


def check(request: Removing) -> None:
    check_ids(request.ids)
    if isinstance(request, RubItems):
        check_id(request.id)
        _check_path(request.path)


def _check_path(path: tuple[tuple[float, float, float], ...]) -> None:
    if not 1 <= len(path) <= MAX_RUB_POINTS:
        raise MalformedError("path", said("an-erasers-path-has-between", rubpoints=MAX_RUB_POINTS))
    for x, y, radius in path:
        check_number("path", x, MAX_COORDINATE)
        check_number("path", y, MAX_COORDINATE)
        check_range("radius", radius, 0.01, 10_000)


def named(request: Removing) -> tuple[str, ...]:
    return request.ids


def actions(request: Removing) -> list[Action]:
    return ["remove"]


def work(page: Page | None, request: Removing) -> float:
    if isinstance(request, RemoveItems):
        return 0
    strokes = found(page, request.ids)
    return PATH * len(request.path) + sum(STROKE + samples_of(item) for item in strokes)


def step(now: Now, request: Removing) -> Step | None:
    if isinstance(request, RemoveItems):
        return remaining(now.board, request)
    return rub(now.page, request)


def rub(page: Page, request: RubItems) -> ReplaceItems:
    """What an eraser leaves of strokes; raises GoneError when it touches none of them."""
    strokes = [item for item in chosen(page, request.ids) if isinstance(item, InkItem)]
    samples = [unpack_samples(item.samples) for item in strokes]
    places = [item.placement.points(rows[:, :2]) for item, rows in zip(strokes, samples, strict=True)]
    reaches = [nib_reach(item.nib, item.width) * item.placement.growth for item in strokes]
    taken: list[str] = []
    pieces: list[Item] = []
    if strokes:
        for item, rows, left in zip(
            strokes, samples, rubbed(places, reaches, np.array(request.path)), strict=True
        ):
            if left is None:
                continue
            taken.append(item.id)
            for stretch in left:
                piece_id = f"{request.id[:22]}-{len(pieces)}"
                piece = pack_samples(cut(rows, stretch))
                pieces.append(msgspec.structs.replace(item, id=piece_id, samples=piece))
    if not taken:
        raise GoneError("items_gone", said("there-was-no-ink-under"))
    return ReplaceItems(page.head.id, tuple(taken), tuple(pieces))
