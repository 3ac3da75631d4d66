"""The tests: core on its own, the server's parts, and the real interface in a browser."""

import logging

# Refused requests are what many tests are about: they are no news in the log.
for name in ("django.request", "django.security", "sunroom.live.consumer"):
    logging.getLogger(name).setLevel(logging.ERROR)
