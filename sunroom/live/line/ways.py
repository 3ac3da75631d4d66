"""Servers that help two browsers to a way between them, as the settings name them."""

from __future__ import annotations

import base64
import hashlib
import hmac
import time

from django.conf import settings

from sunroom.live.wire.calls import IceServer

#: Credentials of a TURN server are good for so long: longer than any lesson.
GOOD_FOR_S = 12 * 3600


def ice_servers(seat: str) -> tuple[IceServer, ...]:
    """STUN and TURN for one person; on one network none is needed.

    TURN's credentials are short-lived, as coturn checks them with ``use-auth-secret``: the name is when they end, the
    password its HMAC-SHA1 under the shared secret (draft-uberti-behave-turn-rest-00).
    """
    found = []
    if settings.STUN:
        found.append(IceServer(settings.STUN))
    if settings.TURN and settings.TURN_SECRET:
        name = f"{int(time.time()) + GOOD_FOR_S}:{seat}"
        digest = hmac.new(settings.TURN_SECRET.encode(), name.encode(), hashlib.sha1).digest()
        found.append(IceServer(settings.TURN, name, base64.b64encode(digest).decode()))
    return tuple(found)
