"""Wrong turns put into the core on purpose, and which of them no test notices."""

from __future__ import annotations

import json
import random
import subprocess
import sys
from pathlib import Path

from rich.console import Console

from gentle_plumb.config import ROOT

FOLDER = ROOT / "mutants"
TOOL = Path(sys.executable).with_name("mutmut")
KILLED = {1, 3, 24, 36, -24, 152, 255}
"""How the run of a mutant ends where a test failed or it went on for ever. Source: mutmut."""
SURVIVED = 0


def _run(names: list[str]) -> int:
    command = [str(TOOL), "run", "--max-children", "2", *names]
    return subprocess.run(command, cwd=ROOT, check=False).returncode


def _verdicts() -> dict[str, int | None]:
    """How each mutant ended, by name; None where it was not run yet."""
    verdicts: dict[str, int | None] = {}
    for file in sorted(FOLDER.glob("src/**/*.meta")):
        verdicts |= json.loads(file.read_text("utf-8"))["exit_code_by_key"]
    return verdicts


def _shown(name: str) -> str:
    """The lines that a mutant changes."""
    process = subprocess.run(
        [str(TOOL), "show", name], cwd=ROOT, check=False, capture_output=True, text=True
    )
    lines = [line for line in process.stdout.splitlines() if line[:1] in "+-"]
    return "\n".join(line for line in lines if line[:3] not in ("+++", "---"))


def mutate(sample: int, seed: int) -> bool:
    """Run a sample of mutants of fit, plans and findings, and list those that survive.

    Parameters
    ----------
    sample : int
        How many; 0 for all of them, which takes a day.
    seed : int
        Which ones are drawn.

    Returns
    -------
    bool
        Whether at most one in ten survives.

    """
    if not _verdicts():
        _run(["none of them"])  # makes them, and learns which tests see which function
    names = sorted(_verdicts())
    drawn = random.Random(seed).sample(names, sample) if sample else names  # noqa: S311
    _run(drawn)
    ends = _verdicts()
    texts = [name for name in drawn if ends[name] is not None]
    alive = [name for name in texts if ends[name] == SURVIVED]
    unseen = [name for name in texts if ends[name] not in KILLED | {SURVIVED}]
    console = Console(soft_wrap=True, highlight=False)
    for name in alive:
        console.print(f"[b]survived[/b] {name}", _shown(name), sep="\n")
    for name in unseen:
        console.print(f"[b]no test[/b] {name}", _shown(name), sep="\n")
    missed = len(alive) + len(unseen)
    console.print(
        f"{missed} of {len(texts)} mutants survive ({len(names):,} there are; seed {seed})."
    )
    return missed * 10 <= len(texts)
