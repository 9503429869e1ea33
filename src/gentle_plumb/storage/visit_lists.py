"""Lists of visits and clients in PostgreSQL: first what they are searched by, then the lines that are shown."""

from __future__ import annotations

from collections.abc import Collection
from datetime import date
from uuid import UUID

from sqlalchemy import ColumnElement, Engine, FromClause, func, select, text
from sqlalchemy.dialects.postgresql import distinct_on
from sqlalchemy.orm import Session as Db
from sqlalchemy.orm import aliased

from ..core.record import fields
from ..services.consent import WORKPLACE
from ..services.models import Client, Visit, VisitInList, VisitLine
from .models import ClientRow, EntryRow, MemberRow, ReportRow, VisitRow
from .rows import client_of, visit_of

FLAGS = tuple(one.there.id for one in fields.ask.flag.values())
FELT = tuple(one.strength.id for one in fields.ask.discomfort.values())
SETTLING = (fields.settings.settle_started.id, fields.settings.settle_minutes.id)
_VISIT, _CLIENT = VisitRow.__table__.c, ClientRow.__table__.c
_OF_CLIENT, _OF_VISIT = tuple(Client.__dataclass_fields__), tuple(Visit.__dataclass_fields__)


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


class SqlVisitLists:
    """The lists of the Records port."""

    _reader: Engine

    def client_names(self, practice_id: UUID) -> list[tuple[UUID, str, str]]:
        """As the port says."""
        query = select(_CLIENT.id, _CLIENT.name, _CLIENT.work).where(
            _CLIENT.practice_id == practice_id
        )
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_CLIENT.name, _CLIENT.id))
            return [(row[0], row[1], row[2]) for row in found]

    def clients(self, practice_id: UUID, of: Collection[UUID] | None = None) -> list[Client]:
        """As the port says."""
        query = select(*(_CLIENT[name] for name in _OF_CLIENT)).where(
            _CLIENT.practice_id == practice_id
        )
        if of is not None:
            query = query.where(_CLIENT.id.in_(of))
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_CLIENT.name, _CLIENT.id))
            return [Client(**row._mapping) for row in found]

    def last_visits(
        self, practice_id: UUID, clients: Collection[UUID]
    ) -> dict[UUID, tuple[date, str | None]]:
        """As the port says."""
        due = EntryRow.__table__.alias("due")
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
        """As the port says."""
        query = select(*(_VISIT[name] for name in _OF_VISIT)).where(
            _VISIT.practice_id == practice_id
        )
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_VISIT.started_on, _VISIT.id))
            return [Visit(**row._mapping) for row in found]

    def visit_keys(self, practice_id: UUID) -> list[tuple[UUID, UUID, UUID]]:
        """As the port says."""
        query = (
            select(_VISIT.id, _VISIT.client_id, _VISIT.member_id)
            .join(ClientRow, _CLIENT.id == _VISIT.client_id)
            .where(_VISIT.practice_id == practice_id, _VISIT.discarded_at.is_(None))
            .order_by(_VISIT.started_on.desc(), _CLIENT.name, _VISIT.id)
        )
        with self._reader.connect() as connection:
            return [(row[0], row[1], row[2]) for row in connection.execute(query)]

    def visits_waiting(
        self, practice_id: UUID, *, soon: date, latest: int, most: int, member_id: UUID | None
    ) -> list[VisitInList]:
        """As the port says."""
        with self._reader.connect() as connection:
            keys = {"practice": practice_id, "soon": soon.isoformat(), "most": most}
            keys |= {
                "member": member_id,
                "latest": latest,
                "flags": list(FLAGS),
                "due": fields.report.follow_up.id,
            }
            return [VisitInList(**row._mapping) for row in connection.execute(WAITING, keys)]

    def visits(
        self,
        practice_id: UUID,
        *,
        of: Collection[UUID] | None = None,
        client_id: UUID | None = None,
    ) -> list[VisitLine]:
        """As the port says."""
        changed = (
            select(func.max(EntryRow.changed_at))
            .where(EntryRow.visit_id == VisitRow.id)
            .scalar_subquery()
        )
        follow_up = (
            select(EntryRow.value)
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path == fields.report.follow_up.id)
            .scalar_subquery()
        )
        signs = (
            select(func.jsonb_object_agg(EntryRow.path, EntryRow.value))
            .where(EntryRow.visit_id == VisitRow.id)
            .where(EntryRow.path.in_(fields.ask.RED_FLAG_PATHS))
            .scalar_subquery()
        )
        signed = (
            select(ReportRow.id, ReportRow.visit_id, ReportRow.signed_at, ReportRow.revision)
            .ext(distinct_on(ReportRow.visit_id))
            .order_by(ReportRow.visit_id, ReportRow.number.desc())
            .subquery()
        )
        settling = (
            select(func.jsonb_object_agg(EntryRow.path, EntryRow.value))
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path.in_(SETTLING))
            .scalar_subquery()
        )
        felt = (
            select(func.jsonb_object_agg(EntryRow.path, EntryRow.value))
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path.in_(FELT))
            .scalar_subquery()
        )
        prior, told = aliased(VisitRow), aliased(EntryRow)
        before = (
            select(func.jsonb_object_agg(told.path, told.value))
            .where(told.path.in_(FELT))
            .where(
                told.visit_id
                == select(prior.id)
                .where(prior.client_id == VisitRow.client_id, prior.id != VisitRow.id)
                .where(prior.started_on < VisitRow.started_on, prior.discarded_at.is_(None))
                .order_by(prior.started_on.desc(), prior.id)
                .limit(1)
                .correlate(VisitRow)
                .scalar_subquery()
            )
            .correlate(VisitRow)
            .scalar_subquery()
        )
        shared = (
            select(EntryRow.value)
            .where(EntryRow.visit_id == VisitRow.id, EntryRow.path == WORKPLACE)
            .scalar_subquery()
        )
        touched = (
            select(func.array_agg(func.distinct(func.split_part(EntryRow.path, ".", 1))))
            .where(EntryRow.visit_id == VisitRow.id)
            .scalar_subquery()
        )
        query = (
            select(
                VisitRow,
                ClientRow,
                MemberRow.name,
                changed,
                follow_up,
                signs,
                signed.c.signed_at,
                signed.c.revision,
                signed.c.id,
                shared,
                touched,
                settling,
                felt,
                before,
            )
            .join(ClientRow, ClientRow.id == VisitRow.client_id)
            .join(MemberRow, MemberRow.id == VisitRow.member_id)
            .outerjoin(signed, signed.c.visit_id == VisitRow.id)
            .where(VisitRow.practice_id == practice_id, VisitRow.discarded_at.is_(None))
            .order_by(VisitRow.started_on.desc(), ClientRow.name, VisitRow.id)
        )
        if of is not None:
            query = query.where(VisitRow.id.in_(of))
        if client_id is not None:
            query = query.where(VisitRow.client_id == client_id)
        with Db(self._reader) as db:
            found = db.execute(query)
            return [
                VisitLine(
                    visit=visit_of(visit),
                    client=client_of(client),
                    practitioner=name,
                    changed_at=at,
                    follow_up=follow,
                    signs=said or {},
                    signed_at=signed_at,
                    signed_revision=revision,
                    shared_report=report if consent == "yes" else None,
                    touched=frozenset(begun or ()),
                    settling=clock or {},
                    felt=hurts or {},
                    felt_before=hurt or {},
                )
                for visit, client, name, at, follow, said, signed_at, revision, report, consent, begun, clock, hurts, hurt in found
            ]
