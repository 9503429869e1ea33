"""Joints by the field's terms, with everyday words, the tasks that load them, and what they do."""

from __future__ import annotations

from dataclasses import dataclass

from .tasks import HAND_TASKS, MOUSE_TASKS, SCREEN_TASKS, SEATED_TASKS


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


JOINTS: dict[str, JointName] = {
    joint.key: joint
    for joint in (
        JointName(
            key="neck",
            label="Gaze angle to top of screen",
            plain="Eyes to the top of the screen",
            region="neck",
            tasks=SCREEN_TASKS,
            over="the chin lifts to it",
            under="the neck bends down to it",
        ),
        JointName(
            key="shoulder",
            label="Shoulder elevation",
            plain="Shoulders lifted",
            region="shoulder",
            tasks=SEATED_TASKS,
            over="the shoulders are lifted",
            under="the shoulders drop",
        ),
        JointName(
            key="upper_arm",
            label="Shoulder abduction",
            plain="Upper arm out to the side",
            region="shoulder",
            tasks=MOUSE_TASKS,
            over="the upper arm stands out from the body",
            under="the upper arm crosses the body",
        ),
        JointName(
            key="upper_arm_keys",
            label="Shoulder abduction at the keys",
            plain="Upper arm out to the side, hands on the keys",
            region="shoulder",
            tasks=("typing",),
            over="one upper arm stands out from the body to reach the keys",
            under="one upper arm crosses the body",
        ),
        JointName(
            key="elbow",
            label="Elbow angle",
            plain="Bend of the elbow",
            region="forearm",
            tasks=HAND_TASKS,
            over="the elbows open wide and the trunk bends down to the keys",
            under="the elbows close and the shoulders lift to reach the keys",
        ),
        JointName(
            key="wrist",
            label="Wrist extension",
            negative="Wrist flexion",
            plain="Bend of the wrist",
            region="wrist",
            tasks=HAND_TASKS,
            over="the wrist bends back",
            under="the wrist bends down",
        ),
        JointName(
            key="trunk",
            label="Trunk",
            plain="Trunk",
            region="lower_back",
            tasks=SEATED_TASKS,
            over="the trunk leans forward, off the backrest",
            under="the trunk leans far back and the head comes forward",
        ),
        JointName(
            key="hip",
            label="Hip angle",
            plain="Bend of the hip",
            region="hip",
            tasks=SEATED_TASKS,
            over="the hips open wide and the pelvis slides forward",
            under="the hips close and the lower back rounds",
        ),
        JointName(
            key="knee",
            label="Knee angle",
            plain="Bend of the knee",
            region="knee",
            tasks=SEATED_TASKS,
            over="the thighs slope down steeply and the weight goes to the feet",
            under="the knees are higher than the hips and the lower back rounds",
        ),
    )
}
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
