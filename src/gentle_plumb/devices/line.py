"""Asking a device over a socket: one line there, one line back."""

from __future__ import annotations

import re
import socket

from ..core.language import msg
from ..services.errors import NoAnswer

PATIENCE_S = 2.0
LONGEST_LINE = 120
MOST_NOISE = 3
"""Lines that are no answer and may come before one."""
TYPE_IT = msg("Take the reading again, or type it.")


def ask(
    address: str, line: str, wanted: re.Pattern[str], *, name: str, otherwise: str = TYPE_IT
) -> tuple[re.Match[str], int]:
    """Send a line and wait for one that can be read.

    Parameters
    ----------
    address : str
        ``host:port``.
    line : str
        Without its end.
    wanted : pattern
        What a whole answer looks like.
    name : str
        Of the device, for the words of an error.
    otherwise : str
        What the person can do where it is not responding.

    Returns
    -------
    match, int
        The answer, and how many lines of noise came before it.

    Raises
    ------
    NoAnswer
        If nothing listens, the line breaks, it takes over 2 s, the device reports an error, or
        nothing that comes can be read.

    """
    host, _, port = address.rpartition(":")
    noise = 0
    try:
        with socket.create_connection((host, int(port)), timeout=PATIENCE_S) as held:
            held.sendall(f"{line}\n".encode("ascii", "replace"))
            heard = held.makefile("rb")
            while noise <= MOST_NOISE:
                raw = heard.readline(LONGEST_LINE)
                if not raw:
                    raise NoAnswer(
                        msg("The {name} disconnected. {otherwise}", name=name, otherwise=otherwise)
                    )
                text = raw.decode("ascii", "replace").strip()
                match = wanted.fullmatch(text)
                if match is not None and raw.endswith(b"\n"):
                    return match, noise
                if text.startswith("ERR "):
                    raise NoAnswer(msg("The {name} says: {text}.", name=name, text=text[4:]))
                noise += 1
    except (OSError, ValueError):
        if not noise:
            raise NoAnswer(
                msg("The {name} is not responding. {otherwise}", name=name, otherwise=otherwise)
            ) from None
    raise NoAnswer(msg("The {name} sent something that isn’t a reading. Try again.", name=name))
