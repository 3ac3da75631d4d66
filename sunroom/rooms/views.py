"""Signing in, rooms, owner keys, and the doors by which people come in."""

from __future__ import annotations

import msgspec
from django.contrib.auth import authenticate, get_user_model, login
from django.core.exceptions import ValidationError
from django.db import IntegrityError, transaction
from django.db.models import Q
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.core.sentences import said
from sunroom.rooms import accounts, services
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems, body
from sunroom.rooms.security import address_of, note


class RoomCard(msgspec.Struct):
    title: str
    link: str
    claimed: bool


class Me(msgspec.Struct):
    """Who this browser is: the account's name, and the rooms it owns."""

    name: str | None
    rooms: list[RoomCard]


class SignIn(msgspec.Struct):
    username: str
    password: str


class NewAccount(msgspec.Struct):
    """``mail`` is for a new password when the old one is forgotten."""

    username: str
    password: str
    name: str = ""
    mail: str = ""
    invitation: str = ""


class NewRoom(msgspec.Struct):
    title: str
    name: str = ""


class CreatedRoom(msgspec.Struct):
    """``owner_key`` is empty when the room belongs to the account."""

    link: str
    owner_key: str


class OwnerKey(msgspec.Struct):
    key: str


class DoorSign(msgspec.Struct):
    """What a door shows before a person is in; ``name`` is set when this browser has a seat.

    ``outside_call`` is where people hear each other when not here, "" for onlookers.
    """

    title: str
    tutor: str
    name: str | None
    outside_call: str


class Enter(msgspec.Struct):
    name: str


@require_GET
def me(request: HttpRequest) -> HttpResponse:
    return answer(me_of(request))


def me_of(request: HttpRequest) -> Me:
    owned = Q(pk__in=request.session.get("owned", ()), owner=None)
    if request.user.is_authenticated:
        owned |= Q(owner=request.user)
    cards = [
        RoomCard(room.title, room.link, room.owner_id is not None)
        for room in Room.objects.filter(owned, rehearses=None).order_by("id")
    ]
    user = request.user
    name = (user.get_full_name() or user.get_username()) if user.is_authenticated else None
    return Me(name, cards)


@require_POST
@answers_problems
def sign_in(request: HttpRequest) -> HttpResponse:
    allow(request, "sign-in", 300, 60)
    given = body(request, SignIn)
    # By account too: many addresses do not make more tries at one password.
    allow_for(f"sign-in:{given.username.casefold()[:60]}", 10, 60)
    user = None
    if len(given.password) <= accounts.MAX_PASSWORD:
        user = authenticate(request, username=given.username, password=given.password)
    if user is None:
        note("sign-in refused", address_of(request), account=given.username)
        raise Problem(403, said("that-name-and-password-do"))
    _login(request, user)
    return answer(me_of(request))


def _login(request: HttpRequest, user: object) -> None:
    """Sign in and keep this browser's keys and seats, which Django's flush would drop."""
    kept = {key: request.session[key] for key in ("owned", "seats") if key in request.session}
    login(request, user)  # type: ignore[arg-type]
    request.session.update(kept)
    request.session.save()
    accounts.signed_in(user, request.session.session_key or "", request.headers.get("User-Agent", ""))
    note("sign-in", address_of(request), account=request.user.get_username())


@require_POST
@answers_problems
def account(request: HttpRequest) -> HttpResponse:
    """Make an account with Django's rules for passwords, and sign in."""
    allow(request, "account", 60, 600)
    given = body(request, NewAccount)
    users = get_user_model()
    user = users(username=clean_name(given.username, "name", 60), email=given.mail.strip())
    user.first_name = clean_name(given.name) if given.name.strip() else ""
    try:
        accounts.check_password(given.password, user)
        user.full_clean(exclude=["password"])
        user.set_password(given.password)
        with transaction.atomic():
            accounts.check_may_make_account(given.invitation)
            user.save()
    except accounts.AccountError as error:
        raise Problem(400, error.sentence) from error
    except ValidationError as error:
        raise Problem(400, said("user-name-not-good")) from error
    except IntegrityError as error:
        raise Problem(400, said("somebody-has-that-user-name")) from error
    _login(request, user)
    return answer(me_of(request), 201)


@require_POST
@answers_problems
def rooms(request: HttpRequest) -> HttpResponse:
    """Start a room; the tutor's seat is taken under the given name."""
    allow(request, "room", 100, 600)
    given = body(request, NewRoom)
    name = given.name.strip() or (request.user.get_full_name() if request.user.is_authenticated else "")
    with transaction.atomic():
        room, key = services.create_room(given.title, request.user, request.session)
        services.take_seat(room, "tutor", name or "Tutor", request.session)
    return answer(CreatedRoom(room.link, key), 201)


@require_POST
@answers_problems
def own(request: HttpRequest, link: str) -> HttpResponse:
    """Let a browser in that kept the owner key but lost its session."""
    allow(request, "own", 60, 60)
    room = services.find_room(link, "tutor")
    if not services.own_by_key(room, body(request, OwnerKey).key, request.session):
        note("owner key refused", address_of(request), room=room.pk)
        raise Problem(403, said("this-key-does-not-open"))
    return answer(me_of(request))


@require_POST
@answers_problems
def claim(request: HttpRequest, link: str) -> HttpResponse:
    """Give a room started without an account to the account signed in."""
    room = services.find_room(link, "tutor")
    if not request.user.is_authenticated:
        raise Problem(403, said("sign-in-first-then-keep"))
    if not services.owns(room, request.user, request.session):
        raise Problem(403, said("only-the-person-who-started"))
    services.claim(room, request.user)
    return answer(me_of(request))


@require_http_methods(["GET", "POST"])
@answers_problems
def door(request: HttpRequest, door: str, link: str) -> HttpResponse:
    """What a door shows (GET), and coming in by it under a name (POST)."""
    by = services.door_of(door, link)
    if by == "tutor":
        raise services.NoRoom(link)
    # A school of 300 comes in by one address at nine o'clock; a room has the seats of one.
    allow(request, "door", 2_000, 60)
    room = services.find_room(link, by)
    if request.method == "POST":
        services.take_seat(room, by, body(request, Enter).name, request.session)
    seat = services.find_seat(room, by, request.session)
    outside = room.outside_call if door != "onlooker" else ""
    return answer(DoorSign(room.title, services.tutor_name(room), seat.name if seat else None, outside))
