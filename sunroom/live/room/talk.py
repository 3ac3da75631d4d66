"""What people say and show each other: chat, captions, signs, “look here”, following."""

from __future__ import annotations

from functools import partial

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.lesson import Said, check_said, hears
from sunroom.core.lesson.chat import ALL, MAX_CAPTION, TUTOR_SIDE
from sunroom.core.lesson.people import may_follow
from sunroom.core.pens import Target
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.lessons import repository as lessons
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.calls import Caption, Captioned
from sunroom.live.wire.messages import Along, Follow, Heard, Lead, React, Reacted, Say, View, Viewed, encode

NOWHERE = Lead("", Box(0, 0, 0, 0))


class Talk:
    """The chat and the looking of one live room; ``chat`` are the last lines that were said."""

    def __init__(self, inside: Inside, chat: list[Said]) -> None:
        self._inside = inside
        self.chat = chat
        #: The view that everyone is kept at.
        self.led: Lead | None = None
        self._leader = ""

    def lead(self, member: Member, message: Lead) -> None:
        """Bring everyone's view to a part of a page, once or until it is let go."""
        verdict = self._inside.decide(member, "lead_view", Target())
        if not verdict.allowed:
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        if not _on_a_board(message.box):
            return
        if message.page in self._inside.boards[member.board].hidden:
            return self._inside.refuse(member, "", "page_hidden", said("hidden-page-cannot-be-led"))
        led = msgspec.structs.replace(
            message, page=message.page[:32], board=member.board, name=member.actor.name
        )
        self.led = led if led.hold and led.page else None
        self._leader = member.actor.seat
        self._tell_lead(led)

    def left(self, member: Member) -> None:
        """Nobody is kept at a view of somebody who has gone."""
        if self.led and not self._inside.here(self._leader):
            self.led = None
            self._tell_lead(NOWHERE)

    def pages_hidden(self, board: str, hidden: frozenset[str]) -> None:
        """Nobody is kept at a view of a page that they no longer see."""
        if self.led and self.led.board == board and self.led.page in hidden:
            self.led = None
            self._tell_lead(NOWHERE)

    def _tell_lead(self, led: Lead) -> None:
        told = encode(led)
        for other in self._inside.members.values():
            if other.actor.seat != self._leader:
                other.put(told)

    def follow(self, member: Member, message: Follow) -> None:
        """Show a member from now on what somebody sees: the tutor side anybody, others the tutor side."""
        member.following = ""
        theirs = [m for m in self._inside.members.values() if m.actor.seat == message.seat]
        if not theirs or not may_follow(member.actor, theirs[0].actor):
            return
        member.following = message.seat
        for other in theirs:
            if other.view is not None:
                self._show(other, [member])

    def turned(self, member: Member, along: bool) -> None:
        """A person's devices look at the same page: the others go along, or this one does that has just come."""
        others = [
            other
            for other in self._inside.members.values()
            if (other.actor.seat, other.board) == (member.actor.seat, member.board)
            and other.pairing != member.pairing
        ]
        if not along:
            told = encode(Along(member.page))
            for other in others:
                other.put(told)
        elif member.pairing and others and others[0].page not in ("", member.page):
            member.put(encode(Along(others[0].page)))

    def view(self, member: Member, message: View) -> None:
        """Somebody sees another part of a page."""
        if _on_a_board(message.box):
            member.view = msgspec.structs.replace(message, page=message.page[:32])
            seat = member.actor.seat
            self._show(member, [m for m in self._inside.members.values() if m.following == seat])

    def _show(self, seen: Member, followers: list[Member]) -> None:
        if followers and seen.view:
            if seen.view.page in self._inside.boards[seen.board].hidden:
                followers = [follower for follower in followers if follower.actor.tutor_side]
            told = encode(Viewed(seen.actor.seat, seen.board, seen.view.page, seen.view.box))
            for follower in followers:
                follower.put(told)

    def react(self, member: Member, message: React) -> None:
        """Show a sign to everybody for a moment."""
        verdict = self._inside.decide(member, "react", Target())
        if not verdict.allowed:
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        told = encode(Reacted(member.actor.seat, message.kind))
        for other in self._inside.members.values():
            other.put(told)

    def caption(self, member: Member, message: Caption) -> None:
        """Show everybody what is being said; it is kept nowhere."""
        verdict = self._inside.decide(member, "caption", Target())
        if not verdict.allowed:
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        told = encode(Captioned(check_said(message.text, MAX_CAPTION)))
        for other in self._inside.members.values():
            other.put(told)

    def say(self, member: Member, message: Say) -> None:
        """Keep a line of the chat and show it to those whom it is for."""
        actor = member.actor
        action: Action = "chat_all" if message.to == ALL else "chat_tutor"
        verdict = self._inside.decide(member, action, Target())
        if not verdict.allowed:
            return self._inside.refuse(member, message.id, verdict.reason, verdict.sentence)
        if message.to not in (ALL, TUTOR_SIDE) and not actor.tutor_side:
            sentence = said("you-can-say-something-to")
            return self._inside.refuse(member, message.id, "tutor_side_only", sentence)
        try:
            text = check_said(message.text)
        except MalformedError as error:
            return self._inside.refuse(member, message.id, "malformed", error.sentence)
        line = Said(self._inside.now_ms(), actor.seat, actor.name, message.to[:20], text)
        self._inside.keeper.keep(self._inside.store.said, line, partial(self._said, line))

    def _said(self, line: Said) -> None:
        self.chat = [*self.chat[1 - lessons.CHAT_LINES :], line]
        told = encode(Heard(line))
        for member in self._inside.members.values():
            if self.shown(member, line):
                member.put(told)

    def shown(self, member: Member, line: Said) -> bool:
        return member.actor.role != "onlooker" and hears(member.actor, line)


def _on_a_board(box: Box) -> bool:
    return all(abs(side) <= MAX_COORDINATE for side in (box.x0, box.y0, box.x1, box.y1))
