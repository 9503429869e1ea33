"""A change and its line in the audit log in one transaction: both are there, or neither.

While a call is audited, the first transaction of it that writes anything adds the line just before it
commits, on its own connection. What cannot be noted is rolled back.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from sqlalchemy import Connection, Engine, event

WRITES = re.compile(r'\b(?:insert\s+into|update|delete\s+from)\s+"?(\w+)', re.IGNORECASE)
OWN_AFFAIRS = frozenset(
    {"session", "known_browser", "sign_in_try", "link_session", "trail", "only", "set"}
)
"""Tables about who is signed in: writing them alone is no change of anything. The last two are no tables."""


@dataclass
class AuditedCall:
    """A call whose changes leave a line.

    ``write`` adds it on a connection, told the client that the call made, if any. ``written`` says
    that it was.
    """

    write: Callable[[Connection, UUID | None], None]
    written: bool = False
    made_client: UUID | None = None


_CALL: ContextVar[AuditedCall | None] = ContextVar("audited_call", default=None)


@contextmanager
def audited(write: Callable[[Connection, UUID | None], None]) -> Iterator[AuditedCall]:
    """Audit what is done inside, also on the threads it hands work to."""
    call = AuditedCall(write)
    token = _CALL.set(call)
    try:
        yield call
    finally:
        _CALL.reset(token)


def watch(engine: Engine) -> None:
    """Have an engine's transactions look for an audited call."""

    @event.listens_for(engine, "before_cursor_execute")
    def looked_at(
        connection: Connection, _cursor: Any, statement: str, given: Any, _ctx: Any, _many: bool
    ) -> None:
        call = _CALL.get()
        if call is None or call.written:
            return
        tables = {name.lower() for name in WRITES.findall(statement)} - OWN_AFFAIRS
        if not tables:
            return
        connection.info["audited"] = True
        if (
            "client" in tables
            and isinstance(given, dict)
            and statement.lstrip()[:6].lower() == "insert"
        ):
            new_id = given.get("id")
            call.made_client = new_id if isinstance(new_id, UUID) else call.made_client

    @event.listens_for(engine, "commit")
    def committing(connection: Connection) -> None:
        call = _CALL.get()
        if connection.info.pop("audited", False) and call is not None and not call.written:
            call.written = True
            call.write(connection, call.made_client)

    @event.listens_for(engine, "rollback")
    def rolled_back(connection: Connection) -> None:
        connection.info.pop("audited", None)
