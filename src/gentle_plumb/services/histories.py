"""One client over time: what happened, on one line, and how the body was measured visit by visit."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime, time
from uuid import UUID
from zoneinfo import ZoneInfo

from ..core.body import DIMENSIONS, ValueSource
from ..core.intake import CONSENTS
from ..core.own_page import LEVELS
from ..core.record import fields
from ..core.units import LengthUnit
from ..core.visit import body_from
from ..core.words import say_length
from .consent import WORKPLACE
from .measured import measuring_of
from .models import CheckRound, ClientLink, Member, OutgoingMail, Practice, Visit
from .own_page import HistoryEvent, OwnPages
from .ports import Clock, Records

ROUND_WORDS = {
    "before": "before the visit",
    "week_1": "after 1 week",
    "week_3": "after 3 weeks",
    "week_6": "after 6 weeks",
}

HOW: dict[ValueSource, str] = {
    "measured": "",
    "carried_over": " (carried over)",
    "self_measured": " (by the client)",
    "estimated": "",
}

ENDED = ("sent", "failed", "dropped")
"""States of a mail that has come to its end."""


@dataclass(frozen=True, kw_only=True)
class BodyLine:
    """One dimension: its value at each visit, with its unit and how it is known; empty where it was not taken."""

    label: str
    values: list[str]


@dataclass(frozen=True, kw_only=True)
class History:
    """A client over time. ``events`` the latest first; ``visits`` are the days of the columns of ``body``."""

    events: list[HistoryEvent]
    visits: list[date]
    body: list[BodyLine]


class HistoryService:
    """Puts together what is kept of a client."""

    def __init__(self, records: Records, pages: OwnPages, clock: Clock) -> None:
        self._records, self._pages, self._clock = records, pages, clock

    def of(self, member: Member, practice: Practice, client_id: UUID, unit: LengthUnit) -> History:
        """A client's history; raises NotAllowed, NotFound."""
        mine = member.practice_id
        self._records.client(mine, client_id)
        lines = self._records.visits(mine, client_id=client_id)
        lines.sort(key=lambda one: (one.visit.started_on, str(one.visit.id)))
        events: list[HistoryEvent] = []
        for line in lines:
            events += self._of_visit(practice, line.visit, line.practitioner)
        links = self._pages.links(mine, client_id)
        for link in links:
            events += _of_link(link)
        events += [
            _of_round(one, links)
            for one in self._pages.rounds([a.id for a in links])
            if one.sent_at
        ]
        events += [
            _of_mail(one) for one in self._pages.mails(mine, client_id) if one.state in ENDED
        ]
        days, body = self._body(mine, [line.visit for line in lines], unit)
        return History(
            events=sorted(events, key=lambda one: one.at, reverse=True), visits=days, body=body
        )

    def _of_visit(self, practice: Practice, visit: Visit, by: str) -> list[HistoryEvent]:
        _, _, entries, reports, photos = self._records.open(practice.id, visit.id)
        begun = datetime.combine(visit.started_on, time(), ZoneInfo(practice.time_zone))
        found = [HistoryEvent(at=begun, kind="visit", says=f"Visit with {by}", visit_id=visit.id)]
        words = {field.id: CONSENTS[name].label for name, field in fields.ask.consent.items()}
        agrees = any(one.path == WORKPLACE and one.value == "yes" for one in entries)
        for one in self._records.consents_said(practice.id, visit.id):
            if one.path in words and one.value is not None:
                who = " by the client" if one.self_reported else ""
                said = {"yes": "given", "no": "not given"}.get(str(one.value), "withdrawn")
                found.append(
                    HistoryEvent(
                        at=one.changed_at,
                        kind="consent",
                        says=f"Consent {said}{who}: {words[one.path].lower()}",
                        visit_id=visit.id,
                    )
                )
        found += [
            HistoryEvent(
                at=one.signed_at,
                kind="signed",
                says=f"Version {one.number} signed by {one.signed_by}",
                visit_id=visit.id,
                report_id=one.id,
                copies=sorted(copy for copy in one.copies if copy != "workplace" or agrees),
            )
            for one in reports
        ]
        if photos:
            many = "1 photograph" if len(photos) == 1 else f"{len(photos)} photographs"
            found.append(
                HistoryEvent(
                    at=max(one.added_at for one in photos),
                    kind="photographs",
                    says=f"{many}, by {', '.join(dict.fromkeys(one.added_by for one in photos))}",
                    visit_id=visit.id,
                    photos=[one.id for one in photos],
                )
            )
        return found

    def _body(
        self, practice_id: UUID, visits: list[Visit], unit: LengthUnit
    ) -> tuple[list[date], list[BodyLine]]:
        columns = []
        for visit in visits:
            working = self._records.working(practice_id, visit.id)
            body = body_from(working.record, working.client.sex, measuring_of(working))
            values = {
                name: f"{say_length(value.mm, unit)}{_how(value.source)}"
                for name, value in body.values.items()
                if value.source != "estimated"
            }
            if values:
                columns.append((visit.started_on, values))
        return [day for day, _ in columns], [
            BodyLine(label=entry.label, values=[values.get(name, "") for _, values in columns])
            for name, entry in DIMENSIONS.items()
            if any(name in values for _, values in columns)
        ]


def _how(source: ValueSource) -> str:
    return HOW[source]


def _of_link(link: ClientLink) -> list[HistoryEvent]:
    what = "before the visit" if link.kind == "before" else "after the visit"
    found = [HistoryEvent(at=link.made_at, kind="link", says=f"Own page {what}: link made")]
    if link.opened_at is not None:
        found.append(
            HistoryEvent(at=link.opened_at, kind="opened", says=f"Own page {what}: first opened")
        )
    if link.revoked_at is not None:
        found.append(
            HistoryEvent(at=link.revoked_at, kind="revoked", says=f"Own page {what}: link closed")
        )
    return found


def _of_round(one: CheckRound, links: list[ClientLink]) -> HistoryEvent:
    decided = f"; decided: {LEVELS[one.decided].lower()}" if one.decided else ""
    visit = next(link.visit_id for link in links if link.id == one.link_id)
    assert one.sent_at is not None
    return HistoryEvent(
        at=one.sent_at,
        kind="answers",
        says=f"Answers sent, {ROUND_WORDS[one.round]}{decided}",
        check_id=one.id,
        visit_id=visit,
    )


def _of_mail(one: OutgoingMail) -> HistoryEvent:
    what = "Questions asked for" if one.kind == "check" else "Link sent"
    ended = {
        "sent": f"{what} by mail to {one.recipient}",
        "failed": f"Mail to {one.recipient} failed: {one.trouble}",
        "dropped": f"Mail to {one.recipient} not sent: no longer wanted",
    }
    return HistoryEvent(at=one.sent_at or one.due_at, kind="mail", says=ended[one.state])
