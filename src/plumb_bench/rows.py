"""The bench's rows: printed as they are measured, each beside the last release's and how fast the machine was just then."""

from __future__ import annotations

import json
import statistics
import time
from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from rich.box import SIMPLE
from rich.console import Console
from rich.markup import escape
from rich.table import Table

from gentle_plumb.config import ROOT, VERSION

from .timing import p95

HEADINGS = (("what", 4), ("measured", 4), ("bar", 2), ("last release", 2))
"""The columns and their shares of the width."""
YARDSTICK = "yardstick"
ADDED_UP = 1_000_000
LAST_RELEASE = ROOT / "docs" / "bench.json"
"""The figures of the last release, by row and name."""
TIMES = {"ms": 1.0, "s": 1.0, "a second": -1.0}
"""Units that follow the machine's speed, and which way: a slower one takes longer, and does fewer."""


def yardstick_ms() -> float:
    """How long this machine takes, at this moment, to add up a million numbers, ms.

    The same machine is two to three times slower at one hour than at another, so a figure means
    little without one taken at the same time.
    """
    start = time.perf_counter()
    sum(range(ADDED_UP))
    return (time.perf_counter() - start) * 1000


@dataclass(frozen=True)
class Figure:
    """One number of a row: its name, its value in ``unit``, and how many digits of it are shown."""

    name: str
    value: float
    unit: str = "ms"
    digits: int = 1

    def __str__(self) -> str:
        return f"{self.name} {self.value:.{self.digits}f} {self.unit}".strip()


def spread(spent: Sequence[float], name: str = "", digits: int = 1) -> tuple[Figure, Figure]:
    """The median, under this name, and the 95th percentile of so many ms."""
    return (
        Figure(name or "median", statistics.median(spent), digits=digits),
        Figure(f"{name} p95".strip(), p95(list(spent)), digits=digits),
    )


Measured = Sequence[Figure | str]
"""Figures and what is said beside them, in the order in which they are printed."""


@dataclass
class Rows:
    """Takes rows and prints each at once; keeps going where one can't be measured.

    ``record`` keeps what was measured as the release's, in place of the last one's.
    """

    console: Console
    record: bool = False
    path: Path = LAST_RELEASE
    failed: list[str] = field(default_factory=list)
    _kept: dict[str, Any] = field(default_factory=dict)
    _begun: bool = False

    def __post_init__(self) -> None:
        if self.path.is_file():
            self._kept = json.loads(self.path.read_text(encoding="utf-8"))

    def add_row(self, what: str, measured: Measured, bar: str) -> None:
        """Print a row with the yardstick of this moment, and how it compares with the last release."""
        now = yardstick_ms()
        table = Table(box=SIMPLE, expand=True, show_header=not self._begun, padding=(0, 1))
        for heading, share in HEADINGS:
            table.add_column(heading, ratio=share)
        table.add_column(YARDSTICK, justify="right", width=len(YARDSTICK))
        said = "; ".join(str(part) for part in measured)
        then = "" if self.record else self._against(what, measured, now)
        table.add_row(escape(what), escape(said), escape(bar), escape(then), f"{now:.0f} ms")
        self.console.print(table)
        self._begun = True
        if self.record:
            self._keep(what, measured, now)

    def _against(self, what: str, measured: Measured, now: float) -> str:
        """How many times the last release's each figure is; times are held against the machine's own speed."""
        held = self._kept.get("rows", {}).get(what)
        if held is None:
            return ""
        said = []
        for figure in measured:
            if isinstance(figure, Figure) and (value := held["figures"].get(figure.name)):
                slower = (held["yardstick_ms"] / now) ** TIMES.get(figure.unit, 0.0)
                said.append(f"{figure.value * slower / value:.2f}")
        return f"{' '.join(said)} times {self._kept['version']}" if said else ""

    def _keep(self, what: str, measured: Measured, now: float) -> None:
        figures = {part.name: round(part.value, 3) for part in measured if isinstance(part, Figure)}
        if not figures:
            return
        rows = self._kept.get("rows", {})
        rows[what] = {"figures": figures, "yardstick_ms": round(now, 1)}
        self._kept = {"version": VERSION, "rows": rows}
        self.path.write_text(f"{json.dumps(self._kept, indent=2)}\n", encoding="utf-8")

    @contextmanager
    def at_its_own_cost(self, what: str) -> Iterator[None]:
        """Measure something; where that fails, say so in its row and go on with the next."""
        try:
            yield
        except Exception as trouble:  # whatever it is, the other rows still count
            self.failed.append(what)
            self.add_row(what, [f"could not be measured: {type(trouble).__name__}: {trouble}"], "")
