"""The call in the browser, with made-up cameras and microphones: meeting, rights, devices, and a line that is lost."""

from __future__ import annotations

from typing import Any
from unittest import skipUnless

from selenium.webdriver import ActionChains, Keys

from tests.browser.base import Browser
from tests.browser.test_fit import NAMELESS, OVERFLOW
from tests.browser.test_tools import LINE, Tools
from tests.call_servers import JANUS, NO_JANUS, NO_TURN, TURN, WithJanus, WithTurn

#: The picture of the camera that is tried.
TRIED = "return document.querySelector('.checks video').srcObject.getTracks()[0].id"
#: Of each person in the call as this browser shows them: whether their picture moves.
FACES = """
const done = arguments[0]
const tiles = [...document.querySelectorAll('[data-testid=face]')]
const at = new Map(tiles.map((tile) => [tile, tile.querySelector('video')?.currentTime]))
setTimeout(() => done(Object.fromEntries(tiles.map((tile) => {
  const video = tile.querySelector('video')
  return [tile.dataset.name, Boolean(video && video.videoWidth && video.currentTime > at.get(tile))]
}))), 400)
"""
#: What is heard of the others: the loudspeakers that are on, and what they were sent in a while.
SOUNDS = "return [...document.querySelectorAll('audio')].map((audio) => !audio.muted && !audio.paused)"
#: Browsers that do not reach each other, and by which ways they found each other all the same.
ONLY_PASSED_ON = """
window.lines = []
window.RTCPeerConnection = class extends RTCPeerConnection {
  constructor(options) {
    super({ ...options, iceTransportPolicy: 'relay' })
    window.lines.push(this)
  }
}
"""
WAYS = """
const done = arguments[0]
Promise.all(window.lines.map(async (line) => {
  const stats = await line.getStats()
  const used = [...stats.values()].find(({ type, nominated }) => type === 'candidate-pair' && nominated)
  return stats.get(used?.localCandidateId)?.candidateType
})).then(done)
"""

#: What is sent up never arrives, until it is given up.
HELD_UP = """
window.fetched = window.fetch
window.fetch = (path, { signal, ...how } = {}) => String(path).endsWith('/pictures')
  ? new Promise((_, given) => signal.addEventListener('abort', () => given(signal.reason)))
  : window.fetched(path, { signal, ...how })
"""


class Calls(Tools):
    def call(self, *browsers: Browser) -> None:
        """Into the call, with made-up devices."""
        for browser in browsers:
            browser.made_up()
            browser.driver.refresh()
            browser.find("nav[aria-label=Pages]")
            browser.press(".bar button", "Join the call")

    def faces(self, browser: Browser) -> dict[str, Any]:
        return dict(browser.driver.execute_async_script(FACES))

    def wait_voice(self, browser: Browser) -> None:
        browser.wait(lambda: browser.driver.execute_script(SOUNDS) == [True] or None, "a voice")

    def wait_faces(self, browser: Browser, **wanted: bool) -> None:
        browser.wait(lambda: self.faces(browser) == wanted or None, f"{wanted}, not {self.faces(browser)}")

    def test_two_people_see_and_hear_each_other_as_the_rules_allow(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.call(self.tutor, noor)
        for browser in (self.tutor, noor):
            self.wait_faces(browser, Imani=True, Noor=True)
            self.wait_voice(browser)
            browser.wait(
                lambda browser=browser: browser.all("[data-testid=face].speaks") or None, "somebody to speak"
            )
            self.assertEqual(browser.driver.execute_script(NAMELESS), [])
            self.assertFalse(browser.driver.execute_script(OVERFLOW))
        self.tutor.press("[aria-label='More about Noor']")
        self.tutor.press("[role=dialog] button", "Mute")
        self.tutor.close_panels()
        self.tutor.wait(lambda: self.tutor.driver.execute_script(SOUNDS) == [False] or None, "silence")
        noor.wait_text("body", "Your microphone was turned off for now")
        noor.wait(
            lambda: noor.find("[aria-label=Microphone]").get_attribute("aria-pressed") == "false" or None,
            "it off",
        )
        noor.press("[aria-label=Microphone]")
        noor.wait_text("body", "Put your hand up to speak")
        self.assertEqual(
            noor.find("[aria-label=Microphone]").get_attribute("aria-pressed"), "false", "nobody lifts that"
        )
        noor.press("[aria-label=Camera]")
        self.wait_faces(self.tutor, Imani=True, Noor=False)
        noor.press("[aria-label='About the call']")
        noor.press("[role=dialog] button", "Leave the call")
        self.wait_faces(self.tutor, Imani=True)
        self.assertEqual(self.tutor.problems() + noor.problems(), [])

    def test_what_is_said_is_written_down_for_those_who_wish_to_read_it(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[role=dialog] button", "Write captions")
        field = self.tutor.find("input[placeholder='What is being said']")
        for line in ("Shadows are longest at dawn.", "Why is that?", "Look at noon.", "Now measure."):
            field.send_keys(line, Keys.ENTER)
            noor.wait_text("[data-testid=captions]", line)
        self.assertEqual(noor.text("[data-testid=captions]").split("\n")[0], "Look at noon.")
        field.send_keys(Keys.ESCAPE)
        self.tutor.wait(
            lambda: not self.tutor.all("input[placeholder='What is being said']") or None, "it gone"
        )
        noor.press("[aria-label^='Hide the captions']")
        self.assertEqual(noor.text("[data-testid=captions]"), "")
        noor.driver.refresh()
        noor.press("[aria-label='Your menu']")
        self.assertFalse([b for b in noor.all("[role=dialog] button") if "Write captions" in b.text])
        noor.press("[role=dialog] label", "Captions")
        noor.close_panels()
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[role=dialog] button", "Write captions")
        self.tutor.find("input[placeholder='What is being said']").send_keys("See you again.", Keys.ENTER)
        noor.wait_text("[data-testid=captions]", "See you again.")
        self.assertEqual(noor.problems(), [])

    def test_four_people_meet_each_of_the_others_and_the_board_goes_on(self) -> None:
        others = [self.come_in(self.link, name) for name in ("Noor", "Elio", "Saskia")]
        self.call(self.tutor, *others)
        for browser in (self.tutor, *others):
            self.wait_faces(browser, Imani=True, Noor=True, Elio=True, Saskia=True)
        self.tutor.draw(LINE)
        for browser in others:
            browser.wait_items(1)

    def test_the_call_goes_on_over_a_restart_of_the_server_and_to_another_board(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.call(self.tutor, noor)
        self.wait_faces(noor, Imani=True, Noor=True)
        mark = "document.querySelector('[data-testid=face][data-name=Imani] video').dataset.same = '1'"
        noor.driver.execute_script(mark)
        self.restart()
        for browser in (self.tutor, noor):
            browser.kept()
        self.wait_faces(noor, Imani=True, Noor=True)
        same = "return document.querySelector('[data-testid=face][data-name=Imani] video')?.dataset.same"
        self.assertEqual(noor.driver.execute_script(same), "1", "the picture never went away")
        self.tutor.press("[aria-label='New board']")
        self.tutor.wait(lambda: self.tutor.items == 0 or None, "another board")
        self.wait_faces(noor, Imani=True, Noor=True)
        self.wait_faces(self.tutor, Imani=True, Noor=True)

    def test_a_sheet_of_paper_is_shown_live_and_its_still_written_on(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.call(self.tutor, noor)
        self.wait_faces(noor, Imani=True, Noor=True)
        self.tutor.press("[aria-label='About the call']")
        self.tutor.press("[role=dialog] button", "Show paper by another camera")
        shown = "[aria-label='Imani shows'] video"
        moving = "return document.querySelector(arguments[0])?.videoWidth"
        for browser in (self.tutor, noor):
            browser.wait(lambda browser=browser: browser.driver.execute_script(moving, shown), "the sheet")
            self.assertEqual(browser.driver.execute_script(NAMELESS), [])
        self.assertFalse(
            noor.all("[aria-label='Imani shows'] button.go"), "without a pen nothing is put on the page"
        )
        self.tutor.driver.execute_script(HELD_UP)
        self.tutor.press("[aria-label='Imani shows'] button", "Take a still")
        self.tutor.press("[aria-label='Imani shows'] button", "Give up")
        self.tutor.driver.execute_script("window.fetch = window.fetched")
        self.tutor.press("[aria-label='Imani shows'] button", "Take a still")
        # Whoever brings pictures in comes after the lesson, and here the machine has its browsers to serve as well.
        self.tutor.wait(lambda: self.tutor.items == 1 or None, "the still on the page", 120)
        noor.wait_items(1)
        self.wait_faces(noor, Imani=True, Noor=True)
        self.tutor.resize(390, 844)
        self.tutor.press("[aria-label='Imani shows'] button", "Stop showing")
        noor.wait(lambda: not noor.all(shown) or None, "it to be gone")
        self.assertEqual(self.tutor.problems() + noor.problems(), [])

    def test_the_porch_tries_devices_and_somebody_without_any_comes_in_too(self) -> None:
        noor = self.browser()
        noor.open(f"{self.server.url}/r/{self.link}")
        noor.made_up()
        noor.driver.refresh()
        noor.press("summary", "Check camera")
        noor.press("button", "Try my camera")
        noor.wait(lambda: noor.text(".checks").count("works") == 2 or None, "both to work")
        opened = noor.driver.execute_script(TRIED)
        noor.find("form input").send_keys("Noor")
        self.assertEqual(noor.driver.execute_script(TRIED), opened, "opened once, whatever else is done")
        noor.wait_text(".checks", "ms there and back")
        noor.driver.execute_script("arguments[0].scrollIntoView()", noor.find(".checks canvas"))
        chain = ActionChains(noor.driver).move_to_element(noor.find(".checks canvas"))
        chain.click_and_hold().move_by_offset(40, 10).release().perform()
        noor.wait_text(".checks", "a mouse")
        self.assertEqual(noor.driver.execute_script(NAMELESS), [])
        noor.press("form button", "Come in")
        self.wait_faces(noor, Noor=True)
        elio = self.come_in(self.link, "Elio")
        elio.press(".bar button", "Join the call")
        elio.wait_text("body", "No")
        self.tutor.wait_text("[data-testid=person][data-name=Elio]", "has no")
        elio.wait(
            lambda: self.faces(elio).get("Noor") or None, "to see the others without a camera of one's own"
        )


@skipUnless(TURN, NO_TURN)
class CallsPassedOn(WithTurn, Tools):
    """Between browsers that find no way to each other but by a TURN server."""

    call, faces, wait_faces, wait_voice = Calls.call, Calls.faces, Calls.wait_faces, Calls.wait_voice

    def browser(self, width: int = 1280, height: int = 800) -> Browser:
        browser = super().browser(width, height)
        browser.spoiled = True
        browser.driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", {"source": ONLY_PASSED_ON})
        return browser

    def test_two_people_see_and_hear_each_other(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.call(self.tutor, noor)
        for browser in (self.tutor, noor):
            self.wait_faces(browser, Imani=True, Noor=True)
            self.wait_voice(browser)
            self.assertEqual(browser.driver.execute_async_script(WAYS), ["relay"])
        self.assertEqual(self.tutor.problems() + noor.problems(), [])


@skipUnless(JANUS, NO_JANUS)
class CallsByMediaServer(WithJanus, Calls):
    """The same calls, each browser sending once; what has nothing to do with the way is tried without."""

    test_what_is_said_is_written_down_for_those_who_wish_to_read_it = None  # type: ignore[assignment]
    test_four_people_meet_each_of_the_others_and_the_board_goes_on = None  # type: ignore[assignment]
    test_the_porch_tries_devices_and_somebody_without_any_comes_in_too = None  # type: ignore[assignment]

    def test_the_call_goes_on_over_a_restart_of_the_server_and_to_another_board(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.call(self.tutor, noor)
        for browser in (self.tutor, noor):
            self.wait_faces(browser, Imani=True, Noor=True)
        self.restart()
        for browser in (self.tutor, noor):
            browser.kept()
        for browser in (self.tutor, noor):
            self.wait_faces(browser, Imani=True, Noor=True)
        self.janus.stop()
        self.janus.start()
        for browser in (self.tutor, noor):
            self.wait_faces(browser, Imani=True, Noor=True)

    def test_who_leaves_is_gone_for_the_others(self) -> None:
        people = {name: self.come_in(self.link, name) for name in ("Noor", "Tomasz")}
        self.call(self.tutor, *people.values())
        everybody = dict.fromkeys(("Imani", *people), True)
        for browser in (self.tutor, *people.values()):
            self.wait_faces(browser, **everybody)
        people["Tomasz"].press("[aria-label='About the call']")
        people["Tomasz"].press("[role=dialog] button", "Leave the call")
        for browser in (self.tutor, people["Noor"]):
            self.wait_faces(browser, Imani=True, Noor=True)
