"""a client's year of birth, for letters; drafts that were discarded; links for a workplace"""

import sqlalchemy as sa
from alembic import op

revision = "0018"
down_revision = "0017"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("client", sa.Column("birth_year", sa.Integer(), nullable=True))
    op.add_column("visit", sa.Column("discarded_at", sa.DateTime(timezone=True), nullable=True))
    op.drop_constraint(op.f("ck_client_link_kind"), "client_link", type_="check")
    op.create_check_constraint(
        op.f("ck_client_link_kind"), "client_link", "kind in ('before', 'after', 'workplace')"
    )


def downgrade() -> None:
    op.execute("delete from client_link where kind = 'workplace'")
    op.drop_constraint(op.f("ck_client_link_kind"), "client_link", type_="check")
    op.create_check_constraint(op.f("ck_client_link_kind"), "client_link", "kind in ('before', 'after')")
    op.drop_column("visit", "discarded_at")
    op.drop_column("client", "birth_year")
