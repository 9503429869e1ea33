"""Joints by the field's terms, with everyday words, the tasks that load them, and what they do."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import Words, msg
from ..tables import entries_of
from .tasks import tasks_of


@dataclass(frozen=True, kw_only=True)
class JointName:
    """One joint.

    Parameters
    ----------
    key : str
        Its name in results.
    label, negative : str
        The field's term; ``negative`` for an angle under nought, said without its sign.
    plain : str
        Everyday words for the client.
    region : str
        Where its strain is felt. Source: house-strain.
    tasks : tuple of str
        Tasks whose hours its degrees count in. Source: house-strain.
    over, under : str
        What the body does where the angle is over or under its band.

    """

    key: str
    label: Words
    plain: Words
    region: str
    tasks: tuple[str, ...]
    over: Words
    under: Words
    negative: Words = ""


JOINTS: dict[str, JointName] = entries_of(
    JointName, __package__, "joints.toml", key="key", readers={"tasks": tasks_of}
)
"""Every joint by its key, from the head down."""
REGIONS: dict[str, str] = {
    "eyes": msg("Eyes"),
    "neck": msg("Neck"),
    "shoulder": msg("Shoulders"),
    "forearm": msg("Elbows and forearms"),
    "wrist": msg("Wrists and hands"),
    "upper_back": msg("Upper back"),
    "lower_back": msg("Lower back"),
    "hip": msg("Hips and thighs"),
    "knee": msg("Knees"),
    "foot": msg("Feet"),
}
"""Regions that load is added up under, with their labels."""
