"""Whole visits drawn by chance: bodies of the table at workstations that seldom fit them."""

from random import Random

from gentle_plumb.core.body import made_up_body
from gentle_plumb.core.catalogue import TASKS
from gentle_plumb.core.intake import PRECAUTIONS, REGIONS
from gentle_plumb.core.observation import HABITS
from gentle_plumb.core.policy import POLICY_QUESTIONS


def visit_values(seed: int) -> dict[str, float | str]:
    """The entries of a visit, by path; mm and degrees."""
    draw = Random(seed)
    sex = draw.choice(("female", "male"))
    body = made_up_body(lambda: draw.gauss(0, 1), sex=sex)
    values = {"ask.shoe_seated": draw.uniform(0, 60), "ask.shoe_standing": draw.uniform(0, 60)}
    for name, mm in {**body, "lumbar_height_sitting": draw.uniform(150, 240)}.items():
        values |= {f"measure.{name}.{which}": mm for which in ("first", "second")}
    parts = (_work, _chair, _desk, _screens, _supports, _choices, _person, _seldom)
    for part in parts:
        values |= part(draw)
    return {path: value for path, value in values.items() if value is not None}


def _span(draw, path, low, most):
    return {f"{path}_min": low, f"{path}_max": low + draw.choice((0.0, draw.uniform(0, most)))}


def _work(draw):
    hours = {f"ask.hours.{task}": draw.choice((0.5, 1.0, 2.0)) for task in TASKS}
    return hours | {
        "ask.mouse_hand": draw.choice(("left", "right")),
        "ask.eyewear": draw.choice(("none", "progressive", "bifocal", "reading")),
        "ask.standing_hours": draw.choice((None, 0.0, 2.0)),
    }


def _chair(draw):
    seat = draw.uniform(380, 440)
    return {
        "look.chair.kind": draw.choice(("task", "task", "task", "dining", "stool", "wheelchair")),
        **_span(draw, "look.chair.seat", seat, 140),
        **_span(draw, "look.chair.depth", draw.uniform(360, 460), 70),
        **_span(draw, "look.chair.lumbar", draw.uniform(140, 200), 80),
        "look.chair.armrests": draw.choice(("none", "fixed", "adjustable")),
        **_span(draw, "look.chair.armrest", draw.uniform(160, 220), 100),
        "look.chair.armrests_off": draw.choice((None, "yes", "no")),
        "look.found.seat": seat + draw.uniform(0, 60),
        "look.found.seat_depth": draw.choice((None, draw.uniform(380, 520))),
        "look.found.backrest": draw.choice((None, 90.0, draw.uniform(88, 125))),
        "look.found.lumbar": draw.uniform(120, 260),
        "look.found.armrest": draw.uniform(150, 290),
    }


def _desk(draw):
    kind = draw.choice(("fixed", "fixed", "sit_stand", "sit_stand", "counter"))
    low = draw.uniform(620, 700) if kind == "sit_stand" else draw.uniform(680, 780)
    return {
        "look.desk.kind": kind,
        "look.desk.surface_min": low,
        "look.desk.surface_max": draw.uniform(1050, 1280) if kind == "sit_stand" else low,
        "look.desk.thickness": draw.uniform(18, 90),
        "look.desk.depth": draw.uniform(550, 900),
        "look.desk.edge": draw.choice(("sharp", "rounded", None)),
        "look.keyboard.kind": draw.choice(("full", "no_number_block", "compact")),
        "look.keyboard.thickness": draw.uniform(8, 40),
        "look.keyboard.feet": draw.choice(("in", "out")),
        "look.found.surface": low if kind != "sit_stand" else low + draw.uniform(0, 150),
        "look.found.mouse": draw.uniform(150, 600),
        "look.found.keys_edge": draw.choice((None, draw.uniform(20, 260))),
        "look.found.mouse_forward": draw.choice((None, draw.uniform(20, 320))),
        "look.found_standing.surface": draw.uniform(900, 1150) if kind == "sit_stand" else None,
    }


def _screens(draw):
    second = draw.random() < 0.4
    found = {
        "look.screen2.kind": "monitor",
        "look.screen2.diagonal": 24.0,
        "look.screen2.aspect": "16:9",
        "look.screen2.use": draw.choice(("equal", "some", "rare")),
        "look.found.screen2_bearing": draw.uniform(-70, 70),
        "look.found.screen2_top": draw.uniform(1000, 1400),
        "look.found.screen2_distance": draw.uniform(400, 900),
    }
    return {
        "look.screen.kind": "monitor",
        "look.screen.diagonal": draw.choice((22.0, 24.0, 27.0, 32.0)),
        "look.screen.aspect": "16:9",
        "look.screen.pixels_across": draw.choice((1920.0, 2560.0, 3840.0)),
        "look.screen.scale": draw.choice((None, 100.0, 150.0)),
        **_span(draw, "look.screen.top", draw.uniform(330, 450), 200),
        "look.found.screen_top": draw.uniform(1000, 1450),
        "look.found.distance": draw.uniform(400, 900),
        "look.found.tilt": draw.uniform(-5, 25),
        "look.found.screen_bearing": draw.choice((None, draw.uniform(-40, 40))),
        **(found if second else {}),
    }


def _supports(draw):
    footrest = draw.choice(("yes", "no", None))
    return {
        "look.support.footrest": footrest,
        **(_span(draw, "look.footrest.height", draw.uniform(40, 90), 80) if footrest else {}),
        "look.found.footrest": 0.0 if footrest == "no" else None,
        "look.support.ream": draw.choice(("yes", "no")),
        "look.support.ream.height": 50.0,
        "look.support.ream.count": float(draw.randint(1, 3)),
        "look.support.headset": draw.choice(("yes", "no")),
    }


def _seldom(draw):
    """What is seldom met: other seats, trays, laptops, walls and arms, joints that are limited, more at hand."""
    result = {}
    if draw.random() < 0.12:
        result["look.chair.kind"] = draw.choice(("saddle", "ball", "other", "sofa", "bed"))
    if draw.random() < 0.15:
        result |= {
            "look.tray.there": "yes",
            "look.tray.desk": draw.uniform(700, 780),
            "look.tray.thickness": draw.uniform(20, 40),
            **_span(draw, "look.tray.below", draw.uniform(30, 100), 80),
        }
    if draw.random() < 0.15:
        result |= {"look.screen.kind": "laptop", "look.screen.laptop_diagonal": 14.0}
        result["look.screen.keys"] = draw.choice(("own", "separate"))
    elif draw.random() < 0.3:
        result["look.screen.held"] = draw.choice(("stand", "arm", "wall"))
    if draw.random() < 0.2:
        result["look.screen.lifted_by"] = draw.uniform(30, 150)
    for id, usual in (("book", 30.0), ("box", 120.0), ("towel", 80.0), ("cushion", 50.0)):
        if draw.random() < 0.25:
            result |= {
                f"look.support.{id}": "yes",
                f"look.support.{id}.height": draw.choice((None, usual)),
                f"look.support.{id}.count": draw.choice((None, 2.0)),
            }
    if draw.random() < 0.15:
        result["look.support.other_chair"] = "yes"
        result |= _span(draw, "look.other_chair.seat", draw.uniform(400, 480), 120)
    for joint, low, high in (("knee_bend", 50, 100), ("arm_raise", 30, 120), ("hip_open", 95, 115)):
        if draw.random() < 0.06:
            result[f"ask.joint.{joint}"] = draw.uniform(low, high)
    return result


def _choices(draw):
    chosen = {"work.plan": draw.choice(("room", "room", "little", "lasting"))}
    for question in POLICY_QUESTIONS.values():
        if draw.random() < 0.2:
            chosen[f"work.policy.{question.id}"] = draw.choice(question.positions).id
    return chosen


def _person(draw):
    cared = {f"ask.care.{id}": "yes" for id in PRECAUTIONS if draw.random() < 0.06}
    habits = {f"look.habit.{id}": "seen" for id in HABITS if draw.random() < 0.2}
    felt = {f"ask.discomfort.{id}": 5.0 for id in draw.sample(sorted(REGIONS), 2)}
    return cared | habits | felt
