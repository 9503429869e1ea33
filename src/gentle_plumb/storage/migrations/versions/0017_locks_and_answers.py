"""sessions that lock, copies on devices that end, second factors sealed, and versions of clients' answers"""

import sqlalchemy as sa
from alembic import op

revision = "0017"
down_revision = "0016"
branch_labels = None
depends_on = None

MOMENT = sa.DateTime(timezone=True)


def upgrade() -> None:
    op.add_column(
        "session",
        sa.Column("used_at", MOMENT, server_default=sa.text("now()"), nullable=False),
    )
    op.add_column(
        "session",
        sa.Column("locked", sa.Boolean(), server_default=sa.text("false"), nullable=False),
    )
    op.add_column(
        "practice",
        sa.Column("device_days", sa.Integer(), server_default=sa.text("14"), nullable=False),
    )
    op.alter_column("member", "totp_secret", new_column_name="sealed_totp")
    op.add_column(
        "given_answer", sa.Column("version", sa.Integer(), server_default="1", nullable=False)
    )
    op.add_column("given_answer", sa.Column("change_id", sa.Uuid()))


def downgrade() -> None:
    # what is sealed opens nothing in the earlier version: those members use a recovery code, or are reset
    op.alter_column("member", "sealed_totp", new_column_name="totp_secret")
    op.drop_column("given_answer", "change_id")
    op.drop_column("given_answer", "version")
    op.drop_column("practice", "device_days")
    op.drop_column("session", "locked")
    op.drop_column("session", "used_at")
