"""A sound or a video that plays for everybody together: one at a time, led by the tutor side."""

from __future__ import annotations

import math

from sunroom.core.board.items import CardItem
from sunroom.core.pens import Target
from sunroom.core.sentences import said
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.messages import Play, encode

#: Nothing that plays is longer.
MOST_S = 86_400.0


class Playing:
    """What plays in one live room; ``now`` is None when nothing does."""

    def __init__(self, inside: Inside) -> None:
        self._inside = inside
        self.now: Play | None = None

    def play(self, member: Member, message: Play) -> None:
        """Begin, go on, stand still, go to another place, or end; or refuse it with a reason."""
        verdict = self._inside.decide(member, "lead_view", Target())
        if not verdict.allowed:
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        if not message.item:
            return self._tell(None)
        board = self._inside.boards[member.board]
        page = board.board.pages.get(message.page)
        item = page.items.get(message.item) if page else None
        if page is None or not isinstance(item, CardItem) or not item.file:
            return self._inside.refuse(member, "", "gone", said("that-is-no-longer-on"))
        if page.head.hidden:
            return self._inside.refuse(member, "", "page_hidden", said("hidden-page-cannot-be-led"))
        at_s = min(max(message.at_s, 0.0), MOST_S) if math.isfinite(message.at_s) else 0.0
        self._tell(
            Play(
                page.head.id,
                item.id,
                message.going,
                at_s,
                board.uid,
                self._inside.now_ms(),
                member.actor.name,
            )
        )

    def left(self) -> None:
        """Nothing plays on without anybody who could end it."""
        if self.now and not any(member.actor.tutor_side for member in self._inside.members.values()):
            self._tell(None)

    def pages_hidden(self, board: str, hidden: frozenset[str]) -> None:
        if self.now and self.now.board == board and self.now.page in hidden:
            self._tell(None)

    def _tell(self, play: Play | None) -> None:
        self.now = play
        told = encode(play or Play("", ""))
        for member in self._inside.members.values():
            member.put(told)
