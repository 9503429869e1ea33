"""A round of questions as it stands: which are asked, what the client was given, how answers are sorted."""

from __future__ import annotations

from dataclasses import dataclass

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
    triage_before,
    triage_check,
)
from ...core.record import Record, fields
from ..models import Check, Client, ClientLink, Report
from ..paper_models import ClientPaper
from ..ports import Records
from .models import OwnNumbers

STILL = ("seat", "footrest", "surface", "mouse", "screen_top", "distance", "scale")
"""Settings that a client can see for themselves."""
_ALWAYS = tuple(questions_before())


@dataclass(frozen=True, kw_only=True)
class Basis:
    """What a link's questions rest on: the record of its visit, and the paper that the client was given."""

    record: Record
    paper: ClientPaper | None

    @property
    def felt(self) -> dict[str, float]:
        """Strength of discomfort at the visit, by region, where there was any."""
        found = {id: self.record[fields.ask.discomfort[id].strength] for id in REGIONS}
        return {id: at for id, at in found.items() if at}

    def questions(self, kind: str) -> tuple[Question, ...]:
        """Return what is asked on a link of this kind."""
        return _ALWAYS if kind == "before" else tuple(questions_of_check(self._shown()))

    def _shown(self) -> Shown:
        paper = self.paper
        if paper is None:
            return Shown(regions=tuple(self.felt))
        return Shown(
            settings=tuple((one.key, one.label) for one in paper.numbers if one.key in STILL),
            regions=tuple(self.felt),
            temporary=tuple(paper.temporary),
            rhythm=paper.day is not None,
            movements=bool(paper.movements),
        )


def basis_of(records: Records, link: ClientLink) -> Basis:
    """Return what a link's questions rest on."""
    working = records.working(link.practice_id, link.visit_id)
    report = records.last_report(link.practice_id, link.visit_id) if link.kind == "after" else None
    return Basis(record=working.record, paper=_paper(report))


def _paper(report: Report | None) -> ClientPaper | None:
    """Return the client's paper of a signed version; None where it was signed before papers were parted."""
    held = report.content.get("client") if report is not None else None
    return ClientPaper.model_validate(held) if isinstance(held, dict) else None


def numbers_of(paper: ClientPaper) -> OwnNumbers:
    """Return what of the client's paper their page shows: no cause, no finding, no condition."""
    return OwnNumbers(
        visited=paper.visited,
        numbers=paper.numbers,
        scene=paper.scene,
        temporary=paper.temporary,
        day=paper.day,
        movements=[one.model_copy(update={"why": ""}) for one in paper.movements],
        movement_rules=paper.movement_rules,
        stop=paper.stop,
        cautions=paper.cautions,
    )


def doubts_of(check: Check, client: Client) -> list[LengthDoubt]:
    """Return the client's own lengths that are worth a second look."""
    return doubtful_lengths(check.values, client.sex) if check.link.kind == "before" else []


def verdict_of(check: Check, basis: Basis, client: Client) -> Verdict:
    """Return how a round's answers are sorted."""
    if check.link.kind == "before":
        return triage_before(check.values, doubts_of(check, client))
    return triage_check(check.values, Before(felt=basis.felt))


def urgency_of(question: Question) -> str:
    """Return how soon a warning sign is seen; empty for what is none."""
    start, _, id = question.id.partition(".")
    return RED_FLAGS[id].urgency if start == "sign" else ""
