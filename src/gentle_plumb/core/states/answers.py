"""What was said of a step: its test, the client's word, why not today, what was aimed at then."""

from __future__ import annotations

from dataclasses import dataclass

from ..record import Record, fields
from ..record.fields.settings import ActionAnswer, ClientWord, NotToday, Owner, StepTest


@dataclass(frozen=True, kw_only=True)
class StepAnswers:
    """The answers to one step; None for what nobody has said.

    ``aim`` is what was aimed at when it was set, ``stopped_at`` where it stood when it hurt; in the unit of its
    quantity.
    """

    state: ActionAnswer | None = None
    test: StepTest | None = None
    word: ClientWord | None = None
    hurts_at: str | None = None
    because: NotToday | None = None
    owner: Owner | None = None
    due: str | None = None
    aim: float | None = None
    stopped_at: float | None = None

    @property
    def stops(self) -> bool:
        """Whether it hurts: nothing more is done with it."""
        return self.word == ClientWord.HURTS

    @property
    def put_off(self) -> bool:
        """Whether it is not done today, or not wanted at all."""
        return self.because is not None or self.state == ActionAnswer.LATER


SILENT = StepAnswers()
"""Of a step that nobody has said anything of."""


def answers_of(record: Record) -> dict[str, StepAnswers]:
    """Return what was said of every step, by its identifier in the record."""
    all_step_answers = {}
    for id in record.members(fields.settings.ACTIONS):
        asked = fields.settings.action(id)
        all_step_answers[id] = StepAnswers(
            state=record[asked.state],
            test=record[asked.test],
            word=record[asked.word],
            hurts_at=record[asked.hurts_at],
            because=record[asked.because],
            owner=record[asked.owner],
            due=record[asked.due],
            aim=record[asked.aim],
            stopped_at=record[asked.stopped_at],
        )
    return all_step_answers
