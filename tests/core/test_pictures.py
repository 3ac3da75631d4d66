"""Pictures brought in: held to limits, made anew, and shown in files."""

from __future__ import annotations

import io
from unittest import TestCase

import pypdfium2
from PIL import Image

from sunroom.core.board import Board, Page, PageHead, Paper, PictureItem, apply, resolve
from sunroom.core.board.requests import EditText
from sunroom.core.board.steps import AddPage
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf
from sunroom.core.formats.drawing import pictures_of
from sunroom.core.formats.pictures import MAX_BYTES, MAX_SIDE_PX, clean_picture
from sunroom.resources import typesetter
from tests.core.test_formats import page_with
from tests.words import in_words


def picture(
    kind: str = "PNG",
    size: tuple[int, int] = (60, 40),
    colour: object = (200, 30, 30),
    mode: str = "RGB",
    **more: object,
) -> bytes:
    out = io.BytesIO()
    Image.new(mode, size, colour).save(out, kind, **more)  # type: ignore[arg-type]
    return out.getvalue()


class Cleaning(TestCase):
    def test_every_known_kind_is_made_anew(self) -> None:
        for kind in ("PNG", "JPEG", "WEBP", "GIF"):
            clean = clean_picture(picture(kind))
            self.assertIn(clean.mime, ("image/png", "image/jpeg"))
            self.assertEqual((clean.width_px, clean.height_px), (60, 40))

    def test_a_photo_is_turned_upright_made_smaller_and_loses_its_notes(self) -> None:
        notes = Image.Exif()
        notes[0x0112] = 6  # lies on its side
        notes[0x010E] = "where it was taken"
        clean = clean_picture(picture("JPEG", (4000, 1000), exif=notes))
        self.assertEqual(max(clean.width_px, clean.height_px), MAX_SIDE_PX)
        self.assertGreater(clean.height_px, clean.width_px)
        self.assertNotIn(b"where it was taken", clean.data)

    def test_what_is_no_picture_or_too_large_gets_a_sentence(self) -> None:
        script = b"<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>"
        bad = [
            b"",
            b"GIF89a",
            script,
            picture()[:50],
            b"x" * (MAX_BYTES + 1),
            picture("PNG", (9000, 9000), 0, "L"),
        ]
        for data in bad:
            with self.assertRaises(MalformedError) as caught:
                clean_picture(data)
            self.assertTrue(in_words(caught.exception).endswith("."))


class InFiles(TestCase):
    def colours(self, page: Page, data: bytes) -> Image.Image:
        self.assertEqual(pictures_of([page]), {"picture-1"})
        pdf = board_pdf([page], typesetter(), "Pictures", {"picture-1": data})
        return pypdfium2.PdfDocument(pdf)[0].render(scale=1 / 0.75).to_pil().convert("RGB")

    def test_a_picture_lies_where_it_was_put_the_right_way_up(self) -> None:
        half = Image.new("RGB", (40, 40), (20, 160, 40))
        half.paste((200, 30, 30), (0, 0, 40, 20))
        out = io.BytesIO()
        half.save(out, "PNG")
        item = PictureItem(id="shown-01", x=100, y=50, picture="picture-1", width=80, height=80)
        shown = self.colours(page_with(item, paper=Paper("sheet", "plain", 400, 300)), out.getvalue())
        self.assertEqual(shown.getpixel((140, 60)), (200, 30, 30))
        self.assertEqual(shown.getpixel((140, 120)), (20, 160, 40))
        self.assertNotEqual(shown.getpixel((90, 60)), (200, 30, 30))

    def test_clear_parts_show_what_lies_below_and_photos_are_embedded_as_they_are(self) -> None:
        item = PictureItem(id="shown-01", x=0, y=0, picture="picture-1", width=200, height=200)
        page = page_with(item, paper=Paper("sheet", "plain", 400, 300))
        clear = self.colours(page, picture("PNG", colour=(0, 0, 0, 0), mode="RGBA"))
        self.assertEqual(clear.getpixel((100, 100)), clear.getpixel((300, 100)))
        photo = clean_picture(picture("JPEG"))
        red, green, _ = self.colours(page, photo.data).getpixel((100, 100))
        self.assertTrue(red > 180 and green < 60)

    def test_a_picture_as_paper_is_fitted_into_the_sheet(self) -> None:
        page = Page(PageHead("page-1", "", Paper("sheet", "plain", 400, 300, picture="picture-1")))
        shown = self.colours(page, picture("PNG", (100, 100)))
        self.assertEqual(shown.getpixel((200, 150)), (200, 30, 30))
        self.assertNotEqual(shown.getpixel((20, 150)), (200, 30, 30))


class ForThoseWhoListen(TestCase):
    def test_a_picture_says_in_words_what_it_shows(self) -> None:
        page = page_with(PictureItem(id="shown-01", picture="picture-1", width=80, height=80, by="imani"))
        board = apply(Board(), AddPage(page.head, 0, tuple(page.in_order())))
        ask = EditText(page.head.id, "shown-01", "A sundial at noon")
        board = apply(board, resolve(board, ask, "imani", 1, typesetter()))
        (shown,) = board.pages[page.head.id].in_order()
        self.assertEqual((shown.text, shown.by), ("A sundial at noon", "imani"))  # type: ignore[union-attr]
        with self.assertRaises(MalformedError):
            too_long = EditText(page.head.id, "shown-01", "noon " * 200)
            resolve(board, too_long, "imani", 1, typesetter())
