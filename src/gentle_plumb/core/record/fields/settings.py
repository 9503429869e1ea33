"""Set: what each thing was set to, and which actions are done."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import Posture, Quantity, quantities_set
from ...choices import Choice
from ...intake import REGIONS
from .desk import moves
from .field import Field
from .group import FieldGroup
from .work import POSTURES

ACTIONS = "set.action"
"""What the path of an action that is no setting begins with."""


class ActionAnswer(Choice):
    """What was said of an action that is no setting."""

    DONE = "done", "Done"
    LATER = "later", "Not today"


class MeasuredBy(Choice):
    """How something was re-measured."""

    HAND = "hand", "By hand, typed"
    TAPE = "tape", "Read from the tape"
    DISPLAY = "display", "From the desk’s display"


@dataclass(frozen=True, eq=False)
class SettingFields:
    """What a thing was set to: re-measured and how, or set to its target and not measured again."""

    measured: Field[float]
    aimed: Field[float]
    by: Field[MeasuredBy]


def _setting(posture: Posture, quantity: Quantity) -> SettingFields:
    place, key = FieldGroup(f"set.{posture}", posture.title()), quantity.key
    label = f"{quantity.label}, set to target and not measured"
    return SettingFields(
        measured=place.quantity(quantity, quantity.label, part=key),
        aimed=place.quantity(quantity, label, name=f"{key}.aimed", part=key),
        by=place.choice(
            f"{key}.by", f"{quantity.label}, how it was measured", MeasuredBy, part=key
        ),
    )


setting = {
    posture: {quantity.key: _setting(posture, quantity) for quantity in quantities_set(posture)}
    for posture in POSTURES
}
"""What was set, by posture and quantity."""


preset = {
    posture: FieldGroup("set.preset", "Presets").amount(
        posture, f"Saved on key, {posture}", "", 1, 20, when=moves, part="surface"
    )
    for posture in POSTURES
}
"""The key of the desk that holds its height, by posture."""


class SettleSeen(Choice):
    """What is seen once the client has worked for a while."""

    FORWARD = "forward", "Comes forward"
    BACK = "back", "Pushes back"
    CHIN = "chin", "Chin up"
    WELL = "well", "Reads well"


_settle = FieldGroup("set.settle", "Settle-in")
settle_started = _settle.amount("started", "Settle-in begun", "s", 0, 4_000_000_000)
"""When the client began to work for the settle-in test, seconds since 1970; empty while no clock runs."""
settle_minutes = _settle.amount("minutes", "Settle-in", "min", 5, 40)
settle_seen = _settle.choice("seen", "After settling in", SettleSeen)


class StepTest(Choice):
    """What the test on the person said once a step was done."""

    PASSES = "passes", "Passes"
    NEARLY = "nearly", "Nearly"
    FAILS = "fails", "Fails"


class ClientWord(Choice):
    """What the client says of it."""

    GOOD = "good", "Good"
    NOT_YET = "not_yet", "Not yet"
    HURTS = "hurts", "Hurts"


class NotToday(Choice):
    """Why a step is not done today."""

    PART = "part", "A part is missing"
    LOCKED = "locked", "It is locked or broken"
    WORKPLACE = "workplace", "Needs the workplace"
    HEAVY = "heavy", "Too heavy to move alone"
    TIME = "time", "No time today"
    UNWANTED = "unwanted", "Declined"


class Owner(Choice):
    """Who sees to a step that is not done today."""

    PRACTITIONER = "practitioner", "Practitioner"
    CLIENT = "client", "Client"
    WORKPLACE = "workplace", "Workplace"


@dataclass(frozen=True, eq=False)
class ActionFields:
    """What was said of one step: its state, its test, the client's word, why not today, by whom and when.

    ``aim`` is what was aimed at when it was set, ``stopped_at`` where it stood when it hurt; mm, degrees or per
    cent.
    """

    state: Field[ActionAnswer]
    test: Field[StepTest]
    word: Field[ClientWord]
    hurts_at: Field[str]
    because: Field[NotToday]
    owner: Field[Owner]
    due: Field[str]
    aim: Field[float]
    stopped_at: Field[float]


def action(id: str) -> ActionFields:
    """Return the fields of what was said of one step."""
    place = FieldGroup(f"{ACTIONS}.{id}", "Actions", "actions")
    places = {region.id: region.label for region in REGIONS.values()}
    return ActionFields(
        state=place.choice("state", "State", ActionAnswer),
        test=place.choice("test", "Test with the client", StepTest),
        word=place.choice("word", "The client says", ClientWord, health=True),
        hurts_at=place.pick("hurts_at", "Where it hurts", places, health=True),
        because=place.choice("because", "Not today, because", NotToday),
        owner=place.choice("owner", "By whom", Owner),
        due=place.date("due", "By when"),
        aim=place.amount("aim", "Aim when it was set", "", -2000, 5000),
        stopped_at=place.amount("stopped_at", "Where it stood when it hurt", "", -2000, 5000),
    )
