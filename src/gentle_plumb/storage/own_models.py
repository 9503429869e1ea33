"""Tables of clients' own pages, of mail about them, and of the trail."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import BigInteger, CheckConstraint, ForeignKey, Index, UniqueConstraint, text
from sqlalchemy.dialects.postgresql import BYTEA, JSONB
from sqlalchemy.orm import Mapped, mapped_column

from .models import Base, Moment


class ClientLinkRow(Base):
    """A private link to a client's own page."""

    __tablename__ = "client_link"
    __table_args__ = (
        UniqueConstraint("token", name="uq_client_link_token"),
        Index("ix_client_link_client_id", "client_id"),
        CheckConstraint("kind in ('before', 'after', 'workplace')", name="kind"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    client_id: Mapped[UUID] = mapped_column(ForeignKey("client.id", ondelete="CASCADE"))
    visit_id: Mapped[UUID] = mapped_column(ForeignKey("visit.id", ondelete="CASCADE"))
    kind: Mapped[str]
    token: Mapped[str]
    code_hash: Mapped[str]
    language: Mapped[str]
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id"))
    made_at: Mapped[datetime] = mapped_column(Moment)
    ends_on: Mapped[date]
    opened_at: Mapped[datetime | None] = mapped_column(Moment)
    revoked_at: Mapped[datetime | None] = mapped_column(Moment)
    agreed_at: Mapped[datetime | None] = mapped_column(Moment)
    photos_agreed_at: Mapped[datetime | None] = mapped_column(Moment)


class LinkSessionRow(Base):
    """A browser in which a client opened their page."""

    __tablename__ = "link_session"
    token_hash: Mapped[bytes] = mapped_column(BYTEA, primary_key=True)
    link_id: Mapped[UUID] = mapped_column(ForeignKey("client_link.id", ondelete="CASCADE"))
    expires_at: Mapped[datetime] = mapped_column(Moment)


class CheckRoundRow(Base):
    """A round of questions of a link."""

    __tablename__ = "check_round"
    __table_args__ = (UniqueConstraint("link_id", "round", name="uq_check_round_link_id"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    link_id: Mapped[UUID] = mapped_column(ForeignKey("client_link.id", ondelete="CASCADE"))
    round: Mapped[str]
    due_on: Mapped[date]
    sent_at: Mapped[datetime | None] = mapped_column(Moment)
    decided: Mapped[str | None]
    note: Mapped[str] = mapped_column(server_default="")
    decided_by: Mapped[str] = mapped_column(server_default="")
    decided_at: Mapped[datetime | None] = mapped_column(Moment)


class GivenAnswerRow(Base):
    """What a client answered to one question of a round."""

    __tablename__ = "given_answer"
    round_id: Mapped[UUID] = mapped_column(
        ForeignKey("check_round.id", ondelete="CASCADE"), primary_key=True
    )
    question: Mapped[str] = mapped_column(primary_key=True)
    typed: Mapped[str]
    value: Mapped[Any] = mapped_column(JSONB(none_as_null=True), nullable=True)
    changed_at: Mapped[datetime] = mapped_column(Moment)
    version: Mapped[int] = mapped_column(server_default="1")
    change_id: Mapped[UUID | None]


class OutgoingMailRow(Base):
    """A mail to a client, as far as it got."""

    __tablename__ = "outgoing_mail"
    __table_args__ = (
        Index("ix_outgoing_mail_client_id", "client_id"),
        CheckConstraint(
            "state in ('waiting', 'sending', 'sent', 'failed', 'dropped')", name="state"
        ),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    client_id: Mapped[UUID] = mapped_column(ForeignKey("client.id", ondelete="CASCADE"))
    link_id: Mapped[UUID] = mapped_column(ForeignKey("client_link.id", ondelete="CASCADE"))
    round_id: Mapped[UUID | None] = mapped_column(ForeignKey("check_round.id", ondelete="CASCADE"))
    kind: Mapped[str]
    recipient: Mapped[str]
    url: Mapped[str]
    made_at: Mapped[datetime] = mapped_column(Moment)
    due_at: Mapped[datetime] = mapped_column(Moment)
    state: Mapped[str] = mapped_column(server_default="waiting")
    tries: Mapped[int] = mapped_column(server_default=text("0"))
    trouble: Mapped[str] = mapped_column(server_default="")
    sent_at: Mapped[datetime | None] = mapped_column(Moment)


class MessageCatalogueRow(Base):
    """The messages of the client's page in a language of the practice's."""

    __tablename__ = "message_catalogue"
    practice_id: Mapped[UUID] = mapped_column(
        ForeignKey("practice.id", ondelete="CASCADE"), primary_key=True
    )
    language: Mapped[str] = mapped_column(primary_key=True)
    name: Mapped[str]
    direction: Mapped[str]
    messages: Mapped[Any] = mapped_column(JSONB)


class TrailRow(Base):
    """A line of the trail. Nothing of it points anywhere: it outlives what it is about."""

    __tablename__ = "trail"
    __table_args__ = (Index("ix_trail_client_id", "client_id"),)
    practice_id: Mapped[UUID] = mapped_column(primary_key=True)
    number: Mapped[int] = mapped_column(BigInteger, primary_key=True)
    at: Mapped[datetime] = mapped_column(Moment)
    member_id: Mapped[UUID | None]
    who: Mapped[str]
    act: Mapped[str]
    what: Mapped[str]
    client_id: Mapped[UUID | None]
    visit_id: Mapped[UUID | None]
    request_id: Mapped[str]
    digest: Mapped[bytes] = mapped_column(BYTEA)
