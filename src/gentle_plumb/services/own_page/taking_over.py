"""Writing a client's answers into the empty fields of a visit, marked as the client's own."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import datetime
from uuid import UUID, uuid5

from ...core.language import msg
from ...core.own_page import HABIT_OF, Question
from ...core.record import fields
from ...core.record.fields.seen import Seen
from ..consent import NEEDED_FOR, NOTES
from ..errors import NeedsConsent, NotFound, NotReady
from ..models import Change, Check, Entry, GivenAnswer, Member
from ..ports import Records
from .models import TakenOver
from .sheets import basis_of


def take_over(
    records: Records, member: Member, check: Check, visit_id: UUID, now: datetime
) -> TakenOver:
    """Write a round's answers into a visit of the same client; errors as the service's method says."""
    visit, client, entries, _, _ = records.open(member.practice_id, visit_id)
    if client.id != check.link.client_id:
        raise NotFound(msg("This visit is another client’s."))
    if check.round.sent_at is None:
        raise NotReady([("answers", msg("they are not sent yet"))])
    if check.link.agreed_at is None:
        raise NeedsConsent(NOTES, NOTES, NEEDED_FOR[NOTES])
    held = {entry.path: entry for entry in entries}
    write = _Writer(records, member, visit.id, check, held, now)
    if check.link.kind != "workplace":
        said = held.get(NOTES)
        if said is not None and said.value not in (None, "yes"):
            raise NeedsConsent(NOTES, NOTES, NEEDED_FOR[NOTES])
        if said is None or said.value is None:
            write.put(NOTES, "yes", "yes")
    kept = [
        label
        for question in basis_of(records, check.link).questions(check.link.kind)
        if (label := write.take(question, check)) is not None
    ]
    return TakenOver(taken=write.taken, kept=list(dict.fromkeys(kept)))


class _Writer:
    """Writes answers into the empty fields of one visit."""

    def __init__(
        self,
        records: Records,
        member: Member,
        visit_id: UUID,
        check: Check,
        held: Mapping[str, Entry],
        now: datetime,
    ) -> None:
        self._records, self._member, self._visit_id = records, member, visit_id
        self._check, self._held, self._now = check, held, now
        self._measured = {
            path.split(".")[1] for path, entry in held.items() if _reading(path) and entry.typed
        }
        self.taken = 0

    def put(self, path: str, typed: str, value: float | str | None) -> None:
        """Write one entry as the client's own, or the workplace's."""
        before = self._held.get(path)
        change = Change(
            id=uuid5(self._check.round.id, f"{self._visit_id} {path}"),
            visit_id=self._visit_id,
            path=path,
            typed=typed,
            value=value,
            expected_version=before.version if before is not None else 0,
            member_id=self._member.id,
            self_reported=self._check.link.kind != "workplace",
        )
        self._records.write(self._member.practice_id, change, self._now)
        self.taken += 1

    def _draft_habit(self, question: Question, answer: GivenAnswer | None) -> None:
        """Note a habit as seen by the client, where they said no to how it should be; it waits to be looked at."""
        section, _, id = question.id.partition(".")
        habit = HABIT_OF.get(id) if section == "station" else None
        if habit is None or answer is None or answer.value != "no":
            return
        path = fields.seen.habit[habit].seen.id
        if path not in self._held:
            self.put(path, Seen.SEEN, Seen.SEEN)

    def _notes_kept(self) -> bool:
        """Whether own words may be kept: with consent to notes, which a client gave with their answers."""
        said = self._held.get(NOTES)
        return self._check.link.kind != "workplace" or (said is not None and said.value == "yes")

    def take(self, question: Question, check: Check) -> str | None:
        """Write an answer where the visit says nothing; else the question, if it says something else."""
        answer = check.answers.get(question.id)
        self._draft_habit(question, answer)
        field = question.field
        if field is None or answer is None or answer.value is None:
            return None
        if field.health and not self._notes_kept():
            return question.says
        held = self._held.get(field.id)
        if held is not None and held.value is not None:
            return None if held.value == answer.value else question.says
        if _reading(field.id):
            dimension = field.id.split(".")[1]
            if dimension in self._measured:
                return question.says
            about = fields.measure.dimension[dimension]
            for path, typed in (
                (about.origin.id, "self_measured"),
                (about.taken_on.id, answer.changed_at.date().isoformat()),
            ):
                if path not in self._held and field is about.first:
                    self.put(path, typed, typed)
        self.put(field.id, answer.typed, answer.value)
        return None


def _reading(path: str) -> bool:
    return path.startswith("measure.") and path.endswith((".first", ".second", ".third"))
