"""What is said beside the rows: what was assumed, what can't be checked, why no standing."""

from __future__ import annotations

from collections.abc import Sequence
from math import floor, hypot

from ..errors import MissingInput
from ..language import msg
from ..tolerances import SAME_MM
from ..units import MM_PER, LengthUnit, format_length
from ..words import say
from ..workstation import ARMREST_FRONT_MM, ArmrestKind, ScreenKind
from .case import Case
from .distance import along_the_floor, size_gives_way
from .pair import Pair
from .piece_ranges import armrest_need
from .result import RANGE_ENDS, FitResult, FitRow
from .wording import limit_text


def standing_reason(case: Case, result: FitResult, unit: LengthUnit) -> str | None:
    """Why nobody stands here, lengths in a unit; None where somebody does."""
    if result.standing.possible or not case.may_stand:
        return result.standing.why_not
    return why_not_at_this_desk(case.standing(), result.standing.rows, unit)


def why_not_at_this_desk(case: Case, rows: Sequence[FitRow], unit: LengthUnit) -> str | None:
    """What keeps this desk from being worked at standing: only what really does."""
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        return msg(
            "Not suitable for standing with the laptop alone: the screen is attached to the keyboard. It is with the laptop raised and a separate keyboard and mouse."
        )
    for key in ("surface", "screen_top"):
        row = next(row for row in rows if row.key == key)
        binding = next((limit for limit in row.limits if limit.kind in RANGE_ENDS), None)
        outside = row.setting is not None and (
            (row.low is not None and row.setting < row.low - SAME_MM)
            or (row.high is not None and row.setting > row.high + SAME_MM)
        )
        if binding is not None and outside:
            return msg(
                "Not suitable for standing at this desk: {limit_text}.",
                limit_text=limit_text(binding, unit),
            )
    return None


def belly_short(case: Case) -> float:
    """How far the keyboard hangs over the desk's edge because of the belly, mm; 0 where unknown."""
    try:
        return along_the_floor(
            case.body, case, elbow_deg=case.policy.elbow_angle, distance=0.0
        ).belly_short
    except MissingInput:
        return 0.0


def armrest_clash(case: Case, seat: float | None, surface: float | None) -> float:
    """How far armrests that move stand into the desk even at their lowest, mm; 0 where unknown.

    Those that can't be moved are a hard limit of the search.
    """
    chair, under = case.workstation.chair, case.workstation.desk.underside_at(surface)
    idle = case.seat_stays or case.policy.armrest_use == "off" or chair.armrests_idle
    if (
        idle
        or chair.armrests != ArmrestKind.ADJUSTABLE
        or chair.armrest is None
        or chair.armrest.fixed
    ):
        return 0.0
    return 0.0 if under is None or seat is None else max(0.0, seat + chair.armrest.low - under)


def kept_from_desk(case: Case, seat: float | None, surface: float | None) -> float:
    """How far armrests that meet the desk keep the chair from where the hands want it, mm."""
    if not armrest_clash(case, seat, surface):
        return 0.0
    try:
        place = along_the_floor(case.body, case, elbow_deg=case.policy.elbow_angle, distance=0.0)
    except MissingInput:
        return 0.0
    return max(0.0, ARMREST_FRONT_MM - place.edge)


def notes_in(case: Case, result: FitResult, unit: LengthUnit) -> tuple[str, ...]:
    """All notes of a result, those with lengths in a unit."""
    notes, depth = [*result.notes], case.workstation.desk.depth
    short = belly_short(case) if case.sits else 0.0
    if short > SAME_MM:
        notes.append(
            msg(
                "The abdomen keeps the desk away: the keyboard would overhang its edge by {short}. Lean back further, bring the upper arms forward, or use a keyboard tray that reaches the body.",
                short=format_length(short, unit, with_unit=True),
            )
        )
    keyboard = case.workstation.keyboard
    if keyboard.assumed and keyboard.thickness is not None:
        at = format_length(keyboard.thickness, unit, with_unit=True)
        notes.append(say("laptop.keys_assumed", at=at))
    blurred = size_gives_way(case)
    if blurred > SAME_MM:
        notes.append(_glasses_decide(case, blurred, unit))
    notes += [
        say(
            "item.assumed", label=item.label, at=format_length(item.thickness, unit, with_unit=True)
        )
        for item in case.workstation.items
        if item.assumed
    ]
    away = (
        0.0
        if not case.sits
        else kept_from_desk(case, result.seated.setting("seat"), result.seated.setting("surface"))
    )
    if away > SAME_MM:
        at = format_length(away, unit, with_unit=True)
        notes.append(say("armrest.away", at=at))
    least, far = case.policy.least_distance, result.row("seated", "distance")
    shallow = any(limit.kind == "shallow" for limit in far.limits)
    if depth is not None and shallow and far.setting is not None and far.setting <= least + SAME_MM:
        notes.append(
            msg(
                "The desk is too shallow even for the nearest screen position, {least} from the eye: use a screen arm, a keyboard tray or a deeper desk.",
                least=format_length(least, unit, with_unit=True),
            )
        )
    return tuple(notes)


def _glasses_decide(case: Case, by: float, unit: LengthUnit) -> str:
    """Return that the picture's size gives way to the glasses, by how much, and the ways out."""
    far, screen = case.sharp[1], case.workstation.screen
    assert far is not None
    fits = far / (far + by)
    diagonal = hypot(screen.width or 0.0, screen.height or 0.0) * fits / MM_PER["in"]
    return say(
        "distance.glasses_decide",
        far=format_length(far, unit, with_unit=True),
        asked=format_length(far + by, unit, with_unit=True),
        by=format_length(by, unit, with_unit=True),
        diagonal=f"{floor(diagonal)}",
    )


MOST_SIDE_PERCENT = 60.0
"""A screen beside the main one that is looked at more should be the main one, per cent of the time.
Source: house-bearing."""


def notes_of(case: Case, pair: Pair) -> tuple[str, ...]:
    """What could not be judged, and what no setting can do, in words."""
    notes: list[str] = []
    station, real = case.workstation, pair.seated if case.sits else None
    if case.sits and station.desk.thickness is None and station.desk.underside is None:
        notes.append(msg("Thigh clearance not checked: desk thickness not recorded."))
    if case.sits and station.chair.seat is None:
        notes.append(msg("Chair height range not recorded: assumed fully adjustable."))
    if station.desk.surface is None:
        notes.append(msg("Desk height range not recorded: assumed fully adjustable."))
    if station.screen.kind != ScreenKind.LAPTOP and station.screen.top_above_surface is None:
        notes.append(msg("Screen height range not recorded: assumed fully adjustable."))
    slope = station.chair.slope
    if not case.seat_stays and slope is not None and slope.high < case.thigh_slope - 1:
        notes.append(say("seat_slope.flat"))
    if case.sits and "abdominal_depth_sitting" not in case.body.values:
        notes.append(msg("Space at the desk edge not checked: abdominal depth not measured."))
    notes += [
        say("screen.more_than_main", number=str(number))
        for number, side_screen in enumerate(case.details.side_screens, start=2)
        if side_screen.share is not None and side_screen.share > MOST_SIDE_PERCENT
    ]
    if real is not None and station.feet is None and not case.seat_stays:
        notes.append(msg("Footrest not recorded: worked out without one."))
    if station.feet_assumed and not case.seat_stays:
        notes.append(say("footrest.assumed"))
    if real is not None and real.thigh_pressed_mm:
        armrests = armrest_need(station)
        thighs = (
            case.body.mm("thigh_clearance") + case.policy.thigh_room
            if case.body.has("thigh_clearance")
            else 0.0
        )
        notes.append(
            msg(
                "No setting leaves room for the thighs under this desk: raise the desk, or use a thinner desktop or a lower chair."
            )
            if armrests is None or thighs >= armrests
            else msg(
                "At every setting the armrests hit the desk: use lower ones, or raise the desk."
            )
        )
    if real is not None and real.foot_gap_mm:
        notes.append(
            msg("No setting supports the feet: a footrest, a box or a lower chair is needed first.")
        )
    notes += [
        msg("{label}: thickness not recorded, so it is not used in any stack.", label=label)
        for label in station.unmeasured
    ]
    return tuple(notes)
