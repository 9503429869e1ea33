"""The workplace's paper, laid out: furniture, room and hours, and nothing else."""

from __future__ import annotations

from ..paper_models import Request, WorkplacePaper
from .blocks import Block, Column, Group, PaperLayout, Run, Table, ToFillIn
from .parts import (
    about,
    additions,
    cautions,
    figure,
    framed,
    items,
    joints,
    looked_at_again,
    paragraph,
    place,
    replaced,
    rhythm,
    run,
    runs,
    section,
    settings,
)


def workplace_layout(paper: WorkplacePaper) -> PaperLayout:
    """Lay out the workplace's paper."""
    chosen = f"Options: {'; '.join(paper.chosen)}." if paper.chosen else ""
    return PaperLayout(
        title="Workplace adjustments",
        about=about(
            f"For {paper.client}",
            f"visit on {paper.visited}",
            paper.work,
            looked_at_again(paper.follow_up_on),
        ),
        blocks=[
            paragraph(
                run(
                    "Workplace copy: furniture, room and hours. Health information is left out.",
                    "soft",
                )
            ),
            *(framed("boxed", run(words, "strong")) for words in paper.limits),
            *section("Requested changes", *_requests(paper.requests)),
            *section("Equipment to buy", *additions(paper.added, removes=False)),
            *section("Found, target, setting, left at", settings(paper.table)),
            *(block for further in paper.places for block in place(further, actions=False)),
            *section("Between sitting and standing", *items(paper.moves)),
            *([paragraph(run(chosen, "small"))] if chosen else ()),
            *section(
                "Drawing",
                *figure(
                    paper,
                    "Side view of the workstation beside a height scale; the numbers are in the table above.",
                ),
            ),
            *joints(paper.joints),
            *section("Hours", *rhythm(paper.rhythm)),
            *replaced(paper.replaces),
            *cautions(
                paper.cautions,
                paper.local_wording,
                f"Questions: {paper.call}" if paper.call else "",
            ),
        ],
    )


def _requests(requests: list[Request]) -> list[Block]:
    """Return what is asked for, a line each with a box to tick, and where it is signed when done.

    Versions signed before each request said who does it list them.
    """
    if not requests:
        return [paragraph("Nothing apart from the settings below.")]
    if not requests[0].who:
        return items(
            runs(request.title, run(f". {request.do}", "strong") if request.do else "")
            for request in requests
        )
    titles = ("How many", "By when", "Price", "Who")
    columns = [
        Column(title="Done", align="center"),
        Column(title="What", share=1.0),
        *(Column(title=title) for title in titles),
    ]
    rows = [
        [
            [run("", "tick")],
            _request(request),
            *(
                runs(text or "–")
                for text in (request.count, request.by, request.price, request.who)
            ),
        ]
        for request in requests
    ]
    signed = ToFillIn(labels=["Done by, signature", "Date"])
    return [Table(columns=columns, rows=rows), Group(blocks=[signed])]


def _request(request: Request) -> list[Run]:
    return runs(
        run("Make safe. ", "strong") if request.safety else "",
        run(request.title, "strong"),
        f". {request.do}" if request.do else "",
        run(f" {request.covers}.", "small") if request.covers else "",
    )
