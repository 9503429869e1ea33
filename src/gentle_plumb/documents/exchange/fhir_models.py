"""What is read of HL7 FHIR R4: the parts of Bundle, Patient and Observation that hold measurements.

A Bundle of another program holds more; what is not named here is passed over. Everything may be missing, as the
standard has it, and is then said of its entry.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Discriminator, Field, Tag


class _Element(BaseModel):
    model_config = ConfigDict(extra="ignore", frozen=True)


class Coding(_Element):
    """A code of a system."""

    system: str | None = None
    code: str | None = None


class CodeableConcept(_Element):
    """The same in several systems."""

    coding: list[Coding] = Field(default_factory=list)


class Quantity(_Element):
    """A number with its unit; ``code`` is UCUM's."""

    value: float | None = None
    unit: str | None = None
    code: str | None = None


class Extension(_Element):
    """A text that the standard has no place for."""

    url: str | None = None
    valueString: str | None = None


class Period(_Element):
    """From when, ISO 8601."""

    start: str | None = None


class Identifier(_Element):
    """A name in a system."""

    system: str | None = None
    value: str | None = None
    period: Period | None = None


class Reference(_Element):
    """Another resource, by its address."""

    reference: str | None = None
    display: str | None = None


class HumanName(_Element):
    """A person's name, whole or in parts."""

    text: str | None = None
    family: str | None = None
    given: list[str] = Field(default_factory=list)


class Patient(_Element):
    """A client."""

    id: str | None = None
    identifier: list[Identifier] = Field(default_factory=list)
    name: list[HumanName] = Field(default_factory=list)
    gender: str | None = None
    extension: list[Extension] = Field(default_factory=list)


class Component(_Element):
    """A reading, or what is said of it."""

    code: CodeableConcept | None = None
    valueQuantity: Quantity | None = None
    valueString: str | None = None
    extension: list[Extension] = Field(default_factory=list)


class Observation(_Element):
    """A dimension with its readings."""

    status: str | None = None
    identifier: list[Identifier] = Field(default_factory=list)
    code: CodeableConcept | None = None
    subject: Reference | None = None
    effectiveDateTime: str | None = None
    performer: list[Reference] = Field(default_factory=list)
    valueQuantity: Quantity | None = None
    component: list[Component] = Field(default_factory=list)


class Other(_Element):
    """A resource that holds no measurement."""

    resourceType: str | None = None


def _kind(resource: Any) -> str:
    kind = resource.get("resourceType") if isinstance(resource, dict) else None
    return kind if kind in ("Patient", "Observation") else "Other"


class Entry(_Element):
    """One resource of a Bundle, read by its type."""

    fullUrl: str | None = None
    resource: (
        Annotated[
            Annotated[Patient, Tag("Patient")]
            | Annotated[Observation, Tag("Observation")]
            | Annotated[Other, Tag("Other")],
            Discriminator(_kind),
        ]
        | None
    ) = None


class Bundle(_Element):
    """A file."""

    resourceType: Literal["Bundle"]
    entry: list[Entry] = Field(default_factory=list)
