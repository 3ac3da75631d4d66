"""Rooms, seats and accounts over HTTP."""

from __future__ import annotations

import io
import json
import zipfile
from typing import Any

import pikepdf
from django.core.cache import cache
from django.test import Client, SimpleTestCase, TestCase, TransactionTestCase

from sunroom.boards.models import Board
from sunroom.config.headers import POLICY
from sunroom.core.lesson import EndLesson, SetBetween, carry_out
from sunroom.lessons import repository as lessons
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.names import BadName, clean_name, distinct
from tests.words import in_words


class Names(SimpleTestCase):
    def test_bad_names_get_a_sentence(self) -> None:
        for name in ("", "   ", "x" * 200, "Noor\u202egnirts", "No\u0000or", "\u200b", "Noor\u2066"):
            with self.assertRaises(BadName) as caught:
                clean_name(name)
            self.assertTrue(in_words(caught.exception).endswith("."))

    def test_spaces_and_letters_are_put_in_order(self) -> None:
        self.assertEqual(clean_name("  Zoe\u0301 \n  Ahn "), "Zoé Ahn")

    def test_names_that_look_alike_are_told_apart(self) -> None:
        self.assertEqual(distinct("Noor", ["noor"]), "Noor 2")
        self.assertEqual(distinct("Noor", ["NOOR", "Noor 2"]), "Noor 3")
        self.assertEqual(distinct("\uff2eoor", ["Noor"]), "\uff2eoor 2")
        self.assertEqual(distinct("Elio", ["Noor"]), "Elio")


class WebTest(SimpleTestCase):
    """A tutor's browser without pages: requests only."""

    def setUp(self) -> None:
        cache.clear()
        self.tutor = Client()

    def post(self, client: Client, path: str, body: Any = None, status: int | None = None) -> Any:
        response = client.post(path, json.dumps(body or {}), content_type="application/json")
        if status is not None:
            self.assertEqual(response.status_code, status, response.content)
        return json.loads(response.content)

    def start(self, title: str = "Shadows") -> dict[str, str]:
        """A room with its first board, by the tutor without an account."""
        room = self.post(self.tutor, "/api/rooms", {"title": title, "name": "Imani"}, 201)
        room["board"] = self.post(self.tutor, f"/api/rooms/{room['link']}/boards", {}, 201)["id"]
        return room

    def end_lesson(self, link: str, between: str) -> None:
        row = Room.objects.get(link=link)
        lesson = lessons.load(row)
        for command in (EndLesson(), SetBetween(between)):
            lesson = carry_out(lesson, command, "", 1_000)
        lessons.keep(row.pk, lesson)


class Rooms(WebTest, TestCase):
    def test_a_room_starts_without_an_account_and_its_key_is_kept_as_a_hash_only(self) -> None:
        room = self.start()
        self.assertRegex(room["link"], r"^[2-9a-z]{4}-[2-9a-z]{4}-[2-9a-z]{4}$")
        self.assertNotIn(room["owner_key"], str(Room.objects.values()))
        home = json.loads(self.tutor.get(f"/api/rooms/{room['link']}").content)
        self.assertEqual((home["title"], home["tutor"], home["lesson_open"]), ("Shadows", "Imani", True))
        self.assertEqual(home["boards"][0]["pages"], 1)

    def test_a_browser_that_lost_its_session_comes_back_by_the_key(self) -> None:
        room, other = self.start(), Client()
        self.assertEqual(other.get(f"/api/rooms/{room['link']}").status_code, 403)
        self.post(other, f"/api/rooms/{room['link']}/own", {"key": "a guess"}, 403)
        self.post(other, f"/api/rooms/{room['link']}/own", {"key": room["owner_key"]}, 200)
        self.assertEqual(other.get(f"/api/rooms/{room['link']}").status_code, 200)

    def test_an_account_claims_the_room_and_its_key_ends(self) -> None:
        room = self.start()
        self.post(self.tutor, f"/api/rooms/{room['link']}/claim", {}, 403)
        account = {"username": "imani", "password": "gnomon-at-noon", "name": "Imani A"}
        self.post(self.tutor, "/api/account", account, 201)
        self.post(self.tutor, f"/api/rooms/{room['link']}/claim", {}, 200)
        self.post(Client(), f"/api/rooms/{room['link']}/own", {"key": room["owner_key"]}, 403)
        again = Client()
        self.post(again, "/api/sign-in", {"username": "imani", "password": "gnomon-at-noon"}, 200)
        self.assertEqual(again.get(f"/api/rooms/{room['link']}").status_code, 200)

    def test_nobody_else_claims_a_room_or_changes_it(self) -> None:
        room, other = self.start(), Client()
        self.post(other, "/api/account", {"username": "elio", "password": "gnomon-at-noon"}, 201)
        self.post(other, f"/api/rooms/{room['link']}/claim", {}, 403)
        self.post(other, f"/api/rooms/{room['link']}/boards", {}, 403)
        patch = other.patch(f"/api/rooms/{room['link']}", "{}", content_type="application/json")
        self.assertEqual(patch.status_code, 403)

    def test_accounts_follow_django_s_rules(self) -> None:
        for password in ("short", "password"):
            problem = self.post(self.tutor, "/api/account", {"username": "noor", "password": password}, 400)
            self.assertIn("password", in_words(problem["problem"]).lower())
        self.post(self.tutor, "/api/account", {"username": "noor", "password": "gnomon-at-noon"}, 201)
        self.post(Client(), "/api/account", {"username": "noor", "password": "gnomon-at-noon"}, 400)
        self.post(Client(), "/api/sign-in", {"username": "noor", "password": "wrong"}, 403)

    def test_guessing_passwords_is_slowed(self) -> None:
        codes = {
            self.tutor.post(
                "/api/sign-in", '{"username":"a","password":"b"}', content_type="application/json"
            ).status_code
            for _ in range(12)
        }
        self.assertEqual(codes, {403, 429})

    def test_what_students_may_do_between_lessons_is_set_when_none_is_on(self) -> None:
        room = self.start()
        self.end_lesson(room["link"], "view")
        path = f"/api/rooms/{room['link']}"
        changed = json.loads(
            self.tutor.patch(path, '{"between": "write"}', content_type="application/json").content
        )
        self.assertEqual(changed["between"], "write")
        self.assertEqual(
            self.tutor.patch(path, '{"between": "party"}', content_type="application/json").status_code, 400
        )

    def test_requests_that_are_no_requests_get_a_sentence(self) -> None:
        for data in ("", "[]", '{"title": 5}', "\xff", '{"title": "  "}', json.dumps({"title": "x" * 500})):
            response = self.tutor.post("/api/rooms", data, content_type="application/json")
            self.assertEqual(response.status_code, 400)
            self.assertTrue(in_words(json.loads(response.content)["problem"]))


class Doors(WebTest, TestCase):
    def test_a_student_has_the_same_seat_after_a_reload_and_distinct_names(self) -> None:
        link = self.start()["link"]
        noor, other = Client(), Client()
        self.assertEqual(self.post(noor, f"/api/doors/student/{link}", {"name": "Noor"}, 200)["name"], "Noor")
        self.assertEqual(json.loads(noor.get(f"/api/doors/student/{link}").content)["name"], "Noor")
        self.assertEqual(
            self.post(other, f"/api/doors/student/{link}", {"name": "noor"}, 200)["name"], "noor 2"
        )
        self.assertEqual(
            self.post(noor, f"/api/doors/student/{link}", {"name": "Noor B"}, 200)["name"], "Noor B"
        )
        self.assertEqual(Seat.objects.filter(role="student").count(), 2)

    def test_an_unknown_link_and_a_bad_name_get_a_clear_answer(self) -> None:
        link = self.start()["link"]
        for door in ("student", "onlooker", "tutor", "window"):
            response = self.tutor.get(f"/api/doors/{door}/nope-nope-nope")
            self.assertEqual(response.status_code, 404)
            self.assertIn("no room", in_words(json.loads(response.content)["problem"]))
        for name in ("", "x" * 200, "\u202eroon"):
            self.assertTrue(self.post(Client(), f"/api/doors/student/{link}", {"name": name}, 400)["problem"])

    def test_the_onlookers_link_is_another_one(self) -> None:
        link = self.start()["link"]
        self.assertEqual(self.tutor.get(f"/api/doors/onlooker/{link}").status_code, 404)
        home = json.loads(self.tutor.get(f"/api/rooms/{link}").content)
        sign = self.post(Client(), f"/api/doors/onlooker/{home['onlooker_link']}", {"name": "Parent"}, 200)
        self.assertEqual(sign["name"], "Parent")
        self.assertEqual(Seat.objects.get(name="Parent").role, "onlooker")

    def test_tutor_and_student_can_sit_in_one_browser(self) -> None:
        link = self.start()["link"]
        self.post(self.tutor, f"/api/doors/student/{link}", {"name": "Noor"}, 200)
        self.assertEqual(self.tutor.get(f"/api/rooms/{link}").status_code, 200)


class Files(WebTest, TransactionTestCase):
    def test_what_the_server_writes_itself_is_in_the_browser_s_language(self) -> None:
        room = self.start()
        self.tutor.cookies["sunroom-language"] = "de"
        board = self.post(self.tutor, f"/api/rooms/{room['link']}/boards", {}, 201)["id"]
        self.assertEqual(Board.objects.get(uid=board).title, "Tafel 2")
        del self.tutor.cookies["sunroom-language"]
        packed = self.tutor.get(f"/boards/{board}/board.zip", headers={"Accept-Language": "xx, fr-CH;q=0.9"})
        with zipfile.ZipFile(io.BytesIO(packed.content)) as file:
            self.assertIn("Une planche enregistrée", file.read("README.txt").decode())

    def test_the_pdf_is_named_after_board_and_date(self) -> None:
        room = self.start("Shadows & sundials")
        response = self.tutor.get(f"/boards/{room['board']}/board.pdf")
        self.assertRegex(
            response["Content-Disposition"], r'attachment; filename="Shadows & sundials \d{4}-\d\d-\d\d.pdf"'
        )
        with pikepdf.open(io.BytesIO(response.content)) as pdf:
            self.assertEqual((str(pdf.Root.Lang), str(pdf.docinfo["/Title"])), ("en", "Shadows & sundials"))

    def test_the_picture_is_a_png(self) -> None:
        room = self.start()
        self.assertTrue(self.tutor.get(f"/boards/{room['board']}/picture.png").content.startswith(b"\x89PNG"))

    def test_only_people_of_the_room_see_its_boards(self) -> None:
        room, student = self.start(), Client()
        path = f"/boards/{room['board']}/board.pdf"
        self.assertEqual(student.get(path).status_code, 404)
        self.post(student, f"/api/doors/student/{room['link']}", {"name": "Noor"}, 200)
        self.assertEqual(student.get(path).status_code, 200)
        self.end_lesson(room["link"], "closed")
        self.assertEqual(student.get(path).status_code, 404)
        self.assertEqual(self.tutor.get(path).status_code, 200)


class Security(WebTest, TestCase):
    def test_every_page_carries_the_policy_and_no_inline_script(self) -> None:
        response = self.tutor.get("/")
        self.assertEqual(response["Content-Security-Policy"], POLICY)
        self.assertNotIn("unsafe", POLICY)
        self.assertNotRegex(response.content.decode(), r"<script(?![^>]*src=)|<style|style=|onload=")

    def test_the_page_for_when_the_server_is_away_is_whole_in_itself_and_in_the_browser_s_language(
        self,
    ) -> None:
        response = self.tutor.get("/waiting", headers={"Accept-Language": "de-AT"})
        page = response.content.decode()
        self.assertIn("Der Server antwortet nicht", page)
        self.assertNotRegex(page, r"<script|src=|<link")
        self.assertIn("default-src 'none'", response["Content-Security-Policy"])
        self.assertEqual(self.tutor.get("/waiting.js")["Content-Type"], "text/javascript")

    def test_a_request_without_the_csrf_token_is_refused(self) -> None:
        strict = Client(enforce_csrf_checks=True)
        response = strict.post("/api/rooms", '{"title": "Shadows"}', content_type="application/json")
        self.assertEqual(response.status_code, 403)

    def test_the_demo_s_sign_in_does_not_exist_outside_the_demo(self) -> None:
        self.assertEqual(self.tutor.get("/demo/tutor").status_code, 404)
