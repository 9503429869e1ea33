"""Loads the demo practice through the services that people use; what is typed in numbers, as an import writes it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID, uuid4, uuid5

from gentle_plumb.core.body import DIMENSIONS, NEEDED
from gentle_plumb.core.fit import working_order
from gentle_plumb.core.photo import Photo
from gentle_plumb.core.record import FIELDS, Record, as_kept, field_of, read_typed
from gentle_plumb.core.units import format_length
from gentle_plumb.core.visit import PhotoFile, photos_from
from gentle_plumb.documents import PaperFiles, PillowImageProcessor, TypstPdfRenderer
from gentle_plumb.services.account_ports import Accounts
from gentle_plumb.services.accounts import AccountService
from gentle_plumb.services.agenda import AgendaStore
from gentle_plumb.services.measuring import MeasuringService
from gentle_plumb.services.models import (
    Change,
    ImportBatch,
    Member,
    NewClient,
    NewList,
    NewPhrase,
    NewShelfItem,
    NewTable,
    Practice,
    ShelfItem,
)
from gentle_plumb.services.own_page import OwnPages
from gentle_plumb.services.photos import PhotoService
from gentle_plumb.services.phrases import PhraseService, PhraseStore
from gentle_plumb.services.ports import Clock, MeasuringStore, Records, Shelf
from gentle_plumb.services.reports import ReportService
from gentle_plumb.services.shelves import ShelfService
from gentle_plumb.services.visits import VisitService

from .appointments import ROOMS, load_appointments
from .clients import DEMO_CLIENTS
from .own_pages import EMAILS, load_own_pages
from .people import (
    CONTACT,
    DEMO_MEMBERS,
    KEPT_PHOTOGRAPHS_MONTHS,
    KEPT_UNSIGNED_YEARS,
    KEPT_YEARS,
    LETTERHEAD,
    NO_FLAGS,
    PRACTICE,
    TIME_ZONE,
    WORDING,
    DemoClient,
    DemoPhoto,
    Until,
)
from .photographs import (
    HEIGHT,
    STAFF_MM,
    WIDTH,
    Photograph,
    Rear,
    field_of_view,
    photograph_rear,
    photograph_side,
)
from .practice import DEMO_LISTS, DEMO_PHRASES, DEMO_SHELF, DEMO_TABLE

SPACE = UUID("6f1d3a5e-0b1c-4c7e-9a54-2f6b1f7d9c10")
LUMBAR_MEAN_MM = 190.0
_STEPS: dict[Until, tuple[str, ...]] = {
    "new": (),
    "ask": ("ask",),
    "look": ("ask", "look"),
    "measure": ("ask", "look", "measure"),
    "set": ("ask", "look", "measure"),
    "pace": ("ask", "look", "measure", "pace"),
    "signed": ("ask", "look", "measure", "pace", "report"),
    "changed": ("ask", "look", "measure", "pace", "report"),
}


def body_of(client: DemoClient) -> dict[str, float]:
    """A made-up body, mm: each value lies where stature puts it, plus the client's own offset."""
    body: dict[str, float] = {}
    whole = DIMENSIONS["stature"].stats[client.sex]
    for name, entry in DIMENSIONS.items():
        mean, sd = LUMBAR_MEAN_MM, 12.0
        if entry.stats:
            mean, sd = entry.stats[client.sex].mean_mm, entry.stats[client.sex].sd_mm
        share = entry.r_stature * sd / whole.sd_mm
        body[name] = mean + share * (client.stature - whole.mean_mm) + client.off.get(name, 0.0)
    return body


def body_readings(client: DemoClient) -> dict[str, str]:
    """Two typed readings for each needed dimension of a made-up body.

    The second differs by a few millimetres, in a pattern that is the same each time.
    """
    typed: dict[str, str] = {}
    body = body_of(client)
    for index, name in enumerate(NEEDED):
        wobble = (index * 7 % 5) - 2
        typed[f"measure.{name}.first"] = format_length(body[name] + wobble, "cm")
        typed[f"measure.{name}.second"] = format_length(body[name] - wobble, "cm")
    return typed


def full_visit(name: str) -> tuple[dict[str, float | str | None], list[Photo]]:
    """What a client's visit holds once it is whole, without keeping it: values and photographs."""
    client = next(demo_client for demo_client in DEMO_CLIENTS if demo_client.name == name)
    typed, files = {**client.entries, **body_readings(client)}, []
    for index, shot in enumerate(client.photos):
        id, rear = f"shot{index}", isinstance(shot.shows, Rear)
        files.append(PhotoFile(id=id, width=WIDTH, height=HEIGHT, fov_deg=field_of_view()))
        said = {"view": "rear" if rear else "side", "when": shot.when, "known": "100 cm"}
        points = _drawn(shot).typed()
        typed |= {f"look.photo.{id}.{what}": text for what, text in {**said, **points}.items()}
    values = {path: read_typed(field_of(path), text) for path, text in typed.items()}
    return values, photos_from(Record(values), files)


def _drawn(shot: DemoPhoto) -> Photograph:
    if isinstance(shot.shows, Rear):
        return photograph_rear(shot.shows, shot.camera)
    return photograph_side(shot.shows, shot.camera, standing=shot.standing)


class _Typist:
    """Types into one visit, as a practitioner would."""

    def __init__(
        self, visits: VisitService, records: Records, member: Member, visit_id: UUID, at: datetime
    ) -> None:
        self._visits, self._records, self._member = visits, records, member
        self.visit_id, self._at = visit_id, at

    def type_all(self, texts: Mapping[str, str]) -> None:
        """Type into fields that are empty yet: consents and days one by one, the others in one go."""
        alone = {
            path: typed
            for path, typed in texts.items()
            if path.startswith("ask.consent.") or field_of(path).kind == "date"
        }
        for path, typed in alone.items():
            self.type(path, typed)
        changes = tuple(
            Change(
                id=uuid5(SPACE, f"{self.visit_id} {path} 0"),
                visit_id=self.visit_id,
                path=path,
                typed=as_kept(field_of(path).kind, typed, "cm"),
                value=read_typed(field_of(path), typed, unit="cm"),
                expected_version=0,
                member_id=self._member.id,
            )
            for path, typed in texts.items()
            if path not in alone
        )
        self._records.import_batch(
            self._member.practice_id, ImportBatch(clients=(), visits=(), changes=changes), self._at
        )

    def type(self, path: str, typed: str, version: int = 0) -> None:
        self._visits.change(
            self._member,
            self.visit_id,
            change_id=uuid5(SPACE, f"{self.visit_id} {path} {version}"),
            path=path,
            typed=typed,
            expected_version=version,
            unit="cm",
        )


def _set_to_work(typist: _Typist, visits: VisitService, member: Member, *, half: bool) -> None:
    """What the hands left: each setting to the nearest half centimetre, the first half only if asked."""
    results = visits.results(member, typist.visit_id, "cm")[1]
    order = working_order(results.case, results.result)
    texts: dict[str, str] = {}
    for row in order[: len(order) // 2] if half else order:
        if row.setting is None:
            continue
        near = row.setting if row.unit == "deg" else round(row.setting / 5) / 2
        typed = f"{round(near)}" if row.unit == "deg" else f"{near:g}"
        path = f"set.{row.posture}.{row.key}"
        if path in FIELDS:
            texts[path] = typed
    typist.type_all(texts)


def _photograph(
    typist: _Typist, photos: PhotoService, member: Member, index: int, shot: DemoPhoto
) -> None:
    """Draw one, keep it, and place its points."""
    rear = isinstance(shot.shows, Rear)
    photograph = _drawn(shot)
    kept = photos.add(
        member, typist.visit_id, uuid5(SPACE, f"{typist.visit_id} {index}"), photograph.jpeg
    )
    start = f"look.photo.{kept.id}"
    said = {
        "view": "rear" if rear else "side",
        "posture": "standing" if shot.standing else "seated",
        "when": shot.when,
        "known": format_length(STAFF_MM, "cm"),
        **photograph.typed(),
    }
    typist.type_all({f"{start}.{name}": typed for name, typed in said.items()})


def _measured_before(
    client: DemoClient,
    member: Member,
    practice: Practice,
    client_id: UUID,
    records: Records,
    day: datetime,
    off: Mapping[str, float],
) -> None:
    """An earlier visit at which the body was measured, signed and done with."""
    visits = VisitService(records, lambda: day)
    typist = _Typist(visits, records, member, visits.start(member, practice, client_id).id, day)
    then = replace(
        client,
        off={name: client.off.get(name, 0.0) + off.get(name, 0.0) for name in {*client.off, *off}},
    )
    said = {
        "measure.posture": "as_they_work",
        **NO_FLAGS,
        "report.follow_up": (practice.day(day) + timedelta(days=28)).isoformat(),
    }
    typist.type_all({**body_readings(then), **said})
    reports = ReportService(records, visits, TypstPdfRenderer(), lambda: day, PaperFiles())
    reports.sign(member, practice, typist.visit_id, "cm")


def _calls(typed: Mapping[str, str], day: str) -> dict[str, str]:
    """Return the day of the call back for each red flag that was referred."""
    referred = [path for path in typed if path.startswith("ask.sign.") and path.endswith(".to")]
    return {path.removesuffix("to") + "call_back": day for path in referred}


def _visit(
    client: DemoClient,
    member: Member,
    practice: Practice,
    records: Records,
    now: datetime,
    shelf: dict[str, ShelfItem],
) -> UUID:
    then: Clock = lambda: now - timedelta(days=client.days_ago)  # noqa: E731
    visits = VisitService(records, then)
    made = visits.add_client(
        member,
        NewClient(
            name=client.name, sex=client.sex, work=client.work, email=EMAILS.get(client.name, "")
        ),
    )
    for days, off in client.before:
        _measured_before(
            client, member, practice, made.id, records, now - timedelta(days=days), off
        )
    typist = _Typist(visits, records, member, visits.start(member, practice, made.id).id, then())
    typed = dict(client.entries)
    if client.workstation:
        shared = shelf[client.workstation]
        typist.type_all({**shared.values, "look.workstation": str(shared.id)})
    steps = _STEPS[client.until]
    typed |= _calls(typed, practice.day(now).isoformat())
    if "measure" in steps:
        typed |= {"measure.posture": "as_they_work"} | body_readings(client) | dict(client.measured)
    if "report" in steps:
        typed["report.follow_up"] = (practice.day(then()) + timedelta(days=28)).isoformat()
    reached = ("work", *steps, *(("place",) if "look" in steps else ()))
    typist.type_all(
        {path: text for path, text in typed.items() if path.partition(".")[0] in reached and text}
    )
    photos = PhotoService(records, PillowImageProcessor(), then)
    for index, shot in enumerate(client.photos if "look" in steps else ()):
        _photograph(typist, photos, member, index, shot)
    if client.until in ("set", "pace", "signed", "changed"):
        _set_to_work(typist, visits, member, half=client.until == "set")
    if client.until in ("signed", "changed"):
        reports = ReportService(records, visits, TypstPdfRenderer(), then, PaperFiles())
        reports.sign(member, practice, typist.visit_id, "cm")
    if client.until == "changed":
        typist.type("look.found.mouse", "44", version=1)
    return typist.visit_id


DEMO_SUMS: dict[str, Any] = {
    "price_small": 60.0,
    "price_medium": 450.0,
    "price_large": 1100.0,
    "currency": "EUR",
}
"""What things cost in the demo practice, by price class."""


def load_demo(
    accounts: Accounts,
    records: Records,
    shelf: Shelf,
    store: MeasuringStore,
    clock: Clock,
    pages: OwnPages | None = None,
    agenda: AgendaStore | None = None,
    phrases: PhraseStore | None = None,
) -> None:
    """Make the demo practice, its members, shelf, lists, clients, visits, and what clients gave themselves."""
    practice = Practice(
        id=uuid4(),
        name=PRACTICE,
        unit="cm",
        local_wording=WORDING,
        letterhead=LETTERHEAD,
        contact=CONTACT,
        time_zone=TIME_ZONE,
        rooms=ROOMS,
        **DEMO_SUMS,
        keep_signed_years=KEPT_YEARS,
        keep_unsigned_years=KEPT_UNSIGNED_YEARS,
        keep_photographs_months=KEPT_PHOTOGRAPHS_MONTHS,
    )
    accounts.add_practice(practice)
    service = AccountService(accounts, clock)
    members = [
        service.create_member(
            practice.id,
            email=person.email,
            name=person.name,
            title=person.title,
            role=person.role,
            password=person.password,
        )
        for person in DEMO_MEMBERS
    ]
    members = [
        service.set_registration(member, title=person.title, registration=person.registration)
        for member, person in zip(members, DEMO_MEMBERS, strict=True)
    ]
    keeping = ShelfService(shelf)
    kept = {
        name: keeping.add(
            members[0], NewShelfItem(piece=piece, name=name, place=place, values=values)
        )
        for piece, name, place, values in DEMO_SHELF
    }
    measuring = MeasuringService(store, accounts, clock)
    for name, dimensions in DEMO_LISTS:
        measuring.add_list(members[0], NewList(name=name, dimensions=tuple(dimensions)))
    name, origin, lines = DEMO_TABLE
    measuring.add_table(members[0], NewTable(name=name, origin=origin, text=lines))
    visits = {
        client.name: _visit(client, members[client.by], practice, records, clock(), kept)
        for client in DEMO_CLIENTS
    }
    if pages is not None:
        load_own_pages(pages, records, accounts, members[0], practice, visits, clock)
    if agenda is not None:
        today = practice.day(clock())
        load_appointments(agenda, practice, members, records.clients(practice.id), today)
    if phrases is not None:
        for code, text in DEMO_PHRASES:
            PhraseService(phrases).add(members[0], NewPhrase(id=uuid4(), code=code, text=text))
