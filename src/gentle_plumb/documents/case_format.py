"""The open format of a case and of its result: JSON, with a schema generated from here."""

from __future__ import annotations

from dataclasses import asdict
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, field_validator, model_validator

from ..core.body import DIMENSIONS, Body, BodyValue, dimension, resolve_readings
from ..core.errors import FieldError
from ..core.fit import Case, FitResult, Policy, fit
from ..core.units import parse_length
from ..core.workstation import Chair, Desk, Keyboard, Mouse, Screen, Settings, Span, Workstation

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
    """From lowest to highest; the same twice, or one alone, for a fixed piece."""

    low: Length
    high: Length | None = None

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
        return Span(low=first, high=last)


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


class ChairDocument(_Part):
    """A chair: seat over the floor, the rest over or along the seat."""

    seat: RangeDocument | None = None
    depth: RangeDocument | None = None
    armrests: Literal["none", "fixed", "adjustable"] | None = None
    armrest: RangeDocument | None = None
    lumbar: RangeDocument | None = None


class DeskDocument(_Part):
    """A desk; thickness from the surface to the lowest part over the thighs."""

    kind: Literal["fixed", "sit_stand"] | None = None
    surface: RangeDocument | None = None
    thickness: Length | None = None
    depth: Length | None = None


class KeyboardDocument(_Part):
    """A keyboard; thickness at the home row."""

    kind: Literal["full", "no_number_block", "compact", "split", "tented"] | None = None
    thickness: Length | None = None


class ScreenDocument(_Part):
    """A screen: picture size by diagonal and shape, or by width and height."""

    kind: Literal["monitor", "laptop"] | None = None
    diagonal_in: Annotated[float, Field(ge=7, le=100)] | None = None
    aspect: Literal["16:9", "16:10", "21:9", "4:3", "5:4"] | None = None
    width: Length | None = None
    height: Length | None = None
    top_above_surface: RangeDocument | None = None
    depth_behind: Length | None = None

    def screen(self) -> Screen:
        """The screen in mm."""
        width = _maybe(self.width, "width", 100, 2500)
        height = _maybe(self.height, "height", 60, 1500)
        if self.diagonal_in is not None and self.aspect is not None:
            width, height = Screen.picture(self.diagonal_in, self.aspect)
        top = self.top_above_surface
        return Screen(
            kind=self.kind, width=width, height=height,
            top_above_surface=top.span("top_above_surface", 50, 1500) if top else None,
            depth_behind=_maybe(self.depth_behind, "depth_behind", 0, 600),
        )  # fmt: skip


class EquipmentDocument(_Part):
    """The pieces. What is left out is unknown, not zero."""

    chair: ChairDocument = ChairDocument()
    desk: DeskDocument = DeskDocument()
    keyboard: KeyboardDocument = KeyboardDocument()
    mouse_hand: Literal["left", "right"] | None = None
    screen: ScreenDocument = ScreenDocument()

    def workstation(self) -> Workstation:
        """The pieces in mm."""

        def span(given: RangeDocument | None, what: str, low: float, high: float) -> Span | None:
            return given.span(what, low, high) if given is not None else None

        chair, desk = self.chair, self.desk
        return Workstation(
            chair=Chair(
                seat=span(chair.seat, "seat", 250, 900),
                depth=span(chair.depth, "depth", 250, 700),
                armrests=chair.armrests,
                armrest=span(chair.armrest, "armrest", 80, 450),
                lumbar=span(chair.lumbar, "lumbar", 50, 400),
            ),
            desk=Desk(
                kind=desk.kind,
                surface=span(desk.surface, "surface", 350, 1500),
                thickness=_maybe(desk.thickness, "thickness", 5, 300),
                depth=_maybe(desk.depth, "depth", 200, 1500),
            ),
            keyboard=Keyboard(
                kind=self.keyboard.kind,
                thickness=_maybe(self.keyboard.thickness, "keyboard thickness", 2, 80),
            ),
            mouse=Mouse(hand=self.mouse_hand),
            screen=self.screen.screen(),
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


class CaseDocument(_Part):
    """A case: body, equipment, what was found, footwear, lenses and policies."""

    format: Literal["gentle-plumb-case-1"] = "gentle-plumb-case-1"
    title: str = ""
    body: BodyDocument
    equipment: EquipmentDocument = EquipmentDocument()
    found_seated: FoundDocument = FoundDocument()
    found_standing: FoundDocument = FoundDocument()
    shoe_seated: Length | None = None
    shoe_standing: Length | None = None
    mat: Length = 0.0
    lower_lens: Literal["none", "progressive", "bifocal"] = "none"
    policies: dict[str, float | str] = Field(
        default_factory=dict, description="Policies that differ from the defaults, by their name."
    )

    @model_validator(mode="after")
    def _makes_a_case(self) -> CaseDocument:
        self.case()
        return self

    def case(self) -> Case:
        """The case in mm."""
        station = self.equipment.workstation()
        try:
            policy = TypeAdapter(Policy).validate_python(self.policies)
        except FieldError as error:
            raise ValueError(error.message) from None
        unknown = set(self.policies) - set(Policy.__dataclass_fields__)
        if unknown:
            raise ValueError(f"there is no policy “{sorted(unknown)[0]}”")
        return Case(
            body=self.body.body(),
            workstation=station,
            found_seated=self.found_seated.settings(station.keyboard.thickness),
            found_standing=self.found_standing.settings(station.keyboard.thickness),
            shoe_seated=_maybe(self.shoe_seated, "shoe_seated", 0, 150),
            shoe_standing=_maybe(self.shoe_standing, "shoe_standing", 0, 150),
            mat=_maybe(self.mat, "mat", 0, 60) or 0.0,
            lower_lens=self.lower_lens,
            policy=policy,
        )

    def fit(self) -> FitResult:
        """The case worked out."""
        return fit(self.case())


class ResultDocument(BaseModel):
    """What ``plumb fit`` prints."""

    format: Literal["gentle-plumb-fit-1"] = "gentle-plumb-fit-1"
    title: str = ""
    result: FitResult


def result_document(case: CaseDocument) -> dict[str, Any]:
    """The result of a case as plain JSON."""
    return {"format": "gentle-plumb-fit-1", "title": case.title, "result": asdict(case.fit())}


def case_schema() -> dict[str, Any]:
    """JSON Schema of a case."""
    return CaseDocument.model_json_schema()


def result_schema() -> dict[str, Any]:
    """JSON Schema of a result."""
    return ResultDocument.model_json_schema(mode="serialization")
