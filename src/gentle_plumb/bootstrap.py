"""What every command begins with: the database up, and plain words at the terminal."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import TYPE_CHECKING

import typer
from rich.console import Console

from .core.errors import FieldError

if TYPE_CHECKING:
    from sqlalchemy import Engine

    from .hosting.postgres import Addresses

console = Console(highlight=False, soft_wrap=True)


def say(words: str) -> None:
    """One line for the person at the terminal."""
    console.print(words, markup=False)


@contextmanager
def started(port: int | None = None, host: str = "127.0.0.1") -> Iterator[Addresses]:
    """The database up; whatever goes wrong is one clear line, and nothing stays running."""
    from .hosting import run
    from .hosting.postgres import PostgresTrouble

    run.end_on_signals()
    try:
        with run.plain_errors():
            if port is not None:
                run.need_port(port, host)
            with run.database(say) as database:
                yield database
    except KeyboardInterrupt:
        say("Stopped.")
    except (PostgresTrouble, run.PortTaken, FieldError) as trouble:
        say(str(trouble))
        raise typer.Exit(1) from None


@contextmanager
def ready() -> Iterator[Engine]:
    """The database up and at the present schema, as the role that serves."""
    from .hosting import run

    with started() as database:
        run.prepare(database, demo=False, say=say)
        with run.opened(database.serves) as engine:
            yield engine
