"""From the record of a visit to the pieces of its workstation."""

from __future__ import annotations

from ..choices import YesNo
from ..record import Record, fields
from ..record.fields.screens import ScreenFields
from ..workstation import (
    BACKLESS,
    LAPTOP_PICTURE_HEIGHT_MM,
    LOUNGES,
    STACKED,
    SUPPORTS,
    USUAL_FOOTREST,
    USUAL_MM,
    AspectRatio,
    Chair,
    ChairKind,
    GasSpring,
    Item,
    Keyboard,
    LaptopKeys,
    LumbarKind,
    Mouse,
    Screen,
    ScreenKind,
    Span,
    Stability,
    TiltFeet,
    Workstation,
)
from .desk import desk_from
from .ranges import fixed_at, shifted, span_from

FEET_OUT_DEG = 8.0
"""What a keyboard's feet lift its back edge by, degrees. Source: house-keyboard."""
LAPTOP_RATIO = AspectRatio.TALLER
"""Shape of a laptop's picture where it is not recorded. Source: house-laptop."""


def workstation_from(record: Record) -> Workstation:
    """Return the pieces that the record makes; of what is missing only the usual size of what is at hand is filled in."""
    keyboard, kind, screen = fields.keyboard, _chair_kind(record), _screen(record)
    return Workstation(
        chair=_chair(record, kind),
        desk=desk_from(record),
        keyboard=Keyboard(
            kind=record[keyboard.kind],
            thickness=record[keyboard.thickness],
            slope=FEET_OUT_DEG if record[keyboard.feet] == TiltFeet.OUT else 0.0,
            turned=record[keyboard.turned] or 0.0,
        ).under(screen),
        mouse=Mouse(hand=record[fields.ask.mouse_hand], kind=record[fields.pointer.kind]),
        screen=screen,
        feet=_feet(record, kind),
        feet_assumed=record.yes(fields.supports.at_hand["footrest"].there)
        and span_from(record, fields.supports.footrest_height) is None,
        items=_items(record),
        unmeasured=_unmeasured(record),
        other_seat=span_from(record, fields.supports.other_chair)
        if record.yes(fields.supports.at_hand["other_chair"].there)
        else None,
        at_hand=frozenset(
            id
            for id in ("headset", "document_holder")
            if record.yes(fields.supports.at_hand[id].there)
        ),
    )


def _chair_kind(record: Record) -> ChairKind | None:
    """Return what is sat on; said in Ask, the seating is the client's own, whatever piece is named."""
    own = record.yes(fields.conditions.precaution["wheelchair"].there)
    return ChairKind.WHEELCHAIR if own else record[fields.chair.kind]


def _chair(record: Record, kind: ChairKind | None) -> Chair:
    """Return the chair; the seat of a wheelchair, sofa or bed is fixed as found, since nobody moves it here."""
    chair = fields.chair
    sinks = record[chair.sink] if record.applies(chair.sink) else None
    seat = shifted(span_from(record, chair.seat), -(sinks or 0.0))
    if kind == ChairKind.WHEELCHAIR or kind in LOUNGES:
        seat = fixed_at(record, fields.found.seat)
    backless = kind in BACKLESS
    lumbar = record[chair.lumbar_kind]
    no_pad = backless or lumbar == LumbarKind.NONE
    sways = record[chair.stability] in (Stability.WOBBLES, Stability.TIPS)
    gives = record.applies(chair.lift) and record[chair.lift] in (GasSpring.SINKS, GasSpring.BROKEN)
    return Chair(
        kind=kind,
        seat=seat,
        depth=span_from(record, chair.depth),
        armrests=record[chair.armrests],
        armrest=span_from(record, chair.armrest),
        armrests_off=record.yes(chair.armrests_off),
        armrests_turn=record.yes(chair.armrest_turn),
        armrest_gap=span_from(record, chair.armrest_gap),
        recline=shifted(span_from(record, chair.backrest), -90.0),
        lumbar=None if no_pad else span_from(record, chair.lumbar),
        lock=record[chair.lock],
        slope=span_from(record, chair.slope),
        supports_back=None if lumbar is None and not backless else not no_pad,
        steady=not (sways or gives),
    )


def _with_what_comes_off(record: Record, asked: ScreenFields, top: Span | None) -> Span | None:
    """Return where a picture can be when what its screen stands on may be taken away as well."""
    lifted = record[asked.lifted_by]
    if top is None or lifted is None or not record.yes(asked.comes_off):
        return top
    step = lifted if top.fixed else top.step
    return Span(low=max(0.0, top.low - lifted), high=top.high, step=step)


def picture_of(record: Record, screen: ScreenFields) -> tuple[float | None, float | None]:
    """Return width and height of a screen's picture, mm; None where its size is not recorded."""
    diagonal, aspect = record[screen.diagonal], record[screen.aspect]
    return Screen.picture(diagonal, aspect) if diagonal and aspect else (None, None)


def _screen(record: Record) -> Screen:
    """Return the main screen. A laptop with keys of its own apart is a screen that can be raised."""
    asked = fields.screens.main
    kind, top = record[asked.kind], span_from(record, asked.top)
    pixels = record[asked.pixels_across]
    if kind == ScreenKind.LAPTOP:
        diagonal = record[fields.screens.laptop_diagonal]
        own = Screen.picture(diagonal, LAPTOP_RATIO) if diagonal else (None, None)
        if record[fields.screens.keys] != LaptopKeys.SEPARATE:
            return Screen(kind=ScreenKind.LAPTOP, width=own[0], height=own[1], pixels_across=pixels)
        usual = LAPTOP_PICTURE_HEIGHT_MM * LAPTOP_RATIO.ratio, LAPTOP_PICTURE_HEIGHT_MM
        return Screen(
            kind=ScreenKind.MONITOR,
            width=own[0] or usual[0],
            height=own[1] or usual[1],
            top_above_surface=top,
            depth_behind=0.0,
            pixels_across=pixels,
        )
    width, height = picture_of(record, asked)
    return Screen(
        kind=None if kind is None else ScreenKind.MONITOR,
        width=width,
        height=height,
        top_above_surface=_with_what_comes_off(record, asked, top),
        depth_behind=record[asked.depth_behind],
        tilt_deg=span_from(record, asked.tilt),
        held=record[asked.held],
        pixels_across=pixels,
    )


def _feet(record: Record, chair: ChairKind | None) -> tuple[Span, ...] | None:
    """Return the supports for the feet; None where nobody has looked, or a wheelchair has its own.

    A footrest whose range is not recorded is taken as an everyday one.
    """
    there = record[fields.supports.at_hand["footrest"].there]
    if there is None or chair == ChairKind.WHEELCHAIR or chair in LOUNGES:
        return None
    if there == YesNo.NO:
        return ()
    span = span_from(record, fields.supports.footrest_height)
    return (span if span is not None else USUAL_FOOTREST,)


def _unmeasured(record: Record) -> tuple[str, ...]:
    """Return the names of what is at hand for stacks, whose thickness has to be asked for."""
    at_hand = fields.supports.at_hand
    return tuple(
        SUPPORTS[id][0]
        for id in STACKED
        if id not in USUAL_MM
        and record.yes(at_hand[id].there)
        and record[fields.supports.thickness[id]] is None
    )


def _items(record: Record) -> tuple[Item, ...]:
    """Return what is at hand for stacks: whole pieces, measured or of a usual thickness."""
    items = []
    for id, uses in STACKED.items():
        asked, thickness = fields.supports.at_hand[id], record[fields.supports.thickness[id]]
        usual = USUAL_MM.get(id)
        if not record.yes(asked.there) or (thickness is None and usual is None):
            continue
        assumed = {} if thickness is not None or usual is None else {"error": usual[1]}
        count = record[asked.count] if asked.count is not None else None
        items.append(
            Item(
                id=id,
                label=SUPPORTS[id][0],
                thickness=thickness if thickness is not None else usual[0] if usual else 0.0,
                assumed=bool(assumed),
                uses=uses,
                count=int(count) if count is not None else 1,
                **assumed,
            )
        )
    return tuple(items)


def levers_of(record: Record) -> dict[str, str]:
    """Return what moves each quantity, in words; what nobody recorded is left out."""
    asked = {**fields.chair.lever, "surface": fields.desk.lever}
    return {
        key: lever.label for key, field in asked.items() if (lever := record[field]) is not None
    }
