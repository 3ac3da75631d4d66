"""The one HTML page: a shell for the built frontend, which shows what its address asks for."""

from __future__ import annotations

import json
from functools import cache

from django.contrib.auth import login
from django.core.exceptions import DisallowedHost
from django.db import DatabaseError
from django.http import HttpRequest, HttpResponse, HttpResponseRedirect
from django.shortcuts import get_object_or_404, render
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_GET

from sunroom.boards.services import boards_of
from sunroom.resources import BUILT_FRONTEND
from sunroom.rooms import accounts, services
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.requests import language_of
from sunroom.words import say

#: The page that is shown without a server brings its styles along, and has nothing else.
WAITING_POLICY = "default-src 'none'; style-src 'unsafe-inline'; base-uri 'none'; frame-ancestors 'none'"


@cache
def _built() -> dict[str, str]:
    """Names of the built script and its styles, from Vite's manifest."""
    manifest = json.loads((BUILT_FRONTEND / ".vite" / "manifest.json").read_text())
    return {"script": manifest["src/main.ts"]["file"], "styles": manifest["style.css"]["file"]}


@require_GET
@ensure_csrf_cookie
def shell(request: HttpRequest, **_: str) -> HttpResponse:
    """The page for every address of the interface."""
    return render(request, "page.html", _built())


@require_GET
def waiting(request: HttpRequest) -> HttpResponse:
    """The page that a browser keeps and shows while the server does not answer: whole in itself, and it tries again."""
    language = language_of(request)
    words = {
        "language": language,
        "title": say("waiting-title", language=language),
        "kept": say("waiting-kept", language=language),
        "again": say("waiting-again", language=language),
        "now": say("waiting-now", language=language),
    }
    response = render(request, "waiting.html", words)
    response["Content-Security-Policy"] = WAITING_POLICY
    response["Cache-Control"] = "no-store"
    return response


@require_GET
def waiting_worker(request: HttpRequest) -> HttpResponse:
    """The script that shows it."""
    return render(request, "waiting.js", content_type="text/javascript")


@require_GET
def health(request: HttpRequest) -> HttpResponse:
    """Whether the server is well: 200 when it reads its database, 503 when not. For whoever watches over it."""
    try:
        Room.objects.exists()
    except DatabaseError:
        return HttpResponse("The database cannot be read.\n", status=503, content_type="text/plain")
    return HttpResponse("ok\n", content_type="text/plain")


def bad_request(request: HttpRequest, exception: Exception) -> HttpResponse:
    """A request that cannot be answered; when it is for the server's name, with what to set."""
    sentence = "This request could not be understood."
    if isinstance(exception, DisallowedHost):
        host = request.META.get("HTTP_HOST", "")[:200]
        sentence = (
            f"This Sun Room does not know itself by the name “{host}”. Whoever runs it sets the names that it "
            "may be reached by, for example: SUNROOM_HOSTS=board.school.example,localhost"
        )
    return HttpResponse(sentence + "\n", status=400, content_type="text/plain; charset=utf-8")


@require_GET
def demo_person(request: HttpRequest, name: str) -> HttpResponse:
    """Sit down as one of the sample lesson's people and go to the board; exists only in the demo."""
    room = Room.objects.order_by("id")[0]
    if name == "tutor":
        login(request, room.owner)
        request.session.save()
        agent = request.headers.get("User-Agent", "")
        accounts.signed_in(room.owner, request.session.session_key or "", agent)
        return HttpResponseRedirect(f"/rooms/{room.link}/boards/{boards_of(room.pk)[0].uid}")
    seat = get_object_or_404(Seat, room=room, role="student", name__iexact=name)
    services.sit_down(seat, request.session)
    return HttpResponseRedirect(f"/r/{room.link}")
