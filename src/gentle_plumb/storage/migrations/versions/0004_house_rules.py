"""house rules"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0004"
down_revision = "0003"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column(
        "visit",
        sa.Column("policies", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False),
    )
    op.create_table(
        "policy_bundle",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("choices", postgresql.JSONB(), nullable=False),
        sa.Column("is_default", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.Column("version", sa.Integer(), server_default=sa.text("1"), nullable=False),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name=op.f("fk_policy_bundle_practice_id"),
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_policy_bundle")),
        sa.UniqueConstraint("practice_id", "name", name="uq_policy_bundle_name"),
    )
    op.create_index(
        "uq_policy_bundle_default", "policy_bundle", ["practice_id"], unique=True,
        postgresql_where=sa.text("is_default"),
    )


def downgrade() -> None:
    op.drop_table("policy_bundle")
    op.drop_column("visit", "policies")
