"""Seats, doors and second devices as they are kept."""

from __future__ import annotations

from datetime import timedelta

from django.contrib.sessions.backends.db import SessionStore
from django.test import TestCase
from django.utils.timezone import now

from sunroom.boards import models, store
from sunroom.boards.services import create_board
from sunroom.boards.traces import traces
from sunroom.core.board import InkItem, PageHead
from sunroom.core.board.steps import AddItems, AddPage, ChangeItems, MoveItems, RemoveItems, ReplaceItems
from sunroom.rooms import services
from sunroom.rooms.models import Pairing, Room, Seat
from tests.server.test_live import stroke


class NoUser:
    is_authenticated = False


class SeatTest(TestCase):
    def setUp(self) -> None:
        self.room = Room.objects.create(
            title="Shadows", link="abcd-efgh-jkmn", onlooker_link="nmkj-hgfe-dcba"
        )
        self.session = SessionStore()
        self.seat = services.take_seat(self.room, "student", "Noor", self.session)


class Pairings(SeatTest):
    def pair(self) -> SessionStore:
        tablet = SessionStore()
        services.pair_device(services.invite_device(self.seat).code, tablet)
        return tablet

    def test_a_paired_device_has_the_seat_and_is_known_as_one(self) -> None:
        tablet = self.pair()
        self.assertEqual(services.find_seat(self.room, "student", tablet), self.seat)
        self.assertTrue(services.pairing_of(self.seat, tablet))
        self.assertFalse(services.pairing_of(self.seat, self.session))

    def test_a_code_is_short_easy_to_say_and_never_one_that_is_out(self) -> None:
        codes = {services.invite_device(self.seat).code for _ in range(30)}
        self.assertEqual(len(codes), 30)
        for code in codes:
            self.assertEqual(len(code), services.PAIR_CODE_LENGTH)
            self.assertLessEqual(set(code), set(services.ALPHABET))

    def test_a_code_is_good_once_spaces_and_case_aside(self) -> None:
        code = services.invite_device(self.seat).code
        services.pair_device(f" {code[:3].upper()} {code[3:]} ", SessionStore())
        with self.assertRaises(services.BadCode):
            services.pair_device(code, SessionStore())

    def test_a_code_that_nobody_used_runs_out_and_a_pairing_does_not(self) -> None:
        code = services.invite_device(self.seat).code
        tablet = self.pair()
        Pairing.objects.update(invited_at=now() - services.PAIR_CODE_GOOD_FOR - timedelta(seconds=1))
        with self.assertRaises(services.BadCode):
            services.pair_device(code, SessionStore())
        self.assertIsNotNone(services.find_seat(self.room, "student", tablet))

    def test_ending_pairings_leaves_the_first_device_in_its_seat(self) -> None:
        tablets = [self.pair(), self.pair()]
        self.assertEqual(len(services.end_pairings(self.seat)), 2)
        for tablet in tablets:
            self.assertIsNone(services.find_seat(self.room, "student", tablet))
        self.assertEqual(services.find_seat(self.room, "student", self.session), self.seat)
        self.assertEqual(services.end_pairings(self.seat), set())

    def test_coming_in_by_name_ends_being_a_second_device(self) -> None:
        tablet = self.pair()
        services.end_pairings(self.seat)
        own = services.take_seat(self.room, "student", "Noor", tablet)
        self.assertNotEqual(own, self.seat)
        self.assertEqual(own.name, "Noor 2")
        self.assertEqual(services.find_seat(self.room, "student", tablet), own)

    def test_the_tutor_s_door_opens_for_a_paired_device_and_for_no_old_session(self) -> None:
        tutor = services.take_seat(self.room, "tutor", "Imani", SessionStore())
        old, tablet = SessionStore(), SessionStore()
        services.sit_down(tutor, old)
        self.assertIsNone(services.seat_at(self.room.link, "tutor", NoUser(), old))
        services.pair_device(services.invite_device(tutor).code, tablet)
        self.assertEqual(services.seat_at(self.room.link, "tutor", NoUser(), tablet), (self.room, tutor))
        self.assertFalse(services.owns(self.room, NoUser(), tablet))


class Roles(SeatTest):
    def test_a_role_changes_and_the_door_stays(self) -> None:
        services.set_role(self.seat.uid, "helper")
        seat = services.find_seat(self.room, "student", self.session)
        assert seat is not None
        self.assertEqual((seat.role, seat.door), ("helper", "student"))
        again = services.take_seat(self.room, "student", "Noor K.", self.session)
        self.assertEqual((again.pk, again.role, again.name), (self.seat.pk, "helper", "Noor K."))

    def test_the_owner_s_seat_is_found_whatever_its_role(self) -> None:
        tutor = services.tutor_seat(self.room)
        services.set_role(tutor.uid, "helper")
        services.set_role(self.seat.uid, "tutor")
        self.assertEqual(services.tutor_seat(self.room).uid, tutor.uid)
        self.assertEqual(services.tutor_name(self.room), "Noor")

    def test_admission_a_name_and_being_sent_away_are_kept(self) -> None:
        services.admit(self.seat.uid, False)
        services.rename(self.seat.uid, "Noor K.")
        services.send_away(self.seat.uid)
        seat = Seat.objects.get(pk=self.seat.pk)
        self.assertEqual((seat.admitted, seat.name, seat.sent_away), (False, "Noor K.", True))
        self.assertEqual(services.names(self.room.pk), {self.seat.uid: "Noor K."})


class Traces(SeatTest):
    """Who did what to a thing, out of the log."""

    def setUp(self) -> None:
        super().setUp()
        self.board: models.Board = create_board(self.room, "Shadows", 1_000)
        self.page = store.load(self.board.pk).order[0]
        self.seq = store.load(self.board.pk).seq

    def log(self, step: object, by: str, how: str = "do") -> None:
        self.seq += 1
        logged = store.Logged(self.seq, f"step-{self.seq:04d}", by, self.seq * 10, how, 0, step)  # type: ignore[arg-type]
        store.append(self.board.pk, [(logged, RemoveItems(self.page, ("none-here",)))])

    def what(self, item_id: str) -> list[tuple[str, str]]:
        return [(seat, word) for _, seat, word in traces(self.board.pk, self.page, item_id)]

    def test_each_kind_of_step_leaves_its_word(self) -> None:
        ink: InkItem = stroke("stroke-1")
        self.log(AddItems(self.page, (ink,)), "noor")
        self.log(MoveItems(self.page, ("stroke-1",), 1, 1), "imani")
        self.log(ReplaceItems(self.page, ("stroke-1",), (ink,)), "imani")
        self.log(ChangeItems(self.page, ()), "imani")
        self.log(RemoveItems(self.page, ("stroke-1",)), "imani")
        self.log(AddItems(self.page, (ink,)), "imani", "undo")
        self.assertEqual(
            self.what("stroke-1"),
            [
                ("noor", "made"),
                ("imani", "moved"),
                ("imani", "changed"),
                ("imani", "removed"),
                ("imani", "made-undo"),
            ],
        )

    def test_what_a_conversion_took_and_made_is_told_of_both(self) -> None:
        self.log(AddItems(self.page, (stroke("stroke-1"),)), "noor")
        self.log(ReplaceItems(self.page, ("stroke-1",), (stroke("stroke-2"),)), "imani")
        self.assertEqual(self.what("stroke-1")[-1], ("imani", "replaced"))
        self.assertEqual(self.what("stroke-2"), [("imani", "made")])

    def test_a_thing_that_came_with_a_copied_page_says_so_and_others_are_left_out(self) -> None:
        self.log(AddPage(PageHead("page-copy"), 1, (stroke("stroke-9"),)), "imani")
        self.assertEqual(
            [word for *_, word in traces(self.board.pk, "page-copy", "stroke-9")],
            ["made_with_page"],
        )
        self.assertEqual(self.what("nothing-1"), [])
        self.log(AddItems(self.page, (stroke("stroke-10"),)), "noor")
        self.assertEqual(self.what("stroke-1"), [], "a part of another id is not the id")
