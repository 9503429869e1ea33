"""a practice's own sums for price classes; armrests apart are a setting of their own"""

import sqlalchemy as sa
from alembic import op

revision = "0008"
down_revision = "0007"
branch_labels = None
depends_on = None

SUMS = ("price_small", "price_medium", "price_large")


def upgrade() -> None:
    for name in SUMS:
        op.add_column("practice", sa.Column(name, sa.Float(), nullable=True))
    for word in ("verdict", "words", "reason", "workplace"):
        old, new = "work.finding.armrests_apart", "work.finding.seated-armrest_gap"
        op.execute(f"update entry set path = '{new}.{word}' where path = '{old}.{word}'")
    op.execute(  # steps of 4 cm are centimetres now
        """update entry set path = 'work.settle_by',
               value = to_jsonb((value #>> '{}')::float * 40),
               typed = round(((value #>> '{}')::float * 4)::numeric, 1)::text || ' cm'
           where path = 'work.settle' and typed <> ''"""
    )
    op.add_column(
        "practice", sa.Column("currency", sa.String(), server_default="", nullable=False)
    )


def downgrade() -> None:
    for name in (*SUMS, "currency"):
        op.drop_column("practice", name)
