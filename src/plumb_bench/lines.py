"""How large the house is: lines that are not blank, by what they are for."""

from __future__ import annotations

import subprocess
from collections import Counter
from pathlib import Path

from rich.console import Console
from rich.table import Table

from gentle_plumb.config import ROOT

PROGRAM = (".py", ".ts", ".tsx", ".css", ".html", ".js", ".mjs", ".typ")
DATA = (".toml", ".csv", ".json")
GENERATED_MARK = "linguist-generated"
FROM_THE_PAGE, FROM_PYTHON = "web/", "src/"


def _listed() -> list[str]:
    process = subprocess.run(
        ["git", "ls-files", "--cached", "--others", "--exclude-standard"],
        cwd=ROOT,
        check=True,
        capture_output=True,
        text=True,
    )
    return [name for name in process.stdout.splitlines() if (ROOT / name).is_file()]


def generated_files(names: list[str]) -> set[str]:
    """Which of these files are made by a command, as .gitattributes marks them."""
    process = subprocess.run(
        ["git", "check-attr", "--stdin", GENERATED_MARK],
        cwd=ROOT,
        check=True,
        capture_output=True,
        text=True,
        input="\n".join(names),
    )
    marked = (line.rsplit(": ", 2) for line in process.stdout.splitlines())
    return {name for name, _, value in marked if value in ("set", "true")}


def area_of(name: str) -> str:
    """What a file is for; empty for what is neither program, test nor data."""
    path = Path(name)
    page = name.startswith(FROM_THE_PAGE)
    if name.startswith("tests/") and path.suffix == ".py":
        return "tests, Python"
    if page and (".test." in path.name or name.startswith("web/src/test/")):
        return "tests, page"
    if name == "plumb" or path.suffix in PROGRAM:
        if page:
            return "page"
        if not name.startswith(FROM_PYTHON):
            return "program, other" if name == "plumb" else ""
        parts = path.parts
        return f"program, {parts[2]}" if len(parts) > 3 else "program, other"
    if name.startswith(FROM_PYTHON) and path.suffix in DATA:
        return "data read by the program"
    return ""


def count_lines() -> dict[str, tuple[int, int]]:
    """Return files and lines that are not blank, by area; what is generated counts apart."""
    names = _listed()
    texts = generated_files(names)
    files: Counter[str] = Counter()
    lines: Counter[str] = Counter()
    for name in names:
        area = area_of(name)
        if not area:
            continue
        area = "generated" if name in texts else area
        text = (ROOT / name).read_text(encoding="utf-8")
        files[area] += 1
        lines[area] += sum(1 for line in text.splitlines() if line.strip())
    return {area: (files[area], lines[area]) for area in sorted(lines)}


def print_lines(console: Console) -> None:
    """Print the areas, the sum of the program, and what share of it the tests are."""
    counted = count_lines()
    table = Table("area", "files", "lines")
    for area, (files, lines) in counted.items():
        table.add_row(area, f"{files:,}", f"{lines:,}")
    console.print(table)
    page = counted["page"][1]
    program = page + sum(
        number for area, (_, number) in counted.items() if area.startswith("program")
    )
    tests = {kind: counted[f"tests, {kind}"][1] for kind in ("Python", "page")}
    console.print(
        f"Program {program:,} lines; tests {sum(tests.values()):,}, {sum(tests.values()) / program:.1%} of it; "
        f"the page’s own tests {tests['page']:,}, {tests['page'] / page:.1%} of the page."
    )
