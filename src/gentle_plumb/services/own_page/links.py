"""What a practitioner does with a client's own page: links, answers, decisions, what is taken over."""

from __future__ import annotations

import secrets
from collections.abc import Callable, Set
from dataclasses import dataclass, replace
from datetime import date, timedelta
from uuid import UUID, uuid4, uuid5

from ...core.errors import UnknownName, ValueOutOfRange
from ...core.language import filled, joined, msg
from ...core.own_page import LEVELS, ROUNDS, Level, Question, Round
from ...core.record import fields
from ...core.units import LengthUnit
from ...core.words import say_length
from ..account_ports import Accounts
from ..accounts import hash_secret
from ..errors import NotFound, NotReady
from ..models import Check, CheckRound, ClientLink, LinkKind, Member, Practice, view_of
from ..ports import Clock, Records
from ..reports import require_consent
from .catalogues import languages_with
from .mail import MailService
from .models import AnswerView, CheckView, LinkView, ReasonView, TakenOver, WaitingCheck
from .ports import OwnPages
from .sheets import basis_of, doubts_of, verdict_of
from .taking_over import take_over

CODE_DIGITS = 6
"""Told by hand, and typed on a phone; tries are slowed down. House value."""
LEAST_DAYS, MOST_DAYS = 1, 120
USUAL_DAYS: dict[LinkKind, int] = {"before": 30, "after": 63, "workplace": 63}
"""How long a link works: a month before a visit; after one until three weeks past the last check. House values."""

ROUNDS_OF: dict[LinkKind, tuple[Round, ...]] = {
    "before": ("before",),
    "after": ("week_1", "week_3", "week_6"),
    "workplace": ("request",),
}
"""Which rounds of questions a link has."""
MISSED = ("signs", "station", "room", "still")
"""Parts in which a question without an answer is missed: where nothing hurts is not."""


@dataclass(frozen=True, kw_only=True)
class MadeLink:
    """A link just made, or with a new code, told this once; ``url`` is the whole address."""

    link: LinkView
    code: str
    url: str


class LinkService:
    """The practitioner's side."""

    def __init__(
        self,
        pages: OwnPages,
        records: Records,
        accounts: Accounts,
        mail: MailService,
        clock: Clock,
        hidden_from: Callable[[Member], Set[UUID]] | None = None,
    ) -> None:
        self._pages, self._records, self._accounts = pages, records, accounts
        self._mail, self._clock = mail, clock
        self._hidden_from = hidden_from or (lambda _: frozenset())

    def links(self, member: Member, practice: Practice, client_id: UUID) -> list[LinkView]:
        """A client's links, the latest first; raises NotAllowed, NotFound."""
        self._records.client(member.practice_id, client_id)
        links = self._pages.links(member.practice_id, client_id)
        rounds = self._pages.rounds([link.id for link in links])
        mails = self._pages.mails(member.practice_id, client_id)
        names = {
            colleague.id: colleague.name for colleague in self._accounts.members(member.practice_id)
        }
        today = practice.day(self._clock())
        return [
            view_of(
                LinkView,
                link,
                made_by=names.get(link.member_id, ""),
                works=link.open_on(today),
                path=path_of(link),
                rounds=[round for round in rounds if round.link_id == link.id],
                mails=[mail for mail in mails if mail.link_id == link.id],
            )
            for link in links
        ]

    def make(
        self,
        member: Member,
        practice: Practice,
        visit_id: UUID,
        *,
        kind: LinkKind,
        base_url: str,
        language: str = "en",
        days: int | None = None,
    ) -> MadeLink:
        """Make a link for a visit's client, with a code of its own.

        Raises
        ------
        NotAllowed, NotFound
            For readers; for a visit of another practice.
        NotReady
            For a link to look things up, or for the workplace, before the visit is signed.
        Withheld
            For the workplace, without the client's consent.
        UnknownName, ValueOutOfRange
            For a language that is not there, and for days outside 1 to 120.

        """
        snapshot = self._records.load_snapshot(member.practice_id, visit_id)
        if snapshot.client.id in self._hidden_from(member):
            raise NotFound(msg("There is no such visit."))
        known = languages_with(self._pages.catalogues(practice.id))
        if language not in known:
            raise UnknownName(
                field="language",
                value=language,
                message=msg(
                    "Language: “{language}” is none of {known}.",
                    language=language,
                    known=joined(", ", known),
                ),
            )
        lasts = USUAL_DAYS[kind] if days is None else days
        if not LEAST_DAYS <= lasts <= MOST_DAYS:
            raise ValueOutOfRange(
                field="days",
                value=f"{lasts}",
                low=LEAST_DAYS,
                high=MOST_DAYS,
                unit="days",
                message=msg(
                    "Open for: {lasts} days is outside {least_days} to {most_days} days.",
                    lasts=lasts,
                    least_days=LEAST_DAYS,
                    most_days=MOST_DAYS,
                ),
            )
        now = self._clock()
        today = practice.day(now)
        begins = today
        if kind == "workplace":
            require_consent(snapshot.record)
        if kind != "before":
            report = self._records.last_report(member.practice_id, visit_id)
            if report is None:
                raise NotReady([("report", msg("there is no signed report to show yet"))])
            begins = practice.day(report.signed_at)
        code = _code()
        link = ClientLink(
            id=uuid4(),
            practice_id=practice.id,
            client_id=snapshot.client.id,
            visit_id=visit_id,
            kind=kind,
            token=secrets.token_urlsafe(24),
            code_hash=hash_secret(code),
            language=language,
            member_id=member.id,
            made_at=now,
            ends_on=today + timedelta(days=lasts),
            agreed_at=now if kind == "workplace" else None,  # it holds nothing about health
        )
        self._pages.add_link(link, _rounds(link, begins))
        return self._made(member, practice, link, code, base_url)

    def _view(self, member: Member, practice: Practice, link: ClientLink) -> LinkView:
        return next(
            view for view in self.links(member, practice, link.client_id) if view.id == link.id
        )

    def _made(
        self, member: Member, practice: Practice, link: ClientLink, code: str, base_url: str
    ) -> MadeLink:
        view = self._view(member, practice, link)
        return MadeLink(link=view, code=code, url=f"{base_url}{view.path}")

    def new_code(
        self, member: Member, practice: Practice, link_id: UUID, *, base_url: str
    ) -> MadeLink:
        """Give a link another code; the one before opens nothing. Raises NotAllowed, NotFound."""
        code = _code()
        held = self._pages.link(member.practice_id, link_id)
        self._pages.change_link(replace(held, code_hash=hash_secret(code)))
        return self._made(member, practice, held, code, base_url)

    def revoke(self, member: Member, link_id: UUID) -> None:
        """Close a link for good, at once; its mails are not sent any more. Raises NotAllowed, NotFound."""
        held = self._pages.link(member.practice_id, link_id)
        if held.revoked_at is None:
            self._pages.change_link(replace(held, revoked_at=self._clock()))

    def send(self, member: Member, practice: Practice, link_id: UUID, base_url: str) -> LinkView:
        """Mail the link to the client's address, and for each check to come a mail on its day.

        Raises NotAllowed, NotFound; NotReady where there is no address or no mail server, or the link has ended.
        """
        link = self._pages.link(member.practice_id, link_id)
        client = self._records.client(member.practice_id, link.client_id)
        if not link.open_on(practice.day(self._clock())):
            raise NotReady([("link", msg("this link has ended: create a new one"))])
        if link.kind == "workplace":
            raise NotReady(
                [("link", msg("give it to them yourself: the client’s email is not theirs"))]
            )
        self._mail.queue(
            practice, client, link, self._pages.rounds([link.id]), f"{base_url}{path_of(link)}"
        )
        return self._view(member, practice, link)

    def waiting(self, member: Member) -> list[WaitingCheck]:
        """Answers that nobody has decided on, the gravest first; none for who sees no health data."""
        if not member.sees_health:
            return []
        hidden = self._hidden_from(member)
        found = [
            self._sorted(check)
            for check in self._pages.undecided(member.practice_id)
            if check.link.client_id not in hidden
        ]
        waiting = [
            view_of(
                WaitingCheck,
                check.round,
                sent_at=check.round.sent_at or check.link.made_at,
                client_id=check.link.client_id,
                client=check.client,
                level=level,
                level_says=LEVELS[level],
            )
            for check, level in found
        ]
        return sorted(waiting, key=lambda check: -list(LEVELS).index(check.level))

    def _sorted(self, check: Check) -> tuple[Check, Level]:
        client = self._records.client(check.link.practice_id, check.link.client_id)
        return check, verdict_of(check, basis_of(self._records, check.link), client).level

    def check(self, member: Member, round_id: UUID, unit: LengthUnit) -> CheckView:
        """A round with its answers, how they are sorted and why; raises NotAllowed, NotFound."""
        check = self._pages.check(member.practice_id, round_id)
        basis = basis_of(self._records, check.link)
        client = self._records.client(member.practice_id, check.link.client_id)
        verdict = verdict_of(check, basis, client)
        asked = {question.id: question for question in basis.questions(check.link.kind)}
        views = [
            _answer_view(question, check, unit)
            for question in asked.values()
            if question.id in check.answers and check.answers[question.id].value is not None
        ]
        held = {view.question: view for view in views}
        return view_of(
            CheckView,
            check.round,
            client_id=client.id,
            client=client.name,
            visit_id=check.link.visit_id,
            level=verdict.level,
            level_says=LEVELS[verdict.level],
            reasons=[
                ReasonView(
                    level=reason.level,
                    says=reason.says,
                    answers=[
                        filled("{says}: {answer}", says=held[id].says, answer=held[id].answer)
                        if id in held
                        else msg("{says}: not answered", says=asked[id].says)
                        for id in reason.questions
                        if id in asked
                    ],
                )
                for reason in verdict.reasons
            ],
            answers=views,
            open=sum(
                question.section in MISSED and question.id not in held
                for question in asked.values()
            ),
            doubts=[
                fields.measure.dimension[doubt.dimension].first.group
                for doubt in doubts_of(check, client)
            ],
        )

    def decide(self, member: Member, round_id: UUID, level: Level, note: str) -> None:
        """Say what comes of answers: the practitioner's word, whatever they were sorted as.

        Raises NotAllowed, NotFound; NotReady before they are sent.
        """
        check = self._pages.check(member.practice_id, round_id)
        if check.round.sent_at is None:
            raise NotReady([("answers", msg("they are not sent yet"))])
        self._pages.decide(
            replace(
                check.round,
                decided=level,
                note=note.strip(),
                decided_by=member.name,
                decided_at=self._clock(),
            )
        )

    def take_over(self, member: Member, round_id: UUID, visit_id: UUID) -> TakenOver:
        """Write a round's answers into a visit of the same client, marked as the client's own.

        Nothing that stands there is overwritten: what differs is named. Done twice it is done once.

        Raises
        ------
        NotAllowed, NotFound
            For readers; for another client's visit.
        NotReady
            Before the answers are sent.
        NeedsConsent
            Where the visit holds another word about health notes.

        """
        check = self._pages.check(member.practice_id, round_id)
        return take_over(self._records, member, check, visit_id, self._clock())


def _answer_view(question: Question, check: Check, unit: LengthUnit) -> AnswerView:
    answer = check.answers[question.id]
    text = question.word(answer.value)
    if question.kind == "length" and isinstance(answer.value, float | int):
        text = say_length(float(answer.value), unit)
    elif question.kind in ("hours", "strength") and isinstance(answer.value, float | int):
        text = f"{answer.value:g}{' h' if question.kind == 'hours' else ' of 10'}"
    says = question.says
    if question.section == "lengths" and question.field is not None:
        says = filled(
            "{group}, {label}", group=question.field.group, label=question.field.label.lower()
        )
    return AnswerView(
        question=question.id,
        section=question.section,
        says=says,
        answer=text,
        field=question.field.id if question.field is not None else "",
    )


def _rounds(link: ClientLink, begins: date) -> list[CheckRound]:
    of: tuple[Round, ...] = ROUNDS_OF[link.kind]
    return [
        CheckRound(
            id=uuid5(link.id, text),
            link_id=link.id,
            round=text,
            due_on=begins + timedelta(days=ROUNDS[text]),
        )
        for text in of
    ]


def _code() -> str:
    return f"{secrets.randbelow(10**CODE_DIGITS):0{CODE_DIGITS}}"


def path_of(link: ClientLink) -> str:
    """Return the address of the page: the token stands behind the #, so that no server's log holds it."""
    return f"/own#{link.token}"
