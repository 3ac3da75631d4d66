"""Accounts: the browsers they are signed in on, passwords, recovery by mail, invitations, and their end."""

from __future__ import annotations

import secrets
from datetime import timedelta
from importlib import import_module
from typing import Any

from django.conf import settings
from django.contrib.auth import get_user_model
from django.contrib.auth.password_validation import validate_password
from django.contrib.auth.tokens import default_token_generator
from django.core.exceptions import ValidationError
from django.core.mail import send_mail
from django.db.models import Q
from django.utils.encoding import force_bytes
from django.utils.http import urlsafe_base64_decode, urlsafe_base64_encode
from django.utils.timezone import now

from sunroom.core.sentences import Sentence, said
from sunroom.rooms.models import Browser, Invitation
from sunroom.words import say

#: A browser that an account was not used on for so long is signed out.
IDLE = timedelta(days=30)
#: Its last use is written down no more often than this.
SEEN_EVERY = timedelta(minutes=10)
INVITATION_GOOD_FOR = timedelta(days=14)
#: Longer ones cost the server more than they are worth.
MAX_PASSWORD = 200

_SYSTEMS = ("iPad", "iPhone", "Android", "Windows", "Macintosh", "CrOS", "Linux")
_PROGRAMS = ("Firefox", "Edg", "Chrome", "Safari")
_CALLED = {"Edg": "Edge", "Macintosh": "Mac", "CrOS": "Chromebook"}


class AccountError(ValueError):
    """What cannot be done; the sentence says why."""

    def __init__(self, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence


def browser_name(agent: str) -> str:
    """What a browser is called in a list for its owner: “Firefox on Windows”."""
    program = next((name for name in _PROGRAMS if name in agent), "A browser")
    system = next((name for name in _SYSTEMS if name in agent), "")
    return _CALLED.get(program, program) + (f" on {_CALLED.get(system, system)}" if system else "")


def signed_in(user: Any, session_key: str, agent: str) -> None:
    """Write down that an account was signed in on a browser."""
    Browser.objects.update_or_create(
        session_key=session_key, defaults={"user": user, "name": browser_name(agent), "seen_at": now()}
    )


def still_signed_in(user: Any, session_key: str | None, agent: str = "") -> bool:
    """Whether a browser's sign-in still holds: it was not ended from another one, nor left idle for too long.

    ``agent`` is what the browser calls itself, "" when that is not known just now.
    """
    row = Browser.objects.filter(session_key=session_key).first()
    if row is None:
        # Its session would be gone if it had been ended: this one is from before browsers were listed.
        signed_in(user, session_key or "", agent)
        return True
    if row.user_id != user.pk or row.seen_at < now() - IDLE:
        return False
    if row.seen_at < now() - SEEN_EVERY:
        Browser.objects.filter(pk=row.pk).update(
            seen_at=now(), name=browser_name(agent) if agent else row.name
        )
    return True


def end_browsers(user: Any, which: int | None = None, keep: str | None = None) -> set[str]:
    """Sign an account out on one of its browsers, or on all but the session ``keep``; the sessions that ended."""
    rows = Browser.objects.filter(user=user)
    rows = rows.filter(pk=which) if which is not None else rows.exclude(session_key=keep)
    ended = set(rows.values_list("session_key", flat=True))
    store = import_module(settings.SESSION_ENGINE).SessionStore
    for key in ended:
        store(key).delete()
    rows.delete()
    return ended


def check_password(password: str, user: Any) -> None:
    """Hold a new password to the rules; raises AccountError."""
    if len(password) > MAX_PASSWORD:
        raise AccountError(said("a-password-has-at-most", password=MAX_PASSWORD))
    try:
        validate_password(password, user)
    except ValidationError as error:
        fault = error.error_list[0]
        key = f"{(fault.code or 'password-not-good').replace('_', '-')}"
        raise AccountError(said(key, least=(fault.params or {}).get("min_length", 0))) from error


def send_recovery(who: str, page: str, language: str) -> None:
    """Mail a link for a new password to whoever has this user name or mail address; nobody learns whether there is one.

    ``page`` is the absolute address of the page that takes the link's end; the mail is written in ``language``.
    """
    named = get_user_model().objects.filter(Q(username__iexact=who) | Q(email__iexact=who), is_active=True)
    for user in named.exclude(email="")[:3]:
        link = (
            f"{page}{urlsafe_base64_encode(force_bytes(user.pk))}/{default_token_generator.make_token(user)}"
        )
        send_mail(
            say("recovery-mail-subject", language=language),
            say("recovery-mail", {"name": user.get_username(), "link": link}, language) + "\n",
            None,
            [user.email],
        )


def user_of_recovery(uid: str, token: str) -> Any:
    """The account that a mailed link is for; raises AccountError when it is used, too old, or none."""
    try:
        user = get_user_model().objects.filter(pk=int(urlsafe_base64_decode(uid).decode())).first()
    except (ValueError, OverflowError, UnicodeDecodeError):
        user = None
    if user is None or not default_token_generator.check_token(user, token):
        raise AccountError(said("that-link-is-not-good"))
    return user


def invite() -> str:
    """The code of a new invitation."""
    Invitation.objects.filter(used=False, made_at__lt=now() - INVITATION_GOOD_FOR).delete()
    return Invitation.objects.create(code=secrets.token_urlsafe(18)).code


def check_may_make_account(invitation: str) -> None:
    """Raise AccountError when an account may not be made here by whoever brings ``invitation`` ("" for none)."""
    if settings.ACCOUNTS == "open":
        return
    if settings.ACCOUNTS == "nobody":
        raise AccountError(said("accounts-on-this-server-are"))
    good = Invitation.objects.filter(
        code=invitation, used=False, made_at__gte=now() - INVITATION_GOOD_FOR
    ).update(used=True)
    if not good:
        raise AccountError(said("accounts-on-this-server-are-2"))
