"""Set: what each thing was set to, and which actions are done."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from ...catalogue import Posture, Quantity, quantities_set
from ...choices import Choice
from .desk import moves
from .field import Field
from .place import Place
from .work import POSTURES

ACTIONS = "set.action"
"""What the path of an action that is no setting begins with."""


class ActionAnswer(Choice):
    """What was said of an action that is no setting."""

    DONE = "done", "Done"
    LATER = "later", "Not today"


@dataclass(frozen=True, eq=False)
class SettingFields:
    """What a thing was set to: re-measured, or set to its target and not measured again."""

    measured: Field[float]
    aimed: Field[float]


def _setting(posture: Posture, quantity: Quantity) -> SettingFields:
    at, key = Place(f"set.{posture}", posture.title()), quantity.key
    label = f"{quantity.label}, set to its target and not re-measured"
    return SettingFields(
        measured=at.quantity(quantity, quantity.label, part=key),
        aimed=at.quantity(quantity, label, name=f"{key}.aimed", part=key),
    )


setting = {
    posture: {one.key: _setting(posture, one) for one in quantities_set(posture)}
    for posture in POSTURES
}
"""What was set, by posture and quantity."""


preset = {
    posture: Place("set.preset", "Presets").amount(
        posture, f"Saved on key, {posture}", "", 1, 20, when=moves, part="surface"
    )
    for posture in POSTURES
}
"""The key of the desk that holds its height, by posture."""


@lru_cache(maxsize=512)
def action(id: str) -> Field[ActionAnswer]:
    """Return the field of what was said of one action that is no setting."""
    return Place(f"{ACTIONS}.{id}", "Actions", "actions").choice("state", "State", ActionAnswer)
