"""Typed text in its styles, notes, tables, stamps, figures with words, and lines that hold on."""

from __future__ import annotations

import tempfile

from selenium import webdriver
from selenium.webdriver.common.keys import Keys

from sunroom.core.board import CardItem, InkItem, NoteItem, ShapeItem, TextItem
from sunroom.core.board.items import item_box
from sunroom.core.text.styles import Span
from tests.browser.test_fit import NAMELESS
from tests.browser.test_tools import LINE, Tools
from tests.core.test_documents import document
from tests.core.test_pictures import picture
from tests.server.test_media import sound

WRITER = "[contenteditable]"


class Things(Tools):
    def write(self, *keys: str) -> None:
        self.tutor.find(WRITER).send_keys(*keys)

    def take(self) -> None:
        self.write(Keys.CONTROL, Keys.ENTER)
        self.tutor.wait(lambda: not self.tutor.all(WRITER) or None, "the words to be taken")

    def test_text_in_styles_is_laid_out_and_edited_again(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(200, 150)], "mouse")
        self.write("H")
        self.tutor.press("[aria-label=Subscript]")
        self.write("2")
        self.tutor.press("[aria-label=Subscript]")
        self.write("O is ")
        self.write(Keys.CONTROL, "b")
        self.write("wet")
        self.tutor.press("[aria-label='Lines and links']")
        self.tutor.press("[aria-label=List] input", "Bullets")
        self.tutor.find(WRITER).click()
        self.take()
        self.tutor.wait_items(1)
        (text,) = self.items()
        assert isinstance(text, TextItem)
        self.assertEqual((text.text, text.listing), ("H2O is wet", "bullets"))
        self.assertEqual([run.text for run in text.lines[0].runs], ["•", "H", "2", "O is ", "wet"])
        low, bold = text.lines[0].runs[2], text.lines[0].runs[4]
        self.assertLess(low.rise, 0)
        self.assertEqual(bold.face, "sans-bold")
        self.tutor.tool("Select")
        self.tutor.double_press(250, 150)
        self.write("!")
        self.take()
        self.tutor.wait(lambda: self.items()[0].text.endswith("!") or None, "the edited text")
        self.assertEqual(self.items()[0].spans[0].script, "sub")

    def test_a_sign_of_two_units_moves_no_style_and_loses_no_text(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(200, 150)], "mouse")
        self.tutor.find(WRITER)
        self.tutor.driver.execute_cdp_cmd("Input.insertText", {"text": "🌞 is "})
        self.write(Keys.CONTROL, "b")
        self.write("up")
        self.take()
        self.tutor.wait_items(1)
        (text,) = self.items()
        assert isinstance(text, TextItem)
        self.assertEqual((text.text, text.spans), ("🌞 is up", (Span(5, 7, bold=True),)))
        self.tutor.tool("Select")
        self.tutor.double_press(250, 150)
        self.write("!")
        self.take()
        self.tutor.wait(lambda: self.items()[0].text == "🌞 is up!" or None, "the edited text")
        self.assertEqual(self.items()[0].spans, (Span(5, 8, bold=True),))

    def test_words_are_edited_by_a_button_and_letters_go_into_them_after_a_setting_was_pressed(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(200, 150)], "mouse")
        self.write("sun")
        self.tutor.press("[aria-label=Family]")
        self.tutor.press("[role=dialog] input", "Book")
        # The keyboard lies with the setting: letters must be neither shortcuts nor lost.
        webdriver.ActionChains(self.tutor.driver).send_keys("dial").perform()
        self.write(Keys.ESCAPE)
        self.tutor.wait_items(1)
        (text,) = self.items()
        assert isinstance(text, TextItem)
        self.assertEqual((text.text, text.family), ("sundial", "serif"))
        self.tutor.tool("Select")
        self.tutor.draw([(215, 150)], "mouse")
        self.tutor.press("[aria-label=Sill] button", "Edit words")
        self.write("s")
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.tutor.wait(
            lambda: getattr(self.items()[0], "text", "") == "sundials" or None,
            "words taken by turning a page",
        )

    def test_a_link_that_no_press_may_open_is_not_taken(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(200, 150)], "mouse")
        self.write("sundial")
        self.write(Keys.CONTROL, "a")
        self.tutor.press("[aria-label='Lines and links']")
        field = self.tutor.find("[role=dialog] input:not([type=radio])")
        field.send_keys("javascript:alert(1)", Keys.TAB)
        self.tutor.wait_text("[role=dialog] [role=alert]", "A link begins with")

    def test_a_note_bears_its_writer_s_name_and_its_text_fits(self) -> None:
        self.tutor.press("input[type=radio]", "Pens up")
        noor = self.come_in(self.link, "Noor")
        noor.wait_text("[data-testid=pens-state]", "Pens are up")
        noor.tool("Note")
        noor.press("[aria-label='Note colour'] [aria-label=Mint]")
        noor.draw([(400, 300)], "mouse")
        noor.find(WRITER).send_keys(
            "Longest at sunrise, because the angle is tiny. " * 4, Keys.CONTROL, Keys.ENTER
        )
        self.tutor.wait_items(1)
        (note,) = self.items()
        assert isinstance(note, NoteItem)
        self.assertEqual((note.name, note.colour), ("Noor", "#cfe8dc"))
        self.assertLess(len(note.lines) * 1.3 * note.size, note.height)

    def test_a_table_is_filled_by_tab_and_given_another_column(self) -> None:
        self.tutor.tool("Table")
        self.tutor.draw([(400, 300)], "mouse")
        self.tutor.wait_items(1)
        box, scale = item_box(self.items()[0]), self.scale()
        x, y = 400 - (box.width / 2 - 20) * scale, 300 - (box.height / 2 - 15) * scale
        self.tutor.double_press(int(x), int(y))
        for word in ("sun height", "shadow", "note", "25°"):
            self.write(word, Keys.TAB)
        self.write("2.14")
        self.take()
        self.tutor.press("[aria-label='Rows and columns']")
        self.tutor.press("[role=dialog] [aria-label='Add a column']")
        self.tutor.wait(lambda: len(self.table().columns) == 4 or None, "the column")
        self.assertEqual(self.table().cells[:6], ("sun height", "shadow", "note", "", "25°", "2.14"))

    def test_rows_of_a_spreadsheet_become_a_table(self) -> None:
        self.tutor.driver.execute_script(
            "const d = new DataTransfer(); d.setData('text/plain', 'a\\t1\\nb\\t2');"
            "document.querySelector('[data-testid=board]').dispatchEvent("
            "new ClipboardEvent('paste', { clipboardData: d, bubbles: true }))"
        )
        self.tutor.wait_items(1)
        self.assertEqual(self.table().cells, ("a", "1", "b", "2"))

    def test_stamps_are_set_down_and_own_ones_made(self) -> None:
        self.tutor.tool("Stamp")
        self.tutor.press("[aria-label=Stamps] [aria-label=Star]")
        self.tutor.draw([(300, 200)], "mouse")
        self.tutor.draw([(400, 200)], "mouse")
        self.tutor.wait_items(2)
        self.tutor.draw([(300, 400), (330, 420), (360, 400)])
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.arrange("Make a stamp")
        before = self.tutor.items
        self.tutor.draw([(600, 400)], "mouse")
        self.tutor.wait_items(2 * before)
        self.tutor.driver.refresh()
        self.tutor.tool("Stamp")
        self.tutor.press("[aria-label='Own stamp 1']")
        self.tutor.press("button", "Throw this one away")
        self.tutor.wait(lambda: not self.tutor.all("[aria-label='Own stamp 1']") or None, "it to be gone")
        self.tutor.press("button", "Bring back")
        self.tutor.find("[aria-label='Own stamp 1']")
        self.tutor.draw([(500, 600)], "mouse")
        self.tutor.wait_items(3 * before)

    def test_a_line_holds_on_and_follows(self) -> None:
        self.figure("Rectangle", (200, 200), (300, 280))
        self.figure("Ellipse", (500, 200), (620, 280))
        self.figure("Line", (250, 240), (560, 240))
        line = self.items()[2]
        assert isinstance(line, ShapeItem)
        self.assertTrue(all(line.holds))
        self.tutor.key(Keys.ESCAPE)
        self.tutor.draw([(280, 280), (320, 380), (330, 430)], "mouse")
        self.tutor.wait(lambda: item_box(self.items()[2]).height > 60 or None, "the line to follow")
        start = self.items()[2].placement.point(*self.items()[2].points[0])
        held = item_box(self.items()[0])
        self.assertTrue(held.x0 - 6 <= start[0] <= held.x1 + 6 and held.y0 - 6 <= start[1] <= held.y1 + 6)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: item_box(self.items()[2]).height < 20 or None, "the way back of both")

    def test_the_end_of_a_line_is_dragged_onto_another_thing(self) -> None:
        self.figure("Rectangle", (200, 200), (300, 280))
        self.figure("Line", (500, 240), (640, 240))
        self.tutor.draw([(500, 240), (400, 240), (260, 240)], "mouse")
        self.tutor.wait(lambda: self.items()[1].holds[0] or None, "the hold")
        held = item_box(self.items()[0])
        start = self.items()[1].placement.point(*self.items()[1].points[0])
        self.assertAlmostEqual(start[0], held.x1 + 2.5, delta=3)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: not self.items()[1].holds[0] or None, "the way back")

    def test_words_stand_in_the_middle_of_a_figure(self) -> None:
        self.figure("Hexagon", (300, 200), (460, 320))
        self.tutor.double_press(380, 200)
        self.write("sun")
        self.take()
        self.tutor.wait(lambda: getattr(self.items()[0], "lines", None) or None, "the words")
        self.assertEqual(self.items()[0].lines[0].runs[0].text, "sun")

    def test_a_pdf_s_pages_are_chosen_and_brought_in_one_after_the_other(self) -> None:
        with tempfile.NamedTemporaryFile(prefix="Worksheet", suffix=".pdf") as file:
            file.write(document("one", "two", "three"))
            file.flush()
            self.tutor.tool("Bring in")
            self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            self.tutor.wait(lambda: len(self.tutor.all("dialog li")) == 3 or None, "its pages")
            self.tutor.press("dialog li button[aria-label='Page 2']")
            self.tutor.press("dialog button", "Bring 2 pages in")
            self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "two more pages")
            self.tutor.wait_text("nav[aria-label=Pages] b", "2 of 3")
            self.assertIn("Worksheet", self.tutor.text("nav[aria-label=Pages] small"))
            self.tutor.wait(lambda: not self.tutor.all("dialog[open]") or None, "the dialog to close")
            self.tutor.tool("Pen")
            self.tutor.draw(LINE)
            self.tutor.wait_items(1)
            self.tutor.tool("Bring in")
            self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            self.tutor.press("dialog [aria-label=As] input", "Things on this page")
            self.tutor.press("dialog button", "Bring 3 pages in")
            self.tutor.wait_items(4)
            self.tutor.wait_text("[aria-label=Sill]", "3 pictures of yours")
            self.tutor.tool("Bring in")
            self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            self.tutor.find("dialog li")
            self.tutor.key(Keys.ESCAPE)
            self.tutor.wait(lambda: not self.tutor.all("dialog[open]") or None, "the dialog to close")
            self.assertEqual(self.tutor.items, 4)

    def test_a_sheet_before_the_camera_becomes_flat_and_then_ink(self) -> None:
        self.tutor.tool("Bring in")
        self.tutor.press("button", "Camera")
        self.tutor.press("dialog button", "Try it with a made-up picture")
        self.tutor.press("dialog button", "Take the picture")
        self.tutor.press("dialog button", "Put it on the page")
        self.tutor.find("[data-testid=cut-picture] img[alt='The sheet, made flat']")
        corner = self.tutor.find("[aria-label='Upper left corner']")
        corner.send_keys(Keys.ARROW_LEFT)
        self.tutor.press("dialog button", "Take the flat sheet")
        self.tutor.wait(lambda: not self.tutor.all("dialog[open]") or None, "the dialog to close")
        (item,) = self.items()
        self.assertAlmostEqual(item.height / item.width, 2**0.5, delta=0.12)
        noor = self.come_in(self.link, "Noor")
        noor.wait_items(1)
        self.tutor.part("button[aria-label=Picture]", "Picture")
        self.tutor.press("button", "Its ink as strokes")
        self.tutor.wait(lambda: len(self.items()) > 5 or None, "its strokes")
        self.tutor.wait(
            lambda: all(isinstance(i, InkItem) for i in self.items()) or None, "the picture to be off"
        )
        noor.wait_items(len(self.items()))

    def test_a_part_of_a_picture_is_shown_and_all_of_it_again(self) -> None:
        with tempfile.NamedTemporaryFile(suffix=".png") as file:
            file.write(picture("PNG", (300, 200)))
            file.flush()
            self.tutor.tool("Bring in")
            self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            self.tutor.wait_items(1)
        (before,) = self.items()
        self.tutor.part("button[aria-label=Picture]", "Picture")
        self.tutor.press("button", "Show a part")
        corner = self.tutor.find("[aria-label='Upper left corner']")
        corner.send_keys(Keys.ARROW_RIGHT * 20)
        self.tutor.press("dialog button", "Show a part")
        self.tutor.wait(lambda: self.items()[0].crop[0] or None, "the part")
        (item,) = self.items()
        self.assertAlmostEqual(item.crop[0], 0.1)
        self.assertAlmostEqual(item.x, before.x + 0.1 * before.width, places=3)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.items()[0] == before or None, "the whole again")

    def test_words_a_table_and_a_drawing_are_opened_from_files(self) -> None:
        drawing = '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="60"><script>alert(1)</script><rect width="90" height="60" fill="red"/></svg>'
        files = {".md": "# Noon\n\n- short\n- *shorter*", ".csv": "sun;shadow\n25;2,14", ".svg": drawing}
        self.tutor.tool("Bring in")
        for count, (suffix, text) in zip((2, 3, 4), files.items(), strict=True):
            with tempfile.NamedTemporaryFile("w", suffix=suffix) as file:
                file.write(text)
                file.flush()
                self.tutor.tool("Bring in")
                self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
                self.tutor.wait_items(count)
        heading, points, table, shown = sorted(self.items(), key=lambda item: item.z)
        self.assertEqual((heading.text, points.listing), ("Noon", "bullets"))
        self.assertEqual(table.cells, ("sun", "shadow", "25", "2,14"))
        self.assertAlmostEqual(shown.width / shown.height, 1.5, places=2)
        self.assertEqual(self.tutor.problems(), [])

    def test_a_ready_page_is_written_on_put_on_the_shelf_and_used_again(self) -> None:
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("button", "A ready page")
        self.tutor.find("[data-testid=templates] [type=search]").send_keys("story")
        self.tutor.wait(lambda: len(self.tutor.all("[data-testid=templates] li")) == 1 or None, "one page")
        self.assertEqual(self.tutor.driver.execute_script(NAMELESS), [])
        self.tutor.press("[data-testid=templates] li button")
        self.tutor.wait_text("nav[aria-label=Pages]", "Map of a story")
        self.tutor.wait(lambda: all(i.pinned for i in self.page(1).in_order()) or None, "its background")
        things = len(self.page(1).items)
        self.assertGreater(things, 10)
        self.tutor.page_panel()
        self.tutor.press("button", "Put it on the shelf")
        self.tutor.wait_text("body", "stands on the shelf")
        self.tutor.tool("Bring in")
        self.tutor.press("button", "Shelf")
        self.tutor.find("[data-testid=shelf] .thing", "Map of a story")
        self.assertEqual(self.tutor.driver.execute_script(NAMELESS), [])
        self.tutor.press("[data-testid=shelf] .thing")
        self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "the page again")
        self.tutor.wait_text("nav[aria-label=Pages] b", "3 of 3")
        self.assertEqual(len(self.page(2).items), things)
        self.assertEqual(self.tutor.problems(), [])

    def test_a_picture_is_brought_in_seen_by_all_and_saved(self) -> None:
        with tempfile.NamedTemporaryFile(suffix=".png") as file:
            file.write(picture("PNG", (300, 200)))
            file.flush()
            self.tutor.tool("Bring in")
            self.tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            self.tutor.wait_items(1)
            noor = self.come_in(self.link, "Noor")
            noor.wait_items(1)
            noor.wait(lambda: self.shows_red(noor) or None, "the picture")
            self.tutor.page_panel()
            self.tutor.find("[aria-label='Picture as paper']").send_keys(file.name)
            self.tutor.wait(lambda: self.page().head.paper.picture or None, "the paper's picture")
        (item,) = self.items()
        self.assertAlmostEqual(item.width / item.height, 1.5, places=3)

    def shows_red(self, browser) -> bool:
        return browser.driver.execute_script(
            "const c = document.querySelector('main canvas');"
            "const d = c.getContext('2d').getImageData(c.width / 2, c.height / 2, 1, 1).data;"
            "return d[0] === 200 && d[1] === 30"
        )

    def test_a_sound_plays_for_everybody_and_a_link_has_its_card(self) -> None:
        with tempfile.NamedTemporaryFile(suffix=".wav") as file:
            file.write(sound(20))
            file.flush()
            self.tutor.tool("Bring in")
            self.tutor.driver.find_element("css selector", "input[type=file]").send_keys(file.name)
            self.tutor.press("button", "Play for everybody")
        state = "const m = document.querySelector('audio'); return m && [m.paused, m.currentTime]"
        script = self.tutor.driver.execute_script
        self.tutor.wait(lambda: (script(state) or [True])[0] is False or None, "the sound")
        self.tutor.press("[data-testid=player] button", "Mute here")
        self.tutor.wait(
            lambda: script("return document.querySelector('audio').muted") or None, "silence here"
        )
        self.tutor.press("[data-testid=player] button", "Pause")
        self.tutor.wait(lambda: script(state)[0] or None, "the pause")
        self.tutor.press("[data-testid=player] button", "End for everybody")
        self.tutor.wait(lambda: not self.tutor.all("[data-testid=player]") or None, "the end")
        self.tutor.press("button", "Play for me")
        self.tutor.wait(lambda: (script(state) or [True])[0] is False or None, "the sound for one")
        self.tutor.press("[data-testid=player] button", "Close")
        self.tutor.tool("Bring in")
        self.tutor.press("button", "Link")
        self.tutor.find("dialog input")
        address, title = self.tutor.all("dialog input")[:2]
        address.send_keys("dials here")
        self.tutor.press("dialog button", "Put it on the page")
        self.tutor.wait_text("dialog [role=alert]", "begins with")
        address.clear()
        address.send_keys("dials.example/noon")
        title.send_keys("Sundials", Keys.ENTER)
        self.tutor.wait_items(2)
        card = next(item for item in self.items() if isinstance(item, CardItem) and item.of == "link")
        self.assertEqual((card.title, card.address), ("Sundials", "https://dials.example/noon"))
        self.tutor.press("button", "Title and address")
        self.tutor.find("dialog input")
        self.tutor.all("dialog input")[1].send_keys(" at noon", Keys.ENTER)
        self.tutor.wait(
            lambda: any(getattr(i, "title", "") == "Sundials at noon" for i in self.items()) or None,
            "the title",
        )
