"""The bench's rows: printed as they are measured, each beside how fast the machine was just then."""

from __future__ import annotations

import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field

from rich.box import SIMPLE
from rich.console import Console
from rich.markup import escape
from rich.table import Table

HEADINGS = (("what", 4), ("measured", 4), ("bar", 2))
"""The columns and their shares of the width."""
YARDSTICK = "yardstick"
ADDED_UP = 1_000_000


def yardstick_ms() -> float:
    """How long this machine takes, at this moment, to add up a million numbers, ms.

    The same machine is two to three times slower at one hour than at another, so a figure means
    little without one taken at the same time.
    """
    start = time.perf_counter()
    sum(range(ADDED_UP))
    return (time.perf_counter() - start) * 1000


@dataclass
class Rows:
    """Takes rows and prints each at once; keeps going where one can't be measured."""

    console: Console
    failed: list[str] = field(default_factory=list)
    _begun: bool = False

    def add_row(self, what: str, measured: str, bar: str) -> None:
        """Print a row with the yardstick of this moment."""
        table = Table(box=SIMPLE, expand=True, show_header=not self._begun, padding=(0, 1))
        for heading, share in HEADINGS:
            table.add_column(heading, ratio=share)
        table.add_column(YARDSTICK, justify="right", width=len(YARDSTICK))
        table.add_row(escape(what), escape(measured), escape(bar), f"{yardstick_ms():.0f} ms")
        self.console.print(table)
        self._begun = True

    @contextmanager
    def at_its_own_cost(self, what: str) -> Iterator[None]:
        """Measure something; where that fails, say so in its row and go on with the next."""
        try:
            yield
        except Exception as trouble:  # whatever it is, the other rows still count
            self.failed.append(what)
            self.add_row(what, f"could not be measured: {type(trouble).__name__}: {trouble}", "")
