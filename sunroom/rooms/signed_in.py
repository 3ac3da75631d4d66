"""Middleware: a sign-in that was ended on another browser, or left idle, is over at the next request."""

from __future__ import annotations

from collections.abc import Callable

from django.contrib.auth import logout
from django.http import HttpRequest, HttpResponse

from sunroom.rooms import accounts


class SignedIn:
    """Asks of every request by an account whether its browser is still signed in."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if not request.path.startswith("/static/") and request.user.is_authenticated:
            agent = request.headers.get("User-Agent", "")
            if not accounts.still_signed_in(request.user, request.session.session_key, agent):
                logout(request)
        return self._get_response(request)
