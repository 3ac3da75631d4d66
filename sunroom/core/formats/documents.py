"""PDF documents brought in: what pages they have, and each page as a picture and as vectors.

Nothing of a document runs: pages are drawn by pdfium without their forms, and what is kept of one for saving are its
contents and resources alone.
"""

from __future__ import annotations

import io
from ctypes import byref, c_int

import msgspec
import pikepdf
import pypdfium2

from sunroom.core.errors import MalformedError
from sunroom.core.formats.pictures import MAX_SIDE_PX, CleanPicture, drawn_picture
from sunroom.core.sentences import said

MAX_BYTES = 50_000_000
MAX_PAGES = 500
#: A page is between a stamp's and a poster's side, in points.
SIDES_PT = (18.0, 14_400.0)
#: A page whose vectors take more is saved as its picture.
MAX_VECTOR_BYTES = 3_000_000
#: As many characters of a document can be found by.
MAX_WORDS = 20_000


#: A page looked at closely is drawn in parts, twice as many a side with each level, of at most so many px.
LEVELS, PART_PX = 3, 1_200
#: So many lines of a page can be picked.
MAX_LINES = 3_000


class PrintedLine(msgspec.Struct, frozen=True):
    """Words that stand in one line of a page, and where: from its upper left corner, in parts of its sides."""

    x: float
    y: float
    width: float
    height: float
    text: str


def page_sizes(data: bytes) -> list[tuple[float, float]]:
    """Width and height in points of each page of a PDF, as it is looked at.

    Raises
    ------
    MalformedError
        When it is none, is damaged or locked, or over a limit.
    """
    if len(data) > MAX_BYTES:
        raise MalformedError("document", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    document = _opened(data)
    try:
        if not 1 <= len(document) <= MAX_PAGES:
            raise MalformedError("document", said("a-document-has-pages", pages=MAX_PAGES))
        sizes = [document.get_page_size(number) for number in range(len(document))]
    except pypdfium2.PdfiumError as error:
        raise MalformedError("document", said("this-is-no-pdf-that")) from error
    finally:
        document.close()
    if any(not SIDES_PT[0] <= side <= SIDES_PT[1] for size in sizes for side in size):
        raise MalformedError("document", said("a-page-of-the-document"))
    return sizes


def page_picture(data: bytes, number: int, side_px: int = MAX_SIDE_PX) -> CleanPicture:
    """Page ``number`` (from 0) as a picture of ``side_px`` on its longer side; raises MalformedError."""
    document = _opened(data)
    try:
        if not 0 <= number < len(document):
            raise MalformedError("document", said("the-document-has-no-such"))
        page = document[number]
        shown = page.render(scale=side_px / max(page.get_size()), may_draw_forms=False).to_pil()
    except pypdfium2.PdfiumError as error:
        raise MalformedError("document", said("this-is-no-pdf-that")) from error
    finally:
        document.close()
    return drawn_picture(shown.convert("RGB"))


def page_part(data: bytes, level: int, column: int, row: int) -> bytes:
    """One of the 2 ** (``level`` + 1) by as many parts of the only page of a PDF, as a PNG.

    Raises
    ------
    MalformedError
        When there is no such part, or no page that can be drawn.
    """
    count: int = 2 ** (level + 1)
    if not (1 <= level <= LEVELS and 0 <= column < count and 0 <= row < count):
        raise MalformedError("document", said("the-document-has-no-such"))
    document = _opened(data)
    try:
        page = document[0]
        width, height = page.get_size()
        left, top = column * width / count, row * height / count
        shown = page.render(
            scale=PART_PX * count / max(width, height),
            crop=(left, height - top - height / count, width - left - width / count, top),
            may_draw_forms=False,
        ).to_pil()
    except pypdfium2.PdfiumError as error:
        raise MalformedError("document", said("this-is-no-pdf-that")) from error
    finally:
        document.close()
    out = io.BytesIO()
    shown.convert("RGB").save(out, "PNG", compress_level=3)
    return out.getvalue()


def printed_lines(data: bytes) -> list[PrintedLine]:
    """The words of the only page of a PDF, line by line; none of one that has no text, or cannot be read."""
    try:
        document = _opened(data)
    except MalformedError:
        return []
    found: list[PrintedLine] = []
    length = 0
    try:
        page = document[0]
        text_page = page.get_textpage()
        for number in range(min(text_page.count_rects(), MAX_LINES)):
            left, low, right, high = text_page.get_rect(number)
            text = " ".join(text_page.get_text_bounded(left, low, right, high).split())
            text = "".join(character for character in text if character.isprintable())
            (x0, y0), (x1, y1) = _seen(page, left, high), _seen(page, right, low)
            if text:
                found.append(PrintedLine(min(x0, x1), min(y0, y1), abs(x1 - x0), abs(y1 - y0), text))
                length += len(text)
            if length > MAX_WORDS:
                break
    except pypdfium2.PdfiumError:
        pass  # what cannot be told cannot be picked
    finally:
        document.close()
    return found


#: So finely places on a page are told.
_FINE = 1_000_000


def _seen(page: pypdfium2.PdfPage, x: float, y: float) -> tuple[float, float]:
    """Where a point of a page's own space is on the page as it is looked at, in parts of its sides."""
    across, down = c_int(), c_int()
    pypdfium2.raw.FPDF_PageToDevice(page.raw, 0, 0, _FINE, _FINE, 0, x, y, byref(across), byref(down))
    return across.value / _FINE, down.value / _FINE


def document_page(data: bytes, number: int) -> CleanPicture:
    """Page ``number`` (from 0) for the board, with itself as vectors and its words; raises MalformedError."""
    return with_vector(page_picture(data, number), data, number)


def with_vector(picture: CleanPicture, data: bytes, number: int = 0) -> CleanPicture:
    """A picture with the page of a PDF that it shows: ``b""`` when that is too much, or cannot be read."""
    vector = _vector(data, number)
    words = document_words(vector) if vector else document_words(data, number)
    return msgspec.structs.replace(picture, vector=vector, words=words)


def document_words(data: bytes, only: int | None = None) -> str:
    """The words of a PDF's pages or of one, as far as they can be told, up to ``MAX_WORDS`` characters; raises MalformedError."""
    document = _opened(data)
    found, length = [], 0
    try:
        for number in range(min(len(document), MAX_PAGES)) if only is None else (only,):
            text = document[number].get_textpage().get_text_bounded()
            found.append(text)
            length += len(text)
            if length > MAX_WORDS:
                break
    except pypdfium2.PdfiumError:
        pass  # what cannot be told cannot be found; the document itself is whole
    finally:
        document.close()
    text = " ".join(" ".join(found).split())
    return "".join(character for character in text if character.isprintable())[:MAX_WORDS]


def _vector(data: bytes, number: int) -> bytes:
    """The page alone, without anything that could act; b"" when it cannot be had, and then its picture stands in."""
    try:
        with pikepdf.open(io.BytesIO(data)) as document, pikepdf.new() as alone:
            alone.pages.append(document.pages[number])
            page = alone.pages[0].obj
            kept = {
                "/Type",
                "/MediaBox",
                "/CropBox",
                "/Rotate",
                "/UserUnit",
                "/Resources",
                "/Contents",
                "/Parent",
            }
            for key in set(page.keys()) - kept:
                del page[key]
            out = io.BytesIO()
            alone.save(out, compress_streams=True)
    except (pikepdf.PdfError, ValueError, KeyError, TypeError, AttributeError, RuntimeError):
        return b""
    return out.getvalue() if out.tell() <= MAX_VECTOR_BYTES else b""


def _opened(data: bytes) -> pypdfium2.PdfDocument:
    if not data.lstrip()[:5] == b"%PDF-":
        raise MalformedError("document", said("this-is-no-pdf-that"))
    try:
        return pypdfium2.PdfDocument(data)
    except pypdfium2.PdfiumError as error:
        locked = "assword" in str(error)
        raise MalformedError(
            "document", said("the-document-is-locked" if locked else "this-is-no-pdf-that")
        ) from error
