"""The tables. Where a table holds a model of the services, the model is its declaration.

What the database alone knows (keys, references, checks, what is no field) is said beside.
Constraint names are fixed, so that driver errors can be mapped by them.
"""

from __future__ import annotations

from sqlalchemy import (
    BigInteger,
    Boolean,
    CheckConstraint,
    Column,
    ForeignKey,
    Index,
    Integer,
    String,
    Table,
    UniqueConstraint,
    Uuid,
    text,
)
from sqlalchemy.dialects.postgresql import BYTEA, JSONB

from ..services.models import (
    Appointment,
    BulkJob,
    CalendarFeed,
    CheckRound,
    Client,
    ClientLink,
    Entry,
    Erasure,
    GivenAnswer,
    MeasuringList,
    Member,
    MessageCatalogue,
    OneTimeLink,
    OutgoingMail,
    PhotoHead,
    Phrase,
    PopulationTable,
    Practice,
    ReportHead,
    Session,
    ShelfItem,
    StaffLetter,
    StoredRuleSet,
    Visit,
)
from ..services.models.audit_log import AuditLine
from .mapping import METADATA, MOMENT, cascades, table_of

PRACTICE = table_of(Practice, "practice", checked=("unit", "date_order"))
MEMBER = table_of(
    Member,
    "member",
    Column("left_at", MOMENT),
    Index("uq_member_email", "email", unique=True, postgresql_where=text("left_at is null")),
    Index("ix_member_practice_id", "practice_id"),
    CheckConstraint(
        "role = 'reader' or sees_health = (role in ('owner', 'practitioner'))", name="sees_health"
    ),
    checked=("role",),
    practice_id=cascades("practice"),
)
SESSION = table_of(
    Session,
    "session",
    UniqueConstraint("id", name="uq_session_id"),
    Index("ix_session_member_id", "member_id"),
    key=("token_hash",),
    member_id=cascades("member"),
)
KNOWN_BROWSER = Table(
    "known_browser",
    METADATA,
    Column("token_hash", BYTEA, primary_key=True),
    Column("member_id", Uuid, cascades("member"), nullable=False),
    Column("until", MOMENT, nullable=False),
    Index("ix_known_browser_member_id", "member_id"),
)
"""Browsers in which a member signed in before."""
SIGN_IN_TRY = Table(
    "sign_in_try",
    METADATA,
    Column("key", BYTEA, primary_key=True),
    Column("count", Integer, nullable=False),
    Column("last_at", MOMENT, nullable=False),
)
"""Tries to sign in, by a digest of what they are counted by."""
TROUBLE = Table(
    "trouble",
    METADATA,
    Column("kind", String, primary_key=True),
    Column("at", MOMENT, nullable=False),
    Column("detail", String, nullable=False),
)
"""The last thing of its kind that went wrong while nobody was there to be told; none once it goes well."""
CLIENT = table_of(
    Client,
    "client",
    UniqueConstraint("practice_id", "origin_id", name="uq_client_origin_id"),
    checked=("sex",),
    practice_id=cascades("practice"),
)
VISIT = table_of(
    Visit,
    "visit",
    Index("ix_visit_practice_id", "practice_id"),
    Index("ix_visit_client_id", "client_id"),
    UniqueConstraint("practice_id", "origin_id", name="uq_visit_origin_id"),
    practice_id=cascades("practice"),
    client_id=cascades("client"),
    member_id=ForeignKey("member.id"),
)
ENTRY = table_of(
    Entry,
    "entry",
    Column("visit_id", Uuid, cascades("visit"), primary_key=True),
    Column("member_id", Uuid, ForeignKey("member.id"), nullable=False),
    key=("path",),
    without=("changed_by",),
)
"""What a field of a visit holds now."""
CHANGE = Table(
    "change",
    METADATA,
    Column("id", Uuid, primary_key=True),
    Column("visit_id", Uuid, cascades("visit"), nullable=False),
    Column("path", String, nullable=False),
    Column("typed", String, nullable=False),
    Column("value", JSONB(none_as_null=True)),
    Column("version", Integer, nullable=False),
    Column("member_id", Uuid, ForeignKey("member.id"), nullable=False),
    Column("made_at", MOMENT, nullable=False),
    Column("self_reported", Boolean, nullable=False, server_default=text("false")),
    Index("ix_change_visit_id", "visit_id"),
)
"""Every change ever made, by the id the page gave it."""
REPORT = table_of(
    ReportHead,
    "report",
    Column("content", JSONB, nullable=False),
    UniqueConstraint("visit_id", "number", name="uq_report_number"),
    without=("copies",),
    visit_id=cascades("visit"),
)
REPORT_COPY = Table(
    "report_copy",
    METADATA,
    Column("report_id", Uuid, cascades("report"), primary_key=True),
    Column("copy", String, primary_key=True),
    Column("pdf", BYTEA, nullable=False),
    Column("sha256", String, nullable=False),
    Column("without", BYTEA),
)
"""A copy of a signed report, byte for byte; ``without`` is the same without photographs."""
PRESENCE = Table(
    "presence",
    METADATA,
    Column("page_id", Uuid, primary_key=True),
    Column("visit_id", Uuid, cascades("visit"), nullable=False),
    Column("member_id", Uuid, ForeignKey("member.id"), nullable=False),
    Column("since", MOMENT, nullable=False),
    Column("seen_at", MOMENT, nullable=False),
    Index("ix_presence_visit_id", "visit_id"),
    prefixes=["UNLOGGED"],
)
"""On which pages a visit is open just now."""
PHOTO = table_of(
    PhotoHead,
    "photo",
    Column("jpeg", BYTEA, nullable=False),
    Index("ix_photo_visit_id", "visit_id"),
    visit_id=cascades("visit"),
)
SHELF_ITEM = table_of(
    ShelfItem,
    "shelf_item",
    UniqueConstraint("practice_id", "piece", "name", name="uq_shelf_item_name"),
    without=("users",),
    practice_id=cascades("practice"),
)
PHRASE = table_of(
    Phrase,
    "phrase",
    UniqueConstraint("practice_id", "code", name="uq_phrase_code"),
    practice_id=cascades("practice"),
)
MEASURING_LIST = table_of(
    MeasuringList,
    "measuring_list",
    UniqueConstraint("practice_id", "name", name="uq_measuring_list_name"),
    practice_id=cascades("practice"),
)
POPULATION_TABLE = table_of(
    PopulationTable,
    "population_table",
    UniqueConstraint("practice_id", "name", name="uq_population_table_name"),
    practice_id=cascades("practice"),
)
RULE_SET = table_of(
    StoredRuleSet,
    "policy_bundle",
    UniqueConstraint("practice_id", "name", name="uq_policy_bundle_name"),
    Index(
        "uq_policy_bundle_default", "practice_id", unique=True, postgresql_where=text("is_default")
    ),
    practice_id=cascades("practice"),
)
CLIENT_LINK = table_of(
    ClientLink,
    "client_link",
    UniqueConstraint("token", name="uq_client_link_token"),
    Index("ix_client_link_client_id", "client_id"),
    checked=("kind",),
    practice_id=cascades("practice"),
    client_id=cascades("client"),
    visit_id=cascades("visit"),
    member_id=ForeignKey("member.id"),
)
LINK_SESSION = Table(
    "link_session",
    METADATA,
    Column("token_hash", BYTEA, primary_key=True),
    Column("link_id", Uuid, cascades("client_link"), nullable=False),
    Column("expires_at", MOMENT, nullable=False),
)
"""Browsers in which a client opened their page."""
CHECK_ROUND = table_of(
    CheckRound,
    "check_round",
    UniqueConstraint("link_id", "round", name="uq_check_round_link_id"),
    link_id=cascades("client_link"),
)
GIVEN_ANSWER = table_of(
    GivenAnswer,
    "given_answer",
    Column("round_id", Uuid, cascades("check_round"), primary_key=True),
    key=("question",),
)
OUTGOING_MAIL = table_of(
    OutgoingMail,
    "outgoing_mail",
    Index("ix_outgoing_mail_client_id", "client_id"),
    Index("ix_outgoing_mail_appointment_id", "appointment_id"),
    checked=("state",),
    practice_id=cascades("practice"),
    client_id=cascades("client"),
    link_id=cascades("client_link"),
    round_id=cascades("check_round"),
)
APPOINTMENT = table_of(
    Appointment,
    "appointment",
    Index("ix_appointment_practice_id_on", "practice_id", "on"),
    Index("ix_appointment_client_id", "client_id"),
    Index("ix_appointment_member_id", "member_id"),
    checked=("kind", "place_kind"),
    practice_id=cascades("practice"),
    client_id=cascades("client"),
    member_id=ForeignKey("member.id"),
)
CALENDAR_FEED = table_of(
    CalendarFeed,
    "calendar_feed",
    UniqueConstraint("token_hash", name="uq_calendar_feed_token_hash"),
    key=("member_id",),
    member_id=cascades("member"),
)
MESSAGE_CATALOGUE = table_of(
    MessageCatalogue,
    "message_catalogue",
    Column("practice_id", Uuid, cascades("practice"), primary_key=True),
    key=("language",),
)
TRAIL = table_of(
    AuditLine,
    "trail",
    Column("number", BigInteger, primary_key=True),
    Column("client_id", Uuid),
    Column("visit_id", Uuid),
    Index("ix_trail_client_id", "client_id"),
    key=("practice_id",),
    without=("target",),
)
"""Nothing of a line points anywhere: it outlives what it is about."""
ONE_TIME_LINK = table_of(
    OneTimeLink,
    "one_time_link",
    UniqueConstraint("token_hash", name="uq_one_time_link_token_hash"),
    Index("ix_one_time_link_practice_id", "practice_id"),
    checked=("kind",),
    practice_id=cascades("practice"),
    member_id=cascades("member"),
)
STAFF_LETTER = table_of(
    StaffLetter,
    "staff_letter",
    Index("ix_staff_letter_link_id", "link_id"),
    checked=("state",),
    link_id=cascades("one_time_link"),
)
CLIENT_ACCESS = Table(
    "client_access",
    METADATA,
    Column("client_id", Uuid, cascades("client"), primary_key=True),
    Column("member_id", Uuid, cascades("member"), primary_key=True),
)
"""Who sees a client that is open to some only."""
BULK_JOB = table_of(
    BulkJob,
    "bulk_job",
    Column("file", BYTEA),
    Index("ix_bulk_job_practice_id", "practice_id"),
    checked=("kind", "state"),
    practice_id=cascades("practice"),
    member_id=cascades("member"),
)
"""``file`` is what came, or what was made."""
ERASURE = table_of(
    Erasure,
    "erasure",
    Index("ix_erasure_practice_id", "practice_id"),
    practice_id=cascades("practice"),
)
