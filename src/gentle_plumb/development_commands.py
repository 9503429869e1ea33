"""Commands for who works on the program: how fast, how large, how well tested, how hard to knock over."""

from __future__ import annotations

import os
import random
import shutil
import subprocess
import sys
import tempfile
from pathlib import Path
from typing import Annotated

import typer

from .bootstrap import console, say
from .config import ROOT

KILL_S = 12
"""About so long one life of the browser lasts, from its start to its kill, s."""
MOST_KILLS = 100
KILLS = "tests/browser/test_offline.py::test_no_input_that_the_device_has_said_it_keeps_is_lost_by_a_kill"


def endure(
    minutes: Annotated[float, typer.Argument(help="About how long, minutes.")] = 30,
    seed: Annotated[int | None, typer.Option(help="Which storm: the same again.")] = None,
) -> None:
    """Type while everything is killed, frozen and cut off; then kill the browser again and again.

    Half of the time is for the server and its database, half for the browser without network.
    """
    from plumb_bench.storm import Storm

    chosen = random.randrange(10**6) if seed is None else seed  # noqa: S311
    half = minutes * 30
    (ROOT / "var").mkdir(exist_ok=True)
    say(f"A storm of {half / 60:.1f} minutes, seed {chosen}.")
    with tempfile.TemporaryDirectory(dir=ROOT / "var", prefix="endure-") as folder:
        report = Storm(Path(folder), chosen).blow(half)
    for name, count in report.troubles.most_common():
        say(f"  {count:5} times: {name}")
    say(
        f"  {report.taken:5} changes acknowledged: {', '.join(f'{n} {w}' for w, n in report.ways.items())}"
    )
    say(f"  {len(report.lost):5} lost, {report.doubled} doubled, {len(report.refused)} refused")
    say(f"  the audit log’s chain {'holds' if report.chain_holds else 'is broken'}")
    for line in (*report.lost, *report.refused):
        say(f"  {line}")
    whole = not report.lost and not report.refused and not report.doubled and report.chain_holds
    kept = _kill_browsers(half)
    if not (whole and kept):
        raise typer.Exit(1)


def _kill_browsers(seconds: float) -> bool:
    """Kill the browser of a visit without network as often as fits; whether nothing it said to keep was lost."""
    if not shutil.which("chromium"):
        say("The browser was left out: Chromium is not installed.")
        return True
    kills = max(1, min(MOST_KILLS, round(seconds / KILL_S)))
    say(f"The browser, killed {kills} times in the middle of a visit without network.")
    done = subprocess.run(
        [sys.executable, "-m", "pytest", "-q", KILLS],
        cwd=ROOT,
        env={**os.environ, "GENTLE_PLUMB_KILLS": f"{kills}"},
        check=False,
    )
    return done.returncode == 0


def bench(
    quick: Annotated[bool, typer.Option("--quick", help="Run fewer rounds.")] = False,
    record: Annotated[
        bool, typer.Option("--record", help="Keep the figures as this release’s.")
    ] = False,
    only: Annotated[str, typer.Option("--only", help="Measure what has this in its name.")] = "",
) -> None:
    """Run the performance checks, printing each result beside that of the last release."""
    from plumb_bench import run_bench

    failed = run_bench(console, quick=quick, record=record, only=only)
    if failed:
        say(f"Could not be measured: {', '.join(failed)}.")
        raise typer.Exit(1)


def lines() -> None:
    """Count the lines of the program, its data and its tests."""
    from plumb_bench.lines import print_lines

    print_lines(console)


def coverage() -> None:
    """Run the tests that need no browser, and say what share of the lines they ran."""
    from plumb_bench.coverage import print_coverage

    print_coverage(console)


def mutants(
    sample: Annotated[
        int, typer.Option(min=0, help="How many are tried; 0 for all, which takes a day.")
    ] = 60,
    seed: Annotated[int, typer.Option(help="Which of them are drawn.")] = 1130,
) -> None:
    """Put wrong turns into fit, plans and findings, and list those that no test notices."""
    from plumb_bench.mutants import mutate

    if not mutate(sample, seed):
        say("More than one in ten survives.")
        raise typer.Exit(1)


def words(
    update: Annotated[bool, typer.Option(help="Gather the messages again first.")] = False,
    trouble: Annotated[bool, typer.Option(help="Only what is wrong with them.")] = False,
) -> None:
    """Print everything the product says, place by place, and what is not translated, too long or unused."""
    from plumb_words import catalogues

    if update:
        catalogues.update()
    if not trouble:
        for line in catalogues.printed():
            typer.echo(line)
    for language in catalogues.LANGUAGES:
        found = list(catalogues.troubles(language))
        say(f"{language}: {len(found)} messages to look at")
        for each in found:
            typer.echo(f"  {each.kind}: {each.message[:100]} ({each.place})")


COMMANDS = (bench, endure, lines, coverage, mutants, words)
