"""What a workplace is asked on its own page: of each thing whether it is done."""

from __future__ import annotations

from collections.abc import Sequence

from ..language import msg
from ..record import fields
from .questions import Question, about


def questions_of_requests(asked: Sequence[tuple[str, str]]) -> list[Question]:
    """Return what a workplace is asked: of each thing whether it is done, with a note, and who says so.

    Parameters
    ----------
    asked : sequence of (id, title)
        As they stand on the workplace's paper.

    """
    of = fields.report.request
    return [
        *(
            question
            for id, title in asked
            for question in (
                about(f"request.{id}", "requests", of(id).done, title),
                about(
                    f"request_note.{id}", "requests", of(id).note, msg("{title}: note", title=title)
                ),
            )
        ),
        about("request_by", "requests", fields.report.requests_by, msg("Answered by")),
    ]
