"""A round of questions as it stands: which are asked, what the client was given, how answers are sorted."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from ...core.drawing import Scene
from ...core.intake import RED_FLAGS, REGIONS
from ...core.own_page import (
    Before,
    LengthDoubt,
    Question,
    Shown,
    Verdict,
    doubtful_lengths,
    questions_before,
    questions_of_check,
    questions_of_requests,
    triage_before,
    triage_check,
    triage_requests,
)
from ...core.record import Record, fields
from ...core.units import LengthUnit
from ..models import Check, Client, ClientLink, Report, VisitSnapshot
from ..paper_models import ClientPaper, Request, WorkplacePaper
from ..papers import legacy_paper
from ..papers.shared import figure_of
from ..ports import Records
from ..workup import work_up
from .models import OwnNumbers, OwnRequest

STILL = ("seat", "footrest", "surface", "mouse", "screen_top", "distance", "scale")
"""Settings that a client can see for themselves."""
_ALWAYS = tuple(questions_before())


@dataclass(frozen=True, kw_only=True)
class Basis:
    """What a link's questions rest on: its visit, and the paper that the client was given.

    ``as_signed``: nothing has changed in the visit since.
    """

    opened: VisitSnapshot
    paper: ClientPaper | None
    as_signed: bool = False
    workplace: WorkplacePaper | None = None

    @property
    def record(self) -> Record:
        """What was recorded at the visit."""
        return self.opened.record

    @property
    def requests(self) -> list[Request]:
        """What was asked of the workplace, each with a name of its own."""
        asked = self.workplace.requests if self.workplace is not None else []
        return list({request.id: request for request in asked if request.id}.values())

    @property
    def discomfort(self) -> dict[str, float]:
        """Strength of discomfort at the visit, by region, where there was any."""
        found = {id: self.record[fields.ask.discomfort[id].strength] for id in REGIONS}
        return {id: position for id, position in found.items() if position}

    def questions(self, kind: str) -> tuple[Question, ...]:
        """Return what is asked on a link of this kind."""
        if kind == "before":
            return _ALWAYS
        if kind == "workplace":
            return tuple(
                questions_of_requests([(request.id, request.title) for request in self.requests])
            )
        return tuple(questions_of_check(self._shown()))

    def _shown(self) -> Shown:
        paper = self.paper
        if paper is None:
            return Shown(regions=tuple(self.discomfort))
        return Shown(
            settings=tuple(
                (number.key, number.label) for number in paper.numbers if number.key in STILL
            ),
            regions=tuple(self.discomfort),
            temporary=tuple(paper.temporary),
            rhythm=paper.day is not None,
            movements=bool(paper.movements),
        )


def basis_of(records: Records, link: ClientLink) -> Basis:
    """Return what a link's questions rest on."""
    snapshot = records.load_snapshot(link.practice_id, link.visit_id)
    signed = link.kind != "before"
    report = records.last_report(link.practice_id, link.visit_id) if signed else None
    if link.kind == "workplace":
        return Basis(
            opened=snapshot,
            paper=None,
            workplace=legacy_paper(report.content) if report is not None else None,
        )
    return Basis(
        opened=snapshot,
        paper=_paper(report),
        as_signed=report is not None and report.revision == snapshot.visit.revision,
    )


def _paper(report: Report | None) -> ClientPaper | None:
    """Return the client's paper of a signed version; None where it was signed before papers were parted."""
    held = report.content.get("client") if report is not None else None
    return ClientPaper.model_validate(held) if isinstance(held, dict) else None


PHONE_PX = (370.0, 400.0)
"""Size of a drawing that is looked at on a phone, px."""


def drawings_of(basis: Basis, unit: LengthUnit) -> list[Scene]:
    """Return the drawing for a phone, a posture each; the paper's own where the visit has changed since."""
    if not basis.as_signed:
        return [basis.paper.scene] if basis.paper is not None and basis.paper.scene else []
    workup = work_up(basis.opened, unit, body=False)
    request, _ = figure_of(workup, unit)
    width, height = PHONE_PX
    return [
        workup.analysis.scene(replace(request, width=width, height=height, mode=posture))
        for posture in fields.work.POSTURES
        if workup.result.of(posture).possible
    ]


def numbers_of(paper: ClientPaper, drawings: Sequence[Scene]) -> OwnNumbers:
    """Return what of the client's paper their page shows: no cause, no finding, no condition."""
    return OwnNumbers(
        visited=paper.visited,
        numbers=paper.numbers,
        drawings=list(drawings),
        temporary=paper.temporary,
        day=paper.day,
        movements=[movement.model_copy(update={"why": ""}) for movement in paper.movements],
        movement_rules=paper.movement_rules,
        stop=paper.stop,
        cautions=paper.cautions,
    )


def request_of(basis: Basis) -> OwnRequest | None:
    """Return what the workplace's page shows; None for a client's."""
    paper = basis.workplace
    if paper is None:
        return None
    return OwnRequest(
        client=paper.client,
        visited=paper.visited,
        follow_up=paper.follow_up_on,
        limits=paper.limits,
        asked=basis.requests,
    )


def doubts_of(check: Check, client: Client) -> list[LengthDoubt]:
    """Return the client's own lengths that are worth a second look."""
    return doubtful_lengths(check.values, client.sex) if check.link.kind == "before" else []


def verdict_of(check: Check, basis: Basis, client: Client) -> Verdict:
    """Return how a round's answers are sorted."""
    if check.link.kind == "before":
        return triage_before(check.values, doubts_of(check, client))
    if check.link.kind == "workplace":
        return triage_requests(
            check.values, [f"request.{request.id}" for request in basis.requests]
        )
    return triage_check(check.values, Before(discomfort=basis.discomfort))


def urgency_of(question: Question) -> str:
    """Return how soon a warning sign is seen; empty for what is none."""
    start, _, id = question.id.partition(".")
    return RED_FLAGS[id].urgency if start == "sign" else ""
