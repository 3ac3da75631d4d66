"""An account's own page: names, password, browsers, its end; recovery by mail; and lines that end with a sign-in."""

from __future__ import annotations

from typing import Any

import msgspec
from asgiref.sync import async_to_sync
from django.contrib.auth import logout, update_session_auth_hash
from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from django.db import transaction
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_http_methods, require_POST

from sunroom.core.sentences import said
from sunroom.live.doors.rooms import rooms_gone
from sunroom.live.room.registry import registry
from sunroom.rooms import accounts, views
from sunroom.rooms.models import Browser, Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems, body, language_of
from sunroom.rooms.security import address_of, note


class SignedInBrowser(msgspec.Struct):
    """``seen_ms``: when it was last used, to ten minutes; ``this``: the one that asks."""

    id: int
    name: str
    seen_ms: int
    this: bool


class AccountPage(msgspec.Struct):
    """All that an account's page shows to its owner."""

    username: str
    name: str
    mail: str
    rooms: int
    browsers: list[SignedInBrowser]


class ChangeAccount(msgspec.Struct):
    """What is given is changed."""

    name: str | None = None
    mail: str | None = None


class NewPassword(msgspec.Struct):
    old: str
    new: str


class EndBrowser(msgspec.Struct):
    """Which browser to sign out; none for all others."""

    id: int | None = None


class Forgot(msgspec.Struct):
    """A user name or a mail address."""

    who: str


class Reset(msgspec.Struct):
    """What a mailed link says, and the new password."""

    uid: str
    token: str
    password: str


class DeleteAccount(msgspec.Struct):
    password: str


@require_http_methods(["GET", "POST", "PATCH", "DELETE"])
@answers_problems
def account(request: HttpRequest) -> HttpResponse:
    """Look at the account that is signed in, change it, delete it; or (POST) make a new one."""
    if request.method == "POST":
        return views.account(request)
    user = _user(request)
    if request.method == "PATCH":
        wanted = body(request, ChangeAccount)
        if wanted.name is not None:
            user.first_name = clean_name(wanted.name) if wanted.name.strip() else ""
        if wanted.mail is not None:
            user.email = _mail(wanted.mail)
        user.save(update_fields=["first_name", "email"])
    if request.method == "DELETE":
        return _delete(request, user)
    return answer(_page(request, user))


def _page(request: HttpRequest, user: Any) -> AccountPage:
    key = request.session.session_key
    browsers = [
        SignedInBrowser(row.pk, row.name, int(row.seen_at.timestamp() * 1000), row.session_key == key)
        for row in Browser.objects.filter(user=user).order_by("-seen_at")
    ]
    rooms = Room.objects.filter(owner=user).count()
    return AccountPage(user.get_username(), user.first_name, user.email, rooms, browsers)


def _user(request: HttpRequest) -> Any:
    if not request.user.is_authenticated:
        raise Problem(403, said("sign-in-first"))
    return request.user


def _mail(given: str) -> str:
    mail = given.strip()
    if mail:
        try:
            validate_email(mail)
        except ValidationError as error:
            raise Problem(400, said("that-is-no-mail-address")) from error
    return mail


def _sure(request: HttpRequest, user: Any, password: str) -> None:
    """Whoever sits at a browser that was left open does not know the password."""
    allow_for(f"password:{user.pk}", 10, 60)
    if len(password) > accounts.MAX_PASSWORD or not user.check_password(password):
        note("password refused", address_of(request), account=user.get_username())
        raise Problem(403, said("that-is-not-the-password"))


def _delete(request: HttpRequest, user: Any) -> HttpResponse:
    """Delete an account with its rooms, their boards and people, and its hand."""
    _sure(request, user, body(request, DeleteAccount).password)
    rooms = list(Room.objects.filter(owner=user).values_list("pk", flat=True))
    sessions = accounts.end_browsers(user)
    note("account deleted", address_of(request), account=user.get_username(), rooms=len(rooms))
    async_to_sync(rooms_gone)(rooms)
    with transaction.atomic():
        user.delete()
    logout(request)
    _end_lines(sessions)
    return answer(views.me_of(request))


@require_POST
@answers_problems
def sign_out(request: HttpRequest) -> HttpResponse:
    """Sign this browser out; its lines end at once."""
    key = request.session.session_key
    Browser.objects.filter(session_key=key).delete()
    logout(request)
    _end_lines({key} if key else set())
    return answer(views.me_of(request))


@require_POST
@answers_problems
def password(request: HttpRequest) -> HttpResponse:
    """Another password; all other browsers are signed out."""
    user, wanted = _user(request), body(request, NewPassword)
    _sure(request, user, wanted.old)
    _set_password(request, user, wanted.new)
    key = request.session.session_key
    update_session_auth_hash(request, user)
    request.session.save()
    Browser.objects.filter(session_key=key).update(session_key=request.session.session_key)
    _end_lines(accounts.end_browsers(user, keep=request.session.session_key))
    return answer(_page(request, user))


def _set_password(request: HttpRequest, user: Any, new: str) -> None:
    try:
        accounts.check_password(new, user)
    except accounts.AccountError as error:
        raise Problem(400, error.sentence) from error
    user.set_password(new)
    user.save(update_fields=["password"])
    note("password changed", address_of(request), account=user.get_username())


@require_POST
@answers_problems
def browsers(request: HttpRequest) -> HttpResponse:
    """Sign another browser out, or all others."""
    user, which = _user(request), body(request, EndBrowser).id
    ended = accounts.end_browsers(user, which, keep=request.session.session_key)
    note("browsers signed out", address_of(request), account=user.get_username(), count=len(ended))
    _end_lines(ended)
    if request.session.session_key in ended:
        logout(request)
        return answer(views.me_of(request))
    return answer(_page(request, user))


@require_POST
@answers_problems
def forgot(request: HttpRequest) -> HttpResponse:
    """Mail a link for a new password; the answer is the same whether or not there is such an account."""
    allow(request, "forgot", 20, 600)
    who = body(request, Forgot).who.strip()[:254]
    allow_for(f"forgot:{who.casefold()}", 3, 600)
    note("recovery asked", address_of(request), account=who)
    accounts.send_recovery(who, request.build_absolute_uri("/recover/"), language_of(request))
    return answer({})


@require_POST
@answers_problems
def reset(request: HttpRequest) -> HttpResponse:
    """Set a new password by a mailed link; the account is signed out everywhere."""
    allow(request, "reset", 20, 600)
    wanted = body(request, Reset)
    try:
        user = accounts.user_of_recovery(wanted.uid, wanted.token)
    except accounts.AccountError as error:
        raise Problem(403, error.sentence) from error
    _set_password(request, user, wanted.password)
    _end_lines(accounts.end_browsers(user))
    return answer({})


def _end_lines(sessions: set[str]) -> None:
    async_to_sync(_signed_out)(sessions)


async def _signed_out(sessions: set[str]) -> None:
    registry().signed_out(sessions)
