"""The lengths of one person in one posture that the search, the joints and the drawing share."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, radians

from ..body import Body
from ..language import msg
from ..posture import elbow_above_seat, eye_above_seat, reach_to_keys, seat_for_legs, trunk_drop
from ..reuse import reuse_last
from .case import Case
from .terms import Term, total


def slump(case: Case, amount: float) -> float:
    """The slump to subtract, mm: nothing where the body was measured as they work."""
    return amount if case.body.posture == "erect" else 0.0


def reach(body: Body) -> float:
    """Elbow to the home row, mm."""
    return body.derived(_reach)


def _reach(body: Body) -> float:
    return reach_to_keys(
        elbow_fingertip_length=body.mm("elbow_fingertip_length"), hand_length=body.mm("hand_length")
    )


def legs_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Seat height for flat feet, by its terms."""
    policy, shoe, leg = case.policy, case.shoe(), body.mm("popliteal_height")
    whole = seat_for_legs(
        popliteal_height=leg,
        shoe=shoe,
        relief=policy.relief,
        buttock_popliteal_length=body.mm("buttock_popliteal_length") if case.thigh_slope else 0.0,
        thigh_slope_deg=case.thigh_slope,
    )
    return (
        Term(label=msg("popliteal height"), value=leg),
        Term(label=msg("lower legs stretched forward"), value=_forward(body, case)),
        Term(label=msg("shoe"), value=shoe),
        Term(label=msg("relief"), value=-policy.relief),
        Term(label=msg("thigh slope"), value=whole - leg - shoe + policy.relief),
    )


def level_seat(body: Body, case: Case) -> float:
    """The seat at which the feet stand flat with level thighs, mm; raises MissingInput."""
    return body.mm("popliteal_height") + _forward(body, case) + case.shoe() - case.policy.relief


def _forward(body: Body, case: Case) -> float:
    """What a lower leg that is stretched forward takes from the height of the knee, mm: none or less than none."""
    if not case.legs_forward:
        return 0.0
    return -body.mm("popliteal_height") * (1 - cos(radians(case.legs_forward)))


def _drop(body: Body, case: Case) -> float:
    return trunk_drop(
        shoulder_height_sitting=body.mm("shoulder_height_sitting"),
        thigh_clearance=body.mm("thigh_clearance"),
        recline_deg=case.recline(),
    )


def elbow_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Elbow above the seat, by its terms."""
    policy, height, drop = case.policy, body.mm("elbow_height_sitting"), _drop(body, case)
    slumped = slump(case, policy.slump_elbow)
    upper = body.mm("shoulder_elbow_length") if policy.flexion else 0.0
    whole = elbow_above_seat(
        elbow_height_sitting=height,
        drop=drop,
        shoulder_elbow_length=upper,
        flexion_deg=policy.flexion,
    )
    return (
        Term(label=msg("elbow height above the seat"), value=height),
        Term(label=msg("recline"), value=-drop),
        Term(label=msg("arm forward"), value=whole - height + drop),
        Term(label=msg("slump"), value=-slumped),
    )


def eye_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Eye above the seat, by its terms."""
    height, drop = body.mm("eye_height_sitting"), _drop(body, case)
    slumped = slump(case, case.policy.slump_eye)
    return (
        Term(label=msg("eye over the seat"), value=height),
        Term(
            label=msg("recline"),
            value=eye_above_seat(eye_height_sitting=height, drop=drop) - height,
        ),
        Term(label=msg("slump"), value=-slumped),
    )


def standing_elbow_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Elbow over the floor when standing, by its terms."""
    return (
        Term(label=msg("elbow, standing"), value=body.mm("elbow_height_standing")),
        *_raised_terms(case),
    )


def standing_eye_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Eye over the floor when standing, by its terms."""
    return (
        Term(label=msg("eye, standing"), value=body.mm("eye_height_standing")),
        *_raised_terms(case),
    )


def _raised_terms(case: Case) -> tuple[Term, Term]:
    raised = case.raised()
    return Term(label=msg("shoe"), value=raised - case.mat), Term(label=msg("mat"), value=case.mat)


@dataclass(frozen=True, kw_only=True)
class Frame:
    """Elbow and eye over the base (loaded seat, or floor), reach to the keys; mm."""

    elbow: float
    eye: float
    reach: float

    @staticmethod
    def seated(case: Case) -> Frame:
        """Raises MissingInput for what is not known."""
        return _seated(case)

    @staticmethod
    def standing(case: Case) -> Frame:
        """Raises MissingInput for what is not known."""
        return _standing(case)


@reuse_last(3)
def _seated(case: Case) -> Frame:
    body = case.body
    return Frame(
        elbow=total(elbow_terms(body, case)), eye=total(eye_terms(body, case)), reach=reach(body)
    )


@reuse_last(3)
def _standing(case: Case) -> Frame:
    body = case.body
    return Frame(
        elbow=total(standing_elbow_terms(body, case)),
        eye=total(standing_eye_terms(body, case)),
        reach=reach(body),
    )
