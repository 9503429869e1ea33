"""Sentences that are made from numbers, each once, by name.

Placeholders hold finished numbers with their units, or other words.
"""

from __future__ import annotations

from ..language import msg
from .found_messages import FOUND_MESSAGES
from .state_messages import STATE_MESSAGES

MESSAGES: dict[str, str] = {
    **STATE_MESSAGES,
    **FOUND_MESSAGES,
    # settings
    "setting.unrecorded": msg("{label}: not recorded."),
    "setting.no_target": msg("{label}: not enough information for a target."),
    "setting.in_band": msg("{label} {at}: in range."),
    "setting.joint_holds": msg(
        "{label} {at}: right for the posture as found; it changes with the other settings."
    ),
    "setting.off": msg("{label} {at}, {apart} {side} {whose} target: {effect}{angle}."),
    "setting.off_within": msg("{label} {at}: {effect}{angle}."),
    "setting.evidence": msg("As found {at}{known}, target {target}"),
    "setting.declared": msg("(from the manufacturer’s data)"),
    "setting.move": msg("{verb} by {by} to {to}."),
    "setting.stays": msg("Leave it at {to}: {limit}."),
    "setting.best_here": msg("Leave it at {to}: best for the posture as a whole."),
    "setting.by_eye": msg("{label}, by eye: {check}"),
    "setting.with": msg("With: {what}."),
    "setting.done": msg("Done: set to {at}, {how}."),
    "setting.follows": msg("It moves with the part it is attached to."),
    "setting.deeper_arm": msg("Desk {by} too shallow: use a deeper desk or a keyboard tray."),
    "setting.deeper": msg(
        "Desk {by} too shallow: use a deeper desk, a screen arm behind it or a keyboard tray."
    ),
    "how.measured": msg("measured"),
    "how.not_remeasured": msg("not measured"),
    # the body
    "feet.off": msg(
        "Feet {gap} off their support: the thighs press on the front edge of the seat."
    ),
    "feet.evidence": msg("As found, feet {gap} off the floor or support"),
    "feet.why": msg(
        "The thighs press on the front edge of the seat, and the legs are unsupported."
    ),
    "feet.first": msg("First put a support {at} high under the feet."),
    "feet.first_here": msg("First use {what}."),
    "feet.first_set": msg("First set the footrest to {at}."),
    "feet.first_until": msg(
        "First put a support {at} high under the feet; until then, keep the seat at {until}."
    ),
    "feet.before_seat": msg(
        "First put a support {support} high under the feet, then raise the seat to {aim}. Until then, "
        "keep it at {to}."
    ),
    "feet.lower": msg("Lower the seat to {to}."),
    "feet.support": msg("Support the feet at {to}."),
    "feet.lacking": msg(
        "Feet still {gap} off their support: a footrest, a box or a lower chair is "
        "needed before anything else."
    ),
    "feet.any": msg("Support the feet, or lower the seat."),
    "thighs.pressed": msg("Thighs don’t fit: {gap} too little clearance."),
    "thighs.short": msg("{gap} too little room for the thighs under the desk."),
    "thighs.why": msg("The legs can’t move when the thighs are pressed or boxed in."),
    "thighs.any": msg("Make room above the thighs: a thinner desktop, a higher desk or no drawer."),
    "condition.ok": msg("{label}: enough."),
    "condition.unknown": msg("{label}: {reason}"),
    "wrist.off": msg("{angle}, {over} out of range: {effect}."),
    "wrist.why": msg("A bent wrist loads the tendons and narrows the carpal tunnel."),
    "wrist.comes_right": msg("The wrists straighten with the {what}."),
    "wrist.left_back": msg(
        "With everything set, the wrists are still bent back {over} too far: use a flatter keyboard "
        "or a tray that slopes down towards the screen."
    ),
    "wrist.left_down": msg(
        "With everything set, the wrists are still bent down {over} too far: raise the back edge of the "
        "keyboard, or lower the keys."
    ),
    "wrist.feet_in": msg("Fold in the keyboard’s feet, or use a flatter keyboard."),
    # what does not fit at all
    "hard.thighs": msg("Thighs or armrests don’t fit under the desk: {gap} too little room."),
    "footrest.assumed": msg(
        "Footrest: its height range is not recorded, so a typical one is assumed."
    ),
    "footrest.check": msg("Check that it reaches this height: its range is not recorded."),
    "hard.feet": msg("Feet {gap} off their support."),
    "hard.keys": msg("Keys out of reach, {posture}."),
    "hard.belly": msg("The abdomen keeps the desk away: the keyboard overhangs its edge by {gap}."),
    "hard.armrests": msg(
        "Even at their lowest, the armrests are {gap} too high for the desk: turn them out of the way, or stay "
        "clear of the edge."
    ),
    "worse": msg("At target, the equipment fits this client worse than as found: {because}."),
    "item.assumed": msg("{label}: thickness not recorded; assumed to be about {at} each."),
    "laptop.keys_assumed": msg("Laptop thickness at the home row not recorded: {at} assumed."),
    "laptop.flat": msg("not raised"),
    "laptop.raised": msg("raised by {at}"),
    "laptop.on_stack": msg("raised by {height} on {stack}; target {at}"),
    "laptop.turn": msg("{label}: the laptop {raised}, {limit}"),
    "screen.more_than_main": msg(
        "Screen {number} is used more than the main one: put it straight ahead."
    ),
    "addition.range": msg("{label}, {low} to {high}"),
    "plan.over_budget": msg("{by} over budget"),
    # what the client has to remember of the desk
    "desk.height": msg("{posture}: desk at {at}{display}{key}."),
    "desk.display": msg(", display reads {reads}"),
    "desk.key": msg(", saved on key {key}"),
    # the target card
    "card.shared": msg("Desk shared by {people}"),
    "card.until": msg("until {date}"),
    "card.no_end": msg("temporary; no end date agreed yet"),
    "distance.glasses_decide": msg(
        "The glasses are clear up to {far}, but a screen this large needs {asked} to be "
        "viewed without turning the head. The glasses decide: the screen is {by} nearer than its size requires. "
        "Use a screen of {diagonal} in or less, or a smaller window on this one; or suggest an eye test for "
        "glasses that are clear further away."
    ),
    # the settle-in test
    "settle.nearer": msg("Bring the screen {by} nearer, to {to}."),
    "settle.further": msg("Move the screen {by} away, to {to}."),
    "settle.text": msg("Or enlarge the text to {to}."),
    "settle.lower": msg("Lower the screen to {to}."),
    "settle.well": msg("Leave as it is."),
    "settle.chin": msg("Chin raised after the settle-in test"),
    # steps of Set
    # the papers
    "sign.due_past": msg("The follow-up date, {on}, is in the past."),
    "sign.call_back": msg("No call-back date for: {flag}."),
    "paper.urgent": msg("Get urgent medical care, and don’t wait, for any of these: {signs}."),
    "paper.flags_denied": msg("Asked and denied: {flags}."),
    "paper.flags_unasked": msg("Not asked: {flags}."),
    "paper.table": msg("Dimensions not measured were estimated from {table}"),
    "paper.replaces": msg("Replaces version {version}, signed {on}."),
    "paper.replaced_by": msg("Version {version}: replaced by version {last}, signed on {on}"),
    "paper.more_changes": msg("And {many} more changes."),
    "paper.changed_target": msg("{label}, {posture}: target was {was}, now {now}."),
    "paper.changed_after": msg("{label}, {posture}: left at {was} before, now {now}."),
    "paper.action_new": msg("New: {what}"),
    "paper.action_done": msg("Done since: {what}"),
    "paper.action_gone": msg("No longer needed: {what}"),
    "paper.cause_new": msg("New cause: {what}."),
    "paper.cause_gone": msg("No longer found: {what}."),
    # the drill
    "drill.first": msg("Everything here is adjustable. What do you set first?"),
    "drill.first_fixed": msg("The desk height is fixed. What do you set first?"),
    "drill.first_why": msg(
        "{first} first, then {rest}: set each thing after the things it depends on."
    ),
    "drill.explains": msg(
        "{joint}: {angle}° as found; the range is {low} to {high}°. Which single change helps most?"
    ),
    "drill.explains_why": msg(
        "{what}, by {change}: alone it removes {gain}°; the next best removes {next}°."
    ),
    "drill.urgent": msg(
        "The client says yes to one of these. For which one do you stop and arrange urgent medical care "
        "first?"
    ),
    "drill.urgent_why": msg("{sign}. {urgency}. {rest}."),
    # the day
    "day.too_late": msg(
        "Starting at {start}, a day of {hours} h would run past midnight, so it is shown from {latest}."
    ),
    "day.week": msg("Stand for {stand} min a day, at most {longest} min at a time."),
    "day.full": msg("Stand for {stand} min a day."),
    "day.far": msg("something at least {metres} m away"),
    "day.eyes": msg(
        "Every {every} min of screen work, look up at {far} for {seconds} s and blink."
    ),
    "day.micro": msg(
        "Every {every} min, rest the hands for {seconds} s and let the shoulders drop."
    ),
    "day.laptop_low": msg("Laptop flat on the desk: at most {minutes} min at a time."),
    "day.laptop_raised": msg(
        "Laptop raised: at most {minutes} min at a time, without much typing."
    ),
    "day.tip_shoes": msg("Stand in supportive, flat shoes, ideally on a mat."),
    "day.tip_rail": msg("When standing, rest one foot at a time on a low rail."),
    "day.tip_stance": msg(
        "Stand with your feet apart and your weight on both. Sit down as soon as you get tired."
    ),
    "day.tip_chair": msg("When you sit down again, pull the chair in and sit right back."),
    "day.elsewhere_counter": msg("The desk does not go up: stand at a counter or worktop instead."),
    "day.elsewhere_phone": msg("The desk does not go up: walk while on the phone."),
    "day.elsewhere_both": msg(
        "The desk does not go up: stand at a counter or worktop, or walk while on the phone."
    ),
    # movements
    "move.rule": msg(
        "Move slowly, with a gentle stretch and no pain. Stop if you feel pain, tingling or dizziness."
    ),
    "move.waits": msg("No movements until this red flag has been answered: {flags}."),
    "move.hold": msg("Hold {seconds} s"),
    "move.loaded": msg("{region}: {minutes} strain minutes a day"),
    # several places
    "places.move": msg("{label}: {low} sitting at {sits}, {high} standing at {stands}."),
    "places.laptop": msg("Take the laptop across."),
    "places.number": msg("Workplace {number}"),
    # limits
    "limit.stops": msg("{piece} stops at {at}, {side}"),
    "limit.starts": msg("{piece} starts at {at}, {side}"),
    "limit.fixed": msg("{piece} fixed at {at}, {side}"),
    "limit.steps": msg("{piece} adjusts in steps: {at} is the nearest, {side}"),
    "limit.hangs": msg("foot support ends at {at}, {apart} short"),
    "limit.low": msg("mouse shelf {at} below the keyboard: raise it by that much"),
    "limit.kept": msg("left as found at {at}: in range, {side}"),
    "limit.thighs": msg("stopped by the thighs at {at}, {side}"),
    "limit.armrests": msg("stopped by the armrests at {at}, {side}"),
    "limit.collides": msg(
        "above {at} they hit the desk: keep them lower, or stay clear of its edge"
    ),
    "limit.joined": msg("screen attached to the keyboard, {side}"),
    "limit.belly": msg(
        "the abdomen keeps the desk away: the keyboard overhangs its edge by {apart}"
    ),
    "limit.shallow": msg(
        "desk is {at} deep, {apart} too shallow: screen or keyboard has to give way"
    ),
    "limit.wide": msg("keyboard extends to {at}, {apart} beyond comfortable reach"),
    "limit.inside": msg("at {at}, {side}: within range, not at its limit"),
    "limit.choice": msg("{at} is best for the body as a whole, {side}"),
    "limit.stays": msg("left as found at {at}, {side}: no benefit in moving it"),
    # the chair
    "seat_depth.before_insert": msg("In front of the back cushion."),
    "comfort.no_back": msg("No backrest"),
    "comfort.saddle": msg("Saddle stool, no backrest"),
    "comfort.no_lumbar": msg("Lower back unsupported"),
    "comfort.unsteady": msg("Seat not steady"),
    "comfort.ring": msg("Feet on a foot ring: hard to get off the seat"),
    "comfort.deep": msg("Seat too deep"),
    "comfort.short": msg("Seat too short"),
    "seat_slope.unknown": msg("Seat tilt not recorded."),
    "seat_slope.flat": msg(
        "The seat can’t tilt with the thighs, so its front edge presses on them. Keep the "
        "thighs level, or use a seat that tilts."
    ),
    "lumbar.none": msg("The chair has no lumbar support."),
    "piece.step": msg("Step {step} of {of}, counted from the lowest."),
    # armrests that don't serve
    "armrest.none": msg("The chair has no armrests."),
    "armrest.gap_unknown": msg("Distance between the armrests not recorded."),
    "armrest.unused": msg("Armrests are not used here (your choice)."),
    "armrest.unknown": msg("Armrests not recorded."),
    "armrest.lifts_fixed": msg("The armrests lift the shoulders and can’t be lowered."),
    "armrest.meets_fixed": msg(
        "The armrests hit the desk and keep the chair away from it; they can’t be lowered."
    ),
    "armrest.lifts": msg("Even at their lowest, the armrests lift the shoulders."),
    "armrest.meets": msg(
        "Even at their lowest, the armrests hit the desk and keep the chair away from it."
    ),
    "armrest.away": msg(
        "The armrests keep the chair {at} too far away: the arms have to reach, or the "
        "back leaves the backrest."
    ),
    "armrest.take_off": msg("Take them off."),
    "armrest.turn_away": msg("Turn them out of the way."),
    "armrest.lower": msg("Lower them out of the way."),
    "armrest.turn_away_steady": msg(
        "Turn them out of the way for work, and back before standing up."
    ),
    "armrest.lower_steady": msg(
        "Lower them out of the way for work, and raise them before standing up."
    ),
    "armrest.keep_off_steady": msg(
        "Set them to their lowest and don’t rest the arms on them while working. Leave them on: they are "
        "needed for standing up. Ask for a steady chair with lower armrests."
    ),
    "armrest.keep_off": msg(
        "Set them to their lowest and don’t rest the arms on them until there is a chair with lower "
        "armrests or none."
    ),
    # causes
    "cause.keys_above": msg("The keys are above the hands"),
    "cause.keys_below": msg("The keys are below the hands"),
    "cause.screen_below": msg("The screen is too low"),
    "cause.screen_above": msg("The screen is too high"),
    "cause.screen_far": msg("The screen is too far away"),
    "cause.screen_near": msg("The screen is too near"),
    "cause.feet_hang": msg("The feet are off the floor"),
    "cause.knees_high": msg("The knees are higher than the hips"),
    "cause.seat_high": msg("The seat is too high"),
    "cause.seat_low": msg("The seat is too low"),
    "cause.unexplained": msg("Not explained by anything found here: {felt}."),
}


def say(name: str, **values: str) -> str:
    """Return a sentence with its values in place; raises KeyError for a name there is not.

    >>> say("hard.feet", gap="7.4 cm")
    'Feet 7.4 cm off their support.'

    """
    return msg(str(MESSAGES[name]), **values)
