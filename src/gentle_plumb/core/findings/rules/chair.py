"""Rules about the chair as a piece. Heights are judged with the settings."""

from __future__ import annotations

from ..rule import Amount, Answer, Pair, Rule

CHAIR: tuple[Rule, ...] = (
    Answer(
        id="chair_stability", title="Chair's stability",
        path="look.chair.stability", wrong=("wobbles", "tips"), source="house-room",
        why="It can tip or give way.", do="Out of use until it is mended.", safety=True,
        asked="Whether the chair stands firmly is not recorded.",
    ),
    Answer(
        id="gas_spring", title="Gas spring",
        path="look.chair.lift", wrong=("sinks", "broken"), source="house-room",
        why="The seat does not stay where it is set.", do="Out of use until it is mended.",
        safety=True, only_if=("look.chair.kind", ("", "task", "other")),
        asked="Whether the seat holds its height is not recorded.",
    ),
    Answer(
        id="tilt_lock", title="Tilt lock",
        path="look.chair.lock", wrong=("broken",), source="iso-9241-5",
        why="The backrest gives way whenever it is leaned on.", do="Have it mended.",
        region="lower_back", only_if=("look.chair.kind", ("", "task", "other")),
        asked="Whether the tilt locks is not recorded.",
    ),
    Answer(
        id="no_backrest", title="No back to lean on",
        path="look.chair.kind", wrong=("stool",), deg=10, source="iso-9241-5",
        why="The back holds itself all the time.",
        do="A chair with a backrest for more than short spells.",
        region="lower_back", joint="trunk", share=0.85,
        asked="The kind of chair is not recorded.",
    ),
    Answer(
        id="ball", title="Ball as a chair",
        path="look.chair.kind", wrong=("ball",), deg=10, source="house-ball",
        why="No back, no height that stays, and it tires before it trains.",
        do="A chair for work; the ball for exercise.", region="lower_back", joint="trunk", share=0.85,
        asked="The kind of chair is not recorded.",
    ),
    Answer(
        id="neck_rest", title="Neck rest",
        path="look.chair.neck_rest", wrong=("misses",), weight=0.3, source="house-neck-rest",
        why="It pushes the head forward.", do="Take it off, or set it so that it meets the neck.",
        region="neck", wrong_under=("neck_rest", "off", ("meets",)),
    ),
    Answer(
        id="no_lumbar", title="No support for the small of the back",
        path="look.chair.lumbar_kind", wrong=("none",), weight=0.3, source="iso-9241-5",
        why="The lower back rounds as soon as it tires.",
        do="A towel roll today, a cushion or another chair to last.", region="lower_back",
        asked="Whether there is a lumbar support is not recorded.",
    ),
    Amount(
        id="backrest", title="Backrest",
        path="look.found.backrest", least=95, most=115, source="house-joint-bands",
        why="Bolt upright tires the back; far back takes the head forward.",
        do="Lean it as the plan says, so that the back is carried.", region="lower_back",
        joint="trunk", deg_per_unit=1.0, about_recline=True,
    ),
    Answer(
        id="castors", title="Castors",
        path="look.room.floor", wrong=("wrong",), weight=0.15, source="house-room",
        why="A chair that rolls away is held with the feet.",
        do="Castors for this floor, or a mat.",
        asked="Whether castors and floor fit is not recorded.",
    ),
    Pair(
        id="armrests_apart", title="Armrests too far apart",
        paths=("look.found.armrest_gap", "measure.shoulder_breadth_bideltoid.first"),
        fails=lambda gap, breadth: gap > breadth + 60, source="house-armrest",
        words="{0} between the armrests, the shoulders are {1} broad",
        why="The elbows go out to find them.", do="Set them narrower, or leave them low.",
        region="shoulder",
    ),
)  # fmt: skip
