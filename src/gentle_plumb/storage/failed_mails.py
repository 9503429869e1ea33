"""Mails that were given up, in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import delete, null, select, update

from ..core.language import msg
from ..services.errors import NotFound
from ..services.models import FailedMail
from .store import Store
from .tables import ONE_TIME_LINK, OUTGOING_MAIL, STAFF_LETTER

_MAIL, _LETTER, _LINK = OUTGOING_MAIL.c, STAFF_LETTER.c, ONE_TIME_LINK.c
_SAYS = {
    "before": msg("link to a client’s own page, before a visit"),
    "after": msg("link to a client’s own page, after a visit"),
    "check": msg("questions to a client"),
    "appointment": msg("appointment, to a client"),
    "reminder": msg("reminder of an appointment, to a client"),
    "cancelled": msg("cancelled appointment, to a client"),
    "invitation": "invitation",
    "reset": msg("password reset"),
}


class SqlFailedMails(Store):
    """The FailedMails port."""

    def failed(self, practice_id: UUID) -> list[FailedMail]:
        mails = select(
            _MAIL.id,
            _MAIL.recipient.label("to"),
            _MAIL.kind,
            _MAIL.client_id,
            _MAIL.trouble,
            _MAIL.due_at.label("at"),
        ).where(_MAIL.practice_id == practice_id, _MAIL.state == "failed")
        letters = (
            select(_LETTER.id, _LINK.email, _LINK.kind, null(), _LETTER.trouble, _LINK.made_at)
            .join_from(STAFF_LETTER, ONE_TIME_LINK, _LINK.id == _LETTER.link_id)
            .where(_LINK.practice_id == practice_id, _LETTER.state == "failed")
        )
        with self._reader.connect() as connection:
            failed_mails = [
                FailedMail(
                    id=row.id,
                    to=row.to,
                    what=_SAYS[row.kind],
                    client_id=row.client_id,
                    trouble=row.trouble,
                    at=row.at,
                )
                for row in connection.execute(mails.union_all(letters))
            ]
        return sorted(failed_mails, key=lambda mail: (mail.at, str(mail.id)), reverse=True)

    def let_go(self, practice_id: UUID, mail_id: UUID) -> None:
        mail = (
            update(OUTGOING_MAIL)
            .where(_MAIL.id == mail_id, _MAIL.practice_id == practice_id, _MAIL.state == "failed")
            .values(state="dropped")
            .returning(_MAIL.id)
        )
        mine = select(_LINK.id).where(_LINK.practice_id == practice_id)
        letter = (
            delete(STAFF_LETTER)
            .where(_LETTER.id == mail_id, _LETTER.state == "failed", _LETTER.link_id.in_(mine))
            .returning(_LETTER.id)
        )
        with self._engine.begin() as connection:
            gone = connection.execute(mail).first() or connection.execute(letter).first()
        if gone is None:
            raise NotFound(msg("There is no such mail."))
