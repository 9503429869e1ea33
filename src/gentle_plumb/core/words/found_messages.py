"""Sentences about what was found, and what has to come first; English, and complete."""

from ..language import msg

FOUND_MESSAGES: dict[str, str] = {
    "seat_slope.saddle": msg("A saddle seat slopes by design."),
    "setting.off_found": msg("{found}: {effect}{angle}."),
    "found.keys_over": msg("Keys {apart} above the elbows"),
    "found.keys_under": msg("Keys {apart} below the elbows"),
    "found.seat_over": msg("Seat {at}, {apart} too high for the lower legs"),
    "found.seat_under": msg("Seat {at}, {apart} too low for the lower legs"),
    "found.seat_at": msg("Seat {at}"),
    "found.seat_hands": msg("Seat {at}, so low that the keys are {apart} above the elbows"),
    "found.top_over": msg("{label} {apart} above eye level"),
    "found.top_under": msg("{label} {apart} below eye level"),
    "found.top_lens_under": msg(
        "{label} {apart} below eye level: too high for reading through the lower part of the lenses"
    ),
    "found.top_yet_under": msg("{label} {apart} below eye level: still too high"),
    "found.top_yet_over": msg("{label} {apart} above eye level: still too low"),
    "setting.eyes_move": msg("the eyes come {by} {side} with the seat"),
    "seat.away_thighs": msg(
        "{verb} by {by} to {to}: the thighs need the room, although the hands would be better higher."
    ),
    "seat.away_armrests": msg(
        "{verb} by {by} to {to}: the armrests have to fit under the desk, although the hands "
        "would be better higher."
    ),
    "thighs.lacking": msg(
        "No setting leaves enough room: a thinner desktop or a higher desk is needed first."
    ),
    "thighs.lacking_tray": msg("No setting leaves enough room with the tray: remove it first."),
    "thighs.tray_off": msg("Remove the keyboard tray."),
    "setting.desk_taken_away": msg("The keyboard goes on the desk once the tray is removed."),
}
