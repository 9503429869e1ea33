"""Sentences about what was found, and what has to come first; English, and complete."""

FOUND_MESSAGES: dict[str, str] = {
    "seat_slope.saddle": "A saddle has its slope by itself.",
    "setting.off_found": "{found}: {effect}{angle}.",
    "found.keys_over": "Keys {apart} above the elbows",
    "found.keys_under": "Keys {apart} below the elbows",
    "found.seat_over": "Seat {at}, {apart} higher than the lower legs reach",
    "found.seat_under": "Seat {at}, {apart} lower than the lower legs are long",
    "found.seat_at": "Seat {at}",
    "found.seat_hands": "Seat {at}, so low that the keys are {apart} above the elbows",
    "found.top_over": "{label} {apart} above eye level",
    "found.top_under": "{label} {apart} below eye level",
    "found.top_lens_under": "{label} {apart} below eye level, not low enough for lenses read through their lower part",
    "found.top_yet_under": "{label} {apart} below eye level, not low enough for what is read there",
    "found.top_yet_over": "{label} {apart} above eye level, not high enough for what is read there",
    "setting.eyes_move": "the eyes come {by} {side} with the seat",
    "seat.away_thighs": "{verb} by {by} to {to}: the thighs need the room, although the hands would want it higher.",
    "seat.away_armrests": "{verb} by {by} to {to}: the armrests have to pass under the desk, although the hands "
    "would want it higher.",
    "thighs.lacking": "No setting leaves room: a thinner top or a raised desk is needed first.",
    "thighs.lacking_tray": "No setting leaves room while the tray is there: take it off first.",
    "thighs.tray_off": "Take the keyboard tray off.",
    "setting.desk_taken_away": "The keys stand on the desk once the tray is off.",
}
