"""fields that went: asked twice, or turned round; what was typed is kept"""

from alembic import op

revision = "0006"
down_revision = "0005"
branch_labels = None
depends_on = None

OLD, NEW = "look.chair.armrest_off", "look.chair.armrests_off"
GONE = ("ball",)
"""Questions with one position, which changed nothing."""


def upgrade() -> None:
    # asked twice: the answer that was given counts, the later question's where both were
    op.execute(
        f"""insert into entry (visit_id, path, value, typed, version, member_id, changed_at)
            select visit_id, '{NEW}', value, typed, version, member_id, changed_at
            from entry old where path = '{OLD}' and typed <> ''
            on conflict (visit_id, path) do update
            set value = excluded.value, typed = excluded.typed, version = entry.version + 1
            where entry.typed = ''"""
    )
    op.execute(f"delete from entry where path = '{OLD}'")
    op.execute(
        f"""update shelf_item set values = case when values ? '{NEW}' then values - '{OLD}'
            else (values - '{OLD}') || jsonb_build_object('{NEW}', values -> '{OLD}') end
            where values ? '{OLD}'"""
    )
    # own findings: nothing goes to the workplace any more unless it is ticked; the journal keeps
    # what was answered before
    op.execute("delete from entry where path like 'work.own.%.health'")
    for name in GONE:
        op.execute(f"delete from entry where path = 'work.policy.{name}'")
        op.execute(f"update policy_bundle set choices = choices - '{name}'")
        op.execute(f"update visit set policies = policies - '{name}'")


def downgrade() -> None:
    """What went stays gone; nothing else depends on it."""
