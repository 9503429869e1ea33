"""Checking the audit log from the console: each line against the one before it, and ends that were noted down."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from sqlalchemy import Engine, select

from ..mailing import now
from ..services.audit_log import AuditLogService
from ..storage import SqlAuditLog
from ..storage.tables import PRACTICE

LEAST_DIGITS = 8
"""So many digits of a digest tell a line. House value."""


def heads_of(texts: Sequence[str]) -> dict[str, int]:
    """Read lines that were noted down, NUMBER:DIGEST each; number by digest. Raises ValueError."""
    result = {}
    for text in texts:
        number, _, digest = text.partition(":")
        if not number.isdigit() or len(digest) < LEAST_DIGITS:
            raise ValueError(
                f"“{text}” is not NUMBER:DIGEST with {LEAST_DIGITS} digits of the digest or more."
            )
        result[digest.lower()] = int(number)
    return result


def check_audit_log(engine: Engine, heads: dict[str, int], say: Callable[[str], None]) -> bool:
    """Check every practice's trail, and look for the lines in ``heads``; whether all of it holds."""
    trail, whole = SqlAuditLog(engine), True
    with engine.connect() as connection:
        practices = connection.execute(select(PRACTICE.c.id, PRACTICE.c.name))
        names = {row.id: row.name for row in practices}
    for practice_id, count, broken, end in AuditLogService(trail, now).check():
        name = names.get(practice_id, "A practice that is gone")
        if broken is None:
            say(f"{name} ({practice_id}): {count} lines hold. Last: {count}:{end}")
        else:
            whole = False
            say(
                f"{name} ({practice_id}): {count} lines hold; line {broken} was changed or is gone."
            )
    if not trail.practices():
        say("There is no line in the audit log of any practice yet.")
    missing = set(heads)
    for practice_id in trail.practices() if heads else ():
        for line in trail.whole(practice_id):
            digest = line.digest.hex()
            missing -= {
                head
                for head, number in heads.items()
                if number == line.number and digest.startswith(head)
            }
    for head in sorted(missing):
        say(f"There is no line {heads[head]} with digest {head}: the end was cut off.")
    return whole and not missing
