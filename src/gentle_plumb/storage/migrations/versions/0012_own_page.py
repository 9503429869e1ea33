"""the client's own page: links, rounds of questions, answers, mail, languages; the queue for what takes time

What the queue needs is the library's own schema.
"""

import sqlalchemy as sa
from alembic import op
from procrastinate.schema import SchemaManager
from sqlalchemy.dialects import postgresql

from gentle_plumb.storage.queue import DROP_QUEUE

revision = "0012"
down_revision = "0011"
branch_labels = None
depends_on = None

MOMENT = postgresql.TIMESTAMP(timezone=True)


def _to(table, ondelete="CASCADE"):
    return sa.ForeignKey(f"{table}.id", ondelete=ondelete)


def upgrade() -> None:
    op.add_column("client", sa.Column("email", sa.String(), server_default="", nullable=False))
    for table in ("entry", "change"):
        op.add_column(
            table,
            sa.Column("self_reported", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        )
    op.create_table(
        "client_link",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("practice_id", sa.Uuid(), _to("practice"), nullable=False),
        sa.Column("client_id", sa.Uuid(), _to("client"), nullable=False),
        sa.Column("visit_id", sa.Uuid(), _to("visit"), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("token", sa.String(), nullable=False),
        sa.Column("code_hash", sa.String(), nullable=False),
        sa.Column("language", sa.String(), nullable=False),
        sa.Column("member_id", sa.Uuid(), _to("member", None), nullable=False),
        sa.Column("made_at", MOMENT, nullable=False),
        sa.Column("ends_on", sa.Date(), nullable=False),
        sa.Column("opened_at", MOMENT),
        sa.Column("revoked_at", MOMENT),
        sa.Column("agreed_at", MOMENT),
        sa.Column("photos_agreed_at", MOMENT),
        sa.UniqueConstraint("token", name="uq_client_link_token"),
        sa.CheckConstraint("kind in ('before', 'after')", name=op.f("ck_client_link_kind")),
    )
    op.create_index("ix_client_link_client_id", "client_link", ["client_id"])
    op.create_table(
        "link_session",
        sa.Column("token_hash", sa.LargeBinary(), primary_key=True),
        sa.Column("link_id", sa.Uuid(), _to("client_link"), nullable=False),
        sa.Column("expires_at", MOMENT, nullable=False),
    )
    op.create_table(
        "check_round",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("link_id", sa.Uuid(), _to("client_link"), nullable=False),
        sa.Column("round", sa.String(), nullable=False),
        sa.Column("due_on", sa.Date(), nullable=False),
        sa.Column("sent_at", MOMENT),
        sa.Column("decided", sa.String()),
        sa.Column("note", sa.String(), server_default="", nullable=False),
        sa.Column("decided_by", sa.String(), server_default="", nullable=False),
        sa.Column("decided_at", MOMENT),
        sa.UniqueConstraint("link_id", "round", name="uq_check_round_link_id"),
    )
    op.create_table(
        "given_answer",
        sa.Column("round_id", sa.Uuid(), _to("check_round"), primary_key=True),
        sa.Column("question", sa.String(), primary_key=True),
        sa.Column("typed", sa.String(), nullable=False),
        sa.Column("value", postgresql.JSONB()),
        sa.Column("changed_at", MOMENT, nullable=False),
    )
    op.create_table(
        "outgoing_mail",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("practice_id", sa.Uuid(), _to("practice"), nullable=False),
        sa.Column("client_id", sa.Uuid(), _to("client"), nullable=False),
        sa.Column("link_id", sa.Uuid(), _to("client_link"), nullable=False),
        sa.Column("round_id", sa.Uuid(), _to("check_round")),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("recipient", sa.String(), nullable=False),
        sa.Column("url", sa.String(), nullable=False),
        sa.Column("made_at", MOMENT, nullable=False),
        sa.Column("due_at", MOMENT, nullable=False),
        sa.Column("state", sa.String(), server_default="waiting", nullable=False),
        sa.Column("tries", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("trouble", sa.String(), server_default="", nullable=False),
        sa.Column("sent_at", MOMENT),
        sa.CheckConstraint(
            "state in ('waiting', 'sending', 'sent', 'failed', 'dropped')",
            name=op.f("ck_outgoing_mail_state"),
        ),
    )
    op.create_index("ix_outgoing_mail_client_id", "outgoing_mail", ["client_id"])
    op.create_table(
        "message_catalogue",
        sa.Column("practice_id", sa.Uuid(), _to("practice"), primary_key=True),
        sa.Column("language", sa.String(), primary_key=True),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("direction", sa.String(), nullable=False),
        sa.Column("messages", postgresql.JSONB(), nullable=False),
    )
    # many statements at once: only without parameters
    op.get_bind().connection.cursor().execute(SchemaManager.get_schema())


def downgrade() -> None:
    op.execute(DROP_QUEUE)
    for table in (
        "message_catalogue",
        "outgoing_mail",
        "given_answer",
        "check_round",
        "link_session",
        "client_link",
    ):
        op.drop_table(table)
    for table in ("entry", "change"):
        op.drop_column(table, "self_reported")
    op.drop_column("client", "email")
