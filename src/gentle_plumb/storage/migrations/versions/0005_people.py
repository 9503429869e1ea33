"""people: sessions by id, remembered browsers, tries to sign in, who left, who sees health data"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0005"
down_revision = "0004"
branch_labels = None
depends_on = None

MOMENT = postgresql.TIMESTAMP(timezone=True)


def upgrade() -> None:
    op.add_column("practice", sa.Column("time_zone", sa.String(), server_default="UTC", nullable=False))
    op.add_column(
        "member",
        sa.Column("sees_health", sa.Boolean(), server_default=sa.text("true"), nullable=False),
    )
    op.execute("update member set sees_health = false where role = 'reader'")
    op.create_check_constraint(op.f("ck_member_sees_health"), "member", "sees_health or role = 'reader'")
    op.add_column("member", sa.Column("left_at", MOMENT, nullable=True))
    op.drop_constraint("uq_member_email", "member")
    op.create_index(
        "uq_member_email", "member", ["email"], unique=True, postgresql_where=sa.text("left_at is null")
    )
    op.create_index("ix_member_practice_id", "member", ["practice_id"])
    op.drop_column("member", "failures")
    op.drop_column("member", "locked_until")
    op.add_column(
        "session",
        sa.Column("id", sa.Uuid(), server_default=sa.text("gen_random_uuid()"), nullable=False),
    )
    op.add_column(
        "session", sa.Column("started_at", MOMENT, server_default=sa.text("now()"), nullable=False)
    )
    op.add_column("session", sa.Column("browser", sa.String(), server_default="", nullable=False))
    op.create_unique_constraint("uq_session_id", "session", ["id"])
    op.create_index("ix_session_member_id", "session", ["member_id"])
    op.create_table(
        "known_browser",
        sa.Column("token_hash", postgresql.BYTEA(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("until", MOMENT, nullable=False),
        sa.ForeignKeyConstraint(
            ["member_id"], ["member.id"], name=op.f("fk_known_browser_member_id"), ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("token_hash", name=op.f("pk_known_browser")),
    )
    op.create_index("ix_known_browser_member_id", "known_browser", ["member_id"])
    op.create_table(
        "sign_in_try",
        sa.Column("key", postgresql.BYTEA(), nullable=False),
        sa.Column("count", sa.Integer(), nullable=False),
        sa.Column("last_at", MOMENT, nullable=False),
        sa.PrimaryKeyConstraint("key", name=op.f("pk_sign_in_try")),
    )


def downgrade() -> None:
    op.drop_table("sign_in_try")
    op.drop_table("known_browser")
    op.drop_index("ix_session_member_id", "session")
    op.drop_constraint("uq_session_id", "session")
    for column in ("browser", "started_at", "id"):
        op.drop_column("session", column)
    op.add_column("member", sa.Column("locked_until", MOMENT, nullable=True))
    op.add_column(
        "member", sa.Column("failures", sa.Integer(), server_default=sa.text("0"), nullable=False)
    )
    op.drop_index("ix_member_practice_id", "member")
    op.drop_index("uq_member_email", "member")
    # an address can only be there once now: who left gives it up
    op.execute("update member set email = id || ' left' where left_at is not null")
    op.create_unique_constraint("uq_member_email", "member", ["email"])
    op.drop_column("member", "left_at")
    op.drop_constraint(op.f("ck_member_sees_health"), "member")
    op.drop_column("member", "sees_health")
    op.drop_column("practice", "time_zone")
