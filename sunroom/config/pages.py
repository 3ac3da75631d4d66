"""The one HTML page: a shell for the built frontend, which shows what its address asks for."""

from __future__ import annotations

import json
from functools import cache
from typing import Any

from django.contrib.auth import get_user_model, login
from django.http import HttpRequest, HttpResponse, HttpResponseRedirect
from django.shortcuts import render
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_GET

from sunroom.resources import BUILT_FRONTEND
from sunroom.rooms.models import Room


@cache
def _built() -> dict[str, Any]:
    """Names of the built script and styles, from Vite's manifest."""
    manifest = json.loads((BUILT_FRONTEND / ".vite" / "manifest.json").read_text())
    entry = manifest["src/main.ts"]
    return {"script": entry["file"], "styles": entry.get("css", [])}


@require_GET
@ensure_csrf_cookie
def shell(request: HttpRequest, **_: str) -> HttpResponse:
    """The page for every address of the interface."""
    return render(request, "page.html", _built())


@require_GET
def demo_tutor(request: HttpRequest) -> HttpResponse:
    """Sign the demo's tutor in and open the sample lesson; exists only in the demo."""
    user = get_user_model().objects.get(username="imani")
    login(request, user)
    room = Room.objects.filter(owner=user).order_by("id")[0]
    board = room.boards.order_by("id")[0]
    return HttpResponseRedirect(f"/rooms/{room.link}/boards/{board.uid}")
