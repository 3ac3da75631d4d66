"""All addresses: the pages (one shell that the browser fills), the interface's requests, saved boards."""

from __future__ import annotations

from django.conf import settings
from django.urls import path

from sunroom.config import pages
from sunroom.live import devices, hands, search
from sunroom.live import views as live
from sunroom.rooms import views as rooms

urlpatterns = [
    path("", pages.shell),
    path("rooms/<slug:link>", pages.shell),
    path("rooms/<slug:link>/boards/<slug:board>", pages.shell),
    path("r/<slug:link>", pages.shell),
    path("watch/<slug:link>", pages.shell),
    path("pair", pages.shell),
    path("api/me", rooms.me),
    path("api/sign-in", rooms.sign_in),
    path("api/sign-out", rooms.sign_out),
    path("api/account", rooms.account),
    path("api/rooms", rooms.rooms),
    path("api/rooms/<slug:link>", live.room),
    path("api/rooms/<slug:link>/own", rooms.own),
    path("api/rooms/<slug:link>/claim", rooms.claim),
    path("api/rooms/<slug:link>/boards", live.boards),
    path("api/rooms/<slug:link>/packages", live.bring_in_board),
    path("api/rooms/<slug:link>/words", search.words),
    path("api/doors/<slug:door>/<slug:link>", rooms.door),
    path("api/doors/<slug:door>/<slug:link>/hand", hands.hand),
    path("api/doors/<slug:door>/<slug:link>/hand.inkml", hands.hand_inkml),
    path("api/devices", devices.pair),
    path("api/devices/<slug:code>.svg", devices.picture),
    path("api/devices/<slug:door>/<slug:link>/invite", devices.invite),
    path("api/devices/<slug:door>/<slug:link>/end", devices.end),
    path("api/boards/<slug:board>/pictures", live.bring_in),
    path("boards/<slug:board>/pictures/<slug:picture>", live.picture),
    path("boards/<slug:board>/board.pdf", live.board_pdf),
    path("boards/<slug:board>/board.zip", live.board_package),
    path("boards/<slug:board>/picture.png", live.board_picture),
]
if settings.DEMO:
    urlpatterns.append(path("demo/<slug:name>", pages.demo_person))
