"""every copy of a signed report is kept; letterhead, whom to call, registration numbers

A report that was signed before has one copy, the client's; its workplace's copy is set anew from what was
frozen, as it was until now. A red flag that was answered before is open until it is said to whom the client was
sent.
"""

import sqlalchemy as sa
from alembic import op

revision = "0011"
down_revision = "0010"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "report_copy",
        sa.Column("report_id", sa.Uuid(), nullable=False),
        sa.Column("copy", sa.String(), nullable=False),
        sa.Column("pdf", sa.LargeBinary(), nullable=False),
        sa.Column("sha256", sa.String(), nullable=False),
        sa.Column("without", sa.LargeBinary(), nullable=True),
        sa.ForeignKeyConstraint(
            ["report_id"],
            ["report.id"],
            name=op.f("fk_report_copy_report_id_report"),
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("report_id", "copy", name=op.f("pk_report_copy")),
    )
    op.execute(
        "insert into report_copy (report_id, copy, pdf, sha256) "
        "select id, 'client', pdf, sha256 from report"
    )
    op.drop_column("report", "pdf")
    op.drop_column("report", "sha256")
    for table, column in (("practice", "letterhead"), ("practice", "contact"), ("member", "registration")):
        op.add_column(table, sa.Column(column, sa.String(), server_default="", nullable=False))


def downgrade() -> None:
    for table, column in (("practice", "letterhead"), ("practice", "contact"), ("member", "registration")):
        op.drop_column(table, column)
    op.add_column("report", sa.Column("pdf", sa.LargeBinary(), nullable=True))
    op.add_column("report", sa.Column("sha256", sa.String(), nullable=True))
    op.execute(
        "update report set pdf = kept.pdf, sha256 = kept.sha256 from report_copy kept "
        "where kept.report_id = report.id and kept.copy = 'client'"
    )
    op.alter_column("report", "pdf", nullable=False)
    op.alter_column("report", "sha256", nullable=False)
    op.drop_table("report_copy")
