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
            label="What to set first",
            default="fixed",
            targets=("seat", "footrest", "surface"),
            positions=(
                _at(
                    "fixed",
                    "The item that can't be adjusted",
                    "It dictates the rest, and covers the other two cases.",
                    first="fixed",
                ),
                _at(
                    "feet",
                    "Feet and chair",
                    "A stable base for the pelvis comes first.",
                    first="feet",
                ),
                _at(
                    "hands",
                    "Hands first, support the feet",
                    "The hands do the work; feet are easy to support.",
                    first="hands",
                ),
            ),
        ),
        PolicyQuestion(
            id="keep",
            label="Settings already in range",
            default="leave",
            targets=("seat", "surface", "screen_top"),
            positions=(
                _at(
                    "leave",
                    "Leave it",
                    "Least change: the client keeps what is right.",
                    keep_what_holds=True,
                ),
                _at(
                    "target",
                    "Set it to the target",
                    "Mid-range leaves more margin than the edge.",
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
                    "90° to 110°, target 95°",
                    "Slightly open: less strain in the forearm.",
                    elbow_low=90.0,
                    elbow_angle=95.0,
                    elbow_high=110.0,
                ),
                _at(
                    "square",
                    "90",
                    "Forearms level: easy to see and teach.",
                    elbow_low=85.0,
                    elbow_angle=90.0,
                    elbow_high=95.0,
                ),
                _at(
                    "never_under",
                    "Never under 90, target 100",
                    "A sharply bent elbow strains the ulnar nerve; a more open one does no harm.",
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
                    "The backrest takes some of the load and the arms still reach.",
                    recline=10.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "upright",
                    "Upright, 90 to 100",
                    "Trunk balanced over the pelvis, ready to move.",
                    recline=3.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "leaning",
                    "Hips about 110, leaning back",
                    "Reclining reduces disc pressure.",
                    recline=20.0,
                    thigh_slope=0.0,
                ),
                _at(
                    "hips_high",
                    "Hips higher than knees, back upright",
                    "The pelvis tilts forward and the lumbar curve looks after itself.",
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
                    "Level, or to suit the back",
                    "Weight spread along the thigh; up to 10° down is allowed.",
                ),
                _at("level", "Level", "Weight over the whole thigh.", thigh_slope=0.0),
                _at(
                    "down",
                    "Sloping down, 8°",
                    "A more open hip without reclining.",
                    thigh_slope=8.0,
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
                    "No pressure on vessels and nerves; thigh still supported.",
                    knee_gap_low=2.0,
                    knee_gap_high=3.0,
                    knee_gap_unit="fingers",
                ),
                _at(
                    "narrow",
                    "1.5 to 2 fingers",
                    "Maximum thigh support.",
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
                    "At least 2 cm",
                    "A fixed figure that doesn't depend on hand size.",
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
                    "Just above the belt, then check by feel",
                    "That is where the lumbar curve is.",
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
                    "Light support, shoulders relaxed",
                    "They take the arm's weight between bursts of typing.",
                    armrest_use="light",
                    armrest_below_elbow=10.0,
                ),
                _at(
                    "elbow",
                    "Forearms supported at elbow height",
                    "The neck doesn't have to hold up the arms.",
                    armrest_use="elbow",
                    armrest_below_elbow=0.0,
                ),
                _at(
                    "off",
                    "Don't use them",
                    "They restrict the elbows and keep the client away from the desk.",
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
                    "Hands float while typing, rest in between; keyboard at the front edge",
                    "The arm moves the hand and nothing presses on the wrist.",
                    set_back=0.0,
                ),
                _at(
                    "rest",
                    "Forearms rest on the desk, keyboard set back",
                    "For tired necks and shoulders.",
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
                    "The whole screen is below eye level: read by moving the eyes only.",
                    screen_rule="top_edge",
                ),
                _at(
                    "top_third",
                    "Eyes at the top third",
                    "That is where most of the text worked on is.",
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
                    "Where the eyes rest naturally.",
                    screen_rule="gaze_drop",
                ),
                _at(
                    "eyes_alone",
                    "Readable top to bottom by eye movement alone",
                    "Anything within reach of the eyes without moving the head is acceptable.",
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
                    "Arm's length",
                    "Easy to show; then adjusted for vision, screen size and the settle-in test.",
                    distance_rule="fingertip",
                ),
                _at(
                    "fist",
                    "Knuckles reach it",
                    "Nearer: small text without leaning.",
                    distance_rule="fist",
                ),
                _at(
                    "near",
                    "As near as comfortable",
                    "So that the client sits back.",
                    distance_rule="near",
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
                    "Centre the join if use is 40:60 or more even",
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
                    "Never centre the join: one is always the main screen",
                    "Nobody should face a gap.",
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
                    "Lower the screen and test; suggest an eye test",
                    "Helps now; the chin test decides.",
                    lens_answer="lower",
                ),
                _at(
                    "glasses",
                    "Computer glasses first",
                    "A low screen flexes the neck instead; keep the normal height.",
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
                    "20-8-2 if the desk allows, otherwise up every 30 min",
                    "Short cycles that people can keep up all day.",
                    rhythm="",
                ),
                *(_at(one.id, one.label, one.says, rhythm=one.id) for one in RHYTHMS.values()),
            ),
        ),
        PolicyQuestion(
            id="neck_rest",
            label="Headrest",
            default="if_it_meets",
            positions=(
                _at(
                    "if_it_meets",
                    "Remove unless it supports the neck",
                    "Often misplaced, pushing the head forward.",
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
                    "Allowed, marked as temporary with a review date",
                    "A workable set-up now beats a perfect one later.",
                    temporary="marked",
                ),
                _at(
                    "dated",
                    "Only with an end date",
                    "Without an end date, temporary becomes permanent.",
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
