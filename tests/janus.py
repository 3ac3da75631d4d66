"""A Janus of Debian's package for tests, on a port of its own with nothing but its video rooms."""

from __future__ import annotations

import shutil
import socket
import subprocess
import tempfile
from pathlib import Path

from django.test import TransactionTestCase, override_settings

from tests.browser.base import wait_for

INSTALLED = shutil.which("janus") is not None
NOT_INSTALLED = "Debian's janus is not installed: calls by way of a media server are not tested"
SECRET = "only-for-tests"
_OTHERS = (
    "audiobridge duktape echotest lua nosip recordplay sip streaming textroom videocall voicemail".split()
)


def _free_port() -> int:
    with socket.socket() as found:
        found.bind(("127.0.0.1", 0))
        return int(found.getsockname()[1])


class JanusServer:
    def __init__(self) -> None:
        self._folder = tempfile.TemporaryDirectory()
        self._port = _free_port()
        self.url = f"ws://127.0.0.1:{self._port}"
        others = ",".join(f"libjanus_{name}.so" for name in _OTHERS)
        files = {
            "janus.jcfg": f'general: {{ api_secret = "{SECRET}" debug_level = 2 }}\n'
            f'plugins: {{ disable = "{others}" }}\n'
            'transports: { disable = "libjanus_http.so,libjanus_mqtt.so,libjanus_nanomsg.so,libjanus_pfunix.so,'
            'libjanus_rabbitmq.so" }\n',
            "janus.transport.websockets.jcfg": f'general: {{ ws = true ws_port = {self._port} ws_ip = "127.0.0.1" }}\n',
            "janus.plugin.videoroom.jcfg": "general: { }\n",
        }
        for name, text in files.items():
            Path(self._folder.name, name).write_text(text)
        self.start()

    def start(self) -> None:
        self._process = subprocess.Popen(
            ["janus", f"--configs-folder={self._folder.name}"],
            stdout=subprocess.DEVNULL,
            stderr=subprocess.DEVNULL,
        )
        wait_for(self._listens, "Janus to listen")

    def _listens(self) -> bool:
        with socket.socket() as line:
            return line.connect_ex(("127.0.0.1", self._port)) == 0

    def stop(self) -> None:
        self._process.kill()
        self._process.wait()

    def close(self) -> None:
        self.stop()
        self._folder.cleanup()


class WithJanus(TransactionTestCase):
    """Calls go by way of a media server."""

    def setUp(self) -> None:
        self.janus = JanusServer()
        self.addCleanup(self.janus.close)
        setting = override_settings(MEDIA=self.janus.url, MEDIA_SECRET=SECRET)
        setting.enable()
        self.addCleanup(setting.disable)
        super().setUp()
