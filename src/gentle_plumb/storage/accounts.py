"""Practices, members, sessions and tries to sign in, in PostgreSQL."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import Engine, Update, bindparam, delete, select, update
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session as Db

from ..services.errors import AlreadyThere, NotFound
from ..services.models import Member, Practice, Session
from ..services.throttle import FORGOTTEN_AFTER, Counted, Tries, after_try, wait_for
from .errors import mapped_errors
from .models import KnownBrowserRow, MemberRow, PracticeRow, SessionRow, TryRow

_OF_SESSION = tuple(Session.__dataclass_fields__)
_OF_MEMBER = tuple(Member.__dataclass_fields__)
_OF_PRACTICE = tuple(Practice.__dataclass_fields__)


def practice_of(row: PracticeRow) -> Practice:
    """The practice a row holds."""
    return Practice(**{name: getattr(row, name) for name in _OF_PRACTICE})


def member_of(row: MemberRow) -> Member:
    """The member a row holds."""
    return Member(**{name: getattr(row, name) for name in _OF_MEMBER})


def session_of(row: SessionRow) -> Session:
    """The session a row holds."""
    return Session(**{name: getattr(row, name) for name in _OF_SESSION})


_SESSION = (
    select(
        *(SessionRow.__table__.c[name].label(f"session_{name}") for name in _OF_SESSION),
        *(MemberRow.__table__.c[name].label(f"member_{name}") for name in _OF_MEMBER),
        *(PracticeRow.__table__.c[name].label(f"practice_{name}") for name in _OF_PRACTICE),
    )
    .join_from(SessionRow, MemberRow, MemberRow.id == SessionRow.member_id)
    .join(PracticeRow, PracticeRow.id == MemberRow.practice_id)
    .where(SessionRow.token_hash == bindparam("token"), SessionRow.expires_at > bindparam("now"))
    .where(MemberRow.left_at.is_(None))
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

    def change_practice(self, practice: Practice) -> None:
        with Db(self._engine) as db, db.begin():
            values = {name: getattr(practice, name) for name in _OF_PRACTICE if name != "id"}
            db.execute(update(PracticeRow).where(PracticeRow.id == practice.id).values(**values))

    def member_by_email(self, email: str) -> Member | None:
        query = select(MemberRow).where(MemberRow.email == email, MemberRow.left_at.is_(None))
        with Db(self._reader) as db:
            row = db.scalar(query)
            return member_of(row) if row is not None else None

    def members(self, practice_id: UUID) -> list[Member]:
        query = (
            select(MemberRow)
            .where(MemberRow.practice_id == practice_id, MemberRow.left_at.is_(None))
            .order_by(MemberRow.name)
        )
        with Db(self._reader) as db:
            return [member_of(row) for row in db.scalars(query)]

    def add_member(self, member: Member) -> Member:
        with mapped_errors(), self._engine.begin() as connection:
            put = insert(MemberRow).values(**vars(member))
            connection.execute(put.on_conflict_do_nothing(index_elements=["id"]))
            held = connection.execute(
                select(*(MemberRow.__table__.c[name] for name in _OF_MEMBER)).where(
                    MemberRow.id == member.id
                )
            ).one()
        if (held.practice_id, held.email) != (member.practice_id, member.email):
            raise AlreadyThere("Somebody else has this id.")
        return Member(**held._mapping)

    def change_member(self, member: Member) -> Member:
        changed = (
            *("name", "title", "registration", "password_hash", "sees_health"),
            *("sealed_totp", "totp_last", "recovery"),
        )
        with Db(self._engine) as db, db.begin():
            found = db.execute(
                update(MemberRow)
                .where(MemberRow.id == member.id, MemberRow.practice_id == member.practice_id)
                .where(MemberRow.left_at.is_(None))
                .values(**{name: getattr(member, name) for name in changed})
                .returning(MemberRow.id)
            ).first()
        if found is None:
            raise NotFound("There is no such member.")
        return member

    def take_code(self, member_id: UUID, step: int) -> bool:
        unused = (MemberRow.id == member_id) & (MemberRow.totp_last < step)
        return self._took(update(MemberRow).where(unused).values(totp_last=step))

    def take_recovery(self, member_id: UUID, digest: str) -> bool:
        codes = MemberRow.__table__.c.recovery
        there = (MemberRow.id == member_id) & codes.op("?")(digest)
        return self._took(update(MemberRow).where(there).values(recovery=codes.op("-")(digest)))

    def _took(self, change: Update) -> bool:
        """Whether a change found its row as it has to be."""
        with self._engine.begin() as connection:
            return connection.execute(change.returning(MemberRow.id)).first() is not None

    def remove_member(self, practice_id: UUID, member_id: UUID, now: datetime) -> None:
        mine = (MemberRow.id == member_id) & (MemberRow.practice_id == practice_id)
        with self._engine.begin() as connection:
            found = connection.execute(
                update(MemberRow)
                .where(mine, MemberRow.left_at.is_(None))
                .values(left_at=now, password_hash="")
                .returning(MemberRow.id)
            ).first()
            if found is None:
                raise NotFound("There is no such member.")
            for table in (SessionRow, KnownBrowserRow):
                connection.execute(delete(table).where(table.member_id == member_id))

    def count_try(self, counted: Sequence[Counted], now: datetime) -> timedelta:
        # in the order of the keys, so that two at once never wait for each other
        by_key = {one.key: one for one in sorted(counted, key=lambda one: one.key)}
        with self._engine.begin() as connection:
            rows = [{"key": key, "count": 0, "last_at": now} for key in by_key]
            connection.execute(insert(TryRow).on_conflict_do_nothing(), rows)
            held = {
                row.key: Tries(count=row.tries, last_at=row.last_at)
                for row in connection.execute(
                    select(TryRow.key, TryRow.count.label("tries"), TryRow.last_at)
                    .where(TryRow.key.in_(by_key))
                    .order_by(TryRow.key)
                    .with_for_update()
                )
            }
            wait = max(wait_for(one, held[key], now) for key, one in by_key.items())
            if wait == timedelta(0):
                for key in by_key:
                    tried = after_try(held[key], now)
                    connection.execute(
                        update(TryRow)
                        .where(TryRow.key == key)
                        .values(count=tried.count, last_at=tried.last_at)
                    )
            old = TryRow.last_at < now - 24 * FORGOTTEN_AFTER
            locked = select(TryRow.key).where(old).limit(50).with_for_update(skip_locked=True)
            connection.execute(delete(TryRow).where(TryRow.key.in_(locked)))
        return wait

    def take_back_try(self, counted: Sequence[Counted]) -> None:
        one_sender = [one.key for one in counted if one.free <= 10]
        with self._engine.begin() as connection:
            keys = select(TryRow.key).where(TryRow.key.in_([one.key for one in counted]))
            connection.execute(keys.order_by(TryRow.key).with_for_update())
            connection.execute(delete(TryRow).where(TryRow.key.in_(one_sender)))
            connection.execute(
                update(TryRow)
                .where(TryRow.key.in_([one.key for one in counted]), TryRow.count > 0)
                .values(count=TryRow.count - 1)
            )

    def knows_browser(self, token_hash: bytes, member_id: UUID, now: datetime) -> bool:
        mine = (KnownBrowserRow.token_hash == token_hash) & (KnownBrowserRow.member_id == member_id)
        with self._reader.connect() as connection:
            query = select(KnownBrowserRow.until).where(mine, KnownBrowserRow.until > now)
            return connection.execute(query).first() is not None

    def remember_browser(self, token_hash: bytes, member_id: UUID, until: datetime) -> None:
        with Db(self._engine) as db, db.begin():
            db.add(KnownBrowserRow(token_hash=token_hash, member_id=member_id, until=until))

    def add_session(self, session: Session, now: datetime) -> None:
        with Db(self._engine) as db, db.begin():
            db.execute(delete(SessionRow).where(SessionRow.expires_at <= now))
            db.execute(delete(KnownBrowserRow).where(KnownBrowserRow.until <= now))
            db.add(SessionRow(**vars(session)))

    def sessions(self, member_id: UUID, now: datetime) -> list[Session]:
        query = (
            select(SessionRow)
            .where(SessionRow.member_id == member_id, SessionRow.expires_at > now)
            .order_by(SessionRow.started_at.desc())
        )
        with Db(self._reader) as db:
            return [session_of(row) for row in db.scalars(query)]

    def session(self, token_hash: bytes, now: datetime) -> tuple[Session, Member, Practice] | None:
        keys = {"token": token_hash, "now": now}
        with self._reader.connect() as connection:
            row = connection.execute(_SESSION, keys).first()
        if row is None:
            return None
        held = row._mapping
        return (
            Session(**{name: held[f"session_{name}"] for name in _OF_SESSION}),
            Member(**{name: held[f"member_{name}"] for name in _OF_MEMBER}),
            Practice(**{name: held[f"practice_{name}"] for name in _OF_PRACTICE}),
        )

    def mark_session(
        self, session_id: UUID, used_at: datetime, *, locked: bool | None = None
    ) -> None:
        values = {"used_at": used_at} if locked is None else {"used_at": used_at, "locked": locked}
        with self._engine.begin() as connection:
            connection.execute(
                update(SessionRow).where(SessionRow.id == session_id).values(**values)
            )

    def left(self, member_ids: Collection[UUID]) -> set[UUID]:
        gone = MemberRow.id.in_(member_ids) & MemberRow.left_at.is_not(None)
        with self._reader.connect() as connection:
            return set(connection.scalars(select(MemberRow.id).where(gone)))

    def drop_sessions(
        self, member_id: UUID, *, only: UUID | None = None, but: UUID | None = None
    ) -> None:
        drop = delete(SessionRow).where(SessionRow.member_id == member_id)
        if only is not None:
            drop = drop.where(SessionRow.id == only)
        if but is not None:
            drop = drop.where(SessionRow.id != but)
        with self._engine.begin() as connection:
            connection.execute(drop)
            if only is None:
                mine = KnownBrowserRow.member_id == member_id
                connection.execute(delete(KnownBrowserRow).where(mine))
