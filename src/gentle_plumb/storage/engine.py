"""The connection pool, and bringing a database to the present schema."""

from __future__ import annotations

from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import Engine, create_engine, text
from sqlalchemy.engine import make_url

MIGRATION_LOCK = 7_316_205
"""Any number of its own: servers that start together migrate one after the other."""


def make_engine(url: str, *, pool_size: int = 10) -> Engine:
    """A pool for a PostgreSQL address; never more connections than ``pool_size``.

    What was typed is in no error of it: parameters stay out of messages.
    """
    address = make_url(url).set(drivername="postgresql+psycopg")
    return create_engine(
        address,
        pool_pre_ping=True,
        pool_size=pool_size,
        max_overflow=0,
        pool_timeout=10,
        hide_parameters=True,
    )


def migrate(engine: Engine) -> None:
    """Bring the schema up to date; harmless when it is, and when two do it at once."""
    config = Config()
    config.set_main_option("script_location", str(Path(__file__).parent / "migrations"))
    with engine.connect() as connection:
        connection.execute(text("select pg_advisory_lock(:key)"), {"key": MIGRATION_LOCK})
        connection.commit()
        try:
            config.attributes["connection"] = connection
            command.upgrade(config, "head")
            connection.commit()
        finally:
            connection.execute(text("select pg_advisory_unlock(:key)"), {"key": MIGRATION_LOCK})
            connection.commit()
