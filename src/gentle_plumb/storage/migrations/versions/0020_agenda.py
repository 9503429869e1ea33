"""appointments, private calendars, mail about appointments; a practice's hours and rooms"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0020"
down_revision = "0019"
branch_labels = None
depends_on = None

MOMENT = postgresql.TIMESTAMP(timezone=True)


def _to(table, ondelete="CASCADE"):
    return sa.ForeignKey(f"{table}.id", ondelete=ondelete)


def upgrade() -> None:
    op.add_column("practice", sa.Column("opens_at", sa.Integer(), nullable=False, server_default="480"))
    op.add_column("practice", sa.Column("closes_at", sa.Integer(), nullable=False, server_default="1080"))
    op.add_column("practice", sa.Column("open_days", sa.String(), nullable=False, server_default="12345"))
    op.add_column("practice", sa.Column("rooms", sa.String(), nullable=False, server_default=""))
    op.create_table(
        "appointment",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("practice_id", sa.Uuid(), _to("practice"), nullable=False),
        sa.Column("client_id", sa.Uuid(), _to("client"), nullable=False),
        sa.Column("member_id", sa.Uuid(), _to("member", None), nullable=False),
        sa.Column("on", sa.Date(), nullable=False),
        sa.Column("at", sa.Integer(), nullable=False),
        sa.Column("minutes", sa.Integer(), nullable=False, server_default="60"),
        sa.Column("kind", sa.String(), nullable=False, server_default="visit"),
        sa.Column("place_kind", sa.String(), nullable=False, server_default="room"),
        sa.Column("place", sa.String(), nullable=False, server_default=""),
        sa.Column("mail_client", sa.Boolean(), nullable=False, server_default=sa.text("true")),
        sa.Column("version", sa.Integer(), nullable=False, server_default="1"),
        sa.CheckConstraint(
            "kind in ('visit', 'follow_up', 'check', 'call_back')", name=op.f("ck_appointment_kind")
        ),
        sa.CheckConstraint(
            "place_kind in ('room', 'address', 'call')", name=op.f("ck_appointment_place_kind")
        ),
    )
    op.create_index("ix_appointment_practice_id_on", "appointment", ["practice_id", "on"])
    op.create_index("ix_appointment_client_id", "appointment", ["client_id"])
    op.create_index("ix_appointment_member_id", "appointment", ["member_id"])
    op.create_table(
        "calendar_feed",
        sa.Column("member_id", sa.Uuid(), _to("member"), primary_key=True),
        sa.Column("token_hash", sa.LargeBinary(), nullable=False),
        sa.Column("names", sa.Boolean(), nullable=False),
        sa.Column("made_at", MOMENT, nullable=False),
        sa.UniqueConstraint("token_hash", name="uq_calendar_feed_token_hash"),
    )
    op.add_column("outgoing_mail", sa.Column("appointment_id", sa.Uuid(), nullable=True))
    op.add_column("outgoing_mail", sa.Column("about", sa.String(), nullable=False, server_default=""))
    op.alter_column("outgoing_mail", "link_id", nullable=True)
    op.create_index("ix_outgoing_mail_appointment_id", "outgoing_mail", ["appointment_id"])


def downgrade() -> None:
    op.execute("delete from outgoing_mail where link_id is null")
    op.drop_index("ix_outgoing_mail_appointment_id", "outgoing_mail")
    op.alter_column("outgoing_mail", "link_id", nullable=False)
    op.drop_column("outgoing_mail", "about")
    op.drop_column("outgoing_mail", "appointment_id")
    op.drop_table("calendar_feed")
    op.drop_table("appointment")
    for column in ("rooms", "open_days", "closes_at", "opens_at"):
        op.drop_column("practice", column)
