"""The server's way in: pages and requests to Django, /live to the rooms."""

from __future__ import annotations

import os

from channels.routing import ProtocolTypeRouter, URLRouter
from channels.sessions import CookieMiddleware, SessionMiddleware
from django.core.asgi import get_asgi_application
from django.urls import path

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "sunroom.config.settings")
django_application = get_asgi_application()

from channels.auth import AuthMiddleware  # noqa: E402  (needs the apps loaded)

from sunroom.live.consumer import LiveConsumer  # noqa: E402
from sunroom.live.origin import SameOrigin  # noqa: E402

application = ProtocolTypeRouter(
    {
        "http": django_application,
        "websocket": SameOrigin(
            CookieMiddleware(
                SessionMiddleware(
                    AuthMiddleware(URLRouter([path("live/<slug:door>/<slug:link>", LiveConsumer.as_asgi())]))
                )
            )
        ),
    }
)
