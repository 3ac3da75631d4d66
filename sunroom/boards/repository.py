"""What rooms keep beside their boards' steps: what ink was read as, and pictures."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import timedelta

import msgspec
from django.db.models.functions import Length
from django.utils.timezone import now

from sunroom.boards import media, models
from sunroom.core.board.words import WrittenLine
from sunroom.core.formats.media import Medium
from sunroom.core.formats.package import MAX_VECTORS
from sunroom.core.formats.pictures import CleanPicture
from sunroom.rooms.services import new_uid

#: So long the pages of a document may be chosen.
DOCUMENT_KEPT_FOR = timedelta(hours=3)


def readings(board_id: int) -> dict[str, tuple[str, list[WrittenLine]]]:
    """What is kept of each page's ink: the mark of that ink, and its lines."""
    rows = models.PageReading.objects.filter(board_id=board_id).values_list("page_id", "mark", "lines")
    return {page_id: (mark, msgspec.convert(lines, list[WrittenLine])) for page_id, mark, lines in rows}


def keep_reading(board_id: int, page_id: str, mark: str, lines: list[WrittenLine]) -> None:
    """Keep what a page's ink was read as, in place of what was kept before."""
    models.PageReading.objects.update_or_create(
        board_id=board_id, page_id=page_id, defaults={"mark": mark, "lines": msgspec.to_builtins(lines)}
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
        vector=picture.vector,
        words=picture.words,
    )
    return row.uid


def keep_files(room_id: int, files: Mapping[str, CleanPicture | Medium]) -> dict[str, str]:
    """Keep what came in a package in the room; by the id that each had there, its id here."""
    return {
        old: media.keep(room_id, file) if isinstance(file, Medium) else keep_picture(room_id, file)
        for old, file in files.items()
    }


def drop_files(room_id: int, uids: set[str]) -> None:
    """What was kept for a board that did not come to be."""
    models.Picture.objects.filter(room_id=room_id, uid__in=uids).delete()
    models.Medium.objects.filter(room_id=room_id, uid__in=uids).delete()


def pictures(room_id: int, uids: set[str], vectors: bool = False) -> dict[str, bytes]:
    """Files of those of the room's pictures that are there; with ``vectors`` PDFs of pages of documents."""
    rows = models.Picture.objects.filter(room_id=room_id, uid__in=uids).values_list("uid", "data", "vector")
    return {uid: bytes(vector if vectors and vector else data) for uid, data, vector in rows}


def vectors(room_id: int, uids: set[str]) -> dict[str, bytes]:
    """The pages of documents among the room's pictures as PDFs, the small ones first, as many as a package takes."""
    rows = models.Picture.objects.filter(room_id=room_id, uid__in=uids).exclude(vector=b"")
    found: dict[str, bytes] = {}
    room = MAX_VECTORS
    for uid, size in rows.annotate(size=Length("vector")).order_by("size", "id").values_list("uid", "size"):
        room -= size
        if room < 0:
            break
        found[uid] = bytes(rows.values_list("vector", flat=True).get(uid=uid))
    return found


def picture_words(room_id: int) -> dict[str, str]:
    """What is written in those of the room's pictures that told it, by id."""
    rows = models.Picture.objects.filter(room_id=room_id).exclude(words="")
    return dict(rows.values_list("uid", "words"))


def keep_document(room_id: int, data: bytes, sizes: list[tuple[float, float]]) -> str:
    """Keep a PDF as long as its pages are brought in; its id."""
    drop_old_documents()
    return models.Document.objects.create(room_id=room_id, uid=new_uid(), data=data, sizes=sizes).uid


def document(room_id: int, uid: str) -> bytes | None:
    """The file of a document; None when it has gone."""
    row = models.Document.objects.filter(room_id=room_id, uid=uid).values_list("data", flat=True).first()
    return bytes(row) if row is not None else None


def drop_old_documents() -> None:
    """Let documents go whose pages nobody brings in any more."""
    models.Document.objects.filter(created_at__lt=now() - DOCUMENT_KEPT_FOR).delete()


def drop_document(room_id: int, uid: str) -> None:
    models.Document.objects.filter(room_id=room_id, uid=uid).delete()
