"""Reading a request's JSON into a typed struct, answering in JSON, and errors as plain sentences."""

from __future__ import annotations

import functools
import hashlib
from collections.abc import Callable
from typing import TypeVar

import msgspec
from django.core.cache import cache
from django.http import HttpRequest, HttpResponse

from sunroom.core.sentences import Sentence, said
from sunroom.rooms.names import BadName
from sunroom.rooms.services import NoRoom
from sunroom.words import LANGUAGES

T = TypeVar("T")

#: Set by the browser (frontend/src/words/words.svelte.ts) when somebody chooses another language than its own.
LANGUAGE_COOKIE = "sunroom-language"

View = Callable[..., HttpResponse]


class Problem(Exception):
    """A request that cannot be done: the sentence is shown to the person."""

    def __init__(self, status: int, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence
        self.status = status


def body(request: HttpRequest, kind: type[T]) -> T:
    """The request's JSON as ``kind``; raises Problem when it is not."""
    try:
        return msgspec.json.decode(request.body, type=kind)
    except (msgspec.DecodeError, UnicodeDecodeError) as error:
        raise Problem(400, said("the-request-could-not-be", error=str(error))) from error


def answer(value: object, status: int = 200) -> HttpResponse:
    response = HttpResponse(msgspec.json.encode(value), status=status, content_type="application/json")
    response["Cache-Control"] = "no-store"
    return response


def language_of(request: HttpRequest) -> str:
    """The language of the interface in this browser, for what is written for it here."""
    chosen = request.COOKIES.get(LANGUAGE_COOKIE, "")
    if chosen in LANGUAGES:
        return chosen
    header = request.headers.get("Accept-Language", "")
    wanted = [part.split(";")[0].strip()[:2].lower() for part in header[:200].split(",")]
    return next((language for language in wanted if language in LANGUAGES), LANGUAGES[0])


def answers_problems(view: View) -> View:
    """Turn what a view raises on purpose into an answer with its sentence."""

    @functools.wraps(view)
    def wrapped(request: HttpRequest, *arguments: object, **names: object) -> HttpResponse:
        try:
            return view(request, *arguments, **names)
        except Problem as problem:
            return answer({"problem": problem.sentence}, problem.status)
        except BadName as problem:
            return answer({"problem": problem.sentence}, 400)
        except NoRoom as problem:
            return answer({"problem": problem.sentence}, 404)

    return wrapped


def allow(request: HttpRequest, what: str, times: int, seconds: int) -> None:
    """Count this address's tries of ``what``; raises Problem beyond ``times`` in ``seconds``."""
    allow_for(f"{what}:{request.META.get('REMOTE_ADDR', '')}", times, seconds)


def allow_for(whom: str, times: int, seconds: int) -> None:
    """As ``allow``, counted for anything that can be named: an account, a room."""
    key = f"tries:{hashlib.sha256(whom.encode()).hexdigest()}"
    cache.add(key, 0, seconds)
    try:
        tries = cache.incr(key)
    except ValueError:  # it ran out between the two lines
        return
    if tries > times:
        raise Problem(429, said("that-was-tried-too-often"))
