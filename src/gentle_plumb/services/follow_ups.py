"""Follow-ups: a visit that begins with what is known, and what has changed since the one before."""

from __future__ import annotations

from dataclasses import dataclass
from uuid import UUID, uuid5

from ..core.actions import DONE_DEG, DONE_MM
from ..core.body import DIMENSIONS
from ..core.catalogue import Posture
from ..core.choices import YesNo
from ..core.intake import REGIONS
from ..core.language import filled, joined, msg
from ..core.record import Record, Value, field_of, fields, typed_of
from ..core.units import LengthUnit
from ..core.visit import body_from, got_worse, spoken_date
from ..core.words import say, say_amount
from .errors import NotFound
from .models import Change, ImportBatch, Member, Practice, Visit, VisitSnapshot
from .paper_models import PaperSince
from .papers import legacy_paper
from .papers.card import temporary_pieces
from .ports import Clock, Records
from .visits import VisitService
from .workup import VisitResults, work_up

COPIED = ("ask.", "look.", "place.", "work.policy.", "work.plan", "work.budget", "pace.")
"""What is taken over begins so: hours and hands, pieces, places, choices, the plan and the day."""
ANEW = (
    "ask.consent.",
    "ask.sign.",
    "ask.warning",
    "ask.care.",
    "ask.discomfort.",
    "look.found",
    "look.habit",
    "look.photo.",
    "look.room.",
    "look.temporary.",
)
"""What is asked and looked at anew, whatever was said before."""


@dataclass(frozen=True, kw_only=True)
class LeftLine:
    """One setting as it was left: the field it is found in now, in words and as it is typed.

    ``now`` is as found now, ``drift`` how far it has gone since, where that is more than a tape is off and it was
    ``measured`` then; ``apart`` whether the two numbers differ by more than that.
    """

    path: str
    label: str
    posture: Posture
    left: str
    typed: str
    now: str
    drift: str
    measured: bool
    apart: bool


@dataclass(frozen=True, kw_only=True)
class TemporaryLine:
    """A piece that was to be there for a time: until when, and what has become of it, in words once it is asked.

    ``path`` is the field in which that is answered.
    """

    path: str
    label: str
    until: str
    now: str


@dataclass(frozen=True, kw_only=True)
class TaskLine:
    """One thing that was asked of the workplace: what it answered, in words; empty where it has not yet."""

    title: str
    answer: str


@dataclass(frozen=True, kw_only=True)
class Since:
    """What has become of a client since the visit before.

    ``worse`` is what hurts more than then; ``discomfort`` is discomfort then and now by region; ``resolved``, ``unchanged`` and ``new`` are causes by title, as it
    is now where they are there still (the keys may be under the hands that were above them); ``not_assessed`` those that nobody has looked at again; ``temporary`` what was to be there for a time only;
    ``conditions`` and ``consents`` are what was said of them then, ``tasks`` what was asked of the workplace.
    """

    on: str
    on_words: str
    left: list[LeftLine]
    worse: list[str]
    discomfort: list[str]
    resolved: list[str]
    unchanged: list[str]
    new: list[str]
    not_assessed: list[str]
    temporary: list[TemporaryLine]
    conditions: list[str]
    consents: list[str]
    tasks: list[TaskLine]


class FollowUpService:
    """What is done with a client who comes again."""

    def __init__(self, records: Records, visits: VisitService, clock: Clock) -> None:
        self._records, self._visits, self._clock = records, visits, clock

    def begin(
        self, member: Member, practice: Practice, before: UUID, *, client_id: UUID, id: UUID | None
    ) -> Visit:
        """Start a visit with what is known from another one; sent twice it is one.

        Pieces, hours, choices and the day are taken over; the body is carried over with its age. Consents,
        conditions, red flags, discomfort, habits, and everything as found are asked and looked at anew.
        Raises NotAllowed, NotFound.
        """
        old = self._records.load_snapshot(member.practice_id, before)
        if old.client.id != client_id:
            raise NotFound(msg("This visit is another client’s."))
        visit = self._visits.start(member, practice, old.client.id, id=id)
        if visit.revision:
            return visit
        taken = {**_taken_over(old), **_carried(old)}
        changes = tuple(
            Change(
                id=uuid5(visit.id, path),
                visit_id=visit.id,
                path=path,
                typed=typed,
                value=value,
                expected_version=0,
                member_id=member.id,
            )
            for path, (typed, value) in taken.items()
        )
        self._records.import_batch(
            member.practice_id, ImportBatch(clients=(), visits=(), changes=changes), self._clock()
        )
        return self._records.load_snapshot(member.practice_id, visit.id).visit

    def since(self, member: Member, visit_id: UUID, unit: LengthUnit) -> Since | None:
        """What has become of the client since their visit before; None for a first one.

        Raises NotAllowed, NotFound.
        """
        now = self._records.load_snapshot(member.practice_id, visit_id)
        return since_before(self._records, member.practice_id, now, work_up(now, unit), unit)


def before_of(records: Records, practice_id: UUID, now: VisitSnapshot) -> VisitSnapshot | None:
    """Return the last visit of the same client before this one in which anything was set or signed."""
    last = records.visit_before(practice_id, now.visit.id)
    return records.load_snapshot(practice_id, last) if last is not None else None


def since_before(
    records: Records, practice_id: UUID, now: VisitSnapshot, results: VisitResults, unit: LengthUnit
) -> Since | None:
    """Return what has become of a client since the visit before this one; None for a first visit."""
    before = before_of(records, practice_id, now)
    if before is None:
        return None
    then = work_up(before, unit, body=False)
    was = {cause.id: cause for cause in then.causes}
    has = {cause.id: cause.title for cause in results.causes}
    texts = {
        finding.id for finding in results.analysis.findings if finding.state != "not assessable"
    }
    gone = {id for id in was.keys() - has.keys() if texts.issuperset(was[id].findings)}
    day = before.visit.started_on.isoformat()
    return Since(
        on=day,
        on_words=spoken_date(day),
        left=_left(then, now.record, unit),
        worse=[
            say("since.worse", region=worse.label, was=f"{worse.was:g}", now=f"{worse.now:g}")
            for worse in got_worse(before.record, now.record)
        ],
        discomfort=_felt(before.record, now.record),
        resolved=sorted(was[id].title for id in gone),
        unchanged=sorted(has[id] for id in was.keys() & has.keys()),
        new=sorted(has[id] for id in has.keys() - was.keys()),
        not_assessed=sorted(was[id].title for id in was.keys() - has.keys() - gone),
        temporary=_temporary(then, now.record),
        conditions=[care.label for care in then.precautions],
        consents=_consents(before.record),
        tasks=_tasks(records, practice_id, before),
    )


def _consents(then: Record) -> list[str]:
    """Return what was said to each consent at the visit before."""
    consents = []
    for asked in fields.ask.consent.values():
        answer = then[asked]
        if answer is not None:
            consents.append(
                filled("{label}: {label2}", label=asked.label, label2=answer.label.lower())
            )
    return consents


def _tasks(records: Records, practice_id: UUID, before: VisitSnapshot) -> list[TaskLine]:
    """Return what the signed paper of the visit before asked of the workplace, with its answers."""
    report = records.last_report(practice_id, before.visit.id)
    if report is None:
        return []
    lines = []
    for request in legacy_paper(report.content).requests:
        asked = fields.report.request(request.id) if request.id else None
        done = before.record[asked.done] if asked is not None else None
        note = before.record.said(asked.note) if asked is not None else ""
        said = "" if done is None else say("since.done" if done == YesNo.YES else "since.not_done")
        lines.append(
            TaskLine(
                title=request.title, answer=joined(". ", (part for part in (said, note) if part))
            )
        )
    return lines


def _temporary(then: VisitResults, now: Record) -> list[TemporaryLine]:
    """Return the pieces that were there for a time at the visit before, each with what has become of it."""
    lines = []
    for added, until in temporary_pieces(then):
        field = fields.report.temporary_now(added.key.replace(".", "-"))
        answer = now[field]
        lines.append(
            TemporaryLine(
                path=field.id,
                label=added.label,
                until=until,
                now=answer.label.lower() if answer is not None else "",
            )
        )
    return lines


def paper_since(since: Since) -> PaperSince:
    """Return what has become of a client as the papers say it; what has not drifted is no news."""
    return PaperSince(
        on=since.on_words,
        drift=[
            say(
                "since.line" if line.measured else "since.aimed",
                label=line.label,
                posture="sitting" if line.posture == "seated" else "standing",
                left=line.left,
                now=line.now,
                drift=line.drift,
            )
            for line in since.left
            if line.apart
        ],
        worse=since.worse,
        discomfort=since.discomfort,
        resolved=since.resolved,
        unchanged=since.unchanged,
        new=since.new,
        not_assessed=since.not_assessed,
        temporary=[
            filled("{label}: {now}", label=line.label, now=line.now or line.until)
            for line in since.temporary
        ],
    )


def _taken_over(old: VisitSnapshot) -> dict[str, tuple[str, Value]]:
    """Return what is copied, by path: typed and value. What needs consent is asked anew."""
    result: dict[str, tuple[str, Value]] = {}
    for path, value in old.values.items():
        field = field_of(path)
        inner = path.split(".", 2)[2] if path.startswith("place.") and path.count(".") > 1 else path
        if value is None or value == "" or field.health or not path.startswith(COPIED):
            continue
        if path.startswith(ANEW) or inner.startswith(ANEW):
            continue
        result[path] = (typed_of(field, value), value)
    return result


def _carried(old: VisitSnapshot) -> dict[str, tuple[str, Value]]:
    """Return the body, each dimension as one carried-over value with the day on which it was taken."""
    body = body_from(old.record, old.client.sex)
    result: dict[str, tuple[str, Value]] = {}
    for name, held in body.values.items():
        asked = fields.measure.dimension[name]
        if name not in DIMENSIONS or held.source == "estimated":
            continue
        day = old.record[asked.taken_on] or old.visit.started_on.isoformat()
        result[asked.first.id] = (typed_of(asked.first, held.mm), held.mm)
        result[asked.origin.id] = ("carried_over", "carried_over")
        result[asked.taken_on.id] = (day, day)
    return result


def _left(then: VisitResults, now: Record, unit: LengthUnit) -> list[LeftLine]:
    """Return every setting as it was left, with the field it is found in now."""
    lines = []
    for posture in fields.work.POSTURES:
        places = fields.found.by_quantity if posture == "seated" else fields.found.standing
        for key, field in places.items():
            state = then.analysis.states.get((posture, key))
            value = state.left if state is not None else None
            if state is None or value is None:
                continue
            quantity = state.quantity
            found = now[field]
            near = DONE_MM if quantity.unit == "mm" else DONE_DEG
            gone = found - value if found is not None else 0.0
            lines.append(
                LeftLine(
                    path=field.id,
                    label=quantity.label,
                    posture=posture,
                    left=say_amount(quantity, value, unit),
                    typed=typed_of(field, value),
                    now=say_amount(quantity, found, unit) if found is not None else "",
                    drift=say(
                        "since.drift",
                        by=say_amount(quantity, abs(gone), unit),
                        way=quantity.up if gone > 0 else quantity.down,
                    )
                    if abs(gone) > near and state.measured
                    else "",
                    measured=state.measured,
                    apart=abs(gone) > near,
                )
            )
    return lines


def _felt(then: Record, now: Record) -> list[str]:
    """Return discomfort then and now by region, where it was told at either visit."""
    lines = []
    for id, asked in fields.ask.discomfort.items():
        was, has = then[asked.strength], now[asked.strength]
        if was or has:
            lines.append(
                say("since.felt", region=REGIONS[id].label, was=_strength(was), now=_strength(has))
            )
    return lines


def _strength(strength: float | None) -> str:
    return (
        say("since.strength", strength=f"{strength:g}")
        if strength is not None
        else say("since.unasked")
    )
