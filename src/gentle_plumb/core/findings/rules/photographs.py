"""Rules about what a photograph shows. A value counts only beyond its own error."""

from __future__ import annotations

from ...policy import JOINT_BANDS, Policy
from ..rule import HAND_TASKS, SCREEN_TASKS, Angle, Rule

_POLICY = Policy()

PHOTOGRAPHS: tuple[Rule, ...] = (
    Angle(
        id="photo_ear", title="Ear ahead of the shoulder",
        reading="ear_shoulder", most=50, source="house-photo-bands",
        why="The head hangs before the trunk and the neck holds it.",
        do="Enlarge the text; sit back first.", region="neck", tasks=SCREEN_TASKS,
        moves=(("distance", -1, "Bring the picture nearer."),),
    ),
    Angle(
        id="photo_neck", title="Neck forward",
        reading="neck", least=15, most=50, source="house-photo-bands",
        under="The chin is lifted and the neck bent back.",
        why="The neck is bent to the screen or the keys.",
        do="The screen's height, the text's size and the glasses are looked at first.", region="neck", joint="neck", tasks=SCREEN_TASKS,
    ),
    Angle(
        id="photo_trunk", title="Trunk",
        reading="trunk", least=-25, most=5, source="house-photo-bands",
        under="So far back the head comes forward to see.",
        why="The back leans forward, off its backrest.",
        do="Seat depth and backrest come first, then whatever is too far away.", region="lower_back",
        joint="trunk",
    ),
    Angle(
        id="photo_elbow", title="Elbow in the picture",
        reading="elbow", least=JOINT_BANDS["elbow"].low, most=JOINT_BANDS["elbow"].high,
        source="house-joint-bands", under="The keys are too high: the elbow is closed to them.",
        why="The keys are low or far: the elbow is wide open.", do="Set surface and seat as worked out, then take a second picture.",
        region="forearm", joint="elbow", tasks=HAND_TASKS,
    ),
    Angle(
        id="photo_wrist", title="Wrist in the picture",
        reading="wrist", least=-15, most=15, source="house-photo-bands",
        under="The wrist hangs down over the keys.", why="The wrist is bent back over the keys.",
        do="Lay the keyboard flat, its feet folded in.", region="wrist",
        joint="wrist", tasks=HAND_TASKS,
    ),
    Angle(
        id="photo_hip", title="Hip in the picture",
        reading="hip", least=JOINT_BANDS["hip"].low, most=JOINT_BANDS["hip"].high,
        source="house-joint-bands", under="The hip is closed, the pelvis rolls back.",
        why="The hip is wide open: perching or reclined.", do="Set seat and backrest as worked out, then take a second picture.",
        region="hip", joint="hip",
    ),
    Angle(
        id="photo_knee", title="Knee in the picture",
        reading="knee", least=JOINT_BANDS["knee"].low, most=JOINT_BANDS["knee"].high,
        source="house-joint-bands", under="The feet are tucked under.",
        why="The legs are stretched out.", do="A firm place for the feet under the knees.",
        region="knee", joint="knee",
    ),
    Angle(
        id="photo_gaze_top", title="Gaze to the screen's top",
        reading="gaze_top", most=_POLICY.screen_top_high, source="house-screen",
        why="The chin lifts to read the top.", do="Top and bottom are to be read with the chin level.", region="neck",
        joint="neck", tasks=SCREEN_TASKS, moves=(("screen_top", -1, "Lower the screen."),),
    ),
    Angle(
        id="photo_gaze_bottom", title="Gaze to the screen's bottom",
        reading="gaze_bottom", least=-_POLICY.lowest_gaze_deg, source="house-screen",
        under="The head bends down to read the bottom.", why="",
        do="A smaller picture, or the work moved to its upper part, where that is not enough.",
        region="neck", joint="neck", tasks=SCREEN_TASKS,
        moves=(("screen_top", 1, "Raise the screen."),),
    ),
    Angle(
        id="photo_shoulders", title="Shoulders not level",
        reading="shoulder_line", least=-4, most=4, source="house-photo-bands",
        under="The left one is lower.", why="The right one is lower.",
        do="Armrests to one height; look at which arm reaches out.", region="shoulder",
    ),
    Angle(
        id="photo_hips", title="Hips not level",
        reading="hip_line", least=-4, most=4, source="house-photo-bands",
        under="The left one is lower.", why="The right one is lower.",
        do="Look at seat, wallet and crossed legs before thinking of the body.",
        region="lower_back",
    ),
    Angle(
        id="photo_lean", title="Trunk to one side",
        reading="lean", least=-30, most=30, source="house-photo-bands",
        under="The neck is left of the hips.", why="The neck is right of the hips.",
        do="What is reached for on that side comes to the middle.", region="lower_back",
    ),
    Angle(
        id="photo_arm_right", title="Right upper arm outwards",
        reading="arm_right", most=JOINT_BANDS["upper_arm"].high, source="house-joint-bands",
        why="The shoulder holds the arm out.", do="Armrests narrower, so that the elbow can hang.",
        region="shoulder", joint="upper_arm", tasks=HAND_TASKS,
        moves=(("mouse", -1, "Bring the mouse in."),),
    ),
    Angle(
        id="photo_arm_left", title="Left upper arm outwards",
        reading="arm_left", most=JOINT_BANDS["upper_arm"].high, source="house-joint-bands",
        why="The shoulder holds the arm out.", do="Armrests narrower, so that the elbow can hang.",
        region="shoulder", joint="upper_arm", tasks=HAND_TASKS,
        moves=(("mouse", -1, "Bring the mouse in."),),
    ),
)  # fmt: skip
