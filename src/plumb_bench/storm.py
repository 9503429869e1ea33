"""A storm: people type while processes are killed, the database freezes and lines are cut.

Whatever was acknowledged is there afterwards, once, and in its order.
"""

from __future__ import annotations

import json
import os
import random
import signal
import socket
import subprocess
import sys
import threading
import time
from collections import Counter
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from dataclasses import dataclass, field
from http import HTTPStatus
from http.client import HTTPConnection, HTTPException
from pathlib import Path
from uuid import UUID, uuid4

import httpx2 as httpx
from sqlalchemy import func, select

from gentle_plumb.config import ROOT, Settings
from gentle_plumb.hosting import run
from gentle_plumb.hosting.postgres import Cluster, free_port
from gentle_plumb.main import make_services
from gentle_plumb.services.models import NewClient, Practice
from gentle_plumb.storage import SqlAccounts
from gentle_plumb.storage.tables import CHANGE

FIELDS = {
    "look.found.seat": (40, 55),
    "look.found.surface": (62, 80),
    "look.found.distance": (45, 90),
    "ask.hours.typing": (1, 8),
}
EMAIL, PASSWORD = "ines@saltmere.example", uuid4().hex
CALM_S = (0.5, 2.0)
"""How long it is calm between two troubles, s."""
FROZEN_S = (1.0, 4.0)
NO_ANSWER = 0
STOPS_S = 120.0
"""How long a server may take to let go of everybody, seconds: a slow machine is busy with others. House value."""
PATIENCE_S = 6.0
"""After so long a typist asks again, s."""


@dataclass
class Typist:
    """One who types into a visit of their own, and knows what was acknowledged."""

    visit: str
    draw: random.Random
    held: dict[str, tuple[str, int]] = field(default_factory=dict)
    """Text and version by path, as the last acknowledgement said."""
    taken: int = 0
    ways: Counter[str] = field(default_factory=Counter)
    refused: list[str] = field(default_factory=list)

    def run(self, storm: Storm) -> None:
        """Type until the storm is over; what is begun is brought to its end."""
        while not storm.over.is_set():
            path = self.draw.choice(list(FIELDS))
            way = self.draw.choice(("plain", "plain", "twice", "cut", "unheard", "late"))
            self.ways[way] += 1
            low, high = FIELDS[path]
            text = str(self.draw.randrange(low, high))
            version = self.held.get(path, ("", 0))[1]
            change = {"path": path, "typed": text, "expected_version": version, "unit": "cm"}
            before = self._last
            self._last = (str(uuid4()), change)
            if way == "cut":
                storm.cut_off(self.visit, *self._last, whole=False)
            elif way == "unheard":
                storm.cut_off(self.visit, *self._last, whole=True)
            elif way == "late" and before is not None:
                storm.send(self.visit, *before)  # an old one comes once more, after all
            if way == "twice":
                self._both(storm)
            entry = self._until_taken(storm, *self._last)
            if entry is not None:
                self.held[path] = (text, entry["version"])
                self.taken += 1
            time.sleep(self.draw.uniform(0, 0.1))

    _last: tuple[str, dict[str, object]] | None = None

    def _both(self, storm: Storm) -> None:
        """The same change at the same moment by two lines."""
        assert self._last is not None
        other = threading.Thread(target=storm.send, args=(self.visit, *self._last))
        other.start()
        storm.send(self.visit, *self._last)
        other.join()

    def _until_taken(
        self, storm: Storm, id: str, change: dict[str, object]
    ) -> dict[str, int] | None:
        while True:
            status, said = storm.send(self.visit, id, change)
            if status == HTTPStatus.OK:
                entry: dict[str, int] = json.loads(said)["entry"]
                return entry
            if NO_ANSWER < status < HTTPStatus.INTERNAL_SERVER_ERROR:
                self.refused.append(f"{status} {said[:200]!r}")
                return None
            time.sleep(0.3)


@dataclass
class Told:
    """What the storm did and what was found after it."""

    taken: int
    ways: Counter[str]
    troubles: Counter[str]
    refused: list[str]
    lost: list[str]
    """Acknowledged and not there, or there otherwise."""
    doubled: int
    """Rows of the journal beyond one for each change that was taken."""
    chain_holds: bool


class Storm:
    """A database and a server of their own, several who type, and what befalls them."""

    def __init__(self, folder: Path, seed: int, people: int = 6) -> None:
        self.folder, self.draw = folder, random.Random(seed)  # noqa: S311
        self.people, self.port = people, free_port()
        self.over = threading.Event()
        self.troubles: Counter[str] = Counter()
        self._process: subprocess.Popen[bytes] | None = None
        self._headers: dict[str, str] = {}

    def blow(self, seconds: float) -> Told:
        """Let it blow for so long, then look what is left."""
        self._cluster = Cluster(self.folder / "storm")
        with self._cluster.up():
            run.prepare(self._cluster.addresses, demo=False, say=lambda _: None)
            typists = self._typists()
            with self._served():
                threads = [threading.Thread(target=typist.run, args=(self,)) for typist in typists]
                for thread in threads:
                    thread.start()
                self._trouble(time.monotonic() + seconds)
                self.over.set()
                for thread in threads:
                    thread.join()
                return self._told(typists)

    def send(self, visit: str, id: str, change: dict[str, object]) -> tuple[int, bytes]:
        """Send a change: the answer's status and body, NO_ANSWER where none came."""
        line = HTTPConnection("127.0.0.1", self.port, timeout=PATIENCE_S)
        headers = {**self._headers, "Content-Type": "application/json"}
        try:
            line.request(
                "PUT", f"/api/visits/{visit}/changes/{id}", json.dumps(change).encode(), headers
            )
            answer = line.getresponse()
            return answer.status, answer.read()
        except (OSError, HTTPException):
            return NO_ANSWER, b""
        finally:
            line.close()

    def cut_off(self, visit: str, id: str, change: dict[str, object], *, whole: bool) -> None:
        """Send half of a change and cut the line, or all of it without waiting for the answer."""
        body = json.dumps(change).encode()
        head = [f"PUT /api/visits/{visit}/changes/{id} HTTP/1.1", "Host: 127.0.0.1"]
        head += [f"{name}: {value}" for name, value in self._headers.items()]
        head += ["Content-Type: application/json", f"Content-Length: {len(body)}", "", ""]
        with suppress(OSError), socket.create_connection(("127.0.0.1", self.port), 2) as line:
            line.sendall("\r\n".join(head).encode() + (body if whole else body[: len(body) // 2]))

    def _typists(self) -> list[Typist]:
        with run.opened(self._cluster.addresses.serves) as engine:
            services = make_services(engine, Settings(demo=False))
            practice = Practice(id=uuid4(), name="Saltmere", unit="cm", local_wording="")
            SqlAccounts(engine).add_practice(practice)
            member = services.accounts.create_member(
                practice.id, email=EMAIL, name="Ines", title="", role="owner", password=PASSWORD
            )
            typists = []
            for number in range(self.people):
                of = services.visits.add_client(member, NewClient(name=f"Storm {number}"))
                visit = services.visits.start(member, practice, of.id)
                services.visits.change(
                    member,
                    visit.id,
                    change_id=uuid4(),
                    path="ask.consent.notes",
                    typed="yes",
                    expected_version=0,
                    unit="cm",
                )
                seed = self.draw.randrange(10**9)
                typists.append(Typist(str(visit.id), random.Random(seed)))  # noqa: S311
            return typists

    @contextmanager
    def _served(self) -> Iterator[None]:
        self._start()
        credentials = {"email": EMAIL, "password": PASSWORD}
        with self._http() as http:
            answer = http.post("/api/session", json=credentials)
            self._headers = {
                "X-Plumb-Csrf": answer.json()["csrf"],
                "Cookie": f"plumb_session={answer.cookies['plumb_session']}",
            }
        try:
            yield
        finally:
            assert self._process is not None
            self._process.terminate()
            try:
                self._process.wait(STOPS_S)
            except subprocess.TimeoutExpired:
                self._process.kill()
                self._process.wait()
                raise

    def _start(self) -> None:
        env = {**os.environ, "PYTHONPATH": str(ROOT / "src"), "GENTLE_PLUMB_BACKUP_FOLDER": ""}
        env["GENTLE_PLUMB_DATABASE_URL"] = self._cluster.addresses.serves
        env["GENTLE_PLUMB_MIGRATIONS_URL"] = self._cluster.addresses.migrates
        command = [sys.executable, "-m", "gentle_plumb.cli", "serve", f"--port={self.port}"]
        self._process = subprocess.Popen(
            [*command, "--workers=2"], env=env, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL
        )
        self._until_ready()

    def _http(self) -> httpx.Client:
        address = f"http://127.0.0.1:{self.port}"
        return httpx.Client(base_url=address, headers=self._headers, timeout=30)

    def _until_ready(self) -> None:
        deadline = time.monotonic() + 120
        with self._http() as http:
            while time.monotonic() < deadline:
                with suppress(httpx.HTTPError):
                    if http.get("/api/ready", timeout=2).status_code == HTTPStatus.OK:
                        return
                time.sleep(0.2)
        raise TimeoutError("the server does not come back")

    def _trouble(self, end: float) -> None:
        """One trouble after the other until the end, each kind before any comes again, and each at least once."""
        kinds: dict[str, Callable[[], None]] = {
            "process of the server killed": self._kill_a_process,
            "database frozen": self._freeze_database,
            "server killed": self._kill_server,
            "database killed": self._kill_database,
        }
        waiting: list[str] = []
        while time.monotonic() < end or len(self.troubles) < len(kinds):
            time.sleep(self.draw.uniform(*CALM_S))
            if not waiting:
                waiting = self.draw.sample(list(kinds), len(kinds))
            kind = waiting.pop()
            kinds[kind]()
            self.troubles[kind] += 1
            self._until_ready()

    def _kill_a_process(self) -> None:
        assert self._process is not None
        serving = [
            pid
            for pid in _children(self._process.pid)
            if b"spawn_main" in Path(f"/proc/{pid}/cmdline").read_bytes()
        ]
        if serving:
            os.kill(self.draw.choice(serving), signal.SIGKILL)

    def _kill_server(self) -> None:
        assert self._process is not None
        for pid in [self._process.pid, *_children(self._process.pid)]:
            with suppress(ProcessLookupError):
                os.kill(pid, signal.SIGKILL)
        self._process.wait()
        self._start()

    def _postmaster(self) -> int | None:
        with suppress(OSError, ValueError, IndexError):
            return int((self._cluster.data / "postmaster.pid").read_text().splitlines()[0])
        return None

    def _kill_database(self) -> None:
        pid = self._postmaster()
        if pid is not None:
            with suppress(ProcessLookupError):
                os.kill(pid, signal.SIGKILL)

    def _freeze_database(self) -> None:
        first = self._postmaster()
        if first is None:
            return
        frozen = [first, *_children(first)]
        _signal_all(frozen, signal.SIGSTOP)
        try:
            time.sleep(self.draw.uniform(*FROZEN_S))
        finally:
            _signal_all(frozen, signal.SIGCONT)

    def _told(self, typists: list[Typist]) -> Told:
        lost = []
        with self._http() as http:
            for typist in typists:
                entries = http.get(f"/api/visits/{typist.visit}").json()["entries"]
                for path, (text, version) in typist.held.items():
                    entry = entries.get(path, {"typed": "", "version": 0})
                    number = entry["typed"].split(" ")[0]
                    if (number, entry["version"]) != (text, version):
                        lost.append(f"{path}: {text} at {version}, found {number} {entry}")
        with run.opened(self._cluster.addresses.serves) as engine:
            visits = [UUID(typist.visit) for typist in typists]
            with engine.connect() as connection:
                query = select(func.count()).where(
                    CHANGE.c.visit_id.in_(visits), CHANGE.c.path.in_(list(FIELDS))
                )
                rows = connection.scalar(query) or 0
            services = make_services(engine, Settings(demo=False))
            broken = [line for line in services.audit_log.check() if line[2] is not None]
        taken = sum(typist.taken for typist in typists)
        return Told(
            taken=taken,
            ways=sum((typist.ways for typist in typists), Counter()),
            troubles=self.troubles,
            refused=[words for typist in typists for words in typist.refused],
            lost=lost,
            doubled=rows - taken,
            chain_holds=not broken,
        )


def _children(pid: int) -> list[int]:
    try:
        return [int(text) for text in Path(f"/proc/{pid}/task/{pid}/children").read_text().split()]
    except OSError:
        return []


def _signal_all(pids: list[int], number: signal.Signals) -> None:
    for pid in pids:
        with suppress(ProcessLookupError):
            os.kill(pid, number)
