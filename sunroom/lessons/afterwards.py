"""What stays of a lesson for its people: homework and who has done it, and the mails that left the room."""

from __future__ import annotations

from datetime import datetime

from django.core.exceptions import ValidationError
from django.core.mail import EmailMessage
from django.core.validators import validate_email

from sunroom.core.sentences import Sentence, said
from sunroom.lessons.models import HandedIn, Homework, Posted
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.services import new_uid

MAX_HOMEWORK, MAX_TEXT = 60, 2_000
#: Mails that a room's outbox shows; older ones go.
MAX_POSTED = 200
MAX_MAIL, MAX_SUBJECT, MAX_LETTER = 254, 120, 3_000


class AfterwardsError(Exception):
    """It cannot be done; the sentence says why."""

    def __init__(self, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence


def set_homework(room: Room, text: str, due_at: datetime | None, board: str, page: str) -> Homework:
    """Give a homework to the room's people; raises AfterwardsError."""
    text = text.strip()
    if not text or len(text) > MAX_TEXT:
        raise AfterwardsError(said("homework-has-words", most=MAX_TEXT))
    if room.homework.count() >= MAX_HOMEWORK:
        raise AfterwardsError(said("homework-is-enough", most=MAX_HOMEWORK))
    return Homework.objects.create(
        room=room, uid=new_uid(), text=text, due_at=due_at, board=board[:20], page=page[:32]
    )


def take_homework_back(room: Room, uid: str) -> None:
    room.homework.filter(uid=uid).delete()


def hand_in(room: Room, uid: str, seat: Seat, done: bool) -> None:
    """A person says that a homework is done, or not after all; raises AfterwardsError."""
    task = room.homework.filter(uid=uid).first()
    if task is None:
        raise AfterwardsError(said("homework-has-gone"))
    if done:
        HandedIn.objects.get_or_create(homework=task, seat=seat)
    else:
        HandedIn.objects.filter(homework=task, seat=seat).delete()


def mail_address(given: str) -> str:
    """A mail address in plain form; raises AfterwardsError."""
    mail = given.strip()
    try:
        validate_email(mail)
    except ValidationError as error:
        raise AfterwardsError(said("mail-address-is-none", mail=mail[:60])) from error
    if len(mail) > MAX_MAIL:
        raise AfterwardsError(said("mail-address-is-none", mail=mail[:60]))
    return mail


def post(room: Room, to: list[str], subject: str, text: str, files: list[tuple[str, bytes, str]]) -> int:
    """Send a mail with files (name, bytes, type) to each address by itself; how many went. All stand in the outbox."""
    went = 0
    for address in to:
        mail = EmailMessage(subject, text, None, [address])
        for name, data, mime in files:
            mail.attach(name, data, mime)
        problem = ""
        try:
            mail.send()
            went += 1
        except OSError as error:  # smtplib's own errors are among them
            problem = str(error)[:200] or type(error).__name__
        Posted.objects.create(
            room=room,
            to=address,
            subject=subject,
            text=text,
            files=[name for name, _, _ in files],
            problem=problem,
        )
    kept = room.posted.order_by("-id").values_list("id", flat=True)[:MAX_POSTED]
    room.posted.exclude(id__in=list(kept)).delete()
    return went
