"""One client over time: what happened, on one line, and how the body was measured visit by visit."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime, time
from uuid import UUID
from zoneinfo import ZoneInfo

from ..core.body import DIMENSIONS, ValueSource
from ..core.intake import CONSENTS
from ..core.language import joined, msg, ngettext
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
    "before": msg("before the visit"),
    "week_1": "after 1 week",
    "week_3": "after 3 weeks",
    "week_6": "after 6 weeks",
}

HOW: dict[ValueSource, str] = {
    "measured": "",
    "carried_over": msg(" (carried over)"),
    "self_measured": msg(" (by the client)"),
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
        lines.sort(key=lambda line: (line.visit.started_on, str(line.visit.id)))
        events: list[HistoryEvent] = []
        for line in lines:
            events += self._of_visit(practice, line.visit, line.practitioner)
        links = self._pages.links(mine, client_id)
        for link in links:
            events += _of_link(link)
        events += [
            _of_round(check_round, links)
            for check_round in self._pages.rounds([a.id for a in links])
            if check_round.sent_at
        ]
        events += [
            _of_mail(mail) for mail in self._pages.mails(mine, client_id) if mail.state in ENDED
        ]
        days, body = self._body(mine, [line.visit for line in lines], unit)
        return History(
            events=sorted(events, key=lambda event: event.at, reverse=True), visits=days, body=body
        )

    def _of_visit(self, practice: Practice, visit: Visit, by: str) -> list[HistoryEvent]:
        _, _, entries, reports, photos = self._records.open(practice.id, visit.id)
        begun = datetime.combine(visit.started_on, time(), ZoneInfo(practice.time_zone))
        events = [
            HistoryEvent(
                at=begun, kind="visit", says=msg("Visit with {by}", by=by), visit_id=visit.id
            )
        ]
        words = {field.id: CONSENTS[name].label for name, field in fields.ask.consent.items()}
        agrees = any(entry.path == WORKPLACE and entry.value == "yes" for entry in entries)
        for entry in self._records.consents_said(practice.id, visit.id):
            if entry.path in words and entry.value is not None:
                who = msg(" by the client") if entry.self_reported else ""
                said = {"yes": "given", "no": msg("not given")}.get(str(entry.value), "withdrawn")
                events.append(
                    HistoryEvent(
                        at=entry.changed_at,
                        kind="consent",
                        says=msg(
                            "Consent {said}{who}: {words}",
                            said=said,
                            who=who,
                            words=words[entry.path].lower(),
                        ),
                        visit_id=visit.id,
                    )
                )
        events += [
            HistoryEvent(
                at=report.signed_at,
                kind="signed",
                says=msg(
                    "Version {number} signed by {signed_by}",
                    number=report.number,
                    signed_by=report.signed_by,
                ),
                visit_id=visit.id,
                report_id=report.id,
                copies=sorted(copy for copy in report.copies if copy != "workplace" or agrees),
            )
            for report in reports
        ]
        if photos:
            many = ngettext("{count} photo", "{count} photos", len(photos))
            events.append(
                HistoryEvent(
                    at=max(photo.added_at for photo in photos),
                    kind="photographs",
                    says=msg(
                        "{many}, by {fromkeys}",
                        many=many,
                        fromkeys=joined(", ", dict.fromkeys(photo.added_by for photo in photos)),
                    ),
                    visit_id=visit.id,
                    photos=[photo.id for photo in photos],
                )
            )
        return events

    def _body(
        self, practice_id: UUID, visits: list[Visit], unit: LengthUnit
    ) -> tuple[list[date], list[BodyLine]]:
        columns = []
        for visit in visits:
            snapshot = self._records.load_snapshot(practice_id, visit.id)
            body = body_from(snapshot.record, snapshot.client.sex, measuring_of(snapshot))
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
    what = msg("before the visit") if link.kind == "before" else msg("after the visit")
    events = [
        HistoryEvent(
            at=link.made_at, kind="link", says=msg("Client’s page {what}: link created", what=what)
        )
    ]
    if link.opened_at is not None:
        events.append(
            HistoryEvent(
                at=link.opened_at,
                kind="opened",
                says=msg("Client’s page {what}: first opened", what=what),
            )
        )
    if link.revoked_at is not None:
        events.append(
            HistoryEvent(
                at=link.revoked_at,
                kind="revoked",
                says=msg("Client’s page {what}: link closed", what=what),
            )
        )
    return events


def _of_round(check_round: CheckRound, links: list[ClientLink]) -> HistoryEvent:
    decided = (
        msg("; decided: {levels}", levels=LEVELS[check_round.decided].lower())
        if check_round.decided
        else ""
    )
    visit = next(link.visit_id for link in links if link.id == check_round.link_id)
    assert check_round.sent_at is not None
    return HistoryEvent(
        at=check_round.sent_at,
        kind="answers",
        says=msg(
            "Answers sent, {round_words}{decided}",
            round_words=ROUND_WORDS[check_round.round],
            decided=decided,
        ),
        check_id=check_round.id,
        visit_id=visit,
    )


def _of_mail(mail: OutgoingMail) -> HistoryEvent:
    what = msg("Questions sent") if mail.kind == "check" else msg("Link sent")
    ended = {
        "sent": msg("{what} by email to {recipient}", what=what, recipient=mail.recipient),
        "failed": msg(
            "Email to {recipient} failed: {trouble}", recipient=mail.recipient, trouble=mail.trouble
        ),
        "dropped": msg("Email to {recipient} cancelled", recipient=mail.recipient),
    }
    return HistoryEvent(at=mail.sent_at or mail.due_at, kind="mail", says=ended[mail.state])
