"""a practice's own sentences by short codes"""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "phrase",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column(
            "practice_id",
            sa.Uuid(),
            sa.ForeignKey("practice.id", ondelete="CASCADE"),
            nullable=False,
        ),
        sa.Column("code", sa.String(), nullable=False),
        sa.Column("text", sa.String(), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False, server_default="1"),
        sa.UniqueConstraint("practice_id", "code", name="uq_phrase_code"),
    )


def downgrade() -> None:
    op.drop_table("phrase")
