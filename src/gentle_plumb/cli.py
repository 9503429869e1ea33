"""The commands behind ``./plumb``; set-up has been done before this runs."""

from __future__ import annotations

import json
import sys
from contextlib import ExitStack
from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer
from pydantic import ValidationError
from rich.console import Console
from rich.table import Table

from .config import ROOT, Settings

if TYPE_CHECKING:
    from .documents.case_format import CaseDocument

app = typer.Typer(add_completion=False, no_args_is_help=True, help=__doc__)
console = Console(highlight=False, soft_wrap=True)


def say(words: str) -> None:
    """One line for the person at the terminal."""
    console.print(words, markup=False)


@app.command()
def demo(
    fresh: Annotated[
        bool, typer.Option("--fresh", help="Start over: erases the demo's data.")
    ] = False,
    yes: Annotated[bool, typer.Option("--yes", help="Do not ask.")] = False,
    port: Annotated[int, typer.Option(help="Port to answer on.")] = 8750,
) -> None:
    """Start everything with the demo practice."""
    from .hosting import run
    from .hosting.postgres import PostgresTrouble

    if fresh and not yes and not typer.confirm("Erase all data of this database and start over?"):
        raise typer.Exit(1)
    run.end_on_signals()
    try:
        with run.database(say) as url:
            engine = run.open_engine(url)
            if fresh:
                run.erase(engine)
                say("Erased.")
            run.prepare(engine, demo=True, say=say)
            engine.dispose()
            run.serve(url, demo=True, say=say, port=port)
    except KeyboardInterrupt:
        say("Stopped.")
    except PostgresTrouble as trouble:
        say(str(trouble))
        raise typer.Exit(1) from None


@app.command()
def serve(
    port: Annotated[int, typer.Option(help="Port to answer on.")] = 8750,
    host: Annotated[str, typer.Option(help="Address to listen on.")] = "127.0.0.1",
) -> None:
    """Start without demo data."""
    from .hosting import run

    run.end_on_signals()
    try:
        with run.database(say) as url:
            engine = run.open_engine(url)
            run.prepare(engine, demo=False, say=say)
            engine.dispose()
            run.serve(url, demo=False, say=say, port=port, host=host)
    except KeyboardInterrupt:
        say("Stopped.")


@app.command()
def practice(
    name: Annotated[str, typer.Option(prompt="Name of the practice")],
    owner: Annotated[str, typer.Option(prompt="Owner's name")],
    email: Annotated[str, typer.Option(prompt="Owner's address")],
    password: Annotated[
        str, typer.Option(prompt="Owner's password", hide_input=True, confirmation_prompt=True)
    ],
    unit: Annotated[str, typer.Option(help="cm, mm or in")] = "cm",
) -> None:
    """Make a practice and its owner."""
    from uuid import uuid4

    from .hosting import run
    from .main import now
    from .services.accounts import LEAST_PASSWORD, AccountService
    from .services.models import Practice
    from .storage import SqlAccounts

    if unit not in ("cm", "mm", "in") or len(password) < LEAST_PASSWORD or "@" not in email:
        say(f"The unit is cm, mm or in; the password has {LEAST_PASSWORD} characters or more; "
            "the address has an @.")  # fmt: skip
        raise typer.Exit(2)
    with run.database(say) as url:
        engine = run.open_engine(url)
        run.prepare(engine, demo=False, say=say)
        accounts = SqlAccounts(engine)
        made = Practice(id=uuid4(), name=name, unit=unit, local_wording="")  # type: ignore[arg-type]
        accounts.add_practice(made)
        AccountService(accounts, now).create_member(
            made.id, email=email, name=owner, title="", role="owner", password=password
        )
        say(f"{name} is there; {owner} can sign in.")


@app.command()
def fit(
    case: Annotated[Path, typer.Argument(help="A case file (docs/formats), or -")] = Path("-"),
    table: Annotated[bool, typer.Option("--table", help="For people, not JSON.")] = False,
    as_csv: Annotated[bool, typer.Option("--csv", help="Every row as CSV.")] = False,
    svg: Annotated[bool, typer.Option("--svg", help="The drawing.")] = False,
    many: Annotated[
        Path | None, typer.Option("--many", help="A file with one case a line, or -.")
    ] = None,
    out: Annotated[Path | None, typer.Option("--out", help="Write there.")] = None,
    processes: Annotated[
        int, typer.Option("--processes", min=0, max=64, help="With --many; 0: one for each core.")
    ] = 0,
) -> None:
    """Work out a case file, or many."""
    from .documents.case_format import result_document
    from .documents.fit_files import result_csv, result_svg

    if many is not None:
        raise typer.Exit(_fit_many(many, out, processes or None))
    document = _read_case(case)
    if table:
        _print_table(document)
        return
    if as_csv:
        text = result_csv(document.work().result)
    elif svg:
        text = result_svg(document.work()) + "\n"
    else:
        made = result_document(document).model_dump(mode="json")
        text = json.dumps(made, indent=2, ensure_ascii=False) + "\n"
    if out is None:
        sys.stdout.write(text)
    else:
        out.write_text(text, encoding="utf-8")


def _read_case(case: Path) -> CaseDocument:
    from .documents.case_format import CaseDocument
    from .documents.fit_files import problems_of

    try:
        text = sys.stdin.read() if str(case) == "-" else case.read_text(encoding="utf-8")
        return CaseDocument.model_validate_json(text)
    except OSError as error:
        say(f"{case}: {error.strerror}")
    except UnicodeDecodeError:
        say(f"{case}: not a text file in UTF-8.")
    except ValidationError as error:
        for problem in problems_of(error):
            say(f"{case}: {problem}")
    raise typer.Exit(2) from None


def _fit_many(source: Path, out: Path | None, processes: int | None) -> int:
    """Stream results; bad lines are told on the error stream with their number. 1 if there were any."""
    from rich.progress import BarColumn, MofNCompleteColumn, Progress, TimeElapsedColumn

    from .documents.fit_files import fit_many

    errors = Console(stderr=True)
    bad = 0
    columns = ("{task.description}", BarColumn(), MofNCompleteColumn(), TimeElapsedColumn())
    with ExitStack() as held:
        lines, target, total = sys.stdin, sys.stdout, None
        try:
            if str(source) != "-":
                total = _count(source)
                lines = held.enter_context(source.open(encoding="utf-8", errors="replace"))
            if out is not None:
                target = held.enter_context(out.open("w", encoding="utf-8"))
        except OSError as error:
            say(f"{error.filename}: {error.strerror}")
            return 2
        progress = held.enter_context(Progress(*columns, console=errors, transient=out is None))
        task = progress.add_task("Cases", total=total)
        for line in fit_many(lines, processes=processes):
            if line.result is not None:
                target.write(line.result + "\n")
            else:
                bad += 1
                errors.print(f"line {line.number}: {line.trouble}", markup=False, highlight=False)
            progress.advance(task)
    if bad:
        errors.print(f"{bad} {'line was' if bad == 1 else 'lines were'} left out.")
    return 1 if bad else 0


def _count(source: Path) -> int:
    """How many cases a file holds."""
    with source.open("rb") as lines:
        return sum(1 for line in lines if line.strip())


def _print_table(document: CaseDocument) -> None:
    from .core.fit import terms_text

    made = document.work()
    result = made.result
    for posture in (result.seated, result.standing):
        table = Table(title=f"{posture.posture.title()}, mm", title_justify="left")
        for heading in ("", "target", "setting", "found", "made of", "limit and cost"):
            table.add_column(heading, justify="left" if heading in ("", "made of") else "right")
        for row in posture.rows:
            numbers = [
                "–" if value is None else f"{value:.1f}"
                for value in (row.target, row.setting, row.found)
            ]
            limits = [limit.text for limit in row.limits]
            if row.cost is not None:
                limits.append(row.cost.text)
            mm = row.terms and row.unit == "mm"
            made_of = terms_text(row.terms) if mm else row.reason or ""
            table.add_row(row.label, *numbers, made_of, "; ".join(limits))
        console.print(table)
        if posture.why_not:
            say(posture.why_not)
    for note in result.notes:
        say(note)
    plans = Table(title="Plans", title_justify="left")
    for heading in ("", "added", "price", "left, degrees", "min a day"):
        plans.add_column(heading)
    for plan in made.worked.plans:
        plans.add_row(
            plan.label, "\n".join(one.label for one in plan.added) or "nothing",
            "\n".join(one.price_label for one in plan.added),
            f"{plan.over:.1f}", "–" if plan.minutes is None else f"{plan.minutes:.0f}",
        )  # fmt: skip
    console.print(plans)
    for fix in made.worked.fixes:
        say(f"{fix.label} ({fix.price_label}): removes {fix.removes:.1f}°, {fix.left:.1f}° left")


@app.command()
def formats() -> None:
    """Write the generated files: JSON Schemas, OpenAPI, results of the worked examples."""
    from .formats import write_formats

    for path in write_formats(ROOT / "docs" / "formats"):
        say(f"written: {path.relative_to(ROOT)}")


@app.command()
def bench(
    quick: Annotated[bool, typer.Option("--quick", help="Fewer rounds.")] = False,
) -> None:
    """Measure what must hold, and print it."""
    from .benchmarks import run_bench

    run_bench(console, quick=quick)


def main() -> None:
    """Entry point."""
    Settings()
    app()


if __name__ == "__main__":
    main()
