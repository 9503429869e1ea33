"""What can be added to a workstation: what it does to the pieces, its price class, how long it lasts.

Ranges of what could be bought are everyday ones without a make. Source: house-additions.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace
from typing import Literal

from ..catalogue import Tier
from ..choices import Hand
from ..fit import Case
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    ArmrestKind,
    AspectRatio,
    ChairKind,
    KeyboardKind,
    PointerKind,
    ScreenHolder,
    ScreenKind,
    Span,
    UnderDesk,
    Workstation,
)
from .stacks import Stack, stacks_of

Price = Literal["nothing", "small", "medium", "large"]
Slot = Literal["seat", "desk", "keys", "feet", "screen", "pointer", "back", "phone"]

PRICES: dict[Price, int] = {"nothing": 0, "small": 1, "medium": 4, "large": 16}
"""What a price class weighs. Source: house-price."""
PRICE_LABELS: dict[Price, str] = {
    "nothing": "already here",
    "small": "small",
    "medium": "medium",
    "large": "large",
}
CUSHION_MM = 40.0
CUSHION_PRICE: Price = "small"
FOOTREST = Span(low=60, high=150)
RISERS = Span(low=30, high=120, step=30)
SCREEN_RISER = Span(low=50, high=150, step=25)
LAPTOP_STAND = Span(low=60, high=220, step=20)
SEPARATE_KEYS_MM = 20.0
ARM_OVER_DESK = Span(low=10, high=400)
TRAY_BELOW = Span(low=40, high=160)
TRAY_TILT = Span(low=-15, high=10)
TRAY_MM = 30.0
TASK_SEAT = Span(low=400, high=530)
HIGH_SEAT = Span(low=530, high=800)
FOOT_RING = Span(low=150, high=450)
SIT_STAND = Span(low=620, high=1270)
SIT_STAND_MM = 25.0
"""What is offered, mm and degrees. Source: house-additions."""


@dataclass(frozen=True, kw_only=True)
class Addition:
    """One thing added: its slot, price, whether it is temporary, and what it does to the pieces."""

    id: str
    slot: Slot
    label: str
    price: Price
    does: str
    temporary: bool = False
    items: tuple[tuple[str, int], ...] = ()
    height: float | None = None
    sd: float = 0.0
    apply: Callable[[Workstation], Workstation] = field(compare=False, repr=False)


def _seat(by: float) -> Callable[[Workstation], Workstation]:
    def apply(station: Workstation) -> Workstation:
        """A cushion lifts the seat, and takes its thickness from what counts from the seat."""
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


def _feet(span: Span) -> Callable[[Workstation], Workstation]:
    return lambda station: replace(station, feet=(*(station.feet or ()), span))


def _lift(by: Span) -> Callable[[Workstation], Workstation]:
    def apply(station: Workstation) -> Workstation:
        lift = station.screen.top_above_surface
        if lift is None:
            return station
        step = by.step if lift.fixed and not by.fixed else None
        raised = Span(
            low=lift.low + by.low, high=lift.high + by.high, step=lift.step if by.fixed else step
        )
        return replace(station, screen=replace(station.screen, top_above_surface=raised))

    return apply


def _arm(station: Workstation) -> Workstation:
    height = station.screen.picture_height or 0.0
    span = Span(low=height + ARM_OVER_DESK.low, high=height + ARM_OVER_DESK.high)
    return replace(
        station,
        screen=replace(
            station.screen, top_above_surface=span, held=ScreenHolder.ARM, depth_behind=0.0
        ),
    )


def _apart(stand: Span | None) -> Callable[[Workstation], Workstation]:
    def apply(station: Workstation) -> Workstation:
        """A laptop with keys of its own apart is a screen that can be raised."""
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


def _risers(station: Workstation) -> Workstation:
    surface = station.desk.surface
    assert surface is not None
    raised = Span(low=surface.low + RISERS.low, high=surface.low + RISERS.high, step=RISERS.step)
    return replace(station, desk=replace(station.desk, surface=raised))


def _tray(station: Workstation) -> Workstation:
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


def _sit_stand(station: Workstation) -> Workstation:
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


def _chair(seat: Span, *, ring: bool = False) -> Callable[[Workstation], Workstation]:
    def apply(station: Workstation) -> Workstation:
        chair = replace(
            station.chair,
            kind=ChairKind.TASK,
            seat=seat,
            depth=Span(low=380, high=480),
            armrests=ArmrestKind.ADJUSTABLE,
            armrest=Span(low=180, high=290),
            lumbar=Span(low=150, high=260),
            recline=Span(low=0, high=25),
        )
        feet = (*(station.feet or ()), FOOT_RING) if ring else station.feet
        return replace(station, chair=chair, feet=feet)

    return apply


def _keyboard(kind: KeyboardKind) -> Callable[[Workstation], Workstation]:
    return lambda station: replace(station, keyboard=replace(station.keyboard, kind=kind))


def _central(station: Workstation) -> Workstation:
    return replace(station, mouse=replace(station.mouse, kind=PointerKind.CENTRAL))


def _other_hand(station: Workstation) -> Workstation:
    hand = Hand.LEFT if station.mouse.hand == Hand.RIGHT else Hand.RIGHT
    return replace(station, mouse=replace(station.mouse, hand=hand))


def _stack(slot: Literal["feet", "screen"], stack: Stack) -> Addition:
    span = Span(low=stack.height, high=stack.height)
    where = "under the feet" if slot == "feet" else "under the screen"
    return Addition(
        id=f"{slot}_stack",
        slot=slot,
        label=f"{stack.text} {where}",
        price="nothing",
        does="supports the feet" if slot == "feet" else "raises the screen",
        temporary=True,
        items=stack.items,
        height=stack.height,
        sd=stack.sd,
        apply=_feet(span) if slot == "feet" else _lift(span),
    )


def seat_additions(case: Case, tier: Tier) -> list[Addition]:
    """What can be done about the seat; nothing with a wheelchair, whose seating is not ours."""
    station = case.workstation
    if case.own_seat or station.chair.seat is None:
        return []
    found = (
        [
            Addition(
                id="cushion",
                slot="seat",
                label=f"{stack.text} on the seat",
                price="nothing",
                does="raises the seat",
                temporary=True,
                items=stack.items,
                height=stack.height,
                sd=stack.sd,
                apply=_seat(stack.height),
            )
            for stack in stacks_of(station.items, "seat")
        ]
        if tier != "lasting"
        else []
    )
    if tier == "little":
        found.append(
            Addition(
                id="seat_cushion",
                slot="seat",
                label="Firm seat cushion, 4 cm",
                price=CUSHION_PRICE,
                does="raises the seat",
                height=CUSHION_MM,
                apply=_seat(CUSHION_MM),
            )
        )
    if tier == "lasting":
        found += [
            Addition(
                id="task_chair",
                slot="seat",
                label="Task chair, 40 to 53 cm",
                price="medium",
                does="brings the seat to leg height",
                apply=_chair(TASK_SEAT),
            ),
            Addition(
                id="high_chair",
                slot="seat",
                label="High chair with a foot ring, 53 to 80 cm",
                price="medium",
                does="brings the hands up to a high surface",
                apply=_chair(HIGH_SEAT, ring=True),
            ),
        ]
    if case.person.steady_seat:  # a cushion and a high chair stand less firmly than a plain seat
        found = [one for one in found if one.id == "task_chair"]
    return found


def desk_additions(case: Case, tier: Tier) -> list[Addition]:
    """What can be done about the height of the keys."""
    desk, laptop = case.workstation.desk, case.workstation.screen.kind == ScreenKind.LAPTOP
    found: list[Addition] = []
    if desk.surface is None or tier == "room":
        return found
    plain = desk.form in (None, "fixed", "sit_stand")
    if desk.surface.fixed and plain and desk.risers is not False:
        found.append(
            Addition(
                id="risers",
                slot="desk",
                label="Desk risers, 3 to 12 cm",
                price="small",
                does="raises the desk",
                apply=_risers,
            )
        )
    if tier == "lasting":
        if plain and desk.under in (None, UnderDesk.FREE) and not laptop:
            found.append(
                Addition(
                    id="tray",
                    slot="desk",
                    label="Keyboard tray under the desk",
                    price="medium",
                    does="lowers and angles the keyboard",
                    apply=_tray,
                )
            )
        if desk.kind != "sit_stand" and desk.form in (None, "fixed", "counter"):
            found.append(
                Addition(
                    id="sit_stand",
                    slot="desk",
                    label="Sit-stand desk, 62 to 127 cm",
                    price="large",
                    does="brings the surface to the hands",
                    apply=_sit_stand,
                )
            )
    return found


def keys_additions(case: Case, tier: Tier) -> list[Addition]:
    """A laptop's picture freed from its keys."""
    if case.workstation.screen.kind != ScreenKind.LAPTOP or tier == "room":
        return []
    return [
        Addition(
            id="laptop_apart",
            slot="keys",
            price="small",
            does="separates screen and keyboard",
            label="Laptop stand, with separate keyboard and mouse",
            apply=_apart(LAPTOP_STAND),
        )
    ]


def feet_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """Supports for the feet beside those that are there already; a wheelchair has its footplates."""
    station = case.workstation
    if station.feet is None or case.own_seat:
        return []
    found: list[Addition] = []
    if tier != "lasting":
        found += [_stack("feet", one) for one in stacks_of(station.items, "feet", taken)]
    if tier != "room":
        found.append(
            Addition(
                id="footrest",
                slot="feet",
                label="Footrest, 6 to 15 cm",
                price="small",
                does="supports the feet",
                apply=_feet(FOOTREST),
            )
        )
    return found


def screen_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """What lifts the picture; what stands on the surface only, and only where its range is known."""
    screen = case.workstation.screen
    if screen.kind == ScreenKind.LAPTOP or screen.top_above_surface is None:
        return []
    found: list[Addition] = []
    stands = screen.held not in (ScreenHolder.ARM, ScreenHolder.WALL)
    if stands and tier != "lasting":
        found += [
            _stack("screen", one) for one in stacks_of(case.workstation.items, "screen", taken)
        ]
    if stands and tier != "room":
        found.append(
            Addition(
                id="screen_riser",
                slot="screen",
                label="Screen riser, 5 to 15 cm",
                price="small",
                does="raises the screen",
                apply=_lift(SCREEN_RISER),
            )
        )
    if stands and tier == "lasting" and screen.height is not None:
        found.append(
            Addition(
                id="screen_arm",
                slot="screen",
                label="Screen arm",
                price="medium",
                does="adjusts screen height and distance",
                apply=_arm,
            )
        )
    return found


def pointer_additions(case: Case, tier: Tier) -> list[Addition]:
    """Ways to bring the mouse nearer, the cheapest first."""
    station = case.workstation
    if station.mouse.kind == PointerKind.CENTRAL or station.mouse.hand is None:
        return []
    found = [
        Addition(
            id="other_hand",
            slot="pointer",
            label="Try the mouse in the other hand",
            price="nothing",
            does="brings the mouse nearer",
            apply=_other_hand,
        )
    ]
    if tier != "room":
        if station.keyboard.kind == KeyboardKind.FULL:
            found.append(
                Addition(
                    id="short_keyboard",
                    slot="pointer",
                    price="small",
                    label="Keyboard without number pad",
                    does="brings the mouse nearer",
                    apply=_keyboard(KeyboardKind.NO_NUMBER_BLOCK),
                )
            )
        found.append(
            Addition(
                id="central_pointer",
                slot="pointer",
                price="small",
                label="Central pointing device",
                does="keeps the arm close to the body",
                apply=_central,
            )
        )
    return found
