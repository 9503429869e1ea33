"""Who is in the demo: members with their passwords, and what a client is made of. All made up."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from gentle_plumb.core.body import Sex
from gentle_plumb.core.intake import RED_FLAGS
from gentle_plumb.services.models import Role

from .photographs import Angles, Camera, Rear

PRACTICE = "Saltmere Hydrographic Office, workplace health"
TIME_ZONE = "Europe/London"
NO_FLAGS = {"ask.warning": "none", **{f"ask.sign.{id}": "no" for id in RED_FLAGS}}
"""Every red flag asked about, and none there."""
LETTERHEAD = "Harbour Street 3, Saltmere\nMonday to Thursday, 8:00 to 16:00"
CONTACT = "Ines Calloway, Saltmere 0412, or the front desk"
KEPT_YEARS, KEPT_UNSIGNED_YEARS, KEPT_PHOTOGRAPHS_MONTHS = 10, 2, 24
"""How long the demo practice keeps records. House values."""
WORDING = "Saltmere’s own procedure for workplace adjustments comes first."


@dataclass(frozen=True, kw_only=True)
class DemoMember:
    """Somebody to sign in as."""

    email: str
    password: str
    name: str
    title: str
    role: Role
    says: str
    registration: str = ""


DEMO_MEMBERS = (
    DemoMember(
        email="ines@saltmere.example",
        password="slack-water-0412",
        name="Ines Calloway",
        title="Physiotherapist",
        role="owner",
        says="Owner: everything",
        registration="PT 20417 (made up)",
    ),
    DemoMember(
        email="tomas@saltmere.example",
        password="ebb-and-flood-77",
        name="Tomas Wendel",
        title="Ergonomist",
        role="practitioner",
        says="Practitioner: clients and visits",
    ),
    DemoMember(
        email="ruth@saltmere.example",
        password="tide-tables-only",
        name="Ruth Abelow",
        title="Office manager",
        role="reader",
        says="Reader: lists, and the workplace’s papers; no health data",
    ),
    DemoMember(
        email="nell@saltmere.example",
        password="harbour-bell-at-8",
        name="Nell Carrow",
        title="Front desk",
        role="assistant",
        says="Assistant: names, contact data and equipment; no health data",
    ),
)

Until = Literal["new", "ask", "look", "measure", "set", "pace", "signed", "changed"]


@dataclass(frozen=True, kw_only=True)
class DemoPhoto:
    """A photograph to be drawn: from the side at joint angles, or from behind."""

    shows: Angles | Rear
    camera: Camera = Camera()
    when: Literal["before", "after"] = "before"
    standing: bool = False


@dataclass(frozen=True, kw_only=True)
class DemoClient:
    """A client: stature in mm, how far single dimensions are off their estimate, mm; entries.

    ``workstation`` names the shared one they sit at. ``measured`` is
    typed in the place of the usual readings. ``before`` are earlier visits at which they
    were measured: days ago, and how far single dimensions were off what they are now, mm.
    """

    name: str
    sex: Sex
    work: str
    stature: float
    days_ago: int
    by: int
    until: Until
    off: Mapping[str, float] = field(default_factory=dict)
    entries: Mapping[str, str] = field(default_factory=dict)
    photos: tuple[DemoPhoto, ...] = ()
    workstation: str = ""
    measured: Mapping[str, str] = field(default_factory=dict)
    before: tuple[tuple[int, Mapping[str, float]], ...] = ()
