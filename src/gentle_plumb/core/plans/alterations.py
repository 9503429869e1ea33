"""What each addition does to the pieces: workstation in, workstation out."""

from __future__ import annotations

from collections.abc import Callable

from ..changed import changed
from ..choices import Hand
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    LOUNGES,
    AspectRatio,
    KeyboardKind,
    PointerKind,
    ScreenKind,
    Span,
    Workstation,
)

RISERS = Span(low=30, high=120, step=30)
SEPARATE_KEYS_MM = 20.0
TRAY_BELOW = Span(low=40, high=160)
TRAY_TILT = Span(low=-15, high=10)
TRAY_MM = 30.0
SIT_STAND = Span(low=620, high=1270)
SIT_STAND_MM = 25.0
TABLE = Span(low=720, high=720)
TABLE_MM = 30.0
"""What is offered, mm and degrees. Source: house-additions."""


def add_foot_support(span: Span) -> Callable[[Workstation], Workstation]:
    """Return what adds a support for the feet of these heights."""
    return lambda station: changed(station, feet=(*(station.feet or ()), span))


def not_on_lap(apply: Callable[[Workstation], Workstation]) -> Callable[[Workstation], Workstation]:
    """Return the same for a desk or table; on a lap it changes nothing."""
    return lambda station: (
        station if station.chair.kind in LOUNGES and station.desk.kind is None else apply(station)
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
        return changed(
            station,
            screen=changed(
                screen,
                kind=ScreenKind.MONITOR,
                height=height,
                width=width,
                depth_behind=0.0,
                top_above_surface=lift,
            ),
            keyboard=changed(
                station.keyboard,
                thickness=SEPARATE_KEYS_MM,
                kind=station.keyboard.kind or KeyboardKind.NO_NUMBER_BLOCK,
            ),
        )

    return apply


def raise_keys(by: float) -> Callable[[Workstation], Workstation]:
    """Return what stacks something under keyboard and mouse: the screen stays on the desk."""

    def apply(station: Workstation) -> Workstation:
        desk = station.desk
        assert desk.surface is not None
        below = desk.below.shifted(-by) if desk.below is not None else Span(low=-by, high=-by)
        return changed(
            station,
            desk=changed(
                desk,
                surface=desk.surface.shifted(by),
                thickness=desk.thickness + by if desk.thickness is not None else None,
                screen_base=desk.screen_base if desk.screen_base is not None else desk.surface,
                below=below if desk.screen_base is None or desk.below is not None else None,
            ),
        )

    return apply


def stand_on_risers(station: Workstation) -> Workstation:
    """Stand the desk on risers."""
    surface = station.desk.surface
    assert surface is not None
    raised = Span(low=surface.low + RISERS.low, high=surface.low + RISERS.high, step=RISERS.step)
    return changed(station, desk=changed(station.desk, surface=raised))


def add_tray(station: Workstation) -> Workstation:
    """Hang a keyboard tray under the desk."""
    surface = station.desk.surface
    assert surface is not None
    return changed(
        station,
        desk=changed(
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


def clear_tray(station: Workstation) -> Workstation:
    """Take the keyboard tray off: the keys stand on the desk again, as the screen does."""
    desk = station.desk
    assert desk.screen_base is not None
    return changed(
        station,
        desk=changed(
            desk,
            form=desk.kind,
            surface=desk.screen_base,
            thickness=desk.top_thickness,
            screen_base=None,
            below=None,
            tilt=None,
            beside=None,
            mouse_below=0.0,
        ),
    )


def replace_desk(station: Workstation) -> Workstation:
    """Put a sit-stand desk in its place."""
    desk = station.desk
    return changed(
        station,
        desk=changed(
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


def work_at_table(station: Workstation) -> Workstation:
    """Move what is done on a sofa or a bed to a table."""
    desk = station.desk
    return changed(
        station,
        desk=changed(
            desk, kind="fixed", form="fixed", surface=TABLE, thickness=TABLE_MM, depth=800.0
        ),
    )


def replace_keyboard(kind: KeyboardKind) -> Callable[[Workstation], Workstation]:
    """Return what puts another keyboard in its place."""
    return lambda station: changed(station, keyboard=changed(station.keyboard, kind=kind))


def take_central_pointer(station: Workstation) -> Workstation:
    """Put a central pointer before the keys."""
    return changed(station, mouse=changed(station.mouse, kind=PointerKind.CENTRAL))


def change_mouse_hand(station: Workstation) -> Workstation:
    """Give the mouse to the other hand."""
    hand = Hand.LEFT if station.mouse.hand == Hand.RIGHT else Hand.RIGHT
    return changed(station, mouse=changed(station.mouse, hand=hand))
