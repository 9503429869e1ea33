"""Odile Marrick: chart compiler, desk 14."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles, Rear
from .shared import AGREED, SIT_STAND, aches, habit, room

MARRICK = DemoClient(
    name="Odile Marrick",
    sex="female",
    work="Chart compiler, desk 14",
    stature=1662,
    days_ago=9,
    by=0,
    until="signed",
    off={"popliteal_height": 4, "eye_height_sitting": 8},
    entries=AGREED
    | SIT_STAND
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
        "pace.start": "8:30",
        "pace.lunch_at": "12:15",
        "pace.lunch": "45",
        "pace.meeting1.at": "10:00",
        "pace.meeting1.minutes": "45",
        "set.seated.surface.by": "display",
        "set.standing.surface.by": "display",
        "set.standing.distance.by": "tape",
        "set.standing.screen_top.by": "tape",
        "pace.far_point": "the mast on the breakwater",
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
    | aches("nape", 5, "most_days", "Since the spring", "A walk at noon")
    | aches("shoulder_top_right", 3, "now_and_then")
    | habit("head_ahead", "often", note="Most on the fine print of the charts.")
    | habit("wrist_back", "often", "right")
    | habit("back_free", "now_and_then")
    | room("window", "clutter", lux="280", notes=(("window", "West window behind the screen."),)),
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
)
