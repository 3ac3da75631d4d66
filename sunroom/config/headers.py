"""What browsers are told of every answer. The Content-Security-Policy: nothing but our own scripts, styles, fonts and pictures."""

from __future__ import annotations

from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

POLICY = "; ".join(
    [
        "default-src 'none'",
        "script-src 'self'",
        "style-src 'self'",
        "font-src 'self'",
        "img-src 'self' blob:",
        "media-src 'self'",
        "connect-src 'self'",
        "manifest-src 'self'",
        "worker-src 'self'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
    ]
)


#: What a page may use of the device: nothing it does not need.
PERMISSIONS = "camera=(self), display-capture=(self), microphone=(self), " + ", ".join(f"{feature}=()" for feature in (
    "accelerometer", "geolocation", "gyroscope", "magnetometer",
    "midi", "payment", "usb",
))  # fmt: skip


class ContentSecurityPolicy:
    """Middleware that puts the policy on every answer."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        response = self._get_response(request)
        # A file that is shown as a page of its own may have a stricter one.
        response.headers.setdefault("Content-Security-Policy", POLICY)
        response["Permissions-Policy"] = PERMISSIONS
        response["Cross-Origin-Resource-Policy"] = "same-origin"
        # Only https (or this very machine) can be isolated: elsewhere browsers remark on the header.
        if request.is_secure():
            response["Cross-Origin-Opener-Policy"] = "same-origin"
        return response
