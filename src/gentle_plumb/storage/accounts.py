"""Practices, members, sessions and tries to sign in, in PostgreSQL."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import Update, bindparam, delete, insert, select, update
from sqlalchemy.dialects.postgresql import insert as upsert

from ..core.language import msg
from ..services.errors import AlreadyThere, NotFound
from ..services.models import Member, Practice, Session
from ..services.throttle import FORGOTTEN_AFTER, AttemptCount, RateLimitKey, after_try, wait_for
from .errors import mapped_errors
from .mapping import columns_of, model_of, values_of
from .store import Store
from .tables import KNOWN_BROWSER, MEMBER, PRACTICE, SESSION, SIGN_IN_TRY

_SESSION = (
    select(*columns_of(Session), *columns_of(Member), *columns_of(Practice))
    .join_from(SESSION, MEMBER, MEMBER.c.id == SESSION.c.member_id)
    .join(PRACTICE, PRACTICE.c.id == MEMBER.c.practice_id)
    .where(SESSION.c.token_hash == bindparam("token"), SESSION.c.expires_at > bindparam("now"))
    .where(MEMBER.c.left_at.is_(None))
)
"""A live session, whose it is, and their practice: asked with every call, so once and for all."""
_STAYS = MEMBER.c.left_at.is_(None)
_TRY = SIGN_IN_TRY.c


class SqlAccounts(Store):
    """The Accounts port."""

    def practice(self, practice_id: UUID) -> Practice:
        return self._get(Practice, msg("There is no such practice."), PRACTICE.c.id == practice_id)

    def add_practice(self, practice: Practice) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(PRACTICE).values(**values_of(practice)))

    def change_practice(self, practice: Practice) -> None:
        mine = update(PRACTICE).where(PRACTICE.c.id == practice.id)
        with self._engine.begin() as connection:
            connection.execute(mine.values(**values_of(practice)))

    def member_by_email(self, email: str) -> Member | None:
        return self._first(Member, MEMBER.c.email == email, _STAYS)

    def members(self, practice_id: UUID) -> list[Member]:
        mine = MEMBER.c.practice_id == practice_id
        return self._list(Member, mine, _STAYS, order=(MEMBER.c.name,))

    def add_member(self, member: Member) -> Member:
        with mapped_errors(), self._engine.begin() as connection:
            put = upsert(MEMBER).values(**values_of(member))
            connection.execute(put.on_conflict_do_nothing(index_elements=["id"]))
            query = select(*columns_of(Member)).where(MEMBER.c.id == member.id)
            held = model_of(Member, connection.execute(query).one())
        if (held.practice_id, held.email) != (member.practice_id, member.email):
            raise AlreadyThere(msg("Somebody else has this id."))
        return held

    def change_member(self, member: Member) -> Member:
        changed = (
            *("name", "title", "registration", "language", "password_hash", "sees_health"),
            *("sealed_totp", "totp_last", "recovery"),
        )
        mine = (MEMBER.c.id == member.id) & (MEMBER.c.practice_id == member.practice_id) & _STAYS
        if not self._took(update(MEMBER).where(mine).values(**values_of(member, only=changed))):
            raise NotFound(msg("There is no such member."))
        return member

    def take_code(self, member_id: UUID, step: int) -> bool:
        unused = (MEMBER.c.id == member_id) & (MEMBER.c.totp_last < step)
        return self._took(update(MEMBER).where(unused).values(totp_last=step))

    def take_recovery(self, member_id: UUID, digest: str) -> bool:
        codes = MEMBER.c.recovery
        there = (MEMBER.c.id == member_id) & codes.op("?")(digest)
        return self._took(update(MEMBER).where(there).values(recovery=codes.op("-")(digest)))

    def _took(self, change: Update) -> bool:
        """Whether a change found its row as it has to be."""
        with self._engine.begin() as connection:
            return connection.execute(change.returning(MEMBER.c.id)).first() is not None

    def remove_member(self, practice_id: UUID, member_id: UUID, now: datetime) -> None:
        mine = (MEMBER.c.id == member_id) & (MEMBER.c.practice_id == practice_id)
        with self._engine.begin() as connection:
            row = connection.execute(
                update(MEMBER)
                .where(mine, _STAYS)
                .values(left_at=now, password_hash="")
                .returning(MEMBER.c.id)
            ).first()
            if row is None:
                raise NotFound(msg("There is no such member."))
            for table in (SESSION, KNOWN_BROWSER):
                connection.execute(delete(table).where(table.c.member_id == member_id))

    def record_attempt(self, counted: Sequence[RateLimitKey], now: datetime) -> timedelta:
        # in the order of the keys, so that two at once never wait for each other
        by_key = {one.key: one for one in sorted(counted, key=lambda counted: counted.key)}
        rows = [{"key": key, "count": 0, "last_at": now} for key in by_key]
        query = select(_TRY.key, _TRY["count"].label("tries"), _TRY.last_at)
        query = query.where(_TRY.key.in_(by_key)).order_by(_TRY.key).with_for_update()
        old = select(_TRY.key).where(_TRY.last_at < now - 24 * FORGOTTEN_AFTER)
        with self._engine.begin() as connection:
            connection.execute(upsert(SIGN_IN_TRY).on_conflict_do_nothing(), rows)
            held = {
                row.key: AttemptCount(count=row.tries, last_at=row.last_at)
                for row in connection.execute(query)
            }
            wait = max(wait_for(counted, held[key], now) for key, counted in by_key.items())
            if wait == timedelta(0):
                for key in by_key:
                    tried = after_try(held[key], now)
                    change = update(SIGN_IN_TRY).where(_TRY.key == key)
                    connection.execute(change.values(count=tried.count, last_at=tried.last_at))
            locked = old.limit(50).with_for_update(skip_locked=True)
            connection.execute(delete(SIGN_IN_TRY).where(_TRY.key.in_(locked)))
        return wait

    def clear_attempts(self, counted: Sequence[RateLimitKey]) -> None:
        every = _TRY.key.in_([attempts.key for attempts in counted])
        of_one_sender = _TRY.key.in_([attempts.key for attempts in counted if attempts.free <= 10])
        less = update(SIGN_IN_TRY).where(every, _TRY["count"] > 0)
        with self._engine.begin() as connection:
            connection.execute(select(_TRY.key).where(every).order_by(_TRY.key).with_for_update())
            connection.execute(delete(SIGN_IN_TRY).where(of_one_sender))
            connection.execute(less.values(count=_TRY["count"] - 1))

    def knows_browser(self, token_hash: bytes, member_id: UUID, now: datetime) -> bool:
        known = KNOWN_BROWSER.c
        mine = (known.token_hash == token_hash) & (known.member_id == member_id)
        with self._reader.connect() as connection:
            query = select(known.until).where(mine, known.until > now)
            return connection.execute(query).first() is not None

    def remember_browser(self, token_hash: bytes, member_id: UUID, until: datetime) -> None:
        values = {"token_hash": token_hash, "member_id": member_id, "until": until}
        with self._engine.begin() as connection:
            connection.execute(insert(KNOWN_BROWSER).values(**values))

    def add_session(self, session: Session, now: datetime) -> None:
        with self._engine.begin() as connection:
            connection.execute(delete(SESSION).where(SESSION.c.expires_at <= now))
            connection.execute(delete(KNOWN_BROWSER).where(KNOWN_BROWSER.c.until <= now))
            connection.execute(insert(SESSION).values(**values_of(session)))

    def sessions(self, member_id: UUID, now: datetime) -> list[Session]:
        mine = (SESSION.c.member_id == member_id) & (SESSION.c.expires_at > now)
        return self._list(Session, mine, order=(SESSION.c.started_at.desc(),))

    def session(self, token_hash: bytes, now: datetime) -> tuple[Session, Member, Practice] | None:
        with self._reader.connect() as connection:
            row = connection.execute(_SESSION, {"token": token_hash, "now": now}).first()
        if row is None:
            return None
        return model_of(Session, row), model_of(Member, row), model_of(Practice, row)

    def mark_session(
        self, session_id: UUID, used_at: datetime, *, locked: bool | None = None
    ) -> None:
        values = {"used_at": used_at} if locked is None else {"used_at": used_at, "locked": locked}
        with self._engine.begin() as connection:
            connection.execute(update(SESSION).where(SESSION.c.id == session_id).values(**values))

    def left(self, member_ids: Collection[UUID]) -> set[UUID]:
        gone = MEMBER.c.id.in_(member_ids) & MEMBER.c.left_at.is_not(None)
        with self._reader.connect() as connection:
            return set(connection.scalars(select(MEMBER.c.id).where(gone)))

    def drop_sessions(
        self, member_id: UUID, *, only: UUID | None = None, but: UUID | None = None
    ) -> None:
        drop = delete(SESSION).where(SESSION.c.member_id == member_id)
        if only is not None:
            drop = drop.where(SESSION.c.id == only)
        if but is not None:
            drop = drop.where(SESSION.c.id != but)
        with self._engine.begin() as connection:
            connection.execute(drop)
            if only is None:
                mine = KNOWN_BROWSER.c.member_id == member_id
                connection.execute(delete(KNOWN_BROWSER).where(mine))
