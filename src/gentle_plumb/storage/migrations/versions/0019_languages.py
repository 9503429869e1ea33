"""the language a member reads; a practice's own words for everything"""

import sqlalchemy as sa
from alembic import op

revision = "0019"
down_revision = "0018"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("member", sa.Column("language", sa.String(), nullable=False, server_default=""))
    op.add_column(
        "message_catalogue",
        sa.Column("words", sa.JSON(), nullable=False, server_default="{}"),
    )


def downgrade() -> None:
    op.drop_column("message_catalogue", "words")
    op.drop_column("member", "language")
