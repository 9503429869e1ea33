"""Eye-to-screen distance and the depth of desk it needs."""

from __future__ import annotations

from dataclasses import dataclass
from math import radians, tan

from ..body import Body
from ..language import msg
from ..posture import EYE_BEFORE_SHOULDER_MM, belly_front_x, keys_x, shoulder_x
from ..tolerances import SAME_MM
from ..workstation import (
    HOME_ROW_TO_FRONT_MM,
    LAPTOP_HINGE_BEHIND_KEYS_MM,
    ScreenHolder,
    Workstation,
)
from .case import Case
from .frame import reach
from .terms import Term, total

FIST_SHARE = 0.45
"""Share of the hand's length from the knuckles on. Source: house-screen."""


def distance_terms(body: Body, case: Case) -> tuple[Term, ...]:
    """Eye to picture by the distance rule, moved by the size, the settle-in test and the glasses."""
    policy = case.policy
    least, why = least_distance(case)
    if case.settle:  # the test on the person overrules what the picture's size asks for
        least, why = policy.least_distance, msg("minimum distance")
    if policy.distance_rule == "near":
        terms = [Term(label=why, value=least)]
    else:
        terms = [Term(label=msg("arm length"), value=body.mm("upper_limb_length"))]
        if policy.distance_rule == "fist":
            terms.append(Term(label=msg("fist"), value=-FIST_SHARE * body.mm("hand_length")))
        terms.append(Term(label=msg("eye forward of the shoulder"), value=-EYE_BEFORE_SHOULDER_MM))
    if case.settle:
        terms.append(Term(label=msg("settle-in test"), value=case.settle))
    if least > total(terms):
        terms.append(Term(label=why, value=least - total(terms)))
    near, far = case.sharp
    if near is not None and near > total(terms):
        terms.append(Term(label=msg("glasses focus from"), value=near - total(terms)))
    if far is not None and max(far, policy.least_distance) < total(terms):
        value = max(far, policy.least_distance) - total(terms)
        terms.append(Term(label=msg("glasses sharp up to"), value=value))
    return tuple(terms)


def least_distance(case: Case) -> tuple[float, str]:
    """The nearest the picture may come, mm, and what asks for it."""
    policy, screen = case.policy, case.workstation.screen
    limits = [(policy.least_distance, msg("minimum distance"))]
    if screen.width is not None:
        across = screen.width / 2 / tan(radians(policy.widest_picture_deg / 2))
        limits.append((across, msg("picture’s width")))
    if screen.height is not None:
        tall = screen.height / 2 / tan(radians(policy.tallest_picture_deg / 2))
        alone = screen.height / tan(radians(policy.lowest_gaze_deg))
        limits += [(tall, msg("picture’s height")), (alone, msg("readable by eye movement"))]
    return max(limits)


DISTANCE_BAND_MM = 100.0
"""How far practitioners leave a screen from its target by eye, either way, mm. Source: house-screen."""


def distance_band(case: Case, target: float) -> tuple[float, float]:
    """The ends of the band about a target distance, mm: never the wrong way round.

    The picture's size and the glasses narrow it. Where the glasses end before the distance that
    the size asks for, the glasses decide: what is blurred can't be read at any size.
    """
    least, (near, far) = least_distance(case)[0], case.sharp
    low = max(target - DISTANCE_BAND_MM, case.policy.least_distance)
    if least <= target:
        low = max(low, least)
    if near is not None:
        low = max(low, min(near, target))
    high = target + DISTANCE_BAND_MM
    if far is not None:
        high = min(high, max(far, target))
    return min(low, target), high


def size_gives_way(case: Case) -> float:
    """How much nearer than the picture's size asks for its glasses bring it, mm; 0 where they don't."""
    far = case.sharp[1]
    if far is None or case.settle:
        return 0.0
    return max(0.0, least_distance(case)[0] - max(far, case.policy.least_distance))


@dataclass(frozen=True, kw_only=True)
class Depth:
    """Where things stand along the floor, mm in front of the backrest plane at seat level.

    ``belly_short`` is how far the keyboard hangs over the edge because the belly keeps the desk
    away.
    """

    shoulder: float
    keys: float
    edge: float
    picture: float
    back: float
    belly_checked: bool
    belly_short: float = 0.0

    @property
    def needed(self) -> float:
        """From the desk's front edge to the back of the stand, mm."""
        return self.back - self.edge


def along_the_floor(
    body: Body, case: Case, *, elbow_deg: float, distance: float | None, seated: bool = True
) -> Depth:
    """Shoulder, home row, desk edge and picture plane; keyboard at the front edge (policy).

    ``distance`` None stands for a laptop: its picture rises from its own hinge.
    """
    recline = case.recline() if seated else 0.0
    shoulder = shoulder_x(
        shoulder_height_sitting=body.mm("shoulder_height_sitting"),
        thigh_clearance=body.mm("thigh_clearance"),
        recline_deg=recline,
    )
    keys = keys_x(
        shoulder=shoulder,
        shoulder_elbow_length=body.mm("shoulder_elbow_length"),
        flexion_deg=case.policy.flexion,
        reach=reach(body),
        elbow_deg=elbow_deg,
    )
    edge = keys - HOME_ROW_TO_FRONT_MM - case.policy.set_back
    belly_known = "abdominal_depth_sitting" in body.values and body.has("elbow_height_sitting")
    if belly_known:
        belly = belly_front_x(
            abdominal_depth=body.mm("abdominal_depth_sitting"),
            elbow_height_sitting=body.mm("elbow_height_sitting"),
            thigh_clearance=body.mm("thigh_clearance"),
            recline_deg=recline,
        )
        edge = max(edge, belly) if belly <= keys else belly
    picture = (
        keys + LAPTOP_HINGE_BEHIND_KEYS_MM
        if distance is None
        else shoulder + EYE_BEFORE_SHOULDER_MM + distance
    )
    behind = 0.0 if distance is None else stand_behind(case, case.workstation)
    return Depth(
        shoulder=shoulder,
        keys=keys,
        edge=edge,
        picture=picture,
        back=picture + behind,
        belly_checked=belly_known,
        belly_short=max(0.0, edge - (keys - HOME_ROW_TO_FRONT_MM)),
    )


def stand_behind(case: Case, station: Workstation) -> float:
    """Depth of desk that what holds the picture needs behind it, mm: none where an arm or a wall does."""
    screen = station.screen
    if screen.depth_behind is not None:
        return screen.depth_behind
    held = screen.held in (ScreenHolder.ARM, ScreenHolder.WALL)
    return 0.0 if held else case.policy.stand_depth


def reachable_distance(case: Case, floor: Depth, station: Workstation, wanted: float) -> float:
    """Eye to picture that a desk's depth allows, mm; never nearer than the policy's least.

    Parameters
    ----------
    case : Case
    floor : Depth
        Where things stand along the floor at ``wanted``.
    station : Workstation
        Desk and screen as they are to be.
    wanted : float
        The distance the eyes ask for, mm.

    """
    depth = station.desk.depth
    if depth is None or station.screen.on_wall:
        return wanted
    stand = stand_behind(case, station)
    short = floor.picture + stand - floor.edge - depth
    if short <= SAME_MM:
        return wanted
    return min(wanted, max(case.policy.least_distance, wanted - short))


def laptop_distance(body: Body, case: Case, *, elbow_deg: float) -> float:
    """Eye to a laptop's picture when the hands are on its keys, mm."""
    depth = along_the_floor(body, case, elbow_deg=elbow_deg, distance=None)
    return depth.picture - depth.shoulder - EYE_BEFORE_SHOULDER_MM
