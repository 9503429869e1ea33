"""Rows of the pointer: beside the keys, as near as they let it."""

from __future__ import annotations

from math import radians, sin

from ..body import Body
from ..errors import MissingInput
from ..language import msg
from ..policy import JOINT_BANDS
from ..posture import FREE_FOREARM_TURN_DEG, abduction_deg
from ..tolerances import SAME_MM
from ..workstation import KEYBOARD_LEFT_MM, KEYBOARD_RIGHT_MM, PointerKind
from .case import Case
from .frame import reach
from .hand_rows import keys_edge_row
from .joints import Joint
from .result import FitRow
from .rows import about, empty_row, kept, limit, set_row, target_row
from .terms import Term


def mouse_row(case: Case, arm: Joint | None) -> FitRow:
    """Centre of the mouse from the midline: beside the keyboard, upper arm hanging."""
    keyboard, hand = case.workstation.keyboard, case.workstation.mouse.hand
    subject = about(
        "mouse",
        "seated",
        source="house-mouse",
        why=msg("As close as the keyboard allows, so the upper arm hangs by the side."),
    )

    central = case.workstation.mouse.kind == PointerKind.CENTRAL

    def edge() -> float:
        if central:
            return 0.0
        if hand is None:
            raise MissingInput("mouse_hand", msg("The mouse hand is not recorded."))
        if hand == "left":
            return KEYBOARD_LEFT_MM
        if keyboard.kind is None:
            raise MissingInput("keyboard_kind", msg("The kind of keyboard is not recorded."))
        return KEYBOARD_RIGHT_MM[keyboard.kind]

    def shifted(body: Body) -> float:
        """How far the keyboard lies out to the mouse's side: before the shoulder of the only hand."""
        if central or case.person.only_hand is None or hand != case.person.only_hand:
            return 0.0
        return body.mm("shoulder_breadth_biacromial") / 2

    def aside(body: Body) -> tuple[Term, ...]:
        by = shifted(body)
        return (Term(label=msg("keyboard before that shoulder"), value=by),) if by else ()

    def widest(body: Body) -> float:
        free = reach(body) * sin(radians(FREE_FOREARM_TURN_DEG))
        upper = body.mm("shoulder_elbow_length") * sin(radians(JOINT_BANDS["upper_arm"].high))
        return body.mm("shoulder_breadth_biacromial") / 2 + free + upper

    row = target_row(
        case,
        subject,
        lambda body: (
            Term(
                label=msg("in front of the keyboard, on the midline")
                if central
                else msg("{hand} edge of the keyboard", hand=hand),
                value=edge(),
            ),
            *aside(body),
            Term(
                label=msg("half a mouse plus a gap"),
                value=0.0 if central else case.policy.mouse_gap,
            ),
        ),
        lambda target: (
            edge() + shifted(case.body),
            CENTRAL_ASIDE_MM if central else max(target, widest(case.body)),
        ),
        found=case.found_seated.mouse,
    )
    if row.target is None:
        return row
    over = 0.0 if central else row.target - widest(case.body)
    limits = [limit(row.key, "keyboard", "wide", row.target, -over)] if over > SAME_MM else []
    low = case.workstation.desk.mouse_below
    if low > SAME_MM:
        limits.append(limit(row.key, "mouse_shelf", "low", low, low))
    return kept(case, set_row(row, row.target, limits, arm), "mouse")


CENTRAL_ASIDE_MM = 50.0
"""How far a central pointer may lie off the midline. Source: house-mouse."""
MOUSE_FORWARD_BAND_MM = 50.0
"""How far keyboard and pointer may lie from their places, mm. Source: house-desk-depth, house-mouse."""


def mouse_forward_row(case: Case) -> FitRow:
    """Desk edge to the middle of the pointer: beside the keys, not beyond them."""
    subject = about(
        "mouse_forward",
        source="house-mouse",
        why=msg("Beside the keys, so that the elbow stays at the body."),
    )
    value = case.found_seated.mouse_forward
    if case.workstation.mouse.kind == PointerKind.CENTRAL:
        return empty_row(
            subject,
            "not_assessable",
            reason=msg("A central pointing device sits in front of the keyboard."),
            found=value,
        )
    place = keys_edge_row(case)
    if place.target is None:
        return empty_row(subject, "not_assessable", reason=place.reason, found=value)
    row = target_row(
        case,
        subject,
        lambda _: (Term(label=msg("level with the home row"), value=place.target or 0.0),),
        lambda target: (max(0.0, target - MOUSE_FORWARD_BAND_MM), target + MOUSE_FORWARD_BAND_MM),
        found=value,
    )
    return kept(case, set_row(row, row.target), "mouse")


def mouse_over(case: Case) -> float:
    """Degrees the upper arm stands out beyond its band for a mouse set as near as it goes.

    Raises
    ------
    MissingInput
        If hand, keyboard or arm are not known.

    """
    if case.workstation.mouse.kind == PointerKind.CENTRAL:
        return 0.0
    row = mouse_row(case, None)
    if row.target is None:
        raise MissingInput("mouse", row.reason or msg("The mouse position can’t be worked out."))
    angle = abduction_deg(
        offset=row.target,
        biacromial=case.body.mm("shoulder_breadth_biacromial"),
        reach=reach(case.body),
        shoulder_elbow_length=case.body.mm("shoulder_elbow_length"),
    )
    return abs(JOINT_BANDS["upper_arm"].excess(angle))
