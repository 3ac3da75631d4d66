"""Start the server: `python -m sunroom.config.serve --port 8000`."""

from __future__ import annotations

import argparse
import contextlib
import errno
import gc
import os
import signal
import socket
import sys
import warnings
from typing import Any

#: How long a thread may go on while the loop waits for its turn.
SWITCH_S = 0.0002
#: How far the server steps forward (niceness) where it may: its turns are short, and a whole room waits for each.
FORWARD = -10


def server_options() -> dict[str, Any]:
    """How uvicorn runs the application, in real use and in tests; needs Django's settings."""
    from django.conf import settings

    from sunroom.live.wire.pace import MAX_MESSAGE

    return {
        "ws": "websockets-sansio",
        "ws_per_message_deflate": False,  # strokes are dense already, and a class shares two cores
        "ws_max_size": MAX_MESSAGE,
        "lifespan": "on",
        # Nothing is believed from a header unless it comes from a web server that is named in the settings.
        "proxy_headers": bool(settings.PROXIES),
        "forwarded_allow_ips": settings.PROXIES,
    }


def main() -> int:
    """Serve until interrupted; 2 with a sentence when the port cannot be had."""
    parser = argparse.ArgumentParser(prog="run serve")
    parser.add_argument("--host", default="127.0.0.1")
    parser.add_argument("--port", type=int, default=8000)
    parser.add_argument(
        "--check-port", action="store_true", help="only say whether the port and the data folder are free"
    )
    options = parser.parse_args()
    problem = port_problem(options.host, options.port)
    if problem:
        print(problem, file=sys.stderr)
        return 2
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "sunroom.config.settings")
    from django.conf import settings

    from sunroom.config.folder import FolderLock, FolderTakenError

    folder = FolderLock(settings.DATA_DIR)
    try:
        folder.hold()
    except FolderTakenError as error:
        print(error, file=sys.stderr)
        return 2
    if options.check_port:
        return 0

    # Whitenoise hands files over in a synchronous stream, on which Django remarks at every file.
    warnings.filterwarnings("ignore", message="StreamingHttpResponse must consume synchronous")
    import uvicorn

    from sunroom import resources
    from sunroom.live.work import planning, workers

    step_forward()
    # Uvicorn raises the signal again once it has stopped; the workers are ended after that.
    signal.signal(signal.SIGTERM, lambda *_: sys.exit(0))
    # What is done in a thread beside the loop must not make it wait for long.
    sys.setswitchinterval(SWITCH_S)
    # The collector of circles stands everything still while it looks at all there is: to that it comes seldom, and does
    # not look again at what was there from the start. What is new it looks at often, which takes no time: circles of
    # requests hold their bodies.
    gc.collect()
    gc.freeze()
    gc.set_threshold(2_000, 20, 100)
    workers.start()
    planning.start()
    # The large face of signs takes a second to read: now, while the workers start, and not in a lesson.
    resources.typesetter().choose("→")
    try:
        uvicorn.run(
            "sunroom.config.asgi:application",
            host=options.host,
            port=options.port,
            log_level="warning",
            timeout_graceful_shutdown=3,
            **server_options(),
        )
    finally:
        planning.stop()
        workers.stop()
    return 0


def step_forward() -> None:
    """Have turns before others on a busy machine; only some may (root, or a service that is set up so)."""
    with contextlib.suppress(PermissionError):
        os.nice(FORWARD)


def port_problem(host: str, port: int) -> str:
    """Why the port cannot be listened on, as a sentence; "" when it can."""
    family = socket.AF_INET6 if ":" in host else socket.AF_INET
    with socket.socket(family) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            if error.errno == errno.EADDRINUSE:
                return f"Port {port} is taken. Choose another one with --port {port + 1}."
            return f"Port {port} on {host} cannot be used: {error.strerror}."
        except OverflowError:
            return f"{port} is not a port. Choose one between 1 and 65535."
    return ""


if __name__ == "__main__":
    sys.exit(main())
