"""What goes over the wire."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, model_validator

from ..core.body import Dimension
from ..core.drawing import Ink, Mark, Scene
from ..core.findings import Finding, Strain
from ..core.intake import URGENCY, Consent, RedFlag, Region
from ..core.observation import Habit, RoomItem
from ..core.photo import Landmark
from ..core.plain_text import check_texts
from ..core.presentation import (
    ActionView,
    CauseView,
    GazeView,
    JointView,
    LaptopView,
    MoveView,
    PlanView,
    PurchaseView,
    RowView,
    ZoneView,
)
from ..core.record import Record, ShelfKind, StepId, fields
from ..core.record.fields.field import Kind
from ..core.units import LengthUnit
from ..core.visit import RaisedRedFlag, StepProgress, raised_red_flags
from ..services.accounts import LEAST_PASSWORD
from ..services.measured import Measured, RemeasureView
from ..services.models import (
    Client,
    Entry,
    Member,
    PhotoHead,
    Practice,
    ReportHead,
    Session,
    ShelfItem,
    VisitLine,
)
from ..services.papers import ClientPaper
from ..services.photo_views import PhotoView
from ..services.workup import PrecautionView, RhythmView, Workup

Name = Annotated[
    str,
    StringConstraints(
        strip_whitespace=True, min_length=1, max_length=200, pattern=r"^[^\x00-\x1f]*$"
    ),
]
Line = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=200, pattern=r"^[^\x00-\x1f]*$")
]
Password = Annotated[str, StringConstraints(min_length=LEAST_PASSWORD, max_length=200)]
Address = Annotated[
    str,
    StringConstraints(
        strip_whitespace=True, max_length=200, pattern=r"^[^@\s\x00-\x1f]+@[^@\s\x00-\x1f]+$"
    ),
]
Sex = Literal["female", "male"]


class RequestModel(BaseModel):
    """Base of what comes in: nothing unknown is taken silently, and every text can be written.

    Raises UnreadableValue with the field's path where a text is not.
    """

    model_config = ConfigDict(extra="forbid")

    @model_validator(mode="before")
    @classmethod
    def _whole_texts(cls, given: Any) -> Any:
        check_texts(given)
        return given


class New(RequestModel):
    """Something new; its ``id`` is made on the page, so that it counts once however often it is sent."""

    id: UUID


class SignIn(RequestModel):
    """Credentials."""

    email: Annotated[str, StringConstraints(max_length=200)]
    password: Annotated[str, StringConstraints(max_length=200)]


class DemoPerson(BaseModel):
    """Credentials shown in demo mode."""

    email: str
    password: str
    says: str


class Welcome(BaseModel):
    """What the sign-in page may know."""

    product: str = "Gentle Plumb"
    demo: list[DemoPerson] = []


class Me(BaseModel):
    """The signed-in member."""

    name: str
    title: str
    email: str
    role: str
    sees_health: bool
    practice: str
    time_zone: str
    local_wording: str
    unit: LengthUnit
    csrf: str

    @classmethod
    def of(cls, session: Session, member: Member, practice: Practice) -> Me:
        """From the records."""
        return cls(
            name=member.name,
            title=member.title,
            email=member.email,
            role=member.role,
            sees_health=member.sees_health,
            practice=practice.name,
            time_zone=practice.time_zone,
            local_wording=practice.local_wording,
            unit=practice.unit,
            csrf=session.csrf,
        )


class PasswordChange(RequestModel):
    """The present password and the next one."""

    current: Annotated[str, StringConstraints(max_length=200)]
    password: Password


class SessionOut(BaseModel):
    """A place where one is signed in; ``here`` is the one that asks."""

    id: UUID
    started_at: datetime
    expires_at: datetime
    browser: str
    here: bool


class HealthGrant(RequestModel):
    """Whether a reader sees health data."""

    sees_health: bool


class PracticeIn(RequestModel):
    """What an owner sets for the practice: its time zone (an IANA name) and its own wording."""

    time_zone: Annotated[str, StringConstraints(max_length=60)]
    local_wording: Annotated[str, StringConstraints(strip_whitespace=True, max_length=1000)]


class MemberOut(BaseModel):
    """A member, without secrets."""

    id: UUID
    name: str
    title: str
    email: str
    role: str
    sees_health: bool

    @classmethod
    def of(cls, member: Member) -> MemberOut:
        """From the record."""
        return cls(**{name: getattr(member, name) for name in cls.model_fields})


class MemberIn(New):
    """A new member."""

    email: Address
    name: Name
    title: Line = ""
    role: Literal["owner", "practitioner", "reader"]
    password: Password


class LightTask(BaseModel):
    """What light is for, and its band in lux."""

    id: str
    label: str
    least: float
    most: float


class FieldOut(BaseModel):
    """A field: what it is called, which answers it takes, when it makes sense.

    ``low`` and ``high`` are in mm for a length, in ``unit`` for a number; ``when`` are the answers
    of other fields without which it makes no sense; ``pair`` is the range whose lower end it is.
    """

    model_config = ConfigDict(from_attributes=True, title="Field")

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    section: str
    help: str
    unit: str
    low: float | None
    high: float | None
    choices: list[tuple[str, str]]
    needed: bool
    part: str
    when: list[tuple[str, list[str]]]
    health: bool
    pair: str
    noted_only: bool


class PieceOut(BaseModel):
    """A kind of piece, and the paths of the fields that describe it."""

    id: str
    label: str
    paths: list[str]


class Fields(BaseModel):
    """The fields of a visit, its steps, how the drawing is inked, and what is asked and seen.

    ``families`` are the fields of things there can be any number of; their ids hold a ``*``.
    ``picture_bytes`` is the most a photograph may have.
    """

    steps: dict[StepId, str]
    fields: list[FieldOut]
    families: list[FieldOut]
    pieces: list[PieceOut]
    kinds: list[ShelfKind]
    signs: list[RedFlag]
    urgencies: dict[str, str]
    consents: list[Consent]
    map_width: float
    map_height: float
    map_marks: list[Mark]
    regions: list[Region]
    habits: list[Habit]
    room: list[RoomItem]
    light: list[LightTask]
    landmarks: list[Landmark]
    dimensions: list[DimensionOut]
    skips: dict[str, str]
    picture_bytes: int
    inks: dict[str, Ink]
    sources: dict[str, str]


class DimensionOut(BaseModel):
    """A dimension of the catalogue, as it is explained."""

    id: str
    label: str
    iso_name: str
    how: str
    posture: Literal["seated", "standing"]
    view: str
    instrument: str
    start: str
    end: str
    mistakes: list[str]
    used_for: str
    needed: bool
    two_sided: bool
    can_guess: bool

    @classmethod
    def of(cls, entry: Dimension) -> DimensionOut:
        """From the catalogue; ``can_guess`` where an estimate is only made if insisted on."""
        same = {name: getattr(entry, name) for name in cls.model_fields if name != "can_guess"}
        return cls(
            **{**same, "mistakes": list(entry.mistakes)},
            can_guess=fields.measure.dimension[entry.id].guess is not None,
        )


class ClientFacts(RequestModel):
    """What is said of a client."""

    name: Name
    sex: Sex | None = None
    work: Line = ""


class ClientIn(New, ClientFacts):
    """A new client."""


class ClientChange(ClientFacts):
    """A client corrected upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class ClientOut(BaseModel):
    """A client."""

    id: UUID
    name: str
    sex: Sex | None
    work: str
    version: int

    @classmethod
    def of(cls, client: Client) -> ClientOut:
        """From the record."""
        return cls(**{name: getattr(client, name) for name in cls.model_fields})


class VisitIn(New):
    """A new visit."""

    client_id: UUID


class VisitLineOut(BaseModel):
    """A visit in a list."""

    id: UUID
    client_id: UUID
    client: str
    work: str
    practitioner: str
    started_on: date
    changed_at: datetime | None
    follow_up: str | None
    state: Literal["new", "draft", "signed", "changed"]
    sign: str | None
    shared_report: UUID | None

    @classmethod
    def of(cls, line: VisitLine) -> VisitLineOut:
        """From the record; ``changed`` is signed, then changed again.

        ``sign`` is what the gravest warning sign asks for that nobody has written an answer to.
        """
        waiting = [one for one in raised_red_flags(Record(line.signs)) if one.done is None]
        if line.signed_at is not None:
            same = line.signed_revision == line.visit.revision
            state: Literal["new", "draft", "signed", "changed"] = "signed" if same else "changed"
        else:
            state = "draft" if line.visit.revision else "new"
        return cls(
            id=line.visit.id,
            client_id=line.client.id,
            client=line.client.name,
            work=line.client.work,
            practitioner=line.practitioner,
            started_on=line.visit.started_on,
            changed_at=line.changed_at,
            follow_up=line.follow_up,
            state=state,
            sign=URGENCY[waiting[0].urgency] if waiting else None,
            shared_report=line.shared_report,
        )


class ReportOut(BaseModel):
    """A signed version."""

    id: UUID
    number: int
    signed_by: str
    signed_at: datetime
    sha256: str
    current: bool

    @classmethod
    def of(cls, report: ReportHead, revision: int) -> ReportOut:
        """From the record; ``current`` while nothing has changed since."""
        return cls(
            id=report.id,
            number=report.number,
            signed_by=report.signed_by,
            signed_at=report.signed_at,
            sha256=report.sha256,
            current=report.revision == revision,
        )


class PhotoOut(BaseModel):
    """A kept photograph without its picture."""

    id: UUID
    width: int
    height: int
    size: int
    added_by: str
    added_at: datetime

    @classmethod
    def of(cls, photo: PhotoHead) -> PhotoOut:
        """From the record."""
        return cls(**{name: getattr(photo, name) for name in cls.model_fields})


class ShelfFacts(RequestModel):
    """What is kept of a piece or workstation: typed texts by path."""

    piece: Annotated[str, StringConstraints(max_length=40)]
    name: Name
    place: Line = ""
    values: Annotated[
        dict[
            Annotated[str, StringConstraints(max_length=200)],
            Annotated[str, StringConstraints(max_length=200)],
        ],
        Field(max_length=400),
    ]
    unit: LengthUnit = "cm"


class ShelfIn(New, ShelfFacts):
    """A piece or workstation to be kept."""


class ShelfChange(ShelfFacts):
    """A shelf item changed upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class ShelfOut(BaseModel):
    """A kept piece or workstation; ``users`` are the clients whose visits name it."""

    id: UUID
    piece: str
    name: str
    place: str
    values: dict[str, str]
    version: int
    users: list[str]

    @classmethod
    def of(cls, item: ShelfItem) -> ShelfOut:
        """From the record."""
        return cls(
            **{name: getattr(item, name) for name in cls.model_fields if name != "users"},
            users=list(item.users),
        )


class LuxOut(BaseModel):
    """One reading of the light meter."""

    lux: float
    warning: str | None


class SignatureIn(RequestModel):
    """What is signed: the visit as it stood at this revision."""

    revision: Annotated[int, Field(ge=0, le=2_000_000_000)]


class VisitOut(BaseModel):
    """A visit with its entries."""

    id: UUID
    client: ClientOut
    started_on: date
    revision: int
    entries: dict[str, Entry]
    reports: list[ReportOut]
    photos: list[PhotoOut]


class ChangeIn(RequestModel):
    """One change: what was typed into which field, upon which version of it."""

    path: Annotated[str, StringConstraints(max_length=200)]
    typed: Annotated[str, StringConstraints(max_length=8000)]
    expected_version: Annotated[int, Field(ge=0, le=2_000_000_000)]
    unit: LengthUnit = "cm"


class RestOut(BaseModel):
    """A rule that holds, or can't be told yet with the reason: in one sentence."""

    id: str
    subject: str
    state: Literal["holds", "not assessable"]
    text: str


class VisitWorkup(BaseModel):
    """A visit worked out, with its drawing."""

    revision: int
    rows: list[RowView]
    plan: str
    plans: list[PlanView]
    fixes: list[PurchaseView]
    moves: list[MoveView]
    zones: list[ZoneView]
    laptop: list[LaptopView]
    gazes: list[GazeView]
    bundle: dict[str, str]
    order: list[str]
    steps: list[StepProgress]
    findings: list[Finding]
    rest: list[RestOut]
    hard: list[str]
    worse: str | None
    causes: list[CauseView]
    unexplained: list[str]
    actions: list[ActionView]
    strain: list[Strain]
    photos: list[PhotoView]
    signs: list[RaisedRedFlag]
    cares: list[PrecautionView]
    display: str | None
    measured: list[Measured]
    doubtful: list[str]
    again: list[RemeasureView]
    table_origin: str
    rhythms: list[RhythmView]
    proposed_rhythm: str
    joints: list[JointView]
    notes: list[str]
    standing_possible: bool
    why_not_standing: str | None
    hours: float
    hours_doubt: str | None
    over_found: float | None
    over_set: float | None
    scene: Scene

    @classmethod
    def of(cls, workup: Workup, scene: Scene, revision: int) -> VisitWorkup:
        """From the workup."""
        result = workup.result
        return cls(
            revision=revision,
            rows=workup.rows,
            plan=workup.plan,
            plans=workup.plans,
            fixes=workup.fixes,
            moves=workup.moves,
            zones=workup.zones,
            laptop=workup.laptop,
            gazes=workup.gazes,
            bundle=dict(workup.through.bundle),
            order=[f"{row.posture}.{row.key}" for row in workup.order],
            steps=workup.steps,
            findings=[found for found in workup.findings if found.state == "off"],
            rest=[
                RestOut(
                    id=found.id,
                    subject=found.subject,
                    state=found.state,
                    text=found.reason or found.cause,
                )
                for found in workup.findings
                if found.state != "off"
            ],
            hard=workup.hard,
            worse=workup.worse,
            causes=workup.causes,
            unexplained=workup.unexplained,
            actions=workup.actions,
            strain=workup.strain,
            photos=workup.photos,
            signs=workup.signs,
            cares=workup.cares,
            display=workup.display,
            measured=workup.measured,
            doubtful=workup.doubtful,
            again=workup.again,
            table_origin=workup.table[1],
            rhythms=workup.rhythms,
            proposed_rhythm=workup.proposed_rhythm,
            joints=workup.joints,
            notes=workup.notes,
            standing_possible=result.standing.possible,
            why_not_standing=workup.why_not_standing,
            hours=workup.hours,
            hours_doubt=workup.hours_doubt,
            over_found=result.seated.over_found,
            over_set=result.seated.over_set,
            scene=scene,
        )


class ChangeOut(BaseModel):
    """The entry as it is now; the visit worked out anew where that was asked for."""

    entry: Entry
    revision: int
    worked: VisitWorkup | None = None


class Draft(BaseModel):
    """What a report says at a revision, what a signature waits for, and what it would sign."""

    content: ClientPaper
    missing: list[dict[str, str]]
    summary: list[str]
    revision: int
