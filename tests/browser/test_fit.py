"""Fit for people: names for all controls, contrast, narrow screens, everything by keyboard."""

from __future__ import annotations

import re
from pathlib import Path
from unittest import TestCase

from selenium.webdriver.common.keys import Keys

from tests.browser.test_tools import LINE, Tools
from tests.node.test_algorithms import ask

CSS = (Path(__file__).parents[2] / "frontend" / "src" / "app.css").read_text()

NAMELESS = """
return [...document.querySelectorAll('button, a[href], input, select, textarea, [role=textbox], canvas[tabindex]')]
  .filter((e) => e.getClientRects().length)
  .filter((e) => !(e.ariaLabel || e.innerText?.trim() || e.labels?.length || e.title || e.placeholder))
  .map((e) => e.outerHTML.slice(0, 120))
"""
OVERFLOW = """
const wide = document.documentElement.scrollWidth > innerWidth
const panels = [...document.querySelectorAll('[role=dialog]')].map((e) => e.getBoundingClientRect())
return wide || panels.some((b) => b.left < 0 || b.right > innerWidth + 1 || b.top < 0 || b.bottom > innerHeight + 1)
"""


class Names(Tools):
    def nameless(self) -> list[str]:
        return self.tutor.driver.execute_script(NAMELESS)

    def test_every_control_of_a_lesson_has_a_name(self) -> None:
        self.come_in(self.link, "Noor")
        tools = [button.text for button in self.tutor.all("nav[aria-label=Tools] button.tool")]
        self.assertGreater(len(tools), 12)
        for tool in tools:
            self.tutor.tool(tool)
            self.assertEqual(self.nameless(), [], tool)
        self.tutor.film()
        self.assertEqual(self.nameless(), [], "All pages")
        self.tutor.close_panels()
        for panel in ("What pens may do", "More about Noor", "View", "Class", "Ask", "Time", "Invite"):
            self.tutor.press(f"[aria-label='{panel}']")
            self.tutor.find("[role=dialog]")
            self.assertEqual(self.nameless(), [], panel)
            self.tutor.key(Keys.ESCAPE)
        self.tutor.draw(LINE, "mouse")
        self.tutor.key("p")
        self.tutor.draw(LINE)
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        for panel in ("Look", "Arrange"):
            self.tutor.press(f"[aria-label={panel}]")
            self.assertEqual(self.nameless(), [], panel)

    def test_every_control_before_a_lesson_has_a_name(self) -> None:
        for path in ("/", f"/rooms/{self.link}", f"/r/{self.link}"):
            self.tutor.open(self.server.url + path)
            self.tutor.find("h1")
            self.assertEqual(self.nameless(), [], path)


class Narrow(Tools):
    def test_nothing_sticks_out_of_a_phone_or_a_tablet_and_a_finger_writes(self) -> None:
        for width, height in ((390, 844), (820, 1180), (1280, 800)):
            self.tutor.resize(width, height)
            self.tutor.tool("Shape")
            for panel in ("Figure", "Line", "Fill"):
                self.tutor.part(f"[aria-label={panel}]")
                self.tutor.find(f"[role=dialog][aria-label={panel}]")
                self.assertFalse(self.tutor.driver.execute_script(OVERFLOW), (width, panel))
                self.tutor.close_panels()
            self.tutor.tool("Pen")
            before = self.tutor.items
            box = self.tutor.find("[data-testid=board]").rect
            middle = box["height"] / 2
            self.tutor.draw([(60, middle), (110, middle + 12), (160, middle)], "touch")
            self.tutor.wait_items(before + 1)


class Keyboard(Tools):
    def test_a_thing_is_chosen_moved_turned_copied_and_removed_by_keys_alone(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.key(".")
        self.tutor.wait_text(".what", "one stroke of yours")
        x = self.items()[0].x
        self.tutor.key(Keys.SHIFT, Keys.ARROW_RIGHT)
        self.tutor.wait(lambda: self.items()[0].x == x + 1 or None, "a small step")
        self.tutor.key(Keys.ALT, Keys.ARROW_RIGHT)
        self.tutor.wait(lambda: self.items()[0].map[1] > 0.01 or None, "one degree")
        self.tutor.key(Keys.CONTROL, "d")
        self.tutor.wait_items(2)
        self.tutor.key(Keys.CONTROL, "[")
        self.tutor.key(Keys.DELETE)
        self.tutor.wait_items(1)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(2)


class Contrast(TestCase):
    """Text on its ground has 4.5:1, controls and their borders 3:1."""

    def test_the_tokens_are_legible_on_each_other(self) -> None:
        day, evening = CSS.split("[data-theme='evening'] {")
        light = dict(re.findall(r"--([a-z0-9-]+): (#[0-9a-f]{6});", day))
        dark = light | dict(re.findall(r"--([a-z0-9-]+): (#[0-9a-f]{6});", evening))
        text = [("ink", "glass"), ("ink", "sand"), ("ink", "sand-2"), ("muted", "glass"), ("muted", "sand"),
                ("on-frame", "frame"), ("on-frame", "frame-2"), ("on-frame-muted", "frame"), ("on-sun", "sun"),
                ("on-pale", "sun-pale"), ("clay", "glass"), ("clay", "sand"), ("leaf-dark", "glass"),
                ("ink", "field"), ("on-cream", "on-frame"), ("pen-ink", "sand")]  # fmt: skip
        for theme, tokens in (("day", light), ("evening", dark)):
            codes = [f"return app.contrast('{tokens[a]}', '{tokens[b]}')" for a, b in text]
            for (a, b), ratio in zip(text, ask(*codes), strict=True):
                self.assertGreaterEqual(ratio, 4.5, f"{a} on {b} ({theme})")
