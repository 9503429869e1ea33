"""Generic desks, platforms, carts and trays. Heights are loaded and in cm."""

from __future__ import annotations

from ...choices import YesNo
from ...workstation import DeskEdge, DeskKind, Lever, UnderDesk
from ..fields import cart, desk, platform, tray
from .kind import shelf_kind

DESKS = (
    shelf_kind(
        "fixed",
        "desk",
        "Fixed desk",
        {
            desk.kind: DeskKind.FIXED,
            desk.thickness: "3 cm",
            desk.under: UnderDesk.FREE,
            desk.depth: "80 cm",
            desk.width: "160 cm",
            desk.edge: DeskEdge.ROUNDED,
            desk.risers: YesNo.YES,
        },
    ),
    shelf_kind(
        "fixed_drawer",
        "desk",
        "Fixed desk with a drawer",
        {
            desk.kind: DeskKind.FIXED,
            desk.thickness: "12 cm",
            desk.under: UnderDesk.DRAWER,
            desk.depth: "70 cm",
            desk.width: "140 cm",
            desk.edge: DeskEdge.SHARP,
            desk.risers: YesNo.YES,
        },
    ),
    shelf_kind(
        "sit_stand",
        "desk",
        "Sit-stand desk",
        {
            desk.kind: DeskKind.SIT_STAND,
            desk.surface.low: "62 cm",
            desk.surface.high: "127 cm",
            desk.thickness: "2.5 cm",
            desk.under: UnderDesk.CROSSBAR,
            desk.depth: "80 cm",
            desk.width: "160 cm",
            desk.edge: DeskEdge.ROUNDED,
            desk.display: YesNo.YES,
            desk.presets: "4",
            desk.speed: "35",
            desk.lever: Lever.KEYS,
        },
    ),
    shelf_kind(
        "platform",
        "desk",
        "Desktop converter",
        {
            desk.kind: DeskKind.PLATFORM,
            desk.thickness: "3 cm",
            desk.under: UnderDesk.FREE,
            desk.depth: "75 cm",
            desk.edge: DeskEdge.ROUNDED,
            platform.keys.low: "2 cm",
            platform.keys.high: "42 cm",
            platform.screen.low: "13 cm",
            platform.screen.high: "53 cm",
        },
    ),
    shelf_kind(
        "carrier",
        "desk",
        "Desktop converter, one piece",
        {
            desk.kind: DeskKind.CARRIER,
            desk.thickness: "3 cm",
            desk.under: UnderDesk.FREE,
            desk.depth: "60 cm",
            desk.edge: DeskEdge.ROUNDED,
            platform.keys.low: "3 cm",
            platform.keys.high: "40 cm",
            platform.deck_over_keys: "12 cm",
        },
    ),
    shelf_kind(
        "counter",
        "desk",
        "Kitchen counter",
        {
            desk.kind: DeskKind.COUNTER,
            desk.thickness: "4 cm",
            desk.under: UnderDesk.DRAWER,
            desk.depth: "60 cm",
            desk.edge: DeskEdge.SHARP,
        },
    ),
    shelf_kind(
        "table",
        "desk",
        "Kitchen table",
        {
            desk.kind: DeskKind.FIXED,
            desk.thickness: "9 cm",
            desk.under: UnderDesk.CROSSBAR,
            desk.depth: "80 cm",
            desk.edge: DeskEdge.ROUNDED,
            desk.risers: YesNo.NO,
        },
    ),
    shelf_kind(
        "cart",
        "desk",
        "Wheeled cart",
        {
            desk.kind: DeskKind.CART,
            desk.thickness: "3 cm",
            desk.depth: "50 cm",
            desk.edge: DeskEdge.ROUNDED,
            cart.worktop.low: "80 cm",
            cart.worktop.high: "120 cm",
            cart.tray.low: "76 cm",
            cart.tray.high: "116 cm",
            cart.tilt.low: "-10",
            cart.tilt.high: "10",
            cart.mouse_below: "5 cm",
        },
    ),
    shelf_kind(
        "tray",
        "tray",
        "Under-desk keyboard tray",
        {
            tray.there: YesNo.YES,
            tray.below.low: "5 cm",
            tray.below.high: "18 cm",
            tray.tilt.low: "-15",
            tray.tilt.high: "10",
            tray.thickness: "3 cm",
            tray.width: "68 cm",
            tray.mouse: YesNo.YES,
            tray.track: "55 cm",
        },
    ),
)
