"""Practices, members and sessions in PostgreSQL."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import Engine, delete, select, update
from sqlalchemy.orm import Session as Db

from ..services.errors import NotFound
from ..services.models import Member, Practice, Session
from .errors import mapped_errors
from .models import MemberRow, PracticeRow, SessionRow


def practice_of(row: PracticeRow) -> Practice:
    """The practice a row holds."""
    return Practice(
        id=row.id,
        name=row.name,
        unit=row.unit,  # type: ignore[arg-type]  # checked where it comes in
        local_wording=row.local_wording,
    )


def member_of(row: MemberRow) -> Member:
    """The member a row holds."""
    return Member(
        id=row.id, practice_id=row.practice_id, email=row.email, name=row.name, title=row.title,
        role=row.role, password_hash=row.password_hash, failures=row.failures,  # type: ignore[arg-type]
        locked_until=row.locked_until,
    )  # fmt: skip


class SqlAccounts:
    """The Accounts port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def practice(self, practice_id: UUID) -> Practice:
        with Db(self._reader) as db:
            row = db.get(PracticeRow, practice_id)
            if row is None:
                raise NotFound("There is no such practice.")
            return practice_of(row)

    def add_practice(self, practice: Practice) -> None:
        with Db(self._engine) as db, db.begin():
            db.add(PracticeRow(**vars(practice)))

    def member_by_email(self, email: str) -> Member | None:
        with Db(self._reader) as db:
            row = db.scalar(select(MemberRow).where(MemberRow.email == email))
            return member_of(row) if row is not None else None

    def members(self, practice_id: UUID) -> list[Member]:
        query = select(MemberRow).where(MemberRow.practice_id == practice_id)
        with Db(self._reader) as db:
            return [member_of(row) for row in db.scalars(query.order_by(MemberRow.name))]

    def add_member(self, member: Member) -> None:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            db.add(MemberRow(**vars(member)))

    def note_failure(self, member_id: UUID, failures: int, locked_until: datetime | None) -> None:
        with Db(self._engine) as db, db.begin():
            db.execute(
                update(MemberRow)
                .where(MemberRow.id == member_id)
                .values(failures=failures, locked_until=locked_until)
            )

    def add_session(self, session: Session) -> None:
        with Db(self._engine) as db, db.begin():
            db.add(SessionRow(**vars(session)))

    def session(self, token_hash: bytes, now: datetime) -> tuple[Session, Member, Practice] | None:
        query = (
            select(SessionRow, MemberRow, PracticeRow)
            .join(MemberRow, MemberRow.id == SessionRow.member_id)
            .join(PracticeRow, PracticeRow.id == MemberRow.practice_id)
            .where(SessionRow.token_hash == token_hash, SessionRow.expires_at > now)
        )
        with Db(self._reader) as db:
            found = db.execute(query).first()
            if found is None:
                return None
            row, member, practice = found
            session = Session(
                token_hash=row.token_hash, member_id=row.member_id, csrf=row.csrf,
                expires_at=row.expires_at,
            )  # fmt: skip
            return session, member_of(member), practice_of(practice)

    def drop_session(self, token_hash: bytes) -> None:
        with Db(self._engine) as db, db.begin():
            db.execute(delete(SessionRow).where(SessionRow.token_hash == token_hash))
