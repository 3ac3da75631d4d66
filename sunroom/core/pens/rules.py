"""The one function that decides every action, from the widest rule to the narrowest.

Lesson, person, page, item: the narrowest that speaks wins, except that an onlooker and a lock always
refuse. Every verdict carries a reason that can be said to the person.
"""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.pens.facts import Actor, Facts, PageRule, Target
from sunroom.core.pens.kits import WITHOUT_PEN, Right, whole_kit

#: A stroke begun while it was allowed is kept when it ends within this time after pens went down.
GRACE_MS = 3_000

Action = Literal[
    "add_ink",
    "add_text",
    "add_note",
    "add_picture",
    "add_shape",
    "change",
    "remove",
    "convert",
    "lock",
    "add_page",
    "change_page",
    "remove_page",
    "point",
    "hand",
    "chat_all",
    "chat_tutor",
    "lead_view",
    "set_pens",
    "pass_pen",
    "set_rights",
    "set_role",
    "send_away",
    "set_between",
    "end_lesson",
]

#: The right in a kit that an action asks for; None: the role alone decides.
ACTIONS: dict[Action, Right | None] = {
    "add_ink": "write",
    "add_text": "text",
    "add_note": "note",
    "add_picture": "bring_in",
    "add_shape": "shape",
    "change": "move_own",
    "remove": "move_own",
    "convert": "convert",
    "add_page": "add_page",
    "change_page": "add_page",
    "remove_page": "add_page",
    "lock": None,
    "point": "point",
    "hand": None,
    "chat_all": "chat_all",
    "chat_tutor": "chat_tutor",
    "lead_view": None,
    "set_pens": None,
    "pass_pen": None,
    "set_rights": None,
    "set_role": None,
    "send_away": None,
    "set_between": None,
    "end_lesson": None,
}

#: What only the tutor side may do, and of that what only the tutor.
LEADING: frozenset[Action] = frozenset(
    {
        "lock",
        "lead_view",
        "set_pens",
        "pass_pen",
        "set_rights",
        "set_role",
        "send_away",
        "set_between",
        "end_lesson",
    }
)
TUTOR_ONLY: frozenset[Action] = frozenset({"set_role", "set_between", "end_lesson"})

#: Every reason and its sentence; the words in braces come with the verdict.
REASONS: dict[str, str] = {
    "allowed": "You can write.",
    "passed": "You have a pen.",
    "up": "Pens are up: everybody can write.",
    "grace": "Finished in time.",
    "onlooker": "You are looking on. Onlookers see the board and do not write.",
    "locked": "That is locked by the tutor.",
    "pens_down": "Pens are down. {writer} is writing. Put your hand up to ask for a pen.",
    "no_pen": "Some people have a pen just now. Put your hand up to ask for one.",
    "withheld": "Pens are up, but yours is put away for now. Put your hand up to ask for it.",
    "expired": "Your pen's time is over. Put your hand up to ask for more.",
    "page_tutor_side": "Only the tutor writes on this page.",
    "desk_of_another": "This desk belongs to somebody else.",
    "not_in_kit": "Your pen is not for that just now.",
    "no_chat": "The tutor has switched that off for now.",
    "not_yours": "That was made by somebody else, and your pen is for your own work.",
    "tutor_side_only": "That is for the tutor.",
    "tutor_only": "Only the tutor can do that.",
    "between_view": "There is no lesson on. Until the next one the board can be looked at.",
    "between_closed": "The room is closed until the next lesson.",
}


class Verdict(msgspec.Struct, frozen=True):
    """The answer: whether it is allowed, why (a code of ``REASONS``), and the sentence."""

    allowed: bool
    reason: str
    sentence: str


def decide(actor: Actor, action: Action, target: Target, facts: Facts, now_ms: int) -> Verdict:
    """Whether ``actor`` may do ``action`` on ``target`` at ``now_ms`` (the server's clock); never raises."""
    if actor.role == "onlooker":
        return _verdict(False, "onlooker", facts)
    if actor.tutor_side:
        if action in TUTOR_ONLY and actor.role != "tutor":
            return _verdict(False, "tutor_only", facts)
        if target.locked and actor.role != "tutor":
            return _verdict(False, "locked", facts)
        return _verdict(True, "allowed", facts)
    if action in LEADING:
        return _verdict(False, "tutor_side_only", facts)
    if target.locked:
        return _verdict(False, "locked", facts)
    if action == "hand":
        return _verdict(True, "allowed", facts)
    return _decide_student(actor, action, target, facts, now_ms)


class Standing(msgspec.Struct, frozen=True):
    """What a person may do on a page just now, for the interface to show; the server asks again each time.

    Attributes
    ----------
    allowed, on_others
        What may be done with own things, and with what others made.
    writing : Verdict
        Whether and why ink may be added.
    until_ms : int or None
        When a pen that was passed for minutes ends.
    """

    allowed: tuple[Action, ...]
    on_others: tuple[Action, ...]
    writing: Verdict
    until_ms: int | None = None


def standing(actor: Actor, page: PageRule, facts: Facts, now_ms: int) -> Standing:
    """All that ``actor`` may do on a page of this rule."""
    own, others = Target(page=page), Target(page=page, owners=frozenset({"somebody else"}))

    def allowed(target: Target) -> tuple[Action, ...]:
        return tuple(action for action in ACTIONS if decide(actor, action, target, facts, now_ms).allowed)

    pen = next((pen for pen in facts.passed if pen.seat == actor.seat), None)
    until_ms = pen.until_ms if pen and facts.mode == "passed" else None
    writing = decide(actor, "add_ink", own, facts, now_ms)
    return Standing(allowed(own), allowed(others), writing, until_ms)


def _decide_student(actor: Actor, action: Action, target: Target, facts: Facts, now_ms: int) -> Verdict:
    right = ACTIONS[action]
    if right in WITHOUT_PEN:
        allowed = right in facts.rights_of(actor.seat)
        return _verdict(allowed, "allowed" if allowed else "no_chat", facts)
    writing = _has_pen(actor.seat, facts, now_ms)
    if target.page == "tutor_side":
        writing = (False, "page_tutor_side")
    elif target.page == "open" and facts.open:
        writing = (True, "allowed")
    elif target.page == "desk":
        writing = (True, "allowed") if target.desk_of == actor.seat else (False, "desk_of_another")
    if not writing[0] and _in_grace(action, target, facts, now_ms):
        writing = (True, "grace")
    rights = whole_kit(facts.rights_of(actor.seat)) if writing[0] else frozenset[Right]()
    # A pointer can be given without a pen: a kit that holds it is heard even when pens are down.
    if action == "point" and "point" in dict(facts.kits).get(actor.seat, ()):
        return _verdict(True, "allowed", facts)
    if right not in rights:
        return _verdict(False, "not_in_kit" if writing[0] else writing[1], facts)
    others = target.owners - {actor.seat}
    if others and ("erase_others" if action in ("remove", "remove_page") else "change_others") not in rights:
        return _verdict(False, "not_yours", facts)
    return _verdict(True, writing[1], facts)


def _has_pen(seat: str, facts: Facts, now_ms: int) -> tuple[bool, str]:
    """Whether a student holds a pen by the lesson and the person, and the reason."""
    if not facts.open:
        if facts.between == "write":
            return True, "allowed"
        return False, f"between_{facts.between}"
    if facts.mode == "down":
        return False, "pens_down"
    pen = next((pen for pen in facts.passed if pen.seat == seat), None)
    in_time = pen is not None and (pen.until_ms is None or now_ms < pen.until_ms)
    if facts.mode == "up":
        return (False, "withheld") if seat in facts.withheld else (True, "up")
    if in_time:
        return True, "passed"
    return False, "no_pen" if pen is None else "expired"


def _in_grace(action: Action, target: Target, facts: Facts, now_ms: int) -> bool:
    return (
        action == "add_ink"
        and facts.open
        and facts.mode == "down"
        and target.page == "lesson"
        and target.begun_ms is not None
        and target.begun_ms < facts.down_at_ms
        and now_ms - facts.down_at_ms <= GRACE_MS
    )


def _verdict(allowed: bool, reason: str, facts: Facts) -> Verdict:
    return Verdict(allowed, reason, REASONS[reason].format(writer=facts.writer))
