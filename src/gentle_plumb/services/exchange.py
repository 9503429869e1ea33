"""Measurements out to files and in from them: looked at first, then written whole or not at all."""

from __future__ import annotations

from collections.abc import Callable, Sequence, Set
from dataclasses import dataclass
from datetime import timedelta
from uuid import UUID

from ..core.language import msg, numeral
from ..core.record import fields
from .errors import BadFile
from .import_plan import KEPT_OUT, ImportPlan, Understood
from .models import (
    MOST_TROUBLES,
    Client,
    Entry,
    FileLine,
    ImportBatch,
    MeasurementSheet,
    Member,
    Troubles,
    Visit,
)
from .ports import Clock, Exchange, Records

OWN_LISTS = ("short", "full")
MOST_BYTES = 20_000_000


@dataclass(frozen=True, kw_only=True)
class Preview:
    """What an import would do; nothing is written while there are troubles."""

    format: str
    understood: list[Understood]
    troubles: list[FileLine]
    left_out: list[FileLine]


def sheet_of(visit: Visit, client: Client, entries: Sequence[Entry]) -> MeasurementSheet:
    """What leaves of a visit: who took a reading and when goes with it."""
    said = {
        entry.path: entry.typed
        for entry in entries
        if entry.path not in KEPT_OUT
        and not (entry.path == fields.measure.list_.id and entry.typed not in OWN_LISTS)
    }
    takers = {entry.path: entry.changed_by for entry in entries}
    for asked in fields.measure.dimension.values():
        if asked.first.id in takers:
            said.setdefault(asked.taken_by.id, takers[asked.first.id])
            said.setdefault(asked.taken_on.id, visit.started_on.isoformat())
    return MeasurementSheet(
        client_id=client.origin_id or str(client.id),
        name=client.name,
        sex=client.sex,
        work=client.work,
        visit_id=visit.origin_id or str(visit.id),
        on=visit.started_on,
        entries=dict(sorted(said.items())),
    )


def too_long(size: int, most: int = MOST_BYTES) -> BadFile:
    """What is said of a file over the limit."""
    return BadFile(
        msg(
            "The file has {size} MB; up to {most} are read.",
            size=numeral(f"{size / 1000000.0:.0f}"),
            most=numeral(f"{most / 1000000.0:.0f}"),
        )
    )


def joined(*parts: Troubles) -> list[FileLine]:
    """All troubles told, and in a last line how many are not."""
    lines = sorted((FileLine(*trouble) for part in parts for trouble in part), key=_by_line)
    untold = sum(part.unlisted for part in parts) + max(0, len(lines) - MOST_TROUBLES)
    rest = [FileLine("", "", msg("and {untold} more of the kind", untold=untold))] if untold else []
    return lines[:MOST_TROUBLES] + rest


def _by_line(trouble: FileLine) -> tuple[bool, int]:
    """Lines in the order of the file; what has no line stands after them, as it came."""
    return (False, int(trouble.line)) if trouble.line.isdigit() else (True, 0)


class ExchangeService:
    """Export, a look at a file, and import."""

    def __init__(
        self,
        records: Records,
        formats: Exchange,
        clock: Clock,
        hidden_from: Callable[[Member], Set[UUID]] | None = None,
    ) -> None:
        self._records, self._formats, self._clock = records, formats, clock
        self._hidden_from = hidden_from or (lambda _: frozenset())

    def export(
        self, member: Member, format: str, visit_id: UUID | None = None
    ) -> tuple[bytes, str, str, frozenset[UUID]]:
        """The practice's measurements, or one visit's: file, media type, name, and whose they are.

        Raises NotAllowed without a view of health data.
        """
        only = None if visit_id is None else {visit_id}
        hidden = self._hidden_from(member)
        seen = [
            measured
            for measured in self._records.measured(member.practice_id, only)
            if measured[1].id not in hidden
        ]
        file = self._formats.write(format, [sheet_of(*measured) for measured in seen])
        return (*file, frozenset(client.id for _, client, _ in seen))

    def look(self, member: Member, raw: bytes) -> Preview:
        """What a file says and what importing it would do. Writes nothing; raises NotAllowed."""
        return self._look(member, raw)[0]

    def import_batch(self, member: Member, raw: bytes) -> Preview:
        """Import a file whole.

        Raises
        ------
        NotAllowed
            For readers.
        BadFile
            With every line and reason, if anything in it is wrong; nothing is written then.

        """
        preview, intake = self._look(member, raw)
        if preview.troubles:
            raise BadFile(msg("The file was not imported."), preview.troubles)
        self._records.import_batch(member.practice_id, intake, self._clock())
        return preview

    def _look(self, member: Member, raw: bytes) -> tuple[Preview, ImportBatch]:
        if len(raw) > MOST_BYTES:
            raise too_long(len(raw))
        label, read = self._formats.read(raw)
        tomorrow = self._clock().date() + timedelta(days=1)  # it is that already in the far east
        planner = ImportPlan(self._records, member, tomorrow, self._hidden_from(member))
        understood = planner.take_all(read.sheets)
        troubles = joined(read.troubles, planner.troubles)
        if not understood and not troubles:
            troubles.append(FileLine("1", "", msg("no measurements in this file")))
        preview = Preview(
            format=label,
            understood=understood,
            troubles=troubles,
            left_out=joined(read.left_out, planner.left_out),
        )
        return preview, ImportBatch(
            clients=tuple(planner.clients),
            visits=tuple(planner.visits),
            changes=tuple(planner.changes),
        )
