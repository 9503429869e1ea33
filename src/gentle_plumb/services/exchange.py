"""Measurements out to files and in from them: looked at first, then written whole or not at all."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from uuid import UUID, uuid4

from ..core.body import DIMENSIONS
from ..core.errors import FieldError
from ..core.record import field_of, read_typed
from .accounts import require_writer
from .errors import BadFile
from .models import Change, Client, Entry, Intake, Member, Sheet, Trouble, Visit
from .ports import Clock, Exchange, Records

KEPT_OUT = ("measure.table",)
"""What means something in its own practice only."""
OWN_LISTS = ("short", "full")
SAME_MM = 0.05
MOST_BYTES = 20_000_000


@dataclass(frozen=True, kw_only=True)
class Understood:
    """One sheet as it was understood: whose, which visit, how many values, how many of them new."""

    place: str
    client: str
    client_known: bool
    visit_on: date
    visit_known: bool
    dimensions: int
    values: int
    new: int


@dataclass(frozen=True, kw_only=True)
class Preview:
    """What an import would do; nothing is written while there are troubles."""

    format: str
    understood: list[Understood]
    troubles: list[Trouble]
    left_out: list[Trouble]


def sheet_of(visit: Visit, client: Client, entries: Sequence[Entry]) -> Sheet:
    """What leaves of a visit: who took a reading and when goes with it."""
    said = {
        entry.path: entry.typed for entry in entries
        if entry.path not in KEPT_OUT
        and not (entry.path == "measure.list" and entry.typed not in OWN_LISTS)
    }  # fmt: skip
    takers = {entry.path.split(".")[1]: entry.changed_by for entry in entries
              if entry.path.endswith(".first")}  # fmt: skip
    for name, by in takers.items():
        if name in DIMENSIONS:
            said.setdefault(f"measure.{name}.taken_by", by)
            said.setdefault(f"measure.{name}.taken_on", visit.started_on.isoformat())
    return Sheet(
        client_id=client.origin_id or str(client.id), name=client.name, sex=client.sex,
        work=client.work, visit_id=visit.origin_id or str(visit.id), on=visit.started_on,
        entries=dict(sorted(said.items())),
    )  # fmt: skip


@dataclass(frozen=True, kw_only=True)
class _Plan:
    intake: Intake
    understood: list[Understood]
    troubles: list[Trouble]


class _Planner:
    """Holds sheets against what the practice has."""

    def __init__(self, records: Records, member: Member) -> None:
        self._member, self._records = member, records
        self._clients = records.clients(member.practice_id)
        self._held = {visit.id: {entry.path: entry for entry in entries}
                      for visit, _, entries in records.measured(member.practice_id)}  # fmt: skip
        self._visits = [line.visit for line in records.visits(member.practice_id)]
        self.clients: list[Client] = []
        self.visits: list[Visit] = []
        self.changes: list[Change] = []
        self.troubles: list[Trouble] = []
        self._planned: set[tuple[UUID, str]] = set()

    def take(self, sheet: Sheet) -> Understood:
        """Plan one sheet."""
        client = self._client(sheet)
        known_client = client in self._clients
        visit = self._visit(sheet, client)
        known_visit = visit in self._visits
        new = values = 0
        for path, typed in sheet.entries.items():
            where = sheet.places.get(path, sheet.place)
            value = self._read(path, typed, where)
            if value is None:
                continue
            reading = path.rsplit(".", 1)[-1] in ("first", "second", "third", "other")
            values += reading
            new += self._change(sheet, visit, path, typed, value, where) and reading
        return Understood(
            place=sheet.place, client=client.name, client_known=known_client, visit_on=visit.started_on,
            visit_known=known_visit, values=values, new=new,
            dimensions=len({path.split(".")[1] for path in sheet.entries if path.count(".") == 2}),
        )  # fmt: skip

    def _client(self, sheet: Sheet) -> Client:
        for one in (*self._clients, *self.clients):
            if sheet.client_id and sheet.client_id in (str(one.id), one.origin_id):
                if one.name != sheet.name:
                    self.troubles.append((sheet.place, "client", f"“{sheet.name}” has the identifier "
                                          f"of {one.name}"))  # fmt: skip
                return one
        if not sheet.client_id:
            named = [one for one in (*self._clients, *self.clients) if one.name == sheet.name]
            if len(named) > 1:
                self.troubles.append((sheet.place, "client", f"{len(named)} clients are called "
                                      f"“{sheet.name}”: give client_id"))  # fmt: skip
            if named:
                return named[0]
        made = Client(id=uuid4(), practice_id=self._member.practice_id, name=sheet.name, sex=sheet.sex,
                      work=sheet.work, origin_id=sheet.client_id or None)  # fmt: skip
        self._text(sheet.name, 200, sheet.place, "client")
        self._text(sheet.work, 200, sheet.place, "work")
        self.clients.append(made)
        return made

    def _text(self, text: str, most: int, place: str, field: str) -> None:
        if len(text) > most or any(ord(letter) < 32 for letter in text):
            self.troubles.append(
                (place, field, f"over {most} characters, or with signs that can't be shown")
            )

    def _visit(self, sheet: Sheet, client: Client) -> Visit:
        for one in (*self._visits, *self.visits):
            same = sheet.visit_id and sheet.visit_id in (str(one.id), one.origin_id)
            if same and one.client_id != client.id:
                self.troubles.append((sheet.place, "visit_id", "belongs to another client here"))
            if same and one.started_on != sheet.on:
                self.troubles.append((sheet.place, "visit_on", f"{sheet.on.isoformat()}, but this visit "
                                      f"was on {one.started_on.isoformat()}"))  # fmt: skip
            alike = not sheet.visit_id and (one.client_id, one.started_on) == (client.id, sheet.on)
            if same or alike:
                return one
        made = Visit(
            id=uuid4(), practice_id=self._member.practice_id, client_id=client.id,
            member_id=self._member.id, started_on=sheet.on, origin_id=sheet.visit_id or None,
        )  # fmt: skip
        self.visits.append(made)
        return made

    def _read(self, path: str, typed: str, where: str) -> float | str | None:
        try:
            if not path.startswith("measure.") or path in KEPT_OUT:
                raise BadFile(f"“{path}” is not taken in.")
            return read_typed(field_of(path), typed, unit="mm")
        except FieldError as error:
            self.troubles.append((where, path.removeprefix("measure."), error.message))
        except BadFile as error:
            self.troubles.append((where, path, str(error)))
        return None

    def _change(self, sheet: Sheet, visit: Visit, path: str, typed: str, value: float | str,
                where: str) -> bool:  # fmt: skip
        """Plan one entry; whether it is new."""
        held = self._held.get(visit.id, {}).get(path)
        if held is not None and held.typed:
            if _same(held.value, value):
                return False
            field = path.removeprefix("measure.")
            self.troubles.append(
                (where, field, f"“{typed}”, but here it is “{held.typed}” already")
            )
            return False
        if self._said_anyhow(sheet, visit, path, typed):
            return False
        if (visit.id, path) in self._planned:
            self.troubles.append(
                (where, path.removeprefix("measure."), "stands in this file twice")
            )
            return False
        self._planned.add((visit.id, path))
        self.changes.append(
            Change(id=uuid4(), visit_id=visit.id, path=path, typed=typed.strip(), value=value,
                   expected_version=held.version if held is not None else 0, member_id=self._member.id)
        )  # fmt: skip
        return True

    def _said_anyhow(self, sheet: Sheet, visit: Visit, path: str, typed: str) -> bool:
        """Who and when need no entry of their own where the visit and its member say the same."""
        if path.endswith(".taken_on"):
            return typed == visit.started_on.isoformat()
        if not path.endswith(".taken_by"):
            return False
        first = self._held.get(visit.id, {}).get(path.replace(".taken_by", ".first"))
        return typed == (first.changed_by if first is not None else self._member.name)


def _same(held: object, value: object) -> bool:
    if isinstance(held, int | float) and isinstance(value, int | float):
        return abs(held - value) <= SAME_MM
    return held == value


class ExchangeService:
    """Export, a look at a file, and import."""

    def __init__(self, records: Records, formats: Exchange, clock: Clock) -> None:
        self._records, self._formats, self._clock = records, formats, clock

    def export(
        self, member: Member, format: str, visit_id: UUID | None = None
    ) -> tuple[bytes, str, str]:
        """The practice's measurements, or one visit's: file, media type, name."""
        found = self._records.measured(member.practice_id, visit_id)
        return self._formats.write(format, [sheet_of(*one) for one in found])

    def look(self, member: Member, raw: bytes) -> Preview:
        """What a file says and what importing it would do. Writes nothing."""
        return self._look(member, raw)[0]

    def take_in(self, member: Member, raw: bytes) -> Preview:
        """Import a file whole.

        Raises
        ------
        NotAllowed
            For readers.
        BadFile
            With every line and reason, if anything in it is wrong; nothing is written then.

        """
        require_writer(member)
        preview, intake = self._look(member, raw)
        if preview.troubles:
            raise BadFile("The file was not taken in.", preview.troubles)
        self._records.take_in(member.practice_id, intake, self._clock())
        return preview

    def _look(self, member: Member, raw: bytes) -> tuple[Preview, Intake]:
        if len(raw) > MOST_BYTES:
            raise BadFile(
                f"The file has {len(raw) / 1e6:.0f} MB; up to {MOST_BYTES / 1e6:.0f} are read."
            )
        label, read = self._formats.read(raw)
        planner = _Planner(self._records, member)
        understood = [planner.take(sheet) for sheet in read.sheets]
        troubles = [*read.troubles, *planner.troubles]
        if not understood and not troubles:
            troubles.append(("1", "", "no measurement in this file"))
        preview = Preview(
            format=label, understood=understood, troubles=troubles, left_out=read.left_out
        )
        return preview, Intake(clients=tuple(planner.clients), visits=tuple(planner.visits),
                               changes=tuple(planner.changes))  # fmt: skip
