"""Clients' own pages in PostgreSQL: links, rounds, answers, and mail about them."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import fields as names_of
from dataclasses import replace
from datetime import datetime
from typing import Any, TypeVar
from uuid import UUID

from sqlalchemy import Connection, Engine, delete, func, select, update
from sqlalchemy.dialects.postgresql import insert

from ..services.errors import NotAllowed, NotFound, Stale
from ..services.models import (
    Check,
    CheckRound,
    Client,
    ClientLink,
    GivenAnswer,
    MessageCatalogue,
    OutgoingMail,
    Practice,
)
from .models import ClientRow, PracticeRow
from .own_models import (
    CheckRoundRow,
    ClientLinkRow,
    GivenAnswerRow,
    LinkSessionRow,
    MessageCatalogueRow,
    OutgoingMailRow,
)
from .queue import put_mail
from .statements import CLIENT

Made = TypeVar("Made", ClientLink, CheckRound, OutgoingMail, GivenAnswer)
_LINK = ClientLinkRow.__table__.c
_ROUND = CheckRoundRow.__table__.c
_MAIL = OutgoingMailRow.__table__.c
_PRACTICE = PracticeRow.__table__.c


def _made(kind: type[Made], row: Any) -> Made:
    return kind(**{one.name: getattr(row, one.name) for one in names_of(kind)})


class SqlOwnPages:
    """The OwnPages port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def add_link(self, link: ClientLink, rounds: Sequence[CheckRound]) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(ClientLinkRow).values(**vars(link)))
            connection.execute(insert(CheckRoundRow), [vars(one) for one in rounds])

    def links(self, practice_id: UUID, client_id: UUID) -> list[ClientLink]:
        query = select(*_LINK).where(_LINK.practice_id == practice_id, _LINK.client_id == client_id)
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_LINK.made_at.desc(), _LINK.id))
            return [_made(ClientLink, row) for row in found]

    def link(self, practice_id: UUID, link_id: UUID) -> ClientLink:
        query = select(*_LINK).where(_LINK.practice_id == practice_id, _LINK.id == link_id)
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        if row is None:
            raise NotFound("There is no such link.")
        return _made(ClientLink, row)

    def link_by_token(self, token: str) -> ClientLink | None:
        with self._reader.connect() as connection:
            row = connection.execute(select(*_LINK).where(_LINK.token == token)).first()
        return None if row is None else _made(ClientLink, row)

    def whose(self, link: ClientLink) -> tuple[Practice, Client]:
        columns = (*_PRACTICE, *(ClientRow.__table__.c[name] for name in CLIENT))
        query = (
            select(*columns)
            .join(ClientRow, ClientRow.practice_id == _PRACTICE.id)
            .where(ClientRow.id == link.client_id)
        )
        many = len(_PRACTICE)
        with self._reader.connect() as connection:
            row = connection.execute(query).one()
        practice = dict(zip(_PRACTICE.keys(), row[:many], strict=True))
        return Practice(**practice), Client(**dict(zip(CLIENT, row[many:], strict=True)))

    def change_link(self, link: ClientLink) -> None:
        changed = update(ClientLinkRow).where(_LINK.id == link.id)
        with self._engine.begin() as connection:
            connection.execute(changed.values(**vars(link)))
            if link.revoked_at is not None:
                connection.execute(delete(LinkSessionRow).where(LinkSessionRow.link_id == link.id))

    def add_session(
        self, token_hash: bytes, link: ClientLink, until: datetime, now: datetime
    ) -> None:
        values = {"token_hash": token_hash, "link_id": link.id, "expires_at": until}
        opened = update(ClientLinkRow).where(_LINK.id == link.id, _LINK.opened_at.is_(None))
        with self._engine.begin() as connection:
            connection.execute(delete(LinkSessionRow).where(LinkSessionRow.expires_at < now))
            connection.execute(insert(LinkSessionRow).values(**values))
            connection.execute(opened.values(opened_at=now))

    def session(self, token_hash: bytes, now: datetime) -> ClientLink | None:
        query = (
            select(*_LINK)
            .join(LinkSessionRow, LinkSessionRow.link_id == _LINK.id)
            .where(LinkSessionRow.token_hash == token_hash, LinkSessionRow.expires_at > now)
        )
        with self._reader.connect() as connection:
            row = connection.execute(query).first()
        return None if row is None else _made(ClientLink, row)

    def drop_session(self, token_hash: bytes) -> None:
        with self._engine.begin() as connection:
            connection.execute(
                delete(LinkSessionRow).where(LinkSessionRow.token_hash == token_hash)
            )

    def rounds(self, link_ids: Iterable[UUID]) -> list[CheckRound]:
        query = select(*_ROUND).where(_ROUND.link_id.in_(list(link_ids)))
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_ROUND.due_on, _ROUND.id))
            return [_made(CheckRound, row) for row in found]

    def check(self, practice_id: UUID, round_id: UUID) -> Check:
        found = self._checks(practice_id, CheckRoundRow.__table__.c.id == round_id)
        if not found:
            raise NotFound("There are no such answers.")
        return found[0]

    def undecided(self, practice_id: UUID) -> list[Check]:
        return self._checks(practice_id, _ROUND.sent_at.is_not(None) & _ROUND.decided_at.is_(None))

    def _checks(self, practice_id: UUID, which: Any) -> list[Check]:
        rounds = (
            select(*_ROUND, ClientRow.name.label("client"))
            .join(ClientLinkRow, _LINK.id == _ROUND.link_id)
            .join(ClientRow, ClientRow.id == _LINK.client_id)
            .where(_LINK.practice_id == practice_id, which)
            .order_by(_ROUND.sent_at, _ROUND.id)
        )
        with self._reader.connect() as connection:
            found = list(connection.execute(rounds))
            links = {
                row.id: _made(ClientLink, row)
                for row in connection.execute(
                    select(*_LINK).where(_LINK.id.in_([row.link_id for row in found]))
                )
            }
            answers = _answers(connection, [row.id for row in found])
        return [
            Check(
                link=links[row.link_id],
                round=_made(CheckRound, row),
                client=row.client,
                answers=answers.get(row.id, {}),
            )
            for row in found
        ]

    def answer(self, round_id: UUID, answer: GivenAnswer) -> GivenAnswer:
        put = insert(GivenAnswerRow).values(round_id=round_id, **vars(answer))
        put = put.on_conflict_do_update(
            index_elements=["round_id", "question"],
            set_={name: put.excluded[name] for name in vars(answer) if name != "question"},
        )
        # the round is held, so that nothing comes in after it was sent
        open_ = select(_ROUND.id).where(_ROUND.id == round_id, _ROUND.sent_at.is_(None))
        with self._engine.begin() as connection:
            if connection.execute(open_.with_for_update()).first() is None:
                raise NotAllowed("These answers were sent. Call if something has changed.")
            nothing = replace(answer, typed="", value=None, version=0, change_id=None)
            held = _answers(connection, [round_id]).get(round_id, {}).get(answer.question, nothing)
            if held.change_id is not None and held.change_id == answer.change_id:
                return held
            if held.version != answer.version - 1:
                if held.typed != answer.typed:
                    raise Stale(held)
                return held
            connection.execute(put)
        return answer

    def forget_answers(self, link_id: UUID) -> None:
        mine = select(_ROUND.id).where(_ROUND.link_id == link_id)
        with self._engine.begin() as connection:
            connection.execute(delete(GivenAnswerRow).where(GivenAnswerRow.round_id.in_(mine)))

    def send_round(self, round_id: UUID, now: datetime) -> None:
        sent = update(CheckRoundRow).where(_ROUND.id == round_id, _ROUND.sent_at.is_(None))
        with self._engine.begin() as connection:
            connection.execute(sent.values(sent_at=now))

    def decide(self, round: CheckRound) -> None:
        with self._engine.begin() as connection:
            connection.execute(
                update(CheckRoundRow).where(_ROUND.id == round.id).values(**vars(round))
            )

    def queue_mail(self, mails: Sequence[OutgoingMail]) -> None:
        with self._engine.begin() as connection:
            for mail in mails:
                connection.execute(insert(OutgoingMailRow).values(**vars(mail)))
                put_mail(connection, mail)

    def mails(self, practice_id: UUID, client_id: UUID) -> list[OutgoingMail]:
        query = select(*_MAIL).where(_MAIL.practice_id == practice_id, _MAIL.client_id == client_id)
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(_MAIL.due_at.desc(), _MAIL.id))
            return [_made(OutgoingMail, row) for row in found]

    def claim_mail(self, mail_id: UUID) -> OutgoingMail | None:
        claimed = (
            update(OutgoingMailRow)
            .where(_MAIL.id == mail_id, _MAIL.state.in_(("waiting", "sending")))
            .values(state="sending", tries=_MAIL.tries + 1)
            .returning(*_MAIL)
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
        return None if row is None else _made(OutgoingMail, row)

    def settle_mail(self, mail: OutgoingMail) -> None:
        with self._engine.begin() as connection:
            connection.execute(
                update(OutgoingMailRow).where(_MAIL.id == mail.id).values(**vars(mail))
            )

    def catalogues(self, practice_id: UUID) -> list[MessageCatalogue]:
        query = select(MessageCatalogueRow.__table__).where(
            MessageCatalogueRow.practice_id == practice_id
        )
        with self._reader.connect() as connection:
            found = connection.execute(query.order_by(MessageCatalogueRow.language))
            return [
                MessageCatalogue(
                    language=row.language,
                    name=row.name,
                    direction=row.direction,
                    messages=row.messages,
                )
                for row in found
            ]

    def put_catalogue(self, practice_id: UUID, given: MessageCatalogue) -> None:
        put = insert(MessageCatalogueRow).values(practice_id=practice_id, **vars(given))
        same = ("name", "direction", "messages")
        put = put.on_conflict_do_update(
            index_elements=["practice_id", "language"],
            set_={name: put.excluded[name] for name in same},
        )
        with self._engine.begin() as connection:
            connection.execute(put)

    def drop_catalogue(self, practice_id: UUID, language: str) -> None:
        gone = delete(MessageCatalogueRow).where(
            MessageCatalogueRow.practice_id == practice_id, MessageCatalogueRow.language == language
        )
        with self._engine.begin() as connection:
            if not connection.execute(gone.returning(func.lower(language))).first():
                raise NotFound("There is no such language.")


def _answers(
    connection: Connection, round_ids: Sequence[UUID]
) -> dict[UUID, dict[str, GivenAnswer]]:
    found: dict[UUID, dict[str, GivenAnswer]] = {}
    query = select(GivenAnswerRow.__table__).where(GivenAnswerRow.round_id.in_(round_ids))
    for row in connection.execute(query.order_by(GivenAnswerRow.question)):
        found.setdefault(row.round_id, {})[row.question] = _made(GivenAnswer, row)
    return found
