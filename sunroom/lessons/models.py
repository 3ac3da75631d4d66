"""Lessons as they are kept: the newest one of a room is its state."""

from __future__ import annotations

from django.db import models

from sunroom.rooms.models import Room, Seat


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


class Homework(models.Model):
    """What is to be done until ``due_at``; ``board`` and ``page`` are where, "" for nowhere in particular."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="homework")
    uid = models.CharField(max_length=20, unique=True)
    text = models.CharField(max_length=2000)
    due_at = models.DateTimeField(null=True)
    board = models.CharField(max_length=20, blank=True)
    page = models.CharField(max_length=32, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)


class HandedIn(models.Model):
    """A person has said that a homework is done."""

    homework = models.ForeignKey(Homework, on_delete=models.CASCADE, related_name="handed_in")
    seat = models.ForeignKey(Seat, on_delete=models.CASCADE, related_name="handed_in")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("homework", "seat"), name="handed_in_once"),)


class Posted(models.Model):
    """A mail as it left the room, for its outbox; ``files`` are the names of what went with it."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="posted")
    at = models.DateTimeField(auto_now_add=True)
    to = models.CharField(max_length=254)
    subject = models.CharField(max_length=200)
    text = models.CharField(max_length=4000)
    files = models.JSONField(default=list)
    #: Why it could not be sent; "" when it was.
    problem = models.CharField(max_length=200, blank=True)
