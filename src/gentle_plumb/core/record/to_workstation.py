"""From the entries of a visit to the pieces of its workstation."""

from __future__ import annotations

from dataclasses import replace

from ..choices import one_of
from ..workstation import HANDS, Chair, Desk, Item, Keyboard, Mouse, Screen, Span, Workstation
from ..workstation.equipment import (
    ARMREST_KINDS,
    ASPECTS,
    KEYBOARD_KINDS,
    LAPTOP_PICTURE_HEIGHT_MM,
    UNDER_KINDS,
)
from ..workstation.kinds import FIXED_DESKS, STACKED, SUPPORTS
from .fields import FIELDS, applies
from .to_body import Entries, number_at, text_at

FEET_OUT_DEG = 8.0
"""What a keyboard's feet lift its back edge by, degrees. Source: house-keyboard."""


def _span(entries: Entries, low_path: str, high_path: str) -> Span | None:
    """The range of a piece; one end alone is a fixed piece, swapped ends are put right."""
    ends = [end for path in (low_path, high_path) if (end := number_at(entries, path)) is not None]
    step = number_at(entries, f"{low_path.removesuffix('_min')}_step")
    return Span(low=min(ends), high=max(ends), step=step) if ends else None


def _shift(span: Span | None, by: float | None) -> Span | None:
    return span.shifted(by) if span and by is not None else None


def _chair(entries: Entries) -> Chair:
    """A chair; a wheelchair's seat is fixed as found, since nobody moves it here."""
    kind = text_at(entries, "look.chair.kind")
    if entries.get("ask.care.wheelchair") == "yes":
        kind = "wheelchair"  # said in Ask: the seating is the client's own, whatever piece is named
    sinks = (
        number_at(entries, "look.chair.sink")
        if applies(FIELDS["look.chair.sink"], entries)
        else None
    )
    seat = _shift(_span(entries, "look.chair.seat_min", "look.chair.seat_max"), -(sinks or 0.0))
    if kind == "wheelchair":
        at = number_at(entries, "look.found.seat")
        seat = Span(low=at, high=at) if at is not None else None
    bare = kind in ("stool", "ball") or text_at(entries, "look.chair.lumbar_kind") == "none"
    return Chair(
        kind=kind,
        seat=seat,
        depth=_span(entries, "look.chair.depth_min", "look.chair.depth_max"),
        armrests=one_of(ARMREST_KINDS, entries.get("look.chair.armrests")),
        armrest=_span(entries, "look.chair.armrest_min", "look.chair.armrest_max"),
        armrests_off=entries.get("look.chair.armrests_off") == "yes",
        recline=_shift(_span(entries, "look.chair.backrest_min", "look.chair.backrest_max"), -90.0),
        lumbar=None if bare else _span(entries, "look.chair.lumbar_min", "look.chair.lumbar_max"),
    )


def _desk_surface(entries: Entries, kind: str | None) -> Span | None:
    """How high what the keyboard stands on can be: desk, tray, deck or cart's tray."""
    if entries.get("look.tray.there") == "yes":
        below = _span(entries, "look.tray.below_min", "look.tray.below_max")
        over = number_at(entries, "look.tray.desk")
        moving = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
        desk = Span(low=over, high=over) if over is not None else None
        desk = moving if kind == "sit_stand" and moving is not None else desk
        if below is None or desk is None:
            return None
        return Span(low=desk.low - below.high, high=desk.high - below.low)
    if kind == "platform":
        deck = _span(entries, "look.platform.keys_min", "look.platform.keys_max")
        return _shift(deck, number_at(entries, "look.platform.desk"))
    if kind == "cart":
        return _span(entries, "look.cart.tray_min", "look.cart.tray_max")
    surface = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
    if kind in FIXED_DESKS:
        at = number_at(entries, "look.found.surface")
        at = at if at is not None else surface.low if surface is not None else None
        return Span(low=at, high=at) if at is not None else None
    return surface


def _tilt(entries: Entries, prefix: str) -> Span | None:
    return _span(entries, f"{prefix}_min", f"{prefix}_max")


def _desk(entries: Entries) -> Desk:
    """What the keyboard stands on, and what the screen does where that is something else."""
    kind, surface = text_at(entries, "look.desk.kind"), None
    surface = _desk_surface(entries, kind)
    desk = Desk(
        kind=None if kind is None else "fixed" if kind in FIXED_DESKS else "sit_stand",
        surface=surface,
        thickness=number_at(entries, "look.desk.thickness"),
        depth=number_at(entries, "look.desk.depth"),
        under=one_of(UNDER_KINDS, entries.get("look.desk.under")),
        risers={"yes": True, "no": False}.get(text_at(entries, "look.desk.risers") or ""),
        form=kind,
    )
    if entries.get("look.tray.there") == "yes":
        return _with_tray(entries, desk, kind)
    if kind == "platform":
        under, thickness = number_at(entries, "look.platform.desk"), desk.thickness
        screen = _span(entries, "look.platform.screen_min", "look.platform.screen_max")
        return replace(
            desk,
            screen_base=_shift(screen, under),
            beside=under,
            underside=under - thickness if under is not None and thickness is not None else None,
        )
    if kind == "cart":
        return replace(
            desk,
            tilt=_tilt(entries, "look.cart.tilt"),
            screen_base=_span(entries, "look.cart.worktop_min", "look.cart.worktop_max"),
            mouse_below=number_at(entries, "look.cart.mouse_below") or 0.0,
        )
    return desk


def _with_tray(entries: Entries, desk: Desk, kind: str | None) -> Desk:
    """A tray under a desk: the keys on the tray, the screen on the desk."""
    over = number_at(entries, "look.tray.desk")
    moving = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
    base = moving if kind == "sit_stand" and moving is not None else None
    if base is None and over is not None:
        base = Span(low=over, high=over)
    return replace(
        desk,
        form="tray",
        beside=over,
        screen_base=base,
        tilt=_tilt(entries, "look.tray.tilt"),
        below=_span(entries, "look.tray.below_min", "look.tray.below_max"),
        thickness=number_at(entries, "look.tray.thickness"),
    )


def _screen(entries: Entries) -> Screen:
    """The main screen. A laptop with keys of its own apart is a screen that can be raised."""
    kind = text_at(entries, "look.screen.kind")
    top = _span(entries, "look.screen.top_min", "look.screen.top_max")
    pixels = number_at(entries, "look.screen.pixels_across")
    if kind == "laptop":
        joined = entries.get("look.screen.keys") != "separate"
        return Screen(
            kind="laptop" if joined else "monitor",
            height=None if joined else LAPTOP_PICTURE_HEIGHT_MM,
            width=None if joined else LAPTOP_PICTURE_HEIGHT_MM * ASPECTS["16:10"],
            top_above_surface=None if joined else top,
            depth_behind=None if joined else 0.0,
            pixels_across=pixels,
        )
    diagonal = number_at(entries, "look.screen.diagonal")
    aspect = text_at(entries, "look.screen.aspect")
    size = Screen.picture(diagonal, aspect) if diagonal is not None and aspect else (None, None)
    return Screen(
        kind=None if kind is None else "monitor",
        width=size[0],
        height=size[1],
        top_above_surface=top,
        depth_behind=number_at(entries, "look.screen.depth_behind"),
        tilt_deg=_span(entries, "look.screen.tilt_min", "look.screen.tilt_max"),
        held=text_at(entries, "look.screen.held"),
        pixels_across=pixels,
    )


def feet_of(entries: Entries) -> tuple[Span, ...] | None:
    """Supports for the feet that are there; None where nobody has looked, or a wheelchair has its own."""
    there = entries.get("look.support.footrest")
    wheels = entries.get("look.chair.kind"), entries.get("ask.care.wheelchair")
    if there is None or "wheelchair" in wheels or "yes" in wheels:
        return None
    span = _span(entries, "look.footrest.height_min", "look.footrest.height_max")
    if there == "no":
        return ()
    return (span,) if span is not None else None


def unmeasured_of(entries: Entries) -> tuple[str, ...]:
    """Names of what is at hand for stacks and has no thickness on record."""
    return tuple(
        SUPPORTS[id][0]
        for id in STACKED
        if entries.get(f"look.support.{id}") == "yes"
        and number_at(entries, f"look.support.{id}.height") is None
    )


def items_of(entries: Entries) -> tuple[Item, ...]:
    """What is at hand for stacks: whole pieces whose thickness is known."""
    found = []
    for id, uses in STACKED.items():
        thickness = number_at(entries, f"look.support.{id}.height")
        if entries.get(f"look.support.{id}") != "yes" or thickness is None:
            continue
        count = number_at(entries, f"look.support.{id}.count")
        found.append(
            Item(
                id=id,
                label=SUPPORTS[id][0],
                thickness=thickness,
                uses=uses,
                count=int(count) if count is not None else 1,
            )
        )
    return tuple(found)


def workstation_from(entries: Entries) -> Workstation:
    """The pieces that the entries make. Nothing missing is filled in."""
    return Workstation(
        chair=_chair(entries),
        desk=_desk(entries),
        keyboard=Keyboard(
            kind=one_of(KEYBOARD_KINDS, entries.get("look.keyboard.kind")),
            thickness=number_at(entries, "look.keyboard.thickness"),
            slope=FEET_OUT_DEG if entries.get("look.keyboard.feet") == "out" else 0.0,
            turned=number_at(entries, "look.keyboard.turned") or 0.0,
        ),
        mouse=Mouse(
            hand=one_of(HANDS, entries.get("ask.mouse_hand")),
            kind=text_at(entries, "look.pointer.kind"),
        ),
        screen=_screen(entries),
        feet=feet_of(entries),
        items=items_of(entries),
        unmeasured=unmeasured_of(entries),
    )
