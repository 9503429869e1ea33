"""What each addition does to the chair: workstation in, workstation out."""

from __future__ import annotations

from collections.abc import Callable

from ..changed import changed
from ..workstation import ArmrestKind, Chair, ChairKind, Span, TiltLock, Workstation

CUSHION_MM = 40.0
TASK_SEAT, TASK_DEPTH = Span(low=400, high=530), Span(low=380, high=480)
SMALL_SEAT, SMALL_DEPTH = Span(low=340, high=450), Span(low=330, high=420)
LARGE_SEAT, LARGE_DEPTH = Span(low=450, high=600), Span(low=440, high=540)
BEHIND_BACK_LUMBAR = Span(low=100, high=320)
HIGH_SEAT = Span(low=530, high=800)
FOOT_RING = Span(low=150, high=450)
"""What is offered, mm. Source: house-additions."""


def raise_seat(by: float) -> Callable[[Workstation], Workstation]:
    """Return what lays a cushion on the seat: it takes its thickness from what counts from the seat."""

    def apply(station: Workstation) -> Workstation:
        chair = station.chair
        return changed(
            station,
            chair=changed(
                chair,
                seat=chair.seat.shifted(by) if chair.seat else None,
                armrest=chair.armrest.shifted(-by) if chair.armrest else None,
                lumbar=chair.lumbar.shifted(-by) if chair.lumbar else None,
            ),
        )

    return apply


def replace_chair(
    seat: Span, depth: Span = TASK_DEPTH, *, ring: bool = False
) -> Callable[[Workstation], Workstation]:
    """Return what puts another chair in its place."""

    def apply(station: Workstation) -> Workstation:
        chair = Chair(
            kind=ChairKind.TASK,
            seat=seat,
            depth=depth,
            armrests=ArmrestKind.ADJUSTABLE,
            armrest=Span(low=180, high=290),
            armrests_off=True,
            lumbar=Span(low=150, high=260),
            recline=Span(low=0, high=25),
            lock=TiltLock.LOCKS,
            supports_back=True,
            ring=ring,
        )
        feet = (*(station.feet or ()), FOOT_RING) if ring else station.feet
        return changed(station, chair=chair, feet=feet)

    return apply


def swap_chair(seat: Span) -> Callable[[Workstation], Workstation]:
    """Return what puts a chair of which only the seat is known in its place: no better than this one otherwise."""
    return lambda station: changed(
        station, chair=changed(station.chair, seat=seat, armrests=None, armrest=None)
    )


def change_pan(depth: Span) -> Callable[[Workstation], Workstation]:
    """Return what puts another pan on the same chair."""
    return lambda station: changed(station, chair=changed(station.chair, depth=depth))


def lay_behind_back(thickness: float) -> Callable[[Workstation], Workstation]:
    """Return what lays a roll or an insert behind the back: it carries it, and shortens the pan."""

    def apply(station: Workstation) -> Workstation:
        chair = station.chair
        lumbar = chair.lumbar if chair.lumbar is not None else BEHIND_BACK_LUMBAR
        return changed(
            station,
            chair=changed(
                chair, lumbar=lumbar, supports_back=True, behind_back=chair.behind_back + thickness
            ),
        )

    return apply
