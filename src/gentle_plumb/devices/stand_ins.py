"""The simulated instruments, each on a port of loopback: a process of its own.

``python -m gentle_plumb.devices.stand_ins`` says where each listens, one line each, and ends when
its standard input does, or with its parent. A first line of JSON on the standard input may hold
bodies: word for the person, to dimension, to mm. Anybody else gets a made-up body of their own.
"""

from __future__ import annotations

import json
import os
import random
import re
import socketserver
import sys
import threading
from collections.abc import Callable, Mapping
from hashlib import sha256
from pathlib import Path
from typing import Protocol

from ..core.body import DIMENSIONS, Sex, house_error, made_up_body
from ..core.units import MM_PER
from .desk_stand_in import DeskStandIn
from .light_stand_in import LightStandIn
from .mail_stand_in import MailStandIn, start_mail_server

Bodies = dict[str, dict[str, float]]
STEP_MM = {"mm": 1.0, "cm": 1.0, "in": MM_PER["in"] / 16}
"""What one step of the display is in each unit, mm: tenths of a cm, sixteenths of an inch shown
as decimals. House value."""
SLIPS = 0.04
SLIP_MM = (18.0, 35.0)
"""Share of readings where the hand sat on the wrong place, and by how much, mm. House values."""
GARBAGE, HANG_UPS = 0.02, 0.01
"""Share of answers with noise before them, and of connections that drop. House values."""
DESK_FAILS_EACH = 4
"""Each so many moves the desk hits something on its way. House value."""
POLL_S = 0.02
"""How often a stand-in looks whether it is to end, s. House value."""
PIECE_MM = 2.0
"""How near a hand sets a piece to its aim, mm, one in three further off. House value."""
NEAR = re.compile(r"near=(\d{1,4})")
BUSY_FIRST = 1
"""So often the mail server is busy before it takes a mail, as some do with strangers. House value."""
DRAIN = 0.35
"""Percent of the battery that a reading takes. House value."""


class Talker(Protocol):
    """Answers a line with lines; None hangs up."""

    def answer(self, asked: bytes) -> bytes | None: ...


class LengthStandIn:
    """A tape or a rod that measures made-up bodies as a hand would, and fails as things do.

    ``FAULT garbage``, ``FAULT drop`` and ``FAULT low`` bring a trouble about, for trying out.
    """

    def __init__(
        self, id: str, bodies: Bodies | None = None, *, seed: int = 11, troubles: bool = True
    ) -> None:
        self._id, self._bodies = id, bodies or {}
        self._random, self._troubles = random.Random(seed), troubles  # noqa: S311
        self._unit, self._battery, self._next = "cm", 88.0, ""

    def answer(self, asked: bytes) -> bytes | None:
        """The lines for a line; None hangs up."""
        words = asked.decode("ascii", "replace").split()
        match [word.upper() if not index else word for index, word in enumerate(words)]:
            case ["WHO"]:
                return self._line(f"WHO {self._id} unit={self._unit} battery={self._battery:.0f}")
            case ["UNIT", ("mm" | "cm" | "in") as unit]:
                self._unit = unit
                return self._line(f"OK unit={unit}")
            case ["READ", *about]:
                return self._read(*about[:3])
            case ["FAULT", ("garbage" | "drop" | "low") as fault]:
                self._next = fault
                return self._line("OK")
            case _:
                return self._line("ERR unknown command")

    @staticmethod
    def _line(text: str) -> bytes:
        return f"{text}\n".encode()

    def _read(self, dimension: str = "", subject: str = "", near: str = "") -> bytes | None:
        fault, self._next = self._next, ""
        if fault == "low":
            self._battery = min(self._battery, 9.0)
        chance = self._random.random() if self._troubles else 1.0
        if fault == "drop" or chance < HANG_UPS:
            return None
        about = NEAR.fullmatch(near)
        if dimension not in DIMENSIONS and about is None:
            return self._line("ERR nothing to measure")
        self._battery = max(1.0, self._battery - DRAIN)
        mm = self._piece(float(about[1])) if about else self._measured(dimension, subject)
        amount = self._shown(mm)
        battery = f" battery={self._battery:.0f}" if self._battery <= 15 else ""
        answer = self._line(f"READING {amount} {self._unit}{battery}")
        if fault == "garbage" or chance < HANG_UPS + GARBAGE:
            return b"\x7f\x00RE#D?? 4 2\n" + answer
        return answer

    def _measured(self, dimension: str, subject: str) -> float:
        """One reading of a body, mm: the truth, the hand's error, now and then a wrong place."""
        true = self._body(subject)[dimension]
        error = house_error(DIMENSIONS[dimension].repeat_limit_mm)
        read = true + self._random.gauss(0, error)
        if self._troubles and self._random.random() < SLIPS:
            read += self._random.choice((-1, 1)) * self._random.uniform(*SLIP_MM)
        return max(1.0, read)

    def _piece(self, near: float) -> float:
        """One reading of a piece that was set about so high, mm: a hand sets it as near as it can."""
        return max(1.0, near + self._random.gauss(0, PIECE_MM))

    def _body(self, subject: str) -> dict[str, float]:
        if subject not in self._bodies:
            mine = random.Random(sha256(subject.encode()).digest())  # noqa: S311
            sex: Sex = mine.choice(("female", "male"))
            self._bodies[subject] = made_up_body(lambda: mine.gauss(0, 1), sex=sex)
        return self._bodies[subject]

    def _shown(self, mm: float) -> str:
        step = STEP_MM[self._unit]
        amount = round(mm / step) * step / MM_PER[self._unit]
        return f"{amount:.{ {'mm': 0, 'cm': 1, 'in': 3}[self._unit] }f}"


class _Server(socketserver.ThreadingTCPServer):
    allow_reuse_address = True
    daemon_threads = True


def listen(talker: Talker, port: int = 0) -> _Server:
    """A server on loopback for one instrument, running in a thread of its own."""

    class Line(socketserver.StreamRequestHandler):
        def handle(self) -> None:
            for asked in self.rfile:
                answer = talker.answer(asked)
                if answer is None:
                    return
                self.wfile.write(answer)

    server = _Server(("127.0.0.1", port), Line)
    threading.Thread(target=server.serve_forever, args=(POLL_S,), daemon=True).start()
    return server


def address_of(server: _Server) -> str:
    """Where it listens, ``host:port``."""
    host, port = server.server_address[:2]
    return f"{host!s}:{port}"


def talkers(bodies: Bodies) -> Mapping[str, Talker]:
    """The instruments by name."""
    return {
        "tape": LengthStandIn("tape", bodies, seed=11),
        "rod": LengthStandIn("rod", bodies, seed=12),
        "light": LightStandIn(),
        "desk": DeskStandIn(fails_each=DESK_FAILS_EACH),
    }


def main(read: Callable[[], str] = sys.stdin.readline) -> None:
    """Serve all of them until the standard input ends."""
    first = read()
    bodies: Bodies = json.loads(first) if first.strip() else {}
    for name, talker in talkers(bodies).items():
        print(f"{name} {address_of(listen(talker))}", flush=True)
    folder = os.environ.get("GENTLE_PLUMB_MAIL_FOLDER")
    if folder:
        server = start_mail_server(MailStandIn(Path(folder), busy=BUSY_FIRST))
        print(f"mail {server.hostname}:{server.port}", flush=True)
    print("ready", flush=True)
    while read():
        pass


if __name__ == "__main__":
    main()
