"""A visit worked out, in words and numbers ready to be shown."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from ..core.actions import set_steps
from ..core.body import DIMENSIONS
from ..core.catalogue import Tier
from ..core.drawing import Scene, SceneRequest
from ..core.findings import Finding, Strain
from ..core.fit import Case, FitResult, dimensions_needed, notes_in, standing_reason, working_order
from ..core.language import joined, msg, numeral
from ..core.movements import LIBRARY, place_movements
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
    action_views,
    cause_views,
    gaze_views,
    hard_limit_words,
    headline,
    laptop_views,
    move_views,
    offer_views,
    pair_view,
    plan_views,
    settle_view,
    zone_views,
)
from ..core.record import Record, fields
from ..core.units import LengthUnit, format_length
from ..core.visit import (
    Decider,
    Measuring,
    PhotoFile,
    RaisedRedFlag,
    StepProgress,
    WorkingDay,
    decider_of,
    display_offset,
    hours_at_desk,
    levers_of,
    places_of,
    progress,
    raised_red_flags,
    working_day,
)
from ..core.what_if import (
    SettingChange,
    VisitAnalysis,
    VisitInput,
    analyse_visit,
    at_place,
    moved_by_what_stands,
)
from ..core.words import say
from ..core.workstation import PlaceUse
from .measured import (
    Measured,
    RemeasureView,
    again_views,
    listed_of,
    measured_views,
    measuring_of,
    past_bodies,
    visit_doubts,
)
from .models import VisitSnapshot, view_of
from .photo_views import PhotoView, photo_view
from .precautions import PrecautionView, precaution_views


@dataclass(frozen=True, kw_only=True)
class PlaceView:
    """A place of the visit: what it is called, and how one works there."""

    id: str
    name: str
    use: PlaceUse
    use_label: str


@dataclass(frozen=True, kw_only=True)
class RestView:
    """A rule that holds, or can't be told yet with the reason: in one sentence."""

    id: str
    subject: str
    state: Literal["holds", "not assessable"]
    text: str


@dataclass(frozen=True, kw_only=True)
class VisitView:
    """What is shown of a visit that was worked out, at one of its places.

    ``order`` names rows by posture and quantity; ``headline`` says in one sentence what to change first and why. ``findings`` are those that are off, ``rest`` the others.
    ``over_found`` and ``over_set`` are the degrees by which joints lie outside their bands, as found and as aimed at;
    ``untold_found`` and ``untold_set`` the joints that can't be told.
    """

    revision: int
    place: str
    places: list[PlaceView]
    rows: list[RowView]
    order: list[str]
    bundle: Mapping[str, str]
    headline: str
    plan: Tier
    plans: list[PlanView]
    fixes: list[PurchaseView]
    offers: list[OfferView]
    moves: list[MoveView]
    pair: PairView | None
    zones: list[ZoneView]
    laptop: list[LaptopView]
    gazes: list[GazeView]
    steps: list[StepProgress]
    findings: list[Finding]
    rest: list[RestView]
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
    red_flags: list[RaisedRedFlag]
    precautions: list[PrecautionView]
    decider: Decider | None
    display: str | None
    measured: list[Measured]
    doubtful: list[str]
    again: list[RemeasureView]
    table_origin: str
    joints: list[JointView]
    notes: list[str]
    seated_possible: bool
    standing_possible: bool
    why_not_standing: str | None
    hours: float
    hours_doubt: str | None
    over_found: float | None
    over_set: float | None
    untold_found: Sequence[str]
    untold_set: Sequence[str]


@dataclass(frozen=True, kw_only=True)
class DrawnVisit(VisitView):
    """A visit worked out, with its drawing."""

    scene: Scene


@dataclass(frozen=True, kw_only=True)
class VisitResults(VisitView):
    """What is shown of a visit, and what it was made from."""

    record: Record
    case: Case
    result: FitResult
    analysis: VisitAnalysis
    discomfort: list[str]
    needed: tuple[str, ...]
    table_name: str
    day: WorkingDay | None

    @property
    def movement_times(self) -> dict[int, str]:
        """Which movement is done at which time of the whole day, minutes after midnight; none while any waits."""
        programme = self.analysis.programme()
        if self.day is None or programme.waits_for:
            return {}
        placed = place_movements(programme.chosen, self.day.spells)
        return {minute: LIBRARY[id].label for minute, id in placed}

    def drawn(self, request: SceneRequest) -> DrawnVisit:
        """What is shown, with a drawing."""
        return view_of(DrawnVisit, self, scene=self.analysis.scene(request))


MOST_APART_H = 0.5
"""Hours that the tasks may be off the hours said in all. House value."""


def _hours_doubt(asked: float, said: float | None) -> str | None:
    if asked > 24:
        return msg("{asked} hours a day in all: a day has 24.", asked=numeral(f"{asked:g}"))
    if said is not None and asked and abs(asked - said) > MOST_APART_H:
        return msg(
            "The tasks come to {asked} h, at the desk in all {said} h were said. Which is right?",
            asked=numeral(f"{asked:g}"),
            said=numeral(f"{said:g}"),
        )
    if asked > 14:
        return msg("{asked} hours a day: is that so?", asked=numeral(f"{asked:g}"))
    return None


def _why_not_standing(case: Case, result: FitResult, unit: LengthUnit) -> str | None:
    if result.standing.possible:
        return None
    return standing_reason(case, result, unit)


WORSE_BY_DEGREES = msg("the joints pay more degrees than they did")


def visit_input(opened: VisitSnapshot, measuring: Measuring) -> VisitInput:
    """What a visit is worked through from."""
    return VisitInput(
        values=opened.facts,
        today=opened.visit.started_on,
        as_of=max(opened.visit.started_on, opened.read_on or opened.visit.started_on),
        sex=opened.client.sex,
        practice=opened.visit.policies,
        measuring=measuring,
        photos=tuple(
            PhotoFile(
                id=str(photo.id), width=photo.width, height=photo.height, fov_deg=photo.fov_deg
            )
            for photo in opened.photos
        ),
        prices=opened.prices,
        reuse=opened.reuse,
    )


def work_up(
    opened: VisitSnapshot,
    unit: LengthUnit,
    *,
    body: bool = True,
    plans: bool = False,
    history: str | None = None,
    place: str = fields.places.MAIN,
) -> VisitResults:
    """Work a visit out.

    Parameters
    ----------
    opened : VisitSnapshot
        The visit, its client and values.
    unit : {"mm", "cm", "in"}
        For every number shown.
    body : bool
        Whether the body is shown dimension by dimension, with its doubts.
    plans : bool
        Whether all three plans are worked out beside the chosen one.
    history : str, optional
        The dimension whose earlier values are plotted.
    place : str
        Which of the visit's places; body and person are the same at each.

    """
    measuring = measuring_of(opened)
    analysis = analyse_visit(at_place(visit_input(opened, measuring), place), unit)
    record = analysis.visit_input.record
    case, result = analysis.case, analysis.result
    needed = dimensions_needed(analysis.bare)
    listed = listed_of(opened, needed)
    bodies = past_bodies(opened, measuring)
    asked_of = visit_doubts(opened, case.body, unit, bodies)
    hours = hours_at_desk(record)
    asked = sum(record[task] or 0.0 for task in fields.ask.hours.values())
    signed = opened.signed_revision == opened.visit.revision
    stands = (
        result.standing.possible and case.workstation.desk.kind == "sit_stand" and case.may_stand
    )
    offset = display_offset(record)
    said = record[fields.ask.day_hours]
    causes, actions = analysis.causes(), analysis.actions()
    to_set = set_steps(actions)
    rows = analysis.rows(unit)
    hard = hard_limit_words(analysis.assessment.hard_limits("aimed"), unit)
    offered = plan_views(analysis.plans(), unit, analysis.visit_input.money) if plans else ([], [])
    steps = [f"{row.posture}.{row.key}" for row in working_order(case, result)]
    posture = result.seated if result.seated.possible else result.standing
    return VisitResults(
        revision=opened.visit.revision,
        record=record,
        place=place,
        places=[
            PlaceView(id=place.id, name=place.name, use=place.use, use_label=place.use.label)
            for place in places_of(opened.record)
        ],
        case=case,
        result=result,
        analysis=analysis,
        order=steps,
        bundle=analysis.bundle,
        rows=rows,
        headline=headline(causes.causes, rows, steps),
        plan=analysis.plan,
        plans=offered[0],
        fixes=offered[1],
        offers=offer_views(analysis.offers(), unit, analysis.visit_input.money) if plans else [],
        moves=move_views(result.moves, unit),
        pair=pair_view(rows, result.moves),
        zones=zone_views(case),
        laptop=laptop_views(case, unit),
        gazes=gaze_views(case, result, unit),
        steps=list(progress(record, result, to_set, listed=listed, signed=signed).values()),
        findings=[finding for finding in analysis.findings if finding.state == "off"],
        rest=[
            RestView(
                id=finding.id,
                subject=finding.subject,
                state=finding.state,
                text=finding.reason or finding.cause,
            )
            for finding in analysis.findings
            if finding.state != "off"
        ],
        hard=hard,
        worse=say("worse", because=joined(" ", hard) or WORSE_BY_DEGREES)
        if analysis.assessment.worse
        else None,
        causes=cause_views(causes.causes),
        unexplained=list(causes.unexplained),
        actions=action_views(actions, causes.causes, unit, levers_of(record)),
        settle=settle_view(record, case, result, unit),
        follows=moved_by_what_stands(analysis, unit),
        set_order=[action.id for action in to_set],
        strain=analysis.strain(),
        photos=[photo_view(photo, unit) for photo in analysis.photos],
        red_flags=raised_red_flags(record),
        precautions=precaution_views(
            record, case, analysis.stands.seated, opened, analysis.visit_input.as_of
        ),
        discomfort=[discomfort.text for discomfort in analysis.facts.discomfort],
        decider=decider_of(case, result),
        display=msg(
            "The display reads {abs} too {what}.",
            abs=format_length(abs(offset), unit, with_unit=True),
            what=msg("low") if offset > 0 else msg("high"),
        )
        if offset
        else None,
        measured=measured_views(
            opened, case.body, listed, unit, measuring, bodies, asked_of, history
        )
        if body
        else [],
        doubtful=list(
            dict.fromkeys(DIMENSIONS[doubt.dimension].label for doubt in asked_of if not doubt.kept)
        ),
        again=again_views(case.body, result, measuring.errors, unit) if body else [],
        needed=needed,
        table_name=measuring.table.name,
        table_origin=measuring.table.origin,
        day=working_day(record, case, desk_stands=stands),
        joints=analysis.joints(),
        notes=list(notes_in(case, result, unit)),
        seated_possible=result.seated.possible,
        standing_possible=result.standing.possible,
        over_found=posture.over_found,
        over_set=posture.over_set,
        untold_found=posture.untold_found,
        untold_set=posture.untold_set,
        why_not_standing=_why_not_standing(case, result, unit),
        hours=hours,
        hours_doubt=_hours_doubt(asked, said),
    )
