"""The connection pool, and bringing a database to the present schema."""

from __future__ import annotations

import time
from pathlib import Path
from typing import Any

from alembic import command
from alembic.config import Config
from alembic.runtime.migration import MigrationContext
from alembic.script import ScriptDirectory
from sqlalchemy import Connection, Engine, create_engine, event, text
from sqlalchemy.engine import make_url
from sqlalchemy.exc import DisconnectionError
from sqlalchemy.pool import ConnectionPoolEntry, QueuePool

from ..services import spent
from .audited import watch
from .roles import grant

MIGRATION_LOCK = 7_316_205
"""Any number of its own: servers that start together migrate one after the other."""

IDLE_UNASKED_S = 1.0
"""How long after it was put back a connection is used again unasked, s."""


def make_engine(url: str, *, pool_size: int = 10) -> Engine:
    """A pool for a PostgreSQL address; never more connections than ``pool_size``.

    What was typed is in no error of it: parameters stay out of messages.
    """
    address = make_url(url).set(drivername="postgresql+psycopg")
    engine = create_engine(
        address, pool_size=pool_size, max_overflow=0, pool_timeout=10, hide_parameters=True
    )
    _ask_after_idling(engine)
    watch(engine)
    _count_time(engine)
    return engine


def _count_time(engine: Engine) -> None:
    """Count what statements take into the time of the call they belong to."""

    @event.listens_for(engine, "before_cursor_execute")
    def begun(connection: Connection, *_: object) -> None:
        connection.info["begun"] = time.perf_counter()

    @event.listens_for(engine, "after_cursor_execute")
    def done(connection: Connection, *_: object) -> None:
        spent.add("database", time.perf_counter() - connection.info["begun"])


def _ask_after_idling(engine: Engine) -> None:
    """Ask a connection whether it is alive when it was idle for a while, not before every use.

    Asked each time, three times a request, it is a twentieth of what a change takes.
    """

    @event.listens_for(engine, "checkin")
    def put_back(_connection: Any, record: ConnectionPoolEntry) -> None:
        record.info["idle_since"] = time.monotonic()

    @event.listens_for(engine, "checkout")
    def taken(connection: Any, record: ConnectionPoolEntry, _proxy: object) -> None:
        since = record.info.get("idle_since")
        if since is None or time.monotonic() - since < IDLE_UNASKED_S:
            return
        try:
            engine.dialect.do_ping(connection)
        except engine.dialect.loaded_dbapi.Error as gone:
            raise DisconnectionError from gone  # the pool makes another, and asks again


def _scripts() -> Config:
    config = Config()
    config.set_main_option("script_location", str(Path(__file__).parent / "migrations"))
    return config


def newest_schema() -> str:
    """Return the schema that this program works with."""
    return ScriptDirectory.from_config(_scripts()).get_current_head() or ""


def schema_of(engine: Engine) -> str:
    """Return the schema that a database is at; empty for none."""
    with engine.connect() as connection:
        return MigrationContext.configure(connection).get_current_revision() or ""


def roll_back(engine: Engine, schema: str) -> None:
    """Bring the schema back to an earlier one; what only later ones can hold is gone then.

    Raises ValueError for a schema that is none, or none before the present one.
    """
    known = [
        walk_revision.revision
        for walk_revision in ScriptDirectory.from_config(_scripts()).walk_revisions()
    ][::-1]
    held = schema_of(engine)
    if held not in known:
        raise ValueError(
            f"The database is at schema {held or 'none'}, which this program does not know."
        )
    if schema not in known[: known.index(held)]:
        earlier = ", ".join(known[: known.index(held)])
        raise ValueError(f"Schema {schema} is none before {held}. There are {earlier}.")
    config = _scripts()
    with engine.connect() as connection:
        config.attributes["connection"] = connection
        command.downgrade(config, schema)
        connection.commit()


def migrate(engine: Engine, serving: str | None = None) -> None:
    """Bring the schema up to date; harmless when it is, and when two do it at once.

    ``serving`` is the role that works with its rows, where that is not the one of ``engine``.
    """
    config = _scripts()
    with engine.connect() as connection:
        connection.execute(text("select pg_advisory_lock(:key)"), {"key": MIGRATION_LOCK})
        connection.commit()
        try:
            config.attributes["connection"] = connection
            command.upgrade(config, "head")
            connection.commit()
            if serving is not None:
                grant(connection, serving)
                connection.commit()
        finally:
            connection.execute(text("select pg_advisory_unlock(:key)"), {"key": MIGRATION_LOCK})
            connection.commit()


class SqlDatabase:
    """The Database port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def ping(self) -> None:
        with self._engine.connect() as connection:
            connection.execute(text("select 1"))

    def schema(self) -> str:
        return schema_of(self._engine)

    def newest(self) -> str:
        return newest_schema()

    def pool(self) -> QueuePool | None:
        pool = self._engine.pool
        return pool if isinstance(pool, QueuePool) else None
