"""Screen height, distance, tilt, and the depth of desk they need."""

from __future__ import annotations

from collections.abc import Sequence

from ..body import Body
from ..errors import MissingInput
from ..posture import gaze_deg
from ..workstation import Span
from .case import Case
from .distance import along_the_floor, distance_terms, laptop_distance, least_distance
from .frame import eye_terms, standing_eye_terms
from .joints import Joint, screen_top_band
from .result import FitRow, Limit, Posture
from .rows import Quantity, end_limit, limit, set_row, target_row
from .terms import Term, total

DISTANCE_BAND_MM = 50.0
TILT_BAND_DEG = 5.0
"""One settle-in step either way; what a hand sets by eye. Source: house-screen."""


def eye_height_terms(
    body: Body, case: Case, posture: Posture, seat: float | None
) -> tuple[Term, ...]:
    """Eye over the floor, by its terms."""
    if posture == "standing":
        return standing_eye_terms(body, case)
    if seat is None:
        raise MissingInput("seat", "The seat height is not known yet.")
    return (Term(label="seat", value=seat), *eye_terms(body, case))


def top_row(case: Case, posture: Posture, seat: float | None, surface: float | None,
            setting: float | None, distance: float | None, neck: Joint | None) -> FitRow:  # fmt: skip
    """Top edge of the picture, by the screen rule and the lenses."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    lens = case.lower_lens
    about = Quantity(
        key="screen_top", posture=posture, label="Screen top",
        source="house-screen" if lens == "none" else "house-lens",
        why="Top edge at the eye line; the eyes alone reach the bottom."
        if lens == "none"
        else f"Read through the lower part of {lens} lenses: lower, so that the chin stays level.",
    )  # fmt: skip

    def drop() -> float:
        if lens == "none":
            return case.policy.screen_top_high
        if distance is None:
            raise MissingInput("distance", "The eye distance is not known yet.")
        return screen_top_band(case, distance)[1]

    def terms(body: Body) -> Sequence[Term]:
        return (
            *eye_height_terms(body, case, posture, seat),
            Term(label="lower lens" if lens != "none" else "screen rule", value=drop()),
        )

    row = target_row(
        case,
        about,
        terms,
        lambda target: (
            target + case.policy.screen_top_low - case.policy.screen_top_high, target
        ),
        found=settings.screen_top,
    )  # fmt: skip
    if row.target is None or setting is None:
        return set_row(row, setting)
    reach = case.workstation.screen.reach(case.workstation.keyboard)
    limits: list[Limit] = []
    if reach is not None and surface is not None:
        laptop = case.workstation.screen.kind == "laptop"
        limits = end_limit("screen", reach, row.target, offset=surface)
        if laptop and limits:
            limits = [limit("laptop", "joined", setting, row.target - setting)]
    return set_row(row, setting, limits, neck)


def distance_row(case: Case, posture: Posture, elbow_deg: float) -> FitRow:
    """Eye to picture, and what a shallow desk or a laptop makes of it."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    about = Quantity(
        key="distance", posture=posture, label="Eye to screen", source="house-screen",
        why="Fingertips reach the picture; the settle-in test corrects it.",
    )  # fmt: skip
    row = target_row(
        case,
        about,
        lambda body: distance_terms(body, case),
        lambda target: (
            max(least_distance(case)[0], target - DISTANCE_BAND_MM), target + DISTANCE_BAND_MM
        ),
        found=settings.distance,
    )  # fmt: skip
    if row.target is None:
        return row
    try:
        if case.workstation.screen.kind == "laptop":
            joined = laptop_distance(case.body, case, elbow_deg=elbow_deg)
            return set_row(row, joined, [limit("laptop", "joined", joined, row.target - joined)])
        depth = case.workstation.desk.depth
        place = along_the_floor(case.body, case, elbow_deg=elbow_deg, distance=row.target,
                                seated=posture == "seated")  # fmt: skip
    except MissingInput:
        return set_row(row, row.target)
    if depth is not None and place.needed > depth + 0.5:
        short = place.needed - depth
        return set_row(row, row.target - short, [limit("desk", "shallow", depth, short)])
    return set_row(row, row.target)


def tilt_row(
    case: Case, posture: Posture, *, top: float | None, eye: float | None, distance: float | None
) -> FitRow:
    """Picture square to the line of sight at its centre."""
    settings = case.found_seated if posture == "seated" else case.found_standing
    screen = case.workstation.screen
    about = Quantity(
        key="tilt", posture=posture, label="Tilt back", source="house-screen", unit="deg",
        why="The picture stands square to the line of sight.",
    )  # fmt: skip

    def terms(_: Body) -> Sequence[Term]:
        if top is None or eye is None or distance is None:
            raise MissingInput("screen_top", "Height and distance of the screen come first.")
        height = screen.picture_height
        if height is None:
            raise MissingInput("screen_size", "The size of the screen is not recorded.")
        down = -gaze_deg(above_eye=top - height / 2 - eye, distance=distance)
        return (
            Term(label="gaze down to the picture's centre",
                 value=Span(low=0, high=case.policy.most_tilt).clamp(down)),
        )  # fmt: skip

    row = target_row(
        case, about, terms,
        lambda target: (
            max(0.0, target - TILT_BAND_DEG), min(case.policy.most_tilt, target + TILT_BAND_DEG)
        ),
        found=settings.tilt,
    )  # fmt: skip
    span = screen.tilt_deg
    if row.target is None or span is None:
        return set_row(row, row.target)
    limits = end_limit("tilt", span, row.target)
    return set_row(row, span.clamp(row.target), limits)


def desk_depth_row(case: Case, elbow_deg: float) -> FitRow:
    """How deep the desk must be for keys and screen to be right together."""
    about = Quantity(
        key="desk_depth", posture="seated", label="Desk depth", source="house-desk-depth",
        why="Keys at the front edge and the picture at arm's length fit on it together.",
    )  # fmt: skip

    def terms(body: Body) -> Sequence[Term]:
        laptop = case.workstation.screen.kind == "laptop"
        distance = None if laptop else total(distance_terms(body, case))
        place = along_the_floor(body, case, elbow_deg=elbow_deg, distance=distance)
        return (
            Term(label="keys behind the front edge", value=place.keys - place.edge),
            Term(label="picture behind the keys", value=place.picture - place.keys),
            Term(label="stand behind the picture", value=place.back - place.picture),
        )

    depth = case.workstation.desk.depth
    row = target_row(case, about, terms, lambda target: (target, None), found=depth)
    if row.target is None or depth is None:
        return set_row(row, None)
    limits = [limit("desk", "shallow", depth, row.target - depth)] if row.status == "off" else []
    return set_row(row, depth, limits)
