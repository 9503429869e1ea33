"""What a photograph's reading warns of: askew, near, tipped."""

from __future__ import annotations

from dataclasses import dataclass
from math import asin, degrees
from typing import Literal

from ..language import msg, numeral
from .landmarks import LANDMARKS
from .photo import ASKEW_DEG, NEAREST_MM, Camera, Photo, scale_of, tip_of


@dataclass(frozen=True, kw_only=True)
class Warn:
    """Where the camera stood wrongly, or why that can't be told."""

    id: Literal["turned", "tipped", "near"]
    state: Literal["holds", "off", "not assessable"]
    text: str


def warnings_of(photo: Photo, facing: int | None, distance: float | None) -> tuple[Warn, ...]:
    """Return what to doubt of a photograph: a tipped, turned or near camera, no scale."""
    tip, turned = tip_of(photo), None
    if (
        photo.view == "side"
        and facing is not None
        and {"shoulder", "other_shoulder"} <= set(photo.points)
        and distance is not None
        and scale_of(photo) is not None
    ):
        eye = Camera(photo, facing=1, distance=distance)
        all_values = eye.all(photo, ("shoulder", "other_shoulder"))
        across = LANDMARKS["shoulder"].depth - LANDMARKS["other_shoulder"].depth
        share = (all_values["shoulder"][0] - all_values["other_shoulder"][0]) / across
        turned = degrees(asin(max(-1.0, min(1.0, share))))
    warns = []
    if photo.upright_lies:
        warns.append(
            Warn(
                id="tipped",
                state="off",
                text=msg(
                    "The vertical reference isn’t vertical: mark the top and the foot of something upright, such as a door frame."
                ),
            )
        )
    elif tip is None:
        warns.append(
            Warn(
                id="tipped",
                state="not assessable",
                text=msg("Camera tilt unknown: mark the vertical reference."),
            )
        )
    elif abs(tip) > ASKEW_DEG:
        warns.append(
            Warn(
                id="tipped",
                state="off",
                text=msg(
                    "The camera was tilted by {abs}°. The readings are corrected for it; retake the photo if you can.",
                    abs=numeral(f"{abs(tip):.0f}"),
                ),
            )
        )
    else:
        warns.append(
            Warn(
                id="tipped",
                state="holds",
                text=msg("Camera upright within {abs}°.", abs=numeral(f"{abs(tip):.1f}")),
            )
        )
    if photo.view == "rear":
        return tuple(warns)
    if turned is None:
        warns.append(
            Warn(
                id="turned",
                state="not assessable",
                text=msg(
                    "Camera angle unknown: mark both shoulders and the scale, and enter the camera distance."
                ),
            )
        )
    elif abs(turned) > ASKEW_DEG:
        warns.append(
            Warn(
                id="turned",
                state="off",
                text=msg(
                    "The camera stood askew by about {abs}°: the errors below are greater than stated.",
                    abs=numeral(f"{abs(turned):.0f}"),
                ),
            )
        )
    else:
        warns.append(
            Warn(
                id="turned",
                state="holds",
                text=msg(
                    "Camera square to the client within {abs}°.", abs=numeral(f"{abs(turned):.1f}")
                ),
            )
        )
    if distance is None:
        warns.append(
            Warn(id="near", state="not assessable", text=msg("Camera distance unknown: enter it."))
        )
    elif distance < NEAREST_MM:
        warns.append(
            Warn(
                id="near",
                state="off",
                text=msg(
                    "The camera was only {distance} m away: near parts look too large. Step back to about 3 m.",
                    distance=numeral(f"{distance / 1000:.1f}"),
                ),
            )
        )
    else:
        warns.append(
            Warn(
                id="near",
                state="holds",
                text=msg("Camera {distance} m away.", distance=numeral(f"{distance / 1000:.1f}")),
            )
        )
    return tuple(warns)
