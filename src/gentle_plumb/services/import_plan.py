"""An import planned: whose each sheet is, and what is new in it. Writes nothing."""

from __future__ import annotations

from collections.abc import Sequence, Set
from dataclasses import dataclass
from datetime import date
from uuid import UUID, uuid4

from ..core.body import DIMENSIONS, resolve_readings
from ..core.errors import FieldError
from ..core.language import msg
from ..core.record import field_of, fields, read_typed
from .consent import consent_for
from .errors import BadFile
from .models import Change, Client, Entry, MeasurementSheet, Member, Troubles, Visit
from .ports import Records

KEPT_OUT = (fields.measure.table.id,)
"""What means something in its own practice only."""
SAME_READING_MM = 0.05
"""Values nearer than this are the same reading, whatever unit they were written in, mm. Source: house-repeat."""


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


class ImportPlan:
    """Holds sheets against what the practice has: first whose each is, then what is new in it."""

    def __init__(self, records: Records, member: Member, day: date, hidden: Set[UUID]) -> None:
        self._member, self._records, self._day = member, records, day
        self.clients: list[Client] = []
        self.visits: list[Visit] = []
        self.changes: list[Change] = []
        self.troubles = Troubles()
        self.left_out = Troubles()
        self._planned: set[tuple[UUID, str]] = set()
        self._held: dict[UUID, dict[str, Entry]] = {}
        self._client_by_id: dict[str, Client] = {}
        self._clients_by_name: dict[str, list[Client]] = {}
        self._visit_by_id: dict[str, Visit] = {}
        self._visit_by_day: dict[tuple[UUID, date], Visit] = {}
        for client in records.clients(member.practice_id):
            if client.id not in hidden:
                self._know_client(client)
        for visit in records.visits_of(member.practice_id):
            if visit.client_id not in hidden:
                self._know_visit(visit)
        self._known = set(self._client_by_id) | set(self._visit_by_id)

    def _know_client(self, client: Client) -> None:
        self._client_by_id[str(client.id)] = client
        if client.origin_id:
            self._client_by_id.setdefault(client.origin_id, client)
        self._clients_by_name.setdefault(client.name, []).append(client)

    def _know_visit(self, visit: Visit) -> None:
        self._visit_by_id[str(visit.id)] = visit
        if visit.origin_id:
            self._visit_by_id.setdefault(visit.origin_id, visit)
        self._visit_by_day[visit.client_id, visit.started_on] = visit

    def take_all(self, sheets: Sequence[MeasurementSheet]) -> list[Understood]:
        """Plan every sheet."""
        whose = []
        for sheet in sheets:
            client = self._client(sheet)
            whose.append((sheet, client, self._visit(sheet, client)))
        known = {visit.id for _, _, visit in whose if str(visit.id) in self._known}
        for visit, _, entries in self._records.measured(self._member.practice_id, known):
            self._held[visit.id] = {entry.path: entry for entry in entries}
        return [self._take(*row) for row in whose]

    def _take(self, sheet: MeasurementSheet, client: Client, visit: Visit) -> Understood:
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
            place=sheet.place,
            client=client.name,
            client_known=str(client.id) in self._known,
            visit_on=visit.started_on,
            visit_known=str(visit.id) in self._known,
            values=values,
            new=new,
            dimensions=len({path.split(".")[1] for path in sheet.entries if path.count(".") == 2}),
        )

    def _client(self, sheet: MeasurementSheet) -> Client:
        held = self._client_by_id.get(sheet.client_id) if sheet.client_id else None
        if held is not None:
            if held.name != sheet.name:
                self.troubles.append(
                    (
                        sheet.place,
                        "client",
                        msg(
                            "“{name}” has the identifier of {name2}",
                            name=sheet.name,
                            name2=held.name,
                        ),
                    )
                )
            return held
        if not sheet.client_id:
            named = self._clients_by_name.get(sheet.name, [])
            if len(named) > 1:
                self.troubles.append(
                    (
                        sheet.place,
                        "client",
                        msg(
                            "{len} clients are called “{name}”: give client_id",
                            len=len(named),
                            name=sheet.name,
                        ),
                    )
                )
            if named:
                return named[0]
        client = Client(
            id=uuid4(),
            practice_id=self._member.practice_id,
            name=sheet.name,
            sex=sheet.sex,
            work=sheet.work,
            origin_id=sheet.client_id or None,
        )
        self._text(sheet.client_id, 200, sheet.place, "client_id")
        self._text(sheet.name, 200, sheet.place, "client")
        self._text(sheet.work, 200, sheet.place, "work")
        self.clients.append(client)
        self._know_client(client)
        return client

    def _text(self, text: str, most: int, place: str, field: str) -> None:
        odd = any(ord(sign) < 32 or "\ud800" <= sign <= "\udfff" for sign in text)
        if len(text) > most or odd:
            self.troubles.append(
                (
                    place,
                    field,
                    msg("over {most} characters, or with signs that can’t be shown", most=most),
                )
            )

    def _visit(self, sheet: MeasurementSheet, client: Client) -> Visit:
        held = self._visit_by_id.get(sheet.visit_id) if sheet.visit_id else None
        if held is not None:
            if held.client_id != client.id:
                self.troubles.append(
                    (sheet.place, "visit_id", msg("already belongs to another client"))
                )
            if held.started_on != sheet.on:
                self.troubles.append(
                    (
                        sheet.place,
                        "visit_on",
                        msg(
                            "{on}, but this visit was on {started_on}",
                            on=sheet.on.isoformat(),
                            started_on=held.started_on.isoformat(),
                        ),
                    )
                )
            return held
        alike = self._visit_by_day.get((client.id, sheet.on)) if not sheet.visit_id else None
        if alike is not None:
            return alike
        self._text(sheet.visit_id, 200, sheet.place, "visit_id")
        if sheet.on > self._day:
            self.troubles.append(
                (sheet.place, "visit_on", msg("{on} is to come", on=sheet.on.isoformat()))
            )
        visit = Visit(
            id=uuid4(),
            practice_id=self._member.practice_id,
            client_id=client.id,
            member_id=self._member.id,
            started_on=sheet.on,
            origin_id=sheet.visit_id or None,
        )
        self.visits.append(visit)
        self._know_visit(visit)
        return visit

    def _read(self, path: str, typed: str, where: str) -> float | str | None:
        try:
            if not path.startswith("measure.") or path in KEPT_OUT:
                raise BadFile(msg("“{path}” is not taken in.", path=path))
            return read_typed(field_of(path), typed, unit="mm")
        except FieldError as error:
            self.troubles.append((where, path.removeprefix("measure."), error.message))
        except BadFile as error:
            self.troubles.append((where, path, str(error)))
        return None

    def _change(
        self,
        sheet: MeasurementSheet,
        visit: Visit,
        path: str,
        typed: str,
        value: float | str,
        where: str,
    ) -> bool:
        """Plan one entry; whether it is new."""
        held = self._held.get(visit.id, {}).get(path)
        if held is not None and held.typed:
            if _same(held.value, value) or (sheet.means and self._comes_to(visit, path, value)):
                return False
            field = path.removeprefix("measure.")
            self.troubles.append(
                (
                    where,
                    field,
                    msg(
                        "“{typed}”, but here it is “{typed2}” already",
                        typed=typed,
                        typed2=held.typed,
                    ),
                )
            )
            return False
        if self._said_anyhow(sheet, visit, path, typed):
            return False
        if (visit.id, path) in self._planned:
            self.troubles.append(
                (where, path.removeprefix("measure."), msg("appears twice in this file"))
            )
            return False
        consent = consent_for(field_of(path))
        if consent is not None:
            self.left_out.append(
                (
                    where,
                    path.removeprefix("measure."),
                    msg(
                        "kept only with the client’s consent to health notes; type it once that is recorded"
                    ),
                )
            )
            return False
        self._planned.add((visit.id, path))
        self.changes.append(
            Change(
                id=uuid4(),
                visit_id=visit.id,
                path=path,
                typed=typed.strip(),
                value=value,
                expected_version=held.version if held is not None else 0,
                member_id=self._member.id,
            )
        )
        return True

    def _comes_to(self, visit: Visit, path: str, value: float | str) -> bool:
        """Whether the readings that are here come to this value."""
        _, name, part = (*path.split("."), "", "")[:3]
        if part != "first" or name not in DIMENSIONS:
            return False
        held = self._held.get(visit.id, {})
        readings = [
            entry.value
            for reading in fields.measure.dimension[name].readings
            if (entry := held.get(reading.id)) is not None
        ]
        known = [float(mm) for mm in readings if isinstance(mm, int | float)]
        limit = DIMENSIONS[name].repeat_limit_mm
        return _same(resolve_readings(known, repeat_limit_mm=limit).value_mm, value)

    def _said_anyhow(self, sheet: MeasurementSheet, visit: Visit, path: str, typed: str) -> bool:
        """Who and when need no entry of their own where the visit and its member say the same."""
        if path.endswith(".taken_on"):
            return typed == visit.started_on.isoformat()
        if not path.endswith(".taken_by"):
            return False
        first = self._held.get(visit.id, {}).get(path.replace(".taken_by", ".first"))
        return typed == (first.changed_by if first is not None else self._member.name)


def _same(held: object, value: object) -> bool:
    if isinstance(held, int | float) and isinstance(value, int | float):
        return abs(held - value) <= SAME_READING_MM
    return held == value
