"""The tests: core on its own, the server's parts, and the real interface in a browser."""

from __future__ import annotations

import os

from hypothesis import HealthCheck, settings

#: How long a test waits for what has to come: more than the slowest machine takes.
WAIT_S = 90.0

# No machine's speed fails a test, and what passed once passes again: the same examples each time.
# SUNROOM_SEEK=1 looks for new ones instead.
settings.register_profile(
    "steady",
    deadline=None,
    derandomize=True,
    database=None,
    suppress_health_check=[HealthCheck.too_slow],
)
settings.register_profile("seek", settings.get_profile("steady"), derandomize=False, print_blob=True)
settings.load_profile("seek" if os.environ.get("SUNROOM_SEEK") else "steady")
