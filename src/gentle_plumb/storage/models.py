"""Tables. Constraint names are fixed, so that driver errors can be mapped by them."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import CheckConstraint, ForeignKey, Index, MetaData, UniqueConstraint, text
from sqlalchemy.dialects.postgresql import BYTEA, JSONB, TIMESTAMP
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

Moment = TIMESTAMP(timezone=True)


class Base(DeclarativeBase):
    """Common metadata."""

    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(column_0_label)s",
            "uq": "uq_%(table_name)s_%(column_0_name)s",
            "ck": "ck_%(table_name)s_%(constraint_name)s",
            "fk": "fk_%(table_name)s_%(column_0_name)s",
            "pk": "pk_%(table_name)s",
        }
    )


class PracticeRow(Base):
    """A practice."""

    __tablename__ = "practice"
    __table_args__ = (
        CheckConstraint("unit in ('mm', 'cm', 'in')", name="unit"),
        CheckConstraint("date_order in ('dmy', 'mdy')", name="date_order"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    unit: Mapped[str] = mapped_column(server_default="cm")
    local_wording: Mapped[str] = mapped_column(server_default="")
    time_zone: Mapped[str] = mapped_column(server_default="UTC")
    date_order: Mapped[str] = mapped_column(server_default="dmy")
    price_small: Mapped[float | None]
    price_medium: Mapped[float | None]
    price_large: Mapped[float | None]
    currency: Mapped[str] = mapped_column(server_default="")
    letterhead: Mapped[str] = mapped_column(server_default="")
    contact: Mapped[str] = mapped_column(server_default="")
    second_factor: Mapped[bool] = mapped_column(server_default=text("false"))
    idle_minutes: Mapped[int] = mapped_column(server_default=text("15"))
    device_days: Mapped[int] = mapped_column(server_default=text("14"))
    keep_signed_years: Mapped[int | None]
    keep_unsigned_years: Mapped[int | None]
    keep_photographs_months: Mapped[int | None]


class MemberRow(Base):
    """Somebody who signs in."""

    __tablename__ = "member"
    __table_args__ = (
        Index("uq_member_email", "email", unique=True, postgresql_where=text("left_at is null")),
        Index("ix_member_practice_id", "practice_id"),
        CheckConstraint("role in ('owner', 'practitioner', 'assistant', 'reader')", name="role"),
        CheckConstraint(
            "role = 'reader' or sees_health = (role in ('owner', 'practitioner'))",
            name="sees_health",
        ),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    email: Mapped[str]
    name: Mapped[str]
    title: Mapped[str] = mapped_column(server_default="")
    role: Mapped[str]
    password_hash: Mapped[str]
    sees_health: Mapped[bool] = mapped_column(server_default=text("true"))
    registration: Mapped[str] = mapped_column(server_default="")
    sealed_totp: Mapped[str] = mapped_column(server_default="")
    totp_last: Mapped[int] = mapped_column(server_default=text("0"))
    recovery: Mapped[Any] = mapped_column(JSONB, server_default=text("'[]'"))
    left_at: Mapped[datetime | None] = mapped_column(Moment)


class SessionRow(Base):
    """A signed-in browser."""

    __tablename__ = "session"
    __table_args__ = (
        UniqueConstraint("id", name="uq_session_id"),
        Index("ix_session_member_id", "member_id"),
    )
    token_hash: Mapped[bytes] = mapped_column(BYTEA, primary_key=True)
    id: Mapped[UUID] = mapped_column(server_default=text("gen_random_uuid()"))
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id", ondelete="CASCADE"))
    csrf: Mapped[str]
    started_at: Mapped[datetime] = mapped_column(Moment, server_default=text("now()"))
    expires_at: Mapped[datetime] = mapped_column(Moment)
    used_at: Mapped[datetime] = mapped_column(Moment, server_default=text("now()"))
    locked: Mapped[bool] = mapped_column(server_default=text("false"))
    browser: Mapped[str] = mapped_column(server_default="")


class KnownBrowserRow(Base):
    """A browser in which a member signed in before."""

    __tablename__ = "known_browser"
    __table_args__ = (Index("ix_known_browser_member_id", "member_id"),)
    token_hash: Mapped[bytes] = mapped_column(BYTEA, primary_key=True)
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id", ondelete="CASCADE"))
    until: Mapped[datetime] = mapped_column(Moment)


class TryRow(Base):
    """Tries to sign in, by a digest of what they are counted by."""

    __tablename__ = "sign_in_try"
    key: Mapped[bytes] = mapped_column(BYTEA, primary_key=True)
    count: Mapped[int]
    last_at: Mapped[datetime] = mapped_column(Moment)


class TroubleRow(Base):
    """The last thing of its kind that went wrong while nobody was there to be told; none once it goes well."""

    __tablename__ = "trouble"
    kind: Mapped[str] = mapped_column(primary_key=True)
    at: Mapped[datetime] = mapped_column(Moment)
    detail: Mapped[str]


class ClientRow(Base):
    """A client."""

    __tablename__ = "client"
    __table_args__ = (
        UniqueConstraint("practice_id", "origin_id", name="uq_client_origin_id"),
        CheckConstraint("sex in ('female', 'male')", name="sex"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    name: Mapped[str]
    sex: Mapped[str | None]
    work: Mapped[str] = mapped_column(server_default="")
    version: Mapped[int] = mapped_column(server_default=text("1"))
    origin_id: Mapped[str | None]
    email: Mapped[str] = mapped_column(server_default="")
    restricted: Mapped[bool] = mapped_column(server_default=text("false"))
    birth_year: Mapped[int | None]


class VisitRow(Base):
    """A visit."""

    __tablename__ = "visit"
    __table_args__ = (
        Index("ix_visit_practice_id", "practice_id"),
        Index("ix_visit_client_id", "client_id"),
        UniqueConstraint("practice_id", "origin_id", name="uq_visit_origin_id"),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    client_id: Mapped[UUID] = mapped_column(ForeignKey("client.id", ondelete="CASCADE"))
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id"))
    started_on: Mapped[date]
    revision: Mapped[int] = mapped_column(server_default=text("0"))
    errors: Mapped[Any] = mapped_column(JSONB, server_default=text("'{}'"))
    policies: Mapped[Any] = mapped_column(JSONB, server_default=text("'{}'"))
    origin_id: Mapped[str | None]
    discarded_at: Mapped[datetime | None] = mapped_column(Moment)


class EntryRow(Base):
    """What a field of a visit holds now."""

    __tablename__ = "entry"
    visit_id: Mapped[UUID] = mapped_column(
        ForeignKey("visit.id", ondelete="CASCADE"), primary_key=True
    )
    path: Mapped[str] = mapped_column(primary_key=True)
    value: Mapped[Any] = mapped_column(JSONB(none_as_null=True), nullable=True)
    typed: Mapped[str]
    version: Mapped[int]
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id"))
    changed_at: Mapped[datetime] = mapped_column(Moment)
    self_reported: Mapped[bool] = mapped_column(server_default=text("false"))


class ChangeRow(Base):
    """Every change ever made, by the id the page gave it."""

    __tablename__ = "change"
    __table_args__ = (Index("ix_change_visit_id", "visit_id"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    visit_id: Mapped[UUID] = mapped_column(ForeignKey("visit.id", ondelete="CASCADE"))
    path: Mapped[str]
    typed: Mapped[str]
    value: Mapped[Any] = mapped_column(JSONB(none_as_null=True), nullable=True)
    version: Mapped[int]
    member_id: Mapped[UUID] = mapped_column(ForeignKey("member.id"))
    made_at: Mapped[datetime] = mapped_column(Moment)
    self_reported: Mapped[bool] = mapped_column(server_default=text("false"))


class ReportRow(Base):
    """A signed report, frozen."""

    __tablename__ = "report"
    __table_args__ = (UniqueConstraint("visit_id", "number", name="uq_report_number"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    visit_id: Mapped[UUID] = mapped_column(ForeignKey("visit.id", ondelete="CASCADE"))
    number: Mapped[int]
    revision: Mapped[int]
    content: Mapped[Any] = mapped_column(JSONB, deferred=True)
    signed_by: Mapped[str]
    signed_at: Mapped[datetime] = mapped_column(Moment)


class ReportCopyRow(Base):
    """A copy of a signed report, byte for byte; ``without`` is the same without photographs."""

    __tablename__ = "report_copy"
    report_id: Mapped[UUID] = mapped_column(
        ForeignKey("report.id", ondelete="CASCADE"), primary_key=True
    )
    copy: Mapped[str] = mapped_column(primary_key=True)
    pdf: Mapped[bytes] = mapped_column(BYTEA, deferred=True)
    sha256: Mapped[str]
    without: Mapped[bytes | None] = mapped_column(BYTEA, deferred=True)


class PhotoRow(Base):
    """A photograph: upright, without metadata."""

    __tablename__ = "photo"
    __table_args__ = (Index("ix_photo_visit_id", "visit_id"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    visit_id: Mapped[UUID] = mapped_column(ForeignKey("visit.id", ondelete="CASCADE"))
    width: Mapped[int]
    height: Mapped[int]
    fov_deg: Mapped[float | None]
    size: Mapped[int]
    jpeg: Mapped[bytes] = mapped_column(BYTEA, deferred=True)
    sha256: Mapped[str]
    added_by: Mapped[str]
    added_at: Mapped[datetime] = mapped_column(Moment)


class ShelfItemRow(Base):
    """A piece of the practice's own, or a shared workstation."""

    __tablename__ = "shelf_item"
    __table_args__ = (UniqueConstraint("practice_id", "piece", "name", name="uq_shelf_item_name"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    piece: Mapped[str]
    name: Mapped[str]
    place: Mapped[str] = mapped_column(server_default="")
    values: Mapped[Any] = mapped_column(JSONB)
    version: Mapped[int] = mapped_column(server_default=text("1"))


class MeasuringListRow(Base):
    """A practice's own list of dimensions."""

    __tablename__ = "measuring_list"
    __table_args__ = (UniqueConstraint("practice_id", "name", name="uq_measuring_list_name"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    name: Mapped[str]
    dimensions: Mapped[Any] = mapped_column(JSONB)
    version: Mapped[int] = mapped_column(server_default=text("1"))


class PopulationTableRow(Base):
    """A table of a population that a practice added."""

    __tablename__ = "population_table"
    __table_args__ = (UniqueConstraint("practice_id", "name", name="uq_population_table_name"),)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    name: Mapped[str]
    origin: Mapped[str]
    rows: Mapped[Any] = mapped_column(JSONB)
    added_by: Mapped[str]
    added_at: Mapped[datetime] = mapped_column(Moment)


class RuleSetRow(Base):
    """A practice's named bundle of positions; at most one is what new visits begin with."""

    __tablename__ = "policy_bundle"
    __table_args__ = (
        UniqueConstraint("practice_id", "name", name="uq_policy_bundle_name"),
        Index(
            "uq_policy_bundle_default",
            "practice_id",
            unique=True,
            postgresql_where=text("is_default"),
        ),
    )
    id: Mapped[UUID] = mapped_column(primary_key=True)
    practice_id: Mapped[UUID] = mapped_column(ForeignKey("practice.id", ondelete="CASCADE"))
    name: Mapped[str]
    choices: Mapped[Any] = mapped_column(JSONB)
    is_default: Mapped[bool] = mapped_column(server_default=text("false"))
    version: Mapped[int] = mapped_column(server_default=text("1"))
