"""A result as CSV and as SVG, and many cases one after the other."""

from __future__ import annotations

import csv
import io
import json
import os
import signal
from collections.abc import Iterable, Iterator
from concurrent.futures import Future, ProcessPoolExecutor
from contextlib import contextmanager
from dataclasses import dataclass
from itertools import islice
from multiprocessing import get_context
from typing import Any

from pydantic import ValidationError

from ..core.drawing import SceneRequest, draw_scene
from ..core.errors import FieldError
from ..core.fit import FitResult, limit_text, settings_of
from ..core.language import filled, joined, msg
from ..core.what_if import to_jsonable
from ..core.words import invalid_at
from .case_format import CaseDocument, CaseWorked, PlaceDocument
from .scene_svg import scene_svg

COLUMNS = (
    "posture",
    "key",
    "label",
    "unit",
    "target",
    "low",
    "high",
    "sd",
    "setting",
    "found",
    "change",
    "status",
    "limits",
    "reason",
)
CHUNK = 32
"""Cases handed to a process at a time; twice as many chunks as processes are under way."""


def result_csv(result: FitResult) -> str:
    """Every row of both postures, lengths in mm."""
    out = io.StringIO()
    lines = csv.writer(out, lineterminator="\n")
    lines.writerow(COLUMNS)
    for posture in (result.seated, result.standing):
        for row in posture.rows if posture.possible else ():
            cells = [getattr(row, name) for name in COLUMNS[:-2]]
            shown = [f"{cell:.2f}" if isinstance(cell, float) else cell for cell in cells]
            lines.writerow(
                [*shown, joined("; ", (limit_text(limit) for limit in row.limits)), row.reason]
            )
    return out.getvalue()


def result_svg(case_worked: CaseWorked, *, width: float = 1200.0, height: float = 800.0) -> str:
    """The elevation as aimed at."""
    scene = draw_scene(
        case_worked.case, case_worked.result, SceneRequest(width=width, height=height, unit="mm")
    )
    plain: dict[str, Any] = to_jsonable(scene)
    return scene_svg(plain)


@dataclass(frozen=True, kw_only=True)
class Line:
    """What became of one line: its result in JSON, or what is wrong with it."""

    number: int
    result: str | None
    trouble: str | None


def read_case(text: str) -> CaseDocument:
    """A case from a file's text: with or without a byte order mark, no name said twice.

    Raises ValidationError, or ValueError with one sentence.
    """
    raw = json.loads(text.removeprefix("\ufeff"), object_pairs_hook=_once)
    return CaseDocument.model_validate(raw)


def _once(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    result: dict[str, Any] = {}
    for name, value in pairs:
        if name in result:
            raise ValueError(msg("“{name}” is said twice in one place", name=name))
        result[name] = value
    return result


def trouble_of(error: Exception) -> list[str]:
    """What keeps a text from being a case, one sentence each."""
    if isinstance(error, ValidationError):
        return problems_of(error)
    if isinstance(error, json.JSONDecodeError):
        line = msg("line {lineno}, ", lineno=error.lineno) if "\n" in error.doc.strip() else ""
        return [
            msg(
                "{line}sign {colno}: not JSON: {msg}",
                line=line,
                colno=error.colno,
                msg=error.msg.lower(),
            )
        ]
    if isinstance(error, FieldError):
        return [error.message]
    if isinstance(error, RecursionError):
        return [msg("nested too deep to be a case")]
    return [str(error)]


def problems_of(error: ValidationError) -> list[str]:
    """What is wrong with a case, one sentence a field."""
    generator = (invalid_at(error_["loc"], error_, whole="case") for error_ in error.errors())
    return [filled("{path}: {words}", path=path, words=words) for path, words in generator]


def brief(document: CaseDocument, number: int) -> dict[str, Any]:
    """The result of one of many: how everything is set in each plan, what is added, what is left."""
    result = {"line": number, "title": document.title, **_brief_at(document, document)}
    if document.places:
        result["places"] = [
            {"name": place.name, **_brief_at(document, place)} for place in document.places
        ]
    return result


def _brief_at(document: CaseDocument, place: PlaceDocument) -> dict[str, Any]:
    case_worked = document.work(place, brief=True)
    taken = case_worked.result
    return {
        "plan": place.plan,
        "seated": to_jsonable(settings_of(taken.seated)) if taken.seated.possible else None,
        "standing": to_jsonable(settings_of(taken.standing)) if taken.standing.possible else None,
        "limits": [
            f"{row.posture}.{row.key}: {limit_text(limit)}"
            for posture in (taken.seated, taken.standing)
            for row in posture.rows
            for limit in row.limits
            if posture.possible
        ],
        "plans": [
            {
                "id": plan.id,
                "added": [added.label for added in plan.added],
                "excess_deg": round(plan.excess_deg, 3),
                "minutes": plan.minutes,
            }
            for plan in case_worked.plan_set.plans
        ],
    }


def _work(numbered: list[tuple[int, str]]) -> list[Line]:
    results = []
    for number, text in numbered:
        try:
            document = read_case(text)
            result = json.dumps(brief(document, number), ensure_ascii=False)
            results.append(Line(number=number, result=result, trouble=None))
        except (ValueError, FieldError, RecursionError) as error:
            said = joined("; ", trouble_of(error)[:3])
            results.append(Line(number=number, result=None, trouble=said))
        except Exception as error:  # one bad case must not stop a hundred thousand
            said = filled("{name}: {error}", name=type(error).__name__, error=error)
            results.append(Line(number=number, result=None, trouble=said))
    return results


def _chunks(lines: Iterable[str]) -> Iterator[list[tuple[int, str]]]:
    numbered = ((number, text) for number, text in enumerate(lines, start=1) if text.strip())
    while chunk := list(islice(numbered, CHUNK)):
        yield chunk


@contextmanager
def left_to_the_parent() -> Iterator[None]:
    """Start processes that ignore an interrupt: the parent alone handles it, and ends them."""
    before = signal.pthread_sigmask(signal.SIG_BLOCK, {signal.SIGINT})
    try:
        yield
    finally:
        signal.pthread_sigmask(signal.SIG_SETMASK, before)


def fit_many(lines: Iterable[str], *, processes: int | None = None) -> Iterator[Line]:
    """Work many cases out, in the order they come, on every core; never more than a few in memory.

    Parameters
    ----------
    lines : iterable of str
        One case in JSON a line; empty lines are passed over.
    processes : int, optional
        As many as there are cores; 1 works in this process.

    Yields
    ------
    Line
        One for each case, wrong ones with their trouble.

    """
    many = processes or os.cpu_count() or 1
    if many == 1:
        for chunk in _chunks(lines):
            yield from _work(chunk)
        return
    with ProcessPoolExecutor(many, mp_context=get_context("spawn")) as pool:
        waiting: list[Future[list[Line]]] = []
        for chunk in _chunks(lines):
            with left_to_the_parent():
                waiting.append(pool.submit(_work, chunk))
            if len(waiting) > 2 * many:
                yield from waiting.pop(0).result()
        for future in waiting:
            yield from future.result()
