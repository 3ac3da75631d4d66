"""The security log: who signed in, was refused, was removed, or changed a link; a line each, in a file of its own."""

from __future__ import annotations

import logging

from django.http import HttpRequest

_log = logging.getLogger("sunroom.security")


def address_of(request: HttpRequest) -> str:
    """The address that asks; that of a proxy's client only where the proxy is named in the settings."""
    return str(request.META.get("REMOTE_ADDR", ""))


def note(what: str, address: str, **facts: object) -> None:
    """Write down that something happened; ``facts`` are short and never a password, a key or a code."""
    said = " ".join(f"{name}={str(value)[:80]!r}" for name, value in facts.items())
    _log.info("%s from %s %s", what, address, said)
