"""Tables of who comes in and sees what: one-time links, letters with them, clients open to some, what workers do, erasures."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import CheckConstraint, ForeignKey, Index, UniqueConstraint, text
from sqlalchemy.dialects.postgresql import BYTEA, JSONB
from sqlalchemy.orm import Mapped, mapped_column

from .models import Base, Moment


class OneTimeLinkRow(Base):
    """A link that opens once: to come in as a new member, or to set a password anew."""

    __tablename__ = "one_time_link"
    __table_args__ = (
        UniqueConstraint("token_hash", name="uq_one_time_link_token_hash"),
        Index("ix_one_time_link_practice_id", "practice_id"),
        CheckConstraint("kind in ('invitation', 'reset')", name="kind"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    token_hash: Mapped[bytes] = mapped_column(BYTEA)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    kind: Mapped[str]
    email: Mapped[str]
    name: Mapped[str]
    title: Mapped[str] = mapped_column(server_default="")
    role: Mapped[str] = mapped_column(server_default="")
    member_id: Mapped[UUID | None] = mapped_column(ForeignKey("member.id", ondelete="CASCADE"))
    made_by: Mapped[str] = mapped_column(server_default="")
    made_at: Mapped[datetime] = mapped_column(Moment)
    ends_at: Mapped[datetime] = mapped_column(Moment)
    used_at: Mapped[datetime | None] = mapped_column(Moment)


class StaffLetterRow(Base):
    """A mail with a one-time link, as far as it got; the address in it goes once it is sent."""

    __tablename__ = "staff_letter"
    __table_args__ = (
        Index("ix_staff_letter_link_id", "link_id"),
        CheckConstraint(
            "state in ('waiting', 'sending', 'sent', 'failed', 'dropped')", name="state"
        ),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    link_id: Mapped[UUID] = mapped_column(ForeignKey("one_time_link.id", ondelete="CASCADE"))
    url: Mapped[str]
    state: Mapped[str] = mapped_column(server_default="waiting")
    tries: Mapped[int] = mapped_column(server_default=text("0"))
    trouble: Mapped[str] = mapped_column(server_default="")
    sent_at: Mapped[datetime | None] = mapped_column(Moment)


class ClientAccessRow(Base):
    """Who sees a client that is open to some only."""

    __tablename__ = "client_access"
    client_id: Mapped[UUID] = mapped_column(
        ForeignKey("client.id", ondelete="CASCADE"), primary_key=True
    )
    member_id: Mapped[UUID] = mapped_column(
        ForeignKey("member.id", ondelete="CASCADE"), primary_key=True
    )


class BulkJobRow(Base):
    """Something large that a worker does: its file is what came, or what was made."""

    __tablename__ = "bulk_job"
    __table_args__ = (
        Index("ix_bulk_job_practice_id", "practice_id"),
        CheckConstraint("kind in ('papers', 'import')", name="kind"),
        CheckConstraint("state in ('waiting', 'working', 'done', 'failed')", name="state"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id", ondelete="CASCADE"))
    kind: Mapped[str]
    since: Mapped[date | None]
    until: Mapped[date | None]
    copy: Mapped[str] = mapped_column(server_default="")
    state: Mapped[str] = mapped_column(server_default="waiting")
    says: Mapped[str] = mapped_column(server_default="")
    made_at: Mapped[datetime] = mapped_column(Moment)
    claimed_at: Mapped[datetime | None] = mapped_column(Moment)
    done_at: Mapped[datetime | None] = mapped_column(Moment)
    file: Mapped[bytes | None] = mapped_column(BYTEA, deferred=True)


class ErasureRow(Base):
    """What was erased, without a name: it proves that it is gone."""

    __tablename__ = "erasure"
    __table_args__ = (Index("ix_erasure_practice_id", "practice_id"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    client_id: Mapped[UUID]
    what: Mapped[str]
    reason: Mapped[str]
    at: Mapped[datetime] = mapped_column(Moment)
    by_name: Mapped[str]
    counts: Mapped[Any] = mapped_column(JSONB)
    left_over: Mapped[int]
    backups_until: Mapped[datetime | None] = mapped_column(Moment)
