"""each limit of a condition is lifted by itself, by whom and on which day; joint replacement is the hip's

What was typed as "cleared by, on" is kept as the name at every limit it was for. It lifts nothing until its
day is said: a limit that binds once too often is asked about, one that is lost is not.
"""

from alembic import op

revision = "0010"
down_revision = "0009"
branch_labels = None
depends_on = None

RENAMED = {"replacement": "hip_replacement"}
LIMITS = {
    "dizziness": ("no_standing", "rise_slowly", "head_steady", "steady_seat"),
    "veins": ("short_standing", "free_thighs"),
    "pregnancy": ("short_standing", "hip_open", "no_end_stretch"),
    "surgery": ("part_rests", "no_standing", "steady_seat"),
    "hip_replacement": ("hip_above_knee", "steady_seat"),
    "osteoporosis": ("no_loaded_bend", "steady_seat", "floor_first"),
    "hypermobility": ("mid_range",),
    "wheelchair": ("seated_only", "own_seat"),
    "under_18": ("supervised",),
    "injury": ("pain_rules",),
}


def _copy(before: str, after: str) -> None:
    op.execute(
        f"""insert into entry (visit_id, path, value, typed, version, member_id, changed_at)
            select visit_id, '{after}', value, typed, version, member_id, changed_at
            from entry where path = '{before}' and typed <> ''
            on conflict (visit_id, path) do nothing"""
    )


def upgrade() -> None:
    for old, new in RENAMED.items():
        for part in ("", ".note", ".cleared_by"):
            _copy(f"ask.care.{old}{part}", f"ask.care.{new}{part}")
            op.execute(f"delete from entry where path = 'ask.care.{old}{part}'")
    for care, limits in LIMITS.items():
        for limit in limits:
            _copy(f"ask.care.{care}.cleared_by", f"ask.care.{care}.{limit}.cleared_by")
        op.execute(f"delete from entry where path = 'ask.care.{care}.cleared_by'")


def downgrade() -> None:
    """Limits keep their own lines; nothing else depends on them."""
