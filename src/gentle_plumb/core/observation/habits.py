"""Habits seen after some minutes of work: one mark each on the figure.

``at`` names the joint of the drawn pose the mark is tied to. ``deg`` is what the habit counts
for in the strain sum when no photograph measures it: a stated, cautious stand-in for degrees
outside the joint's band. Source: house-habits.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..catalogue import MechanismId
from ..choices import Choice

At = Literal["head", "eye", "ear", "shoulder", "elbow", "hand", "back", "hip", "knee", "ankle"]
Posture = Literal["seated", "standing", "either"]
Moves = tuple[tuple[str, int, str], ...]


class HabitOften(Choice):
    """How often a habit is there."""

    NOW_AND_THEN = "now_and_then", "Now and then"
    OFTEN = "often", "Often"
    NEARLY_ALWAYS = "nearly_always", "Nearly always"


class HabitSide(Choice):
    """On which side a habit is seen."""

    LEFT = "left", "Left"
    RIGHT = "right", "Right"
    BOTH = "both", "Both"


SHARE: dict[HabitOften, float] = {
    HabitOften.NOW_AND_THEN: 0.15,
    HabitOften.OFTEN: 0.45,
    HabitOften.NEARLY_ALWAYS: 0.85,
}
"""Share of the time a habit is taken to be there; ``often`` where nobody said. Source: house-habits."""


@dataclass(frozen=True, kw_only=True)
class Habit:
    """One habit. ``joint`` and ``region`` say what it loads; ``sided`` whether a side is asked.

    ``do`` holds whatever the numbers are. ``moves`` are pieces of advice with a direction: quantity,
    sign of its change, words; each is given only where the worked-out change goes that way.
    """

    id: str
    mechanism: MechanismId
    label: str
    at: At
    posture: Posture
    joint: str
    region: str
    deg: float
    why: str
    do: str
    sided: bool = False
    moves: Moves = ()


def _habit(
    id: str,
    mechanism: MechanismId,
    label: str,
    at: At,
    joint: str,
    region: str,
    deg: float,
    why: str,
    do: str,
    *,
    posture: Posture = "seated",
    sided: bool = False,
    moves: Moves = (),
) -> Habit:
    return Habit(
        id=id,
        mechanism=mechanism,
        label=label,
        at=at,
        posture=posture,
        joint=joint,
        region=region,
        deg=deg,
        why=why,
        do=do,
        sided=sided,
        moves=moves,
    )


HABITS: dict[str, Habit] = {
    habit.id: habit
    for habit in (
        _habit(
            "head_ahead",
            "seeing",
            "Head forward of the shoulders",
            "head",
            "neck",
            "neck",
            15,
            "The neck muscles have to hold the weight of the head forward.",
            "Sit back, and enlarge the text rather than lean in.",
            posture="either",
            moves=(("distance", -1, "Bring the picture nearer."),),
        ),
        _habit(
            "chin_lifted",
            "screen_height",
            "Chin lifted",
            "eye",
            "neck",
            "neck",
            12,
            "The neck extends to read, especially through the lower part of the lens.",
            "Read top and bottom with the chin level: only the eyes move.",
            posture="either",
            moves=(("screen_top", -1, "Lower the screen."),),
        ),
        _habit(
            "head_down",
            "screen_height",
            "Looking down at keyboard or paper",
            "head",
            "neck",
            "neck",
            20,
            "The neck stays flexed while the eyes are down.",
            "Paper on a holder beside the picture; learn to type without looking down.",
        ),
        _habit(
            "head_turned",
            "turned",
            "Head turned to one side",
            "ear",
            "neck",
            "neck",
            15,
            "The neck is held at one end of its rotation.",
            "Put what you look at most straight ahead.",
            sided=True,
        ),
        _habit(
            "shoulders_raised",
            "arms",
            "Shoulders raised",
            "shoulder",
            "upper_arm",
            "shoulder",
            15,
            "The upper trapezius never rests.",
            "Let the shoulders drop before typing; the elbows touch the armrests lightly, or not at all.",
            posture="either",
            sided=True,
            moves=(("surface", -1, "Lower the keys."), ("seat", 1, "Raise the seat.")),
        ),
        _habit(
            "shoulders_rounded",
            "reach",
            "Shoulders rounded forward",
            "shoulder",
            "upper_arm",
            "shoulder",
            12,
            "Tight chest, shoulder blades apart: the neck carries the arms.",
            "Sit back first, then bring keys and mouse to the hands.",
            posture="either",
            moves=(("mouse", -1, "Bring the mouse in."),),
        ),
        _habit(
            "elbow_ahead",
            "reach",
            "Elbow forward of the body",
            "elbow",
            "upper_arm",
            "shoulder",
            15,
            "The shoulder holds the arm out in front.",
            "Keep keys and mouse where the upper arm hangs beside the body.",
            posture="either",
            sided=True,
        ),
        _habit(
            "elbow_out",
            "reach",
            "Elbow away from the side",
            "elbow",
            "upper_arm",
            "shoulder",
            15,
            "The shoulder holds the arm out to the side.",
            "Keep the elbow at the side with the hand on the mouse.",
            posture="either",
            sided=True,
            moves=(("mouse", -1, "Bring the mouse in."),),
        ),
        _habit(
            "elbow_below_edge",
            "hands_height",
            "Elbow below the desk edge",
            "elbow",
            "elbow",
            "forearm",
            12,
            "The forearm slopes up to the keys and presses on the edge.",
            "Let the forearm lie level with the keys, off the edge.",
            moves=(
                ("surface", -1, "Lower the desk."),
                ("seat", 1, "Raise the seat, with support for the feet."),
            ),
        ),
        _habit(
            "wrist_back",
            "wrists",
            "Wrist extended",
            "hand",
            "wrist",
            "wrist",
            20,
            "Extension loads the tendons and narrows the carpal tunnel.",
            "Fold the keyboard's feet in, and type with straight wrists.",
            posture="either",
            sided=True,
            moves=(("surface", -1, "Lower the keys."),),
        ),
        _habit(
            "wrist_outwards",
            "wrists",
            "Wrist bent to the little finger",
            "hand",
            "wrist",
            "wrist",
            12,
            "Ulnar deviation with every keystroke.",
            "Letter block before the breastbone, hands in line with the forearms.",
            posture="either",
            sided=True,
        ),
        _habit(
            "wrist_on_edge",
            "wrists",
            "Wrist resting on an edge",
            "hand",
            "wrist",
            "wrist",
            15,
            "The edge presses on the nerve and tendons.",
            "Rest on the forearm, not on the wrist, and never on a hard edge.",
            posture="either",
            sided=True,
        ),
        _habit(
            "back_free",
            "back",
            "Not using the backrest",
            "back",
            "trunk",
            "lower_back",
            10,
            "The back muscles work all day.",
            "Sit at the back of the seat, against the backrest.",
            moves=(
                ("seat_depth", -1, "Shorten the seat."),
                ("distance", -1, "Bring the picture nearer."),
            ),
        ),
        _habit(
            "perching",
            "back",
            "Perching on the seat's edge",
            "hip",
            "trunk",
            "lower_back",
            15,
            "Neither back nor thighs are supported.",
            "Sit on the whole seat, against the backrest.",
            moves=(("seat_depth", -1, "Shorten the seat."),),
        ),
        _habit(
            "slumping",
            "back",
            "Slumping",
            "back",
            "trunk",
            "lower_back",
            20,
            "The lower back hangs on its ligaments.",
            "Lean against the pad at the small of the back, and change position often.",
        ),
        _habit(
            "feet_hanging",
            "feet",
            "Feet hanging",
            "ankle",
            "knee",
            "hip",
            15,
            "The seat's edge presses under the thigh.",
            "Set both soles down fully.",
            moves=(
                ("seat", -1, "Lower the seat."),
                ("footrest", 1, "Put a support under the feet."),
            ),
        ),
        _habit(
            "feet_tucked",
            "feet",
            "Feet tucked under",
            "ankle",
            "knee",
            "knee",
            20,
            "The knees are sharply bent and the pelvis tilts back.",
            "Set the feet flat in front of the seat.",
        ),
        _habit(
            "legs_crossed",
            "stillness",
            "Legs crossed",
            "knee",
            "hip",
            "hip",
            12,
            "The pelvis tilts and the back side-bends.",
            "Set the feet flat; who crosses the legs changes sides often.",
            sided=True,
        ),
        _habit(
            "knees_high",
            "feet",
            "Knees above the hips",
            "knee",
            "hip",
            "lower_back",
            15,
            "The pelvis rolls back and the lower back rounds.",
            "Keep the knees no higher than the hips.",
            moves=(("seat", 1, "Raise the seat."),),
        ),
        _habit(
            "weight_one_leg",
            "stillness",
            "Weight on one leg",
            "ankle",
            "hip",
            "hip",
            12,
            "One hip carries all the weight.",
            "One foot on a low rail, in turn.",
            posture="standing",
            sided=True,
        ),
        _habit(
            "hip_pushed",
            "stillness",
            "Hip pushed out to one side",
            "hip",
            "hip",
            "lower_back",
            15,
            "The back hangs sideways on its ligaments.",
            "Feet apart, a rail, and shorter standing spells.",
            posture="standing",
            sided=True,
        ),
        _habit(
            "leaning_on_desk",
            "hands_height",
            "Leaning on the desk",
            "hand",
            "trunk",
            "lower_back",
            12,
            "The back bends and the wrists take the weight.",
            "Sit down sooner.",
            posture="standing",
            moves=(("surface", 1, "Raise the surface to the elbow."),),
        ),
        _habit(
            "twisting",
            "turned",
            "Twisting to paper or screen",
            "back",
            "trunk",
            "lower_back",
            15,
            "The trunk stays turned under load.",
            "Keep what you use together straight ahead.",
            posture="either",
            sided=True,
        ),
        _habit(
            "phone_shoulder",
            "phone_paper",
            "Phone held between ear and shoulder",
            "ear",
            "neck",
            "neck",
            30,
            "Neck bent and shoulder raised at once.",
            "Headset or loudspeaker, never ear and shoulder.",
            posture="either",
            sided=True,
        ),
    )
}
"""All habits, by identifier, from the head down."""
