"""A visit: entries, changes and the whole of it worked through."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..core.drawing import Scene
from ..core.findings import Finding, Strain
from ..core.presentation import (
    ActionView,
    CauseView,
    GazeView,
    JointView,
    LaptopView,
    MoveView,
    OfferView,
    PairView,
    PlanView,
    PurchaseView,
    RowView,
    SettleView,
    ZoneView,
)
from ..core.units import LengthUnit
from ..core.visit import Decider, RaisedRedFlag, StepProgress
from ..core.what_if import SettingChange
from ..services.measured import Measured, RemeasureView
from ..services.models import Entry, OpenVisit
from ..services.photo_views import PhotoView
from ..services.precautions import PrecautionView
from ..services.workup import PlaceView, Workup
from .client import ClientOut, PhotoOut, ReportOut
from .common import RequestModel


class VisitOut(BaseModel):
    """A visit with its entries."""

    id: UUID
    client: ClientOut
    started_on: date
    revision: int
    discarded: bool
    consents: list[Entry]
    entries: dict[str, Entry]
    reports: list[ReportOut]
    photos: list[PhotoOut]

    @classmethod
    def of(cls, opened: OpenVisit) -> VisitOut:
        """From the record."""
        return cls(
            id=opened.visit.id,
            client=ClientOut.of(opened.client),
            started_on=opened.visit.started_on,
            revision=opened.visit.revision,
            discarded=opened.visit.discarded_at is not None,
            consents=opened.consents,
            entries={entry.path: entry for entry in opened.entries},
            reports=[ReportOut.of(report, opened.visit.revision) for report in opened.reports],
            photos=[PhotoOut.of(photo) for photo in opened.photos],
        )


class ChangeIn(RequestModel):
    """One change: what was typed into which field, upon which version of it."""

    path: Annotated[str, StringConstraints(max_length=200)]
    typed: Annotated[str, StringConstraints(max_length=8000)]
    expected_version: Annotated[int, Field(ge=0, le=2_000_000_000)]
    unit: LengthUnit = "cm"


class RestOut(BaseModel):
    """A rule that holds, or can't be told yet with the reason: in one sentence."""

    id: str
    subject: str
    state: Literal["holds", "not assessable"]
    text: str


class VisitWorkup(BaseModel):
    """A visit worked out, with its drawing."""

    revision: int
    rows: list[RowView]
    plan: str
    place: str
    places: list[PlaceView]
    seated_possible: bool
    plans: list[PlanView]
    fixes: list[PurchaseView]
    offers: list[OfferView]
    moves: list[MoveView]
    pair: PairView | None
    zones: list[ZoneView]
    laptop: list[LaptopView]
    gazes: list[GazeView]
    bundle: dict[str, str]
    order: list[str]
    steps: list[StepProgress]
    findings: list[Finding]
    rest: list[RestOut]
    hard: list[str]
    worse: str | None
    causes: list[CauseView]
    unexplained: list[str]
    actions: list[ActionView]
    set_order: list[str]
    settle: SettleView
    follows: list[SettingChange]
    strain: list[Strain]
    photos: list[PhotoView]
    signs: list[RaisedRedFlag]
    cares: list[PrecautionView]
    display: str | None
    measured: list[Measured]
    doubtful: list[str]
    again: list[RemeasureView]
    table_origin: str
    joints: list[JointView]
    notes: list[str]
    standing_possible: bool
    why_not_standing: str | None
    hours: float
    hours_doubt: str | None
    over_found: float | None
    over_set: float | None
    untold_found: list[str]
    untold_set: list[str]
    decider: Decider | None
    scene: Scene

    @classmethod
    def of(cls, workup: Workup, scene: Scene, revision: int) -> VisitWorkup:
        """From the workup."""
        result = workup.result
        worked = result.seated if result.seated.possible else result.standing
        return cls(
            revision=revision,
            rows=workup.rows,
            plan=workup.plan,
            place=workup.place,
            places=workup.places,
            seated_possible=workup.result.seated.possible,
            plans=workup.plans,
            fixes=workup.fixes,
            offers=workup.offers,
            moves=workup.moves,
            pair=workup.pair,
            zones=workup.zones,
            laptop=workup.laptop,
            gazes=workup.gazes,
            bundle=dict(workup.through.bundle),
            order=[f"{row.posture}.{row.key}" for row in workup.order],
            steps=workup.steps,
            findings=[found for found in workup.findings if found.state == "off"],
            rest=[
                RestOut(
                    id=found.id,
                    subject=found.subject,
                    state=found.state,
                    text=found.reason or found.cause,
                )
                for found in workup.findings
                if found.state != "off"
            ],
            hard=workup.hard,
            worse=workup.worse,
            causes=workup.causes,
            unexplained=workup.unexplained,
            actions=workup.actions,
            set_order=workup.set_order,
            settle=workup.settle,
            follows=workup.follows,
            strain=workup.strain,
            photos=workup.photos,
            signs=workup.signs,
            cares=workup.cares,
            display=workup.display,
            measured=workup.measured,
            doubtful=workup.doubtful,
            again=workup.again,
            table_origin=workup.table[1],
            joints=workup.joints,
            notes=workup.notes,
            standing_possible=result.standing.possible,
            why_not_standing=workup.why_not_standing,
            hours=workup.hours,
            hours_doubt=workup.hours_doubt,
            over_found=worked.over_found,
            over_set=worked.over_set,
            untold_found=list(worked.untold_found),
            untold_set=list(worked.untold_set),
            decider=workup.decider,
            scene=scene,
        )


class ChangeOut(BaseModel):
    """The entry as it is now; the visit worked out anew where that was asked for."""

    entry: Entry
    revision: int
    worked: VisitWorkup | None = None
