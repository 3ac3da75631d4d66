"""What time leaves behind, cleared away: old sessions, unused codes, seats in which nobody ever sat."""

from __future__ import annotations

import logging
from datetime import timedelta

from django.contrib.sessions.models import Session
from django.utils.timezone import now

from sunroom.rooms.models import Browser, Invitation, Pairing, Seat
from sunroom.rooms.services import PAIR_CODE_GOOD_FOR

logger = logging.getLogger(__name__)

#: A seat that was taken at the door and never came in.
NEVER_CAME = timedelta(days=30)


def tidy() -> None:
    """Clear away all that nobody can use any more."""
    sessions, _ = Session.objects.filter(expire_date__lt=now()).delete()
    Pairing.objects.filter(used=False, invited_at__lt=now() - PAIR_CODE_GOOD_FOR).delete()
    Invitation.objects.filter(made_at__lt=now() - timedelta(days=365)).delete()
    live = Session.objects.values("session_key")
    Browser.objects.exclude(session_key__in=live).delete()
    seats, _ = Seat.objects.filter(
        door="student", seen_at=None, hand=None, created_at__lt=now() - NEVER_CAME
    ).delete()
    logger.info("Tidied: %d old sessions, %d seats in which nobody sat", sessions, seats)
