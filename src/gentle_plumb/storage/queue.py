"""The queue for what takes time or has to be tried again: procrastinate's tables in the same PostgreSQL."""

from __future__ import annotations

from datetime import datetime
from functools import cache
from typing import TYPE_CHECKING, Any, cast
from uuid import UUID

from sqlalchemy import Connection, Engine, text

from ..services.models import OutgoingMail, StaffLetter

if TYPE_CHECKING:
    from procrastinate import App

SEND_MAIL = "send_mail"
SEND_LETTER = "send_letter"
DO_BULK = "do_bulk"
"""Names of the tasks; the worker knows what they do."""
MAIL_QUEUE = "mail"
BULK_QUEUE = "bulk"

DROP_QUEUE = r"""
do $$
declare thing record;
begin
  for thing in select tablename as name from pg_tables
    where schemaname = current_schema() and tablename like 'procrastinate\_%'
  loop execute format('drop table if exists %I cascade', thing.name); end loop;
  for thing in select oid::regprocedure as name from pg_proc
    where pronamespace = current_schema()::regnamespace and proname like 'procrastinate\_%'
  loop execute format('drop function if exists %s cascade', thing.name); end loop;
  for thing in select typname as name from pg_type
    where typnamespace = current_schema()::regnamespace and typname like 'procrastinate\_%'
      and typtype in ('e', 'c')
  loop execute format('drop type if exists %I cascade', thing.name); end loop;
end $$
"""
"""Takes the queue away: its tables, functions and types."""


@cache
def _app() -> App:
    """What puts jobs on connections that are handed to it; it opens none of its own."""
    from procrastinate import App, SyncPsycopgConnector  # the server rarely needs it

    return App(connector=SyncPsycopgConnector())


def put_mail(connection: Connection, mail: OutgoingMail) -> None:
    """Queue a mail within the transaction that keeps it: both are there, or neither."""
    driver: Any = connection.connection.driver_connection
    job = _app().configure_task(
        SEND_MAIL,
        allow_unknown=True,
        queue=MAIL_QUEUE,
        schedule_at=mail.due_at if mail.due_at > mail.made_at else None,
        connection=cast("Any", driver),
    )
    job.defer(mail_id=str(mail.id))


def put_letter(connection: Connection, letter: StaffLetter) -> None:
    """Queue a letter with a one-time link, within the transaction that keeps it."""
    driver: Any = connection.connection.driver_connection
    job = _app().configure_task(
        SEND_LETTER, allow_unknown=True, queue=MAIL_QUEUE, connection=cast("Any", driver)
    )
    job.defer(letter_id=str(letter.id))


def put_bulk(connection: Connection, job_id: UUID) -> None:
    """Queue something large, within the transaction that keeps it."""
    driver: Any = connection.connection.driver_connection
    job = _app().configure_task(
        DO_BULK, allow_unknown=True, queue=BULK_QUEUE, connection=cast("Any", driver)
    )
    job.defer(job_id=str(job_id))


class SqlQueue:
    """The queue, looked at."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def counts(self) -> dict[tuple[str, str], int]:
        query = text(
            "select queue_name, status::text, count(*) from procrastinate_jobs group by 1, 2"
        )
        with self._engine.connect() as connection:
            return {(queue, state): count for queue, state, count in connection.execute(query)}

    def worker_heard(self) -> datetime | None:
        query = text("select max(last_heartbeat) from procrastinate_workers")
        with self._engine.connect() as connection:
            heard: datetime | None = connection.execute(query).scalar()
        return heard
