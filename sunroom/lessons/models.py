"""Lessons as they are kept: the newest one of a room is its state."""

from __future__ import annotations

from django.db import models

from sunroom.rooms.models import Room


class Lesson(models.Model):
    """One lesson; ``state`` is the core's Lesson as MessagePack."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="lessons")
    state = models.BinaryField()
    opened_at = models.DateTimeField(null=True)
    started_at = models.DateTimeField(null=True)
    ended_at = models.DateTimeField(null=True)
