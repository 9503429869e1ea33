"""who has a visit open"""

import sqlalchemy as sa
from alembic import op

revision = "0022"
down_revision = "0021"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "presence",
        sa.Column("page_id", sa.Uuid(), primary_key=True),
        sa.Column(
            "visit_id", sa.Uuid(), sa.ForeignKey("visit.id", ondelete="CASCADE"), nullable=False
        ),
        sa.Column("member_id", sa.Uuid(), sa.ForeignKey("member.id"), nullable=False),
        sa.Column("since", sa.DateTime(timezone=True), nullable=False),
        sa.Column("seen_at", sa.DateTime(timezone=True), nullable=False),
        sa.Index("ix_presence_visit_id", "visit_id"),
        prefixes=["UNLOGGED"],
    )


def downgrade() -> None:
    op.drop_table("presence")
