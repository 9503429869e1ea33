"""The open format of a result: what ``plumb fit`` prints for a case."""

from __future__ import annotations

from typing import Any, Literal

from pydantic import BaseModel

from ..core.fit import FitResult, notes_in, working_order
from ..core.plans import Offer, Plan, SinglePurchase, offers_of
from ..core.workstation import PlaceUse
from .case_format import CaseDocument, PlaceDocument


class PlaceResult(BaseModel):
    """One place worked out: the chosen plan's fit, every plan, purchases, and what can be ticked."""

    use: PlaceUse = PlaceUse.BOTH
    plan: str = "room"
    result: FitResult
    notes: list[str]
    order: list[str]
    plans: list[Plan]
    fixes: list[SinglePurchase]
    offers: list[Offer]


class FurtherResult(PlaceResult):
    """A further place, by its name."""

    name: str = ""


class ResultDocument(PlaceResult):
    """What ``plumb fit`` prints; notes with lengths in mm, rows in their working order."""

    format: Literal["gentle-plumb-fit-3"] = "gentle-plumb-fit-3"
    title: str = ""
    places: list[FurtherResult] = []


def result_document(case: CaseDocument) -> ResultDocument:
    """The result of a case."""
    return ResultDocument(
        title=case.title,
        places=[FurtherResult(name=place.name, **_result_at(case, place)) for place in case.places],
        **_result_at(case, case),
    )


def _result_at(case: CaseDocument, place: PlaceDocument) -> dict[str, Any]:
    case_worked = case.work(place)
    return {
        "use": place.use,
        "plan": place.plan,
        "result": case_worked.result,
        "notes": list(notes_in(case_worked.case, case_worked.result, "mm")),
        "order": [
            f"{row.posture}.{row.key}"
            for row in working_order(case_worked.case, case_worked.result)
        ],
        "plans": list(case_worked.plan_set.plans),
        "fixes": list(case_worked.plan_set.fixes),
        "offers": list(offers_of(case.case(place), own=place.own())),
    }


def result_schema() -> dict[str, Any]:
    """JSON Schema of a result."""
    return ResultDocument.model_json_schema(mode="serialization")
