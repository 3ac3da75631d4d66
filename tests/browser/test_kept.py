"""Nothing lost: a server that dies, a net that drops, ink that is refused."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from demo.hand import Hand
from sunroom.boards import models, store
from sunroom.core.ink import SAMPLE_BYTES
from tests.browser.base import BrowserTest, wait_for

#: More places than a stroke may have; the driver would take minutes for them, so the pen that is down is moved in the page.
LONG = 21_000
#: A browser that has no room left for the small things that are kept in it, and what goes wrong there.
FILL = """
for (const store of [localStorage, sessionStorage])
  for (let size = 1 << 22, n = 0; size >= 1; )
    try { store.setItem('full' + n++, 'x'.repeat(size)) } catch { size >>= 1 }
window.wrong = []
for (const kind of ['error', 'unhandledrejection'])
  addEventListener(kind, (event) => window.wrong.push(String(event.message ?? event.reason)))
"""
KEEP_POINTER = """
document.querySelector('[data-testid=board]').addEventListener('pointerdown', (e) => (window.pen = e.pointerId), true)
"""
SHADE = """
const board = document.querySelector('[data-testid=board]'), { left, top } = board.getBoundingClientRect()
const at = (i) => ({
  pointerId: window.pen, pointerType: 'pen', pressure: 0.5, bubbles: true,
  clientX: left + 300 + 90 * (i % 2), clientY: top + 200 + i / 100,
})
const move = (i, more) => new PointerEvent('pointermove', { ...at(i), ...more })
for (let i = 0; i < arguments[0]; i += 500)
  board.dispatchEvent(move(i, { coalescedEvents: Array.from({ length: 500 }, (_, n) => move(i + n)) }))
"""


class Kept(BrowserTest):
    def test_a_page_opened_anew_without_a_server_says_so_and_comes_back_by_itself(self) -> None:
        tutor, _ = self.open_room()
        tutor.line()
        tutor.kept()
        ready = """
const [worker, page] = await Promise.all([navigator.serviceWorker.getRegistration(), caches.match('/waiting')])
return worker?.active?.state === 'activated' && Boolean(page)
"""
        tutor.wait(lambda: tutor.driver.execute_script(ready) or None, "the page to be kept")
        port = self.server.port
        self.server.stop()
        tutor.draw([(300, 500), (360, 500)])
        tutor.wait_text("[data-testid=kept]", "waiting")
        tutor.driver.refresh()
        tutor.wait_text("h1", "The server does not answer")
        tutor.press("a", "Try now")
        tutor.wait_text("h1", "The server does not answer")
        self.server = type(self.server)(port)
        tutor.find("nav[aria-label=Tools]")
        tutor.kept()
        tutor.wait_items(2)

    def test_a_server_killed_in_mid_stroke_loses_nothing_and_doubles_nothing(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        for _ in range(2):
            tutor.line()
        noor.wait_items(2)
        tutor.kept()
        tutor.begin([(300, 400), (340, 410)])
        port = self.server.port
        self.server.stop()
        tutor.lift()
        tutor.draw([(300, 500), (360, 500)])
        tutor.wait_text("[data-testid=kept]", "2 waiting")
        self.server = type(self.server)(port)
        tutor.kept()
        for person in (tutor, noor):
            person.wait_items(4)
        noor.driver.refresh()
        noor.wait_items(4)
        steps = models.LoggedStep.objects.exclude(seat="").values_list("step_id", flat=True)
        self.assertEqual((len(steps), len(set(steps))), (4, 4))

    def test_what_was_written_without_a_line_survives_a_reload(self) -> None:
        tutor, _ = self.open_room()
        tutor.line()
        tutor.kept()
        port = self.server.port
        self.server.stop()
        tutor.draw([(300, 500), (360, 500)])
        tutor.wait_text("[data-testid=kept]", "1 waiting")
        # The page goes away, as with a closed lid; it comes back with the server.
        tutor.driver.execute_script("dispatchEvent(new PageTransitionEvent('pagehide'))")
        self.server = type(self.server)(port)
        tutor.driver.refresh()
        tutor.wait_items(2)
        tutor.kept()
        self.assertEqual(models.LoggedStep.objects.exclude(seat="").count(), 2)

    def test_a_question_asked_without_a_line_is_still_there_to_be_asked_with_one(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        tutor.class_panel("Ask")
        asked = "[aria-label='The question']"
        tutor.find(asked).send_keys("How long at noon?")
        port = self.server.port
        self.server.stop()
        tutor.wait_text("[data-testid=kept]", "No line")
        tutor.press("[role=dialog] button", "Ask it")
        tutor.wait_text("[data-testid=say]", "no line to the server")
        # The tutor is back before anybody else.
        lesson = noor.driver.current_url
        noor.open("about:blank")
        self.server = type(self.server)(port)
        tutor.kept()
        self.assertEqual(tutor.find(asked).get_attribute("value"), "How long at noon?")
        noor.open(lesson)
        tutor.press("[role=dialog] button", "Ask it")
        noor.wait_text("[aria-label=Question]", "How long at noon?")

    def test_a_window_that_did_not_come_says_so_and_comes_with_the_line(self) -> None:
        tutor, _ = self.open_room()
        tutor.driver.execute_cdp_cmd("Network.enable", {})

        def keep_out(*files: str) -> None:
            tutor.driver.execute_cdp_cmd("Network.setBlockedURLs", {"urls": files})

        self.addCleanup(keep_out)
        keep_out("*FormulaWindow*")
        tutor.driver.refresh()
        tutor.find("[data-testid=board]")
        port = self.server.port
        self.server.stop()
        tutor.wait_text("[data-testid=kept]", "No line")
        tutor.tool("Formula")
        tutor.draw([(300, 450)], "mouse")
        tutor.press("[role=alert] button", "Try again")
        tutor.wait(
            lambda: tutor.find("[role=alert] button").is_enabled() or None, "the answer that there is none"
        )
        tutor.press("[role=alert] button", "Close")
        tutor.draw([(300, 450)], "mouse")
        tutor.wait_text("[role=alert]", "could not be loaded")
        keep_out()
        self.server = type(self.server)(port)
        tutor.kept()
        tutor.press("[role=alert] button", "Try again")
        self.assertGreater(tutor.find("dialog textarea").rect["width"], 400)

    def test_a_formula_is_typed_without_a_line_and_set_with_one(self) -> None:
        tutor, _ = self.open_room()
        fetched = "return performance.getEntriesByType('resource').some(({ name }) => name.includes('FormulaWindow'))"
        tutor.wait(
            lambda: tutor.driver.execute_script(fetched) or None, "the windows of a lesson to be fetched"
        )
        port = self.server.port
        self.server.stop()
        tutor.wait_text("[data-testid=kept]", "No line")
        tutor.tool("Formula")
        tutor.draw([(300, 450)], "mouse")
        tutor.find("dialog textarea").send_keys("x^2 + 1", Keys.ENTER)
        tutor.wait_text("dialog", "The server does not answer")
        self.server = type(self.server)(port)
        tutor.find("dialog svg path")
        tutor.find("dialog textarea").send_keys(Keys.ENTER)
        tutor.wait_items(1)
        tutor.kept()
        tutor.driver.refresh()
        tutor.wait_items(1)

    def test_a_browser_without_room_forgets_its_settings_and_does_all_else(self) -> None:
        tutor, _ = self.open_room()
        tutor.driver.execute_script(FILL)
        tutor.tool("Highlight")
        tutor.line()
        tutor.press("[aria-label='Your menu']")
        tutor.press("[role=dialog] label", "Evening")
        tutor.close_panels()
        theme = "return document.documentElement.dataset.theme"
        self.assertEqual(tutor.driver.execute_script(theme), "evening")
        tutor.press("[aria-label='Add a page']")
        tutor.press("[role=dialog] button", "Like this one")
        tutor.wait(lambda: tutor.page_count == 2 or None, "another page")
        tutor.line()
        tutor.kept()
        self.assertEqual(tutor.driver.execute_script("return window.wrong"), [])

    def test_a_browser_without_room_says_that_it_does_not_keep_the_key_of_a_room(self) -> None:
        tutor, link = self.open_room()
        tutor.open(f"{self.server.url}/rooms/{link}")
        tutor.find("aside p", "has the only key")
        tutor.driver.execute_script("localStorage.clear()")
        tutor.driver.execute_script(FILL)
        tutor.open(self.server.url)
        tutor.find("form input").send_keys("Tides")
        tutor.all("form input")[1].send_keys("Imani")
        tutor.press("button", "Open a room now")
        tutor.kept()
        tutor.open(tutor.driver.current_url.split("/boards/")[0])
        tutor.find("aside p", "does not keep the key")

    def test_a_card_changed_with_pens_down_keeps_its_new_title_until_it_may_stand(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        tutor.press("[data-testid=person] button[aria-label='Pass a pen to Noor']")
        noor.tool("Bring in")
        noor.press("button", "Link")
        noor.find("dialog input").send_keys("dials.example/noon", Keys.ENTER)
        noor.press("button", "Title and address")
        noor.find("dialog input")
        title = noor.all("dialog input")[1]
        title.send_keys(" as we built it")
        tutor.press("[data-testid=person] button[aria-label='Take the pen back from Noor']")
        noor.wait_text("[data-testid=pens-state]", "Pens are down")
        title.send_keys(Keys.ENTER)
        noor.wait_text("[data-testid=set-aside]", "dials.example/noon as we built it")
        tutor.press("[data-testid=person] button[aria-label='Pass a pen to Noor']")
        noor.press("[data-testid=set-aside] button", "Put on the board")

        def titles() -> list[str]:
            (page,) = store.load(models.Board.objects.get().pk).in_order()
            return [getattr(item, "title", "") for item in page.items.values()]

        wait_for(lambda: titles() == ["dials.example/noon as we built it"] or None, "the new title on disk")

    def test_a_stroke_of_minutes_is_there_whole_after_the_server_has_died(self) -> None:
        tutor, _ = self.open_room()
        tutor.driver.execute_script(KEEP_POINTER)
        tutor.begin([(300, 200), (310, 210)])
        tutor.driver.execute_script(SHADE, LONG)
        tutor.lift()
        tutor.wait_items(3)
        tutor.kept()
        port = self.server.port
        self.server.stop()
        self.server = type(self.server)(port)
        tutor.driver.refresh()
        tutor.wait_items(3)
        (page,) = store.load(models.Board.objects.get().pk).in_order()
        kept = sum(len(item.samples) // SAMPLE_BYTES for item in page.items.values())
        self.assertGreater(kept, LONG, "every place of the pen, and where the next stroke goes on")

    def test_refused_ink_stays_with_its_writer_until_it_is_put_on_or_thrown_away(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        tutor.press("input[type=radio]", "Pens up")
        noor.wait_text("[data-testid=pens-state]", "you can write")
        # Written while the line is down, and judged when it lands: pens have gone down meanwhile.
        noor.driver.execute_cdp_cmd("Network.enable", {})
        noor.hold_back(True)
        noor.draw([(300, 300), (360, 320)])
        noor.wait_items(1)
        tutor.press("input[type=radio]", "Pens down")
        tutor.wait_text("input:checked", "Pens down")
        noor.hold_back(False)
        noor.wait_text("[data-testid=set-aside]", "One stroke not on the board yet")
        self.assertIn("Pens are down", noor.text("[data-testid=set-aside]"))
        self.assertEqual((noor.items, tutor.items), (0, 0))
        tutor.press("[data-testid=person] button[aria-label='Pass a pen to Noor']")
        noor.wait(lambda: noor.find("[data-testid=set-aside] button").is_enabled() or None, "the button")
        noor.press("[data-testid=set-aside] button", "Put on the board")
        tutor.wait_items(1)
        self.assertEqual(noor.all("[data-testid=set-aside]"), [])

    def test_a_board_goes_to_another_room_as_a_package_and_its_type_is_ink_again_there(self) -> None:
        tutor, link = self.open_room()
        word = Hand(3, 0.4).write("noon", 200, 260, 110)
        tutor.write(word)
        tutor.tool("Select")
        tutor.draw([(150, 120), (500, 180), (520, 330)], "mouse")
        tutor.press("[data-testid=typeset]", "noon")
        tutor.wait_items(1)
        tutor.kept()
        tutor.open(f"{self.server.url}/rooms/{link}")
        tutor.press("a", "Save as a package")
        (file,) = wait_for(lambda: list(tutor.downloads.glob("*.zip")), "the package")
        kofi, other = self.open_room("Sundials", "Kofi")
        kofi.open(f"{self.server.url}/rooms/{other}")
        kofi.find("button", "Bring a board in")
        kofi.all("input[type=file]")[0].send_keys(str(file))
        kofi.find("a.board", "Shadows and sundials").click()
        kofi.wait_items(1)
        kofi.tool("Select")
        kofi.draw([(180, 100), (450, 180), (480, 330)], "mouse")
        kofi.press("[data-testid=as-written]")
        kofi.wait_items(len(word))
        kofi.open(f"{self.server.url}/rooms/{other}")
        bad = file.with_name("bad.zip")
        bad.write_bytes(b"noon")
        kofi.find("button", "Bring a board in")
        kofi.all("input[type=file]")[0].send_keys(str(bad))
        kofi.wait_text("[role=alert]", "no package of a board")
        self.assertEqual(len(kofi.all("a.board")), 2)
