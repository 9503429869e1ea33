"""Practices, members and sessions in PostgreSQL."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import Engine, bindparam, delete, select, update
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


_OF_SESSION = tuple(Session.__dataclass_fields__)
_OF_MEMBER = tuple(Member.__dataclass_fields__)
_OF_PRACTICE = tuple(Practice.__dataclass_fields__)
_SESSION = (
    select(
        *(SessionRow.__table__.c[name] for name in _OF_SESSION),
        *(MemberRow.__table__.c[name] for name in _OF_MEMBER),
        *(PracticeRow.__table__.c[name] for name in _OF_PRACTICE),
    )
    .join_from(SessionRow, MemberRow, MemberRow.id == SessionRow.member_id)
    .join(PracticeRow, PracticeRow.id == MemberRow.practice_id)
    .where(SessionRow.token_hash == bindparam("token"), SessionRow.expires_at > bindparam("now"))
)
"""A live session, whose it is, and their practice: asked with every call, so once and for all."""


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
        keys = {"token": token_hash, "now": now}
        with self._reader.connect() as connection:
            row = connection.execute(_SESSION, keys).first()
        if row is None:
            return None
        cut = len(_OF_SESSION), len(_OF_SESSION) + len(_OF_MEMBER)
        return (
            Session(**dict(zip(_OF_SESSION, row[: cut[0]], strict=True))),
            Member(**dict(zip(_OF_MEMBER, row[cut[0] : cut[1]], strict=True))),
            Practice(**dict(zip(_OF_PRACTICE, row[cut[1] :], strict=True))),
        )

    def drop_session(self, token_hash: bytes) -> None:
        with Db(self._engine) as db, db.begin():
            db.execute(delete(SessionRow).where(SessionRow.token_hash == token_hash))
