"""Bram Tolliver: sonar data cleaning, mouse all day."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles, Camera, Rear
from .shared import AGREED, SIT_STAND, aches, habit, room

TOLLIVER = DemoClient(
    name="Bram Tolliver",
    sex="male",
    work="Sonar data cleaning, mouse all day",
    stature=1755,
    days_ago=2,
    by=1,
    until="set",
    off={"shoulder_breadth_biacromial": 10},
    entries=AGREED
    | SIT_STAND
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
        "set.action.set-seated-seat.test": "passes",
        "set.action.set-seated-seat.word": "good",
        "set.action.set-seated-armrest.test": "nearly",
        "set.action.room_cables.because": "workplace",
        "set.action.room_cables.owner": "workplace",
        "pace.spell.review.at": "14:00",
        "pace.spell.review.minutes": "20",
        "pace.spell.review.posture": "stand",
        "look.chair.lever_seat": "right_front",
        "look.chair.lever_armrest": "button",
        "look.desk.lever": "keys",
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
        "work.own.a1.title": "Cable of the mouse catches on the desk’s edge",
        "work.own.a1.why": "Each pull costs the shoulder.",
        "work.own.a1.severity": "slight",
        "work.own.a1.do": "A longer cable or none.",
        "work.own.a1.workplace": "yes",
        "look.support.document_holder": "no",
    }
    | aches("shoulder_front_right", 6, "every_day", "Four months", "Heat; weekends")
    | aches("blade_right", 4, "most_days")
    | habit("elbow_out", "nearly_always", "right")
    | habit("shoulders_raised", "often", "right")
    | room("cables", lux="430", notes=(("cables", "Screen cable tight at full height."),)),
    photos=(
        DemoPhoto(
            shows=Angles(neck=33, trunk=2, upper_arm=31, elbow=122, wrist=17, hip=95, knee=101),
            camera=Camera(distance=2600, tipped=3),
        ),
        DemoPhoto(shows=Rear(shoulder_line=-7, hip_line=1, lean=38, arm_left=8, arm_right=34)),
    ),
)
