"""The websocket's door: only pages of this very server may open it."""

from __future__ import annotations

from typing import Any
from urllib.parse import urlsplit

from channels.security.websocket import WebsocketDenier
from django.conf import settings
from django.http.request import split_domain_port, validate_host


class SameOrigin:
    """ASGI middleware that refuses a websocket whose Origin is not the Host it asks for.

    A browser always sends Origin with a websocket, so one without it is refused as well.
    """

    def __init__(self, application: Any) -> None:
        self._application = application

    async def __call__(self, scope: Any, receive: Any, send: Any) -> Any:
        headers = {name: value.decode("latin-1") for name, value in scope.get("headers", ())}
        host, origin = headers.get(b"host", ""), headers.get(b"origin", "")
        known = validate_host(split_domain_port(host)[0], settings.ALLOWED_HOSTS)
        if known and origin and urlsplit(origin).netloc == host:
            return await self._application(scope, receive, send)
        return await WebsocketDenier()(scope, receive, send)
