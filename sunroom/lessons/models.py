"""Lessons as they are kept: the newest one of a room is its state."""

from __future__ import annotations

from django.db import models

from sunroom.rooms.models import Room


class Lesson(models.Model):
    """One lesson; ``state`` is the core's Lesson, bytes as in core.formats.kept, of ``version``."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="lessons")
    version = models.PositiveSmallIntegerField(default=1)
    state = models.BinaryField()
    opened_at = models.DateTimeField(null=True)
    started_at = models.DateTimeField(null=True)
    ended_at = models.DateTimeField(null=True)


class ChatLine(models.Model):
    """Something said in a room; ``to`` is "all", "tutor_side", or the seat of one person."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="chat")
    at_ms = models.PositiveBigIntegerField()
    seat = models.CharField(max_length=20)
    name = models.CharField(max_length=40)
    to = models.CharField(max_length=20)
    text = models.CharField(max_length=1000)


class RecordLine(models.Model):
    """A line of the room's record; see core.lesson.record.Entry."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="record")
    at_ms = models.PositiveBigIntegerField()
    seat = models.CharField(max_length=20)
    name = models.CharField(max_length=40)
    what = models.CharField(max_length=4)
    #: Key of the sentence and its values as JSON; lines of before have a whole sentence in the key's place.
    text = models.CharField(max_length=200, blank=True)
    values = models.CharField(max_length=1500, blank=True)
