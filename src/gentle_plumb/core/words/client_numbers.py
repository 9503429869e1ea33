"""The numbers that a client comes back to, named by what they are measured from."""

CLIENT_NUMBERS: dict[str, str] = {
    "seat": "Height of the seat",
    "footrest": "Height of the footrest",
    "surface": "Height of the desk",
    "mouse": "How far the mouse is from your middle",
    "screen_top": "Top of the screen",
    "distance": "From your eye to the screen",
    "scale": "Size of the text",
    "display": "What the desk's display shows",
    "key": "Which key on the desk",
}
"""On the client's paper and, translated, on their own page; by quantity, the desk's display and its key."""
