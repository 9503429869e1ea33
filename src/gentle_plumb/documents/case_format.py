"""The open format of a case and of its result: JSON, with a schema generated from here.

Version 2 holds every kind of equipment, what is at hand, hours, choices and own numbers. Version 1
is still read: what it could not say is unknown, and its ``fingers_behind_knee`` becomes the gap's
two ends.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, field_validator, model_validator

from ..core.body import DIMENSIONS, Body, BodyValue, dimension, resolve_readings
from ..core.errors import FieldError
from ..core.fit import Case, FitResult, Policy, fit
from ..core.plans import Added, Fix, Left, Own, Plan, WorkedOut, work_out
from ..core.policy import check_bundle, policy_of, standing_policy_of
from ..core.record.fields import TASKS
from ..core.units import parse_length
from ..core.workstation import (
    Chair,
    Desk,
    Details,
    Item,
    Keyboard,
    Mouse,
    Screen,
    Settings,
    SideScreen,
    Span,
    Workstation,
)

Length = Annotated[
    float | str,
    Field(description="A length: a number is mm, a text carries its unit, as '46.2 cm'."),
]


def _mm(value: float | str, what: str) -> float:
    try:
        return parse_length(value, default="mm", field=what) if isinstance(value, str) else value
    except FieldError as error:
        raise ValueError(error.message) from None


def _maybe(value: float | str | None, what: str, low: float, high: float) -> float | None:
    if value is None:
        return None
    mm = _mm(value, what)
    if not low <= mm <= high:
        raise ValueError(f"{what}: {mm:g} mm is outside {low:g} to {high:g} mm")
    return mm


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class RangeDocument(_Part):
    """From lowest to highest, in steps where given; one end alone is a fixed piece."""

    low: Length
    high: Length | None = None
    step: Annotated[float, Field(gt=0, le=500)] | None = Field(
        default=None, description="mm (degrees for a slope) between places; left out where free."
    )

    def span(self, what: str, low: float, high: float) -> Span:
        """The range in mm."""
        first = _maybe(self.low, what, low, high)
        last = _maybe(self.high, what, low, high) if self.high is not None else first
        assert first is not None
        assert last is not None
        if first > last:
            raise ValueError(
                f"{what}: the lowest ({first:g} mm) is above the highest ({last:g} mm)"
            )
        return Span(low=first, high=last, step=self.step)

    def degrees(self, what: str, low: float, high: float) -> Span:
        """The range in degrees."""
        first, last = self.low, self.high if self.high is not None else self.low
        if isinstance(first, str) or isinstance(last, str):
            raise ValueError(f"{what}: degrees are plain numbers")
        if not low <= first <= last <= high:
            raise ValueError(f"{what}: {first:g} to {last:g}° is not within {low:g} to {high:g}°")
        return Span(low=first, high=last, step=self.step)


class ValueDocument(_Part):
    """A body dimension: its readings (one to three), and where they are from."""

    readings: Annotated[list[Length], Field(min_length=1, max_length=3)]
    source: Literal["measured", "self_measured", "carried_over", "estimated"] = "measured"
    sd: Annotated[float, Field(ge=0, le=200)] | None = Field(
        default=None, description="Standard deviation in mm; from the readings where not given."
    )


class BodyDocument(_Part):
    """A body: dimensions by their identifier."""

    sex: Literal["female", "male"] | None = None
    posture: Literal["as_they_work", "erect"] = "as_they_work"
    values: dict[str, ValueDocument]

    @field_validator("values")
    @classmethod
    def _known(cls, values: dict[str, ValueDocument]) -> dict[str, ValueDocument]:
        for name in values:
            if name not in DIMENSIONS:
                raise ValueError(f"there is no body dimension “{name}”")
        return values

    def body(self) -> Body:
        """The body in mm."""
        made: dict[str, BodyValue] = {}
        for name, given in self.values.items():
            entry = dimension(name)
            readings = [
                _maybe(reading, name, entry.low_mm, entry.high_mm) or 0.0
                for reading in given.readings
            ]
            resolved = resolve_readings(readings, repeat_limit_mm=entry.repeat_limit_mm)
            if resolved.value_mm is None:
                raise ValueError(
                    f"{name}: two readings {resolved.spread_mm:g} mm apart, more than "
                    f"{entry.repeat_limit_mm:g} mm: give a third"
                )
            sd = given.sd if given.sd is not None else resolved.sd_mm
            made[name] = BodyValue(mm=resolved.value_mm, sd_mm=sd, source=given.source)
        return Body(values=made, sex=self.sex, posture=self.posture)


def _span(given: RangeDocument | None, what: str, low: float, high: float) -> Span | None:
    return given.span(what, low, high) if given is not None else None


def _degrees(given: RangeDocument | None, what: str, low: float, high: float) -> Span | None:
    return given.degrees(what, low, high) if given is not None else None


class ChairDocument(_Part):
    """A chair: seat over the floor, the rest over or along the seat; recline in degrees from upright."""

    kind: Literal["task", "dining", "stool", "wheelchair", "other"] | None = None
    seat: RangeDocument | None = None
    depth: RangeDocument | None = None
    armrests: Literal["none", "fixed", "adjustable"] | None = None
    armrest: RangeDocument | None = None
    armrests_off: bool = False
    lumbar: RangeDocument | None = None
    recline: RangeDocument | None = None

    def chair(self) -> Chair:
        """The chair in mm."""
        return Chair(
            kind=self.kind,
            seat=_span(self.seat, "seat", 250, 900),
            depth=_span(self.depth, "depth", 250, 700),
            armrests=self.armrests,
            armrest=_span(self.armrest, "armrest", 80, 450),
            armrests_off=self.armrests_off,
            lumbar=_span(self.lumbar, "lumbar", 50, 400),
            recline=_degrees(self.recline, "recline", 0, 50),
        )


class DeskDocument(_Part):
    """What the keyboard stands on; thickness from it to the lowest part over the thighs.

    ``screen_base`` is what the screen stands on where that is something else, ``below`` how far the
    keys hang under it, ``underside`` the lowest part over the thighs where that stays.
    """

    kind: Literal["fixed", "sit_stand"] | None = None
    form: Literal["fixed", "sit_stand", "platform", "counter", "cart", "tray"] | None = None
    surface: RangeDocument | None = None
    thickness: Length | None = None
    depth: Length | None = None
    screen_base: RangeDocument | None = None
    below: RangeDocument | None = None
    underside: Length | None = None
    tilt_deg: RangeDocument | None = None
    mouse_below: Length = 0.0
    under: Literal["free", "drawer", "crossbar"] | None = None
    risers: bool | None = None

    def desk(self) -> Desk:
        """The desk in mm."""
        return Desk(
            kind=self.kind,
            form=self.form,
            surface=_span(self.surface, "surface", 350, 1500),
            thickness=_maybe(self.thickness, "thickness", 5, 300),
            depth=_maybe(self.depth, "depth", 200, 1500),
            screen_base=_span(self.screen_base, "screen_base", 350, 1500),
            below=_span(self.below, "below", 0, 350),
            underside=_maybe(self.underside, "underside", 300, 1450),
            tilt=_degrees(self.tilt_deg, "tilt_deg", -20, 30),
            mouse_below=_maybe(self.mouse_below, "mouse_below", 0, 300) or 0.0,
            under=self.under,
            risers=self.risers,
        )


class KeyboardDocument(_Part):
    """A keyboard; thickness at the home row, slope of its feet in degrees."""

    kind: Literal["full", "no_number_block", "compact", "split", "tented"] | None = None
    thickness: Length | None = None
    slope: Annotated[float, Field(ge=-30, le=30)] = 0.0
    turned: Annotated[float, Field(ge=-45, le=45)] = 0.0


class ScreenDocument(_Part):
    """A screen: picture size by diagonal and shape, or by width and height."""

    kind: Literal["monitor", "laptop"] | None = None
    diagonal_in: Annotated[float, Field(ge=7, le=100)] | None = None
    aspect: Literal["16:9", "16:10", "21:9", "4:3", "5:4"] | None = None
    width: Length | None = None
    height: Length | None = None
    top_above_surface: RangeDocument | None = None
    depth_behind: Length | None = None
    tilt_deg: RangeDocument | None = None
    held: Literal["fixed", "stand", "arm", "wall"] | None = None
    pixels_across: Annotated[float, Field(ge=320, le=16000)] | None = None
    scale: Annotated[float, Field(ge=50, le=500)] | None = None

    def size(self) -> tuple[float | None, float | None]:
        """Width and height of the picture, mm."""
        if self.diagonal_in is not None and self.aspect is not None:
            return Screen.picture(self.diagonal_in, self.aspect)
        return _maybe(self.width, "width", 100, 2500), _maybe(self.height, "height", 60, 1500)

    def screen(self) -> Screen:
        """The screen in mm."""
        width, height = self.size()
        return Screen(
            kind=self.kind, width=width, height=height,
            top_above_surface=_span(self.top_above_surface, "top_above_surface", 50, 1500),
            depth_behind=_maybe(self.depth_behind, "depth_behind", 0, 600),
            tilt_deg=_degrees(self.tilt_deg, "tilt_deg", -20, 60),
            held=self.held, pixels_across=self.pixels_across,
        )  # fmt: skip


class SideScreenDocument(ScreenDocument):
    """A second or third screen, with how much it is looked at and as it was found."""

    use: Literal["equal", "some", "rare"] | None = None
    place: Literal["beside", "above"] = "beside"
    top: Length | None = None
    distance: Length | None = None
    bearing: Annotated[float, Field(ge=-120, le=120)] | None = None

    def beside(self, id: str) -> SideScreen:
        """The screen in mm."""
        width, height = self.size()
        return SideScreen(
            id=id, kind=self.kind or "monitor", use=self.use, place=self.place, width=width,
            height=height, top=_maybe(self.top, "top", 400, 2500),
            distance=_maybe(self.distance, "distance", 150, 3000), bearing=self.bearing,
        )  # fmt: skip


class ItemDocument(_Part):
    """Something at hand: whole pieces of one thickness, and what they may carry."""

    id: str
    label: str = ""
    thickness: Length
    count: Annotated[int, Field(ge=1, le=50)] = 1
    error: Annotated[float, Field(ge=0, le=20)] = 1.0
    uses: list[Literal["feet", "screen", "seat", "lumbar"]] = ["feet", "screen"]

    def item(self) -> Item:
        """The item in mm."""
        thickness = _maybe(self.thickness, f"item {self.id}", 1, 400)
        assert thickness is not None
        return Item(id=self.id, label=self.label or self.id, thickness=thickness, count=self.count,
                    error=self.error, uses=frozenset(self.uses))  # fmt: skip


class EquipmentDocument(_Part):
    """The pieces. What is left out is unknown, not zero; ``feet`` and ``items`` are what is there."""

    chair: ChairDocument = ChairDocument()
    desk: DeskDocument = DeskDocument()
    keyboard: KeyboardDocument = KeyboardDocument()
    mouse_hand: Literal["left", "right"] | None = None
    mouse_kind: str | None = None
    screen: ScreenDocument = ScreenDocument()
    side_screens: Annotated[list[SideScreenDocument], Field(max_length=2)] = []
    feet: Annotated[list[RangeDocument], Field(max_length=5)] | None = None
    items: Annotated[list[ItemDocument], Field(max_length=12)] = []

    def workstation(self) -> Workstation:
        """The pieces in mm."""
        feet = self.feet
        return Workstation(
            chair=self.chair.chair(),
            desk=self.desk.desk(),
            keyboard=Keyboard(
                kind=self.keyboard.kind,
                thickness=_maybe(self.keyboard.thickness, "keyboard thickness", 2, 80),
                slope=self.keyboard.slope,
                turned=self.keyboard.turned,
            ),
            mouse=Mouse(hand=self.mouse_hand, kind=self.mouse_kind),
            screen=self.screen.screen(),
            feet=None if feet is None else tuple(one.span("feet", 0, 600) for one in feet),
            items=tuple(one.item() for one in self.items),
        )


class FoundDocument(_Part):
    """What was found, from the floor; armrest and lumbar from the seat, mouse from the midline."""

    seat: Length | None = None
    footrest: Length | None = None
    seat_depth: Length | None = None
    lumbar: Length | None = None
    armrest: Length | None = None
    surface: Length | None = None
    mouse: Length | None = None
    screen_top: Length | None = None
    distance: Length | None = None
    tilt_deg: Annotated[float, Field(ge=-20, le=60)] | None = None

    def settings(self, keyboard: float | None) -> Settings:
        """The settings in mm."""
        given = {
            name: _maybe(getattr(self, name), name, 0, 3000)
            for name in FoundDocument.model_fields
            if name != "tilt_deg"
        }
        surface = given["surface"]
        keys = surface + keyboard if surface is not None and keyboard is not None else None
        return Settings(**given, keys=keys, tilt=self.tilt_deg)


def _upgraded(raw: Any) -> Any:
    """A version 1 case as version 2; anything else as it is."""
    if not isinstance(raw, dict) or raw.get("format") != OLD_FORMAT:
        return raw
    policies = dict(raw.get("policies") or {})
    fingers = policies.pop("fingers_behind_knee", None)
    if isinstance(fingers, int | float):
        policies |= {"knee_gap_low": fingers - 0.5, "knee_gap_high": fingers + 0.5}
    return {**raw, "format": FORMAT, "policies": policies}


OLD_FORMAT, FORMAT = "gentle-plumb-case-1", "gentle-plumb-case-2"
_POLICY = TypeAdapter(Policy)


class CaseDocument(_Part):
    """A case: body, equipment, what was found, footwear, lenses, hours, choices, own numbers."""

    format: Literal["gentle-plumb-case-2"] = "gentle-plumb-case-2"
    title: str = ""
    body: BodyDocument
    equipment: EquipmentDocument = EquipmentDocument()
    found_seated: FoundDocument = FoundDocument()
    found_standing: FoundDocument = FoundDocument()
    own_seated: FoundDocument = FoundDocument()
    own_standing: FoundDocument = FoundDocument()
    shoe_seated: Length | None = None
    shoe_standing: Length | None = None
    mat: Length = 0.0
    lower_lens: Literal["none", "progressive", "bifocal"] = "none"
    sharp_from: Length | None = None
    sharp_to: Length | None = None
    settle_steps: Annotated[float, Field(ge=-10, le=10)] = 0.0
    writing_hand: Literal["left", "right"] | None = None
    hours: dict[str, Annotated[float, Field(ge=0, le=24)]] = Field(
        default_factory=dict, description="Hours a day by task."
    )
    standing_hours: Annotated[float, Field(ge=0, le=24)] | None = None
    choices: dict[str, str] = Field(
        default_factory=dict,
        description="Positions by question; “standing.” before one: standing alone.",
    )
    policies: dict[str, float | str | bool] = Field(
        default_factory=dict, description="Numbers that differ from what the choices make."
    )
    plan: Literal["room", "little", "lasting"] = "room"

    @model_validator(mode="before")
    @classmethod
    def _upgrade(cls, raw: Any) -> Any:
        return _upgraded(raw)

    @model_validator(mode="after")
    def _makes_a_case(self) -> CaseDocument:
        self.case()
        return self

    def _policy(self, made: Policy) -> Policy:
        unknown = set(self.policies) - set(Policy.__dataclass_fields__)
        if unknown:
            raise ValueError(f"there is no policy “{sorted(unknown)[0]}”")
        given = {name: getattr(made, name) for name in Policy.__dataclass_fields__}
        return _POLICY.validate_python(given | self.policies)

    def case(self) -> Case:
        """The case in mm."""
        station = self.equipment.workstation()
        try:
            check_bundle(self.choices)
            policy = self._policy(policy_of(self.choices))
            standing = self._policy(standing_policy_of(self.choices))
        except FieldError as error:
            raise ValueError(error.message) from None
        tasks = set(self.hours) - set(TASKS)
        if tasks:
            raise ValueError(f"there is no task “{sorted(tasks)[0]}”; one of {', '.join(TASKS)}")
        return Case(
            body=self.body.body(),
            workstation=station,
            found_seated=self.found_seated.settings(station.keyboard.thickness),
            found_standing=self.found_standing.settings(station.keyboard.thickness),
            shoe_seated=_maybe(self.shoe_seated, "shoe_seated", 0, 150),
            shoe_standing=_maybe(self.shoe_standing, "shoe_standing", 0, 150),
            mat=_maybe(self.mat, "mat", 0, 60) or 0.0,
            lower_lens=self.lower_lens,
            hours=self.hours,
            standing_hours=self.standing_hours,
            policy=policy,
            standing_policy=standing if standing != policy else None,
            sharp=(_maybe(self.sharp_from, "sharp_from", 200, 3000),
                   _maybe(self.sharp_to, "sharp_to", 200, 3000)),
            settle_steps=self.settle_steps,
            writing_hand=self.writing_hand,
            details=Details(
                scale=self.equipment.screen.scale,
                side_screens=tuple(one.beside(f"screen{index}") for index, one
                                   in enumerate(self.equipment.side_screens, start=2)),
            ),
        )  # fmt: skip

    def own(self) -> Own:
        """The practitioner's own numbers."""
        return Own(seated=self.own_seated.settings(None), standing=self.own_standing.settings(None))

    def work(self, *, fixes: bool = True) -> CaseWorked:
        """The case worked out, with the chosen plan in place; single purchases where wanted."""
        own, case = self.own(), self.case()
        worked = work_out(case, own=own, fixes=fixes)
        chosen = worked.plan(self.plan).case
        result = fit(chosen, overrule_seated=own.seated, overrule_standing=own.standing)
        return CaseWorked(case=chosen, result=result, worked=worked)


@dataclass(frozen=True, kw_only=True)
class CaseWorked:
    """A case file worked out: the chosen plan's case and fit, and every plan."""

    case: Case
    result: FitResult
    worked: WorkedOut


class PlanDocument(BaseModel):
    """One plan of a result."""

    id: str
    label: str
    added: list[Added]
    seated: Settings
    standing: Settings | None
    left: list[Left]
    over: float
    minutes: float | None
    temporary: bool
    cautions: list[str]

    @classmethod
    def of(cls, plan: Plan) -> PlanDocument:
        """From the plan."""
        return cls(**{name: getattr(plan, name) for name in cls.model_fields})


class ResultDocument(BaseModel):
    """What ``plumb fit`` prints."""

    format: Literal["gentle-plumb-fit-2"] = "gentle-plumb-fit-2"
    title: str = ""
    plan: str = "room"
    result: FitResult
    plans: list[PlanDocument]
    fixes: list[Fix]


def result_document(case: CaseDocument) -> ResultDocument:
    """The result of a case."""
    made = case.work()
    return ResultDocument(
        title=case.title, plan=case.plan, result=made.result,
        plans=[PlanDocument.of(plan) for plan in made.worked.plans], fixes=list(made.worked.fixes),
    )  # fmt: skip


def case_schema() -> dict[str, Any]:
    """JSON Schema of a case."""
    return CaseDocument.model_json_schema()


def result_schema() -> dict[str, Any]:
    """JSON Schema of a result."""
    return ResultDocument.model_json_schema(mode="serialization")
