"""The worker: does what was queued, such as mail. ``python -m gentle_plumb.hosting.worker`` runs until its input ends.

Any number of them may run, on any machine that reaches the database.
"""

from __future__ import annotations

import asyncio
import logging
import os
import signal
import sys
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from functools import cache, partial, wraps
from typing import Any
from uuid import UUID

import structlog
from procrastinate import App, JobContext, PsycopgConnector, RetryStrategy
from procrastinate.exceptions import ConnectorException
from psycopg import Error as PsycopgError
from sqlalchemy import Engine
from sqlalchemy.engine import make_url

from ..config import Settings
from ..logs import set_up_logs
from ..mailing import entrance_service, mail_service, now
from ..services.access import OneTimeLinkService
from ..services.bulk import BulkService
from ..services.errors import MailTrouble
from ..services.own_page import MailService
from ..services.system_status import BACKUP, Troubles
from ..storage import SqlTroubles, make_engine
from ..storage.queue import BULK_QUEUE, DO_BULK, MAIL_QUEUE, SEND_LETTER, SEND_MAIL
from .backups import BackupTrouble, back_up, backup_key, drop_old

WAIT_S = 6
"""Before a mail is tried again, s: 6, 36, 216 and so on, each wait six times the one before. House value."""
GRACE_S = 2.0
"""How long what is in hand may take to end once the worker is to go, s. House value."""
BACKUP_WAIT_S = 600
"""Before a backup that failed is tried again, s. House value."""
MOST_BULK_TRIES, BULK_WAIT_S = 3, 30
"""How often something large is tried, and how long it waits between, s. House values."""
TIDY_AT = "20 * * * *"
"""When files that nobody has fetched go: each hour, as cron has it. House value."""
STALLED_S = 90
"""A job whose worker has not reported for so long is given back, s; it reports every ten. House value."""
AGAIN_S = 5.0
"""How long after an outage of the database the worker begins again, s. House value."""

_log = structlog.get_logger("gentle_plumb")


def logged(job: Callable[..., None]) -> Callable[..., None]:
    """Leave a line for each time a job is done: its number, its task, how it went and how long it took.

    What it was about stays in the database; of an error only its kind is told, for its words may hold a name.
    """

    @wraps(job)
    def done(context: JobContext, *about: Any, **named: Any) -> None:
        began, error = time.monotonic(), None
        try:
            job(context, *about, **named)
        except Exception as trouble:
            error = type(trouble).__name__
            raise
        finally:
            facts = {"job": context.job.id, "task": context.job.task_name}
            facts |= {"tries": context.job.attempts + 1, "status": "failed" if error else "done"}
            facts |= {"error": error} if error else {}
            tell = _log.warning if error else _log.info
            tell("job", **facts, ms=round((time.monotonic() - began) * 1000))

    return done


def make_worker(
    url: str,
    mail: MailService,
    entrances: OneTimeLinkService,
    bulk: Callable[[], BulkService] | None = None,
    *,
    wait_s: int = WAIT_S,
) -> App:
    """The queue over a database, with what its jobs do.

    Parameters
    ----------
    url : str
        Address of the PostgreSQL.
    mail : MailService
        What hands mail to clients over.
    entrances : OneTimeLinkService
        What hands letters with one-time links over.
    bulk : callable, optional
        Makes what does large things: it is heavy, and made when there is one.
    wait_s : int
        Base of the waits between tries, s; 0 for none.

    """
    address = make_url(url).set(drivername="postgresql").render_as_string(hide_password=False)
    app = App(connector=PsycopgConnector(conninfo=address, min_size=1, max_size=3))
    again = RetryStrategy(exponential_wait=wait_s, retry_exceptions={MailTrouble})

    @app.task(name=SEND_MAIL, queue=MAIL_QUEUE, retry=again, pass_context=True)
    @logged
    def send_mail(_: JobContext, mail_id: str) -> None:
        mail.deliver(UUID(mail_id))

    @app.task(name=SEND_LETTER, queue=MAIL_QUEUE, retry=again, pass_context=True)
    @logged
    def send_letter(_: JobContext, letter_id: str) -> None:
        entrances.deliver(UUID(letter_id))

    if bulk is not None:
        _do_large_things(app, cache(bulk))
    _give_back(app)
    return app


def _give_back(app: App) -> None:
    """Have jobs done again that were in hand when their worker died: nobody else would ever take them up."""

    @app.periodic(cron="* * * * *")
    @app.task(name="give_back", queue="tidy", queueing_lock="give_back")
    async def give_back(timestamp: int) -> None:
        del timestamp  # when it was due
        jobs = app.job_manager
        for job in await jobs.get_stalled_jobs(seconds_since_heartbeat=STALLED_S):
            if job.id is not None:
                await jobs.retry_job_by_id_async(job.id, retry_at=now())


def _do_large_things(app: App, bulk: Callable[[], BulkService]) -> None:
    again = RetryStrategy(max_attempts=MOST_BULK_TRIES, wait=BULK_WAIT_S)

    @app.task(name=DO_BULK, queue=BULK_QUEUE, retry=again, pass_context=True)
    @logged
    def do_bulk(context: JobContext, job_id: str) -> None:
        last = context.job.attempts + 1 >= MOST_BULK_TRIES
        bulk().do(UUID(job_id), last=last)

    @app.periodic(cron=TIDY_AT)
    @app.task(name="tidy_bulk", queue=BULK_QUEUE, queueing_lock="tidy_bulk", pass_context=True)
    @logged
    def tidy_bulk(_: JobContext, timestamp: int) -> None:
        del timestamp  # when it was due
        bulk().tidy()


def schedule_backups(app: App, settings: Settings, troubles: Troubles) -> None:
    """Have a backup made at its hour, by one worker, and old ones dropped; one that fails says so."""
    folder = settings.backup_folder
    if folder is None:
        return
    again = RetryStrategy(max_attempts=3, wait=BACKUP_WAIT_S, retry_exceptions={BackupTrouble})

    @app.periodic(cron=settings.backup_at)
    @app.task(
        name="back_up", queue="backups", queueing_lock="backups", retry=again, pass_context=True
    )
    @logged
    def make_backup(_: JobContext, timestamp: int) -> None:
        del timestamp  # when it was due
        try:
            key = backup_key(settings.backup_key, folder)[0]
            back_up(settings.database_url, folder, key, now())
        except (BackupTrouble, OSError) as error:
            troubles.note(BACKUP, now(), str(error))
            _log.error("backup failed", reason=str(error))
            raise BackupTrouble(str(error)) from error
        troubles.clear(BACKUP)
        drop_old(folder, settings.backup_days, now())


def _large_things(engine: Engine, settings: Settings) -> BulkService:
    from ..main import make_services  # the whole program: only where something large is to be done

    return make_services(engine, settings).bulk


async def work(app: App, *, until_done: bool = False) -> None:
    """Do what is queued: for good, or until nothing is left that is due."""
    async with app.open_async():
        await app.run_worker_async(
            wait=not until_done,
            install_signal_handlers=False,
            concurrency=2,
            delete_jobs="successful",
            listen_notify=not until_done,
        )


def _end_with_the_input() -> None:
    """Wait for the end of the input, let what is in hand come to its end, and go."""
    sys.stdin.read()
    os.kill(os.getpid(), signal.SIGINT)
    time.sleep(GRACE_S)
    os._exit(0)


def main() -> None:
    """Work until the standard input ends."""
    set_up_logs()
    logging.disable(logging.ERROR)  # an outage of the database is seen by the server, and ends
    threading.Thread(target=_end_with_the_input, daemon=True).start()
    settings = Settings()
    engine = make_engine(settings.database_url, pool_size=3)
    with suppress(KeyboardInterrupt):
        while True:
            with suppress(ConnectorException, PsycopgError):
                app = make_worker(
                    settings.database_url,
                    mail_service(engine, settings),
                    entrance_service(engine, settings),
                    partial(_large_things, engine, settings),
                )
                schedule_backups(app, settings, SqlTroubles(engine))
                asyncio.run(work(app))
            time.sleep(AGAIN_S)  # the database was away


if __name__ == "__main__":
    main()
