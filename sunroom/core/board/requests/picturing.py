"""Showing a part of a picture only, and another picture in its place."""

from __future__ import annotations

import msgspec

from sunroom.core.board.items import WHOLE, PictureItem
from sunroom.core.board.limits import check_crop, check_id, check_item, check_range
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import CHECK
from sunroom.core.board.requests.family import Now
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.geometry import Affine
from sunroom.core.pens.rules import Action

#: How many times as high as wide a picture may be, and the other way round.
MOST_RATIO = 100.0


class CropPicture(msgspec.Struct, frozen=True, tag_field="step", tag="crop_picture"):
    """Show only a part of a picture: its left, upper, right and lower edge in parts of the whole. Nothing moves."""

    page: str
    id: str
    crop: tuple[float, float, float, float]


class SwapPicture(msgspec.Struct, frozen=True, tag_field="step", tag="swap_picture"):
    """Another of the room's pictures, ``ratio`` as high as wide, whole, in the middle of where one lies."""

    page: str
    id: str
    picture: str
    ratio: float


Picturing = CropPicture | SwapPicture


def check(request: Picturing) -> None:
    check_id(request.id)
    if isinstance(request, CropPicture):
        check_crop(request.crop)
    else:
        check_id(request.picture)
        check_range("ratio", request.ratio, 1 / MOST_RATIO, MOST_RATIO)


def named(request: Picturing) -> tuple[str, ...]:
    return (request.id,)


def actions(request: Picturing) -> list[Action]:
    return ["change"] if isinstance(request, CropPicture) else ["change", "add_picture"]


def work(_page: Page | None, _request: Picturing) -> float:
    return CHECK


def step(now: Now, request: Picturing) -> Step | None:
    item = now.page.items.get(request.id)
    if not isinstance(item, PictureItem):
        return None
    new = _cropped(item, request.crop) if isinstance(request, CropPicture) else _swapped(item, request)
    check_item(new)
    return ReplaceItems(now.page.head.id, (new.id,), (new,))


def _cropped(item: PictureItem, crop: tuple[float, float, float, float]) -> PictureItem:
    """What stays in view stays where it is."""
    whole_width = item.width / (item.crop[2] - item.crop[0])
    whole_height = item.height / (item.crop[3] - item.crop[1])
    place = item.placement.after(
        Affine(e=(crop[0] - item.crop[0]) * whole_width, f=(crop[1] - item.crop[1]) * whole_height)
    )
    return msgspec.structs.replace(
        item, crop=crop, x=place.e, y=place.f,
        width=(crop[2] - crop[0]) * whole_width, height=(crop[3] - crop[1]) * whole_height,
    )  # fmt: skip


def _swapped(item: PictureItem, request: SwapPicture) -> PictureItem:
    """As large as the other, about the same middle."""
    width = (item.width * item.height / request.ratio) ** 0.5
    height = width * request.ratio
    place = item.placement.after(Affine(e=(item.width - width) / 2, f=(item.height - height) / 2))
    return msgspec.structs.replace(
        item, picture=request.picture, crop=WHOLE, x=place.e, y=place.f,
        width=width, height=height,
    )  # fmt: skip
