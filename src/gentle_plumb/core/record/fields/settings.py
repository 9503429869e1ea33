"""Set: what each thing was set to, and which actions are done."""

from __future__ import annotations

from dataclasses import dataclass

from ...catalogue import Posture, Quantity, quantities_set
from ...choices import Choice
from ...intake import REGIONS
from ...language import msg, pgettext
from ...words import say_posture
from .desk import moves
from .field import Field
from .group import FieldGroup
from .work import POSTURES

ACTIONS = "set.action"
"""What the path of an action that is no setting begins with."""


class ActionAnswer(Choice):
    """What was said of an action that is no setting."""

    DONE = "done", msg("Done")
    LATER = "later", msg("Not today")


class MeasuredBy(Choice):
    """How something was re-measured."""

    HAND = "hand", msg("By hand, typed")
    TAPE = "tape", msg("Read from the tape")
    DISPLAY = "display", msg("From the desk’s display")


@dataclass(frozen=True, eq=False)
class SettingFields:
    """What a thing was set to: re-measured and how, or set to its target and not measured again."""

    measured: Field[float]
    aimed: Field[float]
    by: Field[MeasuredBy]


def _setting(posture: Posture, quantity: Quantity) -> SettingFields:
    place, key = FieldGroup(f"set.{posture}", say_posture(posture).title()), quantity.key
    label = msg("{label}, set to target and not measured", label=quantity.label)
    return SettingFields(
        measured=place.quantity(quantity, quantity.label, part=key),
        aimed=place.quantity(quantity, label, name=f"{key}.aimed", part=key),
        by=place.choice(
            f"{key}.by",
            msg("{label}, how it was measured", label=quantity.label),
            MeasuredBy,
            part=key,
        ),
    )


setting = {
    posture: {quantity.key: _setting(posture, quantity) for quantity in quantities_set(posture)}
    for posture in POSTURES
}
"""What was set, by posture and quantity."""


preset = {
    posture: FieldGroup("set.preset", msg("Presets")).amount(
        posture,
        msg("Saved on key, {posture}", posture=say_posture(posture)),
        "",
        1,
        20,
        when=moves,
        part="surface",
    )
    for posture in POSTURES
}
"""The key of the desk that holds its height, by posture."""


class SettleSeen(Choice):
    """What is seen once the client has worked for a while."""

    FORWARD = "forward", msg("Comes forward")
    BACK = "back", msg("Pushes back")
    CHIN = "chin", msg("Chin up")
    WELL = "well", msg("Reads well")


_settle = FieldGroup("set.settle", msg("Settle-in"))
settle_started = _settle.amount("started", msg("Settle-in begun"), "s", 0, 4_000_000_000)
"""When the client began to work for the settle-in test, seconds since 1970; empty while no clock runs."""
settle_minutes = _settle.amount("minutes", msg("Settle-in"), "min", 5, 40)
settle_seen = _settle.choice("seen", msg("After settling in"), SettleSeen)


class StepTest(Choice):
    """What the test on the person said once a step was done."""

    PASSES = "passes", msg("Passes")
    NEARLY = "nearly", msg("Nearly")
    FAILS = "fails", msg("Fails")


class ClientWord(Choice):
    """What the client says of it."""

    GOOD = "good", msg("Good")
    NOT_YET = "not_yet", msg("Not yet")
    HURTS = "hurts", msg("Hurts")


class NotToday(Choice):
    """Why a step is not done today."""

    PART = "part", msg("A part is missing")
    LOCKED = "locked", msg("It is locked or broken")
    WORKPLACE = "workplace", msg("Needs the workplace")
    HEAVY = "heavy", msg("Too heavy to move alone")
    TIME = "time", msg("No time today")
    UNWANTED = "unwanted", msg("Declined")


class Owner(Choice):
    """Who sees to a step that is not done today."""

    PRACTITIONER = "practitioner", msg("Practitioner")
    CLIENT = "client", msg("Client")
    WORKPLACE = "workplace", pgettext("the employer", "Workplace")


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
    place = FieldGroup(f"{ACTIONS}.{id}", msg("Actions"), "actions")
    places = {region.id: region.label for region in REGIONS.values()}
    return ActionFields(
        state=place.choice("state", msg("State"), ActionAnswer),
        test=place.choice("test", msg("Test with the client"), StepTest),
        word=place.choice("word", msg("The client says"), ClientWord, health=True),
        hurts_at=place.pick("hurts_at", msg("Where it hurts"), places, health=True),
        because=place.choice("because", msg("Not today, because"), NotToday),
        owner=place.choice("owner", msg("By whom"), Owner),
        due=place.date("due", msg("By when")),
        aim=place.amount("aim", msg("Aim when it was set"), "", -2000, 5000),
        stopped_at=place.amount("stopped_at", msg("Where it stood when it hurt"), "", -2000, 5000),
    )
