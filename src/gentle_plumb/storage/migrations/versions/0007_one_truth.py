"""findings about settings under one name each; only the choices there are"""

from alembic import op

revision = "0007"
down_revision = "0006"
branch_labels = None
depends_on = None

RENAMED = {
    "backrest": "seated-backrest",
    "keys_far": "seated-keys_edge",
    "screen_bearing": "seated-screen_bearing",
    "screen2_equal": "seated-screen2_bearing",
    "screen2_some": "seated-screen2_bearing",
    "screen3_equal": "seated-screen3_bearing",
    "screen3_some": "seated-screen3_bearing",
    "display_scale": "seated-scale",
}
"""Findings that had a rule of their own beside their quantity: a verdict on one is kept."""
WORDS = ("verdict", "words", "reason", "workplace")
CHECKS = (
    ("client", "sex", "sex in ('female', 'male')"),
    ("practice", "unit", "unit in ('mm', 'cm', 'in')"),
)


def upgrade() -> None:
    for old, new in RENAMED.items():
        for word in WORDS:
            before, after = f"work.finding.{old}.{word}", f"work.finding.{new}.{word}"
            op.execute(
                f"""insert into entry (visit_id, path, value, typed, version, member_id, changed_at)
                    select visit_id, '{after}', value, typed, version, member_id, changed_at
                    from entry where path = '{before}' and typed <> ''
                    on conflict (visit_id, path) do nothing"""
            )
            op.execute(f"delete from entry where path = '{before}'")
    for table, name, condition in CHECKS:
        op.create_check_constraint(op.f(f"ck_{table}_{name}"), table, condition)


def downgrade() -> None:
    """Verdicts keep their new names; nothing else depends on them."""
    for table, name, _ in CHECKS:
        op.drop_constraint(op.f(f"ck_{table}_{name}"), table, type_="check")
