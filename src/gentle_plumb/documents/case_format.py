"""The open format of a case and of its result: JSON, with a schema generated from here.

Version 3 holds every kind of equipment, what is at hand, hours, choices, own numbers, things ticked for a plan of one's
own, precautions and further places. Versions 1 and 2 are still read: see docs/formats.
"""

from __future__ import annotations

import json
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, Annotated, Any, Literal

from pydantic import (
    Field,
    TypeAdapter,
    ValidationError,
    create_model,
    field_validator,
    model_validator,
)

from ..core.body import DIMENSIONS, Body, BodyValue, MeasuredPosture, dimension, resolve_readings
from ..core.catalogue import DATUM_WORDS, QUANTITIES, TASKS, Quantity
from ..core.choices import Hand
from ..core.errors import FieldError
from ..core.fit import (
    Case,
    FitResult,
    Policy,
    fit,
    hung_on_wall,
    pieces_within_limits,
    within_limits,
)
from ..core.language import filled, joined, msg, numeral
from ..core.plain_text import check_texts
from ..core.plans import OwnNumbers, PlanSet, key_of, make_plans, own_kit
from ..core.policy import check_rule_set, policy_of, standing_policy_of
from ..core.words import Misplaced, invalid_text
from ..core.workstation import Details, PlaceUse, Settings, Workstation
from .case_equipment import EquipmentDocument
from .case_pace import PaceDocument
from .case_parts import Length, Number, Part, maybe_mm, to_mm, under
from .case_person import PersonDocument


class ValueDocument(Part):
    """A body dimension: its readings (one to three), and where they are from."""

    readings: Annotated[list[Length], Field(min_length=1, max_length=3)]
    source: Literal["measured", "self_measured", "carried_over", "estimated"] = "measured"
    sd: Annotated[float, Field(ge=0, le=200)] | None = Field(
        default=None, description="Standard deviation in mm; from the readings where not given."
    )


class BodyDocument(Part):
    """A body: dimensions by their identifier."""

    sex: Literal["female", "male"] | None = None
    posture: MeasuredPosture = MeasuredPosture.AS_THEY_WORK
    values: dict[str, ValueDocument]

    @field_validator("values")
    @classmethod
    def _known(cls, values: dict[str, ValueDocument]) -> dict[str, ValueDocument]:
        for name in values:
            if name not in DIMENSIONS:
                raise Misplaced(name, msg("there is no body dimension of this name"))
        return values

    def body(self) -> Body:
        """The body in mm."""
        values: dict[str, BodyValue] = {}
        for name, document in self.values.items():
            entry = dimension(name)
            readings = [
                maybe_mm(reading, f"{name}.readings.{index}", entry.low_mm, entry.high_mm) or 0.0
                for index, reading in enumerate(document.readings)
            ]
            resolved = resolve_readings(readings, repeat_limit_mm=entry.repeat_limit_mm)
            if resolved.value_mm is None:
                raise Misplaced(
                    f"{name}.readings",
                    msg(
                        "two readings {spread_mm} mm apart, more than {repeat_limit_mm} mm: give a third",
                        spread_mm=numeral(f"{resolved.spread_mm:g}"),
                        repeat_limit_mm=numeral(f"{entry.repeat_limit_mm:g}"),
                    ),
                )
            sd = document.sd if document.sd is not None else resolved.sd_mm
            values[name] = BodyValue(mm=resolved.value_mm, sd_mm=sd, source=document.source)
        return Body(values=values, sex=self.sex, posture=self.posture)


class SettingsDocument(Part):
    """Settings of a posture, each from its datum: see the quantities of the program."""

    def settings(self, keyboard: float | None) -> Settings:
        """Return the settings in mm, degrees and per cent, each within its quantity's range."""
        given: dict[str, float | None] = {}
        for quantity in _FILED:
            value = getattr(self, _filed_as(quantity))
            if quantity.unit == "mm":
                value = maybe_mm(value, quantity.key, quantity.low, quantity.high)
            given[quantity.key] = value
        surface = given["surface"]
        keys = surface + keyboard if surface is not None and keyboard is not None else None
        return Settings(**given, keys=keys)


_FILED = tuple(quantity for quantity in QUANTITIES.values() if quantity.settable)


def _filed_as(quantity: Quantity) -> str:
    """The name of a quantity in a case file: what is no length carries its unit."""
    unit = {"mm": "", "deg": "_deg", "%": "_percent"}[quantity.unit]
    return f"{quantity.key}{unit}"


def _filed(quantity: Quantity) -> tuple[Any, Any]:
    words = filled(
        "{label}, {datum_words}.", label=quantity.label, datum_words=DATUM_WORDS[quantity.datum]
    )
    if quantity.unit == "mm":
        return Length | None, Field(default=None, description=words)
    return float | None, Field(default=None, ge=quantity.low, le=quantity.high, description=words)


if TYPE_CHECKING:
    FoundDocument = SettingsDocument
else:
    FoundDocument = create_model(
        "FoundDocument",
        __base__=SettingsDocument,
        **{_filed_as(kind): _filed(kind) for kind in _FILED},
    )
"""What was found, or a number of the practitioner's own; one field for each quantity."""


def _upgraded(raw: Any) -> Any:
    """A case of an older version as one of this; anything else as it is."""
    if not isinstance(raw, dict) or raw.get("format") not in OLDER:
        return raw
    if raw["format"] != OLDER[0]:
        return {**raw, "format": FORMAT}
    policies = dict(raw.get("policies") or {})
    fingers = policies.pop("fingers_behind_knee", None)
    if isinstance(fingers, int | float):
        policies |= {"knee_gap_low": fingers - 0.5, "knee_gap_high": fingers + 0.5}
    return {**raw, "format": FORMAT, "policies": policies}


OLDER, FORMAT = ("gentle-plumb-case-1", "gentle-plumb-case-2"), "gentle-plumb-case-3"


_POLICY = TypeAdapter(Policy)


class PlaceDocument(Part):
    """A place one works at: how, its equipment, what was found there, own numbers, and the plan taken.

    ``taken`` are the things ticked for the practitioner's own plan, by the keys that results give them.
    """

    use: PlaceUse = PlaceUse.BOTH
    equipment: EquipmentDocument = EquipmentDocument()
    found_seated: FoundDocument = FoundDocument()
    found_standing: FoundDocument = FoundDocument()
    own_seated: FoundDocument = FoundDocument()
    own_standing: FoundDocument = FoundDocument()
    plan: Literal["room", "little", "lasting", "own"] = "room"
    taken: Annotated[list[str], Field(max_length=20)] = Field(default=[])

    def found(self, keyboard: float | None) -> tuple[Settings, Settings]:
        """As found, seated and standing, with what the screens say of themselves."""
        with under("found_seated"):
            seated = self.found_seated.settings(keyboard)
        with under("found_standing"):
            standing = self.found_standing.settings(keyboard)
        said: dict[str, float | None] = {"scale": self.equipment.screen.scale}
        for index, screen in enumerate(self.equipment.side_screens, start=2):
            with under(f"equipment.side_screens.{index - 2}"):
                said |= screen.found(f"screen{index}")
        return seated.over(Settings(**said)), standing

    def details(self) -> Details:
        """The further screens."""
        return Details(
            side_screens=tuple(
                document.beside(f"screen{index}")
                for index, document in enumerate(self.equipment.side_screens, start=2)
            )
        )

    def check_own(self, station: Workstation) -> None:
        """An own number is to be had: raises ValueError for a seat or surface the piece can't reach."""
        pieces = {"seat": station.chair.seat, "surface": station.desk.surface}
        for posture, own in (("seated", self.own_seated), ("standing", self.own_standing)):
            for key, span in pieces.items():
                position = own.settings(None).get(key)
                if position is None or span is None:
                    continue
                if not span.low <= position <= span.high:
                    raise Misplaced(
                        f"own_{posture}.{key}",
                        msg(
                            "{position} mm is outside what the piece can do, {low} to {high} mm",
                            position=numeral(f"{position:g}"),
                            low=numeral(f"{span.low:g}"),
                            high=numeral(f"{span.high:g}"),
                        ),
                    )

    def own(self) -> OwnNumbers:
        """The practitioner's own numbers, and what is ticked."""
        return OwnNumbers(
            seated=self.own_seated.settings(None),
            standing=self.own_standing.settings(None),
            taken=frozenset(self.taken),
        )


class FurtherDocument(PlaceDocument):
    """A further place of the same body, by its name."""

    name: str = ""


class CaseDocument(PersonDocument, PaceDocument, PlaceDocument):
    """A case: a body at one place or several, with footwear, lenses, hours, choices and precautions."""

    format: Literal["gentle-plumb-case-3"] = "gentle-plumb-case-3"
    title: str = ""
    body: BodyDocument
    places: Annotated[list[FurtherDocument], Field(max_length=3)] = Field(default=[])
    shoe_seated: Length | None = None
    shoe_standing: Length | None = None
    mat: Length = 0.0
    lower_lens: Literal["none", "progressive", "bifocal"] = "none"
    sharp_from: Length | None = None
    sharp_to: Length | None = None
    settle_steps: Annotated[float, Field(ge=-10, le=10)] = Field(
        default=0.0, description="In steps of the policy’s settle_step; settle_by in their place."
    )
    settle_by: Length = Field(default=0.0, description="How far the settle-in test moved it.")
    writing_hand: Hand | None = None
    hours: dict[str, Annotated[Number, Field(ge=0, le=24)]] = Field(
        default_factory=dict, description="Hours a day by task."
    )
    standing_hours: Annotated[float, Field(ge=0, le=24)] | None = None
    hurts: bool = Field(
        default=False,
        description="Whether anything hurts: then half a difference is worth a change.",
    )
    choices: dict[str, str] = Field(
        default_factory=dict,
        description="Positions by question; “standing.” before one: standing alone.",
    )
    policies: dict[str, Number | str | bool] = Field(
        default_factory=dict, description="Numbers that differ from what the choices make."
    )

    @model_validator(mode="before")
    @classmethod
    def _upgrade(cls, raw: Any) -> Any:
        check_texts(raw)
        return _upgraded(raw)

    @model_validator(mode="after")
    def _makes_a_case(self) -> CaseDocument:
        self._check(self)
        for index, place in enumerate(self.places):
            with under(f"places.{index}"):
                self._check(place)
        return self

    def _check(self, place: PlaceDocument) -> None:
        """What is ticked is something that is offered: raises Misplaced; likewise for each length."""
        case = self.case(place)
        if place.taken:
            known = {key_of(addition) for addition in own_kit(case, place.own().taken)}
            strange = next((text for text in place.taken if text not in known), None)
            if strange is not None:
                raise Misplaced(
                    "taken",
                    msg("“{strange}” can’t be added here, or not with the rest", strange=strange),
                )
        if place.plan == "own" and not place.taken:
            raise Misplaced("plan", msg("your own plan must list what it adds in “taken”"))

    def _policy(self, policy: Policy) -> Policy:
        unknown = set(self.policies) - set(Policy.__dataclass_fields__)
        if unknown:
            raise Misplaced(
                f"policies.{sorted(unknown)[0]}", msg("there is no policy of this name")
            )
        given = {name: getattr(policy, name) for name in Policy.__dataclass_fields__}
        try:
            return _POLICY.validate_json(json.dumps(given | self.policies), strict=True)
        except ValidationError as error:
            wrong = error.errors()[0]
            name = str(wrong["loc"][0]) if wrong["loc"] else "value"
            raise Misplaced(f"policies.{name}", invalid_text(wrong)) from None

    def case(self, place: PlaceDocument | None = None) -> Case:
        """The case in mm: at the main place, or at a further one."""
        place = place or self
        with under("equipment"):
            station = place.equipment.workstation()
        try:
            check_rule_set(self.choices)
            policy = self._policy(policy_of(self.choices))
            standing = self._policy(standing_policy_of(self.choices))
        except FieldError as error:
            raise ValueError(error.message) from None
        hours = sum(self.hours.values())
        if hours > 24:
            words = msg("{sum} h a day in all: a day has 24 h", sum=numeral(f"{hours:g}"))
            raise Misplaced("hours", words)
        if (
            self.sharp_from is not None
            and self.sharp_to is not None
            and to_mm(self.sharp_from, "sharp_from") > to_mm(self.sharp_to, "sharp_to")
        ):
            raise Misplaced("sharp_from", msg("it lies beyond sharp_to"))
        for posture, own in (
            ("own_seated", place.own_seated),
            ("own_standing", place.own_standing),
        ):
            with under(posture):
                own.settings(None)
        place.check_own(station)
        tasks = set(self.hours) - set(TASKS)
        if tasks:
            raise Misplaced(
                f"hours.{sorted(tasks)[0]}",
                msg("there is no such task; one of {tasks}", tasks=joined(", ", TASKS)),
            )
        person = self.person(station)
        station = pieces_within_limits(station, person)
        policy, standing = (within_limits(rules, person) for rules in (policy, standing))
        settings, up = place.found(station.keyboard.thickness)
        with under("body.values"):
            body = self.body.body()
        return Case(
            body=body,
            workstation=hung_on_wall(station, settings, up),
            found_seated=settings,
            found_standing=up,
            shoe_seated=maybe_mm(self.shoe_seated, "shoe_seated", 0, 150),
            shoe_standing=maybe_mm(self.shoe_standing, "shoe_standing", 0, 150),
            mat=maybe_mm(self.mat, "mat", 0, 60) or 0.0,
            lower_lens=self.lower_lens,
            hours=self.hours,
            standing_hours=self.standing_hours,
            policy=policy,
            standing_policy=standing if standing != policy else None,
            sharp=(
                maybe_mm(self.sharp_from, "sharp_from", 200, 3000),
                maybe_mm(self.sharp_to, "sharp_to", 200, 3000),
            ),
            settle=(maybe_mm(self.settle_by, "settle_by", -400, 400) or 0.0)
            + self.settle_steps * policy.settle_step,
            writing_hand=self.writing_hand,
            details=place.details(),
            use=place.use,
            person=person,
            hurts=self.hurts,
        )

    def work(
        self, place: PlaceDocument | None = None, *, fixes: bool = True, brief: bool = False
    ) -> CaseWorked:
        """A place worked out, with the chosen plan in place; single purchases where wanted.

        ``brief`` leaves out how sure each target is, and what each addition alone removes.
        """
        place = place or self
        own, case = place.own(), self.case(place)
        case = replace(case, uncertain=False) if brief else case
        plan_set = make_plans(case, own=own, fixes=fixes and not brief, worth=not brief)
        taken = place.plan if place.plan != "own" or own.taken else "room"
        chosen = plan_set.plan(taken).case
        result = fit(chosen, overrule_seated=own.seated, overrule_standing=own.standing)
        return CaseWorked(case=chosen, result=result, plan_set=plan_set)


@dataclass(frozen=True, kw_only=True)
class CaseWorked:
    """A case file worked out: the chosen plan's case and fit, and every plan."""

    case: Case
    result: FitResult
    plan_set: PlanSet


def case_schema() -> dict[str, Any]:
    """JSON Schema of a case."""
    return CaseDocument.model_json_schema()
