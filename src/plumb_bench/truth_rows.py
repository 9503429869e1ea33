"""What must be true of everything that is said, held over far more generated visits than the tests have time for."""

from __future__ import annotations

import importlib
import sys
import time
from collections import Counter
from concurrent.futures import ProcessPoolExecutor
from multiprocessing import get_context
from typing import Any

from gentle_plumb.config import ROOT
from gentle_plumb.documents.fit_files import left_to_the_parent

from .rows import Figure, Rows

PROCESSES = 2
TESTS = ROOT / "tests"
"""Where the truths and the visits are: with the tests that hold the first of them."""


def of_the_tests(module: str) -> Any:
    """A module of the tests; raises ModuleNotFoundError where they are not here."""
    if str(TESTS) not in sys.path:
        sys.path.insert(0, str(TESTS))
    return importlib.import_module(module)


def broken(seed: int) -> list[tuple[str, int, str]]:
    """Return every truth that a generated visit breaks; a visit that can't be worked out breaks them all."""
    try:
        return of_the_tests("truths").broken(seed)  # type: ignore[no-any-return]
    except Exception as trouble:  # one visit must not hide the others
        return [(type(trouble).__name__, seed, str(trouble))]


def truth_row(table: Rows, visits: int) -> None:
    """Hold every truth over so many visits, every combination of choices of each plan tried."""
    if not (TESTS / "truths.py").exists():
        table.add_row("what is said is true", ["left out: the tests are not here"], "")
        return
    truths, start = of_the_tests("truths"), time.perf_counter()
    first = of_the_tests("seeds").SEED
    with ProcessPoolExecutor(PROCESSES, mp_context=get_context("spawn")) as pool:
        try:
            with left_to_the_parent():
                broken_by_visit = pool.map(broken, range(first, first + visits), chunksize=8)
            contradictions = [truth for many in broken_by_visit for truth in many]
        finally:
            pool.shutdown(cancel_futures=True)
    took = time.perf_counter() - start
    said = f"{len(truths.TRUTHS)} truths over {visits} visits: "
    if not contradictions:
        said += "none broken"
    else:
        named = Counter(name for name, _, _ in contradictions)
        said += "; ".join(f"{name} {many} times" for name, many in named.most_common())
        said += f"; first: seed {contradictions[0][1]}, {contradictions[0][2]}"
    table.add_row(
        "what is said is true",
        [Figure("each", took / visits * 1000, digits=0), said],
        "none broken",
    )
