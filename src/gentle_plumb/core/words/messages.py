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
    "setting.no_target": "{label}: not enough information for a target.",
    "setting.in_band": "{label} {at}: in range.",
    "setting.joint_holds": "{label} {at}: right for the posture as found; it changes with the other settings.",
    "setting.off": "{label} {at}, {apart} {side} {whose} target: {effect}{angle}.",
    "setting.off_within": "{label} {at}: {effect}{angle}.",
    "setting.evidence": "As found {at}{known}, target {target}",
    "setting.declared": "(from the manufacturer’s data)",
    "setting.move": "{verb} by {by} to {to}.",
    "setting.stays": "Leave it at {to}: {limit}.",
    "setting.best_here": "Leave it at {to}: best for the posture as a whole.",
    "setting.by_eye": "{label}, by eye: {check}",
    "setting.with": "With: {what}.",
    "setting.done": "Done: set to {at}, {how}.",
    "setting.follows": "It moves with the part it is attached to.",
    "setting.deeper_arm": "Desk {by} too shallow: use a deeper desk or a keyboard tray.",
    "setting.deeper": "Desk {by} too shallow: use a deeper desk, a screen arm behind it or a keyboard tray.",
    "how.measured": "measured",
    "how.not_remeasured": "not measured",
    # the body
    "feet.off": "Feet {gap} off their support: the thighs press on the front edge of the seat.",
    "feet.evidence": "As found, feet {gap} off the floor or support",
    "feet.why": "The thighs press on the front edge of the seat, and the legs are unsupported.",
    "feet.first": "First put a support {at} high under the feet.",
    "feet.first_here": "First use {what}.",
    "feet.first_set": "First set the footrest to {at}.",
    "feet.first_until": "First put a support {at} high under the feet; until then, keep the seat at {until}.",
    "feet.before_seat": "First put a support {support} high under the feet, then raise the seat to {aim}. Until then, "
    "keep it at {to}.",
    "feet.lower": "Lower the seat to {to}.",
    "feet.support": "Support the feet at {to}.",
    "feet.lacking": "Feet still {gap} off their support: a footrest, a box or a lower chair is "
    "needed before anything else.",
    "feet.any": "Support the feet, or lower the seat.",
    "thighs.pressed": "Thighs don’t fit: {gap} too little clearance.",
    "thighs.short": "{gap} too little room for the thighs under the desk.",
    "thighs.why": "The legs can’t move when the thighs are pressed or boxed in.",
    "thighs.any": "Make room above the thighs: a thinner desktop, a higher desk or no drawer.",
    "condition.ok": "{label}: enough.",
    "condition.unknown": "{label}: {reason}",
    "wrist.off": "{angle}, {over} out of range: {effect}.",
    "wrist.why": "A bent wrist loads the tendons and narrows the carpal tunnel.",
    "wrist.comes_right": "The wrists straighten with the {what}.",
    "wrist.left_back": "With everything set, the wrists are still bent back {over} too far: use a flatter keyboard "
    "or a tray that slopes down towards the screen.",
    "wrist.left_down": "With everything set, the wrists are still bent down {over} too far: raise the back edge of the "
    "keyboard, or lower the keys.",
    "wrist.feet_in": "Fold in the keyboard’s feet, or use a flatter keyboard.",
    # what does not fit at all
    "hard.thighs": "Thighs or armrests don’t fit under the desk: {gap} too little room.",
    "footrest.assumed": "Footrest: its height range is not recorded, so a typical one is assumed.",
    "footrest.check": "Check that it reaches this height: its range is not recorded.",
    "hard.feet": "Feet {gap} off their support.",
    "hard.keys": "Keys out of reach, {posture}.",
    "hard.belly": "The abdomen keeps the desk away: the keyboard overhangs its edge by {gap}.",
    "hard.armrests": "Even at their lowest, the armrests are {gap} too high for the desk: turn them out of the way, or stay "
    "clear of the edge.",
    "worse": "At target, the equipment fits this client worse than as found: {because}.",
    "item.assumed": "{label}: thickness not recorded; assumed to be about {at} each.",
    "laptop.keys_assumed": "Laptop thickness at the home row not recorded: {at} assumed.",
    "laptop.flat": "not raised",
    "laptop.raised": "raised by {at}",
    "laptop.on_stack": "raised by {height} on {stack}; target {at}",
    "laptop.turn": "{label}: the laptop {raised}, {limit}",
    "screen.more_than_main": "Screen {number} is used more than the main one: put it straight ahead.",
    "addition.range": "{label}, {low} to {high}",
    "plan.over_budget": "{by} over budget",
    # what the client has to remember of the desk
    "desk.height": "{posture}: desk at {at}{display}{key}.",
    "desk.display": ", display reads {reads}",
    "desk.key": ", saved on key {key}",
    # the target card
    "card.shared": "Desk shared by {people}",
    "card.until": "until {date}",
    "card.no_end": "temporary; no end date agreed yet",
    "distance.glasses_decide": "The glasses are clear up to {far}, but a screen this large needs {asked} to be "
    "viewed without turning the head. The glasses decide: the screen is {by} nearer than its size requires. "
    "Use a screen of {diagonal} in or less, or a smaller window on this one; or suggest an eye test for "
    "glasses that are clear further away.",
    # the settle-in test
    "settle.nearer": "Bring the screen {by} nearer, to {to}.",
    "settle.further": "Move the screen {by} away, to {to}.",
    "settle.text": "Or enlarge the text to {to}.",
    "settle.lower": "Lower the screen to {to}.",
    "settle.well": "Leave as it is.",
    "settle.chin": "Chin raised after the settle-in test",
    # steps of Set
    # the papers
    "sign.due_past": "The follow-up date, {on}, is in the past.",
    "sign.call_back": "No call-back date for: {flag}.",
    "paper.urgent": "Get urgent medical care, and don’t wait, for any of these: {signs}.",
    "paper.flags_denied": "Asked and denied: {flags}.",
    "paper.flags_unasked": "Not asked: {flags}.",
    "paper.table": "Dimensions not measured were estimated from {table}",
    "paper.replaces": "Replaces version {version}, signed {on}.",
    "paper.replaced_by": "Version {version}: replaced by version {last}, signed on {on}",
    "paper.more_changes": "And {many} more changes.",
    "paper.changed_target": "{label}, {posture}: target was {was}, now {now}.",
    "paper.changed_after": "{label}, {posture}: left at {was} before, now {now}.",
    "paper.action_new": "New: {what}",
    "paper.action_done": "Done since: {what}",
    "paper.action_gone": "No longer needed: {what}",
    "paper.cause_new": "New cause: {what}.",
    "paper.cause_gone": "No longer found: {what}.",
    # the drill
    "drill.first": "Everything here is adjustable. What do you set first?",
    "drill.first_fixed": "The desk height is fixed. What do you set first?",
    "drill.first_why": "{first} first, then {rest}: set each thing after the things it depends on.",
    "drill.explains": "{joint}: {angle}° as found; the range is {low} to {high}°. Which single change helps "
    "most?",
    "drill.explains_why": "{what}, by {change}: alone it removes {gain}°; the next best removes {next}°.",
    "drill.urgent": "The client says yes to one of these. For which one do you stop and arrange urgent medical care "
    "first?",
    "drill.urgent_why": "{sign}. {urgency}. {rest}.",
    # the day
    "day.too_late": "Starting at {start}, a day of {hours} h would run past midnight, so it is shown from {latest}.",
    "day.week": "Stand for {stand} min a day, at most {longest} min at a time.",
    "day.full": "Stand for {stand} min a day.",
    "day.far": "something at least {metres} m away",
    "day.eyes": "Every {every} min of screen work, look up at {far} for {seconds} s and blink.",
    "day.micro": "Every {every} min, rest the hands for {seconds} s and let the shoulders drop.",
    "day.laptop_low": "Laptop flat on the desk: at most {minutes} min at a time.",
    "day.laptop_raised": "Laptop raised: at most {minutes} min at a time, without much typing.",
    "day.tip_shoes": "Stand in supportive, flat shoes, ideally on a mat.",
    "day.tip_rail": "When standing, rest one foot at a time on a low rail.",
    "day.tip_stance": "Stand with your feet apart and your weight on both. Sit down as soon as you get tired.",
    "day.tip_chair": "When you sit down again, pull the chair in and sit right back.",
    "day.elsewhere_counter": "The desk does not go up: stand at a counter or worktop instead.",
    "day.elsewhere_phone": "The desk does not go up: walk while on the phone.",
    "day.elsewhere_both": "The desk does not go up: stand at a counter or worktop, or walk while on the phone.",
    # movements
    "move.rule": "Move slowly, with a gentle stretch and no pain. Stop if you feel pain, tingling or dizziness.",
    "move.waits": "No movements until this red flag has been answered: {flags}.",
    "move.hold": "Hold {seconds} s",
    "move.loaded": "{region}: {minutes} strain minutes a day",
    # several places
    "places.move": "{label}: {low} sitting at {sits}, {high} standing at {stands}.",
    "places.laptop": "Take the laptop across.",
    "places.number": "Workplace {number}",
    # limits
    "limit.stops": "{piece} stops at {at}, {side}",
    "limit.starts": "{piece} starts at {at}, {side}",
    "limit.fixed": "{piece} fixed at {at}, {side}",
    "limit.steps": "{piece} adjusts in steps: {at} is the nearest, {side}",
    "limit.hangs": "foot support ends at {at}, {apart} short",
    "limit.low": "mouse shelf {at} below the keyboard: raise it by that much",
    "limit.kept": "left as found at {at}: in range, {side}",
    "limit.thighs": "stopped by the thighs at {at}, {side}",
    "limit.armrests": "stopped by the armrests at {at}, {side}",
    "limit.collides": "above {at} they hit the desk: keep them lower, or stay clear of its edge",
    "limit.joined": "screen attached to the keyboard, {side}",
    "limit.belly": "the abdomen keeps the desk away: the keyboard overhangs its edge by {apart}",
    "limit.shallow": "desk is {at} deep, {apart} too shallow: screen or keyboard has to give way",
    "limit.wide": "keyboard extends to {at}, {apart} beyond comfortable reach",
    "limit.inside": "at {at}, {side}: within range, not at its limit",
    "limit.choice": "{at} is best for the body as a whole, {side}",
    "limit.stays": "left as found at {at}, {side}: no benefit in moving it",
    # the chair
    "seat_depth.before_insert": "In front of the back cushion.",
    "comfort.no_back": "No backrest",
    "comfort.saddle": "Saddle stool, no backrest",
    "comfort.no_lumbar": "Lower back unsupported",
    "comfort.unsteady": "Seat not steady",
    "comfort.ring": "Feet on a foot ring: hard to get off the seat",
    "comfort.deep": "Seat too deep",
    "comfort.short": "Seat too short",
    "seat_slope.unknown": "Seat tilt not recorded.",
    "seat_slope.flat": "The seat can’t tilt with the thighs, so its front edge presses on them. Keep the "
    "thighs level, or use a seat that tilts.",
    "lumbar.none": "The chair has no lumbar support.",
    "piece.step": "Step {step} of {of}, counted from the lowest.",
    # armrests that don't serve
    "armrest.none": "The chair has no armrests.",
    "armrest.gap_unknown": "Distance between the armrests not recorded.",
    "armrest.unused": "Armrests are not used here (your choice).",
    "armrest.unknown": "Armrests not recorded.",
    "armrest.lifts_fixed": "The armrests lift the shoulders and can’t be lowered.",
    "armrest.meets_fixed": "The armrests hit the desk and keep the chair away from it; they can’t be lowered.",
    "armrest.lifts": "Even at their lowest, the armrests lift the shoulders.",
    "armrest.meets": "Even at their lowest, the armrests hit the desk and keep the chair away from it.",
    "armrest.away": "The armrests keep the chair {at} too far away: the arms have to reach, or the "
    "back leaves the backrest.",
    "armrest.take_off": "Take them off.",
    "armrest.turn_away": "Turn them out of the way.",
    "armrest.lower": "Lower them out of the way.",
    "armrest.turn_away_steady": "Turn them out of the way for work, and back before standing up.",
    "armrest.lower_steady": "Lower them out of the way for work, and raise them before standing up.",
    "armrest.keep_off_steady": "Set them to their lowest and don’t rest the arms on them while working. Leave them on: they are "
    "needed for standing up. Ask for a steady chair with lower armrests.",
    "armrest.keep_off": "Set them to their lowest and don’t rest the arms on them until there is a chair with lower "
    "armrests or none.",
    # causes
    "cause.keys_above": "The keys are above the hands",
    "cause.keys_below": "The keys are below the hands",
    "cause.screen_below": "The screen is too low",
    "cause.screen_above": "The screen is too high",
    "cause.screen_far": "The screen is too far away",
    "cause.screen_near": "The screen is too near",
    "cause.feet_hang": "The feet are off the floor",
    "cause.knees_high": "The knees are higher than the hips",
    "cause.seat_high": "The seat is too high",
    "cause.seat_low": "The seat is too low",
    "cause.unexplained": "Not explained by anything found here: {felt}.",
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
    'Feet 7.4 cm off their support.'

    """
    return _ENGLISH.say(name, **values)
