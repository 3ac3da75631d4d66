"""What rooms keep beside their boards' steps: what ink was read as, and pictures."""

from __future__ import annotations

from sunroom.boards import models
from sunroom.core.formats.pictures import CleanPicture
from sunroom.rooms.services import new_uid


def readings(board_id: int) -> dict[str, tuple[str, list[list[str]]]]:
    """What is kept of each page's ink: the mark of that ink, and of each line its likeliest texts."""
    rows = models.PageReading.objects.filter(board_id=board_id).values_list("page_id", "mark", "lines")
    return {page_id: (mark, lines) for page_id, mark, lines in rows}


def keep_reading(board_id: int, page_id: str, mark: str, lines: list[list[str]]) -> None:
    """Keep what a page's ink was read as, in place of what was kept before."""
    models.PageReading.objects.update_or_create(
        board_id=board_id, page_id=page_id, defaults={"mark": mark, "lines": lines}
    )


def drop_readings(board_id: int, pages: list[str]) -> None:
    """Forget what pages were read as that are on the board no more."""
    models.PageReading.objects.filter(board_id=board_id).exclude(page_id__in=pages).delete()


def keep_picture(room_id: int, picture: CleanPicture) -> str:
    """Keep a cleaned picture in the room; its id."""
    row = models.Picture.objects.create(
        room_id=room_id,
        uid=new_uid(),
        mime=picture.mime,
        width_px=picture.width_px,
        height_px=picture.height_px,
        data=picture.data,
    )
    return row.uid


def pictures(room_id: int, uids: set[str]) -> dict[str, bytes]:
    """Files of those of the room's pictures that are there."""
    rows = models.Picture.objects.filter(room_id=room_id, uid__in=uids).values_list("uid", "data")
    return {uid: bytes(data) for uid, data in rows}
