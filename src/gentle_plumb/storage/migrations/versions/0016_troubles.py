"""what went wrong while nobody was there to be told"""

import sqlalchemy as sa
from alembic import op

revision = "0016"
down_revision = "0015"
branch_labels = None
depends_on = None

MOMENT = sa.DateTime(timezone=True)


def upgrade() -> None:
    op.create_table(
        "trouble",
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("at", MOMENT, nullable=False),
        sa.Column("detail", sa.String(), nullable=False),
        sa.PrimaryKeyConstraint("kind", name="pk_trouble"),
    )


def downgrade() -> None:
    op.drop_table("trouble")
