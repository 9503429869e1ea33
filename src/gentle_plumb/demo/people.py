"""Who is in the demo: members with their passwords, clients with bodies and workplaces. All made up."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ..core.body.dimensions import Sex
from ..services.models import Role

PRACTICE = "Saltmere Hydrographic Office, workplace health"
WORDING = "Saltmere's own procedure for workplace adjustments comes first."


@dataclass(frozen=True, kw_only=True)
class DemoMember:
    """Somebody to sign in as."""

    email: str
    password: str
    name: str
    title: str
    role: Role
    says: str


DEMO_MEMBERS = (
    DemoMember(email="ines@saltmere.example", password="slack-water-0412", name="Ines Calloway",
               title="Physiotherapist", role="owner", says="Owner: everything"),
    DemoMember(email="tomas@saltmere.example", password="ebb-and-flood-77", name="Tomas Wendel",
               title="Ergonomist", role="practitioner", says="Practitioner: clients and visits"),
    DemoMember(email="ruth@saltmere.example", password="tide-tables-only", name="Ruth Abelow",
               title="Office manager", role="reader", says="Reader: looks, changes nothing"),
)  # fmt: skip

Until = Literal["new", "ask", "look", "measure", "set", "pace", "signed", "changed"]


@dataclass(frozen=True, kw_only=True)
class DemoClient:
    """A client: stature in mm, how far single dimensions are off their estimate, mm; entries."""

    name: str
    sex: Sex
    work: str
    stature: float
    days_ago: int
    by: int
    until: Until
    off: Mapping[str, float] = field(default_factory=dict)
    entries: Mapping[str, str] = field(default_factory=dict)


_SIT_STAND = {
    "look.chair.seat_min": "40", "look.chair.seat_max": "52", "look.chair.depth_min": "40",
    "look.chair.depth_max": "48", "look.chair.lumbar_min": "15", "look.chair.lumbar_max": "25",
    "look.chair.armrests": "adjustable", "look.chair.armrest_min": "18",
    "look.chair.armrest_max": "28", "look.desk.kind": "sit_stand", "look.desk.surface_min": "62",
    "look.desk.surface_max": "127", "look.desk.thickness": "2.5", "look.desk.depth": "80",
    "look.keyboard.kind": "full", "look.keyboard.thickness": "20 mm",
    "look.screen.kind": "monitor", "look.screen.diagonal": "24", "look.screen.aspect": "16:9",
    "look.screen.top_min": "37", "look.screen.top_max": "56", "look.screen.depth_behind": "12",
}  # fmt: skip
_FIXED = _SIT_STAND | {
    "look.desk.kind": "fixed", "look.desk.surface_min": "", "look.desk.surface_max": "",
    "look.desk.depth": "70", "look.chair.seat_max": "51", "look.chair.lumbar_min": "",
    "look.chair.lumbar_max": "",
}  # fmt: skip

DEMO_CLIENTS = (
    DemoClient(
        name="Odile Marrick", sex="female", work="Chart compiler, desk 14", stature=1662,
        days_ago=9, by=0, until="signed", off={"popliteal_height": 4, "eye_height_sitting": 8},
        entries=_SIT_STAND | {
            "ask.reason": "Stiff neck by noon, better at weekends.", "ask.warning": "none",
            "ask.hours.typing": "3", "ask.hours.mouse": "3.5", "ask.hours.reading": "1",
            "ask.writing_hand": "right", "ask.mouse_hand": "right", "ask.eyewear": "distance",
            "ask.shoe_seated": "2.5", "ask.shoe_standing": "2.5", "ask.mat": "1.5",
            "look.found.seat": "45.5", "look.found.footrest": "0", "look.found.seat_depth": "47",
            "look.found.lumbar": "15", "look.found.armrest": "26", "look.found.surface": "73",
            "look.found.screen_top": "105", "look.found.distance": "54", "look.found.mouse": "43",
            "look.found.tilt": "2", "look.found_standing.surface": "98",
            "look.found_standing.screen_top": "144", "look.found_standing.distance": "54",
            "pace.rhythm": "sit20_stand8_move2",
            "report.note": "Start with two standing spells a day for the first week.",
        },
    ),
    DemoClient(
        name="Bram Tolliver", sex="male", work="Sonar data cleaning, mouse all day", stature=1755,
        days_ago=2, by=1, until="set", off={"shoulder_breadth_biacromial": 10},
        entries=_SIT_STAND | {
            "ask.reason": "Right shoulder aches after long cleaning runs.", "ask.warning": "none",
            "ask.hours.typing": "0.5", "ask.hours.mouse": "6.5", "ask.hours.meetings": "0.5",
            "ask.writing_hand": "left", "ask.mouse_hand": "right", "ask.eyewear": "none",
            "ask.shoe_seated": "3", "ask.shoe_standing": "3", "look.found.seat": "43",
            "look.found.seat_depth": "44", "look.found.lumbar": "18", "look.found.armrest": "21",
            "look.found.surface": "74.5", "look.found.screen_top": "131",
            "look.found.distance": "78", "look.found.mouse": "52", "look.found.tilt": "10",
            "look.found_standing.surface": "109", "look.found_standing.screen_top": "160",
            "look.found_standing.distance": "75",
        },
    ),
    DemoClient(
        name="Yara Fenwick", sex="female", work="Front counter, fixed desk", stature=1508,
        days_ago=1, by=0, until="measure", off={"elbow_height_sitting": -6},
        entries=_FIXED | {
            "ask.reason": "Feet do not reach the floor; shoulders tired.", "ask.warning": "none",
            "ask.hours.typing": "4", "ask.hours.mouse": "1.5", "ask.hours.calls": "2",
            "ask.writing_hand": "right", "ask.mouse_hand": "right", "ask.eyewear": "contacts",
            "ask.shoe_seated": "3", "ask.shoe_standing": "3", "look.found.seat": "47",
            "look.found.footrest": "0", "look.found.seat_depth": "46", "look.found.armrest": "20",
            "look.found.surface": "74", "look.found.screen_top": "128",
            "look.found.distance": "66", "look.found.mouse": "39", "look.found.tilt": "0",
        },
    ),
    DemoClient(
        name="Casper Roe", sex="male", work="Survey planner, nearly two metres", stature=1985,
        days_ago=16, by=1, until="changed", off={"popliteal_height": 12},
        entries=_SIT_STAND | {
            "look.desk.surface_min": "65", "look.desk.surface_max": "118",
            "ask.reason": "Curls over the desk; low back.", "ask.warning": "none",
            "ask.hours.typing": "2.5", "ask.hours.mouse": "2.5", "ask.hours.thinking": "2",
            "ask.writing_hand": "right", "ask.mouse_hand": "right", "ask.eyewear": "none",
            "ask.shoe_seated": "3", "ask.shoe_standing": "3", "ask.mat": "0",
            "look.found.seat": "46", "look.found.footrest": "0", "look.found.seat_depth": "44",
            "look.found.armrest": "19", "look.found.surface": "72.5",
            "look.found.screen_top": "118", "look.found.distance": "72",
            "look.found.mouse": "41", "look.found.tilt": "4", "pace.rhythm": "sit40_stand20",
        },
    ),
    DemoClient(
        name="Nadia Brook", sex="female", work="Notices to mariners, progressive lenses",
        stature=1598, days_ago=4, by=0, until="pace", off={"thigh_clearance": 9},
        entries=_FIXED | {
            "look.desk.thickness": "3", "look.keyboard.kind": "no_number_block",
            "ask.reason": "Chin up all day to read the screen.", "ask.warning": "none",
            "ask.hours.typing": "2.5", "ask.hours.reading": "3", "ask.hours.mouse": "1",
            "ask.writing_hand": "left", "ask.mouse_hand": "left", "ask.eyewear": "progressive",
            "ask.lower_lens": "yes", "ask.shoe_seated": "2", "ask.shoe_standing": "2",
            "look.found.seat": "48", "look.found.footrest": "6", "look.found.seat_depth": "43",
            "look.found.armrest": "22", "look.found.surface": "72",
            "look.found.screen_top": "124", "look.found.distance": "60",
            "look.found.mouse": "27", "look.found.tilt": "3", "pace.rhythm": "work25_move4",
        },
    ),
    DemoClient(
        name="Elif Sandor", sex="female", work="Watchkeeper, shared desk", stature=1640,
        days_ago=0, by=1, until="ask",
        entries={
            "ask.reason": "Tingling in two fingers of the right hand since last week.",
            "ask.warning": "clinician", "ask.hours.typing": "2", "ask.hours.mouse": "3",
            "ask.writing_hand": "right", "ask.mouse_hand": "right", "ask.eyewear": "none",
        },
    ),
    DemoClient(
        name="Jonas Pell", sex="male", work="Survey launch crew, laptop at a mess table",
        stature=1790, days_ago=0, by=0, until="look",
        entries={
            "ask.reason": "Headache after writing up the day's lines.", "ask.warning": "none",
            "ask.hours.typing": "2", "ask.hours.mouse": "1", "ask.writing_hand": "right",
            "ask.mouse_hand": "right", "ask.eyewear": "none", "ask.shoe_seated": "4",
            "ask.shoe_standing": "4", "look.chair.seat_min": "46", "look.chair.seat_max": "46",
            "look.chair.armrests": "none", "look.desk.kind": "fixed",
            "look.desk.thickness": "3", "look.desk.depth": "75", "look.keyboard.kind": "compact",
            "look.keyboard.thickness": "18 mm", "look.screen.kind": "laptop",
            "look.found.seat": "46", "look.found.surface": "75", "look.found.screen_top": "99",
            "look.found.distance": "48", "look.found.mouse": "30",
        },
    ),
    DemoClient(
        name="Mirela Dunne", sex="female", work="Tide tables, expecting in spring", stature=1701,
        days_ago=0, by=0, until="new",
    ),
)  # fmt: skip
