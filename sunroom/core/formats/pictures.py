"""Pictures in, held to limits and made anew; and pictures in a PDF."""

from __future__ import annotations

import io
import warnings
from contextlib import closing
from typing import Any

import msgspec
import pikepdf
import pypdfium2
from pikepdf import Name
from PIL import ExifTags, Image, ImageOps, UnidentifiedImageError
from pillow_heif import register_heif_opener

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

MAX_BYTES = 15_000_000
MAX_PIXELS = 50_000_000
#: A page is looked at on a screen and printed on A4: more is only slow.
MAX_SIDE_PX = 2_400
JPEG_QUALITY = 88
FORMATS = ("PNG", "JPEG", "WEBP", "GIF", "BMP", "HEIF")
#: Kinds whose lines are sharp and stay so, unless that makes a file of more than ``MAX_PNG_BYTES``.
LOSSLESS = ("PNG", "GIF", "BMP")
MAX_PNG_BYTES = 3_000_000
#: Parts of a JPEG file: its pixels and their end, a comment; and those of an application that say what the colours are.
START_OF_SCAN, END_OF_IMAGE, COMMENT = 0xDA, b"\xff\xd9", 0xFE
NEEDED = (0xE0, 0xE2, 0xEE)

register_heif_opener()


class CleanPicture(msgspec.Struct, frozen=True):
    """A picture as it is kept: a new PNG or JPEG with nothing in it but its pixels.

    One of a page of a document has that page as a PDF beside it, ``vector``, and its ``words``.
    """

    data: bytes
    mime: str
    width_px: int
    height_px: int
    vector: bytes = b""
    words: str = ""


def clean_picture(data: bytes) -> CleanPicture:
    """The picture in ``data``, upright, of at most ``MAX_SIDE_PX`` a side.

    Raises
    ------
    MalformedError
        When it is no picture of a known kind, damaged, or too large.
    """
    if len(data) > MAX_BYTES:
        raise MalformedError("picture", said("the-picture-is-larger-than", mb=MAX_BYTES // 1_000_000))
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            opened = Image.open(io.BytesIO(data), formats=FORMATS)
            if opened.width * opened.height > MAX_PIXELS:
                raise MalformedError("picture", said("the-picture-has-more-than"))
            picture: Image.Image = ImageOps.exif_transpose(opened)
            picture.thumbnail((MAX_SIDE_PX, MAX_SIDE_PX))
    except (UnidentifiedImageError, Image.DecompressionBombError, Image.DecompressionBombWarning) as error:
        raise MalformedError("picture", said("this-is-no-picture-that")) from error
    except (OSError, ValueError, SyntaxError) as error:
        raise MalformedError("picture", said("the-picture-is-damaged-and")) from error
    clear = picture.mode in ("RGBA", "LA", "PA") or "transparency" in picture.info
    if (
        opened.format == "JPEG"
        and picture.mode == "RGB"
        and picture.size == opened.size
        and not _turned(opened)
    ):
        return CleanPicture(_bare_jpeg(data), "image/jpeg", picture.width, picture.height)
    if clear:
        data = _saved(picture.convert("RGBA"), "PNG", optimize=True)
        return CleanPicture(data, "image/png", picture.width, picture.height)
    if opened.format in LOSSLESS:
        return drawn_picture(picture.convert("RGB"))
    data = _saved(picture.convert("RGB"), "JPEG", quality=JPEG_QUALITY)
    return CleanPicture(data, "image/jpeg", picture.width, picture.height)


def drawn_picture(picture: Image.Image) -> CleanPicture:
    """A picture of sharp lines: lossless, unless that makes a file of more than ``MAX_PNG_BYTES``."""
    # Its strongest compression takes four times as long, for a tenth less.
    data, mime = _saved(picture, "PNG", compress_level=6), "image/png"
    if len(data) > MAX_PNG_BYTES:
        data, mime = _saved(picture, "JPEG", quality=JPEG_QUALITY), "image/jpeg"
    return CleanPicture(data, mime, picture.width, picture.height)


def _turned(picture: Image.Image) -> bool:
    """It says of itself that it lies on another side."""
    return bool(picture.getexif().get(ExifTags.Base.Orientation, 1) != 1)


def _bare_jpeg(data: bytes) -> bytes:
    """A JPEG, its pixels as they came, without what it tells about camera, place and time."""
    kept, at = [data[:2]], 2
    while at + 4 <= len(data) and data[at] == 0xFF:
        kind, length = data[at + 1], int.from_bytes(data[at + 2 : at + 4], "big")
        if kind == START_OF_SCAN:
            end = data.rfind(END_OF_IMAGE)
            return b"".join([*kept, data[at : end + 2 if end > at else len(data)]])
        if not (0xE0 <= kind <= 0xEF or kind == COMMENT) or kind in NEEDED:
            kept.append(data[at : at + 2 + length])
        at += 2 + length
    raise MalformedError("picture", said("the-picture-is-damaged-and"))


def _saved(picture: Image.Image, kind: str, **options: Any) -> bytes:
    out = io.BytesIO()
    picture.save(out, kind, **options)
    return out.getvalue()


def small_picture(data: bytes, side_px: int) -> bytes:
    """A kept picture as a PNG of at most ``side_px`` a side."""
    with Image.open(io.BytesIO(data)) as picture:
        picture.thumbnail((side_px, side_px))
        return _saved(picture.convert("RGB"), "PNG", optimize=True)


def mime_of(data: bytes) -> str:
    """The kind of a picture as it is kept."""
    return "image/jpeg" if data.startswith(b"\xff\xd8") else "image/png"


def size_of(data: bytes) -> tuple[float, float]:
    """Width and height of a kept picture in pixels."""
    with Image.open(io.BytesIO(data)) as picture:
        return float(picture.width), float(picture.height)


class EmbeddedPicture:
    """One kept picture as an object of a PDF."""

    def __init__(self, name: str, data: bytes, pdf: pikepdf.Pdf) -> None:
        self.name = name
        picture = Image.open(io.BytesIO(data))
        self.size = (float(picture.width), float(picture.height))
        if picture.format == "JPEG":
            self.stream = self._image(pdf, data, "/DeviceRGB")
            self.stream.Filter = Name.DCTDecode
            return
        self.stream = self._image(pdf, picture.convert("RGB").tobytes(), "/DeviceRGB")
        if picture.mode == "RGBA":
            self.stream.SMask = self._image(pdf, picture.getchannel("A").tobytes(), "/DeviceGray")

    @staticmethod
    def of(name: str, data: bytes, pdf: pikepdf.Pdf) -> EmbeddedPicture | EmbeddedPage:
        """A kept picture, or the vectors of a page that it shows."""
        return EmbeddedPage(name, data, pdf) if data.startswith(b"%PDF") else EmbeddedPicture(name, data, pdf)

    def _image(self, pdf: pikepdf.Pdf, data: bytes, space: str) -> pikepdf.Stream:
        stream = pdf.make_stream(data)
        stream.Type, stream.Subtype = Name.XObject, Name.Image
        stream.Width, stream.Height = int(self.size[0]), int(self.size[1])
        stream.ColorSpace, stream.BitsPerComponent = Name(space), 8
        return stream


class EmbeddedPage:
    """A page of another document as an object of a PDF, stretched into the unit square as pictures are."""

    def __init__(self, name: str, data: bytes, pdf: pikepdf.Pdf) -> None:
        self.name = name
        with pikepdf.open(io.BytesIO(data)) as document:
            form = pdf.copy_foreign(document.pages[0].as_form_xobject())
        # What of the page is seen is told by what draws its picture: its own boxes may be empty, or lie beside it.
        with closing(pypdfium2.PdfDocument(data)) as shown:
            x0, y0, x1, y1 = shown[0].get_bbox()
        form.BBox = pikepdf.Array([x0, y0, x1, y1])
        turn = pikepdf.Matrix(form.get("/Matrix", pikepdf.Array([1, 0, 0, 1, 0, 0])))
        corners = [turn.transform((x, y)) for x in (x0, x1) for y in (y0, y1)]
        left, low = min(x for x, _ in corners), min(y for _, y in corners)
        width, height = max(x for x, _ in corners) - left, max(y for _, y in corners) - low
        self.size = (width, height)
        into_unit = pikepdf.Matrix(1 / width, 0, 0, 1 / height, -left / width, -low / height)
        form.Matrix = (turn @ into_unit).as_array()
        self.stream = form
