"""Red flags: what has to be seen by somebody else before anything is adjusted.

A red flag never keeps anybody from recording; it keeps a visit from being completed until
what was done about it is written down. Source: house-signs.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Urgency = Literal["urgent", "same_day", "clinician"]

URGENCY: dict[Urgency, str] = {
    "urgent": "Stop: urgent medical care",
    "same_day": "Seen by a clinician the same day",
    "clinician": "Refer first",
}


@dataclass(frozen=True, kw_only=True)
class RedFlag:
    """A red flag in the words it is asked with.

    ``holds`` is what waits until a clinician has answered: regions by name, those that hurt, or everything. An
    urgent one holds everything.
    """

    id: str
    urgency: Urgency
    label: str
    holds: tuple[str, ...] | Literal["felt", "all"] = "all"


RED_FLAGS: dict[str, RedFlag] = {
    sign.id: sign
    for sign in (
        RedFlag(
            id="saddle",
            urgency="urgent",
            label="Loss of bladder or bowel control, or numbness between the legs",
        ),
        RedFlag(
            id="sudden",
            urgency="urgent",
            label="Sudden weakness, one side of the face drooping, or difficulty speaking",
        ),
        RedFlag(id="chest", urgency="urgent", label="Chest pain or breathlessness"),
        RedFlag(id="headache", urgency="urgent", label="A sudden or new severe headache"),
        RedFlag(id="sight", urgency="urgent", label="Sudden loss of vision"),
        RedFlag(
            id="fall",
            urgency="clinician",
            label="Pain after a recent fall or accident",
            holds="felt",
        ),
        RedFlag(
            id="fever",
            urgency="clinician",
            label="Fever or unexplained weight loss with back pain",
            holds=("lower_back", "upper_back", "hip"),
        ),
        RedFlag(
            id="night",
            urgency="clinician",
            label="Night pain that no position relieves",
            holds="felt",
        ),
        RedFlag(
            id="tingling",
            urgency="clinician",
            label="Persistent or spreading numbness, tingling or weakness",
            holds="felt",
        ),
        RedFlag(id="gait", urgency="clinician", label="Unsteady walking or clumsy hands"),
        RedFlag(
            id="cancer",
            urgency="clinician",
            label="Cancer now or in the past, with new or growing pain",
            holds="felt",
        ),
        RedFlag(
            id="steroids",
            urgency="clinician",
            label="Steroid tablets for a long time, with new pain",
            holds="felt",
        ),
        RedFlag(id="hot_joint", urgency="same_day", label="A hot, swollen joint", holds="felt"),
        RedFlag(
            id="calf",
            urgency="same_day",
            label="Hot, swollen or painful calf",
            holds=("hip", "knee", "foot"),
        ),
    )
}
