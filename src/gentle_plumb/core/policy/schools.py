"""Where practitioners disagree: each question with its positions, and the reason for each.

A *bundle* is a choice of positions, one for each question it names; what it doesn't name is the
default. A position sets fields of :class:`Policy`; nothing else of the program knows schools.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from ..errors import UnknownName
from ..pace import RHYTHMS
from .policy import Policy, with_values

RuleSet = Mapping[str, str]
"""Position by question."""


@dataclass(frozen=True, kw_only=True)
class PolicyOption:
    """One answer: what it says, why its followers hold it, and the policy fields it sets."""

    id: str
    label: str
    why: str
    sets: Mapping[str, float | str | bool] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class PolicyQuestion:
    """One disagreement. ``targets`` are the rows it moves; ``standing`` whether it does so there too."""

    id: str
    label: str
    positions: tuple[PolicyOption, ...]
    default: str
    targets: tuple[str, ...] = ()
    standing: bool = False

    def position(self, id: str) -> PolicyOption:
        """The position of this name; raises UnknownName."""
        for one in self.positions:
            if one.id == id:
                return one
        raise UnknownName(
            field=self.id,
            value=id,
            choices=tuple(one.id for one in self.positions),
            message=f"{self.label}: there is no “{id}”; one of "
            f"{', '.join(one.id for one in self.positions)}",
        )


def _at(id: str, label: str, why: str, **sets: float | str | bool) -> PolicyOption:
    return PolicyOption(id=id, label=label, why=why, sets=sets)


POLICY_QUESTIONS: dict[str, PolicyQuestion] = {
    question.id: question
    for question in (
        PolicyQuestion(
            id="first",
            label="What is set first",
            default="fixed",
            targets=("seat", "footrest", "surface"),
            positions=(
                _at(
                    "fixed",
                    "The piece that can't move",
                    "It decides anyway, and it contains the other two.",
                    first="fixed",
                ),
                _at(
                    "feet",
                    "Feet and chair",
                    "A pelvis on a steady base before everything else.",
                    first="feet",
                ),
                _at(
                    "hands",
                    "Hands, feet propped up",
                    "The hands do the work; feet are quickly supported.",
                    first="hands",
                ),
            ),
        ),
        PolicyQuestion(
            id="keep",
            label="What is in its band already",
            default="leave",
            targets=("seat", "surface", "screen_top"),
            positions=(
                _at(
                    "leave",
                    "Leave it",
                    "The least change; a client keeps what is right.",
                    keep_what_holds=True,
                ),
                _at(
                    "target",
                    "Set it to the target",
                    "The middle of a band forgives more than its edge.",
                    keep_what_holds=False,
                ),
            ),
        ),
        PolicyQuestion(
            id="elbow",
            label="Elbow",
            default="open",
            standing=True,
            targets=("surface", "keys", "seat"),
            positions=(
                _at(
                    "open",
                    "90 to 110, target 95",
                    "A little open: less pull in the forearm.",
                    elbow_low=90.0,
                    elbow_angle=95.0,
                    elbow_high=110.0,
                ),
                _at(
                    "square",
                    "90",
                    "Forearms level, easily seen and taught.",
                    elbow_low=85.0,
                    elbow_angle=90.0,
                    elbow_high=95.0,
                ),
                _at(
                    "never_under",
                    "Never under 90, target 100",
                    "A closed elbow narrows the nerve's room; open does no harm.",
                    elbow_low=90.0,
                    elbow_angle=100.0,
                    elbow_high=120.0,
                ),
            ),
        ),
        PolicyQuestion(
            id="back",
            label="Back",
            default="supported",
            targets=("backrest", "surface", "screen_top", "armrest"),
            positions=(
                _at(
                    "supported",
                    "100 to 105, supported",
                    "The backrest carries a part; the arms still reach.",
                    recline=10.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "upright",
                    "Upright, 90 to 100",
                    "The trunk works over the pelvis, ready to move.",
                    recline=3.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "leaning",
                    "Hips about 110, leaning back",
                    "Least pressure in the discs when leaning.",
                    recline=20.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "hips_high",
                    "Hips above knees, back upright",
                    "The pelvis tips forward and the curve keeps itself.",
                    recline=0.0,
                    thigh_slope=12.0,
                ),
            ),
        ),
        PolicyQuestion(
            id="thighs",
            label="Thighs",
            default="by_back",
            targets=("seat",),
            positions=(
                _at(
                    "by_back",
                    "Level, or as the back asks",
                    "Weight over the whole thigh; up to 10° down allowed.",
                ),
                _at("level", "Level", "Weight over the whole thigh.", thigh_slope=0.0),
                _at(
                    "down", "Sloping down, 8°", "A wider hip without leaning back.", thigh_slope=8.0
                ),
            ),
        ),
        PolicyQuestion(
            id="knee_gap",
            label="Gap behind the knee",
            default="two_three",
            targets=("seat_depth",),
            positions=(
                _at(
                    "two_three",
                    "2 to 3 fingers",
                    "Free vessels and nerves, thigh still carried.",
                    knee_gap_low=2.0,
                    knee_gap_high=3.0,
                    knee_gap_unit="fingers",
                ),
                _at(
                    "narrow",
                    "1.5 to 2 fingers",
                    "As much thigh carried as can be.",
                    knee_gap_low=1.5,
                    knee_gap_high=2.0,
                    knee_gap_unit="fingers",
                ),
                _at(
                    "wide",
                    "2 to 4 fingers",
                    "Room to shift about.",
                    knee_gap_low=2.0,
                    knee_gap_high=4.0,
                    knee_gap_unit="fingers",
                ),
                _at(
                    "two_cm",
                    "2 cm at least",
                    "A number that needs no hand to measure by.",
                    knee_gap_low=20.0,
                    knee_gap_high=60.0,
                    knee_gap_unit="mm",
                ),
                _at(
                    "five_cm",
                    "5 to 7.5 cm",
                    "For swollen legs and soft seats.",
                    knee_gap_low=50.0,
                    knee_gap_high=75.0,
                    knee_gap_unit="mm",
                ),
            ),
        ),
        PolicyQuestion(
            id="lumbar",
            label="Lumbar pad",
            default="above",
            targets=("lumbar",),
            positions=(
                _at(
                    "above",
                    "Just above the belt, then feel",
                    "The small of the back lies there.",
                    lumbar_offset=0.0,
                ),
                _at(
                    "belt",
                    "At or just under the belt",
                    "It keeps the pelvis from rolling back.",
                    lumbar_offset=-30.0,
                ),
            ),
        ),
        PolicyQuestion(
            id="armrests",
            label="Armrests",
            default="light",
            targets=("armrest",),
            positions=(
                _at(
                    "light",
                    "Light support, never lifting",
                    "They carry the arm's weight between strokes.",
                    armrest_use="light",
                    armrest_below_elbow=10.0,
                ),
                _at(
                    "elbow",
                    "Forearms supported at elbow height",
                    "The neck need not carry the arms.",
                    armrest_use="elbow",
                    armrest_below_elbow=0.0,
                ),
                _at(
                    "off",
                    "Keep off them",
                    "They pin the elbow and keep the client from the desk.",
                    armrest_use="off",
                ),
            ),
        ),
        PolicyQuestion(
            id="forearms",
            label="Wrists and forearms",
            default="float",
            standing=True,
            targets=("keys_edge", "mouse_forward", "desk_depth"),
            positions=(
                _at(
                    "float",
                    "Float while typing, rest between; keyboard at the front edge",
                    "The hand moves from the arm, nothing presses on the wrist.",
                    set_back=0.0,
                ),
                _at(
                    "rest",
                    "Forearms rest on the desk, keyboard set back",
                    "Where neck and shoulders tire.",
                    set_back=120.0,
                ),
            ),
        ),
        PolicyQuestion(
            id="screen_height",
            label="Screen height",
            default="top_edge",
            standing=True,
            targets=("screen_top", "tilt"),
            positions=(
                _at(
                    "top_edge",
                    "Top edge at the eye line",
                    "All of it lies below: read with the eyes alone.",
                    screen_rule="top_edge",
                ),
                _at(
                    "top_third",
                    "Eyes at the top third",
                    "Where the lines one works on mostly are.",
                    screen_rule="top_third",
                ),
                _at(
                    "middle_third",
                    "Eyes at the middle third",
                    "Where most of the work is.",
                    screen_rule="middle_third",
                ),
                _at(
                    "gaze_drop",
                    "Centre 15° under the eye line",
                    "Where a resting gaze falls.",
                    screen_rule="gaze_drop",
                ),
                _at(
                    "eyes_alone",
                    "Eyes alone from top to bottom",
                    "Whatever the eyes reach without the head is right.",
                    screen_rule="eyes_alone",
                ),
            ),
        ),
        PolicyQuestion(
            id="screen_distance",
            label="Screen distance",
            default="fingertip",
            standing=True,
            targets=("distance", "scale", "desk_depth"),
            positions=(
                _at(
                    "fingertip",
                    "Fingertips reach it",
                    "Easily shown; then vision, size and the settle-in test correct it.",
                    distance_rule="fingertip",
                ),
                _at(
                    "fist",
                    "Knuckles reach it",
                    "Nearer: small text without leaning.",
                    distance_rule="fist",
                ),
                _at(
                    "near", "As near as comfortable", "So that one sits back.", distance_rule="near"
                ),
            ),
        ),
        PolicyQuestion(
            id="two_screens",
            label="Two screens used equally",
            default="by_use",
            targets=(
                "screen_bearing",
                "screen2_bearing",
                "screen3_bearing",
                "screen2_distance",
                "screen3_distance",
            ),
            positions=(
                _at(
                    "by_use",
                    "Seam on the midline if use is 40:60 or closer",
                    "Equal work, equal turning.",
                    two_screens="by_use",
                ),
                _at(
                    "seam",
                    "Seam on the midline",
                    "The neck turns alike to both sides.",
                    two_screens="seam",
                ),
                _at(
                    "one_main",
                    "Never at the seam, one is the main one",
                    "Nobody should look at a gap.",
                    two_screens="one_main",
                ),
            ),
        ),
        PolicyQuestion(
            id="lower_lens",
            label="Bifocal or progressive",
            default="lower",
            standing=True,
            targets=("screen_top",),
            positions=(
                _at(
                    "lower",
                    "Lower the screen and test; suggest the optometrist",
                    "It helps today; the chin test decides.",
                    lens_answer="lower",
                ),
                _at(
                    "glasses",
                    "Computer glasses first",
                    "Low screens bend the neck instead; the screen stays by its rule.",
                    lens_answer="glasses",
                ),
            ),
        ),
        PolicyQuestion(
            id="phone_side",
            label="Phone",
            default="non_writing",
            targets=("phone",),
            positions=(
                _at(
                    "non_writing",
                    "On the non-writing side",
                    "The writing hand stays free.",
                    phone_side="non_writing",
                ),
                _at(
                    "opposite_mouse",
                    "Opposite the mouse",
                    "The mouse hand stays on the mouse.",
                    phone_side="opposite_mouse",
                ),
            ),
        ),
        PolicyQuestion(
            id="rhythm",
            label="Rhythm",
            default="by_desk",
            targets=("rhythm",),
            positions=(
                _at(
                    "by_desk",
                    "20-8-2 where the desk allows, else up every 30",
                    "Short turns that a day can keep.",
                    rhythm="",
                ),
                *(_at(one.id, one.label, one.says, rhythm=one.id) for one in RHYTHMS.values()),
            ),
        ),
        PolicyQuestion(
            id="neck_rest",
            label="Neck rest",
            default="if_it_meets",
            positions=(
                _at(
                    "if_it_meets",
                    "Off unless it meets the neck",
                    "Often in the wrong place, pushing the head forward.",
                    neck_rest="if_it_meets",
                ),
                _at("off", "Off", "Seldom useful at a desk.", neck_rest="off"),
            ),
        ),
        PolicyQuestion(
            id="temporary",
            label="Temporary set-ups",
            default="marked",
            positions=(
                _at(
                    "marked",
                    "Allowed, marked temporary, with a review date",
                    "Possible before perfect.",
                    temporary="marked",
                ),
                _at(
                    "dated",
                    "Only with an end date",
                    "What has no end date stays.",
                    temporary="dated",
                ),
                _at("never", "Not at all", "Stacks slip.", temporary="never"),
            ),
        ),
    )
}
"""Every question. Sources: the ``house-…`` keys of the policy fields they set."""

STANDING = "standing."
"""Before a question's name: its position for standing alone."""


def policy_of(*bundles: RuleSet, base: Policy | None = None) -> Policy:
    """The policy that bundles make, later ones over earlier ones.

    Parameters
    ----------
    bundles : mapping of str to str
        Position by question; what begins with ``standing.`` is left out.
    base : Policy, optional
        What they start from.

    Raises
    ------
    UnknownName
        For a question or position that there is not.

    """
    chosen: dict[str, str] = {}
    for bundle in bundles:
        chosen.update({id: at for id, at in bundle.items() if not id.startswith(STANDING)})
    for id in chosen:
        question_of(id)
    sets: dict[str, float | str | bool] = {}
    for id, question in POLICY_QUESTIONS.items():  # the catalogue's order, whatever the bundle's
        if id in chosen:
            sets.update(question.position(chosen[id]).sets)
    return with_values(base or Policy(), sets)


def standing_policy_of(*bundles: RuleSet, base: Policy | None = None) -> Policy:
    """The policy for standing: the bundles, with what they say of standing alone on top."""
    alone: dict[str, str] = {}
    for id, at in (pair for bundle in bundles for pair in bundle.items()):
        if id.startswith(STANDING):
            question_of(id)
            alone[id.removeprefix(STANDING)] = at
    return policy_of(*bundles, alone, base=base)


def question_of(id: str) -> PolicyQuestion:
    """The question of this name; raises UnknownName."""
    question = POLICY_QUESTIONS.get(id.removeprefix(STANDING))
    if question is None or (id.startswith(STANDING) and not question.standing):
        raise UnknownName(
            field=id,
            value=id,
            choices=tuple(POLICY_QUESTIONS),
            message=f"There is no question “{id}”.",
        )
    return question


def check_rule_set(bundle: RuleSet) -> None:
    """Raises UnknownName for a question or a position that there is not."""
    for id, at in bundle.items():
        question_of(id).position(at)


def defaults() -> dict[str, str]:
    """The default position of each question."""
    return {id: question.default for id, question in POLICY_QUESTIONS.items()}
