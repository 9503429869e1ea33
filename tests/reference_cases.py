"""Reference cases: a body at a workstation, what a practitioner would say, and what the program says.

``python tests/reference_cases.py`` writes the page about them, docs/reference-cases.md. Lengths are in cm.
"""

from __future__ import annotations

import sys
from pathlib import Path
from typing import Any

from reference import ON_A_LAPTOP, PLAIN_SCREEN, USUAL, Reference
from unusual_cases import UNUSUAL
from workstations import body, chair, desk, found, mm, monitor, room

ROOT = Path(__file__).parents[1]
PAGE = ROOT / "docs" / "reference-cases.md"


SHORT = {
    **USUAL,
    **body(150, elbow_height_sitting=21.2, popliteal_height=35.6, thigh_clearance=14.0),
    **desk(74),
    **PLAIN_SCREEN,
    **found(seat=44, screen_top=118, distance=62),
}
PAN = {"depth_min": 45.0, "depth_max": 45.0}
WALL = {"kind": "monitor", "diagonal": 27.0, "aspect": "16:9", "held": "wall"}

REFERENCES = (
    Reference(
        id="D",
        who="A short woman (150 cm) at a fixed desk of 74 cm. The chair goes up to 62 cm, its pan is 7 cm too "
        "deep. Four reams of paper lie in the room.",
        answer="Seat to 55 cm, where the thighs just pass under the desk, feet on the reams. An insert behind the "
        "back for the deep pan. Nothing dearer than that: the screen is at the right height once she sits higher.",
        values=SHORT | chair(40, 62, **PAN) | room(ream=(5, 4)),
        set={"seat": 55.0, "surface": 74.0, "footrest": 20.0, "screen_top": 118.0},
        plans={"room": ["feet_stack"], "little": ["insert", "feet_stack"]},
        says={"seated.surface": "Keys 11.5 cm above the elbows"},
        never=("Screen arm",),
    ),
    Reference(
        id="D, lower chair",
        who="The same woman on a chair that ends at 48 cm.",
        answer="Two reams carry the feet. 11.4 cm would be a little better than 10, by less than a degree: nobody "
        "goes to look for it.",
        values=SHORT | chair(40, 48, **PAN) | room(ream=(5, 4)),
        plans={"room": ["feet_stack"]},
    ),
    Reference(
        id="D, bare room",
        who="The same woman, and nothing in the room to put the feet on.",
        answer="Seat to 55 cm, with 18.4 cm under the feet; somebody has to find it.",
        values=SHORT | chair(40, 62, **PAN),
        set={"seat": 55.0, "footrest": 18.4},
        plans={"room": ["feet_to_find"]},
        says={"seated.seat": "First put a support 18.4"},
    ),
    Reference(
        id="E",
        who="A man of middle height at a fixed desk of 77 cm; two reams in the room.",
        answer="Seat to 58 cm under the thighs’ limit, feet 16.3 cm high: the two reams, with something on top. The "
        "screen goes up, not down, as the eyes rise with the seat.",
        values={
            **USUAL,
            **body(popliteal_height=40.7, thigh_clearance=14.0),
            **chair(40, 60),
            **desk(77),
            **monitor(35, 60),
            **found(seat=45, screen_top=126, distance=60),
            **room(ream=(5, 2)),
        },
        set={"seat": 58.0, "footrest": 16.3},
        plans={"room": ["feet_topped"]},
        says={"seated.screen_top": "the eyes come 13.0 cm higher with the seat"},
        never=("0.0 cm high",),
    ),
    Reference(
        id="L",
        who="A woman with a laptop on a fixed chair of 41.7 cm; four books in the room, the laptop’s keys not measured.",
        answer="Two books under the feet. The laptop raised, with keys and a mouse of its own. The keys are taken as "
        "2 cm high, and that is said.",
        values={
            **USUAL,
            **body(155, popliteal_height=36.0),
            **chair(41.7, 41.7, depth_min=38, depth_max=38),
            **desk(72),
            **ON_A_LAPTOP,
            **found(seat=41.7, screen_top=94, distance=50),
            **room(book=(3, 4)),
        }
        | {"look.keyboard.thickness": None},
        set={"footrest": 6.0},
        plans={"room": ["feet_stack"]},
    ),
    Reference(
        id="H",
        who="A very heavy man (thighs 24.5 cm) at a fixed desk of 72 cm.",
        answer="The seat comes down to 42.5 cm: the thighs need the room. Nobody sends it up to where the hands would "
        "want it.",
        values={
            **USUAL,
            **body(popliteal_height=41.0, thigh_clearance=24.5, abdominal_depth_sitting=46.0),
            **chair(),
            **desk(72),
            **PLAIN_SCREEN,
            **found(seat=44, screen_top=118, distance=62),
        },
        set={"seat": 42.5},
        says={"seated.seat": "the thighs need the room"},
        never=("then raise the seat", "Raise by"),
    ),
    Reference(
        id="Q",
        who="A fixed worktop at 80 cm with 18 cm of frame under it.",
        answer="Seat to 45 cm for the thighs. A tray or another desk is what would help.",
        values={
            **USUAL,
            **body(popliteal_height=42.0),
            **chair(40, 65),
            **desk(80, thick=18),
            **PLAIN_SCREEN,
            **found(seat=46, screen_top=128, distance=62),
        },
        set={"seat": 45.0},
        plans={"lasting": ["tray"]},
        says={"seated.seat": "the thighs need the room"},
    ),
    Reference(
        id="T",
        who="A keyboard tray that presses on the thighs, under a desk of 74 cm.",
        answer="Take the tray off: it costs nothing. Keys on the desk, seat to 50.4 cm, 7.4 cm under the feet.",
        values={
            **USUAL,
            **body(thigh_clearance=19.1, popliteal_height=42.0),
            **chair(),
            **desk(74, thick=2.5, at=65.5),
            **mm(look__tray__there="yes", look__tray__desk=74, look__tray__thickness=3.5),
            **mm(look__tray__below_min=8, look__tray__below_max=10),
            **PLAIN_SCREEN,
            **found(seat=44, screen_top=118, distance=62),
        },
        set={"surface": 74.0, "seat": 50.4, "footrest": 7.4},
        plans={"room": ["tray_off", "feet_to_find"]},
        says={"seated.thighs": "Remove the keyboard tray."},
    ),
    Reference(
        id="V",
        who="A tall man (195 cm) at a sit-stand desk; his screen arm ends 46 cm above it.",
        answer="A longer pole for the arm. No tray under a desk that moves.",
        values={
            **USUAL,
            **body(195, elbow_height_standing=120.2, eye_height_standing=182.0),
            **chair(40, 60),
            **desk(62, 127, thick=2.5, at=72),
            **monitor(20, 46, "arm"),
            **found(seat=47, screen_top=118, distance=60),
        },
        plans={"little": ["longer_pole"], "lasting": ["longer_pole"]},
        never=("Keyboard tray",),
    ),
    Reference(
        id="W",
        who="A screen on the wall, 25 cm too high, at a fixed desk of 73 cm.",
        answer="The bracket comes down. Nobody is put on a high chair to look at it.",
        values={
            **USUAL,
            **body(),
            **chair(),
            **desk(73),
            **{f"look.screen.{key}": one for key, one in WALL.items()},
            **found(seat=46, screen_top=155, distance=80),
        },
        plans={"little": ["feet_to_find", "wall_bracket"]},
        never=("High chair",),
    ),
    Reference(
        id="R",
        who="Feet flat at 43.5 cm, hands far under a fixed desk of 74 cm; nobody asked about a footrest.",
        answer="The keys are the trouble, not the feet. Seat to 54 cm with 9 cm under the feet.",
        values={
            **USUAL,
            **body(elbow_height_sitting=20.0),
            **chair(40, 60),
            **desk(74),
            **monitor(35, 65),
            **found(seat=43.5, screen_top=125, distance=60),
        }
        | {"look.support.footrest": None},
        set={"seat": 54.0, "footrest": 9.0},
        says={"seated.surface": "Keys 13.3 cm above the elbows"},
        never=("feet are not supported",),
    ),
    *UNUSUAL,
)


def worked(reference: Reference) -> Any:
    """The case worked out as a visit is."""
    from gentle_plumb.services.workup import work_up
    from plain_visit import snapshot

    return work_up(snapshot(reference.values), "cm", body=False)


def plans_of(work: Any) -> dict[str, Any]:
    return {plan.id: plan for plan in work.analysis.plans().plans}


SHOWN = ("seat", "footrest", "surface", "screen_top")


def told(reference: Reference) -> list[str]:
    """What the program says of a case, in lines."""
    work = worked(reference)
    states = work.analysis.states
    lines = []
    settings = [
        f"{states['seated', key].quantity.label.lower()} {states['seated', key].setting / 10:.1f}"
        for key in SHOWN
        if states["seated", key].setting is not None
    ]
    lines.append(f"Settings, cm: {', '.join(settings)}.")
    for id, plan in plans_of(work).items():
        added = "; ".join(each.label for each in plan.added) or "nothing added"
        left = "not known" if plan.not_assessed else f"{plan.excess_deg:.1f}° left"
        lines.append(f"Plan “{id}”: {added}; {left}.")
    lines += [
        f"{each.cause} {each.instruction}"
        for each in work.findings
        if each.state == "off" and each.id in reference.says
    ]
    return lines


HEAD = """# Reference cases

Made-up bodies at made-up workstations, each with the answer of an experienced practitioner and the program’s own.
The tests hold the two against each other; `python tests/reference_cases.py` writes this page.
"""


def page() -> str:
    parts = [HEAD]
    for reference in REFERENCES:
        said = "\n".join(f"- {line}" for line in told(reference))
        parts.append(
            f"## {reference.id}\n\n{reference.who}\n\n**Practitioner.** {reference.answer}\n\n**Program.**\n\n{said}\n"
        )
    return "\n".join(parts).replace("\xa0", " ")


if __name__ == "__main__":
    sys.path.insert(0, str(ROOT / "src"))
    PAGE.write_text(page())
