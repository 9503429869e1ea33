"""Sentences that are made from numbers, each once, by name; English, and complete.

A practice's own language is a second mapping of the same names: what it leaves out stays English.
Placeholders hold finished numbers with their units, or other words.
"""

from __future__ import annotations

from collections.abc import Mapping

from .found_messages import FOUND_MESSAGES
from .state_messages import STATE_MESSAGES

ENGLISH: dict[str, str] = {
    **STATE_MESSAGES,
    **FOUND_MESSAGES,
    # settings
    "setting.unrecorded": "{label}: not recorded.",
    "setting.no_target": "{label}: no target can be told.",
    "setting.in_band": "{label} {at}: in its band.",
    "setting.joint_holds": "{label} {at}: right for the posture as found; it moves with the rest.",
    "setting.off": "{label} {at}, {apart} {side} {whose} target: {effect}{angle}.",
    "setting.off_within": "{label} {at}: {effect}{angle}.",
    "setting.evidence": "As found {at}{known}, target {target}",
    "setting.declared": "(as the piece says)",
    "setting.move": "{verb} by {by} to {to}.",
    "setting.stays": "Leave it at {to}: {limit}.",
    "setting.best_here": "Leave it at {to}: that suits the whole posture best.",
    "setting.by_eye": "{label}, by eye: {check}",
    "setting.with": "With: {what}.",
    "setting.done": "Done: set to {at}, {how}.",
    "setting.follows": "It follows the piece it is joined to.",
    "setting.deeper_arm": "A deeper desk, or keys on a tray: {by} are lacking.",
    "setting.deeper": "A deeper desk, an arm behind it, or keys on a tray: {by} are lacking.",
    "how.measured": "measured",
    "how.not_remeasured": "not measured",
    # the body
    "feet.off": "The feet hang: {gap} short of a support. The thighs press on the seat's edge.",
    "feet.evidence": "As found the soles lack {gap}",
    "feet.why": "The thighs press on the seat's edge, and nothing supports the legs.",
    "feet.first": "First a support for the feet, {at} high.",
    "feet.first_here": "First {what}.",
    "feet.first_set": "First set the footrest to {at}.",
    "feet.first_until": "First a support for the feet, {at} high; until it is there, keep the seat at {until}.",
    "feet.before_seat": "Support the feet first, {support} high; then raise the seat to {aim}. Until then "
    "keep it at {to}.",
    "feet.lower": "Lower the seat to {to}.",
    "feet.support": "Support the feet at {to}.",
    "feet.lacking": "{gap} of support are still lacking: a footrest, a box or a lower chair is "
    "needed before anything else.",
    "feet.any": "Support for the feet, or a lower seat.",
    "thighs.pressed": "The thighs do not fit: they stand {gap} in what is over them.",
    "thighs.short": "The thighs lack {gap} of room under the desk.",
    "thighs.why": "Thighs that are pressed or fenced in can't move.",
    "thighs.any": "More room over the thighs: a thinner top, a raised desk, no drawer.",
    "condition.ok": "{label}: enough.",
    "condition.unknown": "{label}: {reason}",
    "wrist.off": "{angle}, {over} outside its band: {effect}.",
    "wrist.why": "A bent wrist loads the tendons and narrows the carpal tunnel.",
    "wrist.comes_right": "The wrists straighten with the {what}.",
    "wrist.left_back": "The wrists still bend back by {over} too much once all is set: use a flatter keyboard, "
    "or a tray that slopes down towards the screen.",
    "wrist.left_down": "The wrists still bend down by {over} too much once all is set: raise the back edge of the "
    "keyboard, or lower the keys.",
    "wrist.feet_in": "Fold in the keyboard's feet, or use a flatter keyboard.",
    # what does not fit at all
    "hard.thighs": "Thighs or armrests do not fit under the desk: {gap} short.",
    "footrest.assumed": "Footrest: how low and how high it goes is not recorded, so an everyday one is assumed.",
    "footrest.check": "Check that it goes this far: its range is not recorded.",
    "hard.feet": "The feet hang: {gap} short of a support.",
    "hard.keys": "No arm reaches the keys, {posture}.",
    "hard.belly": "The belly keeps the desk away: the keyboard hangs over its edge by {gap}.",
    "hard.armrests": "The armrests meet the desk even at their lowest, by {gap}: turn them out of the way, or stay "
    "short of the edge.",
    "worse": "At target, the equipment fits this body worse than as found: {because}.",
    "item.assumed": "{label}: recorded as here, but its thickness is not; reckoned with about {at} each.",
    "laptop.keys_assumed": "The thickness of the laptop at its home row is not recorded: worked out with {at}.",
    "laptop.flat": "not raised",
    "laptop.raised": "raised by {at}",
    "laptop.on_stack": "raised by {height} on {stack}, wanted {at}",
    "laptop.turn": "{label}: the laptop {raised}, {limit}",
    "screen.more_than_main": "Screen {number} is looked at more than the main one: put it straight ahead.",
    "addition.range": "{label}, {low} to {high}",
    "plan.over_budget": "{by} over the budget",
    # what the client has to remember of the desk
    "desk.height": "{posture}: desk at {at}{display}{key}.",
    "desk.display": ", its display reads {reads}",
    "desk.key": ", saved on key {key}",
    # the target card
    "card.shared": "Desk shared by {people}",
    "card.until": "until {date}",
    "card.no_end": "for a time only; no day is agreed yet",
    "distance.glasses_decide": "The glasses are clear up to {far}, but a picture this large needs {asked} to be "
    "taken in without turning the head. The glasses decide: the picture stands {by} nearer than its size asks "
    "for. Use a picture of {diagonal} in or less, or a smaller window on this one; or ask for an eye test, for "
    "glasses that are clear further away.",
    # the settle-in test
    "settle.nearer": "Bring the screen {by} nearer, to {to}.",
    "settle.further": "Move the screen {by} away, to {to}.",
    "settle.text": "Or enlarge the text to {to}.",
    "settle.lower": "Lower the screen to {to}.",
    "settle.well": "Leave it as it is.",
    "settle.chin": "Chin up after settling in",
    # steps of Set
    # the papers
    "sign.due_past": "The follow-up date, {on}, is in the past.",
    "sign.call_back": "No day to call back about: {flag}.",
    "paper.urgent": "Get urgent medical care, and don't wait, for any of these: {signs}.",
    "paper.flags_denied": "Asked and denied: {flags}.",
    "paper.flags_unasked": "Not asked: {flags}.",
    "paper.table": "Where a dimension was not measured: estimated from {table}",
    "paper.replaces": "Replaces version {version}, signed {on}.",
    "paper.replaced_by": "Version {version}: replaced by version {last}, signed on {on}",
    "paper.more_changes": "And {many} more changes.",
    "paper.changed_target": "{label}, {posture}: target {was} before, {now} now.",
    "paper.changed_after": "{label}, {posture}: left at {was} before, {now} now.",
    "paper.action_new": "New: {what}",
    "paper.action_done": "Done since: {what}",
    "paper.action_gone": "No longer asked for: {what}",
    "paper.cause_new": "New cause: {what}.",
    "paper.cause_gone": "No longer found: {what}.",
    # the drill
    "drill.first": "Everything here can be moved. What do you set first?",
    "drill.first_fixed": "The desk can't be moved. What do you set first?",
    "drill.first_why": "{first} first, then {rest}: what rests on something is set after it.",
    "drill.explains": "{joint}: {angle}° as found, {low} to {high}° is its band. Which single change brings it "
    "back the most?",
    "drill.explains_why": "{what}, by {change}: alone it takes {gain}° away; the next best takes {next}°.",
    "drill.urgent": "The client says yes to one of these. With which do you stop and see to urgent medical care "
    "first of all?",
    "drill.urgent_why": "{sign}. {urgency}. {rest}.",
    # the day
    "day.too_late": "From {start} a day of {hours} h would run past midnight: it is shown from {latest}.",
    "day.week": "{stand} min of standing a day, at most {longest} min at a stretch.",
    "day.full": "{stand} min of standing a day.",
    "day.far": "something {metres} m away or further",
    "day.eyes": "Every {every} min of screen look up for {seconds} s at {far}, and blink.",
    "day.micro": "Every {every} min let the hands rest for {seconds} s and the shoulders drop.",
    "day.laptop_low": "Laptop low on the desk, at most {minutes} min at a stretch.",
    "day.laptop_raised": "Laptop raised, at most {minutes} min at a stretch, without typing much.",
    "day.tip_shoes": "Stand in supportive shoes without high heels, best on a mat.",
    "day.tip_rail": "Standing, one foot on a low rail in turn.",
    "day.tip_stance": "Stand with the feet apart and the weight on both; sit down as soon as it tires.",
    "day.tip_chair": "Back at the desk bring the chair in, the bottom at the back of the seat.",
    "day.elsewhere_counter": "The desk does not rise: stand at a counter or worktop for it.",
    "day.elsewhere_phone": "The desk does not rise: walk while on the phone.",
    "day.elsewhere_both": "The desk does not rise: stand at a counter or worktop, or walk while on the phone.",
    # movements
    "move.rule": "Gentle pull only, never pain; slowly. Stop if it hurts, tingles or makes dizzy.",
    "move.waits": "No movements until this red flag has been answered: {flags}.",
    "move.hold": "Hold {seconds} s",
    "move.loaded": "{region}: {minutes} strain minutes a day",
    # several places
    "places.move": "{label}: {low} sitting at {sits}, {high} standing at {stands}.",
    "places.laptop": "Carry the laptop over.",
    "places.number": "Place {number}",
    # limits
    "limit.stops": "{piece} stops at {at}, {side}",
    "limit.starts": "{piece} starts at {at}, {side}",
    "limit.fixed": "{piece} fixed at {at}, {side}",
    "limit.steps": "{piece} goes in steps: {at} is the nearest place, {side}",
    "limit.hangs": "the feet's support ends at {at}, {apart} short",
    "limit.low": "mouse shelf {at} under the keys: shim it by as much",
    "limit.kept": "left as found at {at}: in its band, {side}",
    "limit.thighs": "thighs stop it at {at}, {side}",
    "limit.armrests": "armrests stop it at {at}, {side}",
    "limit.collides": "above {at} they meet the desk: keep them lower, or stay short of its edge",
    "limit.joined": "picture joined to the keys, {side}",
    "limit.belly": "the belly keeps the edge from the keys: the keyboard hangs over it by {apart}",
    "limit.shallow": "desk is {at} deep, {apart} short: screen or keys give way",
    "limit.wide": "keyboard reaches out to {at}, {apart} beyond the arm's band",
    "limit.inside": "at {at}, {side}: inside its band, not on its end",
    "limit.choice": "at {at} the whole body is served best, {side}",
    "limit.stays": "left at {at} as found, {side}: moving it would gain nothing",
    # the chair
    "seat_depth.before_insert": "Before what lies behind the back.",
    "comfort.no_back": "No back to lean on",
    "comfort.saddle": "Saddle stool, no back to lean on",
    "comfort.no_lumbar": "Lower back without support",
    "comfort.unsteady": "Seat that is not steady",
    "comfort.ring": "Feet on a ring, seat hard to leave",
    "comfort.deep": "Seat too deep",
    "comfort.short": "Seat too short",
    "seat_slope.unknown": "Whether the pan slopes is not recorded.",
    "seat_slope.flat": "The pan can't slope as the thighs do: its front edge presses on them. Keep the "
    "thighs level, or take a seat that slopes.",
    "lumbar.none": "The chair has no lumbar support.",
    "piece.step": "Step {step} of {of}, from the lowest.",
    # armrests that don't serve
    "armrest.none": "The chair has no armrests.",
    "armrest.gap_unknown": "How far apart the armrests are is not recorded.",
    "armrest.unused": "Armrests are not used here (your choice).",
    "armrest.unknown": "Whether the chair has armrests is not recorded.",
    "armrest.lifts_fixed": "The armrests lift the shoulders, and they can't be lowered.",
    "armrest.meets_fixed": "The armrests meet the desk and keep the chair away from it; they can't be lowered.",
    "armrest.lifts": "Even at their lowest the armrests lift the shoulders.",
    "armrest.meets": "Even at their lowest the armrests meet the desk and keep the chair away from it.",
    "armrest.away": "The armrests keep the chair {at} from where the hands want it: the arms reach, or the "
    "back leaves the backrest.",
    "armrest.take_off": "Take them off.",
    "armrest.turn_away": "Turn them out of the way.",
    "armrest.lower": "Lower them out of the way.",
    "armrest.turn_away_steady": "Turn them out of the way to work, and back before rising.",
    "armrest.lower_steady": "Lower them out of the way to work, and raise them before rising.",
    "armrest.keep_off_steady": "Set them to their lowest and keep the arms off them while working. They stay on: they are "
    "needed to rise. Ask for a steady chair with lower armrests.",
    "armrest.keep_off": "Set them to their lowest and keep the arms off them until there is a chair with lower "
    "armrests, or without.",
    # causes
    "cause.keys_above": "The keys are above the hands",
    "cause.keys_below": "The keys are below the hands",
    "cause.screen_below": "The screen is under the gaze",
    "cause.screen_above": "The screen is over the gaze",
    "cause.screen_far": "The picture is too far for the eyes",
    "cause.screen_near": "The picture is too near for the eyes",
    "cause.feet_hang": "The feet hang",
    "cause.knees_high": "The knees are above the hips",
    "cause.seat_high": "The seat is too high",
    "cause.seat_low": "The seat is too low",
    "cause.unexplained": "Nothing found here explains: {felt}.",
}


class Messages:
    """A language: the English sentences, with those of a practice in their place."""

    def __init__(self, own: Mapping[str, str] | None = None) -> None:
        unknown = set(own or {}) - set(ENGLISH)
        if unknown:
            raise KeyError(f"There is no sentence “{min(unknown)}”.")
        self._texts = {**ENGLISH, **(own or {})}

    def say(self, name: str, **values: str) -> str:
        """Return a sentence with its values in place; raises KeyError for a name there is not."""
        return self._texts[name].format(**values)


_ENGLISH = Messages()


def say(name: str, **values: str) -> str:
    """Return an English sentence with its values in place.

    >>> say("hard.feet", gap="7.4 cm")
    'The feet hang: 7.4 cm short of a support.'

    """
    return _ENGLISH.say(name, **values)
