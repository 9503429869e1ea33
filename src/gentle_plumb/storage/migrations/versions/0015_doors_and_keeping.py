"""one-time links for members, an assistant's role, clients open to some only, periods of keeping, erasures"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0015"
down_revision = "0014"
branch_labels = None
depends_on = None

MOMENT = postgresql.TIMESTAMP(timezone=True)
KEPT = ("keep_signed_years", "keep_unsigned_years", "keep_photographs_months")


def upgrade() -> None:
    op.drop_constraint(op.f("ck_member_role"), "member")
    op.create_check_constraint(
        op.f("ck_member_role"), "member", "role in ('owner', 'practitioner', 'assistant', 'reader')"
    )
    op.drop_constraint(op.f("ck_member_sees_health"), "member")
    op.create_check_constraint(
        op.f("ck_member_sees_health"),
        "member",
        "role = 'reader' or sees_health = (role in ('owner', 'practitioner'))",
    )
    op.add_column(
        "practice",
        sa.Column("idle_minutes", sa.Integer(), server_default=sa.text("15"), nullable=False),
    )
    for name in KEPT:
        op.add_column("practice", sa.Column(name, sa.Integer()))
    op.add_column(
        "client",
        sa.Column("restricted", sa.Boolean(), server_default=sa.text("false"), nullable=False),
    )
    op.create_table(
        "client_access",
        sa.Column("client_id", sa.Uuid(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.ForeignKeyConstraint(
            ["client_id"], ["client.id"], name="fk_client_access_client_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["member_id"], ["member.id"], name="fk_client_access_member_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("client_id", "member_id", name="pk_client_access"),
    )
    op.create_table(
        "one_time_link",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("token_hash", postgresql.BYTEA(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("email", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("title", sa.String(), server_default="", nullable=False),
        sa.Column("role", sa.String(), server_default="", nullable=False),
        sa.Column("member_id", sa.Uuid()),
        sa.Column("made_by", sa.String(), server_default="", nullable=False),
        sa.Column("made_at", MOMENT, nullable=False),
        sa.Column("ends_at", MOMENT, nullable=False),
        sa.Column("used_at", MOMENT),
        sa.CheckConstraint("kind in ('invitation', 'reset')", name=op.f("ck_one_time_link_kind")),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name="fk_one_time_link_practice_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["member_id"], ["member.id"], name="fk_one_time_link_member_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_one_time_link"),
        sa.UniqueConstraint("token_hash", name="uq_one_time_link_token_hash"),
    )
    op.create_index("ix_one_time_link_practice_id", "one_time_link", ["practice_id"])
    op.create_table(
        "staff_letter",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("link_id", sa.Uuid(), nullable=False),
        sa.Column("url", sa.String(), nullable=False),
        sa.Column("state", sa.String(), server_default="waiting", nullable=False),
        sa.Column("tries", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("trouble", sa.String(), server_default="", nullable=False),
        sa.Column("sent_at", MOMENT),
        sa.CheckConstraint(
            "state in ('waiting', 'sending', 'sent', 'failed', 'dropped')",
            name=op.f("ck_staff_letter_state"),
        ),
        sa.ForeignKeyConstraint(
            ["link_id"], ["one_time_link.id"], name="fk_staff_letter_link_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_staff_letter"),
    )
    op.create_index("ix_staff_letter_link_id", "staff_letter", ["link_id"])
    op.create_table(
        "erasure",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("client_id", sa.Uuid(), nullable=False),
        sa.Column("what", sa.String(), nullable=False),
        sa.Column("reason", sa.String(), nullable=False),
        sa.Column("at", MOMENT, nullable=False),
        sa.Column("by_name", sa.String(), nullable=False),
        sa.Column("counts", postgresql.JSONB(), nullable=False),
        sa.Column("left_over", sa.Integer(), nullable=False),
        sa.Column("backups_until", MOMENT),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name="fk_erasure_practice_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_erasure"),
    )
    op.create_index("ix_erasure_practice_id", "erasure", ["practice_id"])
    op.create_table(
        "bulk_job",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("since", sa.Date()),
        sa.Column("until", sa.Date()),
        sa.Column("copy", sa.String(), server_default="", nullable=False),
        sa.Column("state", sa.String(), server_default="waiting", nullable=False),
        sa.Column("says", sa.String(), server_default="", nullable=False),
        sa.Column("made_at", MOMENT, nullable=False),
        sa.Column("claimed_at", MOMENT),
        sa.Column("done_at", MOMENT),
        sa.Column("file", postgresql.BYTEA()),
        sa.CheckConstraint("kind in ('papers', 'import')", name=op.f("ck_bulk_job_kind")),
        sa.CheckConstraint(
            "state in ('waiting', 'working', 'done', 'failed')", name=op.f("ck_bulk_job_state")
        ),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name="fk_bulk_job_practice_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["member_id"], ["member.id"], name="fk_bulk_job_member_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_bulk_job"),
    )
    op.create_index("ix_bulk_job_practice_id", "bulk_job", ["practice_id"])


def downgrade() -> None:
    for table in ("bulk_job", "erasure", "staff_letter", "one_time_link", "client_access"):
        op.drop_table(table)
    op.drop_column("client", "restricted")
    for name in (*KEPT, "idle_minutes"):
        op.drop_column("practice", name)
    op.execute("update member set role = 'reader' where role = 'assistant'")
    op.drop_constraint(op.f("ck_member_sees_health"), "member")
    op.create_check_constraint(op.f("ck_member_sees_health"), "member", "sees_health or role = 'reader'")
    op.drop_constraint(op.f("ck_member_role"), "member")
    op.create_check_constraint(
        op.f("ck_member_role"), "member", "role in ('owner', 'practitioner', 'reader')"
    )
