"""`./run invite`: print a link by which one person may make an account (SUNROOM_ACCOUNTS=invited)."""

from __future__ import annotations

import sys

import django

django.setup()

from sunroom.rooms.accounts import INVITATION_GOOD_FOR, invite  # noqa: E402


def main() -> int:
    print(f"/?invitation={invite()}")
    print(
        f"Put your server's address before it. It is good once, for {INVITATION_GOOD_FOR.days} days.",
        file=sys.stderr,
    )
    return 0


if __name__ == "__main__":
    sys.exit(main())
