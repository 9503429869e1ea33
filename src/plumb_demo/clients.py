"""The clients of the demo: made-up people at a made-up hydrographic office, in every state."""

from __future__ import annotations

from gentle_plumb.core.observation import ROOM
from gentle_plumb.core.record import SHELF

from .people import NO_FLAGS, DemoClient, DemoPhoto
from .photographs import Angles, Camera, Rear

_AGREED = {
    "ask.consent.notes": "yes",
    "ask.consent.photographs": "yes",
    "ask.consent.workplace": "yes",
}
_NOTES_ONLY = {
    "ask.consent.notes": "yes",
    "ask.consent.photographs": "no",
    "ask.consent.workplace": "no",
}


def _from_shelf(*ids: str) -> dict[str, str]:
    """What is typed for generic pieces."""
    return {path: typed for id in ids for path, typed in SHELF[id].values.items()}


def _second(id: str) -> dict[str, str]:
    """A generic screen as the second one."""
    return {
        path.replace("look.screen.", "look.screen2."): typed
        for path, typed in SHELF[id].values.items()
    }


def _habit(id: str, often: str = "", side: str = "", note: str = "") -> dict[str, str]:
    start = f"look.habit.{id}"
    return {start: "seen", f"{start}.often": often, f"{start}.side": side, f"{start}.note": note}


def _aches(
    region: str, strength: int, often: str = "", since: str = "", eases: str = ""
) -> dict[str, str]:
    start = f"ask.discomfort.{region}"
    return {
        start: str(strength),
        f"{start}.often": often,
        f"{start}.since": since,
        f"{start}.eases": eases,
    }


def _room(*wrong: str, lux: str = "", notes: tuple[tuple[str, str], ...] = ()) -> dict[str, str]:
    """The room list: all in order but these."""
    found = {f"look.room.{id}": "wrong" if id in wrong else "right" for id in ROOM}
    return {
        "look.room.light_for": "screen",
        "look.room.lux": lux,
        **found,
        **{f"look.room.{id}.note": note for id, note in notes},
    }


_SIT_STAND = {
    "look.chair.seat_min": "40",
    "look.chair.seat_max": "52",
    "look.chair.depth_min": "40",
    "look.chair.depth_max": "48",
    "look.chair.lumbar_min": "15",
    "look.chair.lumbar_max": "25",
    "look.chair.armrests": "adjustable",
    "look.chair.armrest_min": "18",
    "look.chair.armrest_max": "28",
    "look.desk.kind": "sit_stand",
    "look.desk.surface_min": "62",
    "look.desk.surface_max": "127",
    "look.desk.thickness": "2.5",
    "look.desk.depth": "80",
    "look.keyboard.kind": "full",
    "look.keyboard.thickness": "20 mm",
    "look.screen.kind": "monitor",
    "look.screen.diagonal": "24",
    "look.screen.aspect": "16:9",
    "look.screen.top_min": "37",
    "look.screen.top_max": "56",
    "look.screen.depth_behind": "12",
}
_SWAPPED = {
    "measure.shoulder_elbow_length.first": "46.8",
    "measure.shoulder_elbow_length.second": "47.1",
    "measure.elbow_fingertip_length.first": "35.8",
    "measure.elbow_fingertip_length.second": "36.1",
}
"""Two fields taken for each other: the doubt is for the practitioner to see."""
_AT_HOME = {
    "measure.stature.origin": "self_measured",
    "measure.stature.first": "169",
    "measure.stature.second": "",
    "measure.eye_height_standing.skip": "not_needed",
    "measure.eye_height_standing.first": "",
    "measure.eye_height_standing.second": "",
}
_FIXED = _SIT_STAND | {
    "look.desk.kind": "fixed",
    "look.desk.surface_min": "",
    "look.desk.surface_max": "",
    "look.desk.depth": "70",
    "look.chair.seat_max": "51",
    "look.chair.lumbar_min": "",
    "look.chair.lumbar_max": "",
}

DEMO_SHELF: tuple[tuple[str, str, str, dict[str, str]], ...] = (
    (
        "chair",
        "Bridge chair, high back",
        "Stores, third floor",
        {
            "look.chair.kind": "task",
            "look.chair.seat_min": "43 cm",
            "look.chair.seat_max": "58 cm",
            "look.chair.depth_min": "42 cm",
            "look.chair.depth_max": "50 cm",
            "look.chair.armrests": "adjustable",
            "look.chair.armrest_min": "19 cm",
            "look.chair.armrest_max": "29 cm",
            "look.chair.lumbar_kind": "free",
            "look.chair.lumbar_min": "16 cm",
            "look.chair.lumbar_max": "26 cm",
        },
    ),
    (
        "screen",
        "Chart screen, 30 in, upright stand",
        "Compilation room",
        {
            "look.screen.kind": "monitor",
            "look.screen.diagonal": "30",
            "look.screen.aspect": "16:10",
            "look.screen.top_min": "42 cm",
            "look.screen.top_max": "58 cm",
            "look.screen.held": "stand",
        },
    ),
    (
        "workstation",
        "Watch desk",
        "Operations room, by the tide board",
        _from_shelf("task", "sit_stand", "keys_full", "screen_34"),
    ),
)
"""Piece, name, place and typed values of what the practice keeps on its shelf."""

DEMO_CLIENTS = (
    DemoClient(
        name="Odile Marrick",
        sex="female",
        work="Chart compiler, desk 14",
        stature=1662,
        days_ago=9,
        by=0,
        until="signed",
        off={"popliteal_height": 4, "eye_height_sitting": 8},
        entries=_AGREED
        | _SIT_STAND
        | {
            "ask.reason": "Stiff neck by noon, better at weekends.",
            **NO_FLAGS,
            "ask.hours.typing": "3",
            "ask.hours.mouse": "3.5",
            "ask.hours.reading": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "distance",
            "ask.shoe_seated": "2.5",
            "ask.shoe_standing": "2.5",
            "ask.mat": "1.5",
            "look.found.seat": "45.5",
            "look.found.footrest": "0",
            "look.found.seat_depth": "47",
            "look.found.lumbar": "15",
            "look.found.armrest": "26",
            "look.found.surface": "73",
            "look.found.screen_top": "105",
            "look.found.distance": "54",
            "look.found.mouse": "43",
            "look.found.tilt": "2",
            "look.found_standing.surface": "98",
            "look.found_standing.screen_top": "144",
            "look.found_standing.distance": "54",
            "pace.rhythm": "sit20_stand8_move2",
            "report.note": "Start with two standing spells a day for the first week.",
            "ask.place": "office",
            "ask.sit_stand": "new",
            "ask.day_hours": "7.5",
            "ask.typing_by": "touch",
            "ask.leans": "forward",
            "look.chair.kind": "task",
            "look.chair.castors": "hard",
            "look.chair.stability": "firm",
            "look.chair.lift": "holds",
            "look.desk.display": "yes",
            "look.desk.display_reads": "71",
            "look.desk.display_tape": "73",
            "look.desk.under": "crossbar",
            "look.desk.edge": "rounded",
            "look.keyboard.feet": "out",
            "look.pointer.kind": "mouse",
            "look.support.document_holder": "no",
            "look.support.headset": "yes",
            "look.found.screen_bearing": "0",
        }
        | _aches("nape", 5, "most_days", "Since the spring", "A walk at noon")
        | _aches("shoulder_top_right", 3, "now_and_then")
        | _habit("head_ahead", "often", note="Most on the fine print of the charts.")
        | _habit("wrist_back", "often", "right")
        | _habit("back_free", "now_and_then")
        | _room(
            "window", "clutter", lux="280", notes=(("window", "West window behind the screen."),)
        ),
        photos=(
            DemoPhoto(
                shows=Angles(
                    neck=47,
                    trunk=9,
                    upper_arm=22,
                    elbow=104,
                    wrist=24,
                    hip=86,
                    knee=84,
                    gaze_top=-9,
                    gaze_bottom=-34,
                )
            ),
            DemoPhoto(
                shows=Angles(
                    neck=26,
                    trunk=-9,
                    upper_arm=6,
                    elbow=97,
                    wrist=6,
                    hip=101,
                    knee=94,
                    gaze_top=-3,
                    gaze_bottom=-27,
                ),
                when="after",
            ),
            DemoPhoto(shows=Rear(shoulder_line=3, lean=12, arm_left=9, arm_right=21)),
        ),
    ),
    DemoClient(
        name="Bram Tolliver",
        sex="male",
        work="Sonar data cleaning, mouse all day",
        stature=1755,
        days_ago=2,
        by=1,
        until="set",
        off={"shoulder_breadth_biacromial": 10},
        entries=_AGREED
        | _SIT_STAND
        | {
            "ask.reason": "Right shoulder aches after long cleaning runs.",
            **NO_FLAGS,
            "ask.hours.typing": "0.5",
            "ask.hours.mouse": "6.5",
            "ask.hours.meetings": "0.5",
            "ask.writing_hand": "left",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "look.found.seat": "43",
            "look.found.seat_depth": "44",
            "look.found.lumbar": "18",
            "look.found.armrest": "21",
            "look.found.surface": "74.5",
            "look.found.screen_top": "131",
            "look.found.distance": "78",
            "look.found.mouse": "52",
            "look.found.tilt": "10",
            "look.found_standing.surface": "109",
            "look.found_standing.screen_top": "160",
            "look.found_standing.distance": "75",
            "ask.typing_by": "mixed",
            "ask.leans": "no",
            "ask.day_hours": "7.5",
            "look.pointer.kind": "mouse",
            "look.pointer.speed": "slow",
            "look.pointer.length": "11",
            "look.screen2.kind": "monitor",
            "look.screen2.use": "some",
            "look.found.screen2_bearing": "48",
            "look.found.screen2_top": "128",
            "look.found.screen2_distance": "82",
            "work.finding.seated-mouse.verdict": "accepted",
            "work.finding.habit_elbow_out.words": "The right elbow stands out for hours: the mouse "
            "lies beyond the number block.",
            "work.finding.habit_elbow_out.verdict": "accepted",
            "work.finding.document_holder.verdict": "dismissed",
            "work.finding.document_holder.reason": "He never works from paper.",
            "work.own.a1.title": "Cable of the mouse catches on the desk's edge",
            "work.own.a1.why": "Each pull costs the shoulder.",
            "work.own.a1.severity": "slight",
            "work.own.a1.do": "A longer cable or none.",
            "work.own.a1.workplace": "yes",
            "look.support.document_holder": "no",
        }
        | _aches("shoulder_front_right", 6, "every_day", "Four months", "Heat; weekends")
        | _aches("blade_right", 4, "most_days")
        | _habit("elbow_out", "nearly_always", "right")
        | _habit("shoulders_raised", "often", "right")
        | _room("cables", lux="430", notes=(("cables", "Screen cable tight at full height."),)),
        photos=(
            DemoPhoto(
                shows=Angles(neck=33, trunk=2, upper_arm=31, elbow=122, wrist=17, hip=95, knee=101),
                camera=Camera(distance=2600, tipped=3),
            ),
            DemoPhoto(shows=Rear(shoulder_line=-7, hip_line=1, lean=38, arm_left=8, arm_right=34)),
        ),
    ),
    DemoClient(
        name="Yara Fenwick",
        sex="female",
        work="Front counter, fixed desk",
        stature=1508,
        days_ago=1,
        by=0,
        until="measure",
        off={"elbow_height_sitting": -6},
        entries=_AGREED
        | _FIXED
        | {
            "ask.reason": "Feet do not reach the floor; shoulders tired.",
            **NO_FLAGS,
            "ask.hours.typing": "4",
            "ask.hours.mouse": "1.5",
            "ask.hours.calls": "2",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "contacts",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "look.found.seat": "47",
            "look.found.footrest": "0",
            "look.found.seat_depth": "46",
            "look.found.armrest": "20",
            "look.found.surface": "74",
            "look.found.screen_top": "128",
            "look.found.distance": "66",
            "look.found.mouse": "39",
            "look.found.tilt": "0",
            "look.chair.kind": "task",
            "ask.standing_hours": "0",
            "look.support.footrest": "no",
            "look.support.headset": "no",
            "look.support.ream": "yes",
            "look.support.ream.height": "5",
            "look.support.ream.count": "3",
            "look.support.book": "yes",
            "look.support.book.height": "3",
        }
        | _aches("shoulder_top_left", 4, "every_day")
        | _aches("thigh_back_left", 3, "most_days")
        | _aches("thigh_back_right", 3, "most_days")
        | _habit("feet_hanging", "nearly_always")
        | _habit("perching", "often")
        | _habit("phone_shoulder", "often", "left")
        | _room("stored", "trips", lux="510", notes=(("stored", "Two boxes of forms."),)),
    ),
    DemoClient(
        name="Casper Roe",
        sex="male",
        work="Survey planner, nearly two metres",
        stature=1985,
        days_ago=16,
        by=1,
        until="changed",
        off={"popliteal_height": 12},
        entries=_AGREED
        | _SIT_STAND
        | {
            "look.desk.surface_min": "65",
            "look.desk.surface_max": "118",
            "ask.reason": "Curls over the desk; low back.",
            **NO_FLAGS,
            "ask.hours.typing": "2.5",
            "ask.hours.mouse": "2.5",
            "ask.hours.thinking": "2",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "ask.mat": "0",
            "look.found.seat": "46",
            "look.found.footrest": "0",
            "look.found.seat_depth": "44",
            "look.found.armrest": "19",
            "look.found.surface": "72.5",
            "look.found.screen_top": "118",
            "look.found.distance": "72",
            "look.found.mouse": "41",
            "look.found.tilt": "4",
            "pace.rhythm": "sit40_stand20",
            "ask.standing_hours": "1",
            "look.chair.kind": "task",
            "ask.care.injury": "yes",
            "ask.care.injury.note": "Left knee, years ago; no kneeling.",
        }
        | _aches("low_back", 6, "every_day", "Two years", "Lying flat")
        | _habit("slumping", "nearly_always")
        | _habit("knees_high", "nearly_always")
        | _habit("weight_one_leg", "often", "left"),
        photos=(
            DemoPhoto(
                shows=Angles(
                    neck=38, trunk=2, upper_arm=2, elbow=112, wrist=8, gaze_top=-14, gaze_bottom=-38
                ),
                standing=True,
            ),
        ),
    ),
    DemoClient(
        name="Nadia Brook",
        sex="female",
        work="Notices to mariners, desk 3",
        stature=1598,
        days_ago=4,
        by=0,
        until="pace",
        off={"thigh_clearance": 9},
        before=(
            (730, {"thigh_clearance": -12, "eye_height_sitting": 6}),
            (361, {"thigh_clearance": -4}),
        ),
        entries=_AGREED
        | _FIXED
        | {
            "look.desk.thickness": "3",
            "look.keyboard.kind": "no_number_block",
            "ask.reason": "Chin up all day to read the screen.",
            **NO_FLAGS,
            "ask.hours.typing": "2.5",
            "ask.hours.reading": "3",
            "ask.hours.mouse": "1",
            "ask.writing_hand": "left",
            "ask.mouse_hand": "left",
            "ask.eyewear": "progressive",
            "ask.lower_lens": "yes",
            "ask.shoe_seated": "2",
            "ask.shoe_standing": "2",
            "look.found.seat": "48",
            "look.found.footrest": "6",
            "look.found.seat_depth": "43",
            "look.found.armrest": "22",
            "look.found.surface": "72",
            "look.found.screen_top": "124",
            "look.found.distance": "60",
            "look.found.mouse": "27",
            "look.found.tilt": "3",
            "pace.rhythm": "work25_move4",
            "ask.typing_by": "touch",
            "ask.leans": "back",
            "look.support.task_lamp": "yes",
        }
        | _aches("nape", 6, "every_day", "Since the new glasses", "Reading on paper")
        | _habit("chin_lifted", "nearly_always")
        | _habit("back_free", "often")
        | _room(
            "glare", "lamp", lux="620", notes=(("glare", "Lamp behind her, from 14 to 17 h."),)
        ),
        photos=(
            DemoPhoto(
                shows=Angles(
                    neck=8, trunk=-3, upper_arm=9, elbow=99, wrist=11, gaze_top=9, gaze_bottom=-17
                ),
                camera=Camera(turned=9, distance=1800),
            ),
        ),
    ),
    DemoClient(
        name="Elif Sandor",
        sex="female",
        work="Watchkeeper, shared desk",
        stature=1640,
        days_ago=0,
        by=1,
        until="ask",
        workstation="Watch desk",
        entries=_NOTES_ONLY
        | {
            "ask.reason": "Tingling in two fingers of the right hand since last week.",
            **NO_FLAGS,
            "ask.sign.tingling": "yes",
            "ask.hours.typing": "2",
            "ask.hours.mouse": "3",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
        },
    ),
    DemoClient(
        name="Jonas Pell",
        sex="male",
        work="Survey launch crew, laptop at a mess table",
        stature=1790,
        days_ago=0,
        by=0,
        until="look",
        entries=_AGREED
        | {
            "ask.reason": "Headache after writing up the day's lines.",
            **NO_FLAGS,
            "ask.hours.typing": "2",
            "ask.hours.mouse": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.shoe_seated": "4",
            "ask.shoe_standing": "4",
            "look.chair.seat_min": "46",
            "look.chair.seat_max": "46",
            "look.chair.armrests": "none",
            "look.desk.kind": "fixed",
            "look.desk.thickness": "3",
            "look.desk.depth": "75",
            "look.keyboard.kind": "compact",
            "look.keyboard.thickness": "18 mm",
            "look.screen.kind": "laptop",
            "look.found.seat": "46",
            "look.found.surface": "75",
            "look.found.screen_top": "99",
            "look.found.distance": "48",
            "look.found.mouse": "30",
            "look.screen.keys": "own",
            "look.chair.kind": "dining",
            "ask.place": "site",
        }
        | _aches("eyes", 5, "most_days", "This season", "Sleep")
        | _habit("head_down", "nearly_always")
        | _habit("slumping", "often")
        | _room("lamp", "stability", "hot_wet", lux="160"),
    ),
    DemoClient(
        name="Mirela Dunne",
        sex="female",
        work="Tide tables, desk 9",
        stature=1701,
        days_ago=0,
        by=0,
        until="new",
        before=((148, {}),),
    ),
    DemoClient(
        name="Otis Varga",
        sex="male",
        work="Tide-gauge archive, ground floor",
        stature=1740,
        days_ago=3,
        by=0,
        until="measure",
        entries=_AGREED
        | _from_shelf("wheelchair", "fixed_drawer", "keys_short", "screen_24")
        | {
            "ask.reason": "Knees meet the drawer, so he works with the arms stretched.",
            **NO_FLAGS,
            "ask.place": "office",
            "ask.hours.typing": "3",
            "ask.hours.mouse": "2",
            "ask.hours.paper": "1",
            "ask.hours.reading": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "reading",
            "ask.care.wheelchair": "yes",
            "ask.care.wheelchair.note": "Own cushion 7 cm, set by the seating therapist in May.",
            "ask.shoe_seated": "2",
            "ask.shoe_standing": "2",
            "look.chair.cushion": "7",
            "look.chair.armrests_off": "yes",
            "look.found.seat": "53",
            "look.found.surface": "73",
            "look.found.screen_top": "121",
            "look.found.distance": "71",
            "look.found.mouse": "38",
            "look.found.armrest": "22",
            "look.found.footrest": "11",
            "look.found.underside": "61",
        }
        | _aches("shoulder_front_left", 4, "most_days")
        | _aches("shoulder_front_right", 4, "most_days")
        | _habit("elbow_ahead", "nearly_always", "both")
        | _room("exits", lux="390", notes=(("exits", "Archive trolley stands in the way out."),)),
    ),
    DemoClient(
        name="Wilma Trask",
        sex="female",
        work="Front counter, platform on the desk",
        stature=1655,
        days_ago=6,
        by=1,
        until="look",
        entries=_NOTES_ONLY
        | _from_shelf("task_plain", "platform", "keys_full", "screen_22")
        | {
            "ask.reason": "Wrists sore since the platform came.",
            **NO_FLAGS,
            "ask.place": "office",
            "ask.hours.typing": "3",
            "ask.hours.mouse": "1.5",
            "ask.hours.calls": "1.5",
            "ask.standing_hours": "2",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "bifocal",
            "ask.lower_lens": "yes",
            "ask.sit_stand": "some",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "ask.mat": "1.5",
            "ask.care.veins": "yes",
            "look.platform.desk": "72",
            "look.found.seat": "46",
            "look.found.surface": "78",
            "look.found.screen_top": "126",
            "look.found.distance": "58",
            "look.found.mouse": "40",
            "look.found_standing.surface": "104",
            "look.found_standing.screen_top": "151",
        }
        | _aches("wrist_back_right", 5, "every_day")
        | _aches("wrist_back_left", 3, "most_days")
        | _habit("wrist_on_edge", "nearly_always", "both")
        | _habit("leaning_on_desk", "often"),
    ),
    DemoClient(
        name="Ivo Kestrel",
        sex="male",
        work="Wheeled plotting cart, all floors",
        stature=1822,
        days_ago=5,
        by=1,
        until="set",
        entries=_AGREED
        | _from_shelf("stool", "cart", "keys_compact", "screen_22")
        | {
            "ask.reason": "Elbow sore after long plotting runs.",
            **NO_FLAGS,
            "ask.place": "site",
            "ask.hours.typing": "1",
            "ask.hours.mouse": "4",
            "ask.standing_hours": "4",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.sit_stand": "used",
            "ask.shoe_seated": "4",
            "ask.shoe_standing": "4",
            "look.cart.tool": "far",
            "look.cart.tension": "drifts",
            "look.found.seat": "65",
            "look.found.surface": "92",
            "look.found.screen_top": "148",
            "look.found.distance": "64",
            "look.found.mouse": "35",
            "look.found.mouse_level": "-5",
            "look.found_standing.surface": "102",
            "look.found_standing.screen_top": "158",
        }
        | _aches("elbow_right", 5, "most_days", "Six weeks", "Rest")
        | _habit("wrist_outwards", "often", "right")
        | _habit("hip_pushed", "often", "left")
        | _room("floor", "cables", lux="340"),
    ),
    DemoClient(
        name="Pia Lorne",
        sex="female",
        work="Sailing directions, kitchen table at home",
        stature=1689,
        days_ago=12,
        by=0,
        until="pace",
        measured=_AT_HOME,
        entries=_AGREED
        | _from_shelf("dining", "table", "keys_short", "laptop_raised", "home")
        | {
            "ask.reason": "Small of the back after a day at home.",
            **NO_FLAGS,
            "ask.place": "home",
            "ask.hours.typing": "4",
            "ask.hours.mouse": "1",
            "ask.hours.meetings": "1.5",
            "ask.day_hours": "6.5",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "computer",
            "ask.typing_by": "touch",
            "ask.shoe_seated": "1",
            "ask.shoe_standing": "1",
            "look.found.seat": "46",
            "look.found.surface": "75",
            "look.found.seat_depth": "42",
            "look.found.screen_top": "112",
            "look.found.distance": "55",
            "look.found.mouse": "29",
            "pace.rhythm": "up_every_30",
        }
        | _aches("low_back", 5, "most_days", "Since working at home", "Walking")
        | _habit("legs_crossed", "often", "right")
        | _habit("back_free", "nearly_always")
        | _room(
            "electrical",
            "noise",
            lux="240",
            notes=(("electrical", "Two extension leads in a row behind the stove."),),
        ),
        photos=(
            DemoPhoto(
                shows=Angles(neck=31, trunk=14, upper_arm=18, elbow=88, wrist=19, hip=79, knee=76)
            ),
        ),
    ),
    DemoClient(
        name="Hugo Penn",
        sex="male",
        work="Chart compiler, two screens",
        stature=1718,
        days_ago=8,
        by=0,
        until="measure",
        before=((210, {}),),
        measured=_SWAPPED,
        entries=_AGREED
        | _from_shelf("task", "sit_stand", "keys_split", "screen_27")
        | _second("screen_24")
        | {
            "ask.reason": "Neck always turned to the left screen.",
            **NO_FLAGS,
            "ask.place": "both",
            "ask.hours.typing": "2",
            "ask.hours.mouse": "3",
            "ask.hours.reading": "2",
            "ask.writing_hand": "left",
            "ask.mouse_hand": "left",
            "ask.eyewear": "contacts",
            "ask.sit_stand": "some",
            "ask.shoe_seated": "2.5",
            "ask.shoe_standing": "2.5",
            "look.screen2.use": "equal",
            "look.found.seat": "44",
            "look.found.surface": "70",
            "look.found.screen_top": "118",
            "look.found.distance": "70",
            "look.found.mouse": "31",
            "look.found.screen_bearing": "18",
            "look.screen3.kind": "laptop",
            "look.screen3.use": "rare",
            "look.found.screen3_bearing": "64",
            "look.found.screen3_top": "98",
            "look.found.screen3_distance": "66",
            "look.found.screen2_bearing": "-38",
            "look.found.screen2_top": "119",
            "look.found.screen2_distance": "74",
            "look.found_standing.surface": "106",
            "look.found_standing.screen_top": "154",
        }
        | _aches("nape", 4, "most_days")
        | _habit("head_turned", "nearly_always", "left")
        | _habit("twisting", "often", "left"),
    ),
    DemoClient(
        name="Saskia Vell",
        sex="female",
        work="Watchkeeper, nights, shared desk",
        stature=1584,
        days_ago=1,
        by=1,
        until="look",
        workstation="Watch desk",
        entries=_NOTES_ONLY
        | {
            "ask.reason": "Nothing fits after the day watch has left.",
            **NO_FLAGS,
            "ask.place": "office",
            "ask.hours.typing": "2",
            "ask.hours.reading": "5",
            "ask.hours.mouse": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.sit_stand": "some",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "look.found.seat": "47",
            "look.found.surface": "76",
            "look.found.screen_top": "131",
            "look.found.distance": "84",
            "look.found.mouse": "36",
        }
        | _aches("shin_left", 2, "now_and_then")
        | _habit("feet_tucked", "often")
        | _room("temperature", "air", lux="310"),
    ),
    DemoClient(
        name="Anselm Crake",
        sex="male",
        work="Wreck register, keyboard tray",
        stature=1771,
        days_ago=15,
        by=0,
        until="pace",
        entries=_AGREED
        | _from_shelf("task", "fixed", "tray", "keys_split", "screen_34")
        | {
            "ask.reason": "Thighs meet the tray; wrists bent back.",
            **NO_FLAGS,
            "ask.place": "office",
            "ask.hours.typing": "5",
            "ask.hours.mouse": "1",
            "ask.hours.reading": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "progressive",
            "ask.lower_lens": "no",
            "ask.typing_by": "eye",
            "ask.care.hypermobility": "yes",
            "ask.shoe_seated": "3",
            "ask.shoe_standing": "3",
            "look.tray.desk": "74",
            "look.found.seat": "47",
            "look.found.surface": "66",
            "look.found.underside": "63",
            "look.found.screen_top": "124",
            "look.found.distance": "72",
            "look.found.mouse": "33",
            "look.found.screen_bearing": "-6",
            "pace.rhythm": "work25_move4",
        }
        | _aches("wrist_back_left", 4, "most_days")
        | _aches("forearm_back_left", 3)
        | _habit("head_down", "often")
        | _habit("wrist_back", "nearly_always", "both"),
    ),
    DemoClient(
        name="Greta Moss",
        sex="female",
        work="Sediment bench, counter and stool",
        stature=1627,
        days_ago=7,
        by=1,
        until="look",
        entries=_NOTES_ONLY
        | _from_shelf("stool", "counter", "keys_compact", "laptop")
        | {
            "ask.reason": "Neck and legs tired at the bench.",
            **NO_FLAGS,
            "ask.place": "site",
            "ask.hours.writing": "2",
            "ask.hours.typing": "1.5",
            "ask.hours.paper": "1",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "distance",
            "ask.care.surgery": "yes",
            "ask.care.surgery.note": "Shoulder, ten weeks ago; no reach over shoulder height.",
            "ask.care.surgery.cleared_by": "Surgeon's letter, shown at this visit",
            "ask.shoe_seated": "2.5",
            "ask.shoe_standing": "2.5",
            "look.found.seat": "65",
            "look.found.footrest": "20",
            "look.found.surface": "91",
            "look.found.screen_top": "115",
            "look.found.distance": "46",
            "look.found.mouse": "24",
        }
        | _aches("calf_left", 3, "every_day")
        | _aches("nape", 5, "most_days")
        | _habit("head_down", "nearly_always")
        | _habit("feet_hanging", "often"),
    ),
    DemoClient(
        name="Ruben Hale",
        sex="male",
        work="Radio room, television as a screen",
        stature=1693,
        days_ago=2,
        by=0,
        until="ask",
        entries=_NOTES_ONLY
        | {
            "ask.reason": "Tired eyes; dizzy when he gets up.",
            **NO_FLAGS,
            "ask.sign.headache": "yes",
            "ask.sign.headache.done": "Sent to the emergency room by taxi.",
            "ask.sign.headache.by": "Ines Calloway",
            "ask.hours.reading": "6",
            "ask.hours.calls": "3",
            "ask.day_hours": "7",
            "ask.writing_hand": "right",
            "ask.mouse_hand": "right",
            "ask.eyewear": "none",
            "ask.care.dizziness": "yes",
        }
        | _aches("eyes", 7, "always", "Three days"),
    ),
)

DEMO_LISTS: tuple[tuple[str, tuple[str, ...]], ...] = (
    (
        "Front counter, first look",
        (
            "popliteal_height",
            "thigh_clearance",
            "elbow_height_sitting",
            "stature",
            "elbow_height_standing",
            "eye_height_standing",
        ),
    ),
    (
        "Shared watch desk",
        (
            "popliteal_height",
            "elbow_height_sitting",
            "eye_height_sitting",
            "stature",
            "elbow_height_standing",
        ),
    ),
)
"""The practice's own lists of dimensions."""

DEMO_TABLE = (
    "Saltmere staff, 2021",
    "Made up: 212 women and 240 men of the office, measured in 2021",
    """dimension,sex,mean_mm,sd_mm,r_stature
stature,female,1648,64,
stature,male,1779,71,
popliteal_height,female,408,26,0.81
popliteal_height,male,448,28,0.82
elbow_height_sitting,female,238,28,
elbow_height_sitting,male,247,30,
eye_height_sitting,female,752,33,0.75
eye_height_sitting,male,802,35,0.75
""",
)
"""Name, origin and lines of a table that the practice added."""
