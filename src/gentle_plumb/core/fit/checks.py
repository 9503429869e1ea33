"""Tests on the person for each setting: what to look at once it is set."""

from __future__ import annotations

CHECKS: dict[str, str] = {
    "seat": "Full soles rest; a flat hand slides under the thigh at the edge.",
    "footrest": "Full soles rest on it, knees no higher than the hips.",
    "seat_depth": "Back on the backrest: two to three fingers fit behind the knee.",
    "lumbar": "The pad meets the small of the back, felt by hand.",
    "armrest": "Elbows touch lightly; the shoulders do not rise.",
    "surface": "Shoulders hang; wrists straight with fingers on the home row, seen from the side.",
    "mouse": "The elbow stays under the shoulder with the hand on the mouse.",
    "distance": "A straight finger reaches the picture; then work for a while and look again.",
    "screen_top": "Top and bottom read with the eyes alone, head still, chin level.",
    "tilt": "No lamp or window mirrored; the picture square to the eyes.",
}
"""One sentence a setting; pain and these tests overrule the number. Source: house-joint-bands."""
