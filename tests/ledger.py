"""What is worked out and decided for some fixed visits, line by line: what changes in it has to be meant.

Numbers, decisions and sources stand as they are; of a sentence only its numbers, so that words can be mended
freely. After a change that is meant, update it and read the difference: python tests/ledger.py
"""

from __future__ import annotations

import re
import sys
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import fields, is_dataclass, replace
from datetime import date
from pathlib import Path
from random import Random
from typing import Any
from zlib import crc32

HERE = Path(__file__).parent
sys.path[:0] = [str(HERE), str(HERE.parent / "src")]

from generated_visits import visit_values  # noqa: E402
from gentle_plumb.core.errors import MissingInput  # noqa: E402
from gentle_plumb.core.fit import (  # noqa: E402
    FitRow,
    fit,
    laptop_turns,
    notes_in,
    suggest_remeasurement,
    working_order,
    zones_of,
)
from gentle_plumb.core.plans import best_stack  # noqa: E402
from gentle_plumb.core.units import NO_BREAK  # noqa: E402
from gentle_plumb.core.what_if import VisitAnalysis, VisitInput, analyse_visit  # noqa: E402
from gentle_plumb.core.workstation import Settings  # noqa: E402
from plumb_demo.load import full_visit  # noqa: E402
from reference_cases import REFERENCES  # noqa: E402

LEDGER = HERE / "reference" / "ledger.txt"
GENERATED = range(20_261, 20_269)
BRIEF = range(20_301, 20_361)
"""Visits that lack some values, each told in one line."""
FULL = ("Odile Marrick", "Wilma Trask", "Ivo Kestrel", "Yara Fenwick", "Bram Tolliver")
DAY = date(2026, 11, 25)
SENTENCE = "…"
NOTHING: tuple[object, ...] = (None, "", (), False)
LEFT_OUT = {
    # what is told elsewhere on the line, or by words alone
    *("case", "additions", "apply", "photo", "unit", "label"),
    *("key", "posture", "id", "state"),
}


def visits() -> dict[str, VisitInput]:
    """The visits by name: those drawn by chance, those of practitioners, and what happened in one."""
    drawn = {f"drawn {seed}": visit_values(seed) for seed in GENERATED}
    known = {
        f"case {reference.id}": {
            path: value for path, value in reference.values.items() if value is not None
        }
        for reference in REFERENCES
    }
    full = {f"full {name}": full_visit(name)[0] for name in FULL}
    return {
        name: VisitInput(values=values, today=DAY, sex="female")
        for name, values in (drawn | known | full).items()
    }


def plain(value: object) -> str:
    """A value in few signs: numbers to two decimals, and of a record what it holds."""
    if isinstance(value, float):
        return (
            f"{value:.2f}".rstrip("0").rstrip(".").replace("-0", "0" if value > -0.005 else "-0", 1)
        )
    if isinstance(value, Mapping):
        return " ".join(f"{key}={plain(one)}" for key, one in value.items())
    if isinstance(value, tuple | list | set | frozenset):
        parts = [plain(one) for one in value]
        return f"[{'; '.join(sorted(parts) if isinstance(value, set | frozenset) else parts)}]"
    if is_dataclass(value):
        return f"({of(value)})"
    text = str(value)
    if " " not in text and NO_BREAK not in text:
        return text
    return f"{SENTENCE}{','.join(re.findall(r'[0-9]+(?:[.][0-9]+)?', text))}"


def of(record: Any) -> str:
    """The fields of a record that say something."""
    told = {
        field.name: getattr(record, field.name)
        for field in fields(record)
        if field.name not in LEFT_OUT
    }
    return " ".join(f"{name}={plain(one)}" for name, one in told.items() if one not in NOTHING)


def fitted(visit: VisitAnalysis) -> Iterator[str]:
    for posture in (visit.result.seated, visit.result.standing):
        possible = "possible" if posture.possible else plain(posture.why_not)
        left = f"found {plain(posture.over_found)} set {plain(posture.over_set)}"
        yield f"{posture.posture}: {possible}; over {left}; unknown {plain([posture.untold_found, posture.untold_set])}"
        yield from (f"{posture.posture} {row.key}: {of(row)}" for row in posture.rows)
        yield from (f"{posture.posture} joint {one.joint}: {of(one)}" for one in posture.joints_set)
    yield f"order: {plain([f'{row.posture} {row.key}' for row in working_order(visit.case, visit.result)])}"
    yield from (f"note: {plain(words)}" for words in notes_in(visit.case, visit.result, "cm"))
    yield from (f"move: {of(move)}" for move in visit.result.moves)
    yield from (f"again: {of(one)}" for one in suggest_remeasurement(visit.case.body, visit.result))
    yield from (f"zone: {plain(one)}" for one in zones_of(visit.case))
    yield from (f"turn: {plain(one)}" for one in laptop_turns(visit.case))


def short(rows: Sequence[FitRow]) -> str:
    """What rows are set to, and a check of all else that they say."""
    whole = crc32(" ".join(of(row) for row in rows).encode())
    return f"{' '.join(f'{row.key}={plain(row.setting)}' for row in rows)}; all of it {whole:08x}"


def overruled(visit: VisitAnalysis) -> Iterator[str]:
    """What follows from the practitioner's own numbers, and from a policy that differs."""
    own = Settings(seat=455.0, surface=742.0)
    try:
        overrule = fit(visit.case, overrule_seated=own, overrule_standing=Settings(surface=1010.0))
        yield f"own: {short((*overrule.seated.rows, *overrule.standing.rows))}"
        free = replace(visit.case, policy=replace(visit.case.policy, armrest_use="off"))
        yield f"no armrests: {short(fit(free).seated.rows)}"
    except MissingInput as missing:
        yield f"missing {missing.what}: {plain(str(missing))}"


def judged(visit: VisitAnalysis) -> Iterator[str]:
    for finding in visit.findings:
        if finding.state == "off":
            yield f"off {finding.posture} {finding.id}: {of(finding)}"
    for state in ("holds", "not assessable"):
        rest = " ".join(
            f"{finding.posture} {finding.id} {of(finding)}"
            for finding in visit.findings
            if finding.state == state
        )
        yield f"{state}: {len(rest.split())} parts, {crc32(rest.encode()):08x}"
    yield f"causes: {plain(visit.causes())}"
    yield f"strain: {plain(visit.strain())}"


def planned(visit: VisitAnalysis) -> Iterator[str]:
    made = visit.plans()
    for plan in made.plans:
        yield f"plan {plan.id} adds {plain([added.id for added in plan.added])}: {of(plan)}"
    yield from (f"purchase {fix.id}: {of(fix)}" for fix in made.fixes)
    yield from (f"offer {offer.key}: {of(offer)}" for offer in visit.offers())
    for lift in (35.0, 120.0):
        yield f"stack {lift:g}: {plain(best_stack(visit.case.workstation.items, lift, 'screen'))}"


def incomplete(seed: int) -> VisitInput:
    """A visit drawn by chance, without some of what was entered."""
    draw, values = Random(seed), visit_values(seed)
    for path in draw.sample(sorted(values), draw.choice((0, 2, 5, 12, 30))):
        del values[path]
    return VisitInput(values=values, today=DAY, sex=draw.choice(("female", "male", None)))


PARTS = {"fit": fitted, "own": overruled, "findings": judged, "plans": planned}


def in_brief(seed: int) -> str:
    """A check of each part of a visit; the parts themselves: python tests/ledger.py 20301."""
    visit = analyse_visit(incomplete(seed), "cm")
    checks = {name: crc32("\n".join(part(visit)).encode()) for name, part in PARTS.items()}
    return f"# brief {seed}: {' '.join(f'{name} {check:08x}' for name, check in checks.items())}"


def in_full(name: str, given: VisitInput) -> list[str]:
    """A visit with all its parts, line by line."""
    visit = analyse_visit(given, "cm")
    return [f"# {name}", *(line for part in PARTS.values() for line in part(visit)), ""]


def ledger() -> str:
    """The whole of it."""
    whole = [line for name, given in visits().items() for line in in_full(name, given)]
    return "\n".join([*whole, *(in_brief(seed) for seed in BRIEF), ""])


if __name__ == "__main__":
    for seed in map(int, sys.argv[1:]):
        print("\n".join(in_full(f"drawn {seed}", incomplete(seed))))
    if not sys.argv[1:]:
        LEDGER.write_text(ledger(), encoding="utf-8")
