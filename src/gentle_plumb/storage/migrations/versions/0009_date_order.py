"""how a practice reads a day typed in numbers"""

import sqlalchemy as sa
from alembic import op

revision = "0009"
down_revision = "0008"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column(
        "practice", sa.Column("date_order", sa.String(), server_default="dmy", nullable=False)
    )
    op.create_check_constraint(op.f("ck_practice_date_order"), "practice", "date_order in ('dmy', 'mdy')")


def downgrade() -> None:
    op.drop_column("practice", "date_order")
