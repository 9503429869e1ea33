"""The commands behind ``./plumb``; set-up has been done before this runs."""

from __future__ import annotations

import json
import sys
from pathlib import Path
from typing import Annotated

import typer
from pydantic import ValidationError
from rich.console import Console
from rich.table import Table

from .config import ROOT, Settings

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
    case: Annotated[Path, typer.Argument(help="A case file (docs/formats/case.md), or - ")],
    table: Annotated[bool, typer.Option("--table", help="For people, not JSON.")] = False,
) -> None:
    """Work out a case file."""
    from .documents.case_format import CaseDocument, result_document

    try:
        text = sys.stdin.read() if str(case) == "-" else case.read_text(encoding="utf-8")
        document = CaseDocument.model_validate_json(text)
    except OSError as error:
        say(f"{case}: {error.strerror}")
        raise typer.Exit(2) from None
    except UnicodeDecodeError:
        say(f"{case}: not a text file in UTF-8.")
        raise typer.Exit(2) from None
    except ValidationError as error:
        for problem in error.errors():
            where = ".".join(str(part) for part in problem["loc"])
            say(f"{case}: {where or 'case'}: {problem['msg'].removeprefix('Value error, ')}")
        raise typer.Exit(2) from None
    if table:
        _print_table(document)
    else:
        print(json.dumps(result_document(document), indent=2, ensure_ascii=False))


def _print_table(document: object) -> None:
    from .core.fit import terms_text
    from .documents.case_format import CaseDocument

    assert isinstance(document, CaseDocument)
    result = document.fit()
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
            made = terms_text(row.terms) if row.terms else row.reason or ""
            table.add_row(row.label, *numbers, made, "; ".join(limits))
        console.print(table)
        if posture.why_not:
            say(posture.why_not)
    for note in result.notes:
        say(note)


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
