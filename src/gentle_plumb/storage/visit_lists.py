"""Lists of visits and clients in PostgreSQL: first what they are searched by, then the lines that are shown."""

from __future__ import annotations

from collections.abc import Collection
from datetime import date
from typing import Any
from uuid import UUID

from sqlalchemy import ColumnElement, FromClause, Select, func, select, text
from sqlalchemy.dialects.postgresql import distinct_on

from ..core.record import fields
from ..services.consent import WORKPLACE
from ..services.models import Client, Visit, VisitInList, VisitLine
from .mapping import columns_of, model_of
from .store import Store
from .tables import CLIENT, ENTRY, MEMBER, REPORT, VISIT

FLAGS = tuple(flag_fields.there.id for flag_fields in fields.ask.flag.values())
FELT = tuple(discomfort_fields.strength.id for discomfort_fields in fields.ask.discomfort.values())
SETTLING = (fields.settings.settle_started.id, fields.settings.settle_minutes.id)
_VISIT, _CLIENT, _ENTRY = VISIT.c, CLIENT.c, ENTRY.c


WAITING = text("""
with last as (
  select distinct on (r.visit_id) r.visit_id, r.revision from report r
  join visit v on v.id = r.visit_id where v.practice_id = :practice
  order by r.visit_id, r.number desc
), every as (
  select v.id, v.client_id, v.member_id, v.started_on,
         l.revision is not distinct from v.revision as signed
  from visit v left join last l on l.visit_id = v.id
  where v.practice_id = :practice and v.discarded_at is null
    and (cast(:member as uuid) is null or v.member_id = :member)
), open as (
  select id from every where not signed order by started_on desc, id limit :most
), newest as (
  select id from every where signed order by started_on desc, id limit :latest
), flagged as (
  select distinct e.id from every e join entry f on f.visit_id = e.id
  where f.path = any(:flags) and f.typed = 'yes'
), due as (
  select e.id from every e join entry f on f.visit_id = e.id
  where e.signed and f.path = :due and f.value #>> '{}' <= :soon
    and not exists (
      select from visit s where s.client_id = e.client_id and s.started_on > e.started_on)
  order by f.value #>> '{}' desc, e.id limit :most
), shown as (
  select id from open union select id from newest union select id from flagged union select id from due
)
select e.id, e.client_id, e.member_id, e.started_on, e.signed,
       exists (select from due d where d.id = e.id) as due,
       exists (select from flagged f where f.id = e.id) as flagged
from shown s join every e on e.id = s.id join client c on c.id = e.client_id
order by e.started_on desc, c.name, e.id
""")
"""What Today may show of a practice: each part no longer than a page, so that many visits cost little."""


def _due_of(due: FromClause) -> ColumnElement[bool]:
    """The entry that says when a visit is followed up."""
    return (due.c.visit_id == _VISIT.id) & (due.c.path == fields.report.follow_up.id)


class SqlVisitLists(Store):
    """The lists of the Records port."""

    def client_names(self, practice_id: UUID) -> list[tuple[UUID, str, str]]:
        query = select(*_CLIENT["id", "name", "work"]).where(_CLIENT.practice_id == practice_id)
        with self._reader.connect() as connection:
            clients = connection.execute(query.order_by(_CLIENT.name, _CLIENT.id))
            return [(id, name, work) for id, name, work in clients]

    def clients(self, practice_id: UUID, of: Collection[UUID] | None = None) -> list[Client]:
        where = [_CLIENT.practice_id == practice_id]
        where += [_CLIENT.id.in_(of)] if of is not None else []
        return self._list(Client, *where, order=(_CLIENT.name, _CLIENT.id))

    def last_visits(
        self, practice_id: UUID, clients: Collection[UUID]
    ) -> dict[UUID, tuple[date, str | None]]:
        due = ENTRY.alias("due")
        query = (
            select(_VISIT.client_id, _VISIT.started_on, due.c.value)
            .ext(distinct_on(_VISIT.client_id))
            .outerjoin(due, _due_of(due))
            .where(_VISIT.practice_id == practice_id, _VISIT.client_id.in_(clients))
            .where(_VISIT.discarded_at.is_(None))
            .order_by(_VISIT.client_id, _VISIT.started_on.desc(), _VISIT.id)
        )
        with self._reader.connect() as connection:
            return {id: (on, follow) for id, on, follow in connection.execute(query)}

    def visits_of(self, practice_id: UUID) -> list[Visit]:
        mine = _VISIT.practice_id == practice_id
        return self._list(Visit, mine, order=(_VISIT.started_on, _VISIT.id))

    def visit_keys(self, practice_id: UUID) -> list[tuple[UUID, UUID, UUID]]:
        query = (
            select(*_VISIT["id", "client_id", "member_id"])
            .join_from(VISIT, CLIENT, _CLIENT.id == _VISIT.client_id)
            .where(_VISIT.practice_id == practice_id, _VISIT.discarded_at.is_(None))
            .order_by(_VISIT.started_on.desc(), _CLIENT.name, _VISIT.id)
        )
        with self._reader.connect() as connection:
            keys = connection.execute(query)
            return [(id, client_id, member_id) for id, client_id, member_id in keys]

    def visits_waiting(
        self, practice_id: UUID, *, soon: date, latest: int, most: int, member_id: UUID | None
    ) -> list[VisitInList]:
        keys = {
            "practice": practice_id,
            "soon": soon.isoformat(),
            "most": most,
            "member": member_id,
            "latest": latest,
            "flags": list(FLAGS),
            "due": fields.report.follow_up.id,
        }
        with self._reader.connect() as connection:
            return [VisitInList(**row._mapping) for row in connection.execute(WAITING, keys)]

    def visits(
        self,
        practice_id: UUID,
        *,
        of: Collection[UUID] | None = None,
        client_id: UUID | None = None,
    ) -> list[VisitLine]:
        mine = _ENTRY.visit_id == _VISIT.id
        signed = (
            select(*REPORT.c["id", "visit_id", "signed_at", "revision"])
            .ext(distinct_on(REPORT.c.visit_id))
            .order_by(REPORT.c.visit_id, REPORT.c.number.desc())
            .subquery()
        )
        prior, clause = VISIT.alias("prior"), ENTRY.alias("told")
        visit_before = (
            select(prior.c.id)
            .where(prior.c.client_id == _VISIT.client_id, prior.c.id != _VISIT.id)
            .where(prior.c.started_on < _VISIT.started_on, prior.c.discarded_at.is_(None))
            .order_by(prior.c.started_on.desc(), prior.c.id)
            .limit(1)
            .correlate(VISIT)
            .scalar_subquery()
        )
        beside = {
            "changed_at": select(func.max(_ENTRY.changed_at)).where(mine),
            "follow_up": _value_at(fields.report.follow_up.id),
            "signs": _values_at(fields.ask.RED_FLAG_PATHS),
            "shared": _value_at(WORKPLACE),
            "touched": select(
                func.array_agg(func.distinct(func.split_part(_ENTRY.path, ".", 1)))
            ).where(mine),
            "settling": _values_at(SETTLING),
            "felt": _values_at(FELT),
            "felt_before": select(func.jsonb_object_agg(clause.c.path, clause.c.value))
            .where(clause.c.path.in_(FELT), clause.c.visit_id == visit_before)
            .correlate(VISIT),
        }
        query = (
            select(
                *columns_of(Visit),
                *columns_of(Client),
                MEMBER.c.name.label("practitioner"),
                signed.c.id.label("report_id"),
                signed.c.signed_at,
                signed.c.revision,
                *(part.scalar_subquery().label(name) for name, part in beside.items()),
            )
            .join_from(VISIT, CLIENT, _CLIENT.id == _VISIT.client_id)
            .join(MEMBER, MEMBER.c.id == _VISIT.member_id)
            .outerjoin(signed, signed.c.visit_id == _VISIT.id)
            .where(_VISIT.practice_id == practice_id, _VISIT.discarded_at.is_(None))
            .order_by(_VISIT.started_on.desc(), _CLIENT.name, _VISIT.id)
        )
        if of is not None:
            query = query.where(_VISIT.id.in_(of))
        if client_id is not None:
            query = query.where(_VISIT.client_id == client_id)
        with self._reader.connect() as connection:
            return [
                VisitLine(
                    visit=model_of(Visit, row),
                    client=model_of(Client, row),
                    practitioner=row.practitioner,
                    changed_at=row.changed_at,
                    follow_up=row.follow_up,
                    signs=row.signs or {},
                    signed_at=row.signed_at,
                    signed_revision=row.revision,
                    shared_report=row.report_id if row.shared == "yes" else None,
                    touched=frozenset(row.touched or ()),
                    settling=row.settling or {},
                    felt=row.felt or {},
                    felt_before=row.felt_before or {},
                )
                for row in connection.execute(query)
            ]


def _value_at(path: str) -> Select[Any]:
    """A visit's value at a path."""
    return select(_ENTRY.value).where(_ENTRY.visit_id == _VISIT.id, _ENTRY.path == path)


def _values_at(paths: Collection[str]) -> Select[Any]:
    """A visit's values at these paths."""
    values = select(func.jsonb_object_agg(_ENTRY.path, _ENTRY.value))
    return values.where(_ENTRY.visit_id == _VISIT.id, _ENTRY.path.in_(paths))
