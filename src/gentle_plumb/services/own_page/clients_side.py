"""What a client does on their own page. Everything is asked within one link, opened with its code."""

from __future__ import annotations

import secrets
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from typing import Literal
from uuid import UUID, uuid5

from ...core.language import msg
from ...core.own_page import Question, Round, read_answer
from ...core.record import as_kept, fields
from ...core.record.fields.ask import ConsentAnswer
from ...core.units import LengthUnit
from ...core.words import say_length
from ..account_ports import Accounts
from ..accounts import is_secret, token_hash
from ..consent import NEEDED_FOR, NOTES, PHOTOGRAPHS, erased_by
from ..errors import NeedsConsent, NotAllowed, NotFound, NotSignedIn
from ..models import Change, Check, CheckRound, Client, ClientLink, Entry, GivenAnswer, Practice
from ..photos import PhotoService, photo_head
from ..ports import Clock, Records
from ..throttle import Attempts
from .catalogues import ENGLISH, language_view, languages_with, translated
from .models import OwnDoorView, OwnDoubt, OwnQuestion, OwnRound, OwnSheet, OwnView
from .ports import OwnPages
from .sheets import basis_of, doubts_of, drawings_of, numbers_of, request_of, urgency_of

SESSION_LENGTH = timedelta(hours=12)
VIEWS = ("side", "rear")
PhotoOf = Literal["side", "rear"]


@dataclass(frozen=True, kw_only=True)
class OwnCaller:
    """Somebody who opened a link with its code."""

    link: ClientLink
    practice: Practice
    client: Client
    token: str


class OwnPageService:
    """The client's side."""

    def __init__(
        self,
        pages: OwnPages,
        records: Records,
        accounts: Accounts,
        photos: PhotoService,
        clock: Clock,
    ) -> None:
        self._pages, self._records, self._accounts = pages, records, accounts
        self._photos, self._clock = photos, clock

    def open(self, token: str, code: str, attempts: Attempts) -> str:
        """Open a link with its code; the token of the session.

        Raises
        ------
        LockedOut
            After too many tries, whether or not there is such a link.
        NotSignedIn
            For a wrong link or code, a link that has ended or was revoked; they can't be told apart.

        """
        now = self._clock()
        was_right = attempts.begin(token)
        link = self._pages.link_by_token(token)
        right = is_secret(code.strip(), link.code_hash if link is not None else None)
        if link is None or not right or not self._works(link):
            raise NotSignedIn(msg("The link or the code is wrong, or the link has ended."))
        was_right()
        opened = secrets.token_urlsafe(32)
        self._pages.add_session(token_hash(opened), link, now + SESSION_LENGTH, now)
        return opened

    def door(self, token: str) -> OwnDoorView:
        """The words of the door: of its link's language, English for what is no link."""
        link = self._pages.link_by_token(token)
        own = self._pages.catalogues(link.practice_id) if link is not None else []
        wanted = link.language if link is not None else ENGLISH.language
        catalogue = languages_with(own).get(wanted, ENGLISH)
        return OwnDoorView(
            language=catalogue.language,
            direction=catalogue.direction,
            messages={
                name: text
                for name, text in translated(catalogue).items()
                if name.startswith("door.")
            },
        )

    def _works(self, link: ClientLink) -> bool:
        """Whether a link is open; a workplace's only while the client agrees to it."""
        practice, _ = self._pages.whose(link)
        if not link.open_on(practice.day(self._clock())):
            return False
        if link.kind != "workplace":
            return True
        record = self._records.load_snapshot(link.practice_id, link.visit_id).record
        return record[fields.ask.consent["workplace"]] == ConsentAnswer.GIVEN

    def who(self, token: str | None) -> OwnCaller:
        """Whose page a session opens; raises NotSignedIn."""
        link = self._pages.session(token_hash(token), self._clock()) if token else None
        if link is not None and token:
            practice, client = self._pages.whose(link)
            if self._works(link):
                return OwnCaller(link=link, practice=practice, client=client, token=token)
        raise NotSignedIn(msg("Please open the page with its link and code."))

    def leave(self, who: OwnCaller) -> None:
        """Close the page on this device."""
        self._pages.drop_session(token_hash(who.token))

    def page(self, who: OwnCaller, language: str | None = None) -> OwnView:
        """The page in a language of the practice's: the link's own where none is asked for."""
        link, practice = who.link, who.practice
        known = languages_with(self._pages.catalogues(practice.id))
        catalogue = known.get(language or link.language) or ENGLISH
        today = practice.day(self._clock())
        basis = basis_of(self._records, link)
        sent = self._records.open(practice.id, link.visit_id)[2]
        views = {
            f"{entry.value}"
            for entry in sent
            if entry.self_reported and entry.path.startswith("look.photo.")
        }
        return OwnView(
            practice=practice.name,
            contact=practice.contact,
            local_wording=practice.local_wording,
            kind=link.kind,
            language=catalogue.language,
            languages=[language_view(catalogue) for catalogue in known.values()],
            messages=translated(catalogue),
            unit=practice.unit,
            ends_on=link.ends_on,
            today=today,
            agreed=link.agreed_at is not None,
            photos_agreed=link.photos_agreed_at is not None,
            photos=[view for view in VIEWS if view in views and link.kind != "workplace"],
            rounds=[
                OwnRound(
                    round=check_round.round,
                    due_on=check_round.due_on,
                    open=check_round.sent_at is None and check_round.due_on <= today,
                    sent_at=check_round.sent_at,
                    answered=len(self._pages.check(practice.id, check_round.id).answers),
                )
                for check_round in self._pages.rounds([link.id])
            ],
            own_numbers=numbers_of(basis.paper, drawings_of(basis, practice.unit))
            if basis.paper is not None
            else None,
            request=request_of(basis),
        )

    def agree(self, who: OwnCaller, *, yes: bool) -> None:
        """Agree to answers being kept, or take it back: then what was not taken over is erased.

        Raises NotAllowed for a workplace: what it answers holds nothing about health.
        """
        if who.link.kind == "workplace":
            raise NotAllowed(msg("There is nothing to agree to here."))
        agreed = self._clock() if yes else None
        self._pages.change_link(replace(who.link, agreed_at=agreed))
        if not yes:
            self._pages.forget_answers(who.link.id)

    def agree_to_photos(self, who: OwnCaller, *, yes: bool) -> None:
        """Agree to photographs being kept, or take it back: then those of the visit are erased.

        Raises NeedsConsent where something else was said at the practice.
        """
        link, now = who.link, self._clock()
        self._need_before(link)
        held = self._held(link, PHOTOGRAPHS)
        said = held.value if held is not None else None
        if yes and said not in (None, ConsentAnswer.GIVEN):
            raise NeedsConsent(PHOTOGRAPHS, PHOTOGRAPHS, NEEDED_FOR[PHOTOGRAPHS])
        wanted = ConsentAnswer.GIVEN if yes else ConsentAnswer.WITHDRAWN
        if said != wanted and (yes or said is not None):
            self._write(link, PHOTOGRAPHS, str(wanted), held.version if held else 0, now)
        self._pages.change_link(replace(link, photos_agreed_at=now if yes else None))

    def add_photo(self, who: OwnCaller, photo_id: UUID, view: PhotoOf, picture: bytes) -> None:
        """Keep a photograph of the visit to come; sent twice it counts once.

        Raises NeedsConsent without the client's agreement, BadPicture.
        """
        link, now = who.link, self._clock()
        self._need_before(link)
        if link.photos_agreed_at is None:
            raise NeedsConsent(PHOTOGRAPHS, PHOTOGRAPHS, NEEDED_FOR[PHOTOGRAPHS])
        photo = self._photos.develop(picture)
        head = photo_head(
            photo, photo_id, link.visit_id, msg("{name} (own page)", name=who.client.name), now
        )
        self._records.add_photo(
            link.practice_id, head, photo.jpeg, member_id=link.member_id, consent=PHOTOGRAPHS
        )
        for what, typed in (("view", view), ("when", "before")):
            path = f"look.photo.{photo_id}.{what}"
            if self._held(link, path) is None:
                self._write(link, path, typed, 0, now)

    @staticmethod
    def _need_before(link: ClientLink) -> None:
        if link.kind != "before":
            raise NotAllowed(msg("Photos can only be sent before a visit."))

    def _held(self, link: ClientLink, path: str) -> Entry | None:
        entries = self._records.open(link.practice_id, link.visit_id)[2]
        return next((entry for entry in entries if entry.path == path), None)

    def _write(self, link: ClientLink, path: str, typed: str, version: int, now: datetime) -> None:
        change = Change(
            id=uuid5(link.id, f"{path} {version}"),
            visit_id=link.visit_id,
            path=path,
            typed=typed,
            value=typed,
            expected_version=version,
            member_id=link.member_id,
            erase=erased_by(path, typed),
            self_reported=True,
        )
        self._records.write(link.practice_id, change, now)

    def sheet(self, who: OwnCaller, round: Round) -> OwnSheet:
        """A round as it is filled in; raises NotFound before it is due."""
        check = self._check(who, round)
        basis = basis_of(self._records, who.link)
        felt = basis.discomfort
        return OwnSheet(
            round=round,
            sent_at=check.round.sent_at,
            questions=[
                OwnQuestion(
                    id=question.id,
                    section=question.section,
                    kind=question.kind,
                    answers=list(question.answers),
                    low=question.low,
                    high=question.high,
                    typed=check.answers[question.id].typed if question.id in check.answers else "",
                    version=check.answers[question.id].version
                    if question.id in check.answers
                    else 0,
                    about=question.says if question.id.startswith(("piece.", "request")) else "",
                    was=felt.get(question.id.removeprefix("felt."))
                    if who.link.kind == "after"
                    else None,
                    urgency=urgency_of(question),
                    walks=question.walks,
                )
                for question in basis.questions(who.link.kind)
            ],
        )

    def _check(self, who: OwnCaller, round: Round) -> Check:
        return self._pages.check(who.practice.id, self._round(who, round).id)

    def _round(self, who: OwnCaller, round: Round) -> CheckRound:
        today = who.practice.day(self._clock())
        for check_round in self._pages.rounds([who.link.id]):
            if check_round.round == round and check_round.due_on <= today:
                return check_round
        raise NotFound(msg("These questions are not available yet."))

    def answer(
        self,
        who: OwnCaller,
        round: Round,
        question: str,
        typed: str,
        unit: LengthUnit,
        *,
        change_id: UUID,
        expected_version: int,
    ) -> GivenAnswer:
        """Keep an answer, read as the visit would read it, upon the version that was seen; what is held then.

        Raises
        ------
        NeedsConsent
            Before the client has agreed to it.
        NotAllowed
            Once the round is sent.
        NotFound
            For a question that is not asked.
        FieldError
            With range and unit, if it can't be read; nothing is kept then.
        Stale
            Where another device has changed it since; carries the answer held.

        """
        if who.link.agreed_at is None:
            raise NeedsConsent("agreed", NOTES, msg("We don’t save anything until you agree."))
        held = self._round(who, round)
        asked = self._question(who, question)
        value = read_answer(asked, typed, unit=unit)
        return self._pages.answer(
            held.id,
            GivenAnswer(
                question=asked.id,
                typed=as_kept(asked.kind, typed, unit),
                value=value,
                changed_at=self._clock(),
                version=expected_version + 1,
                change_id=change_id,
            ),
        )

    def _question(self, who: OwnCaller, id: str) -> Question:
        for question in basis_of(self._records, who.link).questions(who.link.kind):
            if question.id == id:
                return question
        raise NotFound(msg("There is no such question here."))

    def doubts(self, who: OwnCaller, unit: LengthUnit) -> list[OwnDoubt]:
        """The client's lengths that are worth a second look, with numbers in their unit."""
        return [
            OwnDoubt(
                dimension=doubt.dimension,
                why=doubt.why,
                apart=say_length(doubt.apart_mm, unit) if doubt.apart_mm is not None else "",
                low=say_length(doubt.low_mm, unit) if doubt.low_mm is not None else "",
                high=say_length(doubt.high_mm, unit) if doubt.high_mm is not None else "",
            )
            for doubt in doubts_of(self._check(who, "before"), who.client)
        ]

    def send(self, who: OwnCaller, round: Round) -> None:
        """Send a round: the practitioner sees it, and it can't be changed. Sent twice it counts once."""
        if who.link.agreed_at is None:
            raise NeedsConsent("agreed", NOTES, msg("We don’t save anything until you agree."))
        self._pages.send_round(self._round(who, round).id, self._clock())
