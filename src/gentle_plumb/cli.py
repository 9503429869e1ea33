"""The commands behind ``./plumb``; set-up has been done before this runs."""

from __future__ import annotations

import json
import sys
from contextlib import ExitStack
from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer
from rich.console import Console

from . import backup_commands, development_commands
from .bootstrap import console, ready, say, started
from .config import ROOT, Settings
from .core.choices import one_of
from .core.errors import FieldError
from .core.units import UNITS, LengthUnit

if TYPE_CHECKING:
    from .documents.case_format import CaseDocument

app = typer.Typer(add_completion=False, no_args_is_help=True, help=__doc__)
app.command()(backup_commands.backup)
app.command()(backup_commands.restore)
app.command("roll-back")(backup_commands.roll_back)
for command in development_commands.COMMANDS:
    app.command()(command)


def _unit(text: str) -> LengthUnit:
    """Return the unit of that name, or say what there is and leave."""
    unit = one_of(UNITS, text)
    if unit is None:
        say("The unit is mm, cm or in.")
        raise typer.Exit(2)
    return unit


LOOPBACK = ("127.0.0.1", "::1", "localhost")


@app.command()
def demo(
    fresh: Annotated[
        bool, typer.Option("--fresh", help="Erase the demo data and start again.")
    ] = False,
    yes: Annotated[bool, typer.Option("--yes", help="Don’t ask for confirmation.")] = False,
    port: Annotated[int, typer.Option(help="Port to answer on; 0 for any free one.")] = 8750,
    host: Annotated[
        str, typer.Option(help="Address to listen on: this machine alone.")
    ] = "127.0.0.1",
) -> None:
    """Start with the demo practice. Anyone who can reach it can read its passwords and its inbox."""
    from .hosting import run

    if host not in LOOPBACK:
        say(f"The demo answers on this machine alone, not at {host}: anybody could sign in to it.")
        raise typer.Exit(1)

    if fresh and not yes and not typer.confirm("Erase all data of this database and start over?"):
        raise typer.Exit(1)
    with started(port) as database:
        run.prepare(database, demo=True, say=say, fresh=fresh)
        run.serve(database.serves, demo=True, say=say, port=port)


@app.command()
def serve(
    port: Annotated[int, typer.Option(help="Port to answer on; 0 for any free one.")] = 8750,
    host: Annotated[str, typer.Option(help="Address to listen on.")] = "127.0.0.1",
    workers: Annotated[
        int, typer.Option(min=0, max=64, help="Processes that serve; 0: one for each core.")
    ] = 0,
) -> None:
    """Start without demo data."""
    from .hosting import run

    with started(port, host) as database:
        run.prepare(database, demo=False, say=say)
        run.serve(database.serves, demo=False, say=say, port=port, host=host, workers=workers)


@app.command()
def practice(
    name: Annotated[str, typer.Option(prompt="Name of the practice")],
    owner: Annotated[str, typer.Option(prompt="Owner’s name")],
    email: Annotated[str, typer.Option(prompt="Owner’s email")],
    password: Annotated[
        str, typer.Option(prompt="Owner’s password", hide_input=True, confirmation_prompt=True)
    ],
    title: Annotated[str, typer.Option(help="Owner’s profession, as it is signed")] = "",
    unit: Annotated[str, typer.Option(help="cm, mm or in")] = "cm",
    time_zone: Annotated[str, typer.Option(help="For its days, as Europe/London")] = "",
) -> None:
    """Make a practice and its owner, also beside a running server."""
    from uuid import uuid4
    from zoneinfo import available_timezones

    from .hosting.zone import local_zone
    from .mailing import now
    from .services.accounts import AccountService
    from .services.errors import AlreadyThere
    from .services.models import Practice
    from .services.passwords import check_password
    from .storage import SqlAccounts

    zone = time_zone or local_zone()
    lengths = _unit(unit)
    if "@" not in email:
        say("The address has an @.")
        raise typer.Exit(2)
    if zone not in available_timezones():
        say(f"Time zone: “{zone}” is none. Give one as Europe/London.")
        raise typer.Exit(2)
    try:
        check_password(password, (name, owner, email))
    except FieldError as error:
        say(str(error))
        raise typer.Exit(2) from None
    with ready() as engine:
        accounts = SqlAccounts(engine)
        if accounts.member_by_email(email.strip().lower()) is not None:
            say("Somebody with this address is there already. Nothing was made.")
            raise typer.Exit(1)
        practice = Practice(id=uuid4(), name=name, unit=lengths, local_wording="", time_zone=zone)
        accounts.add_practice(practice)
        try:
            AccountService(accounts, now).create_member(
                practice.id, email=email, name=owner, title=title, role="owner", password=password
            )
        except AlreadyThere as error:
            say(str(error))
            raise typer.Exit(1) from None
        say(f"{name} is there; {owner} can sign in. Its days are those of {zone}.")


@app.command()
def password(
    email: Annotated[str, typer.Option(prompt="Address")],
    new: Annotated[
        str, typer.Option(prompt="New password", hide_input=True, confirmation_prompt=True)
    ],
) -> None:
    """Set a new password for a member, who is then signed out everywhere."""
    from .mailing import now
    from .services.accounts import AccountService
    from .services.errors import NotFound
    from .storage import SqlAccounts

    with ready() as engine:
        try:
            member = AccountService(SqlAccounts(engine), now).reset_password(email, new)
        except NotFound as error:
            say(str(error))
            raise typer.Exit(1) from None
        say(f"{member.name} has a new password and is signed out everywhere.")


@app.command()
def verify(
    head: Annotated[
        list[str] | None, typer.Option("--head", help="NUMBER:DIGEST of a line noted down before.")
    ] = None,
) -> None:
    """Check the audit log of every practice, line by line: a line that was changed or taken out shows."""
    from .hosting.audit_check import check_audit_log, heads_of

    try:
        wanted = heads_of(head or [])
    except ValueError as error:
        say(f"--head: {error}")
        raise typer.Exit(2) from None
    with ready() as engine:
        whole = check_audit_log(engine, wanted, say)
    raise typer.Exit(0 if whole else 1)


@app.command()
def fit(
    case: Annotated[Path, typer.Argument(help="A case file (docs/formats), or -")] = Path("-"),
    table: Annotated[
        bool, typer.Option("--table", help="Print a readable table instead of JSON.")
    ] = False,
    unit: Annotated[str, typer.Option("--unit", help="With --table: mm, cm or in.")] = "mm",
    as_csv: Annotated[bool, typer.Option("--csv", help="Print as CSV.")] = False,
    svg: Annotated[bool, typer.Option("--svg", help="Print the drawing as SVG.")] = False,
    many: Annotated[
        Path | None,
        typer.Option("--many", help="File with one case per line, or - for standard input."),
    ] = None,
    out: Annotated[Path | None, typer.Option("--out", help="Output file.")] = None,
    processes: Annotated[
        int, typer.Option("--processes", min=0, max=64, help="With --many; 0: one for each core.")
    ] = 0,
) -> None:
    """Calculate one case file, or many."""
    from .documents.case_result import result_document
    from .documents.fit_files import result_csv, result_svg

    if many is not None:
        raise typer.Exit(_fit_many(many, out, processes or None))
    document = _read_case(case)
    if table:
        _print_table(document, _unit(unit))
        return
    if as_csv:
        text = result_csv(document.work().result)
    elif svg:
        text = result_svg(document.work()) + "\n"
    else:
        result = result_document(document).model_dump(mode="json")
        text = json.dumps(result, indent=2, ensure_ascii=False) + "\n"
    if out is None:
        sys.stdout.write(text)
        return
    try:
        out.write_text(text, encoding="utf-8")
    except OSError as error:
        say(f"{out}: {error.strerror}")
        raise typer.Exit(2) from None


@app.command()
def pace(
    case: Annotated[Path, typer.Argument(help="A case file (docs/formats), or -")] = Path("-"),
    week: Annotated[
        int,
        typer.Option("--week", min=0, max=4, help="Week of getting used to standing; 0: after."),
    ] = 0,
    table: Annotated[bool, typer.Option("--table", help="Print a readable table.")] = False,
) -> None:
    """Lay out the working day of a case file."""
    from .documents.case_pace import day_document, day_of

    document = _read_case(case)
    case_worked = document.work(fixes=False)
    record = document.pace_record(document.hours)
    day = day_of(record, case_worked.case, standing_possible=case_worked.result.standing.possible)
    if day is None:
        say(f"{case}: hours: none are given, or more than a day has.")
        raise typer.Exit(2)
    laid = day_document(day, case_worked.case, week)
    if not table:
        sys.stdout.write(json.dumps(laid, indent=2, ensure_ascii=False) + "\n")
        return
    say(f"{laid['day']['rhythm_label']}, {laid['day']['start']} to {laid['day']['end']}")
    for spell in laid["day"]["spells"]:
        minutes = f"{spell['minutes']:>4} min"
        say(
            f"{spell['at']:>5} {spell['end']:>5} {minutes}  {spell['label']}  {spell['tasks']}".rstrip()
        )


@app.command("open")
def open_report(
    report: Annotated[Path, typer.Argument(help="A report of this program, as PDF.")],
    out: Annotated[Path | None, typer.Option("--out", help="Folder to write its files to.")] = None,
    unit: Annotated[str, typer.Option("--unit", help="mm, cm or in.")] = "mm",
) -> None:
    """Read the visit back out of a report: its files, and what they come to."""
    from .documents.embedded_files import VISIT, files_in
    from .documents.visit_file import read_visit, visit_lines

    try:
        files = files_in(report.read_bytes())
        if VISIT not in files:
            raise ValueError("This PDF carries no visit: the workplace’s copy has none.")
        visit = read_visit(files[VISIT])
        for line in visit_lines(visit, _unit(unit)):
            say(line)
        for name, contents in files.items():
            say(f"carries {name}, {len(contents)} bytes")
        if out is not None:
            out.mkdir(parents=True, exist_ok=True)
            for name, contents in files.items():
                (out / Path(name).name).write_bytes(contents)
            say(f"written to {out}")
    except OSError as error:
        say(f"{report}: {error.strerror}")
        raise typer.Exit(2) from None
    except ValueError as error:
        say(f"{report}: {error}")
        raise typer.Exit(2) from None


def _read_case(case: Path) -> CaseDocument:
    from .documents.fit_files import read_case, trouble_of

    try:
        text = sys.stdin.read() if str(case) == "-" else case.read_text(encoding="utf-8-sig")
        return read_case(text)
    except OSError as error:
        say(f"{case}: {error.strerror}")
    except UnicodeDecodeError:
        say(f"{case}: not a text file in UTF-8.")
    except (ValueError, FieldError, RecursionError) as error:
        for problem in trouble_of(error):
            say(f"{case}: {problem}")
    raise typer.Exit(2) from None


def _fit_many(source: Path, out: Path | None, processes: int | None) -> int:
    """Stream results; bad lines are told on the error stream with their number. 1 if there were any."""
    from rich.progress import BarColumn, MofNCompleteColumn, Progress, TimeElapsedColumn

    from .documents.fit_files import fit_many

    errors = Console(stderr=True, soft_wrap=True)
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


def _print_table(document: CaseDocument, unit: LengthUnit) -> None:
    from .documents.fit_table import print_table

    print_table(console, document.work(), unit)
    for place in document.places:
        console.print(f"\n{place.name or 'A further place'}", markup=False)
        print_table(console, document.work(place), unit)


@app.command()
def formats() -> None:
    """Generate JSON Schemas, OpenAPI and the results of the worked examples."""
    from .formats import write_formats

    for path in write_formats(ROOT / "docs" / "formats"):
        say(f"written: {path.relative_to(ROOT)}")


def main() -> None:
    """Entry point."""
    Settings()
    app()


if __name__ == "__main__":
    main()
