"""The call's signalling: who is in it, what is passed on, and what a forged client gets."""

from __future__ import annotations

import base64
import hashlib
import hmac
import json
from unittest import mock, skipUnless

from django.test import override_settings

from sunroom.core.lesson import PassPen, SendAway, SetCaller, SetPens, SetVoices
from sunroom.live.room import calling
from sunroom.live.room.calling import MAX_SIGNAL
from sunroom.live.wire.calls import Call, Caller, Callers, CallWays, Signal
from sunroom.live.wire.messages import Ping, Pong, Refused
from sunroom.live.work.media_server import MEDIA
from tests.browser.base import wait_for
from tests.call_servers import JANUS, NO_JANUS, WithJanus
from tests.server.client import Line, Web
from tests.server.test_out import OutTest

TUTOR, NOOR, ELIO = "call-of-tutor", "call-of-noor", "call-of-elio"


class Calling(OutTest):
    def call(self, line: Line, uid: str, **more: object) -> None:
        line.send(Call(uid, **more))  # type: ignore[arg-type]

    def seen(self, line: Line) -> dict[str, Caller]:
        """Who is in the call, as one browser was told last."""
        line.send(Ping(0.0))
        line.hear(Pong)
        # It goes out with a tick: on a busy machine a ping is answered before.
        told = next((m for m in reversed(line.heard) if isinstance(m, Callers)), None) or line.hear(Callers)
        return {caller.id: caller for caller in told.callers}

    def test_who_comes_and_goes_is_told_to_everybody_and_signals_go_in_the_senders_name(self) -> None:
        _, noor, seat = self.come()
        self.call(self.tutor, TUTOR, voice=True, face=True)
        self.assertEqual(self.tutor.hear(CallWays).servers, (), "none is needed on one network")
        self.call(noor, NOOR, trouble="no_face")
        noor.hear(CallWays)
        self.assertEqual(set(self.seen(self.tutor)), {TUTOR, NOOR})
        caller = self.seen(self.tutor)[NOOR]
        self.assertEqual(
            (caller.seat, caller.voice, caller.may_voice, caller.trouble), (seat, False, True, "no_face")
        )
        noor.send(Signal(TUTOR, "offer", "in another's name", by="call-of-nobody"))
        noor.send(Signal(TUTOR, "offer", "{}", by=NOOR))
        heard = self.tutor.hear(Signal)
        self.assertEqual((heard.by, heard.to, heard.data), (NOOR, TUTOR, "{}"))
        self.call(noor, NOOR, on=False)
        self.assertEqual(self.tutor.hear(Callers, lambda told: told.gone).gone, (NOOR,))
        self.call(noor, NOOR)
        self.seen(noor)
        self.seen(self.tutor)
        noor.close()
        told = self.tutor.hear(Callers)
        self.assertEqual(
            ({c.id for c in told.callers}, told.gone), ({TUTOR}, ()), "it may come back on another line"
        )

    @override_settings(MEDIA="ws://127.0.0.1:9/")
    def test_without_the_media_server_that_is_set_browsers_find_each_other_themselves(self) -> None:
        _, noor, _ = self.come()
        for line, uid in ((self.tutor, TUTOR), (noor, NOOR)):
            self.call(line, uid, voice=True)
            self.assertEqual(line.hear(CallWays).media, "")
        noor.send(Signal(TUTOR, "offer", "{}", by=NOOR))
        self.assertEqual(self.tutor.hear(Signal).by, NOOR)

    def test_signals_stay_in_the_call_and_are_bounded(self) -> None:
        _, noor, _ = self.come()
        _, elio, _ = self.come("Elio")
        self.call(self.tutor, TUTOR)
        self.call(noor, NOOR)
        self.seen(noor)
        elio.send(Signal(TUTOR, "offer", "from outside of the call", NOOR))
        noor.send(Signal(TUTOR, "offer", "x" * (MAX_SIGNAL["offer"] + 1), NOOR))
        noor.send(Signal(TUTOR, "candidate", "x" * (MAX_SIGNAL["candidate"] + 1), NOOR))
        noor.send(Signal("call-of-nobody", "offer", "to nobody", NOOR))
        noor.send(Signal(NOOR, "offer", "to itself", NOOR))
        other = Web(self.server.url)
        link = other.start_room("Elsewhere", "Saskia")
        stranger = other.line("tutor", link)
        stranger.welcome()
        self.call(stranger, "call-of-stranger")
        stranger.send(Signal(TUTOR, "offer", "from another room", "call-of-stranger"))
        stranger.send(Ping(1.0))
        stranger.hear(Pong)
        noor.send(Signal(TUTOR, "answer", "last", NOOR))
        self.assertEqual(self.tutor.hear(Signal).data, "last", "nothing before it was passed on")

    def test_a_place_is_kept_for_its_seat_and_taken_by_no_other(self) -> None:
        web, noor, _ = self.come()
        _, elio, _ = self.come("Elio")
        self.call(noor, NOOR)
        self.seen(noor)
        self.call(elio, NOOR)
        self.assertEqual(elio.hear(Refused).reason, "taken")
        again = self.line("student", web)
        again.welcome()
        self.call(again, NOOR, voice=True)
        again.hear(CallWays)
        self.assertTrue(self.seen(self.tutor)[NOOR].voice, "its line was lost, and it has come back")
        for uid in ("", "short", "x" * 40, "no good id"):
            self.call(elio, uid)
        self.call(elio, ELIO)
        self.call(elio, "another-id")
        self.seen(elio)
        self.assertEqual(set(self.seen(self.tutor)), {NOOR, "another-id"}, "one place for each browser")

    def test_what_they_may_follows_the_rule_book_at_once(self) -> None:
        _, noor, seat = self.come()
        self.call(noor, NOOR, voice=True, face=True)
        may = lambda caller: (caller.may_voice, caller.may_face)  # noqa: E731
        for command, expected in (
            (SetVoices("pens"), (False, True)), (PassPen(seat), (True, True)), (SetCaller(seat, muted=True), (False, True)),
            (SetCaller(seat, unseen=True), (True, False)), (SetCaller(seat), (True, True)),
        ):  # fmt: skip
            self.tell(command)
            wait_for(
                lambda expected=expected: may(self.seen(self.tutor)[NOOR]) == expected or None, str(command)
            )
        self.tell(SendAway(seat))
        self.assertEqual(self.seen(self.tutor), {})
        self.assertIn((NOOR,), [m.gone for m in self.tutor.heard if isinstance(m, Callers)])

    def test_in_a_larger_call_pens_decide_who_is_seen_and_a_full_one_says_so(self) -> None:
        _, noor, seat = self.come()
        _, elio, _ = self.come("Elio")
        with mock.patch.object(calling, "MAX_FACES", 1):
            self.call(self.tutor, TUTOR, face=True)
            self.call(noor, NOOR, face=True)
            self.assertEqual([c.may_face for c in self.seen(noor).values()], [True, False])
            self.tell(SetCaller(seat, called=True))
            wait_for(lambda: all(c.may_face for c in self.seen(noor).values()) or None, "both to be seen")
        with mock.patch.object(calling, "MAX_CALLERS", 2):
            self.call(elio, ELIO)
            self.assertEqual(elio.hear(Refused).reason, "call_full")

    def test_something_is_shown_beside_oneself_by_whoever_may_bring_it_in(self) -> None:
        _, noor, seat = self.come()
        self.call(noor, NOOR, face=True)
        self.call(noor, "noor-shows", face=True, shows=True)
        self.assertEqual(noor.hear(Refused).reason, "pens_down")
        self.tell(PassPen(seat))
        self.call(noor, "noor-shows", face=True, shows=True)
        seen = self.seen(noor)
        self.assertEqual({uid: (c.shows, c.may_voice, c.may_face) for uid, c in seen.items()}, {
            NOOR: (False, True, True), "noor-shows": (True, False, True),
        })  # fmt: skip
        self.call(self.tutor, TUTOR)
        self.seen(self.tutor)
        noor.send(Signal(TUTOR, "offer", "of a sheet of paper", "noor-shows"))
        self.assertEqual(self.tutor.hear(Signal).by, "noor-shows")
        self.tell(SetPens("down"))
        wait_for(lambda: not self.seen(self.tutor)["noor-shows"].may_face or None, "it to be shown no more")
        self.call(noor, "noor-shows", on=False, shows=True)
        self.seen(noor)
        self.assertEqual(set(self.seen(self.tutor)), {NOOR, TUTOR})

    def test_an_onlooker_is_told_nothing_of_the_call(self) -> None:
        web = Web(self.server.url)
        link = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))["onlooker_link"]
        web.enter(link, "Onlooker", "onlooker")
        parent = self.line("onlooker", web, link)
        parent.welcome()
        self.call(parent, "call-of-parent")
        self.assertEqual(parent.hear(Refused).reason, "onlooker")
        self.call(self.tutor, TUTOR)
        self.seen(self.tutor)
        parent.send(Ping(0.0))
        parent.hear(Pong)
        self.assertFalse([m for m in parent.heard if isinstance(m, Callers)])

    def test_helpers_on_the_way_have_credentials_that_end(self) -> None:
        with self.settings(
            STUN="stun:turn.example.org:3478", TURN="turn:turn.example.org:3478", TURN_SECRET="noon"
        ):
            self.call(self.tutor, TUTOR)
            stun, turn = self.tutor.hear(CallWays).servers
        self.assertEqual((stun.urls, stun.username), ("stun:turn.example.org:3478", ""))
        digest = hmac.new(b"noon", turn.username.encode(), hashlib.sha1).digest()
        self.assertEqual(turn.credential, base64.b64encode(digest).decode())


@skipUnless(JANUS, NO_JANUS)
class ByMediaServer(WithJanus, OutTest):
    """What forged browsers say to a media server, through the room."""

    def test_signals_that_are_none_end_nothing_and_nobody_speaks_as_another(self) -> None:
        _, noor, _ = self.come()
        for line, uid in ((self.tutor, TUTOR), (noor, NOOR)):
            line.send(Call(uid, voice=True))
            self.assertTrue(line.hear(CallWays).media)
        bad = (
            "",
            "null",
            "[" * 9_000,
            '{"type": "offer"}',
            '{"type": "offer", "sdp": "v=0"}',
            '{"candidate": 1}',
        )
        for data in bad:
            for kind in ("offer", "answer", "candidate"):
                for by, to in ((NOOR, MEDIA), (NOOR, TUTOR), (TUTOR, MEDIA)):
                    noor.send(Signal(to, kind, data, by=by))  # type: ignore[arg-type]
        elio = self.come("Elio")[1]
        elio.send(Call("call-of-elio", voice=True))
        media = elio.hear(CallWays).media
        self.assertTrue(media, "it goes on")
        noor.send(Call(NOOR, on=False))
        noor.send(Call(NOOR, voice=True))
        self.assertEqual(noor.hear(CallWays).media, media, "the same call")
