"""One-time links, their letters, and clients open to some only, in PostgreSQL."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from sqlalchemy import Engine, delete, exists, insert, select, update
from sqlalchemy.orm import Session as Db

from ..services.errors import NotFound
from ..services.models import ClientAccess, OneTimeLink, StaffLetter
from .access_models import ClientAccessRow, OneTimeLinkRow, StaffLetterRow
from .models import ClientRow, ReportRow, VisitRow
from .queue import put_letter

_VISIT, _REPORT = VisitRow.__table__.c, ReportRow.__table__.c
_LINK, _LETTER = OneTimeLinkRow.__table__.c, StaffLetterRow.__table__.c
_CLIENT, _ACCESS = ClientRow.__table__.c, ClientAccessRow.__table__.c
_OF_LINK = tuple(OneTimeLink.__dataclass_fields__)
_OF_LETTER = tuple(StaffLetter.__dataclass_fields__)


class SqlOneTimeLinks:
    """The OneTimeLinks port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def add(self, link: OneTimeLink, letter: StaffLetter | None) -> None:
        before = delete(OneTimeLinkRow).where(
            _LINK.practice_id == link.practice_id,
            _LINK.email == link.email,
            _LINK.kind == link.kind,
            _LINK.used_at.is_(None),
        )
        with self._engine.begin() as connection:
            connection.execute(before)
            connection.execute(insert(OneTimeLinkRow).values(**vars(link)))
            if letter is not None:
                connection.execute(insert(StaffLetterRow).values(**vars(letter)))
                put_letter(connection, letter)

    def waiting(
        self, practice_id: UUID, now: datetime
    ) -> list[tuple[OneTimeLink, StaffLetter | None]]:
        query = (
            select(OneTimeLinkRow, StaffLetterRow)
            .outerjoin(StaffLetterRow, _LETTER.link_id == _LINK.id)
            .where(_LINK.practice_id == practice_id, _LINK.used_at.is_(None), _LINK.ends_at > now)
            .order_by(_LINK.made_at.desc(), _LINK.id)
        )
        with Db(self._reader) as db:
            return [
                (_link_of(link), _letter_of(letter) if letter is not None else None)
                for link, letter in db.execute(query)
            ]

    def by_token(self, token_hash: bytes) -> OneTimeLink | None:
        with self._reader.connect() as connection:
            row = connection.execute(select(*_LINK).where(_LINK.token_hash == token_hash)).first()
        return None if row is None else OneTimeLink(**row._mapping)

    def link(self, practice_id: UUID, link_id: UUID) -> OneTimeLink:
        query = select(*_LINK).where(_LINK.id == link_id, _LINK.practice_id == practice_id)
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        if row is None:
            raise NotFound("There is no such link.")
        return OneTimeLink(**row._mapping)

    def use(self, link_id: UUID, now: datetime) -> bool:
        unused = update(OneTimeLinkRow).where(_LINK.id == link_id, _LINK.used_at.is_(None))
        with self._engine.begin() as connection:
            done = connection.execute(unused.values(used_at=now).returning(_LINK.id))
            return done.first() is not None

    def drop(self, practice_id: UUID, link_id: UUID) -> None:
        mine = delete(OneTimeLinkRow).where(_LINK.id == link_id, _LINK.practice_id == practice_id)
        with self._engine.begin() as connection:
            if connection.execute(mine.returning(_LINK.id)).first() is None:
                raise NotFound("There is no such link.")

    def claim_letter(self, letter_id: UUID) -> tuple[StaffLetter, OneTimeLink] | None:
        claimed = (
            update(StaffLetterRow)
            .where(_LETTER.id == letter_id, _LETTER.state.in_(("waiting", "sending")))
            .values(state="sending", tries=_LETTER.tries + 1)
            .returning(*_LETTER)
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
            if row is None:
                return None
            letter = StaffLetter(**row._mapping)
            link = connection.execute(select(*_LINK).where(_LINK.id == letter.link_id)).one()
        return letter, OneTimeLink(**link._mapping)

    def settle_letter(self, letter: StaffLetter) -> None:
        with self._engine.begin() as connection:
            connection.execute(
                update(StaffLetterRow).where(_LETTER.id == letter.id).values(**vars(letter))
            )


class SqlClientAccesses:
    """The ClientAccesses port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

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
            .outerjoin_from(ClientRow, ClientAccessRow, _ACCESS.client_id == _CLIENT.id)
            .where(_CLIENT.practice_id == practice_id, _CLIENT.restricted)
            .order_by(_CLIENT.name, _CLIENT.id)
        )
        found: dict[UUID, tuple[str, set[UUID]]] = {}
        with self._reader.connect() as connection:
            for row in connection.execute(query):
                _, members = found.setdefault(row.id, (row.name, set()))
                if row.member_id is not None:
                    members.add(row.member_id)
        return [
            ClientAccess(client_id=id, client=name, restricted=True, members=frozenset(members))
            for id, (name, members) in found.items()
        ]

    def of(self, practice_id: UUID, client_id: UUID) -> ClientAccess:
        mine = (_CLIENT.id == client_id) & (_CLIENT.practice_id == practice_id)
        with self._reader.connect() as connection:
            row = connection.execute(select(_CLIENT.name, _CLIENT.restricted).where(mine)).first()
            if row is None:
                raise NotFound("There is no such client.")
            named = select(_ACCESS.member_id).where(_ACCESS.client_id == client_id)
            members = frozenset(connection.scalars(named))
            signed = exists().where(
                _REPORT.visit_id == _VISIT.id, _REPORT.revision == _VISIT.revision
            )
            open_ = select(_VISIT.member_id).where(_VISIT.client_id == client_id, ~signed)
            working = frozenset(connection.scalars(open_))
        return ClientAccess(
            client_id=client_id,
            client=row.name,
            restricted=row.restricted,
            members=members,
            working=working,
        )

    def put(self, practice_id: UUID, access: ClientAccess) -> None:
        mine = update(ClientRow).where(
            _CLIENT.id == access.client_id, _CLIENT.practice_id == practice_id
        )
        with self._engine.begin() as connection:
            held = connection.execute(
                mine.values(restricted=access.restricted).returning(_CLIENT.id)
            )
            if held.first() is None:
                raise NotFound("There is no such client.")
            connection.execute(delete(ClientAccessRow).where(_ACCESS.client_id == access.client_id))
            if access.members:
                rows = [{"client_id": access.client_id, "member_id": one} for one in access.members]
                connection.execute(insert(ClientAccessRow), rows)


def _link_of(row: OneTimeLinkRow) -> OneTimeLink:
    return OneTimeLink(**{name: getattr(row, name) for name in _OF_LINK})


def _letter_of(row: StaffLetterRow) -> StaffLetter:
    return StaffLetter(**{name: getattr(row, name) for name in _OF_LETTER})
