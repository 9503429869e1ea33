"""Clients' own pages in PostgreSQL: links, rounds, answers, and mail about them."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import replace
from datetime import datetime
from uuid import UUID

from sqlalchemy import ColumnElement, Connection, delete, func, insert, select, update
from sqlalchemy.dialects.postgresql import insert as upsert

from ..core.language import msg
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
from .mapping import columns_of, model_of, values_of
from .queue import put_mail
from .store import Store
from .tables import (
    CHECK_ROUND,
    CLIENT,
    CLIENT_LINK,
    GIVEN_ANSWER,
    LINK_SESSION,
    MESSAGE_CATALOGUE,
    OUTGOING_MAIL,
    PRACTICE,
)

_LINK, _ROUND, _MAIL = CLIENT_LINK.c, CHECK_ROUND.c, OUTGOING_MAIL.c
_CATALOGUE = MESSAGE_CATALOGUE.c


class SqlOwnPages(Store):
    """The OwnPages port."""

    def add_link(self, link: ClientLink, rounds: Sequence[CheckRound]) -> None:
        with self._engine.begin() as connection:
            connection.execute(insert(CLIENT_LINK).values(**values_of(link)))
            connection.execute(insert(CHECK_ROUND), [values_of(round) for round in rounds])

    def links(self, practice_id: UUID, client_id: UUID) -> list[ClientLink]:
        mine = (_LINK.practice_id == practice_id) & (_LINK.client_id == client_id)
        return self._list(ClientLink, mine, order=(_LINK.made_at.desc(), _LINK.id))

    def link(self, practice_id: UUID, link_id: UUID) -> ClientLink:
        mine = (_LINK.practice_id == practice_id) & (_LINK.id == link_id)
        return self._get(ClientLink, msg("There is no such link."), mine)

    def link_by_token(self, token: str) -> ClientLink | None:
        return self._first(ClientLink, _LINK.token == token)

    def whose(self, link: ClientLink) -> tuple[Practice, Client]:
        query = (
            select(*columns_of(Practice), *columns_of(Client))
            .join_from(PRACTICE, CLIENT, CLIENT.c.practice_id == PRACTICE.c.id)
            .where(CLIENT.c.id == link.client_id)
        )
        with self._reader.connect() as connection:
            row = connection.execute(query).one()
        return model_of(Practice, row), model_of(Client, row)

    def change_link(self, link: ClientLink) -> None:
        changed = update(CLIENT_LINK).where(_LINK.id == link.id).values(**values_of(link))
        with self._engine.begin() as connection:
            connection.execute(changed)
            if link.revoked_at is not None:
                mine = LINK_SESSION.c.link_id == link.id
                connection.execute(delete(LINK_SESSION).where(mine))

    def add_session(
        self, token_hash: bytes, link: ClientLink, until: datetime, now: datetime
    ) -> None:
        values = {"token_hash": token_hash, "link_id": link.id, "expires_at": until}
        opened = update(CLIENT_LINK).where(_LINK.id == link.id, _LINK.opened_at.is_(None))
        with self._engine.begin() as connection:
            connection.execute(delete(LINK_SESSION).where(LINK_SESSION.c.expires_at < now))
            connection.execute(insert(LINK_SESSION).values(**values))
            connection.execute(opened.values(opened_at=now))

    def session(self, token_hash: bytes, now: datetime) -> ClientLink | None:
        held = LINK_SESSION.c
        live = select(held.link_id).where(held.token_hash == token_hash, held.expires_at > now)
        return self._first(ClientLink, _LINK.id.in_(live))

    def drop_session(self, token_hash: bytes) -> None:
        mine = LINK_SESSION.c.token_hash == token_hash
        with self._engine.begin() as connection:
            connection.execute(delete(LINK_SESSION).where(mine))

    def rounds(self, link_ids: Iterable[UUID]) -> list[CheckRound]:
        mine = _ROUND.link_id.in_(list(link_ids))
        return self._list(CheckRound, mine, order=(_ROUND.due_on, _ROUND.id))

    def check(self, practice_id: UUID, round_id: UUID) -> Check:
        checks = self._checks(practice_id, _ROUND.id == round_id)
        if not checks:
            raise NotFound(msg("There are no such answers."))
        return checks[0]

    def undecided(self, practice_id: UUID) -> list[Check]:
        return self._checks(practice_id, _ROUND.sent_at.is_not(None) & _ROUND.decided_at.is_(None))

    def _checks(self, practice_id: UUID, which: ColumnElement[bool]) -> list[Check]:
        query = (
            select(*columns_of(CheckRound), *columns_of(ClientLink), CLIENT.c.name.label("client"))
            .join_from(CHECK_ROUND, CLIENT_LINK, _LINK.id == _ROUND.link_id)
            .join(CLIENT, CLIENT.c.id == _LINK.client_id)
            .where(_LINK.practice_id == practice_id, which)
            .order_by(_ROUND.sent_at, _ROUND.id)
        )
        with self._reader.connect() as connection:
            checks = [
                Check(
                    link=model_of(ClientLink, row),
                    round=model_of(CheckRound, row),
                    client=row.client,
                    answers={},
                )
                for row in connection.execute(query)
            ]
            answers = _answers(connection, [check.round.id for check in checks])
        return [replace(check, answers=answers.get(check.round.id, {})) for check in checks]

    def answer(self, round_id: UUID, answer: GivenAnswer) -> GivenAnswer:
        put = upsert(GIVEN_ANSWER).values(round_id=round_id, **values_of(answer))
        put = put.on_conflict_do_update(
            index_elements=["round_id", "question"],
            set_={name: put.excluded[name] for name in vars(answer) if name != "question"},
        )
        # the round is held, so that nothing comes in after it was sent
        open_ = select(_ROUND.id).where(_ROUND.id == round_id, _ROUND.sent_at.is_(None))
        with self._engine.begin() as connection:
            if connection.execute(open_.with_for_update()).first() is None:
                raise NotAllowed(msg("These answers were sent. Call if something has changed."))
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
            connection.execute(delete(GIVEN_ANSWER).where(GIVEN_ANSWER.c.round_id.in_(mine)))

    def send_round(self, round_id: UUID, now: datetime) -> None:
        sent = update(CHECK_ROUND).where(_ROUND.id == round_id, _ROUND.sent_at.is_(None))
        with self._engine.begin() as connection:
            connection.execute(sent.values(sent_at=now))

    def decide(self, round: CheckRound) -> None:
        decided = update(CHECK_ROUND).where(_ROUND.id == round.id).values(**values_of(round))
        with self._engine.begin() as connection:
            connection.execute(decided)

    def queue_mail(self, mails: Sequence[OutgoingMail]) -> None:
        with self._engine.begin() as connection:
            for mail in mails:
                connection.execute(insert(OUTGOING_MAIL).values(**values_of(mail)))
                put_mail(connection, mail)

    def mails(self, practice_id: UUID, client_id: UUID) -> list[OutgoingMail]:
        mine = (_MAIL.practice_id == practice_id) & (_MAIL.client_id == client_id)
        return self._list(OutgoingMail, mine, order=(_MAIL.due_at.desc(), _MAIL.id))

    def claim_mail(self, mail_id: UUID) -> OutgoingMail | None:
        claimed = (
            update(OUTGOING_MAIL)
            .where(_MAIL.id == mail_id, _MAIL.state.in_(("waiting", "sending")))
            .values(state="sending", tries=_MAIL.tries + 1)
            .returning(*columns_of(OutgoingMail))
        )
        with self._engine.begin() as connection:
            row = connection.execute(claimed).first()
        return None if row is None else model_of(OutgoingMail, row)

    def settle_mail(self, mail: OutgoingMail) -> None:
        settled = update(OUTGOING_MAIL).where(_MAIL.id == mail.id).values(**values_of(mail))
        with self._engine.begin() as connection:
            connection.execute(settled)

    def catalogues(self, practice_id: UUID) -> list[MessageCatalogue]:
        mine = _CATALOGUE.practice_id == practice_id
        return self._list(MessageCatalogue, mine, order=(_CATALOGUE.language,))

    def put_catalogue(self, practice_id: UUID, catalogue: MessageCatalogue) -> None:
        put = upsert(MESSAGE_CATALOGUE).values(practice_id=practice_id, **values_of(catalogue))
        put = put.on_conflict_do_update(
            index_elements=["practice_id", "language"],
            set_={name: put.excluded[name] for name in ("name", "direction", "messages", "words")},
        )
        with self._engine.begin() as connection:
            connection.execute(put)

    def drop_catalogue(self, practice_id: UUID, language: str) -> None:
        mine = (_CATALOGUE.practice_id == practice_id) & (_CATALOGUE.language == language)
        gone = delete(MESSAGE_CATALOGUE).where(mine).returning(func.lower(language))
        with self._engine.begin() as connection:
            if connection.execute(gone).first() is None:
                raise NotFound(msg("There is no such language."))


def _answers(
    connection: Connection, round_ids: Sequence[UUID]
) -> dict[UUID, dict[str, GivenAnswer]]:
    """Each round's answers by question."""
    answers: dict[UUID, dict[str, GivenAnswer]] = {}
    query = select(GIVEN_ANSWER.c.round_id, *columns_of(GivenAnswer))
    query = query.where(GIVEN_ANSWER.c.round_id.in_(round_ids))
    for row in connection.execute(query.order_by(GIVEN_ANSWER.c.question)):
        answer = model_of(GivenAnswer, row)
        answers.setdefault(row.round_id, {})[answer.question] = answer
    return answers
