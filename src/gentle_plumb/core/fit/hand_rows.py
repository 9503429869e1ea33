"""Surface, keys and mouse."""

from __future__ import annotations

from collections.abc import Sequence
from math import radians, sin

from ..body import Body
from ..choices import Hand
from ..errors import MissingInput
from ..language import msg, numeral
from ..policy import JOINT_BANDS
from ..tolerances import SAME_MM
from ..workstation import HOME_ROW_TO_FRONT_MM, ScreenKind, Span
from .case import Case
from .frame import elbow_terms, legs_terms, reach, standing_elbow_terms
from .joints import Joint
from .piece_ranges import armrest_need
from .result import FitRow, Limit, LimitKind, Posture
from .rows import about, binding, empty_row, end_limit, kept, limit, ranged_row, set_row, target_row
from .terms import Term, total


def keys_terms(
    body: Body, case: Case, posture: Posture, seat: float | None, elbow_deg: float
) -> tuple[Term, ...]:
    """Home row over the floor at which the wrist is straight, by its terms."""
    forearm = Term(
        label=msg("forearm at {elbow_deg}°", elbow_deg=numeral(f"{elbow_deg:.0f}")),
        value=-reach(body) * sin(radians(elbow_deg - 90)),
    )
    if posture == "standing":
        return (*standing_elbow_terms(body, case), forearm)
    if seat is None:
        raise MissingInput("seat", msg("The seat height is not known yet."))
    return (Term(label=msg("seat"), value=seat), *elbow_terms(body, case), forearm)


def _hand_row(case: Case, posture: Posture, seat: float | None, key: str) -> FitRow:
    settings = case.found_seated if posture == "seated" else case.found_standing
    surface = key == "surface"
    subject = about(
        key,
        posture,
        source="house-joint-bands",
        why=msg("Keyboard at hand height with shoulders relaxed and wrists straight.")
        if surface
        else msg("Home row level with the hands, wrists straight."),
    )

    def terms(body: Body, angle: float = case.policy.elbow_angle) -> Sequence[Term]:
        keys = keys_terms(body, case, posture, seat, angle)
        if not surface:
            return keys
        return (*keys, Term(label=msg("keyboard"), value=-case.keyboard_thickness()))

    def ends(_: float) -> tuple[float, float]:
        band = case.policy.elbow_band
        return total(terms(case.body, band.high)), total(terms(case.body, band.low))

    return target_row(case, subject, terms, ends, found=settings.get(key))


def surface_limits(
    case: Case, target: float, seat: float | None, setting: float, *, seated: bool
) -> list[Limit]:
    """What keeps the surface from its target: the desk's range, or the thighs."""
    station, desk = case.workstation, case.workstation.desk
    limits = end_limit("surface", "desk", desk.surface, target)
    if seated and seat is not None and desk.thickness is not None and desk.underside is None:
        room, rests = (
            case.body.mm("thigh_clearance") + case.policy.thigh_room,
            armrest_need(station),
        )
        kind: LimitKind = "thighs" if rests is None or rests <= room else "armrests"
        lowest = seat + max(room, rests or 0.0) + desk.thickness
        if target < lowest - SAME_MM:
            bodily = limit("surface", "desk", kind, lowest, target - lowest)
            ends = [bound for bound in limits if bound.at > lowest + SAME_MM]
            same = [bound for bound in limits if abs(bound.at - lowest) <= SAME_MM]
            limits = ends or (same if same and _raised(case, seat) else [bodily])
    return limits


def _raised(case: Case, seat: float) -> bool:
    """Whether the seat stands higher than the legs ask for: a lower desk would then let it down, if it goes lower."""
    span = case.workstation.chair.seat
    if case.seat_stays or (span is not None and seat <= span.low + SAME_MM):
        return False
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput:
        return False
    return seat > legs + case.policy.flat_feet_margin + SAME_MM


def hand_rows(
    case: Case, posture: Posture, seat: float | None, surface: float | None, elbow: Joint | None
) -> list[FitRow]:
    """The rows of the surface and of the keys on it."""
    top, keys = (_hand_row(case, posture, seat, key) for key in ("surface", "keys"))
    if top.target is None or surface is None:
        return [set_row(top, surface), keys]
    seated = posture == "seated"
    limits = binding(
        top, surface, surface_limits(case, top.target, seat, surface, seated=seated), "desk"
    )
    thickness = case.keyboard_thickness()
    on_keys = [
        limit("keys", bound.piece, bound.kind, bound.at + thickness, bound.short)
        for bound in limits
    ]
    return [
        set_row(top, surface, limits, elbow),
        set_row(keys, surface + thickness, on_keys, elbow),
    ]


KEYS_EDGE_NEARER_MM, KEYS_EDGE_FURTHER_MM = 20.0, 50.0


def keys_edge_row(case: Case) -> FitRow:
    """Desk edge to the home row: keyboard at the front edge, or set back with carried forearms."""
    subject = about(
        "keys_edge",
        source="house-desk-depth",
        why=msg("The arms hang relaxed and the back stays on the backrest while typing."),
    )
    if case.workstation.screen.kind == ScreenKind.LAPTOP:
        return empty_row(
            subject,
            "not_assessable",
            reason=msg("On a laptop, the keyboard position follows the screen."),
            found=case.found_seated.keys_edge,
        )
    back = case.policy.set_back
    row = target_row(
        case,
        subject,
        lambda _: (
            Term(label=msg("front of the keyboard to the home row"), value=HOME_ROW_TO_FRONT_MM),
            Term(label=msg("set back, forearms supported"), value=back),
        ),
        lambda target: (target - KEYS_EDGE_NEARER_MM, target + KEYS_EDGE_FURTHER_MM),
        found=case.found_seated.keys_edge,
    )
    return kept(case, set_row(row, row.target), "keyboard")


KEYS_MIDLINE_BAND_MM = 20.0
"""How far the B key may lie off the breastbone, or off the shoulder of the only hand, mm. Source: house-keyboard."""


def keys_midline_row(case: Case) -> FitRow:
    """Letter block from the midline: the B key before the breastbone, whatever the outline does.

    Where one hand types, before the shoulder of that hand.
    """
    subject = about(
        "keys_midline",
        source="house-keyboard",
        why=msg(
            "The letter keys are straight in front of the body, so both forearms point straight ahead."
        ),
    )
    able = case.person.only_hand

    def terms(body: Body) -> Sequence[Term]:
        if able is None:
            return (Term(label=msg("B key on the breastbone"), value=0.0),)
        half = body.mm("shoulder_breadth_biacromial") / 2
        side = 1 if able == Hand.RIGHT else -1
        return (Term(label=msg("half the breadth of the shoulders"), value=side * half),)

    row = target_row(
        case,
        subject,
        terms,
        lambda target: (target - KEYS_MIDLINE_BAND_MM, target + KEYS_MIDLINE_BAND_MM),
        found=case.found_seated.keys_midline,
    )
    return kept(case, set_row(row, row.target), "keyboard")


def slope_row(
    case: Case, posture: Posture, elbow: Joint | None, wrists: tuple[Joint | None, Joint | None]
) -> FitRow | None:
    """The keys' slope, square to the forearm as far as tray or feet let them.

    ``wrists`` are the wrist as found and as set. Without a surface that tilts there is a row only
    where one of them is bent outside its band.
    """
    settings = case.found_seated if posture == "seated" else case.found_standing
    bent = [joint is not None and bool(joint.excess_deg) for joint in wrists]
    tilts = case.workstation.desk.tilt is not None
    if not tilts and not any(bent):
        return None
    value = (
        settings.slope if settings.slope is not None or tilts else case.workstation.keyboard.slope
    )
    subject = about(
        "slope",
        posture,
        source="house-joint-bands",
        why=msg("The keyboard follows the forearm so the wrist stays straight."),
    )

    def terms(_: Body) -> Sequence[Term]:
        if elbow is None or elbow.angle is None:
            raise MissingInput("elbow", msg("The elbow’s angle is not known yet."))
        return (Term(label=msg("forearm slope"), value=90 - elbow.angle),)

    band = JOINT_BANDS["wrist"]
    row = target_row(
        case, subject, terms, lambda target: (target + band.low, target + band.high), found=value
    )
    if bent[0]:
        row = row.replace(status="off", reason=None)
    return ranged_row(row, "slope", case.workstation.desk.tilt or Span(low=0, high=0))
