"""Boards as they are kept: the log of steps is the truth, snapshots of pages make opening fast."""

from __future__ import annotations

from django.conf import settings
from django.db import models

from sunroom.rooms.models import Room, Seat


class Board(models.Model):
    """A board of a room. ``order`` and ``snapshot_seq`` say which pages the snapshots show, and when."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="boards")
    uid = models.CharField(max_length=20, unique=True)
    title = models.CharField(max_length=80)
    created_at = models.DateTimeField(auto_now_add=True)
    changed_at = models.DateTimeField(auto_now=True)
    seq = models.PositiveBigIntegerField(default=0)
    page_count = models.PositiveIntegerField(default=0)
    snapshot_seq = models.PositiveBigIntegerField(default=0)
    #: What its log takes on the disk.
    log_bytes = models.PositiveBigIntegerField(default=0)
    order = models.JSONField(default=list)
    #: Its place among the boards of the room; of equals the older one is first.
    place = models.PositiveIntegerField(default=0)
    #: When it was put away; None for one that is in use.
    away_at = models.DateTimeField(null=True)


class LoggedStep(models.Model):
    """One answered step; ``body`` and ``inverse`` are bytes as in core.formats.kept, of ``version``."""

    board = models.ForeignKey(Board, on_delete=models.CASCADE, related_name="log")
    seq = models.PositiveBigIntegerField()
    step_id = models.CharField(max_length=32)
    seat = models.CharField(max_length=20)
    at_ms = models.PositiveBigIntegerField()
    how = models.CharField(max_length=4)
    of_seq = models.PositiveBigIntegerField(default=0)
    version = models.PositiveSmallIntegerField(default=1)
    body = models.BinaryField()
    inverse = models.BinaryField()

    class Meta:
        constraints = (
            models.UniqueConstraint(fields=("board", "seq"), name="one_step_a_number"),
            models.UniqueConstraint(fields=("board", "step_id"), name="no_step_twice"),
        )


class PageSnapshot(models.Model):
    """A page as it was after the board's ``snapshot_seq``; bytes as in core.formats.kept, of ``version``."""

    board = models.ForeignKey(Board, on_delete=models.CASCADE, related_name="snapshots")
    page_id = models.CharField(max_length=32)
    version = models.PositiveSmallIntegerField(default=1)
    head = models.BinaryField()
    items = models.BinaryField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("board", "page_id"), name="one_snapshot_a_page"),)


class PageReading(models.Model):
    """What the ink of a page was read as, so that it can be looked up: of each line its likeliest texts.

    ``mark`` tells which ink that was; see core.board.words.
    """

    board = models.ForeignKey(Board, on_delete=models.CASCADE, related_name="readings")
    page_id = models.CharField(max_length=32)
    mark = models.CharField(max_length=24)
    lines = models.JSONField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("board", "page_id"), name="one_reading_a_page"),)


class Picture(models.Model):
    """A picture that was brought into a room, cleaned; boards show it by its ``uid``.

    ``vector`` is a PDF of one page when it shows a page of a document: saved files have that.
    """

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="pictures")
    uid = models.CharField(max_length=20, unique=True)
    mime = models.CharField(max_length=20)
    width_px = models.PositiveIntegerField()
    height_px = models.PositiveIntegerField()
    data = models.BinaryField()
    vector = models.BinaryField(default=b"")
    #: What is written in it, as far as it told that itself.
    words = models.TextField(blank=True)
    created_at = models.DateTimeField(auto_now_add=True)


class Medium(models.Model):
    """A sound or a video of a room, by its ``uid``. Its size is 0 until it is wholly there.

    Cards play those that were brought in; one ``of`` a voice is a recording's (see Recording).
    """

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="media")
    uid = models.CharField(max_length=20, unique=True)
    of = models.CharField(max_length=5)
    mime = models.CharField(max_length=20)
    size = models.PositiveBigIntegerField()
    created_at = models.DateTimeField(auto_now_add=True)


class MediumPart(models.Model):
    """A part of a medium, each but the last of boards.media.PART_BYTES: so any place of it is read at once."""

    medium = models.ForeignKey(Medium, on_delete=models.CASCADE, related_name="parts")
    number = models.PositiveIntegerField()
    data = models.BinaryField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("medium", "number"), name="one_part_a_number"),)


class Recording(models.Model):
    """The tutor's voice, from ``begun_ms`` by the server's clock on.

    While it grows it lies in pieces; once it has ended, ``medium`` is the whole of it and the pieces go. ``turns`` say
    which page the tutor looked at: from so many ms on which board and page.
    """

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="recordings")
    uid = models.CharField(max_length=20, unique=True)
    seat = models.CharField(max_length=20)
    name = models.CharField(max_length=40)
    mime = models.CharField(max_length=20)
    begun_ms = models.PositiveBigIntegerField()
    length_ms = models.PositiveBigIntegerField(default=0)
    changed_at = models.DateTimeField(auto_now=True)
    ended = models.BooleanField(default=False)
    #: Students may listen to it.
    heard = models.BooleanField(default=False)
    turns = models.JSONField(default=list)
    medium = models.ForeignKey(Medium, null=True, on_delete=models.SET_NULL)


class RecordingPiece(models.Model):
    """A piece of a recording as it came; all of them in a row are a file."""

    recording = models.ForeignKey(Recording, on_delete=models.CASCADE, related_name="pieces")
    number = models.PositiveIntegerField()
    data = models.BinaryField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("recording", "number"), name="one_piece_a_number"),)


class Document(models.Model):
    """A PDF whose pages are being brought in; its file goes when that has ended (boards.repository).

    ``sizes`` are width and height of each page in points.
    """

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="documents")
    uid = models.CharField(max_length=20, unique=True)
    sizes = models.JSONField()
    data = models.BinaryField()
    created_at = models.DateTimeField(auto_now_add=True)


class HandedFile(models.Model):
    """A file that a student handed in for a homework (``task`` is its uid): a picture, or a PDF, also of a page."""

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="handed_files")
    seat = models.ForeignKey(Seat, on_delete=models.CASCADE, related_name="handed_files")
    task = models.CharField(max_length=20)
    uid = models.CharField(max_length=20, unique=True)
    kind = models.CharField(max_length=8)
    name = models.CharField(max_length=80)
    data = models.BinaryField()
    preview = models.BinaryField()
    at = models.DateTimeField(auto_now_add=True)


class ReadLink(models.Model):
    """A link by which anybody reads a board, as everybody sees it, until a moment; its ``token`` is the secret."""

    board = models.ForeignKey(Board, on_delete=models.CASCADE, related_name="read_links")
    token = models.CharField(max_length=44, unique=True)
    until = models.DateTimeField()
    created_at = models.DateTimeField(auto_now_add=True)


class Moment(models.Model):
    """A state of a board to come back to: what it was after step ``seq``; made by hand, or as a lesson began or ended."""

    board = models.ForeignKey(Board, on_delete=models.CASCADE, related_name="moments")
    uid = models.CharField(max_length=20, unique=True)
    kind = models.CharField(max_length=5)
    title = models.CharField(max_length=80, blank=True)
    seq = models.PositiveBigIntegerField()
    at = models.DateTimeField(auto_now_add=True)


class ShelfThing(models.Model):
    """Material that is kept to be used on any board: a page or some things of one (as a package), a picture, or a PDF.

    It belongs to an account, or to a room that was started without one. ``shared``: the school's, for all its tutors.
    """

    owner = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.CASCADE, related_name="shelf"
    )
    room = models.ForeignKey(Room, null=True, on_delete=models.CASCADE, related_name="shelf")
    uid = models.CharField(max_length=20, unique=True)
    kind = models.CharField(max_length=8)
    title = models.CharField(max_length=80)
    folder = models.CharField(max_length=60, blank=True)
    #: What is written in it, to be found by: without capitals and accents.
    words = models.TextField(blank=True)
    data = models.BinaryField()
    preview = models.BinaryField(default=b"")
    shared = models.BooleanField(default=False)
    created_at = models.DateTimeField(auto_now_add=True)
    #: When it was put away; None for one that is in use.
    away_at = models.DateTimeField(null=True)
