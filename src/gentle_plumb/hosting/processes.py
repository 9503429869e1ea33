"""Other processes: whether they are alive, clearing away dead ones, watching them, ending with the parent."""

from __future__ import annotations

import ctypes
import multiprocessing
import os
import signal
import threading
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from pathlib import Path

PR_SET_PDEATHSIG = 1
"""Source: prctl(2)."""


def end_with_parent() -> None:
    """Have this process, started by ``multiprocessing``, end with its parent, even if that was killed outright."""
    ctypes.CDLL(None, use_errno=True).prctl(PR_SET_PDEATHSIG, signal.SIGTERM)
    parent = multiprocessing.parent_process()
    if parent is None or os.getppid() != parent.pid:  # it went before anybody could tell us
        os.kill(os.getpid(), signal.SIGTERM)


def is_server(pid: int, data: Path) -> bool:
    """Whether a process is a living PostgreSQL server of a data folder.

    Parameters
    ----------
    pid : int
        As PostgreSQL left it in its folder.
    data : Path
        The folder that the process has to work in; not asked where the system keeps that to itself.

    """
    name, state = _process(pid)
    if name != "postgres" or state in GONE:
        return False
    try:
        return Path(f"/proc/{pid}/cwd").samefile(data)
    except PermissionError:
        return True
    except OSError:
        return False


GONE = ("Z", "X", "")
"""States of a process that is dead, whether anybody has taken leave of it or not. Source: proc(5)."""


def _process(pid: int) -> tuple[str, str]:
    """A process's name and state, both empty where there is none."""
    try:
        head, tail = Path(f"/proc/{pid}/stat").read_text().rsplit(")", 1)
    except (OSError, ValueError):
        return "", ""
    return head.split("(", 1)[-1], tail.split()[0]


def reap() -> None:
    """Clear away dead PostgreSQL processes that were left to this one: process 1 inherits orphans.

    Children that this process started itself are left to the code that waits for them.
    """
    me = os.getpid()
    with suppress(OSError):
        for child in Path(f"/proc/{me}/task/{me}/children").read_text().split():
            if _process(int(child)) == ("postgres", "Z"):
                with suppress(ChildProcessError):
                    os.waitpid(int(child), os.WNOHANG)


@contextmanager
def watched(watch: Callable[[threading.Event], object]) -> Iterator[None]:
    """Run ``watch`` in a thread beside the block; at the block's end its event is set and it is waited for."""
    done = threading.Event()
    watcher = threading.Thread(target=watch, args=(done,), daemon=True)
    watcher.start()
    try:
        yield
    finally:
        done.set()
        watcher.join()
