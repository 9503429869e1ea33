"""Rows of the database as the services' models."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from datetime import date
from uuid import UUID

from ..core.body import SEXES
from ..core.choices import one_of
from ..core.visit import CONDITIONS
from ..services.models import Client, EarlierVisit, Entry, ReportHead, Visit
from .models import ClientRow, EntryRow, ReportRow, VisitRow


def client_of(row: ClientRow) -> Client:
    """The client a row holds."""
    return Client(
        id=row.id,
        practice_id=row.practice_id,
        name=row.name,
        sex=one_of(SEXES, row.sex),
        work=row.work,
        version=row.version,
        origin_id=row.origin_id,
        email=row.email,
        restricted=row.restricted,
        birth_year=row.birth_year,
    )


def visit_of(row: VisitRow) -> Visit:
    """The visit a row holds."""
    return Visit(
        id=row.id,
        practice_id=row.practice_id,
        client_id=row.client_id,
        member_id=row.member_id,
        started_on=row.started_on,
        revision=row.revision,
        errors=row.errors or {},
        policies=row.policies or {},
        origin_id=row.origin_id,
        discarded_at=row.discarded_at,
    )


def entry_of(row: EntryRow, by: str) -> Entry:
    """The entry a row holds, with the name of who changed it."""
    return Entry(
        path=row.path,
        value=row.value,
        typed=row.typed,
        version=row.version,
        changed_at=row.changed_at,
        changed_by=by,
        self_reported=row.self_reported,
    )


def head_of(row: ReportRow, copies: Mapping[str, str]) -> ReportHead:
    """The signed version a row holds, without content; ``copies`` are the digests of its copies by name."""
    return ReportHead(
        id=row.id,
        visit_id=row.visit_id,
        number=row.number,
        revision=row.revision,
        signed_by=row.signed_by,
        signed_at=row.signed_at,
        copies=copies,
    )


def earlier_visits(
    found: Iterable[tuple[str, str, str, float | str | None]], before: date
) -> tuple[EarlierVisit, ...]:
    """Visits from lines of visit, day, path and value; the latest first.

    What was measured on the day itself is no history yet; what was said of conditions then stands.
    """
    visits: dict[str, EarlierVisit] = {}
    for visit, day, path, value in found:
        if visit not in visits:
            visits[visit] = EarlierVisit(
                visit_id=UUID(visit), started_on=date.fromisoformat(day), values={}
            )
        one = visits[visit]
        if path.startswith(CONDITIONS):
            one.conditions[path] = value
        elif one.started_on < before:
            one.values[path] = value
    return tuple(sorted(visits.values(), key=lambda one: one.started_on, reverse=True))
