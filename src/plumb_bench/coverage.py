"""Which lines the tests run, package by package, of the program and of the page."""

from __future__ import annotations

import json
import subprocess
import sys
from collections import defaultdict
from pathlib import Path

from rich.console import Console
from rich.table import Table

from gentle_plumb.config import ROOT

REPORT = ROOT / "var" / "coverage.json"
PAGE_REPORT = ROOT / "var" / "page-coverage" / "coverage-summary.json"
SUITES = ("tests/unit", "tests/contract", "tests/api")


def _of_the_program() -> dict[str, tuple[int, int]]:
    """Lines run and lines there are, by package."""
    command = [sys.executable, "-m", "pytest", "-q", "-n", "2", *SUITES]
    cover = ["--cov=gentle_plumb", "--cov-report=", f"--cov-report=json:{REPORT}"]
    subprocess.run([*command, *cover], cwd=ROOT, check=False)
    by: dict[str, list[int]] = defaultdict(lambda: [0, 0])
    for name, file in json.loads(REPORT.read_text("utf-8"))["files"].items():
        parts = Path(name).parts
        package = "/".join(parts[2:4]) if parts[2] == "core" and len(parts) > 4 else parts[2]
        by[package][0] += file["summary"]["covered_lines"]
        by[package][1] += file["summary"]["num_statements"]
    return {package: (run, there) for package, (run, there) in sorted(by.items())}


def _of_the_page() -> dict[str, tuple[int, int]]:
    """Lines run and lines there are, by folder."""
    subprocess.run(["npm", "run", "-s", "coverage"], cwd=ROOT / "web", check=False)
    by: dict[str, list[int]] = defaultdict(lambda: [0, 0])
    for name, file in json.loads(PAGE_REPORT.read_text("utf-8")).items():
        if name == "total":
            continue
        parts = Path(name).relative_to(ROOT / "web" / "src").parts
        by["page, " + "/".join(parts[:2])][0] += file["lines"]["covered"]
        by["page, " + "/".join(parts[:2])][1] += file["lines"]["total"]
    return {folder: (run, there) for folder, (run, there) in sorted(by.items())}


def print_coverage(console: Console) -> None:
    """Run the tests that need no browser, and print what share of the lines they ran."""
    (ROOT / "var").mkdir(exist_ok=True)
    table = Table("package", "lines", "run by a test")
    for counted in (_of_the_program(), _of_the_page()):
        for package, (run, there) in counted.items():
            table.add_row(package, f"{there:,}", f"{run / max(1, there):.0%}")
        run, there = (sum(numbers[at] for numbers in counted.values()) for at in (0, 1))
        table.add_row("[b]all[/b]", f"{there:,}", f"[b]{run / max(1, there):.1%}[/b]")
    console.print(table)
