"""Rooms and the seats in them."""

from __future__ import annotations

from django.conf import settings
from django.db import models


class Room(models.Model):
    """A tutor's lasting place with one link.

    It belongs to an account (``owner``), or to whoever has the key of which ``owner_key_hash`` is kept.
    """

    title = models.CharField(max_length=80)
    link = models.CharField(max_length=20, unique=True)
    onlooker_link = models.CharField(max_length=20, unique=True)
    owner = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, blank=True, on_delete=models.CASCADE, related_name="rooms"
    )
    owner_key_hash = models.CharField(max_length=64, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)


class Seat(models.Model):
    """A person's place in a room; the browser that holds it in its session sits in it."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="seats")
    uid = models.CharField(max_length=20, unique=True)
    name = models.CharField(max_length=40)
    role = models.CharField(max_length=10)
    #: Sent away by the tutor side: the seat stays theirs, but it lets nobody in.
    sent_away = models.BooleanField(default=False)
    created_at = models.DateTimeField(auto_now_add=True)
