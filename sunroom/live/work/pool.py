"""Worker processes, each with one job at a time, a limit of time and a limit of memory, that fail alone.

A job that takes too long, takes too much memory or kills its process is the only one that ends; a new process takes the
place of its own. Jobs may be asked for from any thread and any event loop.
"""

from __future__ import annotations

import asyncio
import logging
import multiprocessing
import os
import pickle
import queue
import resource
import signal
import threading
import time
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from multiprocessing.connection import Connection
from pathlib import Path
from typing import Any, ParamSpec, TypeVar

logger = logging.getLogger(__name__)

P = ParamSpec("P")
T = TypeVar("T")

#: What a job may take beyond what its process holds when it is warm.
MEMORY_BYTES = 1_500_000_000
#: On a busy machine the lessons go before the jobs, but not before a process is there for them.
NICE = 5
#: A new process loads models and fonts before its first job.
WARM_S = 60.0
#: A new process that hears nothing for so long gets ready for more.
IDLE_S = 6.0
#: A job's limit counts what it works. On a busy machine it has the processor now and then, and may take so many times longer.
PATIENCE = 4
LOOK_S = 0.25

_context = multiprocessing.get_context("spawn")

_LATER = "needs_later"


def needs_later(job: Callable[P, T]) -> Callable[P, T]:
    """Mark a job that needs what a process does later: it comes first, and does not count as the job's time."""
    setattr(job, _LATER, True)
    return job


class JobError(Exception):
    """A job that was ended: it took too long, took too much memory, or its process died."""


class Stopping(JobError):
    """A job that was ended by the server's own end: nothing went wrong."""

    def __init__(self) -> None:
        super().__init__("The server is stopping.")


class Worker:
    """One process; started when first needed, and again after it was ended.

    Parameters
    ----------
    warm : callable
        What a process does before its first job.
    later : callable, optional
        What it does once it has nothing to do, for jobs that are not wanted at once.
    """

    def __init__(self, warm: Callable[[], None], later: Callable[[], None] | None = None) -> None:
        self._warm, self._later = warm, later
        self._process: Any = None
        self._pipe: Connection | None = None
        self._ended = False
        #: It may be started ahead of its first job, by another thread.
        self._lock = threading.RLock()

    def start(self) -> None:
        with self._lock:
            if self._process is None or not self._process.is_alive():
                self._begin()

    def _begin(self) -> None:
        if self._ended:
            raise Stopping
        pipe, theirs = _context.Pipe()
        process = _context.Process(target=_serve, args=(theirs, self._warm, self._later), daemon=True)
        process.start()
        theirs.close()
        self._process, self._pipe = process, pipe
        try:
            if not pipe.poll(WARM_S):
                raise EOFError
            pipe.recv()
        except (EOFError, OSError) as error:
            self.stop()
            raise self._ended_by("A worker process did not start.") from error

    def call(self, job: Callable[..., Any], arguments: tuple[Any, ...], limit_s: float) -> Any:
        """``job(*arguments)``; what it raises, or JobError. It may work for ``limit_s`` seconds of processor time."""
        with self._lock:
            return self._call(job, arguments, limit_s)

    def _call(self, job: Callable[..., Any], arguments: tuple[Any, ...], limit_s: float) -> Any:
        self.start()
        process, pipe = self._process, self._pipe
        if process is None or pipe is None:
            raise Stopping
        try:
            pipe.send((job, arguments))
            if not pipe.poll(WARM_S):
                raise EOFError
            pipe.recv()  # it begins
            if not _answered(pipe, process.pid, limit_s):
                self.stop()
                raise JobError(f"{job.__name__} took longer than {limit_s:g} s.")
            done, value = pipe.recv()
        except (EOFError, OSError) as error:
            self.stop()
            raise self._ended_by(f"The process of {job.__name__} died.") from error
        if isinstance(value, MemoryError):
            self.stop()  # what it holds now is in pieces
            raise JobError(f"{job.__name__} took too much memory.")
        if not done:
            raise value
        return value

    def _ended_by(self, fault: str) -> JobError:
        """Why a process is gone: a server that stops ends its processes itself."""
        return Stopping() if self._ended else JobError(fault)

    def stop(self) -> None:
        """End the process; the next job starts another."""
        process, pipe = self._process, self._pipe
        self._process = self._pipe = None
        if process is not None:
            process.kill()
            process.join()
        if pipe is not None:
            pipe.close()

    def end(self) -> None:
        """End the process for good, whatever another thread is doing with it."""
        self._ended = True
        self.stop()


class Pool:
    """Some workers, and two ways to them: quick jobs may have all of them, slow ones leave one free."""

    def __init__(self, count: int, warm: Callable[[], None], later: Callable[[], None] | None = None) -> None:
        self._workers = [Worker(warm, later) for _ in range(count)]
        self._free: queue.SimpleQueue[Worker] = queue.SimpleQueue()
        for worker in self._workers:
            self._free.put(worker)
        self._quick = ThreadPoolExecutor(count, "quick-jobs")
        self._slow = ThreadPoolExecutor(max(1, count - 1), "slow-jobs")

    def start(self) -> None:
        """Start all processes, and come back before they are ready."""
        for worker in self._workers:
            threading.Thread(target=_start, args=(worker,), daemon=True).start()

    async def run(
        self, job: Callable[..., T], *arguments: Any, limit_s: float = 15.0, slow: bool = False
    ) -> T:
        """``job(*arguments)`` in one of the processes; raises what it raises, or JobError."""
        loop = asyncio.get_running_loop()
        executor = self._slow if slow else self._quick
        try:
            running = loop.run_in_executor(executor, self._call, job, arguments, limit_s)
        except RuntimeError as error:
            raise Stopping from error
        return await running

    def _call(self, job: Callable[..., T], arguments: tuple[Any, ...], limit_s: float) -> T:
        worker = self._free.get()
        try:
            return worker.call(job, arguments, limit_s)  # type: ignore[no-any-return]
        except Stopping:
            raise
        except JobError as error:
            logger.error("A job was ended: %s", error)
            raise
        finally:
            self._free.put(worker)

    def stop(self) -> None:
        for executor in (self._quick, self._slow):
            executor.shutdown(wait=False, cancel_futures=True)
        for worker in self._workers:
            worker.end()


def _start(worker: Worker) -> None:
    try:
        worker.start()
    except JobError as error:  # the server may be stopping already; else the first job tries again
        logger.info("%s", error)


def _serve(pipe: Connection, warm: Callable[[], None], later: Callable[[], None] | None) -> None:
    """The life of a worker process."""
    _live_with_the_server()
    # The server may have stepped forward, which is not meant for work like this.
    os.nice(max(0, -os.getpriority(os.PRIO_PROCESS, 0)))
    warm()
    os.nice(NICE)
    _limit_memory()
    pipe.send("ready")
    if later is not None and not pipe.poll(IDLE_S):
        later()
        later = None
    while True:
        try:
            job, arguments = pipe.recv()
        except EOFError:
            return
        if later is not None and getattr(job, _LATER, False):
            later()
            later = None
        pipe.send("begun")
        try:
            answer = True, job(*arguments)
        except MemoryError:
            answer = False, MemoryError()
        except Exception as error:
            answer = False, _portable(error)
        pipe.send(answer)


def _portable(error: Exception) -> Exception:
    """The error, or its words when it does not travel between processes."""
    try:
        pickle.loads(pickle.dumps(error))
        return error
    except Exception:
        return RuntimeError(f"{type(error).__name__}: {error}")


def _answered(pipe: Connection, pid: int, limit_s: float) -> bool:
    """Wait for what the job of a process says, as long as it may take."""
    begun_s, worked_s = time.monotonic(), _worked_s(pid)
    while not pipe.poll(min(LOOK_S, limit_s)):
        late = time.monotonic() - begun_s > PATIENCE * limit_s
        if late or _worked_s(pid) - worked_s > limit_s:
            return False
    return True


def _worked_s(pid: int) -> float:
    """Seconds of processor time that a process has had (proc(5)); 0 of one that has ended."""
    try:
        fields = Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()
    except OSError:
        return 0.0
    return (int(fields[11]) + int(fields[12])) / os.sysconf("SC_CLK_TCK")


def _limit_memory() -> None:
    held = int(Path("/proc/self/statm").read_text().split()[0]) * resource.getpagesize()
    resource.setrlimit(resource.RLIMIT_AS, (held + MEMORY_BYTES, held + MEMORY_BYTES))


def _live_with_the_server() -> None:
    """A worker ends when the server does, however that ends, and leaves Ctrl-C to it."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    signal.signal(signal.SIGTERM, signal.SIG_DFL)
    threading.Thread(target=_end_with_the_server, daemon=True).start()


def _end_with_the_server() -> None:
    server = multiprocessing.parent_process()
    if server is not None:
        server.join()
        os._exit(0)
