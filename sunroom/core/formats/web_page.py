"""A whole board as one web page that opens from a disk, without network.

Whatever people typed is text here and nothing else. No script runs but the project's own that plays how pages were
made, and that only when they are told with the page: its Content-Security-Policy names the script by its hash.
"""

from __future__ import annotations

import base64
import hashlib
from collections.abc import Mapping, Sequence

import msgspec

from sunroom.core.board.pages import Page
from sunroom.core.formats.drawing import ALL, Parts
from sunroom.core.formats.making import Making
from sunroom.core.formats.pages import draw_page
from sunroom.core.formats.recorded import Recorded
from sunroom.core.formats.svg import Fonts, Pictures, SvgDrawing, escape
from sunroom.core.text import Typesetter

#: Pages one below the other, in the middle, as wide as the window allows; each on a sheet of its own when printed.
_STYLE = """
body{margin:0;background:#ece5d6;color:#16222b;font:16px/1.4 system-ui,sans-serif}
header,section{max-width:1200px;margin:0 auto;padding:16px}
h1{font-size:26px;margin:0}h2{font-size:16px;margin:0 0 8px}
svg{display:block;width:100%;height:auto;background:#fffefa;box-shadow:0 1px 4px rgb(0 0 0/20%)}
.play{display:flex;flex-wrap:wrap;align-items:center;gap:8px 14px;padding:8px 0}.play[hidden]{display:none}
.play button,.play select{min-height:40px;padding:0 16px;font:inherit;border:1px solid #5e6a66;border-radius:3px;background:#fff}
.play input{accent-color:#1d5c5f}.play button{min-width:110px;background:#1d5c5f;color:#fff;border:0}.play input[type=range]{flex:1;min-width:140px;min-height:40px}
.voice{display:grid;gap:8px;padding:8px 0}.voice[hidden]{display:none}.voice audio{width:100%}.voice ol{display:flex;flex-wrap:wrap;gap:8px;margin:0;padding:0;list-style:none}
.voice ol button{min-height:40px;padding:0 12px;font:inherit;border:1px solid #5e6a66;border-radius:3px;background:#fff}.voice [aria-current]{background:#1d5c5f;color:#fff}
[data-e]{display:none}
ul,.defs{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
@media print{.play,.voice{display:none}body{background:none}section{break-after:page;padding:0}svg{box-shadow:none;max-height:95vh}}
"""
_POLICY = "default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:"
SPEEDS = (1, 2, 5, 20)


class Voice(msgspec.Struct, frozen=True):
    """A recorded voice, what it is called, when it began (ms), and from which of its ms on each page was looked at."""

    recorded: Recorded
    title: str
    begun_ms: int
    #: Pages by their number in the file.
    turns: tuple[tuple[int, int], ...]


class Controls(msgspec.Struct, frozen=True):
    """What the controls of the playing are called."""

    play: str
    pause: str
    place: str
    speed: str
    shorten: str
    #: The script that plays.
    script: str


def board_html(
    pages: Sequence[Page],
    titles: Sequence[str],
    heard: Sequence[Sequence[str]],
    typesetter: Typesetter,
    title: str,
    pictures: Mapping[str, bytes],
    language: str,
    parts: Parts = ALL,
    makings: Sequence[Making] = (),
    controls: Controls | None = None,
    voices: Sequence[Voice] = (),
) -> str:
    """All pages as one web page that needs nothing but itself.

    Parameters
    ----------
    titles : sequence of str
        What each page is called.
    heard : sequence of sequences of str
        Of each page the lines that its ink reads as, for those who listen.
    makings : sequence of Making
        How each page was made, to be played with ``controls``; none for pages as they are.
    voices : sequence of Voice
        What was said meanwhile: pages are played in step with it.
    """
    fonts, shown, sections = Fonts(typesetter), Pictures(pictures), []
    for number, (page, name, lines) in enumerate(zip(pages, titles, heard, strict=True)):
        making = makings[number] if controls and number < len(makings) else None
        drawing = SvgDrawing(fonts, shown, parts.paper, making.marks if making else None)
        draw_page(making.page if making else page, drawing, parts)
        bar = _bar(making, controls) if making and controls and making.times else ""
        spoken = "".join(f"<li>{escape(line)}</li>" for line in lines)
        listed = f"<ul>{spoken}</ul>" if spoken else ""
        sections.append(f"<section><h2>{escape(name)}</h2>{bar}{drawing.finish(name)}{listed}</section>\n")
    policy, script = _POLICY, ""
    heard_again = "".join(_voice(voice, titles) for voice in voices) if controls else ""
    if controls:
        policy, script = _playing_policy(controls.script), f"<script>{controls.script}</script>"
        if voices:
            policy += "; media-src data:"
    return (
        f'<!doctype html>\n<html lang="{escape(language)}"><head><meta charset="utf-8">'
        f'<meta http-equiv="Content-Security-Policy" content="{policy}">'
        '<meta name="viewport" content="width=device-width, initial-scale=1">'
        f"<title>{escape(title)}</title><style>{_STYLE}{fonts.css()}</style></head>\n"
        f'<body><svg xmlns="http://www.w3.org/2000/svg" class="defs" aria-hidden="true">{shown.defs()}</svg>'
        f"<header><h1>{escape(title)}</h1>{heard_again}</header>\n{''.join(sections)}{script}</body></html>\n"
    )


def _bar(making: Making, controls: Controls) -> str:
    """The controls of a page's playing, there only where the script runs."""
    speeds = "".join(f"<option{' selected' if speed == 5 else ''}>{speed}</option>" for speed in SPEEDS)
    times = " ".join(str(at) for at in making.times)
    short = " ".join(str(at) for at in making.short_times)
    return (
        f'<div class="play" hidden data-times="{times}" data-short="{short}" data-first="{making.first_ms}">'
        f'<button data-play="{escape(controls.play)}" data-pause="{escape(controls.pause)}">{escape(controls.play)}</button>'
        f'<input type="range" min="0" step="any" aria-label="{escape(controls.place)}"><output></output>'
        f"<label>{escape(controls.speed)} <select>{speeds}</select></label>"
        f'<label><input type="checkbox" checked> {escape(controls.shorten)}</label></div>'
    )


def _voice(voice: Voice, titles: Sequence[str]) -> str:
    """A player with a button for each turn to another page, there only where the script runs."""
    sound = base64.b64encode(voice.recorded.data).decode()
    buttons = "".join(
        f'<li><button data-at="{at_ms}" data-page="{page}">{_clock(at_ms)} {escape(titles[page])}</button></li>'
        for at_ms, page in voice.turns
    )
    return (
        f'<div class="voice" hidden data-begun="{voice.begun_ms}"><b>{escape(voice.title)}</b>'
        f'<audio controls src="data:{voice.recorded.mime};base64,{sound}"></audio><ol>{buttons}</ol></div>'
    )


def _clock(ms: int) -> str:
    return f"{ms // 60_000}:{ms // 1000 % 60:02}"


def _playing_policy(script: str) -> str:
    digest = base64.b64encode(hashlib.sha256(script.encode()).digest()).decode()
    return f"{_POLICY}; script-src 'sha256-{digest}'"
