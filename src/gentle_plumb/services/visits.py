"""Clients and visits: starting them, changing them, seeing them worked out."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any
from uuid import UUID, uuid4

from ..core.body.dimensions import Sex
from ..core.drawing import Scene, SceneRequest
from ..core.errors import ValueOutOfRange
from ..core.plans import best_stack
from ..core.record import field_of, read_typed
from ..core.shown import StackView, stack_view
from ..core.trial import Bench, Given, TrialRequest, Tried, case_of, given_to_plain
from ..core.units import LengthUnit, format_length, parse_length
from .accounts import require_writer
from .consent import consent_for, erased_by
from .measured import measuring_of
from .models import Change, Client, Entry, Member, PhotoHead, ReportHead, Visit, VisitLine, Working
from .ports import Clock, Records
from .workup import Workup, given_of, work_up

MOST_LIFT_MM = 1000.0
"""More is no stack. House value."""


@dataclass(frozen=True, kw_only=True)
class OpenVisit:
    """A visit with all it holds."""

    visit: Visit
    client: Client
    entries: list[Entry]
    reports: list[ReportHead]
    photos: list[PhotoHead]


class VisitService:
    """What is done with clients and visits."""

    def __init__(
        self,
        records: Records,
        clock: Clock,
        errors_of: Callable[[Member], dict[str, float]] | None = None,
        chosen_by: Callable[[Member], dict[str, str]] | None = None,
    ) -> None:
        self._records, self._clock = records, clock
        self._errors_of = errors_of or (lambda _: {})
        self._chosen_by = chosen_by or (lambda _: {})

    def clients(self, member: Member) -> list[Client]:
        """All clients of the practice, by name."""
        return self._records.clients(member.practice_id)

    def add_client(self, member: Member, *, name: str, sex: Sex | None, work: str) -> Client:
        """A new client; raises NotAllowed."""
        require_writer(member)
        client = Client(
            id=uuid4(), practice_id=member.practice_id, name=name, sex=sex, work=work
        )  # fmt: skip
        self._records.add_client(client)
        return client

    def visits(self, member: Member) -> list[VisitLine]:
        """All visits of the practice, the latest first."""
        return self._records.visits(member.practice_id)

    def start(self, member: Member, client_id: UUID) -> Visit:
        """Start a visit with a client; raises NotAllowed, NotFound.

        How well the member repeats a reading, and what the practice has chosen, are taken down.
        """
        require_writer(member)
        client = self._records.client(member.practice_id, client_id)
        visit = Visit(
            id=uuid4(), practice_id=member.practice_id, client_id=client.id, member_id=member.id,
            started_on=self._clock().date(), errors=self._errors_of(member),
            policies=self._chosen_by(member),
        )  # fmt: skip
        self._records.add_visit(visit)
        return visit

    def open(self, member: Member, visit_id: UUID) -> OpenVisit:
        """A visit and everything in it; raises NotFound."""
        visit, client, entries, reports, photos = self._records.open(member.practice_id, visit_id)
        return OpenVisit(
            visit=visit, client=client, entries=entries, reports=reports, photos=photos
        )  # fmt: skip

    def change(
        self, member: Member, visit_id: UUID, *, change_id: UUID, path: str, typed: str,
        expected_version: int, unit: LengthUnit,
    ) -> tuple[Entry, int]:  # fmt: skip
        """Apply one change; the entry as it is now and the visit's revision.

        Raises
        ------
        NotAllowed, NotFound
            For readers; for a visit of another practice.
        FieldError
            If what was typed can't be read or is out of range; nothing is written then.
        StaleChange, ReusedChange, NeedsConsent
            As the port says.

        """
        require_writer(member)
        field = field_of(path)
        value = read_typed(field, typed, unit=unit)
        clean = typed.replace("\x00", "").strip()
        bare = field.kind == "length" and clean and clean[-1].isdigit()
        change = Change(
            id=change_id, visit_id=visit_id, path=path,
            typed=f"{clean} {unit}" if bare and "'" not in clean else clean,
            value=value, expected_version=expected_version, member_id=member.id,
            consent=consent_for(field) if value is not None else None,
            erase=erased_by(path, value),
        )  # fmt: skip
        return self._records.write(member.practice_id, change, self._clock())

    def worked(
        self, member: Member, visit_id: UUID, unit: LengthUnit, *, body: bool = True,
        plans: bool = False, history: str | None = None,
    ) -> tuple[Working, Workup]:  # fmt: skip
        """The visit and what it comes to, as :func:`work_up` says; raises NotFound."""
        working = self._records.working(member.practice_id, visit_id)
        return working, work_up(working, unit, body=body, plans=plans, history=history)

    def given(self, member: Member, visit_id: UUID) -> dict[str, Any]:
        """What a visit is worked through from, as plain values; raises NotFound."""
        return given_to_plain(self._given(member, visit_id))

    def try_out(self, member: Member, visit_id: UUID, request: TrialRequest) -> Tried:
        """What it would come to if something were otherwise; keeps nothing. Raises NotFound."""
        return Bench(self._given(member, visit_id)).try_out(request)

    def _given(self, member: Member, visit_id: UUID) -> Given:
        working = self._records.working(member.practice_id, visit_id)
        return given_of(working, measuring_of(working))

    def stack(self, member: Member, visit_id: UUID, *, wanted: str, use: str,
              unit: LengthUnit) -> StackView:  # fmt: skip
        """The best stack from what is at hand at this visit; raises NotFound, FieldError."""
        lift = parse_length(wanted, default=unit, field="wanted")
        if not 0 < lift <= MOST_LIFT_MM:
            ends = (
                f"{format_length(0, unit)} to {format_length(MOST_LIFT_MM, unit, with_unit=True)}"
            )
            raise ValueOutOfRange(
                field="wanted", value=wanted, low=0.0, high=MOST_LIFT_MM, unit="mm",
                message=f"Lift: {format_length(lift, unit, with_unit=True)} is outside {ends}.",
            )  # fmt: skip
        items = case_of(self._given(member, visit_id)).workstation.items
        return stack_view(best_stack(items, lift, use), unit)

    def scene(self, workup: Workup, request: SceneRequest) -> Scene:
        """The drawing of a visit."""
        return workup.through.scene(request)
