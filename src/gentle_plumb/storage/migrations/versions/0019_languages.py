"""the language a member reads"""

import sqlalchemy as sa
from alembic import op

revision = "0019"
down_revision = "0018"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("member", sa.Column("language", sa.String(), nullable=False, server_default=""))


def downgrade() -> None:
    op.drop_column("member", "language")
