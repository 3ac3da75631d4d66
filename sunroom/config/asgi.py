"""The server's way in: pages and requests to Django, /live to the rooms, and the end of the server."""

from __future__ import annotations

import asyncio
import logging
import os
from contextlib import suppress
from typing import Any

from channels.routing import ProtocolTypeRouter, URLRouter
from channels.sessions import CookieMiddleware, SessionMiddleware
from django.core.asgi import get_asgi_application
from django.urls import get_resolver, path

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "sunroom.config.settings")
django_application = get_asgi_application()

from sunroom.boards.repository import drop_old_documents  # noqa: E402
from sunroom.config.bodies import SmallBodies  # noqa: E402  (needs the apps loaded)
from sunroom.live.doors.rehearsals import forget_all  # noqa: E402
from sunroom.live.line.consumer import LiveConsumer  # noqa: E402
from sunroom.live.room.registry import registry  # noqa: E402
from sunroom.live.wire.origin import SameOrigin  # noqa: E402
from sunroom.live.work.watchdog import Watchdog  # noqa: E402
from sunroom.rooms.tidy import tidy  # noqa: E402

logger = logging.getLogger(__name__)
DAY_S = 24 * 3600.0


async def keep_tidy() -> None:
    """Clear away what time leaves behind, now and every day."""
    while True:
        try:
            await asyncio.to_thread(tidy)
            await asyncio.to_thread(drop_old_documents)
        except Exception:
            logger.exception("Tidying")
        await asyncio.sleep(DAY_S)


async def lifespan(scope: Any, receive: Any, send: Any) -> None:
    """The server's start and end: what the rooms have taken is written before it goes."""
    with suppress(asyncio.CancelledError):  # a server that is broken off says no goodbye
        await receive()
        await asyncio.to_thread(forget_all)  # rehearsals that ended with the last server
        _ = get_resolver().url_patterns  # loaded now, and not while the first person waits
        watchdog, tidying = Watchdog(), asyncio.create_task(keep_tidy())
        try:
            await send({"type": "lifespan.startup.complete"})
            await receive()
        finally:
            watchdog.stop()
            tidying.cancel()
        await registry().close_all()
        await send({"type": "lifespan.shutdown.complete"})


# Django's path knows views; an ASGI application in its place is channels' way.
lines = URLRouter([path("live/<slug:door>/<slug:link>", LiveConsumer.as_asgi())])  # type: ignore[list-item, arg-type]

application = ProtocolTypeRouter(
    {
        "http": SmallBodies(django_application),
        "lifespan": lifespan,
        "websocket": SameOrigin(CookieMiddleware(SessionMiddleware(lines))),
    }
)
