"""A real server, real browsers and a pen, for tests that use the application as people do."""

from __future__ import annotations

import asyncio
import atexit
import re
import shutil
import tempfile
import threading
import time
import urllib.request
from collections.abc import Callable
from pathlib import Path
from typing import Any, TypeVar

import numpy as np
import uvicorn
from django.core.cache import cache
from django.test import TransactionTestCase
from selenium import webdriver
from selenium.common.exceptions import (
    ElementClickInterceptedException,
    StaleElementReferenceException,
    WebDriverException,
)
from selenium.webdriver.chrome.service import Service
from selenium.webdriver.common.action_chains import ActionBuilder
from selenium.webdriver.common.actions import interaction
from selenium.webdriver.common.actions.pointer_input import PointerInput
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.command import Command
from selenium.webdriver.remote.errorhandler import ErrorHandler
from selenium.webdriver.remote.webelement import WebElement

from sunroom.config.asgi import application
from sunroom.config.serve import server_options
from sunroom.live.keeping import keeper
from sunroom.live.room.registry import registry
from sunroom.live.work import planning, workers
from tests import WAIT_S

T = TypeVar("T")

#: An element by its name.
NAMED = re.compile(r"\[aria-label=(?:'([^']*)'|([\w-]+))\]")
CHROMIUM_FLAGS = (
    "--headless=new",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--hide-scrollbars",
    # Two browsers of one machine find each other without any network.
    "--allow-loopback-in-peer-connection",
    "--disable-features=WebRtcHideLocalIpsWithMdns",
)


#: Camera and microphone that need none, as the call keeps them in the browser.
MADE_UP = """localStorage.setItem('sunroom-call', JSON.stringify(
    { voice: 'made-up', face: 'made-up', speaker: '', withVoice: true, withFace: true, low: false }))"""


class LiveServer:
    """The application on a port of this machine, in a thread; it can be stopped and started again."""

    def __init__(self, port: int = 0) -> None:
        config = uvicorn.Config(
            application,
            host="127.0.0.1",
            port=port,
            log_level="error",
            timeout_graceful_shutdown=1,
            **server_options(),
        )
        self._server = uvicorn.Server(config)
        self._thread = threading.Thread(target=self._run, daemon=True)
        self._thread.start()
        wait_for(lambda: self._server.started, "the server to start")
        self.port: int = self._server.servers[0].sockets[0].getsockname()[1]
        self.url = f"http://127.0.0.1:{self.port}"

    def _run(self) -> None:
        with asyncio.Runner() as runner:
            self._loop = runner.get_loop()
            runner.run(self._server.serve())

    def settled(self) -> None:
        """Wait until all that the rooms have decided is on disk: what is no answer to anybody may come there later."""

        async def settle() -> None:
            for room in list(registry()._rooms.values()):
                await room.keeper.settled()

        asyncio.run_coroutine_threadsafe(settle(), self._loop).result(WAIT_S)

    def stop(self) -> None:
        """Break all lines off at once and stop; what is being written to disk is finished."""
        self._server.force_exit = True
        self._server.should_exit = True
        self._thread.join(WAIT_S)
        keeper.writer.submit(lambda: None).result(WAIT_S)


class Gone(ErrorHandler):
    """A part that the page drew anew while it was asked about is stale, whichever way the driver says so."""

    def check_response(self, response: dict[str, Any]) -> None:
        try:
            super().check_response(response)
        except WebDriverException as error:
            if "does not belong to the document" in str(error.msg):
                raise StaleElementReferenceException(error.msg) from None
            raise


class Browser:
    """One person's browser."""

    #: A test has done to it what cannot be undone.
    spoiled = False

    def __init__(self, width: int = 1280, height: int = 800) -> None:
        options = webdriver.ChromeOptions()
        options.binary_location = "/usr/bin/chromium"
        self._profile = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.downloads = Path(self._profile.name) / "downloads"
        for flag in (*CHROMIUM_FLAGS, f"--user-data-dir={self._profile.name}/profile"):
            options.add_argument(flag)
        options.add_experimental_option("prefs", {"download.default_directory": str(self.downloads)})
        options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
        self.driver = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
        self.driver.error_handler = Gone()
        self.resize(width, height)

    def resize(self, width: int, height: int) -> None:
        metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
        self.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)

    def close(self) -> None:
        self.driver.quit()
        self._profile.cleanup()

    def as_new(self) -> None:
        """Forget everything, for another person in another test."""
        self.driver.execute(Command.W3C_CLEAR_ACTIONS)
        first, *others = self.driver.window_handles
        for handle in others:
            self.driver.switch_to.window(handle)
            self.driver.close()
        self.driver.switch_to.window(first)
        origin = self.driver.execute_script("return location.origin")
        self.driver.get("about:blank")
        if origin.startswith("http"):
            self.driver.execute_cdp_cmd(
                "Storage.clearDataForOrigin", {"origin": origin, "storageTypes": "all"}
            )
        self.driver.execute_cdp_cmd("Network.clearBrowserCookies", {})
        online = {"offline": False, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
        self.driver.execute_cdp_cmd("Network.emulateNetworkConditions", online)
        self.driver.get_log("browser")
        shutil.rmtree(self.downloads, ignore_errors=True)

    def made_up(self) -> None:
        """From the next opening on, its camera and microphone are made up."""
        # Only who may have microphones is told all of the machine's networks, its own loop among them.
        origin = self.driver.execute_script("return location.origin")
        granted = {"origin": origin, "permissions": ["audioCapture", "videoCapture"]}
        self.driver.execute_cdp_cmd("Browser.grantPermissions", granted)
        self.driver.execute_script(MADE_UP)

    def fetch(self, address: str) -> bytes:
        """A file as this browser gets it."""
        cookies = "; ".join(f"{c['name']}={c['value']}" for c in self.driver.get_cookies())
        with urllib.request.urlopen(urllib.request.Request(address, headers={"Cookie": cookies})) as answer:
            return bytes(answer.read())

    # Looking

    def open(self, url: str) -> None:
        self.driver.get(url)

    def all(self, css: str) -> list[WebElement]:
        return self.driver.find_elements(By.CSS_SELECTOR, NAMED.sub(_named, css))

    def find(self, css: str, text: str = "") -> WebElement:
        """The first element that matches and has ``text`` in it, waited for."""

        def look() -> WebElement | None:
            found = (e for e in self.all(css) if text in (e.text or e.get_attribute("value") or ""))
            return next(found, None)

        return self.wait(look, f"{css} with {text!r}")

    def press(self, css: str, text: str = "") -> None:
        """Press the first element that matches, when nothing lies over it: what has just come may still move it."""

        def pressed() -> bool:
            try:
                self.find(css, text).click()
            except ElementClickInterceptedException:
                return False
            return True

        self.wait(lambda: pressed() or None, f"{css} with {text!r} to be free")

    def text(self, css: str) -> str:
        """Text of the first match; "" when there is none."""

        def look() -> tuple[str]:
            return (next((element.text for element in self.all(css)), ""),)

        return self.wait(look, css)[0]

    def wait(self, look: Callable[[], T | None], what: str, seconds: float = WAIT_S) -> T:
        def patiently() -> T | None:
            try:
                return look()
            except StaleElementReferenceException:
                return None

        try:
            return wait_for(patiently, what, seconds)
        except AssertionError as error:
            raise AssertionError(
                f"{error}; the page says: {self.text('body')[:600]!r}; {self.problems()}"
            ) from None

    def wait_text(self, css: str, text: str) -> None:
        self.find(css, text)

    def problems(self) -> list[str]:
        """What the browser's console complained of, but for lines that were cut on purpose."""
        log: list[dict[str, Any]] = self.driver.get_log("browser")
        return [
            entry["message"]
            for entry in log
            if "ERR_CONNECTION" not in entry["message"] and "WebSocket" not in entry["message"]
        ]

    @property
    def items(self) -> int:
        """Things on the page that is shown, our own unconfirmed ones included."""
        return int(self.find("[data-testid=board]").get_attribute("data-items") or 0)

    def wait_items(self, count: int) -> None:
        self.wait(lambda: self.items == count or None, f"{count} things on the page")

    def kept(self) -> None:
        """Wait until all of ours is on the server's disk."""
        self.wait(lambda: self.text("[data-testid=kept]").startswith("Kept") or None, "everything to be kept")

    @property
    def percent(self) -> int:
        """How large the page is shown."""
        self.find("[data-testid=zoom]")
        return int(re.sub(r"\D", "", self.text("[data-testid=zoom]")))

    @property
    def whole(self) -> bool:
        """Whether the view keeps to the whole page."""
        return self.find("[data-testid=board]").get_attribute("data-whole") == "true"

    @property
    def page_count(self) -> int:
        self.find("nav[aria-label=Pages] b")
        return int(self.text("nav[aria-label=Pages] b").split()[-1])

    # Doing

    def film(self) -> None:
        """All pages as pictures."""
        if not self.all("[role=dialog][aria-label='All pages']"):
            self.press("[aria-label='All pages']")
            self.find("[role=dialog][aria-label='All pages']")

    def page_panel(self) -> None:
        self.film()
        self.press("[aria-label='Page and paper']")
        self.find("[role=dialog][aria-label='Page and paper']")

    def close_panels(self) -> None:
        self.driver.execute_script(
            "document.querySelectorAll(':popover-open').forEach((panel) => panel.hidePopover())"
        )

    def class_panel(self, name: str = "Class") -> None:
        """One of what the tutor side does with the class: “Class”, “Ask”, “Time”."""
        self.press(f"[aria-label={name}]")
        self.find(f"[role=dialog][aria-label={name}]")

    def wrap_up(self) -> None:
        """End the lesson."""
        self.press("[aria-label='Wrap up']")
        self.press("[role=dialog] button", "End the lesson")

    def chat(self) -> None:
        if not self.all("section[aria-label=Chat]"):
            self.press("aside button", "Chat")
            self.find("section[aria-label=Chat]")

    def tool(self, name: str) -> None:
        """Take a tool from the rack, or from All tools when it does not stand there."""
        self.find("nav[aria-label=Tools] button")
        if not any(name in button.text for button in self.all("nav[aria-label=Tools] button.tool")):
            self.press("[aria-label='All tools']")
            return self.press("[role=dialog][aria-label='All tools'] .tools button", name)
        self.press("nav[aria-label=Tools] button.tool", name)

    def part(self, css: str, text: str = "") -> None:
        """Press what stands on the sill, or under More when there is no room for it."""
        if not self.all(css):
            self.press("[aria-label=Sill] [aria-label=More]")
        self.press(css, text)

    def key(self, *keys: str) -> None:
        """Keys pressed together on the board."""
        chain = webdriver.ActionChains(self.driver)
        for key in keys[:-1]:
            chain.key_down(key)
        chain.send_keys(keys[-1])
        for key in reversed(keys[:-1]):
            chain.key_up(key)
        chain.perform()

    def keys(self, *keys: str) -> None:
        """Keys pressed one after the other on the board."""
        for key in keys:
            self.key(key)

    def draw(
        self, points: np.ndarray | list[tuple[float, float]], kind: str = "pen", pressure: float | None = 0.5
    ) -> None:
        """One press along ``points``, in px from the board's upper left corner."""
        action, pointer = self._along(points, kind, pressure)
        pointer.create_pointer_up(button=0)
        action.perform()

    def begin(self, points: list[tuple[float, float]], kind: str = "pen") -> None:
        """As ``draw``, but the pointer stays down (pen and mouse only)."""
        self._along(points, kind, 0.5)[0].perform()

    def _along(
        self, points: np.ndarray | list[tuple[float, float]], kind: str, pressure: float | None
    ) -> tuple[ActionBuilder, PointerInput]:
        box = self.find("[data-testid=board]").rect
        action, pointer = self._pointer(kind)
        extra: dict[str, Any] = {"pressure": pressure} if kind == "pen" else {}
        for number, (x, y) in enumerate(points):
            place = {"x": int(box["x"] + x), "y": int(box["y"] + y)}
            pointer.create_pointer_move(duration=0, origin="viewport", **place, **(extra if number else {}))
            if number == 0:
                pointer.create_pointer_down(button=0, **extra)
        return action, pointer

    def double_press(self, x: int, y: int) -> None:
        """Two quick presses of the mouse, in px from the board's upper left corner."""
        box = self.find("[data-testid=board]").rect
        action, pointer = self._pointer("mouse")
        pointer.create_pointer_move(duration=0, x=int(box["x"] + x), y=int(box["y"] + y), origin="viewport")
        for _ in range(2):
            pointer.create_pointer_down(button=0)
            pointer.create_pointer_up(button=0)
        action.perform()

    def lift(self, kind: str = "pen") -> None:
        action, pointer = self._pointer(kind)
        pointer.create_pointer_up(button=0)
        action.perform()

    def _pointer(self, kind: str) -> tuple[ActionBuilder, PointerInput]:
        pointer = PointerInput(
            {"pen": interaction.POINTER_PEN, "touch": interaction.POINTER_TOUCH}.get(
                kind, interaction.POINTER_MOUSE
            ),
            kind,
        )
        return ActionBuilder(self.driver, mouse=pointer, duration=0), pointer

    def write(self, strokes: list[np.ndarray], kind: str = "pen", most: int = 14) -> None:
        """Simulated handwriting; at most so many samples a stroke, as each costs the driver a frame."""
        for stroke in strokes:
            few = np.unique(np.linspace(0, len(stroke) - 1, min(len(stroke), most)).astype(int))
            self.draw(stroke[few, :2], kind)

    def hold_back(self, held: bool) -> None:
        """Hold every message back that the page sends, or let them go, as a stalled net does."""
        self.driver.execute_script(
            "const send = window.__send ??= WebSocket.prototype.send, held = window.__held ??= [];"
            "WebSocket.prototype.send = arguments[0] ? function (data) { held.push([this, data]) } : send;"
            "if (!arguments[0]) for (const [socket, data] of held.splice(0)) send.call(socket, data)",
            held,
        )

    def line(self) -> None:
        """A short stroke in a free place."""
        self.draw([(300, 300), (340, 310), (380, 305), (420, 320)])


def _named(found: re.Match[str]) -> str:
    """What is called so, also when it says more behind it: “View, 85%”."""
    name = found[1] or found[2]
    return f":is([aria-label='{name}'],[aria-label^='{name}, '])"


def wait_for(look: Callable[[], T | None], what: str, seconds: float = WAIT_S) -> T:
    """The first answer of ``look`` that is something; fails after ``seconds``."""
    until = time.monotonic() + seconds
    while True:
        found = look()
        if found:
            return found
        if time.monotonic() > until:
            raise AssertionError(f"Waited {seconds:g} s for {what}")
        time.sleep(0.02)  # between two looks; nothing depends on its length


_idle: list[Browser] = []


def _hand_back(browser: Browser) -> None:
    if browser.spoiled:
        return browser.close()
    try:
        browser.as_new()
    except WebDriverException:  # it has not survived the test
        return browser.close()
    _idle.append(browser)


@atexit.register
def _close_all() -> None:
    for browser in _idle:
        browser.close()


class BrowserTest(TransactionTestCase):
    """Tests with a live server and browsers that end with the test."""

    serialized_rollback = False

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        cls.addClassCleanup(workers.stop)
        cls.addClassCleanup(planning.stop)

    def setUp(self) -> None:
        cache.clear()  # every test may start rooms as if it were the first
        self.server = LiveServer()
        self.addCleanup(lambda: self.server.stop())

    def browser(self, width: int = 1280, height: int = 800) -> Browser:
        """One person's browser; they are handed on from test to test, as starting one takes a second."""
        browser = _idle.pop() if _idle else Browser()
        browser.resize(width, height)
        self.addCleanup(_hand_back, browser)
        return browser

    def restart(self) -> None:
        """Stop the server with all lines cut, and start another on the same port."""
        port = self.server.port
        self.server.stop()
        self.server = LiveServer(port)

    def open_room(self, title: str = "Shadows and sundials", name: str = "Imani") -> tuple[Browser, str]:
        """A tutor who has opened a room without an account, and the room's link."""
        tutor = self.browser()
        tutor.open(self.server.url)
        tutor.find("form input").send_keys(title)
        tutor.all("form input")[1].send_keys(name)
        tutor.press("button", "Open a room now")
        tutor.find("nav[aria-label=Tools]")
        tutor.kept()
        link = tutor.driver.current_url.split("/")[4]
        return tutor, link

    def come_in(self, link: str, name: str) -> Browser:
        """A student who has come in by the link."""
        student = self.browser()
        student.open(f"{self.server.url}/r/{link}")
        student.find("form input").send_keys(name, Keys.ENTER)
        student.find("nav[aria-label=Tools]")
        student.find("[data-testid=person]", name)
        return student
