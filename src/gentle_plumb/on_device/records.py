"""Visits in memory: what was taken along, and what was changed since."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import replace
from datetime import UTC, datetime, timedelta
from fnmatch import fnmatchcase
from typing import TypeVar
from uuid import UUID

from ..core.language import msg
from ..core.plans import Prices
from ..core.record import fields
from ..core.visit import CONDITIONS
from ..services.consent import NEEDED_FOR
from ..services.errors import (
    AlreadyThere,
    HoldsSomething,
    NeedsConsent,
    NeedsServer,
    NotFound,
    ReusedChange,
    Stale,
)
from ..services.models import (
    Change,
    Client,
    EarlierVisit,
    Entry,
    ErasureScope,
    ImportBatch,
    MeasuringList,
    OfflineVisit,
    PhotoHead,
    PopulationTable,
    Report,
    ReportHead,
    Visit,
    VisitSnapshot,
)
from .servers_records import ServerOnlyRecords


class DeviceRecords(ServerOnlyRecords):
    """What a visit needs on a device of :class:`~gentle_plumb.services.ports.Records`.

    ``name_of`` tells a member's name.
    """

    def __init__(self, name_of: Callable[[UUID], str]) -> None:
        self._name_of = name_of
        self.client_by_id: dict[UUID, Client] = {}
        self.visit_by_id: dict[UUID, Visit] = {}
        self.held: dict[tuple[UUID, str], Entry] = {}
        self.changes: dict[UUID, Change] = {}
        self.pictures: dict[UUID, tuple[PhotoHead, bytes]] = {}
        self.tables: Mapping[UUID, PopulationTable] = {}
        self.lists: Mapping[UUID, MeasuringList] = {}
        self.prices = Prices()
        self._heads: dict[UUID, list[ReportHead]] = {}
        self._last: dict[UUID, Report] = {}
        self._earlier: dict[UUID, EarlierVisit] = {}

    def take(self, taken: OfflineVisit) -> None:
        """Put a visit here as the server holds it, in place of what was here of it."""
        if taken.before is not None:
            self.take(taken.before)
        visit = taken.visit.id
        self.client_by_id[taken.client.id], self.visit_by_id[visit] = taken.client, taken.visit
        self.held = {key: entry for key, entry in self.held.items() if key[0] != visit}
        self.held.update({(visit, entry.path): entry for entry in taken.entries})
        self.changes = {
            id: change for id, change in self.changes.items() if change.visit_id != visit
        }
        self.pictures = {
            id: kept for id, kept in self.pictures.items() if kept[0].visit_id != visit
        }
        self.pictures.update({photo.id: (photo, b"") for photo in taken.photos})
        self._heads[visit] = list(taken.reports)
        if taken.last is not None:
            self._last[visit] = taken.last
        self._earlier.update({visit.visit_id: visit for visit in taken.earlier})

    def client(self, practice_id: UUID, client_id: UUID) -> Client:
        found = self.client_by_id.get(client_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound(msg("There is no such client."))
        return found

    def add_client(self, client: Client) -> Client:
        held = self.client_by_id.setdefault(client.id, client)
        if held.practice_id != client.practice_id:
            raise AlreadyThere(msg("Another client has this id."))
        return held

    def add_visit(self, visit: Visit) -> Visit:
        held = self.visit_by_id.setdefault(visit.id, visit)
        if (held.practice_id, held.client_id) != (visit.practice_id, visit.client_id):
            raise AlreadyThere(msg("Another visit has this id."))
        return held

    def visit_before(self, practice_id: UUID, visit_id: UUID) -> UUID | None:
        """As the port says, of what was taken along."""
        now = self.visit_by_id[visit_id]
        mine = [
            visit
            for visit in self.visit_by_id.values()
            if visit.client_id == now.client_id
            and (visit.practice_id, visit.id != visit_id) == (practice_id, True)
            and visit.started_on <= now.started_on
            and (
                self.reports_of(visit.id)
                or any(path.startswith("set.") for path in self.entries_of(visit.id))
            )
        ]
        return max(mine, key=lambda visit: visit.started_on).id if mine else None

    def drop_visit(self, practice_id: UUID, visit_id: UUID) -> None:
        _, _, entries, heads, photos = self.open(practice_id, visit_id)
        if heads or photos or any(entry.typed for entry in entries):
            raise HoldsSomething(msg("This visit is not empty."))
        self.forget(visit_id)

    def consents_said(self, practice_id: UUID, visit_id: UUID) -> list[Entry]:
        """As the port says, of what is held here."""
        paths = {field.id for field in fields.ask.consent.values()}
        said = [entry for path, entry in self.entries_of(visit_id).items() if path in paths]
        return sorted(said, key=lambda entry: (entry.changed_at, entry.path, entry.version))

    def discard_visit(
        self, practice_id: UUID, visit_id: UUID, moment: datetime | None, *, forget: timedelta
    ) -> None:
        """The server's alone."""
        raise NeedsServer(msg("Drafts can be discarded when you are back online."))

    def forget(self, visit_id: UUID) -> None:
        """Leave nothing of a visit here."""
        del self.visit_by_id[visit_id]
        self.held = {key: entry for key, entry in self.held.items() if key[0] != visit_id}
        self.pictures = {
            id: kept for id, kept in self.pictures.items() if kept[0].visit_id != visit_id
        }

    def entries_of(self, visit_id: UUID) -> dict[str, Entry]:
        """A visit's entries by path."""
        return {path: entry for (visit, path), entry in self.held.items() if visit == visit_id}

    def reports_of(self, visit_id: UUID) -> list[ReportHead]:
        """A visit's signed versions, the first one first."""
        return self._heads.get(visit_id, [])

    def visit(self, practice_id: UUID, visit_id: UUID) -> Visit:
        """A visit alone; raises NotFound."""
        found = self.visit_by_id.get(visit_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound(msg("There is no such visit."))
        return found

    def open(
        self, practice_id: UUID, visit_id: UUID
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead], list[PhotoHead]]:
        visit = self.visit(practice_id, visit_id)
        return (
            visit,
            self.client_by_id[visit.client_id],
            list(self.entries_of(visit_id).values()),
            self.reports_of(visit_id),
            [head for head, _ in self.pictures.values() if head.visit_id == visit_id],
        )

    def load_snapshot(self, practice_id: UUID, visit_id: UUID) -> VisitSnapshot:
        visit, client, entries, heads, photos = self.open(practice_id, visit_id)
        values = {entry.path: entry.value for entry in entries}
        return VisitSnapshot(
            visit=visit,
            client=client,
            values=values,
            self_reported=frozenset(entry.path for entry in entries if entry.self_reported),
            versions=len(heads),
            signed_revision=heads[-1].revision if heads else None,
            photos=tuple(photos),
            earlier=self._earlier_of(visit),
            table=_chosen(self.tables, values.get(fields.measure.table.id), practice_id),
            listed=_chosen(self.lists, values.get(fields.measure.list_.id), practice_id),
            prices=self.prices,
            read_on=datetime.now(UTC).date(),
        )

    def _earlier_of(self, visit: Visit) -> tuple[EarlierVisit, ...]:
        visits = {
            id: earlier_visit
            for id, earlier_visit in self._earlier.items()
            if id not in self.visit_by_id and earlier_visit.started_on <= visit.started_on
        }
        for one in self.visit_by_id.values():
            mine = one.client_id == visit.client_id and one.id != visit.id
            if not mine or one.started_on > visit.started_on:
                continue
            entries = self.entries_of(one.id).items()
            measured = {
                path: entry.value
                for path, entry in entries
                if path.startswith("measure.") and one.started_on < visit.started_on
            }
            conditions = {
                path: entry.value for path, entry in entries if path.startswith(CONDITIONS)
            }
            if measured or conditions:
                visits[one.id] = EarlierVisit(
                    visit_id=one.id,
                    started_on=one.started_on,
                    values=measured,
                    conditions=conditions,
                )
        return tuple(sorted(visits.values(), key=lambda visit: visit.started_on, reverse=True))

    def import_batch(self, practice_id: UUID, intake: ImportBatch, now: datetime) -> None:
        before = self._state()
        try:
            for client in intake.clients:
                self.add_client(client)
            for visit in intake.visits:
                self.add_visit(visit)
            for change in intake.changes:
                self.write(practice_id, change, now)
        except Exception:
            self.held, self.changes, self.client_by_id, self.visit_by_id = before
            raise

    def _state(
        self,
    ) -> tuple[
        dict[tuple[UUID, str], Entry], dict[UUID, Change], dict[UUID, Client], dict[UUID, Visit]
    ]:
        return (
            dict(self.held),
            dict(self.changes),
            dict(self.client_by_id),
            dict(self.visit_by_id),
        )

    def write(self, practice_id: UUID, change: Change, now: datetime) -> tuple[Entry, int]:
        visit = self.visit(practice_id, change.visit_id)
        key = (change.visit_id, change.path)
        row, before = self.held.get(key), self.changes.get(change.id)
        if before is not None and row is not None:
            if (before.visit_id, before.path, before.typed) != (*key, change.typed):
                raise ReusedChange(msg("This change was made before, with other content."))
            return row, visit.revision
        self._need_consent(visit.id, change.consent, change.path)
        if (row.version if row else 0) != change.expected_version:
            raise Stale(row or _nothing(change.path, now))
        entry = Entry(
            path=change.path,
            value=change.value,
            typed=change.typed,
            version=change.expected_version + 1,
            changed_at=now,
            changed_by=self._name_of(change.member_id),
            self_reported=change.self_reported,
        )
        self.held[key], self.changes[change.id] = entry, change
        self._raise(visit.id)
        if change.erase is not None:
            self._erase(visit.id, change.erase)
        return entry, visit.revision + 1

    def _raise(self, visit_id: UUID) -> None:
        visit = self.visit_by_id[visit_id]
        self.visit_by_id[visit_id] = replace(visit, revision=visit.revision + 1)

    def _need_consent(self, visit_id: UUID, consent: str | None, field: str) -> None:
        if consent is None:
            return
        entry = self.held.get((visit_id, consent))
        if entry is None or entry.value != "yes":
            raise NeedsConsent(field, consent, NEEDED_FOR[consent])

    def _erase(self, visit_id: UUID, what: ErasureScope) -> None:
        def told(path: str) -> bool:
            of_family = any(fnmatchcase(path, family) for family in what.families)
            return path in what.paths or path.startswith(what.starts or ("\0",)) or of_family

        for key, entry in list(self.held.items()):
            if key[0] == visit_id and told(key[1]) and entry.value is not None:
                self.held[key] = replace(entry, value=None, typed="", version=entry.version + 1)
        for id, change in list(self.changes.items()):
            if change.visit_id == visit_id and told(change.path):
                self.changes[id] = replace(change, value=None, typed="")
        if what.photos:
            self.pictures = {
                id: kept for id, kept in self.pictures.items() if kept[0].visit_id != visit_id
            }

    def add_photo(
        self, practice_id: UUID, photo: PhotoHead, jpeg: bytes, *, member_id: UUID, consent: str
    ) -> PhotoHead:
        """As the port says; whose it is, is the server's to keep."""
        self.visit(practice_id, photo.visit_id)
        self._need_consent(photo.visit_id, consent, f"look.photo.{photo.id}")
        held = self.pictures.get(photo.id)
        if held is not None:
            if (held[0].visit_id, held[0].sha256) != (photo.visit_id, photo.sha256):
                raise AlreadyThere(msg("Another photograph has this id."))
            return held[0]
        self.pictures[photo.id] = (photo, jpeg)
        self._raise(photo.visit_id)
        return photo

    def photo(self, practice_id: UUID, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        result = self.pictures.get(photo_id)
        if result is None or self.visit_by_id[result[0].visit_id].practice_id != practice_id:
            raise NotFound(msg("There is no such photograph."))
        return result

    def drop_photo(self, practice_id: UUID, photo_id: UUID) -> None:
        head, _ = self.photo(practice_id, photo_id)
        del self.pictures[photo_id]
        self._erase(head.visit_id, ErasureScope(starts=(f"look.photo.{photo_id}.",)))
        self._raise(head.visit_id)

    def last_report(self, practice_id: UUID, visit_id: UUID) -> Report | None:
        self.visit(practice_id, visit_id)
        return self._last.get(visit_id)


def _nothing(path: str, now: datetime) -> Entry:
    return Entry(path=path, value=None, typed="", version=0, changed_at=now, changed_by="")


Own = TypeVar("Own", PopulationTable, MeasuringList)


def _chosen(kept: Mapping[UUID, Own], id: object, practice_id: UUID) -> Own | None:
    measuring_list = {
        str(measuring_list.id): measuring_list for measuring_list in kept.values()
    }.get(str(id))
    return (
        measuring_list
        if measuring_list is not None and measuring_list.practice_id == practice_id
        else None
    )
