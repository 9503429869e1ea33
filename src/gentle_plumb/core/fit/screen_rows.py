"""Screen height, distance, tilt, and the depth of desk they need."""

from __future__ import annotations

from collections.abc import Sequence

from ..body import Body
from ..errors import MissingInput
from ..language import capitalised, msg
from ..posture import gaze_deg
from ..tolerances import SAME_MM
from ..workstation import HOME_ROW_TO_FRONT_MM, ScreenKind, Span
from .case import Case
from .distance import (
    along_the_floor,
    distance_band,
    distance_terms,
    laptop_distance,
    reachable_distance,
)
from .frame import eye_terms, standing_eye_terms
from .joints import Joint
from .piece_ranges import reach_of
from .result import FitRow, Limit, Posture
from .rows import about, binding, end_limit, kept, limit, set_row, target_row
from .screen_rules import RULE_LABELS, lens_drop, rule_band, top_band
from .search_model import USUAL_DISTANCE_MM
from .terms import Term, total

TILT_BAND_DEG = 5.0
"""What practitioners leave by eye, either way, degrees of tilt. Source: house-screen."""


def eye_height_terms(
    body: Body, case: Case, posture: Posture, seat: float | None
) -> tuple[Term, ...]:
    """Eye over the floor, by its terms."""
    if posture == "standing":
        return standing_eye_terms(body, case)
    if seat is None:
        raise MissingInput("seat", msg("The seat height is not known yet."))
    return (Term(label=msg("seat"), value=seat), *eye_terms(body, case))


def top_row(
    case: Case,
    posture: Posture,
    seat: float | None,
    surface: float | None,
    setting: float | None,
    distance: float | None,
    neck: Joint | None,
) -> FitRow:
    """Top edge of the picture, by the screen rule and the lenses."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    lens = case.lower_lens if case.policy.lens_answer == "lower" else "none"
    rule = RULE_LABELS[case.policy.screen_rule]
    subject = about(
        "screen_top",
        posture,
        source="house-screen" if lens == "none" else "house-lens",
        why=msg("{rule}; the eyes alone reach the bottom.", rule=capitalised(rule))
        if lens == "none"
        else msg(
            "Read through the lower part of {lens} lenses: lower, so that the chin stays level.",
            lens=lens,
        ),
    )
    height = case.workstation.screen.picture_height

    def far() -> float:
        plain = case.policy.screen_rule in ("top_edge", "top_third", "middle_third")
        if distance is None and not (plain and lens == "none"):
            raise MissingInput("distance", msg("The eye distance is not known yet."))
        return distance if distance is not None else USUAL_DISTANCE_MM

    def terms(body: Body) -> Sequence[Term]:
        ruled = rule_band(case.policy, height=height, distance=far()).target
        drop = top_band(case, far()).target - ruled if lens_drop(case, far()) else 0.0
        return (
            *eye_height_terms(body, case, posture, seat),
            Term(label=msg("screen rule"), value=ruled),
            Term(label=msg("lower lens"), value=drop),
        )

    def ends(target: float) -> tuple[float, float]:
        band = top_band(case, far())
        return target + band.low - band.target, target + band.high - band.target

    row = target_row(case, subject, terms, ends, found=settings.screen_top)
    if row.target is None or setting is None:
        return set_row(row, setting)
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        joined = abs(row.target - setting) > SAME_MM
        limits = (
            [limit(row.key, "laptop", "joined", setting, row.target - setting)] if joined else []
        )
        return set_row(row, setting, limits, neck)
    lift, tops = reach_of(case.workstation, posture)
    band = top_band(case, far())
    limits = end_limit(row.key, "screen", tops, row.target)
    if lift is not None and surface is not None:
        limits += end_limit(row.key, "screen", lift, row.target, offset=surface)
    aim = row.target + band.aim - band.target
    reach = tops if tops is not None else lift
    next_place = (
        (reach.step or 0.0) / 2 if reach is not None else 0.0
    )  # nearer than this, none is nearer
    limits = [
        bound
        for bound in limits
        if (aim - bound.at) * bound.short > 0 and abs(aim - bound.at) >= next_place
    ]
    binds = binding(row, setting, limits, "screen")
    if row.low is not None and row.high is not None and row.low <= setting <= row.high:
        binds = [_put_inside(bind) for bind in binds]
    return set_row(row, setting, binds, neck)


def _put_inside(outside: Limit) -> Limit:
    """Return why a picture in its band is not on its target: it is kept off the band's end."""
    return (
        limit(outside.key, outside.piece, "inside", outside.at, outside.short)
        if outside.kind == "choice"
        else outside
    )


def distance_row(case: Case, posture: Posture, elbow_deg: float) -> FitRow:
    """Eye to picture, and what a shallow desk or a laptop makes of it."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    subject = about(
        "distance",
        posture,
        source="house-screen",
        why=msg("Arm’s length, adjusted after the settle-in test."),
    )
    row = target_row(
        case,
        subject,
        lambda body: distance_terms(body, case),
        lambda target: distance_band(case, target),
        found=settings.distance,
    )
    if row.target is None:
        return row
    try:
        if case.workstation.screen.kind == ScreenKind.LAPTOP:
            joined = laptop_distance(case.body, case, elbow_deg=elbow_deg)
            return set_row(
                row, joined, [limit(row.key, "laptop", "joined", joined, row.target - joined)]
            )
        place = along_the_floor(
            case.body, case, elbow_deg=elbow_deg, distance=row.target, seated=posture == "seated"
        )
    except MissingInput:
        return set_row(row, row.target)
    depth = case.workstation.desk.depth
    near = reachable_distance(case, place, case.workstation, row.target)
    if depth is None or place.needed <= depth + SAME_MM or near >= row.target - SAME_MM:
        return set_row(row, row.target)
    return set_row(row, near, [limit(row.key, "desk", "shallow", depth, place.needed - depth)])


def tilt_row(
    case: Case, posture: Posture, *, top: float | None, eye: float | None, distance: float | None
) -> FitRow:
    """Picture square to the line of sight at its centre."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    screen = case.workstation.screen
    subject = about(
        "tilt", posture, source="house-screen", why=msg("Screen square to the line of sight.")
    )

    def terms(_: Body) -> Sequence[Term]:
        if top is None or eye is None or distance is None:
            raise MissingInput("screen_top", msg("Set screen height and distance first."))
        height = screen.picture_height
        if height is None:
            raise MissingInput("screen_size", msg("The size of the screen is not recorded."))
        down = -gaze_deg(above_eye=top - height / 2 - eye, distance=distance)
        return (
            Term(
                label=msg("gaze angle to the centre of the screen"),
                value=Span(low=0, high=case.policy.most_tilt).clamp(down),
            ),
        )

    row = target_row(
        case,
        subject,
        terms,
        lambda target: (
            max(0.0, target - TILT_BAND_DEG),
            min(case.policy.most_tilt, target + TILT_BAND_DEG),
        ),
        found=settings.tilt,
    )
    span = screen.tilt_deg
    if row.target is None or span is None:
        return kept(case, set_row(row, row.target), "tilt")
    limits = end_limit(row.key, "tilt", span, row.target)
    return kept(case, set_row(row, span.clamp(row.target), limits), "tilt")


def desk_depth_row(case: Case, elbow_deg: float) -> FitRow:
    """How deep the desk must be for keys and screen to be right together."""
    subject = about(
        "desk_depth",
        "seated",
        source="house-desk-depth",
        why=msg("Deep enough for the keyboard at the front and the screen at arm’s length."),
    )

    def terms(body: Body) -> Sequence[Term]:
        laptop = case.workstation.screen.kind == ScreenKind.LAPTOP
        distance = None if laptop else total(distance_terms(body, case))
        place = along_the_floor(body, case, elbow_deg=elbow_deg, distance=distance)
        return (
            Term(
                label=msg("keyboard back from the front edge"),
                value=max(HOME_ROW_TO_FRONT_MM, place.keys - place.edge),
            ),
            Term(label=msg("screen behind the keyboard"), value=place.picture - place.keys),
            Term(label=msg("stand behind the picture"), value=place.back - place.picture),
        )

    depth = case.workstation.desk.depth
    row = target_row(case, subject, terms, lambda target: (target, None), found=depth)
    if row.target is None or depth is None:
        return set_row(row, None)
    limits = (
        [limit(row.key, "desk", "shallow", depth, row.target - depth)]
        if row.status == "off"
        else []
    )
    try:
        over = along_the_floor(case.body, case, elbow_deg=elbow_deg, distance=0.0).belly_short
    except MissingInput:
        over = 0.0
    if over > SAME_MM:
        limits.append(limit(row.key, "desk", "belly", depth, over))
    return set_row(row, depth, limits)


CAPITAL_ARCMIN, LEAST_ARCMIN = 20.0, 16.0
"""Height of capitals at the eye, wanted and least, minutes of arc. Source: iso-9241-303."""
