"""the trail: who saw and did what, chained by digests"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0013"
down_revision = "0012"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "trail",
        sa.Column("practice_id", sa.Uuid(), primary_key=True),
        sa.Column("number", sa.BigInteger(), primary_key=True),
        sa.Column("at", postgresql.TIMESTAMP(timezone=True), nullable=False),
        sa.Column("member_id", sa.Uuid()),
        sa.Column("who", sa.String(), nullable=False),
        sa.Column("act", sa.String(), nullable=False),
        sa.Column("what", sa.String(), nullable=False),
        sa.Column("client_id", sa.Uuid()),
        sa.Column("visit_id", sa.Uuid()),
        sa.Column("request_id", sa.String(), nullable=False),
        sa.Column("digest", sa.LargeBinary(), nullable=False),
    )
    op.create_index("ix_trail_client_id", "trail", ["client_id"])
    # whoever the program signs in as: a line is added, and never changed or taken away
    op.execute(
        """
        create or replace function trail_is_added_to_only() returns trigger language plpgsql as $$
        begin
          raise exception 'the trail is added to only' using errcode = 'insufficient_privilege';
        end $$
        """
    )
    op.execute(
        """
        create trigger trail_is_added_to_only before update or delete or truncate on trail
        for each statement execute function trail_is_added_to_only()
        """
    )


def downgrade() -> None:
    op.drop_table("trail")
    op.execute("drop function trail_is_added_to_only()")
