"""What a photograph's reading warns of: askew, near, tipped."""

from __future__ import annotations

from dataclasses import dataclass
from math import asin, degrees
from typing import Literal

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
                text="The vertical reference isn’t vertical: mark the top and the foot of something "
                "upright, such as a door frame.",
            )
        )
    elif tip is None:
        warns.append(
            Warn(
                id="tipped",
                state="not assessable",
                text="Camera tilt unknown: mark the vertical reference.",
            )
        )
    elif abs(tip) > ASKEW_DEG:
        warns.append(
            Warn(
                id="tipped",
                state="off",
                text=f"The camera was tilted by {abs(tip):.0f}°. The readings are corrected for it; "
                "retake the photo if you can.",
            )
        )
    else:
        warns.append(
            Warn(id="tipped", state="holds", text=f"Camera upright within {abs(tip):.1f}°.")
        )
    if photo.view == "rear":
        return tuple(warns)
    if turned is None:
        warns.append(
            Warn(
                id="turned",
                state="not assessable",
                text="Camera angle unknown: mark both shoulders and the scale, and enter the camera "
                "distance.",
            )
        )
    elif abs(turned) > ASKEW_DEG:
        warns.append(
            Warn(
                id="turned",
                state="off",
                text=f"The camera stood askew by about "
                f"{abs(turned):.0f}°: the errors below are greater than stated.",
            )
        )
    else:
        warns.append(
            Warn(
                id="turned",
                state="holds",
                text=f"Camera square to the client within {abs(turned):.1f}°.",
            )
        )
    if distance is None:
        warns.append(
            Warn(id="near", state="not assessable", text="Camera distance unknown: enter it.")
        )
    elif distance < NEAREST_MM:
        warns.append(
            Warn(
                id="near",
                state="off",
                text=f"The camera was only {distance / 1000:.1f} m "
                "away: near parts look too large. Step back to about 3 m.",
            )
        )
    else:
        warns.append(Warn(id="near", state="holds", text=f"Camera {distance / 1000:.1f} m away."))
    return tuple(warns)
