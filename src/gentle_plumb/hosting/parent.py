"""Processes that end with the one that started them, however that ends."""

from __future__ import annotations

import ctypes
import os
import signal

PR_SET_PDEATHSIG = 1
"""Source: prctl(2)."""


def end_with_parent() -> None:
    """Have this process told to end once its parent is gone: also where that was killed outright."""
    parent = os.getppid()
    ctypes.CDLL(None, use_errno=True).prctl(PR_SET_PDEATHSIG, signal.SIGTERM)
    if os.getppid() != parent:  # it went in between
        os.kill(os.getpid(), signal.SIGTERM)
