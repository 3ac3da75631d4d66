"""iCalendar (RFC 5545): a planned lesson as an event, homework as things to do."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime, timedelta

from icalendar import Calendar, Event, Todo

from sunroom.core.lesson.state import Plan
from sunroom.lessons.models import Homework
from sunroom.rooms.models import Room

#: A lesson of which nobody said how long it is to be.
MINUTES = 60


def calendar_of(room: Room, plan: Plan, homework: Sequence[Homework], address: str, now: datetime) -> bytes:
    """The room's planned lesson and homework; ``address`` is where the lesson is."""
    calendar = Calendar()
    calendar.add("prodid", "-//Sun Room//EN")
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    calendar.add("x-wr-calname", room.title)
    if plan.at_ms is not None:
        event = Event()
        begins = datetime.fromtimestamp(plan.at_ms / 1000, UTC)
        event.add("uid", f"lesson-{room.link}-{plan.at_ms}@sunroom")
        event.add("dtstamp", now)
        event.add("dtstart", begins)
        event.add("dtend", begins + timedelta(minutes=plan.minutes or MINUTES))
        event.add("summary", f"{room.title}: {plan.title}" if plan.title else room.title)
        event.add("location", address)
        event.add("url", address)
        if plan.pages:
            event.add("description", "\n".join(plan.pages))
        calendar.add_component(event)
    for task in homework:
        todo = Todo()
        todo.add("uid", f"homework-{task.uid}@sunroom")
        todo.add("dtstamp", now)
        if task.due_at is not None:
            todo.add("due", task.due_at.astimezone(UTC))
        todo.add("summary", task.text.splitlines()[0][:120])
        todo.add("description", task.text)
        todo.add("url", address)
        calendar.add_component(todo)
    return bytes(calendar.to_ical())
