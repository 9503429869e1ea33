"""The one value that would tell most, where some joints can't be told: what to record next."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from typing import Any

from ..body import DIMENSIONS
from ..catalogue import JOINTS, QUANTITIES
from ..errors import MissingInput
from ..fit import (
    DECIDING,
    USUAL_DISTANCE_MM,
    Case,
    FitResult,
    Joint,
    PostureFit,
    distance_terms,
    elbow_terms,
    eye_terms,
    legs_terms,
    reach,
    standing_elbow_terms,
    standing_eye_terms,
    top_band,
)
from ..record import Field, fields
from .case import FOUND

ESTIMATES_ALL = 3
"""So many missing dimensions, and a stature is what to ask for first: the others are estimated from it. House value."""
OTHERWISE: dict[str, Field[Any]] = {
    "keyboard_thickness": fields.keyboard.thickness,
    "screen_size": fields.screens.main.diagonal,
    "shoe_seated": fields.ask.shoe_seated,
    "shoe_standing": fields.ask.shoe_standing,
}
"""What is missing by another name than that of a dimension or of something found."""


@dataclass(frozen=True, kw_only=True)
class Decider:
    """The value that would tell most: its field, and what it is called."""

    field: str
    label: str


def decider_of(case: Case, result: FitResult) -> Decider | None:
    """Return the value that would let most be told; None where everything that matters can be.

    What keeps the joints as they will be from being told counts first, by the hours that are spent on each;
    then what keeps them as found.

    Parameters
    ----------
    case : Case
    result : FitResult

    """
    fits = [fit for fit in (result.seated, result.standing) if fit.possible]
    for wanting in (_for_setting, _for_found):
        wanted: dict[str, float] = {}
        for fit in (
            fits if wanting is _for_setting else fits[:1]
        ):  # as found, the sum is of one posture
            joints = fit.joints_set if wanting is _for_setting else fit.joints_found
            for joint in _untold(case, joints):
                missing = list(dict.fromkeys(wanting(case, fit, joint)))
                for what in missing:
                    wanted[what] = wanted.get(what, 0.0) + _hours(case, joint) / len(missing)
        decider = _asked_first(case, wanted)
        if decider is not None:
            return decider
    return None


def _untold(case: Case, joints: Sequence[Joint]) -> Iterator[Joint]:
    for joint in joints:
        if joint.joint not in DECIDING or joint.angle is not None or joint.out_of_reach:
            continue
        if not (case.seat_stays and joint.joint == "knee"):
            yield joint


def _hours(case: Case, joint: Joint) -> float:
    return sum(case.hours.get(task, 0.0) for task in JOINTS[joint.joint].tasks) or 1.0


def _for_setting(case: Case, fit: PostureFit, joint: Joint) -> Iterator[str]:
    """Yield what is missing for a joint as it will be."""
    body = case.body
    seated = fit.posture == "seated"
    stance = case if seated else case.standing()
    hands: list[Callable[[], object]] = [
        lambda: (elbow_terms if seated else standing_elbow_terms)(body, stance),
        lambda: reach(body),
        stance.keyboard_thickness,
    ]
    legs: list[Callable[[], object]] = [
        lambda: legs_terms(body, stance),
        lambda: body.mm("buttock_popliteal_length"),
    ]
    eyes: list[Callable[[], object]] = [
        lambda: (eye_terms if seated else standing_eye_terms)(body, stance),
        lambda: distance_terms(body, stance),
        lambda: top_band(stance, USUAL_DISTANCE_MM),
    ]
    needs = {"elbow": hands, "knee": legs, "neck": eyes}[joint.joint]
    if seated and not case.seat_stays and joint.joint != "knee":
        needs = [*legs, *needs]
    for need in needs:
        try:
            need()
        except MissingInput as missing:
            yield missing.what


def _for_found(case: Case, fit: PostureFit, joint: Joint) -> Iterator[str]:
    """Yield what is missing for a joint as found."""
    settings = case.found_seated if fit.posture == "seated" else case.found_standing
    needs = {
        "elbow": ("seat", "surface"),
        "knee": ("seat",),
        "neck": ("seat", "screen_top", "distance"),
    }[joint.joint]
    for key in needs:
        if settings.get(key) is None and fit.posture in QUANTITIES[key].postures:
            yield f"{fit.posture}.{key}"


def _asked_first(case: Case, wanted: dict[str, float]) -> Decider | None:
    """Return what is wanted most, of equals the first."""
    lengths = [what for what in wanted if what in DIMENSIONS]
    if len(lengths) >= ESTIMATES_ALL and not case.body.has("stature"):
        return _named("stature")
    for what in sorted(wanted, key=lambda text: -wanted[text]):
        decider = _named(what)
        if decider is not None:
            return decider
    return None


def _named(what: str) -> Decider | None:
    if what in DIMENSIONS:
        first = fields.measure.dimension[what].readings[0]
        return Decider(field=first.id, label=DIMENSIONS[what].label)
    posture, _, key = what.partition(".")
    found = FOUND["standing" if posture == "standing" else "seated"].get(key)
    field = OTHERWISE.get(what, found)
    return Decider(field=field.id, label=field.label) if field is not None else None
