"""PDF documents brought in: what pages they have, and each page as a picture and as vectors.

Nothing of a document runs: pages are drawn by pdfium without their forms, and what is kept of one for saving are its
contents and resources alone.
"""

from __future__ import annotations

import io
from typing import NamedTuple

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


class DocumentPage(NamedTuple):
    """One page: its picture, itself as a PDF of one page (b"" when that is too much), and its words."""

    picture: CleanPicture
    vector: bytes
    words: str


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


def document_page(data: bytes, number: int) -> DocumentPage:
    """Page ``number`` (from 0) for the board; raises MalformedError."""
    return DocumentPage(page_picture(data, number), _vector(data, number), document_words(data, number))


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
