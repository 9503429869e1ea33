"""a second factor for members, required where a practice says so"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0014"
down_revision = "0013"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column(
        "practice",
        sa.Column("second_factor", sa.Boolean(), server_default=sa.text("false"), nullable=False),
    )
    op.add_column("member", sa.Column("totp_secret", sa.String(), server_default="", nullable=False))
    op.add_column(
        "member", sa.Column("totp_last", sa.Integer(), server_default=sa.text("0"), nullable=False)
    )
    op.add_column(
        "member",
        sa.Column("recovery", postgresql.JSONB(), server_default=sa.text("'[]'"), nullable=False),
    )


def downgrade() -> None:
    for column in ("recovery", "totp_last", "totp_secret"):
        op.drop_column("member", column)
    op.drop_column("practice", "second_factor")
