"""The pool of connections when the database goes away under it."""

from sqlalchemy import text

from gentle_plumb.storage import engine as pooled
from gentle_plumb.storage import make_engine


def test_a_connection_that_died_while_idle_is_made_anew(database_url, monkeypatch) -> None:
    monkeypatch.setattr(pooled, "IDLE_UNASKED_S", 0.0)
    engine, other = make_engine(database_url, pool_size=1), make_engine(database_url)
    try:
        with engine.connect() as used:
            first = used.execute(text("select pg_backend_pid()")).scalar_one()
        with other.connect() as killer:
            killer.execute(text("select pg_terminate_backend(:pid, 5000)"), {"pid": first})
        with engine.connect() as used:
            assert used.execute(text("select pg_backend_pid()")).scalar_one() != first
    finally:
        engine.dispose()
        other.dispose()
