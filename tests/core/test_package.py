"""Boards as packages: what goes out comes in again, and nothing bad comes in."""

from __future__ import annotations

import base64
import io
import json
import zipfile
from typing import Any
from unittest import TestCase

import immutables
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import Board, Page, PageHead, Paper, PictureItem, TextItem, apply
from sunroom.core.board.items import owned
from sunroom.core.board.laying import laid_out
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import AsWritten, resolve
from sunroom.core.errors import MalformedError
from sunroom.core.formats import package
from sunroom.core.formats.documents import document_page
from sunroom.core.formats.package import PackedPage, read_package, with_files, write_package
from sunroom.resources import typesetter
from tests.core.test_documents import document
from tests.core.test_pictures import picture
from tests.strategies import ink_items, items
from tests.words import in_words

ME = "seat-me"


def page_of(*things: Any, head: PageHead | None = None) -> Page:
    return Page(head or PageHead("page-1"), immutables.Map((item.id, item) for item in things))


def there_and_back(*pages: Page, **pictures: bytes) -> tuple[package.Packed, dict[str, Any]]:
    data = write_package("Shadows", list(pages), {"seat-a": "Noor"}, pictures)
    return read_package(data, ME, typesetter())


def zipped(**files: bytes) -> bytes:
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as made:
        for name, data in files.items():
            made.writestr(name.replace("_", "."), data)
    return out.getvalue()


def with_board(change: Any) -> bytes:
    """A package of one page with one typed word, its JSON changed by ``change``."""
    word = TextItem(id="text-001", text="noon", size=20, colour="#16222b")
    data = write_package("Shadows", [page_of(word)], {}, {})
    with zipfile.ZipFile(io.BytesIO(data)) as made:
        board = json.loads(made.read(package.BOARD))
    change(board)
    return zipped(board_json=json.dumps(board).encode())


class ThereAndBack(TestCase):
    @given(st.lists(items(), max_size=5, unique_by=lambda item: item.id))
    @settings(max_examples=30)
    def test_every_thing_comes_back_the_same_but_for_whose_it_is(self, things: list[Any]) -> None:
        packed, _ = there_and_back(page_of(*things), **{"picture-1": picture()})
        expected = page_of(*(laid_out(owned(item, ME), typesetter()) for item in things))
        self.assertEqual(list(packed.pages[0].items), expected.in_order())

    @given(ink_items("stroke-1"))
    @settings(max_examples=20)
    def test_what_was_converted_can_be_brought_back_as_written_on_the_other_side(self, stroke: Any) -> None:
        typed = TextItem(id="typed-01", x=30, y=-4, text="noon", size=20, colour="#16222b", ink=(stroke,))
        packed, _ = there_and_back(page_of(typed))
        board = Board(order=("page-1",)).with_page(page_of(*packed.pages[0].items))
        board = apply(board, resolve(board, AsWritten("page-1", ("typed-01",)), ME, 5, typesetter()))
        (back,) = board.pages["page-1"].items.values()
        self.assertEqual(back.samples, stroke.samples)
        self.assertEqual((back.placement.e, back.placement.f), (stroke.x + 30, stroke.y - 4))
        self.assertEqual(back.by, ME)

    def test_pages_keep_their_order_names_and_papers(self) -> None:
        heads = [PageHead("page-2", "Second", Paper("sheet", "dots")), PageHead("page-1", "First")]
        packed, _ = there_and_back(*(page_of(head=head) for head in heads))
        self.assertEqual([page.head for page in packed.pages], heads)
        self.assertEqual((packed.title, packed.people), ("Shadows", {"seat-a": "Noor"}))

    def test_rules_for_single_persons_stay_behind(self) -> None:
        bays = (
            Bay("bay-one", 0, 0, 90, 90, "Noor", "people", ("seat-a",)),
            Bay("bay-two", 99, 0, 90, 90, "All", "open"),
        )
        desk = PageHead("page-1", writers="desk", desk_of="seat-a", bays=bays)
        tutors = PageHead("page-2", writers="tutor_side")
        packed, _ = there_and_back(page_of(head=desk), page_of(head=tutors))
        heads = [page.head for page in packed.pages]
        self.assertEqual(
            [(head.writers, head.desk_of) for head in heads], [("lesson", ""), ("tutor_side", "")]
        )
        self.assertEqual([(bay.rule, bay.people) for bay in heads[0].bays], [("page", ()), ("open", ())])

    def test_pictures_come_along_and_are_made_anew(self) -> None:
        shown = PictureItem(id="picture-item", picture="picture-1", width=60, height=40)
        head = PageHead("page-1", paper=Paper(picture="paper-01"))
        packed, pictures = there_and_back(
            page_of(shown, head=head),
            **{"picture-1": picture(), "paper-01": picture("JPEG"), "not-shown": picture()},
        )
        self.assertEqual({uid: p.mime for uid, p in pictures.items()},
                         {"picture-1": "image/png", "paper-01": "image/jpeg"})  # fmt: skip
        page = with_files(packed.pages[0], {"picture-1": "new-one", "paper-01": "new-two"})
        self.assertEqual([item.picture for item in page.items], ["new-one"])
        self.assertEqual(page.head.paper.picture, "new-two")

    def test_pages_of_documents_stay_pages_of_documents(self) -> None:
        shown = document_page(document("How long at noon?"), 0)
        page = page_of(PictureItem(id="shown-01", picture="picture-1", width=60, height=40))
        for vector, words in (
            (shown.vector, "How long at noon?"),
            (b"%PDF-broken", ""),
            (b"x" * 4_000_000, ""),
        ):
            data = write_package("A", [page], {}, {"picture-1": shown.data}, vectors={"picture-1": vector})
            _, files = read_package(data, ME, typesetter())
            self.assertEqual(
                (files["picture-1"].words, bool(files["picture-1"].vector)), (words, bool(words))
            )  # type: ignore[union-attr]

    def test_the_same_board_gives_the_same_bytes(self) -> None:
        page = page_of(TextItem(id="text-001", text="noon", size=20, colour="#16222b"))
        self.assertEqual(write_package("A", [page], {}, {}), write_package("A", [page], {}, {}))

    def test_the_file_is_open_to_other_programs(self) -> None:
        data = write_package("Shadows", [page_of()], {}, {"picture-1": picture()})
        with zipfile.ZipFile(io.BytesIO(data)) as made:
            self.assertEqual(made.namelist(), ["README.txt", "board.json", "pictures/picture-1"])
            board = json.loads(made.read("board.json"))
        self.assertEqual((board["format"], board["version"], board["title"]), ("sunroom-board", 1, "Shadows"))


class Refused(TestCase):
    def refused(self, data: bytes, words: str) -> None:
        with self.assertRaises(MalformedError) as caught:
            read_package(data, ME, typesetter())
        self.assertIn(words, in_words(caught.exception))

    def test_what_is_no_package(self) -> None:
        whole = with_board(lambda board: None)
        for data in (b"", b"noon", whole[: len(whole) // 2], picture()):
            self.refused(data, "no package")
        self.refused(zipped(readme_txt=b"hello"), "no board in it")
        self.refused(zipped(board_json=b"{}"), "no board of Sun Room")
        self.refused(zipped(board_json=b"\xff\xfe"), "cannot be read")
        self.refused(zipped(board_json=b'{"x":' + b"[" * 100_000), "cannot be read")

    def test_a_later_version_is_named(self) -> None:
        self.refused(with_board(lambda board: board.update(version=2)), "later version")

    def test_every_limit_of_the_live_board_holds(self) -> None:
        def item(board: dict[str, Any]) -> dict[str, Any]:
            return board["pages"][0]["items"][0]  # type: ignore[no-any-return]

        ink = {"kind": "ink", "id": "stroke-1", "nib": "pen", "colour": "#16222b", "width": 3.0}
        for change, words in (
            (lambda b: b.update(title=" "), "title"),
            (lambda b: b.update(pages=[]), "between 1 and"),
            (lambda b: b["pages"].append(b["pages"][0]), "same id"),
            (lambda b: b["pages"][0]["items"].append(item(b)), "same id"),
            (lambda b: item(b).update(id="../x"), "An id has"),
            (lambda b: item(b).update(x=1e300), "off every board"),
            (lambda b: item(b).update(z=1e300), "off every board"),
            (lambda b: item(b).update(text="noon\u202e"), "cannot be shown"),
            (lambda b: item(b).update(kind="script"), "cannot be read"),
            (
                lambda b: item(b).update(ink=[ink | {"samples": base64.b64encode(b"12345").decode()}]),
                "samples",
            ),
            (lambda b: b["pages"][0]["head"].update(id="x"), "An id has"),
        ):
            with self.subTest(words):
                self.refused(with_board(change), words)

    def test_a_missing_or_bad_picture(self) -> None:
        page = page_of(PictureItem(id="picture-item", picture="picture-1", width=60, height=40))
        self.refused(write_package("A", [page], {}, {}), "missing")
        self.refused(write_package("A", [page], {}, {"picture-1": b"<svg/>"}), "no picture")

    def test_what_would_unpack_to_too_much(self) -> None:
        bomb = io.BytesIO()
        with zipfile.ZipFile(bomb, "w", zipfile.ZIP_DEFLATED) as made:
            for number in range(3):
                made.writestr(f"zeros-{number}", bytes(package.MAX_UNPACKED // 2))
        self.assertLess(len(bomb.getvalue()), package.MAX_BYTES)
        self.refused(bomb.getvalue(), "more in the package")
        many = io.BytesIO()
        with zipfile.ZipFile(many, "w") as made:
            for number in range(package.MAX_FILES + 1):
                made.writestr(f"{number}", b"")
        self.refused(many.getvalue(), "more in the package")
        odd = io.BytesIO()
        with zipfile.ZipFile(odd, "w", zipfile.ZIP_LZMA) as made:
            made.writestr("board.json", b"{}")
        self.refused(odd.getvalue(), "compressed")

    def test_a_package_without_a_known_field_is_taken_with_more_than_is_known(self) -> None:
        packed, _ = read_package(with_board(lambda board: board.update(colours=[1])), ME, typesetter())
        self.assertEqual(packed.pages[0].items[0].text, "noon")
        self.assertIsInstance(packed.pages[0], PackedPage)
