"""Mails that were given up, in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import Engine, delete, select, update

from ..services.errors import NotFound
from ..services.models import FailedMail
from .access_models import OneTimeLinkRow, StaffLetterRow
from .own_models import OutgoingMailRow

_MAIL, _LETTER = OutgoingMailRow.__table__.c, StaffLetterRow.__table__.c
_LINK = OneTimeLinkRow.__table__.c
_SAYS = {
    "before": "link to a client's own page, before a visit",
    "after": "link to a client's own page, after a visit",
    "check": "questions to a client",
    "invitation": "invitation",
    "reset": "password to be set anew",
}


class SqlFailedMails:
    """The FailedMails port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._reader = engine.execution_options(isolation_level="AUTOCOMMIT")

    def failed(self, practice_id: UUID) -> list[FailedMail]:
        mails = select(
            _MAIL.id, _MAIL.recipient, _MAIL.kind, _MAIL.client_id, _MAIL.trouble, _MAIL.due_at
        ).where(_MAIL.practice_id == practice_id, _MAIL.state == "failed")
        letters = (
            select(_LETTER.id, _LINK.email, _LINK.kind, _LETTER.trouble, _LINK.made_at)
            .join_from(StaffLetterRow, OneTimeLinkRow, _LINK.id == _LETTER.link_id)
            .where(_LINK.practice_id == practice_id, _LETTER.state == "failed")
        )
        with self._reader.connect() as connection:
            found = [
                FailedMail(
                    id=row.id,
                    to=row.recipient,
                    what=_SAYS[row.kind],
                    client_id=row.client_id,
                    trouble=row.trouble,
                    at=row.due_at,
                )
                for row in connection.execute(mails)
            ]
            found += [
                FailedMail(
                    id=row.id,
                    to=row.email,
                    what=_SAYS[row.kind],
                    client_id=None,
                    trouble=row.trouble,
                    at=row.made_at,
                )
                for row in connection.execute(letters)
            ]
        return sorted(found, key=lambda one: (one.at, str(one.id)), reverse=True)

    def let_go(self, practice_id: UUID, mail_id: UUID) -> None:
        mail = (
            update(OutgoingMailRow)
            .where(_MAIL.id == mail_id, _MAIL.practice_id == practice_id, _MAIL.state == "failed")
            .values(state="dropped")
            .returning(_MAIL.id)
        )
        mine = select(_LINK.id).where(_LINK.practice_id == practice_id)
        letter = (
            delete(StaffLetterRow)
            .where(_LETTER.id == mail_id, _LETTER.state == "failed", _LETTER.link_id.in_(mine))
            .returning(_LETTER.id)
        )
        with self._engine.begin() as connection:
            gone = connection.execute(mail).first() or connection.execute(letter).first()
        if gone is None:
            raise NotFound("There is no such mail.")
