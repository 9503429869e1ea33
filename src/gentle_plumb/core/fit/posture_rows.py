"""One posture worked out: a row for each quantity, built only where it is asked for."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass

from ..changed import changed
from ..language import msg
from ..reuse import reuse_last
from ..words import say
from ..workstation import PlaceUse, Settings
from .aims import aims, degrees_over, eye_of, seat_aim
from .armrest_rows import armrest_gap_row, armrest_row
from .case import Case
from .chair_rows import backrest_row, lumbar_row, seat_depth_row, seat_slope_row
from .checks import with_check
from .hand_rows import hand_rows, keys_edge_row, keys_midline_row, slope_row
from .joints import Joint, joints_of
from .model import target_distance
from .notes import why_not_at_this_desk
from .pair import STANDING_OVER_DEG, ends_at_the_chair
from .piece_ranges import fixed_surface
from .pointer_rows import mouse_forward_row, mouse_row
from .result import RANGE_ENDS, FitRow, Posture, PostureFit
from .rows import chosen
from .screen_rows import desk_depth_row, distance_row, tilt_row, top_row
from .screens import side_screen_rows
from .search_model import Solution
from .seat_rows import footrest_row, seat_row
from .text_row import scale_row
from .untold import untold_joints
from .wording import limit_text

_joints_found = reuse_last(4)(joints_of)


@dataclass(frozen=True)
class _Stance:
    """A posture as it is set: what every row is worked out from."""

    case: Case
    posture: Posture
    real: Solution | None
    free: Solution | None
    overrule: Settings
    settings: Settings
    joints_set: tuple[Joint, ...]
    joints_found: tuple[Joint, ...]

    @classmethod
    def of(
        cls,
        case: Case,
        posture: Posture,
        real: Solution | None,
        free: Solution | None,
        overrule: Settings,
    ) -> _Stance:
        settings = aims(case, posture, real, overrule)
        found = case.found_seated if posture == "seated" else case.found_standing
        return cls(
            case=case,
            posture=posture,
            real=real,
            free=free,
            overrule=overrule,
            settings=settings,
            joints_set=joints_of(case, settings, posture),
            joints_found=_joints_found(case, found, posture),
        )

    def rows(self, keys: frozenset[str] | None = None) -> list[FitRow]:
        """The rows of these quantities, of all where none are named, in the order of the fit."""
        rows = [
            _overruled(row, self.overrule)
            for of, build in self._builders()
            if keys is None or not keys.isdisjoint(of)
            for row in build()
        ]
        return [_in_words(with_check(self.case, row, rows)) for row in rows]

    def _builders(self) -> Iterator[tuple[frozenset[str], Callable[[], Sequence[FitRow]]]]:
        """Each group of quantities, with the function that builds its rows."""
        case, posture = self.case, self.posture
        settings, joints = self.settings, {joint.joint: joint for joint in self.joints_set}
        seat, surface = settings.seat, settings.surface
        top, distance = settings.screen_top, settings.distance
        elbow_deg, seated = case.policy.elbow_angle, posture == "seated"
        if seated:
            yield SEAT, lambda: [self._seat(joints)]
            yield FOOTREST, lambda: [footrest_row(case, seat)]
            yield frozenset({"seat_slope"}), lambda: [seat_slope_row(case)]
            yield frozenset({"seat_depth"}), lambda: [seat_depth_row(case)]
            yield frozenset({"backrest"}), lambda: [backrest_row(case)]
            yield frozenset({"lumbar"}), lambda: [lumbar_row(case)]
            yield frozenset({"armrest"}), lambda: [armrest_row(case, seat, surface)]
            yield frozenset({"armrest_gap"}), lambda: [armrest_gap_row(case)]
        yield HANDS, lambda: hand_rows(case, posture, seat, surface, joints["elbow"])
        yield frozenset({"slope"}), lambda: self._slope(joints)
        if seated:
            yield frozenset({"keys_edge"}), lambda: [keys_edge_row(case)]
            yield frozenset({"keys_midline"}), lambda: [keys_midline_row(case)]
            yield frozenset({"mouse"}), lambda: [mouse_row(case, joints["upper_arm"])]
            yield frozenset({"mouse_forward"}), lambda: [mouse_forward_row(case)]
        reckoned = distance if distance is not None else target_distance(case)
        yield (
            frozenset({"screen_top"}),
            lambda: [top_row(case, posture, seat, surface, top, reckoned, joints["neck"])],
        )
        yield frozenset({"distance"}), lambda: [distance_row(case, posture, elbow_deg)]
        eye = eye_of(case, posture, seat)
        yield (
            frozenset({"tilt"}),
            lambda: [tilt_row(case, posture, top=top, eye=eye, distance=distance)],
        )
        if seated:
            yield (
                BESIDE,
                lambda: side_screen_rows(
                    case, eye=eye, distance=distance, surface=surface, main_top=top
                ),
            )
            yield frozenset({"scale"}), lambda: [scale_row(case, distance)]
            yield frozenset({"desk_depth"}), lambda: [desk_depth_row(case, elbow_deg)]

    def _seat(self, joints: Mapping[str, Joint]) -> FitRow:
        case = self.case
        row = seat_row(
            case,
            seat_aim(case, self.free),
            self.settings.seat,
            joints["elbow"],
            joints.get("knee"),
            fixed_surface(case),
        )
        return _ended_by_chair(case, row, self.real, self.overrule)

    def _slope(self, joints: Mapping[str, Joint]) -> list[FitRow]:
        bent = next((joint for joint in self.joints_found if joint.joint == "wrist"), None)
        row = slope_row(self.case, self.posture, joints["elbow"], (bent, joints.get("wrist")))
        return [row] if row is not None else []


FOOTREST = frozenset({"footrest", "seat"})
"""The support for the feet; the seat's row needs it too, for its test on the person."""
SEAT = frozenset({"seat"})
HANDS = frozenset({"surface", "keys"})
BESIDE = frozenset(
    {"screen_bearing"}
    | {f"screen{number}_{part}" for number in (2, 3) for part in ("bearing", "distance", "top")}
)
"""The screens, which are placed in relation to each other."""


@reuse_last(4)
def posture_fit(
    case: Case, posture: Posture, real: Solution | None, free: Solution | None, overrule: Settings
) -> PostureFit:
    """Return one posture worked out.

    Parameters
    ----------
    case : Case
    posture : {"seated", "standing"}
    real, free : Solution or None
        The optimum with the pieces, and what body and fixed pieces alone ask for.
    overrule : Settings
        Numbers of the practitioner's own.

    """
    stance = _Stance.of(case, posture, real, free, overrule)
    rows, made, found = stance.rows(), stance.joints_set, stance.joints_found
    fits, why_not = _possible(case, posture, real, lambda: rows)
    return PostureFit(
        posture=posture,
        possible=fits,
        why_not=why_not,
        rows=tuple(rows),
        joints_found=found,
        joints_set=made,
        over_found=degrees_over(found),
        over_set=degrees_over(made),
        untold_found=untold_joints(found, seat_stays=case.seat_stays),
        untold_set=untold_joints(made, seat_stays=case.seat_stays),
    )


def posture_rows(
    case: Case,
    posture: Posture,
    real: Solution | None,
    free: Solution | None,
    overrule: Settings,
    keys: frozenset[str],
) -> Mapping[str, FitRow]:
    """Return the rows of some quantities alone, by quantity; parameters as for :func:`posture_fit`."""
    return {row.key: row for row in _Stance.of(case, posture, real, free, overrule).rows(keys)}


def _in_words(row: FitRow) -> FitRow:
    """Return a row with its limits in words."""
    if not row.limits:
        return row
    limits = tuple(changed(limit, text=limit_text(limit)) for limit in row.limits)
    return row.replace(limits=limits)


def _ended_by_chair(case: Case, row: FitRow, real: Solution | None, overrule: Settings) -> FitRow:
    """Return the seat's row without the chair's end where that is not what decides."""
    ends = [limit for limit in row.limits if limit.kind in RANGE_ENDS]
    if not ends or real is None or row.target is None or overrule.seat is not None:
        return row
    if ends_at_the_chair(case, overrule, real, row.target):
        return row
    others = [limit for limit in row.limits if limit.kind not in RANGE_ENDS]
    return row.replace(limits=tuple(others or chosen(row, real.seat, "chair")))


def _possible(
    case: Case, posture: Posture, real: Solution | None, rows: Callable[[], list[FitRow]]
) -> tuple[bool, str | None]:
    if posture == "seated":
        return case.sits, None if case.sits else msg("Standing only.")
    if case.use == PlaceUse.SIT:
        return False, msg("Sitting only.")
    if case.own_seat:
        return False, msg("Wheelchair user: no standing set-up.")
    barred = case.person.against_standing
    if barred is not None:
        return False, barred.reason
    if case.sits and real is not None and real.excess_deg - real.gaze > STANDING_OVER_DEG:
        return False, why_not_at_this_desk(case, rows(), "mm") or say("standing.does_not_fit")
    return True, None


def possible(
    case: Case, posture: Posture, real: Solution | None, overrule: Settings
) -> tuple[bool, str | None]:
    """Return whether a posture is possible, and why not; parameters as for :func:`posture_fit`."""
    return _possible(
        case, posture, real, lambda: _Stance.of(case, posture, real, None, overrule).rows()
    )


def _overruled(row: FitRow, overrule: Settings) -> FitRow:
    value = overrule.get(row.key)
    if value is None:
        return row
    change = None if row.found is None else value - row.found
    return row.replace(setting=value, change=change, limits=(), cost=None)
