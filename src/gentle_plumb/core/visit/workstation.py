"""From the record of a visit to the pieces of its workstation."""

from __future__ import annotations

from dataclasses import replace

from ..choices import YesNo
from ..record import Field, Record, SpanField, fields
from ..record.fields.screens import ScreenFields
from ..workstation import (
    FIXED_DESKS,
    LAPTOP_PICTURE_HEIGHT_MM,
    STACKED,
    SUPPORTS,
    AspectRatio,
    Chair,
    ChairKind,
    Desk,
    DeskKind,
    Item,
    Keyboard,
    LaptopKeys,
    LumbarKind,
    Mouse,
    Screen,
    ScreenKind,
    Span,
    TiltFeet,
    Workstation,
)

FEET_OUT_DEG = 8.0
"""What a keyboard's feet lift its back edge by, degrees. Source: house-keyboard."""
LAPTOP_RATIO = AspectRatio.TALLER
"""Shape of a laptop's picture where it is not recorded. Source: house-laptop."""


def workstation_from(record: Record) -> Workstation:
    """Return the pieces that the record makes. Nothing missing is filled in."""
    keyboard, kind = fields.keyboard, _chair_kind(record)
    return Workstation(
        chair=_chair(record, kind),
        desk=_desk(record),
        keyboard=Keyboard(
            kind=record[keyboard.kind],
            thickness=record[keyboard.thickness],
            slope=FEET_OUT_DEG if record[keyboard.feet] == TiltFeet.OUT else 0.0,
            turned=record[keyboard.turned] or 0.0,
        ),
        mouse=Mouse(hand=record[fields.ask.mouse_hand], kind=record[fields.pointer.kind]),
        screen=_screen(record),
        feet=_feet(record, kind),
        items=_items(record),
        unmeasured=_unmeasured(record),
    )


def _span(record: Record, span: SpanField) -> Span | None:
    """Return the range of a piece; one end alone is a fixed piece, swapped ends are put right."""
    ends = [end for field in (span.low, span.high) if (end := record[field]) is not None]
    step = record[span.step] if span.step is not None else None
    return Span(low=min(ends), high=max(ends), step=step) if ends else None


def _shift(span: Span | None, by: float | None) -> Span | None:
    return span.shifted(by) if span and by is not None else None


def _fixed_at(record: Record, field: Field[float]) -> Span | None:
    at = record[field]
    return Span(low=at, high=at) if at is not None else None


def _chair_kind(record: Record) -> ChairKind | None:
    """Return what is sat on; said in Ask, the seating is the client's own, whatever piece is named."""
    own = record.yes(fields.ask.precaution["wheelchair"].there)
    return ChairKind.WHEELCHAIR if own else record[fields.chair.kind]


def _chair(record: Record, kind: ChairKind | None) -> Chair:
    """Return the chair; a wheelchair's seat is fixed as found, since nobody moves it here."""
    chair = fields.chair
    sinks = record[chair.sink] if record.applies(chair.sink) else None
    seat = _shift(_span(record, chair.seat), -(sinks or 0.0))
    if kind == ChairKind.WHEELCHAIR:
        seat = _fixed_at(record, fields.found.seat)
    backless = kind in (ChairKind.STOOL, ChairKind.BALL)
    no_pad = backless or record[chair.lumbar_kind] == LumbarKind.NONE
    return Chair(
        kind=kind,
        seat=seat,
        depth=_span(record, chair.depth),
        armrests=record[chair.armrests],
        armrest=_span(record, chair.armrest),
        armrests_off=record.yes(chair.armrests_off),
        recline=_shift(_span(record, chair.backrest), -90.0),
        lumbar=None if no_pad else _span(record, chair.lumbar),
        lock=record[chair.lock],
    )


def _over_tray(record: Record) -> Span | None:
    """Return the height of the desk over a tray: its range where it moves, else as read."""
    moves = record[fields.desk.kind] == DeskKind.SIT_STAND
    moving = _span(record, fields.desk.surface) if moves else None
    return moving if moving is not None else _fixed_at(record, fields.tray.desk)


def _keys_surface(record: Record, kind: DeskKind | None) -> Span | None:
    """Return how high what the keyboard stands on can be: desk, tray, deck or cart's tray."""
    if record.yes(fields.tray.there):
        below, desk = _span(record, fields.tray.below), _over_tray(record)
        if below is None or desk is None:
            return None
        return Span(low=desk.low - below.high, high=desk.high - below.low)
    if kind == DeskKind.PLATFORM:
        return _shift(_span(record, fields.platform.keys), record[fields.platform.desk])
    if kind == DeskKind.CART:
        return _span(record, fields.cart.tray)
    surface = _span(record, fields.desk.surface)
    if kind in FIXED_DESKS:
        at = record[fields.found.surface]
        at = at if at is not None else surface.low if surface is not None else None
        return Span(low=at, high=at) if at is not None else None
    return surface


def _desk(record: Record) -> Desk:
    """Return what the keyboard stands on, and what the screen does where that is something else."""
    kind, asked = record[fields.desk.kind], fields.desk
    risers = record[asked.risers]
    desk = Desk(
        kind=None if kind is None else "fixed" if kind in FIXED_DESKS else "sit_stand",
        surface=_keys_surface(record, kind),
        thickness=record[asked.thickness],
        depth=record[asked.depth],
        under=record[asked.under],
        risers=None if risers is None else risers == YesNo.YES,
        form=kind,
    )
    if record.yes(fields.tray.there):
        return _with_tray(record, desk)
    if kind == DeskKind.PLATFORM:
        under, thickness = record[fields.platform.desk], desk.thickness
        return replace(
            desk,
            screen_base=_shift(_span(record, fields.platform.screen), under),
            beside=under,
            underside=under - thickness if under is not None and thickness is not None else None,
        )
    if kind == DeskKind.CART:
        cart = fields.cart
        return replace(
            desk,
            tilt=_span(record, cart.tilt),
            screen_base=_span(record, cart.worktop),
            mouse_below=record[cart.mouse_below] or 0.0,
        )
    return desk


def _with_tray(record: Record, desk: Desk) -> Desk:
    """Return a desk with a tray: the keys on the tray, the screen on the desk."""
    tray = fields.tray
    return replace(
        desk,
        form="tray",
        beside=record[tray.desk],
        screen_base=_over_tray(record),
        tilt=_span(record, tray.tilt),
        below=_span(record, tray.below),
        thickness=record[tray.thickness],
    )


def picture_of(record: Record, screen: ScreenFields) -> tuple[float | None, float | None]:
    """Return width and height of a screen's picture, mm; None where its size is not recorded."""
    diagonal, aspect = record[screen.diagonal], record[screen.aspect]
    return Screen.picture(diagonal, aspect) if diagonal and aspect else (None, None)


def _screen(record: Record) -> Screen:
    """Return the main screen. A laptop with keys of its own apart is a screen that can be raised."""
    asked = fields.screens.main
    kind, top = record[asked.kind], _span(record, asked.top)
    pixels = record[asked.pixels_across]
    if kind == ScreenKind.LAPTOP:
        if record[fields.screens.keys] != LaptopKeys.SEPARATE:
            return Screen(kind=ScreenKind.LAPTOP, pixels_across=pixels)
        return Screen(
            kind=ScreenKind.MONITOR,
            height=LAPTOP_PICTURE_HEIGHT_MM,
            width=LAPTOP_PICTURE_HEIGHT_MM * LAPTOP_RATIO.ratio,
            top_above_surface=top,
            depth_behind=0.0,
            pixels_across=pixels,
        )
    width, height = picture_of(record, asked)
    return Screen(
        kind=None if kind is None else ScreenKind.MONITOR,
        width=width,
        height=height,
        top_above_surface=top,
        depth_behind=record[asked.depth_behind],
        tilt_deg=_span(record, asked.tilt),
        held=record[asked.held],
        pixels_across=pixels,
    )


def _feet(record: Record, chair: ChairKind | None) -> tuple[Span, ...] | None:
    """Return the supports for the feet; None where nobody has looked, or a wheelchair has its own."""
    there = record[fields.supports.at_hand["footrest"].there]
    if there is None or chair == ChairKind.WHEELCHAIR:
        return None
    if there == YesNo.NO:
        return ()
    span = _span(record, fields.supports.footrest_height)
    return (span,) if span is not None else None


def _unmeasured(record: Record) -> tuple[str, ...]:
    """Return the names of what is at hand for stacks and has no thickness on record."""
    at_hand = fields.supports.at_hand
    return tuple(
        SUPPORTS[id][0]
        for id in STACKED
        if record.yes(at_hand[id].there) and record[fields.supports.thickness[id]] is None
    )


def _items(record: Record) -> tuple[Item, ...]:
    """Return what is at hand for stacks: whole pieces whose thickness is known."""
    items = []
    for id, uses in STACKED.items():
        asked, thickness = fields.supports.at_hand[id], record[fields.supports.thickness[id]]
        if thickness is None or not record.yes(asked.there):
            continue
        count = record[asked.count] if asked.count is not None else None
        items.append(
            Item(
                id=id,
                label=SUPPORTS[id][0],
                thickness=thickness,
                uses=uses,
                count=int(count) if count is not None else 1,
            )
        )
    return tuple(items)
