"""All addresses: the pages (one shell that the browser fills), the interface's requests, saved boards."""

from __future__ import annotations

from django.conf import settings
from django.urls import path

from sunroom.config import pages
from sunroom.live.doors import accounts, boards, devices, documents, hands, home, pictures, search, take_away
from sunroom.live.doors import rooms as whole_rooms
from sunroom.rooms import views as rooms

urlpatterns = [
    path("", pages.shell),
    path("rooms/<slug:link>", pages.shell),
    path("rooms/<slug:link>/boards/<slug:board>", pages.shell),
    path("r/<slug:link>", pages.shell),
    path("watch/<slug:link>", pages.shell),
    path("pair", pages.shell),
    path("account", pages.shell),
    path("recover/<slug:uid>/<slug:token>", pages.shell),
    path("health", pages.health),
    path("api/me", rooms.me),
    path("api/sign-in", rooms.sign_in),
    path("api/sign-out", accounts.sign_out),
    path("api/account", accounts.account),
    path("api/account/password", accounts.password),
    path("api/account/browsers", accounts.browsers),
    path("api/account/forgot", accounts.forgot),
    path("api/account/reset", accounts.reset),
    path("api/rooms", rooms.rooms),
    path("api/rooms/<slug:link>", home.room),
    path("api/rooms/<slug:link>/attendance.csv", home.attendance),
    path("api/rooms/<slug:link>/own", rooms.own),
    path("api/rooms/<slug:link>/links", whole_rooms.links),
    path("api/rooms/<slug:link>/all", whole_rooms.delete),
    path("api/rooms/<slug:link>/boards/<slug:board>", boards.board),
    path("api/rooms/<slug:link>/boards/<slug:board>/copy", boards.copy),
    path("api/rooms/<slug:link>/boards/<slug:board>/pages/<slug:page>", boards.bring_page),
    path("api/whole-rooms", whole_rooms.bring_in),
    path("rooms/<slug:link>/room.zip", whole_rooms.package),
    path("api/rooms/<slug:link>/claim", rooms.claim),
    path("api/rooms/<slug:link>/boards", boards.boards),
    path("api/rooms/<slug:link>/packages", boards.bring_in_board),
    path("api/rooms/<slug:link>/words", search.words),
    path("api/doors/<slug:door>/<slug:link>", rooms.door),
    path("api/doors/<slug:door>/<slug:link>/hand", hands.hand),
    path("api/doors/<slug:door>/<slug:link>/hand.inkml", hands.hand_inkml),
    path("api/doors/<slug:door>/<slug:link>/link.svg", devices.link_picture),
    path("api/devices", devices.pair),
    path("api/devices/invited", devices.invited),
    path("api/devices/<slug:code>.svg", devices.picture),
    path("api/devices/<slug:door>/<slug:link>/invite", devices.invite),
    path("api/devices/<slug:door>/<slug:link>/end", devices.end),
    path("api/boards/<slug:board>/pictures", pictures.bring_in),
    path("api/boards/<slug:board>/pictures/<slug:picture>/sheet", pictures.sheet),
    path("api/boards/<slug:board>/pictures/<slug:picture>/flat", pictures.flat),
    path("api/boards/<slug:board>/pictures/<slug:picture>/ink", pictures.ink),
    path("api/boards/<slug:board>/things", documents.open_things),
    path("api/boards/<slug:board>/documents", documents.open_document),
    path("api/boards/<slug:board>/documents/<slug:document>", documents.close_document),
    path("api/boards/<slug:board>/documents/<slug:document>/<int:number>.png", documents.thumb),
    path("api/boards/<slug:board>/documents/<slug:document>/<int:number>", documents.bring_in),
    path("boards/<slug:board>/pictures/<slug:picture>", pictures.picture),
    path("api/boards/<slug:board>/pages/<slug:page>/writing", search.writing),
    path("boards/<slug:board>/board.pdf", take_away.board_pdf),
    path("boards/<slug:board>/board.html", take_away.board_html),
    path("boards/<slug:board>/pages/<slug:page>/page.<slug:kind>", take_away.page_file),
    path("boards/<slug:board>/pages/<slug:page>/<slug:item>.csv", take_away.table),
    path("boards/<slug:board>/board.zip", take_away.board_package),
    path("boards/<slug:board>/picture.png", take_away.board_picture),
]
handler400 = "sunroom.config.pages.bad_request"
if settings.DEMO:
    urlpatterns.append(path("demo/<slug:name>", pages.demo_person))
