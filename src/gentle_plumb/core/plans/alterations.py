"""What each addition does to the pieces: workstation in, workstation out."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

from ..choices import Hand
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    ArmrestKind,
    AspectRatio,
    Chair,
    ChairKind,
    KeyboardKind,
    PointerKind,
    ScreenHolder,
    ScreenKind,
    Span,
    TiltLock,
    Workstation,
)

CUSHION_MM = 40.0
FOOTREST = Span(low=60, high=150)
RISERS = Span(low=30, high=120, step=30)
SCREEN_RISER = Span(low=50, high=150, step=25)
LAPTOP_STAND = Span(low=60, high=220, step=20)
SEPARATE_KEYS_MM = 20.0
ARM_OVER_DESK = Span(low=10, high=400)
TRAY_BELOW = Span(low=40, high=160)
TRAY_TILT = Span(low=-15, high=10)
TRAY_MM = 30.0
TASK_SEAT, TASK_DEPTH = Span(low=400, high=530), Span(low=380, high=480)
SMALL_SEAT, SMALL_DEPTH = Span(low=340, high=450), Span(low=330, high=420)
LARGE_SEAT, LARGE_DEPTH = Span(low=450, high=600), Span(low=440, high=540)
BEHIND_BACK_LUMBAR = Span(low=100, high=320)
HIGH_SEAT = Span(low=530, high=800)
FOOT_RING = Span(low=150, high=450)
SIT_STAND = Span(low=620, high=1270)
SIT_STAND_MM = 25.0
"""What is offered, mm and degrees. Source: house-additions."""


def raise_seat(by: float) -> Callable[[Workstation], Workstation]:
    """Return what lays a cushion on the seat: it takes its thickness from what counts from the seat."""

    def apply(station: Workstation) -> Workstation:
        chair = station.chair
        return replace(
            station,
            chair=replace(
                chair,
                seat=chair.seat.shifted(by) if chair.seat else None,
                armrest=chair.armrest.shifted(-by) if chair.armrest else None,
                lumbar=chair.lumbar.shifted(-by) if chair.lumbar else None,
            ),
        )

    return apply


def add_foot_support(span: Span) -> Callable[[Workstation], Workstation]:
    """Return what adds a support for the feet of these heights."""
    return lambda station: replace(station, feet=(*(station.feet or ()), span))


def lift_picture(by: Span) -> Callable[[Workstation], Workstation]:
    """Return what raises the screen by so much."""

    def apply(station: Workstation) -> Workstation:
        lift = station.screen.top_above_surface
        if lift is None:
            return station
        return replace(station, screen=replace(station.screen, top_above_surface=lift.raised(by)))

    return apply


def lift_for_standing(
    lift: Callable[[Workstation], Workstation],
) -> Callable[[Workstation], Workstation]:
    """Return what lifts the picture while standing, from what lifts it always."""

    def apply(station: Workstation) -> Workstation:
        bare = replace(station.screen, top_above_surface=Span(low=0, high=0))
        riser = lift(replace(station, screen=bare)).screen.top_above_surface
        return replace(station, screen=replace(station.screen, riser_standing=riser))

    return apply


def mount_on_arm(station: Workstation) -> Workstation:
    """Hold the screen on an arm."""
    height = station.screen.picture_height or 0.0
    span = Span(low=height + ARM_OVER_DESK.low, high=height + ARM_OVER_DESK.high)
    return replace(
        station,
        screen=replace(
            station.screen, top_above_surface=span, held=ScreenHolder.ARM, depth_behind=0.0
        ),
    )


def separate_keys(stand: Span | None) -> Callable[[Workstation], Workstation]:
    """Return what gives a laptop keys of its own apart: its picture can then be raised."""

    def apply(station: Workstation) -> Workstation:
        screen = station.screen
        height = screen.picture_height or LAPTOP_PICTURE_HEIGHT_MM
        top = LAPTOP_PICTURE_START_MM + height
        lift = (
            Span(low=top, high=top)
            if stand is None
            else Span(low=top + stand.low, high=top + stand.high, step=stand.step)
        )
        width = screen.width or height * AspectRatio.TALLER.ratio
        return replace(
            station,
            screen=replace(
                screen,
                kind=ScreenKind.MONITOR,
                height=height,
                width=width,
                depth_behind=0.0,
                top_above_surface=lift,
            ),
            keyboard=replace(
                station.keyboard,
                thickness=SEPARATE_KEYS_MM,
                kind=station.keyboard.kind or KeyboardKind.NO_NUMBER_BLOCK,
            ),
        )

    return apply


def stand_on_risers(station: Workstation) -> Workstation:
    """Stand the desk on risers."""
    surface = station.desk.surface
    assert surface is not None
    raised = Span(low=surface.low + RISERS.low, high=surface.low + RISERS.high, step=RISERS.step)
    return replace(station, desk=replace(station.desk, surface=raised))


def add_tray(station: Workstation) -> Workstation:
    """Hang a keyboard tray under the desk."""
    surface = station.desk.surface
    assert surface is not None
    return replace(
        station,
        desk=replace(
            station.desk,
            form="tray",
            screen_base=surface,
            below=TRAY_BELOW,
            tilt=TRAY_TILT,
            thickness=TRAY_MM,
            beside=surface.low if surface.fixed else None,
            surface=Span(low=surface.low - TRAY_BELOW.high, high=surface.high - TRAY_BELOW.low),
        ),
    )


def replace_desk(station: Workstation) -> Workstation:
    """Put a sit-stand desk in its place."""
    desk = station.desk
    return replace(
        station,
        desk=replace(
            desk,
            kind="sit_stand",
            surface=SIT_STAND,
            thickness=SIT_STAND_MM,
            form="sit_stand",
            screen_base=None,
            below=None,
            underside=None,
            tilt=None,
            beside=None,
            mouse_below=0.0,
            depth=max(desk.depth or 800.0, 800.0),
        ),
    )


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
        return replace(station, chair=chair, feet=feet)

    return apply


def lay_behind_back(thickness: float) -> Callable[[Workstation], Workstation]:
    """Return what lays a roll or an insert behind the back: it carries it, and shortens the pan."""

    def apply(station: Workstation) -> Workstation:
        chair = station.chair
        lumbar = chair.lumbar if chair.lumbar is not None else BEHIND_BACK_LUMBAR
        return replace(
            station,
            chair=replace(
                chair, lumbar=lumbar, supports_back=True, behind_back=chair.behind_back + thickness
            ),
        )

    return apply


def replace_keyboard(kind: KeyboardKind) -> Callable[[Workstation], Workstation]:
    """Return what puts another keyboard in its place."""
    return lambda station: replace(station, keyboard=replace(station.keyboard, kind=kind))


def take_central_pointer(station: Workstation) -> Workstation:
    """Put a central pointer before the keys."""
    return replace(station, mouse=replace(station.mouse, kind=PointerKind.CENTRAL))


def change_mouse_hand(station: Workstation) -> Workstation:
    """Give the mouse to the other hand."""
    hand = Hand.LEFT if station.mouse.hand == Hand.RIGHT else Hand.RIGHT
    return replace(station, mouse=replace(station.mouse, hand=hand))
