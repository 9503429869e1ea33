"""Look: the set-up as found, the pieces, the habits, the room."""

from __future__ import annotations

from dataclasses import replace

from ...observation import HABIT_OFTEN, HABITS, LIGHT_TASKS, ROOM, SIDES
from ...workstation.equipment import ASPECTS
from ...workstation.kinds import (
    CHAIRS,
    DESKS,
    KEYBOARDS,
    POINTERS,
    SCREENS,
    STACKED,
    SUPPORTS,
    YES_NO,
)
from .field import Field, When, amount, choice, length, span, turn, words

SCREEN_IDS = ("screen", "screen2", "screen3")
"""The main screen, and up to two more."""
_UNKNOWN_RANGE = "What it can do, loaded: somebody sits on it."


def _with(fields: tuple[Field, ...], *, section: str, when: When = ()) -> tuple[Field, ...]:
    return tuple(replace(field, section=section, when=(*field.when, *when)) for field in fields)


_NOT_STOOL: When = (("look.chair.kind", ("", "task", "dining", "wheelchair", "other")),)
_TASK: When = (("look.chair.kind", ("", "task", "other")),)
_ARMS: When = (("look.chair.armrests", ("fixed", "adjustable")),)

_CHAIR = (
    choice("look.chair.kind", "Chair", "Kind of chair", CHAIRS, part="seat"),
    *span(
        "look.chair.seat",
        "Chair",
        "Seat",
        250,
        900,
        part="seat",
        needed=True,
        help=_UNKNOWN_RANGE,
        when=(("look.chair.kind", ("", "task", "dining", "stool", "ball", "other")),),
    ),
    length(
        "look.chair.seat_step",
        "Chair",
        "Seat goes in steps of",
        1,
        100,
        part="seat",
        when=_TASK,
        help="Left open where it stops anywhere.",
    ),
    length(
        "look.chair.sink",
        "Chair",
        "Sinks under load",
        0,
        80,
        part="seat",
        when=_TASK,
        help="Only where the range is the maker's, unloaded: it is taken off.",
    ),
    *span(
        "look.chair.depth",
        "Chair",
        "Seat depth",
        250,
        700,
        ends=("shortest", "longest"),
        part="seat_depth",
    ),
    *turn("look.chair.slope", "Chair", "Seat slope, front down", -10, 20, when=_TASK),
    choice(
        "look.chair.lock",
        "Chair",
        "Tilt lock",
        {"locks": "Locks", "free": "Swings free", "broken": "Broken"},
        when=_TASK,
    ),
    *turn("look.chair.backrest", "Chair", "Backrest from level", 80, 140, when=_TASK),
    choice(
        "look.chair.lumbar_kind",
        "Chair",
        "Lumbar support",
        {"none": "None", "fixed": "Fixed", "steps": "In steps", "free": "Without steps"},
        when=_NOT_STOOL,
        part="lumbar",
    ),
    *span(
        "look.chair.lumbar",
        "Chair",
        "Lumbar pad over the seat",
        50,
        400,
        part="lumbar",
        when=_NOT_STOOL,
    ),
    length(
        "look.chair.lumbar_step",
        "Chair",
        "Lumbar step",
        1,
        100,
        part="lumbar",
        when=(("look.chair.lumbar_kind", ("steps",)),),
    ),
    choice(
        "look.chair.neck_rest",
        "Chair",
        "Neck rest",
        {"none": "None", "meets": "Meets the neck", "misses": "Pushes the head or misses the neck"},
        when=_NOT_STOOL,
    ),
    choice(
        "look.chair.armrests",
        "Chair",
        "Armrests",
        {"none": "None", "fixed": "Fixed", "adjustable": "Adjustable"},
        part="armrest",
    ),
    *span(
        "look.chair.armrest", "Chair", "Armrest over the seat", 80, 450, part="armrest", when=_ARMS
    ),
    *span(
        "look.chair.armrest_gap",
        "Chair",
        "Between the armrests",
        300,
        700,
        ends=("narrowest", "widest"),
        part="armrest",
        when=_ARMS,
    ),
    choice(
        "look.chair.armrests_off", "Chair", "Armrests come off", YES_NO, when=_ARMS, part="armrest"
    ),
    choice("look.chair.armrest_turn", "Chair", "Armrests turn", YES_NO, when=_ARMS),
    length("look.chair.width", "Chair", "Seat width", 250, 800),
    choice(
        "look.chair.castors",
        "Chair",
        "Castors",
        {"hard": "For hard floor", "carpet": "For carpet", "glides": "Glides, no castors"},
    ),
    choice(
        "look.chair.stability",
        "Chair",
        "Stability",
        {"firm": "Firm", "wobbles": "Wobbles", "tips": "Tips"},
    ),
    choice(
        "look.chair.lift",
        "Chair",
        "Gas spring",
        {"holds": "Holds", "sinks": "Sinks", "broken": "Broken"},
        when=_TASK,
    ),
    length(
        "look.chair.cushion",
        "Chair",
        "Own cushion, loaded",
        0,
        150,
        when=(("look.chair.kind", ("wheelchair",)),),
        help="Part of the seat's height; never changed without the seating therapist.",
    ),
)

_MOVES: When = (("look.desk.kind", ("sit_stand",)),)
_PLATFORM: When = (("look.desk.kind", ("platform",)),)
_CART: When = (("look.desk.kind", ("cart",)),)
_SHOWN: When = (("look.desk.display", ("yes",)),)

_DESK = (
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
_TRAY = (
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

_KEYS = (
    choice(
        "look.keyboard.kind", "Keys and mouse", "Keyboard", KEYBOARDS, needed=True, part="mouse"
    ),
    length(
        "look.keyboard.thickness",
        "Keys and mouse",
        "Thickness at the home row",
        2,
        80,
        needed=True,
        part="keys",
    ),
    choice(
        "look.keyboard.feet",
        "Keys and mouse",
        "Tilt feet",
        {"in": "Folded in", "out": "Folded out", "none": "None"},
        part="keys",
    ),
    amount(
        "look.keyboard.turned",
        "Keys and mouse",
        "Turned on the desk",
        "°",
        -45,
        45,
        part="keys",
        help="Clockwise seen from above; each wrist bends by as much.",
    ),
    choice("look.pointer.kind", "Keys and mouse", "Pointer", POINTERS, part="mouse"),
    length(
        "look.pointer.length",
        "Keys and mouse",
        "Pointer's length",
        30,
        300,
        part="mouse",
        help="Held against the hand's length.",
    ),
    choice(
        "look.pointer.speed",
        "Keys and mouse",
        "Pointer speed",
        {"slow": "Slow", "middle": "Middle", "fast": "Fast"},
        part="mouse",
    ),
    choice("look.pointer.mat", "Keys and mouse", "Mat marks its place", YES_NO, part="mouse"),
)


def _screen(id: str, index: int) -> tuple[Field, ...]:
    """The fields of one screen; the first is the main one."""
    main = index == 0
    group = "Screen" if main else f"Screen {index + 1}"
    there: When = () if main else ((f"look.{id}.kind", tuple(SCREENS)),)
    stands: When = ((f"look.{id}.kind", ("monitor", "television")),)
    laptop: When = ((f"look.{id}.kind", ("laptop",)),)
    free: When = () if main else there
    part = "screen_top" if main else ""
    keys = (
        (
            choice(
                f"look.{id}.keys",
                group,
                "Laptop used with",
                {"own": "Its own keys", "separate": "Separate keys and mouse"},
                when=laptop,
                part=part,
            ),
        )
        if main
        else ()
    )
    stand: When = stands if not main else ((f"look.{id}.kind", ("", "monitor", "television")),)
    raised: When = ((f"look.{id}.keys", ("", "separate")),) if main else there
    return (
        choice(f"look.{id}.kind", group, "Kind of screen", SCREENS, needed=main, part=part),
        *keys,
        amount(
            f"look.{id}.diagonal",
            group,
            "Diagonal of the picture",
            "in",
            7,
            100,
            part=part,
            needed=main,
            when=stand,
        ),
        choice(
            f"look.{id}.aspect",
            group,
            "Shape",
            {name: name for name in ASPECTS},
            part=part,
            needed=main,
            when=stand,
        ),
        amount(f"look.{id}.pixels_across", group, "Pixels across", "px", 320, 16000, when=free),
        amount(f"look.{id}.pixels_down", group, "Pixels down", "px", 200, 16000, when=free),
        amount(f"look.{id}.scale", group, "Display scale", "%", 50, 500, when=free),
        length(f"look.{id}.frame", group, "Frame over the picture", 0, 120, when=stand),
        choice(
            f"look.{id}.held",
            group,
            "Held by",
            {"fixed": "Fixed foot", "stand": "Adjustable stand", "arm": "Arm", "wall": "Wall"},
            when=stand,
        ),
        *span(
            f"look.{id}.top",
            group,
            "Picture top over the surface",
            50,
            1500,
            part=part,
            help="Where its holder lets it go.",
            when=raised,
        ),
        length(
            f"look.{id}.top_step",
            group,
            "Goes in steps of",
            1,
            200,
            part=part,
            when=raised,
            help="Left open where it stops anywhere.",
        ),
        choice(
            f"look.{id}.holds",
            group,
            "Arm holds its place",
            YES_NO,
            when=((f"look.{id}.held", ("arm",)),),
        ),
        *turn(f"look.{id}.tilt", group, "Tilt back", -20, 60, when=stand),
        choice(
            f"look.{id}.stands_on",
            group,
            "Stands on",
            {"desk": "The desk", "riser": "A riser", "stack": "A stack", "deck": "A screen deck"},
            when=stand,
        ),
        choice(
            f"look.{id}.comes_off",
            group,
            "That comes off",
            YES_NO,
            when=((f"look.{id}.stands_on", ("riser", "stack")),),
        ),
        length(
            f"look.{id}.depth_behind",
            group,
            "Stand behind the picture",
            0,
            600,
            part="desk_depth" if main else "",
            when=stand,
        ),
        *(
            ()
            if main
            else (
                choice(
                    f"look.{id}.use",
                    group,
                    "Looked at",
                    {"equal": "As much as the main one", "some": "Now and then", "rare": "Seldom"},
                    when=there,
                ),
                choice(
                    f"look.{id}.place",
                    group,
                    "Stands",
                    {"beside": "Beside the main one", "above": "Above the main one"},
                    when=there,
                ),
            )
        ),
    )


_SUPPORTS = tuple(
    field
    for id, (label, thick) in SUPPORTS.items()
    for field in (
        choice(
            f"look.support.{id}",
            "At hand",
            label,
            YES_NO,
            part="footrest" if id == "footrest" else "",
        ),
        *(
            (
                length(
                    f"look.support.{id}.height",
                    "At hand",
                    f"{label}, height",
                    1,
                    400,
                    when=((f"look.support.{id}", ("yes",)),),
                ),
            )
            if thick
            else ()
        ),
        *(
            (
                amount(
                    f"look.support.{id}.count",
                    "At hand",
                    f"{label}: how many",
                    "",
                    1,
                    20,
                    when=((f"look.support.{id}", ("yes",)),),
                ),
            )
            if id in STACKED
            else ()
        ),
    )
)
_FOOTREST = (
    *span(
        "look.footrest.height",
        "At hand",
        "Footrest's height",
        20,
        400,
        part="footrest",
        when=(("look.support.footrest", ("yes",)),),
    ),
    amount(
        "look.footrest.slope",
        "At hand",
        "Footrest's slope",
        "°",
        0,
        40,
        when=(("look.support.footrest", ("yes",)),),
    ),
)

_BACK: When = _NOT_STOOL
_OWN_KEYS: When = (("look.screen.keys", ("", "separate")),)
_STANDS: When = (("look.desk.kind", ("sit_stand", "platform", "cart", "counter")),)
_SEATED = "As found"
_STANDING = "As found standing"

_FOUND = (
    length(
        "look.found.seat",
        _SEATED,
        "Seat, loaded",
        250,
        900,
        part="seat",
        needed=True,
        help="Floor to the seat with the client on it, under the sit bones.",
    ),
    length(
        "look.found.seat_depth",
        _SEATED,
        "Seat depth",
        250,
        700,
        part="seat_depth",
        help="Front edge to the backrest, along the seat.",
    ),
    amount(
        "look.found.backrest",
        _SEATED,
        "Backrest from level",
        "°",
        80,
        140,
        when=_BACK,
        help="Upright is 90.",
    ),
    length(
        "look.found.lumbar",
        _SEATED,
        "Lumbar pad over the seat",
        50,
        400,
        part="lumbar",
        when=_BACK,
        help="Loaded seat to the middle of the pad.",
    ),
    length(
        "look.found.armrest",
        _SEATED,
        "Armrest over the seat",
        80,
        450,
        part="armrest",
        when=(("look.chair.armrests", ("", "fixed", "adjustable")),),
    ),
    length(
        "look.found.armrest_gap",
        _SEATED,
        "Between the armrests",
        300,
        700,
        part="armrest",
        when=(("look.chair.armrests", ("", "fixed", "adjustable")),),
        help="Inner edge to inner edge.",
    ),
    length(
        "look.found.footrest",
        _SEATED,
        "Footrest",
        0,
        400,
        part="footrest",
        help="Floor to the middle of the sole; 0 where there is none.",
    ),
    length(
        "look.found.surface",
        _SEATED,
        "Surface",
        350,
        1500,
        part="surface",
        needed=True,
        help="Floor to what the keyboard stands on.",
    ),
    length(
        "look.found.underside",
        _SEATED,
        "Lowest part over the thighs",
        300,
        1450,
        part="surface",
        help="Floor to underside, drawer or crossbar.",
    ),
    length("look.found.keys_edge", _SEATED, "Desk edge to the home row", 0, 700, part="keys"),
    length(
        "look.found.mouse",
        _SEATED,
        "Mouse from the midline",
        0,
        1000,
        part="mouse",
        needed=True,
        help="Centre of the mouse to the B key.",
    ),
    length(
        "look.found.mouse_forward",
        _SEATED,
        "Desk edge to the mouse",
        0,
        700,
        part="mouse_forward",
        help="Desk edge to the middle of the mouse.",
    ),
    length(
        "look.found.mouse_level",
        _SEATED,
        "Mouse above or below the keys' surface",
        -300,
        300,
        part="mouse",
        help="Below is negative; 0 on the same level.",
    ),
    length(
        "look.found.screen_top",
        _SEATED,
        "Screen top, picture not frame",
        400,
        2500,
        part="screen_top",
        needed=True,
        help="Floor to the upper edge of the picture.",
    ),
    length(
        "look.found.distance",
        _SEATED,
        "Eye to screen",
        150,
        3000,
        part="distance",
        needed=True,
        help="Corner of the eye to the middle of the picture.",
    ),
    amount("look.found.tilt", _SEATED, "Screen tilted back", "°", -20, 60, part="tilt"),
    *(
        field
        for index, id in enumerate(SCREEN_IDS[1:], start=2)
        for field in (
            length(
                f"look.found.{id}_top",
                _SEATED,
                f"Screen {index} top",
                400,
                2500,
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
            length(
                f"look.found.{id}_distance",
                _SEATED,
                f"Eye to screen {index}",
                150,
                3000,
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
            amount(
                f"look.found.{id}_bearing",
                _SEATED,
                f"Screen {index} to the side",
                "°",
                -120,
                120,
                help="From straight ahead to its middle; left is negative.",
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
        )
    ),
    amount(
        "look.found.screen_bearing",
        _SEATED,
        "Main screen to the side",
        "°",
        -120,
        120,
        part="distance",
        help="From straight ahead to its middle; left is negative.",
    ),
    *(
        replace(field, when=_STANDS)
        for field in (
            length(
                "look.found_standing.surface",
                _STANDING,
                "Surface, standing",
                350,
                1500,
                part="surface",
            ),
            length(
                "look.found_standing.screen_top",
                _STANDING,
                "Screen top, standing",
                400,
                2500,
                part="screen_top",
            ),
            length(
                "look.found_standing.distance",
                _STANDING,
                "Eye to screen, standing",
                150,
                3000,
                part="distance",
            ),
        )
    ),
)
"""As found, in the order one walks round a desk: chair, feet, desk, hands, screen, standing."""

_HABITS = tuple(
    field
    for habit in HABITS.values()
    for field in (
        choice(f"look.habit.{habit.id}", "Habits", habit.label, {"seen": "Seen"}),
        choice(
            f"look.habit.{habit.id}.side",
            "Habits",
            "Side",
            SIDES,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
        choice(
            f"look.habit.{habit.id}.often",
            "Habits",
            "How often",
            HABIT_OFTEN,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
        words(
            f"look.habit.{habit.id}.note",
            "Habits",
            "Note",
            health=True,
            when=((f"look.habit.{habit.id}", ("seen",)),),
        ),
    )
)

_ROOM = (
    choice(
        "look.room.light_for",
        "Light",
        "Light is for",
        {id: label for id, (label, _, _) in LIGHT_TASKS.items()},
    ),
    amount(
        "look.room.lux",
        "Light",
        "Light on the desk",
        "lux",
        0,
        20000,
        help="Meter flat beside the keyboard.",
    ),
    *(
        field
        for item in ROOM.values()
        for field in (
            choice(
                f"look.room.{item.id}",
                item.group,
                item.label,
                {"right": item.right, "wrong": item.wrong},
            ),
            words(
                f"look.room.{item.id}.note",
                item.group,
                f"{item.label}: note",
                health=True,
                when=((f"look.room.{item.id}", ("wrong",)),),
            ),
        )
    ),
)

LOOK: tuple[Field, ...] = (
    *_with(_FOUND, section="walk"),
    *_with(
        (
            *_CHAIR,
            *_DESK,
            *_TRAY,
            *_KEYS,
            *(field for index, id in enumerate(SCREEN_IDS) for field in _screen(id, index)),
            *_SUPPORTS,
            *_FOOTREST,
        ),
        section="pieces",
    ),
    *_with(_HABITS, section="habits"),
    *_with(_ROOM, section="room"),
    words(
        "look.workstation",
        "Workstation",
        "Shared workstation",
        section="pieces",
        help="The kept workstation these pieces came from.",
    ),
    choice(
        "look.watched",
        "Habits",
        "Watched for some minutes: nothing else seen",
        YES_NO,
        section="habits",
    ),
    words("look.note", "Notes", "Notes of this visit", section="habits", health=True),
)
"""All of Look."""
