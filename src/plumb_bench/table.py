"""Measures what must hold, and prints it as a table. Figures, never tests."""

from __future__ import annotations

import itertools
import json
import platform
import resource
import statistics
import sys
import tempfile
import time
from collections.abc import Callable
from dataclasses import replace
from datetime import date
from functools import partial
from pathlib import Path
from typing import Any

import typst
from rich.console import Console

from gentle_plumb.config import ROOT
from gentle_plumb.core.body import Earlier
from gentle_plumb.core.catalogue import Tier
from gentle_plumb.core.findings import Facts, Finding, Strain, findings, strain_by_region
from gentle_plumb.core.fit import Case, fit
from gentle_plumb.core.photo import read_photo
from gentle_plumb.core.plans import HeightSearch, cost_of, height_kit, make_plans, with_additions
from gentle_plumb.core.record import Record
from gentle_plumb.core.reuse import Reuse
from gentle_plumb.core.visit import case_from, doubts
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.documents.case_format import CaseDocument
from gentle_plumb.documents.exchange import FORMATS, exchange_format
from gentle_plumb.documents.fit_files import brief, fit_many
from gentle_plumb.services.models import MeasurementSheet
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings, full_visit

from .day_rows import day_rows
from .reading_errors import PEOPLE, count_slips, slips_document
from .rows import ADDED_UP, Figure, Rows, spread
from .timing import children_mb, timed
from .truth_rows import of_the_tests, truth_row

EXCHANGED = 500
LOAD_S = 20
EXAMPLES = ROOT / "docs" / "formats" / "examples"


def _case(name: str) -> CaseDocument:
    path = EXAMPLES / f"{name}.case.json"
    return CaseDocument.model_validate_json(path.read_text(encoding="utf-8"))


def _fit_row(table: Rows, rounds: int) -> None:
    """The targets of the taken plan and all three plans, nothing remembered between rounds."""
    from .hard_cases import SEED, hard_cases

    said: list[Figure | str] = []
    generated: list[float] = []

    def whole(case: Case) -> None:
        plan_set = make_plans(replace(case, reuse=Reuse()), fixes=False)
        fit(plan_set.plan("room").case)

    for name in ("sit-stand-desk", "fixed-desk", "counter-with-reams", "laptop-dining-table"):
        case = _case(name).case()
        spent = timed(partial(whole, case), max(10, rounds // 4))
        said += spread(spent, name)
    for case, _ in hard_cases(max(6, rounds // 4)):
        generated.append(statistics.median(timed(partial(whole, case), 3)))
    said += spread(generated, "generated that stay off")
    said.append(f"{len(generated)} of them, seed {SEED}")
    table.add_row("fit with three plans, exact: seated and standing", said, "median under 20 ms")


def _purchases_row(table: Rows, cases: int) -> None:
    """Fit, three plans and each single purchase, over generated visits with stacks, screens and trays."""
    values, seed = of_the_tests("generated_visits").visit_values, of_the_tests("seeds").SEED
    spent = []
    for number in range(seed, seed + cases):
        given = VisitInput(values=values(number), today=date(2026, 1, 1), sex="female")
        case = replace(analyse_visit(given, "cm").case, reuse=Reuse())
        start = time.perf_counter()
        fit(case)
        make_plans(case)
        spent.append((time.perf_counter() - start) * 1000)
    table.add_row(
        "fit with three plans and purchases over generated visits",
        [*spread(spent), f"{cases} visits from seed {seed}"],
        "median under 20 ms, p95 under 60 ms",
    )
    _demo_plans_row(table)


def _demo_plans_row(table: Rows) -> None:
    """Three plans of each visit of the demo; how many were not held against every set of changes."""
    from plumb_demo.clients import DEMO_CLIENTS
    from plumb_demo.load import full_visit

    spent, cut_short = [], 0
    for client in DEMO_CLIENTS:
        given = VisitInput(
            values=full_visit(client.name)[0], today=date(2026, 1, 1), sex=client.sex
        )
        case = replace(analyse_visit(given, "cm").bare, reuse=Reuse())
        start = time.perf_counter()
        plan_set = make_plans(case)
        spent.append((time.perf_counter() - start) * 1000)
        cut_short += sum(not plan.whole for plan in plan_set.plans)
    table.add_row(
        "plans and purchases of a real visit, held against every set of changes",
        [*spread(spent), Figure("longest", max(spent)), f"{cut_short} plans cut short"],
        "under 300 ms, none cut short",
    )


def _solver_row(table: Rows, rounds: int) -> None:
    from .hard_cases import SEED, hard_cases
    from .reference_solver import as_one, kit_with_milp

    ours, theirs, apart, same = [], [], 0.0, True
    for case, tier in hard_cases(max(4, rounds // 10)):

        def mine(case: Case = case, tier: Tier = tier) -> tuple[int, float]:
            solver = HeightSearch(replace(case, reuse=Reuse()), together=True)
            kit = height_kit(solver, tier, alike=1e-6)
            station = with_additions(case.workstation, kit)
            return as_one(cost_of(kit)), solver.heights(station).quality().excess_deg

        def solver(case: Case = case, tier: Tier = tier) -> tuple[int, float]:
            return kit_with_milp(case, tier)

        key, reference = mine(), solver()
        apart = max(apart, abs(key[-1] - reference[-1]))
        same = same and key[0] == reference[0]
        ours.append(statistics.median(timed(mine, 3)))
        theirs.append(statistics.median(timed(solver, 1)))
    times = statistics.median(their / our for our, their in zip(ours, theirs, strict=True))
    table.add_row(
        f"hard set (seed {SEED}): heights with every addition, against HiGHS on the same model",
        [
            Figure("ours median", statistics.median(ours)),
            Figure("theirs median", statistics.median(theirs), digits=0),
            Figure("faster", times, "times"),
            f"{'same' if same else 'OTHER'} money, effort and number, optimum {apart:.0e}° apart",
        ],
        "same optimum, 20 times faster",
    )


def _many_row(table: Rows, cases: int) -> None:
    """The same cases as a file and one by one, and what the largest process held."""
    texts = [
        json.dumps({**json.loads(path.read_text(encoding="utf-8")), "title": f"{number}"})
        for number, path in zip(
            range(cases), itertools.cycle(sorted(EXAMPLES.glob("*.case.json"))), strict=False
        )
    ]
    start = time.perf_counter()
    for number, text in enumerate(texts):
        brief(CaseDocument.model_validate_json(text), number)
    alone = time.perf_counter() - start
    start = time.perf_counter()
    answered, held = 0, 0.0
    for line in fit_many(texts):
        answered += line.result is not None
        if answered % 100 == 0:
            held = max(held, *children_mb())
    many = time.perf_counter() - start
    assert answered == cases
    table.add_row(
        "cases with --many against one after the other",
        [
            f"{cases:,} cases",
            Figure("many", cases / many, "a second", 0),
            Figure("as fast as one process", alone / many, "times", 2),
            Figure("largest process", held, "MB", 0),
        ],
        "300 a second, 1.8 times; memory does not grow",
    )


def _findings_row(table: Rows, rounds: int) -> None:
    """Every rule on the fullest visit there is: pieces, habits, room, two photographs, discomfort."""
    values, photos = full_visit("Odile Marrick")
    record = Record(values)
    case = case_from(record, sex="female")
    result = fit(case)

    def judged() -> tuple[Strain, ...]:
        read = tuple(read_photo(photo) for photo in photos)
        return strain_by_region(
            findings(Facts(record=record, case=case, result=result, photos=read))
        )

    def ruled() -> list[Finding]:
        return findings(Facts(record=record, case=case, result=result, photos=done))

    done = tuple(read_photo(photo) for photo in photos)
    rules, whole = timed(ruled, rounds), timed(judged, rounds)
    table.add_row(
        f"findings of a full visit in the core: {len(ruled())} rules, {len(photos)} photographs",
        [*spread(rules), Figure("with photographs and strain", statistics.median(whole))],
        "under 2 ms",
    )


def _slips_row(table: Rows, people: int) -> None:
    """Planted slips in a generated population; a whole run also writes docs/doubts.md."""
    known, unknown = (count_slips(people, sex_known=text) for text in (True, False))
    caught = {line.kind: line.rate for line in known[0]}
    table.add_row(
        "slips planted in 5 % of the values of generated bodies",
        [
            *(Figure(kind, rate, "%") for kind, rate in caught.items()),
            Figure("of true values", known[1], "%", 2),
            f"{people:,} bodies",
        ],
        "95 % of 2.54, 10 and swapped fields; under 3 %",
    )
    if people == PEOPLE:
        (ROOT / "docs" / "doubts.md").write_text(
            slips_document(people, known, unknown), encoding="utf-8"
        )


def _doubts_row(table: Rows, rounds: int) -> None:
    values, _ = full_visit("Odile Marrick")
    body = case_from(Record(values), sex="female").body
    earlier = {
        name: Earlier(mm=body_value.mm, sd_mm=3, on="2026-01-01")
        for name, body_value in body.values.items()
    }
    spent = timed(lambda: doubts(Record(values), body, "cm", earlier), rounds)
    table.add_row(
        f"doubts about {len(body.values)} dimensions, with an earlier visit",
        spread(spent),
        "under 5 ms",
    )


def _exchange_row(table: Rows) -> None:
    """A practice's whole measurements out of each format and into it again."""
    typed = body_readings(DEMO_CLIENTS[0])
    texts = {path: f"{text} cm" for path, text in typed.items()}
    sheets = [
        MeasurementSheet(
            client_id=f"c{n}",
            name=f"Client {n}",
            sex="female",
            work="",
            visit_id=f"v{n}",
            on=date(2026, 1, 1),
            entries=texts,
        )
        for n in range(EXCHANGED)
    ]
    said: list[Figure | str] = []
    for format in FORMATS.values():
        start = time.perf_counter()
        raw = format.write(sheets)
        wrote = time.perf_counter()
        assert exchange_format(raw)[1].troubles == []
        said += [
            Figure(f"{format.id} out", wrote - start, "s"),
            Figure(f"{format.id} in", time.perf_counter() - wrote, "s"),
        ]
    table.add_row(
        f"measurements of {EXCHANGED} visits ({EXCHANGED * len(texts)} readings)",
        said,
        "FHIR under 2 s each way",
    )


def _pdf_row(table: Rows, rounds: int, content: dict[str, Any]) -> None:
    """Every round prints other words: the same ones twice come from the compiler's memory."""
    from gentle_plumb.documents.report_pdf import HERE, TypstPdfRenderer, paper_inputs
    from gentle_plumb.services.papers import RecordPaper

    numbers = itertools.count()
    press = TypstPdfRenderer()
    paper = RecordPaper.model_validate(content)

    def printed() -> bytes:
        return press.print(paper.model_copy(update={"note": f"round {next(numbers)}"}))

    ours = statistics.median(timed(printed, rounds))
    with tempfile.TemporaryDirectory() as folder:
        static = Path(folder) / "layout.typ"
        text = (HERE / "layout.typ").read_text(encoding="utf-8")
        library = (HERE / "paper.typ").read_text(encoding="utf-8")
        inputs = paper_inputs(paper)
        for name in inputs:
            text = text.replace(f"json(bytes(sys.inputs.{name}))", f'json("{name}.json")')
            library = library.replace(f"json(bytes(sys.inputs.{name}))", f'json("{name}.json")')
        static.write_text(text, encoding="utf-8")
        (Path(folder) / "paper.typ").write_text(library, encoding="utf-8")

        def plainly() -> None:
            again = paper.model_copy(update={"note": f"round {next(numbers)}"})
            for name, held in paper_inputs(again).items():
                (Path(folder) / f"{name}.json").write_text(held, encoding="utf-8")
            typst.Compiler(  # type: ignore[misc]  # its stub leaves it open
                str(static), font_paths=[HERE / "fonts"], ignore_system_fonts=True
            ).compile()

        plain = statistics.median(timed(plainly, rounds))
    table.add_row(
        "record as PDF/A-3 and PDF/UA with the drawing",
        [
            Figure("median", ours, digits=0),
            Figure("of the same pages as a static file", ours / plain, "times", 2),
        ],
        "under 150 ms, within 1.2 times",
    )


def run_bench(console: Console, *, quick: bool, record: bool = False, only: str = "") -> list[str]:
    """Measure everything, print each row at once, and name what could not be measured.

    Parameters
    ----------
    console : Console
    quick : bool
        Fewer rounds: for a look, not for a release.
    record : bool
        Keep the figures as the release's, for the next ones to be held against.
    only : str
        Measure what has this in its name alone.

    """
    from .kept_rows import backup_row
    from .list_rows import list_rows
    from .load import load_rows
    from .served import Served, served_rows

    rounds = 20 if quick else 100
    table = Rows(console, record)
    served = Served()
    work: list[tuple[str, Callable[[], object]]] = [
        ("fit with three plans", lambda: _fit_row(table, rounds)),
        ("fit with purchases", lambda: _purchases_row(table, 40 if quick else 200)),
        ("a working day, its calendar and figures", lambda: day_rows(table, rounds)),
        ("hard set against HiGHS", lambda: _solver_row(table, rounds)),
        ("cases with --many", lambda: _many_row(table, 200 if quick else 2000)),
        ("findings of a full visit", lambda: _findings_row(table, rounds)),
        ("doubts", lambda: _doubts_row(table, rounds)),
        ("what is said is true", lambda: truth_row(table, 100 if quick else 2000)),
        ("slips planted", lambda: _slips_row(table, PEOPLE // 20 if quick else PEOPLE)),
        ("measurements of 500 visits", lambda: _exchange_row(table)),
        ("the running program", lambda: served_rows(table, rounds, served)),
        ("lists of a large practice", lambda: list_rows(table, rounds)),
        ("backup of a large practice", lambda: backup_row(table, 500 if quick else 10_000)),
        ("record as PDF", lambda: _pdf_row(table, rounds, served.record())),
    ]
    if not quick:
        work.insert(-4, ("fifty at once", lambda: load_rows(table, LOAD_S)))
    for what, measure in (entry for entry in work if only.lower() in entry[0].lower()):
        with table.at_its_own_cost(what):
            measure()
    cpu = platform.processor() or platform.machine()
    used = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    console.print(
        f"{rounds} rounds; Python {sys.version.split()[0]}, {cpu}; the yardstick is the time to add up "
        f"{ADDED_UP:,} numbers when the row was printed, and times are held against the last release’s by it; the bench itself used {used:.0f} MB",
        markup=False,
    )
    return table.failed
