"""photographs and shelf"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0002"
down_revision = "0001"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "photo",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("visit_id", sa.Uuid(), nullable=False),
        sa.Column("width", sa.Integer(), nullable=False),
        sa.Column("height", sa.Integer(), nullable=False),
        sa.Column("fov_deg", sa.Float(), nullable=True),
        sa.Column("size", sa.Integer(), nullable=False),
        sa.Column("jpeg", postgresql.BYTEA(), nullable=False),
        sa.Column("sha256", sa.String(), nullable=False),
        sa.Column("added_by", sa.String(), nullable=False),
        sa.Column("added_at", postgresql.TIMESTAMP(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["visit_id"], ["visit.id"], name=op.f("fk_photo_visit_id"), ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_photo")),
    )
    op.create_index("ix_photo_visit_id", "photo", ["visit_id"])
    op.create_table(
        "shelf_item",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("practice_id", sa.Uuid(), nullable=False),
        sa.Column("piece", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("place", sa.String(), server_default="", nullable=False),
        sa.Column("values", postgresql.JSONB(), nullable=False),
        sa.Column("version", sa.Integer(), server_default=sa.text("1"), nullable=False),
        sa.ForeignKeyConstraint(
            ["practice_id"], ["practice.id"], name=op.f("fk_shelf_item_practice_id"),
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_shelf_item")),
        sa.UniqueConstraint("practice_id", "piece", "name", name="uq_shelf_item_name"),
    )


def downgrade() -> None:
    op.drop_table("shelf_item")
    op.drop_table("photo")
