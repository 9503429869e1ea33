"""From the record to what the keyboard stands on, and the screen."""

from __future__ import annotations

from dataclasses import replace

from ..choices import YesNo
from ..record import Record, fields
from ..workstation import FIXED_DESKS, LOUNGES, PLATFORMS, Desk, DeskKind, Span, StandsOn
from .ranges import fixed_at, shifted, span_from


def _over_tray(record: Record) -> Span | None:
    """Return the height of the desk over a tray: its range where it moves, else as read."""
    moves = record[fields.desk.kind] == DeskKind.SIT_STAND
    moving = span_from(record, fields.desk.surface) if moves else None
    return moving if moving is not None else fixed_at(record, fields.tray.desk)


def _keys_surface(record: Record, kind: DeskKind | None) -> Span | None:
    """Return how high what the keyboard stands on can be: desk, tray, deck or cart's tray."""
    if record.yes(fields.tray.there):
        below, desk = span_from(record, fields.tray.below), _over_tray(record)
        if below is None or desk is None:
            return None
        return Span(low=desk.low - below.high, high=desk.high - below.low)
    if kind in PLATFORMS:
        return shifted(span_from(record, fields.platform.keys), record[fields.platform.desk])
    if kind == DeskKind.CART:
        return span_from(record, fields.cart.tray)
    surface = span_from(record, fields.desk.surface)
    if kind is None and surface is None and record[fields.chair.kind] in LOUNGES:
        return fixed_at(record, fields.found.surface)  # a lap, or a tray on it
    if kind in FIXED_DESKS:
        position = record[fields.found.surface]
        position = (
            position if position is not None else surface.low if surface is not None else None
        )
        return Span(low=position, high=position) if position is not None else None
    return surface


def desk_from(record: Record) -> Desk:
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
    if kind in PLATFORMS:
        return _with_platform(record, desk)
    if kind == DeskKind.CART:
        cart = fields.cart
        return replace(
            desk,
            tilt=span_from(record, cart.tilt),
            screen_base=span_from(record, cart.worktop),
            mouse_below=record[cart.mouse_below] or 0.0,
        )
    return desk


def _with_platform(record: Record, desk: Desk) -> Desk:
    """Return a desk under a platform: the screen on a deck of its own, carried along, or left below."""
    asked, under, thickness = fields.platform, record[fields.platform.desk], desk.thickness
    base, below = shifted(span_from(record, asked.screen), under), None
    if desk.form == DeskKind.CARRIER:
        over = record[asked.deck_over_keys] or 0.0
        base, below = shifted(desk.surface, over), Span(low=over, high=over)
    if record[fields.screens.main.stands_on] == StandsOn.DESK and desk.form == DeskKind.PLATFORM:
        base = Span(low=under, high=under) if under is not None else None
    return replace(
        desk,
        screen_base=base,
        below=below if base is not None else None,
        beside=under,
        underside=under - thickness if under is not None and thickness is not None else None,
    )


def _with_tray(record: Record, desk: Desk) -> Desk:
    """Return a desk with a tray: the keys on the tray, the screen on the desk."""
    tray = fields.tray
    return replace(
        desk,
        form="tray",
        beside=record[tray.desk],
        screen_base=_over_tray(record),
        tilt=span_from(record, tray.tilt),
        below=span_from(record, tray.below),
        thickness=record[tray.thickness],
        top_thickness=record[fields.desk.thickness],
    )
