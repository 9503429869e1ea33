"""measuring"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0003"
down_revision = "0002"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("client", sa.Column("origin_id", sa.String(), nullable=True))
    op.create_unique_constraint("uq_client_origin_id", "client", ["practice_id", "origin_id"])
    op.add_column(
        "visit",
        sa.Column("errors", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False),
    )
    op.add_column("visit", sa.Column("origin_id", sa.String(), nullable=True))
    op.create_unique_constraint("uq_visit_origin_id", "visit", ["practice_id", "origin_id"])
    op.create_index("ix_visit_client_id", "visit", ["client_id"])
    op.create_table(
        "measuring_list",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("dimensions", postgresql.JSONB(), nullable=False),
        sa.Column("version", sa.Integer(), server_default=sa.text("1"), nullable=False),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name=op.f("fk_measuring_list_practice_id"),
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_measuring_list")),
        sa.UniqueConstraint("practice_id", "name", name="uq_measuring_list_name"),
    )
    op.create_table(
        "population_table",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("origin", sa.String(), nullable=False),
        sa.Column("rows", postgresql.JSONB(), nullable=False),
        sa.Column("added_by", sa.String(), nullable=False),
        sa.Column("added_at", postgresql.TIMESTAMP(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name=op.f("fk_population_table_practice_id"),
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_population_table")),
        sa.UniqueConstraint("practice_id", "name", name="uq_population_table_name"),
    )


def downgrade() -> None:
    op.drop_table("population_table")
    op.drop_table("measuring_list")
    op.drop_index("ix_visit_client_id", "visit")
    op.drop_constraint("uq_visit_origin_id", "visit")
    op.drop_column("visit", "origin_id")
    op.drop_column("visit", "errors")
    op.drop_constraint("uq_client_origin_id", "client")
    op.drop_column("client", "origin_id")
