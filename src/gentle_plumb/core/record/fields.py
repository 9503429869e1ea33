"""Every field of a visit: once, here. The page draws its forms from this table.

A field's identifier is its path in the record (``look.found.seat``). Ranges are what a field
accepts, wide enough that nobody real is refused; they are no advice.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..body import DIMENSIONS, NEEDED
from ..errors import UnknownName
from ..pace import RHYTHMS
from ..workstation.equipment import ASPECTS

StepId = Literal["ask", "look", "measure", "work", "set", "pace", "report"]
Kind = Literal["length", "number", "choice", "text", "date"]

STEPS: dict[StepId, str] = {
    "ask": "Ask", "look": "Look", "measure": "Measure", "work": "Work out", "set": "Set",
    "pace": "Pace", "report": "Report",
}  # fmt: skip


@dataclass(frozen=True, kw_only=True)
class Field:
    """One field. ``low`` and ``high`` in mm for a length, in ``unit`` for a number.

    ``part`` is the part of the drawing it belongs to; ``needed`` counts for the step's bead.
    """

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    help: str = ""
    unit: str = ""
    low: float | None = None
    high: float | None = None
    choices: tuple[tuple[str, str], ...] = ()
    needed: bool = False
    part: str = ""


def _length(id: str, group: str, label: str, low: float, high: float, **more: object) -> Field:
    return Field(id=id, step=_step(id), group=group, label=label, kind="length", low=low,
                 high=high, **more)  # type: ignore[arg-type]  # fmt: skip


def _number(id: str, group: str, label: str, unit: str, low: float, high: float,
            **more: object) -> Field:  # fmt: skip
    return Field(id=id, step=_step(id), group=group, label=label, kind="number", unit=unit,
                 low=low, high=high, **more)  # type: ignore[arg-type]  # fmt: skip


def _choice(id: str, group: str, label: str, choices: dict[str, str], **more: object) -> Field:
    return Field(id=id, step=_step(id), group=group, label=label, kind="choice",
                 choices=tuple(choices.items()), **more)  # type: ignore[arg-type]  # fmt: skip


def _step(id: str) -> StepId:
    return id.split(".", 1)[0]  # type: ignore[return-value]


_HAND = {"left": "Left", "right": "Right"}
_YES = {"yes": "Yes", "no": "No"}

TASKS = {
    "typing": "Typing", "mouse": "Mouse work", "reading": "Reading on screen",
    "paper": "Reading paper", "writing": "Handwriting", "calls": "Calls",
    "meetings": "Video meetings", "thinking": "Demanding thought",
}  # fmt: skip

_ASK = (
    Field(id="ask.reason", step="ask", group="Reason", label="Reason for the visit", kind="text",
          help="In the client's own words.", needed=True),
    _choice("ask.warning", "Reason", "Warning signs",
            {"none": "None", "clinician": "See a clinician first",
             "urgent": "Stop and seek care now"},
            help="Asked before anything is adjusted.", needed=True),
    Field(id="ask.warning_done", step="ask", group="Reason", label="What was done about it",
          kind="text", help="Needed before the report can be signed."),
    *(_number(f"ask.hours.{task}", "Hours a day", label, "h", 0, 24,
              needed=task in ("typing", "mouse"))
      for task, label in TASKS.items()),
    _choice("ask.writing_hand", "Hands and eyes", "Writing hand", _HAND, needed=True),
    _choice("ask.mouse_hand", "Hands and eyes", "Mouse hand", _HAND, needed=True, part="mouse"),
    _choice("ask.eyewear", "Hands and eyes", "Eyewear at the desk", {
        "none": "None", "contacts": "Contact lenses", "distance": "Single vision, distance",
        "reading": "Reading glasses", "computer": "Computer glasses", "bifocal": "Bifocal",
        "progressive": "Progressive"}, needed=True),
    _choice("ask.lower_lens", "Hands and eyes", "Reads through the lower part of the lens", _YES,
            help="Watch the chin while they read from the screen."),
    _length("ask.shoe_seated", "Footwear", "Heel, seated", 0, 150,
            help="Height of the shoe under the heel; 0 for barefoot.", needed=True, part="seat"),
    _length("ask.shoe_standing", "Footwear", "Heel, standing", 0, 150, needed=True),
    _length("ask.mat", "Footwear", "Mat underfoot, standing", 0, 60, help="0 where there is none."),
)  # fmt: skip

_LOOK = (
    _length("look.chair.seat_min", "Chair", "Seat, lowest", 250, 900, part="seat", needed=True,
            help="Loaded: somebody sits on it."),
    _length("look.chair.seat_max", "Chair", "Seat, highest", 250, 900, part="seat", needed=True),
    _length("look.chair.depth_min", "Chair", "Seat depth, shortest", 250, 700, part="seat_depth"),
    _length("look.chair.depth_max", "Chair", "Seat depth, longest", 250, 700, part="seat_depth"),
    _length("look.chair.lumbar_min", "Chair", "Lumbar pad, lowest over the seat", 50, 400,
            part="lumbar"),
    _length("look.chair.lumbar_max", "Chair", "Lumbar pad, highest over the seat", 50, 400,
            part="lumbar"),
    _choice("look.chair.armrests", "Chair", "Armrests",
            {"none": "None", "fixed": "Fixed", "adjustable": "Adjustable"}, part="armrest"),
    _length("look.chair.armrest_min", "Chair", "Armrest, lowest over the seat", 80, 450,
            part="armrest"),
    _length("look.chair.armrest_max", "Chair", "Armrest, highest over the seat", 80, 450,
            part="armrest"),
    _choice("look.desk.kind", "Desk", "Kind",
            {"fixed": "Fixed height", "sit_stand": "Sit-stand"}, needed=True, part="surface"),
    _length("look.desk.surface_min", "Desk", "Surface, lowest", 350, 1500, part="surface",
            help="For a fixed desk its one height will do, under As found."),
    _length("look.desk.surface_max", "Desk", "Surface, highest", 350, 1500, part="surface"),
    _length("look.desk.thickness", "Desk", "Surface to lowest part over the thighs", 5, 300,
            part="surface", needed=True, help="A drawer or crossbar counts."),
    _length("look.desk.depth", "Desk", "Depth, front to back", 200, 1500, part="desk_depth"),
    _choice("look.keyboard.kind", "Keys and mouse", "Keyboard",
            {"full": "Full width", "no_number_block": "No number block", "compact": "Compact"},
            needed=True, part="mouse"),
    _length("look.keyboard.thickness", "Keys and mouse", "Thickness at the home row", 2, 80,
            needed=True, part="keys"),
    _choice("look.screen.kind", "Screen", "Kind", {"monitor": "Screen", "laptop": "Laptop"},
            needed=True, part="screen_top"),
    _number("look.screen.diagonal", "Screen", "Diagonal of the picture", "in", 7, 100,
            part="screen_top", needed=True),
    _choice("look.screen.aspect", "Screen", "Shape", {name: name for name in ASPECTS},
            part="screen_top", needed=True),
    _length("look.screen.top_min", "Screen", "Picture top over the surface, lowest", 50, 1500,
            part="screen_top", help="Where the stand lets it go. Not asked of a laptop."),
    _length("look.screen.top_max", "Screen", "Picture top over the surface, highest", 50, 1500,
            part="screen_top"),
    _length("look.screen.depth_behind", "Screen", "Stand behind the picture", 0, 600,
            part="desk_depth"),
    _length("look.found.seat", "As found", "Seat, loaded", 250, 900, part="seat", needed=True),
    _length("look.found.footrest", "As found", "Footrest", 0, 400, part="footrest",
            help="0 where there is none."),
    _length("look.found.seat_depth", "As found", "Seat depth", 250, 700, part="seat_depth"),
    _length("look.found.lumbar", "As found", "Lumbar pad over the seat", 50, 400, part="lumbar"),
    _length("look.found.armrest", "As found", "Armrest over the seat", 80, 450, part="armrest"),
    _length("look.found.surface", "As found", "Surface", 350, 1500, part="surface", needed=True),
    _length("look.found.screen_top", "As found", "Screen top, picture not frame", 400, 2500,
            part="screen_top", needed=True),
    _length("look.found.distance", "As found", "Eye to screen", 150, 3000, part="distance",
            needed=True),
    _length("look.found.mouse", "As found", "Mouse from the midline", 0, 1000, part="mouse",
            needed=True, help="Centre of the mouse to the B key."),
    _number("look.found.tilt", "As found", "Screen tilted back", "°", -20, 60, part="tilt"),
    _length("look.found_standing.surface", "As found standing", "Surface", 350, 1500,
            part="surface"),
    _length("look.found_standing.screen_top", "As found standing", "Screen top", 400, 2500,
            part="screen_top"),
    _length("look.found_standing.distance", "As found standing", "Eye to screen", 150, 3000,
            part="distance"),
)  # fmt: skip

READINGS = {"first": "First reading", "second": "Second reading", "third": "Third reading"}
MEASURED = (*NEEDED, "hand_length", "hand_breadth", "abdominal_depth_sitting")
"""What the Measure step asks for: all of a full fit, then three that sharpen it."""

_MEASURE = (
    _choice("measure.posture", "How they sit", "Measured",
            {"as_they_work": "As they work", "erect": "Sitting erect"},
            help="Erect heights are lowered by the usual slump."),
    *(Field(id=f"measure.{name}.{reading}", step="measure", group=DIMENSIONS[name].label,
            label=label, kind="length", low=DIMENSIONS[name].low_mm, high=DIMENSIONS[name].high_mm,
            help=DIMENSIONS[name].how, needed=DIMENSIONS[name].needed and reading != "third",
            part=name)
      for name in MEASURED for reading, label in READINGS.items()),
)  # fmt: skip

SEATED_SET = {
    "seat": ("Seat", 250, 900), "footrest": ("Footrest", 0, 400),
    "seat_depth": ("Seat depth", 250, 700), "lumbar": ("Lumbar pad", 50, 400),
    "armrest": ("Armrests", 80, 450), "surface": ("Surface", 350, 1500),
    "mouse": ("Mouse", 0, 1000), "distance": ("Eye to screen", 150, 3000),
    "screen_top": ("Screen top", 400, 2500), "tilt": ("Tilt back", -20, 60),
}  # fmt: skip
STANDING_SET = {key: SEATED_SET[key] for key in ("surface", "distance", "screen_top", "tilt")}
OVERRULED = ("seat", "surface", "screen_top", "distance", "mouse")


def _setting(prefix: str, posture: str, key: str, group: str, label: str) -> Field:
    low, high = SEATED_SET[key][1:]
    if key == "tilt":
        return _number(f"{prefix}.{posture}.{key}", group, label, "°", low, high, part=key)
    return _length(f"{prefix}.{posture}.{key}", group, label, low, high, part=key)


_SET = (
    *(_setting("set", "seated", key, "Seated", entry[0]) for key, entry in SEATED_SET.items()),
    *(_setting("set", "standing", key, "Standing", entry[0]) for key, entry in STANDING_SET.items()),
)  # fmt: skip

_WORK = tuple(
    field
    for posture, keys in (("seated", OVERRULED), ("standing", ("surface", "screen_top")))
    for key in keys
    for field in (
        _setting("work", posture, key, posture.title(), f"{SEATED_SET[key][0]}, my number"),
        Field(id=f"work.{posture}.{key}.why", step="work", group=posture.title(), kind="text",
              label="Why", part=key),
    )
)  # fmt: skip

_PACE = (
    _choice("pace.rhythm", "Rhythm", "Rhythm",
            {rhythm.id: rhythm.label for rhythm in RHYTHMS.values()}, needed=True),
)  # fmt: skip

_REPORT = (
    Field(id="report.note", step="report", group="Report", label="A word to the client",
          kind="text"),
    Field(id="report.follow_up", step="report", group="Report", label="Follow-up on", kind="date",
          needed=True),
)  # fmt: skip

FIELDS: dict[str, Field] = {
    field.id: field for field in (*_ASK, *_LOOK, *_MEASURE, *_WORK, *_SET, *_PACE, *_REPORT)
}


def field_of(path: str) -> Field:
    """Look a field up; raises UnknownName if there is none."""
    found = FIELDS.get(path)
    if found is None:
        raise UnknownName(field=path, value=path, message=f"There is no field “{path}”.")
    return found
