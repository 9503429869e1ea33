"""Sentences about what was found, and what has to come first; English, and complete."""

FOUND_MESSAGES: dict[str, str] = {
    "seat_slope.saddle": "A saddle seat slopes by design.",
    "setting.off_found": "{found}: {effect}{angle}.",
    "found.keys_over": "Keys {apart} above the elbows",
    "found.keys_under": "Keys {apart} below the elbows",
    "found.seat_over": "Seat {at}, {apart} too high for the lower legs",
    "found.seat_under": "Seat {at}, {apart} too low for the lower legs",
    "found.seat_at": "Seat {at}",
    "found.seat_hands": "Seat {at}, so low that the keys are {apart} above the elbows",
    "found.top_over": "{label} {apart} above eye level",
    "found.top_under": "{label} {apart} below eye level",
    "found.top_lens_under": "{label} {apart} below eye level: too high for reading through the lower part of the lenses",
    "found.top_yet_under": "{label} {apart} below eye level: still too high",
    "found.top_yet_over": "{label} {apart} above eye level: still too low",
    "setting.eyes_move": "the eyes come {by} {side} with the seat",
    "seat.away_thighs": "{verb} by {by} to {to}: the thighs need the room, although the hands would be better higher.",
    "seat.away_armrests": "{verb} by {by} to {to}: the armrests have to fit under the desk, although the hands "
    "would be better higher.",
    "thighs.lacking": "No setting leaves enough room: a thinner desktop or a higher desk is needed first.",
    "thighs.lacking_tray": "No setting leaves enough room with the tray: remove it first.",
    "thighs.tray_off": "Remove the keyboard tray.",
    "setting.desk_taken_away": "The keyboard goes on the desk once the tray is removed.",
}
