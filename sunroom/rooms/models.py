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
    #: What is taught in: whose words ink is read as.
    language = models.CharField(max_length=2, default="en")
    #: Where people hear and see each other when not here: another program's call, "" for none.
    outside_call = models.CharField(max_length=400, blank=True)
    #: The room that is rehearsed here, with made-up students; such a room goes when the rehearsal ends.
    rehearses = models.ForeignKey("self", null=True, on_delete=models.CASCADE, related_name="rehearsals")
    created_at = models.DateTimeField(auto_now_add=True)


class Hand(models.Model):
    """How one person writes: the samples from which their ink is read better.

    It belongs to an account (``owner``), or to the browser whose session keeps its ``uid``.
    """

    uid = models.CharField(max_length=20, unique=True)
    owner = models.OneToOneField(
        settings.AUTH_USER_MODEL, null=True, blank=True, on_delete=models.CASCADE, related_name="hand"
    )
    #: Changes with every sample.
    version = models.PositiveIntegerField(default=0)


class HandSample(models.Model):
    """One character, or a line of several, as its person wrote it; ``strokes`` is MessagePack, a list of packed samples."""

    hand = models.ForeignKey(Hand, on_delete=models.CASCADE, related_name="samples")
    text = models.CharField(max_length=80)
    #: Learned from a corrected reading, not written on the practice page.
    taught = models.BooleanField(default=False)
    strokes = models.BinaryField()


class Seat(models.Model):
    """A person's place in a room; the browser that holds it in its session sits in it."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="seats")
    uid = models.CharField(max_length=20, unique=True)
    name = models.CharField(max_length=40)
    #: The door by which its person comes in: tutor, student, onlooker. The role may change, the door stays.
    door = models.CharField(max_length=10)
    role = models.CharField(max_length=10)
    #: Let in before (True), to knock whatever the door's rule (False), or as the door's rule says.
    admitted = models.BooleanField(null=True)
    #: Sent away by the tutor side: the seat stays theirs, but it lets nobody in.
    sent_away = models.BooleanField(default=False)
    #: The hand of its person, once they have written a sample.
    hand = models.ForeignKey(Hand, null=True, on_delete=models.SET_NULL, related_name="seats")
    #: Where its person wants to be sent boards; "" when nobody has said.
    mail = models.EmailField(blank=True)
    #: When its person last came in; none before the first time.
    seen_at = models.DateTimeField(null=True)
    created_at = models.DateTimeField(auto_now_add=True)


class Pairing(models.Model):
    """A second device in one seat: invited by a short code, then good until it is ended."""

    seat = models.ForeignKey(Seat, on_delete=models.CASCADE, related_name="pairings")
    code = models.CharField(max_length=8, unique=True)
    invited_at = models.DateTimeField(auto_now_add=True)
    used = models.BooleanField(default=False)


class Browser(models.Model):
    """A browser that an account is signed in on; ``name`` is a guess from what it says of itself."""

    user = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="browsers")
    session_key = models.CharField(max_length=40, unique=True)
    name = models.CharField(max_length=60)
    signed_in_at = models.DateTimeField(auto_now_add=True)
    seen_at = models.DateTimeField()


class Invitation(models.Model):
    """Lets one person make an account where these are by invitation."""

    code = models.CharField(max_length=40, unique=True)
    made_at = models.DateTimeField(auto_now_add=True)
    used = models.BooleanField(default=False)
