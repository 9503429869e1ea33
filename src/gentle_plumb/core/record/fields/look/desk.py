"""What the keyboard stands on: desk, platform, cart, tray."""

from __future__ import annotations

from ....workstation.kinds import DESKS, YES_NO
from ..field import When, amount, choice, length, span, turn

_MOVES: When = (("look.desk.kind", ("sit_stand",)),)
_PLATFORM: When = (("look.desk.kind", ("platform",)),)
_CART: When = (("look.desk.kind", ("cart",)),)
_SHOWN: When = (("look.desk.display", ("yes",)),)

DESK = (
    choice("look.desk.kind", "Desk", "Kind of desk", DESKS, needed=True, part="surface"),
    *span(
        "look.desk.surface",
        "Desk",
        "Surface",
        350,
        1500,
        part="surface",
        when=_MOVES,
        help="What it can do. A fixed desk's one height is taken as found.",
    ),
    length(
        "look.desk.surface_step",
        "Desk",
        "Surface goes in steps of",
        1,
        200,
        part="surface",
        when=_MOVES,
        help="Left open where it stops anywhere.",
    ),
    length(
        "look.desk.thickness",
        "Desk",
        "Surface to lowest part over the thighs",
        5,
        300,
        part="surface",
        needed=True,
        help="A drawer or crossbar counts.",
    ),
    choice(
        "look.desk.under",
        "Desk",
        "Underneath",
        {"free": "Free", "drawer": "Drawer", "crossbar": "Crossbar"},
        part="surface",
    ),
    length("look.desk.depth", "Desk", "Depth, front to back", 200, 1500, part="desk_depth"),
    length("look.desk.width", "Desk", "Width", 300, 4000),
    choice("look.desk.edge", "Desk", "Front edge", {"rounded": "Rounded", "sharp": "Sharp"}),
    choice("look.desk.display", "Desk", "Shows its height", YES_NO, when=_MOVES, part="surface"),
    length(
        "look.desk.display_reads",
        "Desk",
        "The display reads",
        300,
        1600,
        when=_SHOWN,
        part="surface",
        help="One pair of readings: the display, and the tape in the same setting.",
    ),
    length(
        "look.desk.display_tape", "Desk", "The tape reads", 300, 1600, when=_SHOWN, part="surface"
    ),
    amount("look.desk.presets", "Desk", "Presets", "", 0, 20, when=_MOVES),
    amount("look.desk.speed", "Desk", "Speed", "mm/s", 1, 100, when=_MOVES),
    choice(
        "look.desk.risers",
        "Desk",
        "Can stand on risers",
        YES_NO,
        when=(("look.desk.kind", ("fixed", "platform")),),
    ),
    length("look.platform.desk", "Desk", "Desk under the platform", 350, 1200, when=_PLATFORM),
    *span(
        "look.platform.keys",
        "Desk",
        "Platform's key deck over the desk",
        0,
        700,
        part="surface",
        when=_PLATFORM,
    ),
    *span(
        "look.platform.screen",
        "Desk",
        "Platform's screen deck over the desk",
        0,
        900,
        part="screen_top",
        when=_PLATFORM,
        help="Lowered for sitting, the screen has to be set again.",
    ),
    *span("look.cart.worktop", "Desk", "Cart's worktop", 600, 1400, when=_CART),
    *span("look.cart.tray", "Desk", "Cart's key tray", 500, 1400, part="surface", when=_CART),
    *turn("look.cart.tilt", "Desk", "Cart's tray tilt", -20, 30, when=_CART),
    length(
        "look.cart.mouse_below",
        "Desk",
        "Mouse shelf below the keys",
        0,
        300,
        part="mouse",
        when=_CART,
    ),
    choice(
        "look.cart.tool",
        "Desk",
        "Hand tool's holder",
        {"reach": "In reach", "far": "Out of reach", "none": "None"},
        when=_CART,
    ),
    choice(
        "look.cart.tension",
        "Desk",
        "Arm tension",
        {"holds": "Holds", "drifts": "Drifts", "stiff": "Too stiff"},
        when=_CART,
    ),
)

_TRAYED: When = (("look.tray.there", ("yes",)),)
TRAY = (
    choice("look.tray.there", "Keys and mouse", "Keyboard tray", YES_NO, part="surface"),
    length(
        "look.tray.desk",
        "Keys and mouse",
        "Desk over the tray",
        350,
        1500,
        when=_TRAYED,
        help="Floor to the desk's surface; the keyboard's own surface is the tray.",
    ),
    *span(
        "look.tray.below",
        "Keys and mouse",
        "Tray below the desk",
        0,
        350,
        part="surface",
        when=_TRAYED,
    ),
    *turn("look.tray.tilt", "Keys and mouse", "Tray tilt", -20, 30, when=_TRAYED),
    length(
        "look.tray.thickness",
        "Keys and mouse",
        "Tray with its bracket, thickness",
        5,
        120,
        when=_TRAYED,
        part="surface",
    ),
    length("look.tray.width", "Keys and mouse", "Tray width", 200, 1200, when=_TRAYED),
    choice(
        "look.tray.mouse",
        "Keys and mouse",
        "The mouse fits on it",
        YES_NO,
        when=_TRAYED,
        part="mouse",
    ),
    length(
        "look.tray.track",
        "Keys and mouse",
        "Tray's track",
        100,
        800,
        when=_TRAYED,
        help="Held against a crossbar underneath.",
    ),
)
