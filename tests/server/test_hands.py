"""Own hands over the line: who keeps, sees and throws away which samples, and what corrections teach."""

from __future__ import annotations

import json
import urllib.request
from typing import Any
from unittest.mock import patch
from urllib.error import HTTPError

import numpy as np
from django.contrib.auth.models import User

from demo.hand import Hand
from sunroom.core.board import InkItem
from sunroom.core.board.steps import AddItems
from sunroom.core.formats.inkml import read_inkml, write_inkml
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.live.doors.hands import MAX_FILE_BYTES
from sunroom.live.wire.readings import LineTaught, Read, Readings, Teach
from sunroom.rooms import hands, models
from sunroom.rooms.hands import (
    KEPT_LINE_SAMPLES,
    KEPT_SAMPLES,
    MOST_LINE_STROKES,
    MOST_LINES,
    MOST_OF_A_CHARACTER,
    MOST_OF_A_LINE,
    MOST_STROKES,
)
from tests.browser.base import wait_for
from tests.server.client import Web
from tests.server.test_live import LiveTest
from tests.words import in_words

Rows = list[list[list[float]]]


def letter(character: str, seed: int = 9) -> Rows:
    return [stroke.tolist() for stroke in Hand(seed, 0.4).write(character, 10, 50, 40)]


class Hands(LiveTest):
    def path(self, door: str = "tutor", link: str = "") -> str:
        return f"/api/doors/{door}/{link or self.link}/hand"

    def practise(self, web: Web, character: str, strokes: Any = None, path: str = "") -> list[dict[str, Any]]:
        body = {"text": character, "strokes": letter(character) if strokes is None else strokes}
        return web.post(path or self.path(), body)["samples"]  # type: ignore[no-any-return]

    def samples(self, web: Web, path: str = "") -> list[str]:
        return [row["text"] for row in json.loads(web.get(path or self.path()))["samples"]]

    def throw_away(self, web: Web, body: dict[str, Any]) -> list[str]:
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base}
        request = urllib.request.Request(
            web.base + self.path(), json.dumps(body).encode(), headers, method="DELETE"
        )
        return [row["text"] for row in json.loads(web.open(request).read())["samples"]]

    def test_samples_are_kept_looked_at_and_thrown_away_one_by_one_or_all(self) -> None:
        for character in "abc":
            kept = self.practise(self.tutor_web, character)
        self.assertEqual([row["text"] for row in kept], ["a", "b", "c"])
        np.testing.assert_allclose(kept[0]["strokes"][0][0][:2], letter("a")[0][0][:2], atol=0.01)
        self.assertEqual(self.throw_away(self.tutor_web, {"id": kept[1]["id"]}), ["a", "c"])
        self.assertEqual(self.throw_away(self.tutor_web, {}), [])
        self.assertFalse(models.Hand.objects.exists())

    def test_the_newest_samples_of_a_character_stay(self) -> None:
        for seed in range(MOST_OF_A_CHARACTER + 2):
            kept = self.practise(self.tutor_web, "a", letter("a", seed))
        self.assertEqual(len(kept), MOST_OF_A_CHARACTER)
        newest = letter("a", MOST_OF_A_CHARACTER + 1)
        np.testing.assert_allclose(kept[-1]["strokes"][0][0][:2], newest[0][0][:2], atol=0.01)

    def test_a_line_of_many_samples_is_kept_with_fewer(self) -> None:
        stroke = [[x / 10, 1, 0.5, x] for x in range(4_000)]
        (kept,) = self.practise(self.tutor_web, "noon", [stroke, [[1, 1, 0.5, 0]]])
        self.assertLess(sum(map(len, kept["strokes"])), KEPT_LINE_SAMPLES + 2)
        self.assertEqual([kept["strokes"][0][0][0], kept["strokes"][0][-1][0]], [0, 399.9])

    def test_of_a_hand_without_end_the_newest_stay_and_no_character_is_long(self) -> None:
        hand = models.Hand.objects.create(uid="h")
        long = pack_samples(np.array([[x / 10, 1, 0.5, x] for x in range(1_000)]))
        with patch.object(hands, "MOST_IN_A_HAND", 5):
            for character in "abcdefg":
                hands.keep_sample(hand, character, [long] * MOST_STROKES)
        kept = hands.samples(hand)
        self.assertEqual([row.text for row in kept], [*"cdefg"])
        self.assertLess(sum(len(unpack_samples(s)) for s in kept[0].strokes), KEPT_SAMPLES + 2 * MOST_STROKES)

    def test_a_letter_with_its_accent_apart_is_one_character(self) -> None:
        self.practise(self.tutor_web, "e\u0301", letter("e"))
        self.assertEqual(self.samples(self.tutor_web), ["\u00e9"])

    def test_lines_are_kept_too_the_newest_of_all(self) -> None:
        self.practise(self.tutor_web, "n")
        for number in range(MOST_LINES + 2):
            kept = self.practise(self.tutor_web, f"noon  {number}", letter("n"))
        texts = ["n", *(f"noon {number}" for number in range(2, MOST_LINES + 2))]
        self.assertEqual([row["text"] for row in kept], texts)

    def test_what_is_no_sample_gets_a_sentence_and_nothing_is_kept(self) -> None:
        stroke = letter("a")[0]
        for character, strokes in (
            ("", [stroke]), ("a" * (MOST_OF_A_LINE + 1), [stroke]), (" ", [stroke]), ("\u202e", [stroke]), ("a", []), ("a", [stroke] * 9),
            ("ab", []), ("ab", [stroke] * (MOST_LINE_STROKES + 1)), ("ab", [[[1, 1, 0.5, 0]] * 4_000] * 4), ("a\u202eb", [stroke]),
            ("a", [[]]), ("a", [stroke * 200]), ("a", [[[1e9, 0, 0.5, 0]]]), ("a", [[[1, 2]]]), ("a", "ink"),
        ):  # fmt: skip
            with self.assertRaises(HTTPError) as caught:
                self.practise(self.tutor_web, character, strokes)
            self.assertEqual(caught.exception.code, 400, character)
            self.assertTrue(in_words(json.loads(caught.exception.read())["problem"]).endswith("."))
        self.assertEqual(self.samples(self.tutor_web), [])

    def test_nobody_sees_the_hand_of_somebody_else(self) -> None:
        self.practise(self.tutor_web, "a")
        noor = Web(self.server.url)
        noor.enter(self.link, "Noor")
        self.assertEqual(self.samples(noor, self.path("student")), [])
        self.practise(noor, "n", path=self.path("student"))
        self.assertEqual(self.samples(self.tutor_web), ["a"])
        for web, door in ((noor, "tutor"), (Web(self.server.url), "student")):
            with self.assertRaises(HTTPError) as caught:
                web.get(self.path(door))
            self.assertEqual(caught.exception.code, 403)

    def test_a_hand_goes_with_its_person_from_room_to_room(self) -> None:
        self.practise(self.tutor_web, "a")
        other = self.tutor_web.start_room("Other")
        self.assertEqual(self.samples(self.tutor_web, self.path(link=other)), ["a"])

    def test_an_accounts_hand_is_there_in_any_browser(self) -> None:
        User.objects.create_user("imani", password="gnomon-at-noon")
        first, second = Web(self.server.url), Web(self.server.url)
        for web in (first, second):
            web.post("/api/sign-in", {"username": "imani", "password": "gnomon-at-noon"})
        link = first.start_room("Mine")
        self.practise(first, "a", path=self.path(link=link))
        self.assertEqual(self.samples(second, self.path(link=link)), ["a"])

    def test_it_is_taken_along_as_inkml(self) -> None:
        self.practise(self.tutor_web, "a")
        data = self.tutor_web.get(f"{self.path()}.inkml")
        self.assertIn(b'type="truth">a<', data)
        self.assertEqual(len(read_inkml(data)), len(letter("a")))

    def bring_in(self, web: Web, data: bytes) -> list[str]:
        headers = {
            "X-CSRFToken": web.cookies["csrftoken"],
            "Referer": web.base,
            "Content-Type": "application/inkml+xml",
        }
        request = urllib.request.Request(f"{web.base}{self.path()}.inkml", data, headers, method="POST")
        return [row["text"] for row in json.loads(web.open(request).read())["samples"]]

    def test_it_is_brought_in_again_and_what_is_no_sample_is_passed_over(self) -> None:
        for character in "ab":
            self.practise(self.tutor_web, character)
        data = self.tutor_web.get(f"{self.path()}.inkml")
        before = json.loads(self.tutor_web.get(self.path()))["samples"]
        self.throw_away(self.tutor_web, {})
        self.assertFalse(models.Hand.objects.exists())
        more = write_inkml([("noon " * 30, Hand(9).write("noon", 0, 0, 40))])
        with self.assertRaises(HTTPError):
            self.bring_in(self.tutor_web, more)
        self.assertFalse(models.Hand.objects.exists())
        whole = data.replace(b"</ink>", more[more.index(b"<traceGroup") :])
        self.assertEqual(self.bring_in(self.tutor_web, whole), ["a", "b"])
        after = json.loads(self.tutor_web.get(self.path()))["samples"]
        for one, other in zip(before, after, strict=True):
            for stroke, again in zip(one["strokes"], other["strokes"], strict=True):
                np.testing.assert_allclose(again, stroke, atol=0.5)
        for bad, status in (
            (more, 400),
            (b"", 400),
            (b"<ink/>", 400),
            (b"<html/>", 400),
            (b"x" * (MAX_FILE_BYTES + 1), 413),
        ):
            with self.assertRaises(HTTPError) as caught:
                self.bring_in(self.tutor_web, bad)
            self.assertEqual(caught.exception.code, status)
            self.assertTrue(in_words(json.loads(caught.exception.read())["problem"]).endswith("."))
        self.assertEqual(self.samples(self.tutor_web), ["a", "b"])

    # Corrections

    def write(self, text: str) -> tuple[str, ...]:
        strokes = [
            InkItem(
                id=f"ink-{number:03d}", nib="pen", colour="#16222b", width=3, samples=pack_samples(stroke)
            )
            for number, stroke in enumerate(Hand(9, 0.4).write(text, 150, 200, 54))
        ]
        self.do(self.tutor, AddItems(self.page, tuple(strokes)))
        return tuple(item.id for item in strokes)

    def taught(self) -> list[str]:
        rows = models.HandSample.objects.filter(taught=True).order_by("pk")
        return list(rows.values_list("text", flat=True))

    def test_a_corrected_reading_teaches_whoever_keeps_a_hand(self) -> None:
        self.practise(self.tutor_web, "a")
        ids = self.write("made")
        self.tutor.send(Teach(self.page, (LineTaught(ids, "made"),)))
        wait_for(lambda: len(self.taught()) == 5, "the corrected line to be learned")
        self.assertEqual(self.taught(), [*"made", "made"])
        self.tutor.send(Read(3, self.page, ids))
        self.assertEqual(self.tutor.hear(Readings).readings[0].text.casefold(), "made")

    def test_nothing_is_learned_without_a_hand_nor_from_the_ink_of_others(self) -> None:
        ids = self.write("made")
        self.tutor.send(Teach(self.page, (LineTaught(ids, "made"),)))
        noor = Web(self.server.url)
        noor.enter(self.link, "Noor")
        self.practise(noor, "n", path=self.path("student"))
        line = self.line("student", noor)
        line.welcome()
        line.send(Teach(self.page, (LineTaught(ids, "made"), LineTaught(("nothing",), "x"))))
        line.send(Read(4, self.page, ids))
        line.hear(Readings)
        self.tutor.send(Read(5, self.page, ids))
        self.tutor.hear(Readings)
        self.assertEqual(self.taught(), [])
