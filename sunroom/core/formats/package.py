"""A board as a package: a ZIP file with the board as JSON and its pictures, out and in.

``board.json`` holds a ``Packed`` value; docs/package.md describes it for other programs.
"""

from __future__ import annotations

import io
import zipfile
import zlib
from collections.abc import Mapping
from typing import Literal

import msgspec

from sunroom.core.board import Item, Page, PageHead
from sunroom.core.board.items import CardItem, PictureItem, owned
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_item, check_number
from sunroom.core.board.pages import MAX_ITEMS, MAX_PAGES, check_head
from sunroom.core.errors import MalformedError
from sunroom.core.formats.documents import MAX_VECTOR_BYTES, with_vector
from sunroom.core.formats.media import Medium, clean_medium
from sunroom.core.formats.pictures import CleanPicture, clean_picture
from sunroom.core.sentences import said
from sunroom.core.text import Typesetter

#: Of the file, and of all that is in it, unpacked.
MAX_BYTES, MAX_UNPACKED = 100_000_000, 400_000_000
MAX_FILES = 2_000
PART_BYTES = 1_000_000
METHODS = (zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED)
MAX_TITLE = 80
MAX_Z = 1e12
VERSION = 1
BOARD, PICTURES, VECTORS, MEDIA, ABOUT = "board.json", "pictures/", "vectors/", "media/", "README.txt"
#: Sounds and videos are taken along as long as they fit into the file.
MAX_MEDIA = 40_000_000
#: Pages of documents as PDFs, too; of the others there are the pictures.
MAX_VECTORS = 20_000_000
#: Every file of a package is as old as ZIP: the same board gives the same bytes.
_OLD = (1980, 1, 1, 0, 0, 0)


class PackedPage(msgspec.Struct, frozen=True):
    """A page: its head, and its items from the lowest to the highest."""

    head: PageHead
    items: tuple[Item, ...] = ()


class Packed(msgspec.Struct, frozen=True, kw_only=True):
    """What ``board.json`` holds. ``people`` are the names of those who wrote, by their seats."""

    format: Literal["sunroom-board"] = "sunroom-board"
    version: int = VERSION
    title: str
    people: dict[str, str] = {}
    pages: tuple[PackedPage, ...]


class _Kind(msgspec.Struct):
    """Read before all else, so that a file of another kind or a later version is named as such."""

    format: str = ""
    version: int = 0


def write_package(
    title: str,
    pages: list[Page],
    people: Mapping[str, str],
    pictures: Mapping[str, bytes],
    about: str = "",
    media: Mapping[str, bytes] | None = None,
    vectors: Mapping[str, bytes] | None = None,
) -> bytes:
    """A board as a file that ``read_package`` takes; ``pictures`` and ``media`` are the files of those that it shows.

    ``vectors`` are the PDFs of those pictures that are pages of documents.
    ``about`` says to whoever opens the file what it is.
    """
    packed = Packed(
        title=title,
        people=dict(people),
        pages=tuple(PackedPage(page.head, tuple(page.in_order())) for page in pages),
    )
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as package:
        for name, data in (
            (ABOUT, about.encode()),
            (BOARD, msgspec.json.format(msgspec.json.encode(packed), indent=1)),
            *((f"{PICTURES}{uid}", data) for uid, data in sorted(pictures.items())),
            *((f"{VECTORS}{uid}", data) for uid, data in sorted((vectors or {}).items())),
        ):
            package.writestr(zipfile.ZipInfo(name, _OLD), data, zipfile.ZIP_DEFLATED)
        for uid, data in sorted((media or {}).items()):
            package.writestr(zipfile.ZipInfo(f"{MEDIA}{uid}", _OLD), data, zipfile.ZIP_STORED)
    return out.getvalue()


def read_package(
    data: bytes, seat: str, typesetter: Typesetter
) -> tuple[Packed, dict[str, CleanPicture | Medium]]:
    """The board in a package and its pictures, sounds and videos, held to the same limits as what is written live.

    Its writers have no seats here: all of it belongs to ``seat``, who brings it in, and desks and bays that
    are for single persons follow the lesson or their page.

    Raises
    ------
    MalformedError
        When it is no package, damaged, of a later version, or over a limit; nothing of it is taken then.
    """
    files = _files(data)
    packed = _packed(files)
    if not packed.title.strip() or len(packed.title) > MAX_TITLE:
        raise MalformedError("title", said("the-boards-title-is-missing", title=MAX_TITLE))
    if not 1 <= len(packed.pages) <= MAX_PAGES:
        raise MalformedError("pages", said("a-board-has-between-1", pages=MAX_PAGES))
    if len({page.head.id for page in packed.pages}) < len(packed.pages):
        raise MalformedError("pages", said("two-pages-of-the-board"))
    if all(page.head.hidden for page in packed.pages):
        raise MalformedError("pages", said("a-board-keeps-at-least"))
    pages = tuple(_taken_in(page, seat, typesetter) for page in packed.pages)
    wanted = {page.head.paper.picture for page in pages} - {""}
    wanted |= {item.picture for page in pages for item in page.items if isinstance(item, PictureItem)}
    found: dict[str, CleanPicture | Medium] = {}
    for uid in sorted(wanted):
        if PICTURES + uid not in files:
            raise MalformedError("pictures", said("a-picture-of-the-board"))
        picture = clean_picture(files[PICTURES + uid])
        vector = files.get(VECTORS + uid)
        found[uid] = _beside(picture, vector) if vector else picture
    # A package may have left a long video out: its card stays.
    cards = {item.file for page in pages for item in page.items if isinstance(item, CardItem)}
    found |= {uid: clean_medium(files[MEDIA + uid]) for uid in sorted(cards) if MEDIA + uid in files}
    return msgspec.structs.replace(packed, pages=pages), found


def _beside(picture: CleanPicture, vector: bytes) -> CleanPicture:
    """The picture with its page of a document; alone when that is no such page."""
    if len(vector) > MAX_VECTOR_BYTES:
        return picture
    try:
        return with_vector(picture, vector)
    except MalformedError:
        return picture


def with_files(page: PackedPage, uids: Mapping[str, str]) -> PackedPage:
    """The page with each picture, sound and video under the id by which the room has it."""

    def here(item: Item) -> Item:
        match item:
            case PictureItem():
                return msgspec.structs.replace(item, picture=uids[item.picture])
            case CardItem():
                return msgspec.structs.replace(item, file=uids.get(item.file, item.file))
            case _:
                return item

    items = tuple(here(item) for item in page.items)
    paper = page.head.paper
    if paper.picture:
        paper = msgspec.structs.replace(paper, picture=uids[paper.picture])
    return PackedPage(msgspec.structs.replace(page.head, paper=paper), items)


def _files(data: bytes) -> dict[str, bytes]:
    if len(data) > MAX_BYTES:
        raise MalformedError("package", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as package:
            entries = package.infolist()
            if len(entries) > MAX_FILES or sum(entry.file_size for entry in entries) > MAX_UNPACKED:
                raise MalformedError("package", said("there-is-more-in-the"))
            if any(entry.compress_type not in METHODS for entry in entries):
                raise MalformedError("package", said("the-package-is-compressed-in"))
            files, room = {}, MAX_UNPACKED
            for entry in entries:
                files[entry.filename] = unpacked(package, entry, room)
                room -= len(files[entry.filename])
            return files
    except (zipfile.BadZipFile, zlib.error, NotImplementedError, RuntimeError, EOFError) as error:
        raise MalformedError("package", said("this-is-no-package-of")) from error


def unpacked(package: zipfile.ZipFile, entry: zipfile.ZipInfo, room: int) -> bytes:
    """A file of the package, in parts and no further than it says it goes: what it says may be a lie."""
    parts = []
    with package.open(entry) as file:
        while part := file.read(PART_BYTES):
            parts.append(part)
            room -= len(part)
            if room < 0:
                raise MalformedError("package", said("there-is-more-in-the"))
    return b"".join(parts)


def _packed(files: Mapping[str, bytes]) -> Packed:
    if BOARD not in files:
        raise MalformedError("package", said("this-file-has-no-board"))
    try:
        kind = msgspec.json.decode(files[BOARD], type=_Kind)
        if kind.format != "sunroom-board":
            raise MalformedError("package", said("this-file-has-no-board-2"))
        if kind.version > VERSION:
            raise MalformedError("package", said("the-package-was-saved-by"))
        return msgspec.json.decode(files[BOARD], type=Packed)
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError) as error:
        raise MalformedError("package", said("the-board-in-the-package", error=str(error))) from error


def _taken_in(page: PackedPage, seat: str, typesetter: Typesetter) -> PackedPage:
    """The page as it is kept here: its limits held, its text set anew, all of it ``seat``'s."""
    check_head(page.head)
    if len(page.items) > MAX_ITEMS:
        raise MalformedError("items", said("a-page-of-the-board", items=MAX_ITEMS))
    if len({item.id for item in page.items}) < len(page.items):
        raise MalformedError("items", said("two-items-of-a-page"))
    for item in page.items:
        check_item(item)
        check_number("z", item.z, MAX_Z)
    items = tuple(laid_out(owned(item, seat), typesetter) for item in page.items)
    return PackedPage(_without_persons(page.head), items)


def _without_persons(head: PageHead) -> PageHead:
    """The head without rules for single persons."""
    bays = tuple(
        msgspec.structs.replace(bay, rule="page", people=()) if bay.rule == "people" else bay
        for bay in head.bays
    )
    if head.writers == "desk":
        head = msgspec.structs.replace(head, writers="lesson", desk_of="", desk_from="")
    return msgspec.structs.replace(head, bays=bays)
