"""One-time links, their letters, and clients open to some only, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import delete, exists, insert, select, update

from ..core.language import msg
from ..services.errors import NotFound
from ..services.models import ClientAccess, OneTimeLink, StaffLetter
from .mapping import columns_of, model_of, values_of
from .queue import put_letter
from .store import Store
from .tables import CLIENT, CLIENT_ACCESS, ONE_TIME_LINK, REPORT, STAFF_LETTER, VISIT

_VISIT, _REPORT, _CLIENT = VISIT.c, REPORT.c, CLIENT.c
_LINK, _LETTER, _ACCESS = ONE_TIME_LINK.c, STAFF_LETTER.c, CLIENT_ACCESS.c


class SqlOneTimeLinks(Store):
    """The OneTimeLinks port."""

    def add(self, link: OneTimeLink, letter: StaffLetter | None) -> None:
        before = delete(ONE_TIME_LINK).where(
            _LINK.practice_id == link.practice_id,
            _LINK.email == link.email,
            _LINK.kind == link.kind,
            _LINK.used_at.is_(None),
        )
        with self._engine.begin() as connection:
            connection.execute(before)
            connection.execute(insert(ONE_TIME_LINK).values(**values_of(link)))
            if letter is not None:
                connection.execute(insert(STAFF_LETTER).values(**values_of(letter)))
                put_letter(connection, letter)

    def waiting(
        self, practice_id: UUID, now: datetime
    ) -> list[tuple[OneTimeLink, StaffLetter | None]]:
        query = (
            select(*columns_of(OneTimeLink), *columns_of(StaffLetter), _LETTER.id)
            .outerjoin_from(ONE_TIME_LINK, STAFF_LETTER, _LETTER.link_id == _LINK.id)
            .where(_LINK.practice_id == practice_id, _LINK.used_at.is_(None), _LINK.ends_at > now)
            .order_by(_LINK.made_at.desc(), _LINK.id)
        )
        with self._reader.connect() as connection:
            return [
                (model_of(OneTimeLink, row), model_of(StaffLetter, row) if row.id else None)
                for row in connection.execute(query)
            ]

    def by_token(self, token_hash: bytes) -> OneTimeLink | None:
        return self._first(OneTimeLink, _LINK.token_hash == token_hash)

    def link(self, practice_id: UUID, link_id: UUID) -> OneTimeLink:
        mine = (_LINK.id == link_id) & (_LINK.practice_id == practice_id)
        return self._get(OneTimeLink, msg("There is no such link."), mine)

    def use(self, link_id: UUID, now: datetime) -> bool:
        unused = update(ONE_TIME_LINK).where(_LINK.id == link_id, _LINK.used_at.is_(None))
        with self._engine.begin() as connection:
            done = connection.execute(unused.values(used_at=now).returning(_LINK.id))
            return done.first() is not None

    def drop(self, practice_id: UUID, link_id: UUID) -> None:
        self._drop(OneTimeLink, practice_id, link_id, msg("There is no such link."))

    def claim_letter(self, letter_id: UUID) -> tuple[StaffLetter, OneTimeLink] | None:
        claimed = (
            update(STAFF_LETTER)
            .where(_LETTER.id == letter_id, _LETTER.state.in_(("waiting", "sending")))
            .values(state="sending", tries=_LETTER.tries + 1)
            .returning(*columns_of(StaffLetter))
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
            if row is None:
                return None
            letter = model_of(StaffLetter, row)
            query = select(*columns_of(OneTimeLink)).where(_LINK.id == letter.link_id)
            return letter, model_of(OneTimeLink, connection.execute(query).one())

    def settle_letter(self, letter: StaffLetter) -> None:
        settled = update(STAFF_LETTER).where(_LETTER.id == letter.id).values(**values_of(letter))
        with self._engine.begin() as connection:
            connection.execute(settled)


class SqlClientAccesses(Store):
    """The ClientAccesses port."""

    def hidden(self, practice_id: UUID, member_id: UUID) -> frozenset[UUID]:
        named = exists().where(_ACCESS.client_id == _CLIENT.id, _ACCESS.member_id == member_id)
        query = select(_CLIENT.id).where(
            _CLIENT.practice_id == practice_id, _CLIENT.restricted, ~named
        )
        with self._reader.connect() as connection:
            return frozenset(connection.scalars(query))

    def restricted(self, practice_id: UUID) -> list[ClientAccess]:
        query = (
            select(_CLIENT.id, _CLIENT.name, _ACCESS.member_id)
            .outerjoin_from(CLIENT, CLIENT_ACCESS, _ACCESS.client_id == _CLIENT.id)
            .where(_CLIENT.practice_id == practice_id, _CLIENT.restricted)
            .order_by(_CLIENT.name, _CLIENT.id)
        )
        clients: dict[UUID, tuple[str, set[UUID]]] = {}
        with self._reader.connect() as connection:
            for row in connection.execute(query):
                _, members = clients.setdefault(row.id, (row.name, set()))
                if row.member_id is not None:
                    members.add(row.member_id)
        return [
            ClientAccess(client_id=id, client=name, restricted=True, members=frozenset(members))
            for id, (name, members) in clients.items()
        ]

    def of(self, practice_id: UUID, client_id: UUID) -> ClientAccess:
        mine = (_CLIENT.id == client_id) & (_CLIENT.practice_id == practice_id)
        named = select(_ACCESS.member_id).where(_ACCESS.client_id == client_id)
        signed = exists().where(_REPORT.visit_id == _VISIT.id, _REPORT.revision == _VISIT.revision)
        open_ = select(_VISIT.member_id).where(_VISIT.client_id == client_id, ~signed)
        with self._reader.connect() as connection:
            row = connection.execute(select(_CLIENT.name, _CLIENT.restricted).where(mine)).first()
            if row is None:
                raise NotFound(msg("There is no such client."))
            return ClientAccess(
                client_id=client_id,
                client=row.name,
                restricted=row.restricted,
                members=frozenset(connection.scalars(named)),
                working=frozenset(connection.scalars(open_)),
            )

    def put(self, practice_id: UUID, access: ClientAccess) -> None:
        mine = (_CLIENT.id == access.client_id) & (_CLIENT.practice_id == practice_id)
        held = update(CLIENT).where(mine).values(restricted=access.restricted)
        with self._engine.begin() as connection:
            if connection.execute(held.returning(_CLIENT.id)).first() is None:
                raise NotFound(msg("There is no such client."))
            connection.execute(delete(CLIENT_ACCESS).where(_ACCESS.client_id == access.client_id))
            if access.members:
                rows = [{"client_id": access.client_id, "member_id": id} for id in access.members]
                connection.execute(insert(CLIENT_ACCESS), rows)
