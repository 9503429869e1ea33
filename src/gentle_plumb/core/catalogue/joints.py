"""Joints by the field's terms, with everyday words, the tasks that load them, and what they do."""

from __future__ import annotations

from dataclasses import dataclass

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
    label: str
    plain: str
    region: str
    tasks: tuple[str, ...]
    over: str
    under: str
    negative: str = ""


JOINTS: dict[str, JointName] = entries_of(
    JointName, __package__, "joints.toml", key="key", readers={"tasks": tasks_of}
)
"""Every joint by its key, from the head down."""
REGIONS: dict[str, str] = {
    "eyes": "Eyes",
    "neck": "Neck",
    "shoulder": "Shoulders",
    "forearm": "Elbows and forearms",
    "wrist": "Wrists and hands",
    "upper_back": "Upper back",
    "lower_back": "Lower back",
    "hip": "Hips and thighs",
    "knee": "Knees",
    "foot": "Feet",
}
"""Regions that load is added up under, with their labels."""
