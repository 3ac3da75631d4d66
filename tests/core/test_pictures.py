"""Pictures brought in: held to limits, made anew, and shown in files."""

from __future__ import annotations

import io
from unittest import TestCase

import numpy as np
import pypdfium2
from msgspec.structs import astuple
from PIL import Image

from sunroom.core.board import Board, Page, PageHead, Paper, PictureItem, apply, resolve
from sunroom.core.board.items import WHOLE, item_box
from sunroom.core.board.requests import CropPicture, EditText, Plain, SwapPicture, check_request
from sunroom.core.board.steps import AddPage
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf
from sunroom.core.formats.pages import pictures_of
from sunroom.core.formats.pictures import MAX_BYTES, MAX_SIDE_PX, clean_picture
from sunroom.core.formats.svg import page_svg
from sunroom.core.geometry import Affine
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
        for kind in ("PNG", "JPEG", "WEBP", "GIF", "HEIF"):
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

    def test_a_jpeg_that_needs_no_change_keeps_its_pixels_and_loses_its_notes(self) -> None:
        notes = Image.Exif()
        notes[0x010E] = "where it was taken"
        came = picture("JPEG", (120, 80), quality=71, exif=notes, comment=b"by whom")
        clean = clean_picture(came)
        self.assertLess(len(clean.data), len(came))
        for told in (b"where it was taken", b"by whom", b"Exif"):
            self.assertNotIn(told, clean.data)
        self.assertEqual(*(Image.open(io.BytesIO(data)).tobytes() for data in (came, clean.data)))
        trailing = clean_picture(came + b"<script>alert(1)</script>")
        self.assertNotIn(b"script", trailing.data, "what follows the picture is none of it")

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


class InPart(TestCase):
    """Showing a part of a picture, and another one in its place."""

    def setUp(self) -> None:
        turned = Affine(0.0, 2.0, -2.0, 0.0)
        self.item = PictureItem(
            id="shown-01", x=100, y=50, map=(turned.a, turned.b, turned.c, turned.d), picture="picture-1",
            width=80, height=40, text="noon",
        )  # fmt: skip
        page = page_with(self.item)
        self.page = page.head.id
        self.board = apply(Board(), AddPage(page.head, 0, (self.item,)))

    def after(self, request: Plain) -> PictureItem:
        self.board = apply(self.board, resolve(self.board, request, "seat-a", 0, typesetter()))
        item = self.board.pages[self.page].items["shown-01"]
        assert isinstance(item, PictureItem)
        return item

    def test_what_stays_in_view_stays_where_it_is_and_the_rest_can_be_shown_again(self) -> None:
        whole = self.item.whole()
        for crop in ((0.25, 0.5, 1.0, 1.0), (0.0, 0.5, 0.5, 0.75), (0.0, 0.0, 1.0, 1.0)):
            item = self.after(CropPicture(self.page, "shown-01", crop))
            self.assertTrue(np.allclose(astuple(item.whole()), astuple(whole)))
            self.assertAlmostEqual(item.width, 80 * (crop[2] - crop[0]))
        self.assertEqual((item.x, item.y, item.width, item.height), (100, 50, 80, 40))

    def test_another_picture_lies_about_the_same_middle_as_large(self) -> None:
        self.after(CropPicture(self.page, "shown-01", (0.5, 0.0, 1.0, 1.0)))
        before = item_box(self.board.pages[self.page].items["shown-01"])
        item = self.after(SwapPicture(self.page, "shown-01", "picture-2", 1.414))
        self.assertEqual((item.picture, item.crop, item.text), ("picture-2", WHOLE, "noon"))
        self.assertAlmostEqual(item.height / item.width, 1.414)
        box = item_box(item)
        self.assertAlmostEqual(box.width * box.height, before.width * before.height)
        self.assertAlmostEqual(box.x0 + box.x1, before.x0 + before.x1)

    def test_parts_that_are_none_are_refused(self) -> None:
        for crop in (
            (0.5, 0, 0.5, 1),
            (0.6, 0, 0.5, 1),
            (-0.1, 0, 1, 1),
            (0, 0, 1, 1.2),
            (0, float("nan"), 1, 1),
        ):
            with self.assertRaises(MalformedError):
                check_request(CropPicture(self.page, "shown-01", crop))
        for ratio in (0.0, -1.0, 1e9, float("inf")):
            with self.assertRaises(MalformedError):
                check_request(SwapPicture(self.page, "shown-01", "picture-2", ratio))

    def test_every_file_shows_the_part_alone(self) -> None:
        four = Image.new("RGB", (40, 40), (20, 160, 40))
        four.paste((200, 30, 30), (20, 20, 40, 40))
        out = io.BytesIO()
        four.save(out, "PNG")
        item = PictureItem(
            id="shown-01", x=100, y=50, picture="picture-1", width=80, height=80, crop=(0.5, 0.5, 1.0, 1.0)
        )
        page = page_with(item, paper=Paper("sheet", "plain", 400, 300))
        pdf = board_pdf([page], typesetter(), "Pictures", {"picture-1": out.getvalue()})
        shown = pypdfium2.PdfDocument(pdf)[0].render(scale=1 / 0.75).to_pil().convert("RGB")
        self.assertEqual([shown.getpixel(at) for at in ((105, 55), (175, 125))], [(200, 30, 30)] * 2)
        self.assertEqual(shown.getpixel((95, 45)), shown.getpixel((300, 200)), "beside it is paper")
        svg = page_svg(page, typesetter(), "Pictures", {"picture-1": out.getvalue()})
        self.assertIn('<g clip-path="url(#cut-1)">', svg)
        self.assertIn("M100 50", svg)


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
