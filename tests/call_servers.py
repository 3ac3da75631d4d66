"""Servers of Debian's packages that calls can go by, for tests: each on a port of its own, with nothing but what is tried."""

from __future__ import annotations

import shutil
import socket
import subprocess
import tempfile
from pathlib import Path
from typing import Any

from django.test import TransactionTestCase, override_settings

from tests.browser.base import wait_for

JANUS = shutil.which("janus") is not None
NO_JANUS = "Debian's janus is not installed: calls by way of a media server are not tested"
TURN = shutil.which("turnserver") is not None
NO_TURN = "Debian's coturn is not installed: calls that a TURN server passes on are not tested"
SECRET = "only-for-tests"
_OTHERS = (
    "audiobridge duktape echotest lua nosip recordplay sip streaming textroom videocall voicemail".split()
)


class _Server:
    """A program with a folder of its own, that listens on a free port of this machine."""

    def __init__(self) -> None:
        self._folder = tempfile.TemporaryDirectory()
        self.folder = Path(self._folder.name)
        with socket.socket() as found:
            found.bind(("127.0.0.1", 0))
            self.port = int(found.getsockname()[1])
        self.start()

    def command(self) -> list[str]:
        raise NotImplementedError

    def start(self) -> None:
        self._process = subprocess.Popen(
            self.command(), cwd=self.folder, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL
        )
        wait_for(self._listens, f"{type(self).__name__} to listen")

    def _listens(self) -> bool:
        with socket.socket() as line:
            return line.connect_ex(("127.0.0.1", self.port)) == 0

    def stop(self) -> None:
        self._process.kill()
        self._process.wait()

    def close(self) -> None:
        self.stop()
        self._folder.cleanup()


class JanusServer(_Server):
    def command(self) -> list[str]:
        others = ",".join(f"libjanus_{name}.so" for name in _OTHERS)
        files = {
            "janus.jcfg": f'general: {{ api_secret = "{SECRET}" debug_level = 2 }}\n'
            f'plugins: {{ disable = "{others}" }}\n'
            'transports: { disable = "libjanus_http.so,libjanus_mqtt.so,libjanus_nanomsg.so,libjanus_pfunix.so,'
            'libjanus_rabbitmq.so" }\n',
            "janus.transport.websockets.jcfg": f'general: {{ ws = true ws_port = {self.port} ws_ip = "127.0.0.1" }}\n',
            "janus.plugin.videoroom.jcfg": "general: { }\n",
        }
        for name, text in files.items():
            (self.folder / name).write_text(text)
        return ["janus", f"--configs-folder={self.folder}"]

    @property
    def url(self) -> str:
        return f"ws://127.0.0.1:{self.port}"


class TurnServer(_Server):
    """A coturn that passes on what comes from this machine, to this machine, for whoever knows the secret."""

    def command(self) -> list[str]:
        here = ("--listening-ip=127.0.0.1", "--relay-ip=127.0.0.1", "--allow-loopback-peers", "--no-cli")
        known = ("--use-auth-secret", f"--static-auth-secret={SECRET}", "--realm=board.school.example")
        quiet = ("--no-tls", "--no-dtls", "--log-file=stdout", "--pidfile=turn.pid", "--userdb=turn.db")
        return ["turnserver", "-n", f"--listening-port={self.port}", *here, *known, *quiet]

    @property
    def url(self) -> str:
        return f"turn:127.0.0.1:{self.port}"


class _With(TransactionTestCase):
    def by(self, server: _Server, **settings: Any) -> None:
        self.addCleanup(server.close)
        setting = override_settings(**settings)
        setting.enable()
        self.addCleanup(setting.disable)


class WithJanus(_With):
    """Calls go by way of a media server."""

    def setUp(self) -> None:
        self.janus = JanusServer()
        self.by(self.janus, MEDIA=self.janus.url, MEDIA_SECRET=SECRET)
        super().setUp()


class WithTurn(_With):
    """A TURN server is there for who finds no way to each other."""

    def setUp(self) -> None:
        self.turn = TurnServer()
        self.by(self.turn, TURN=self.turn.url, TURN_SECRET=SECRET)
        super().setUp()
