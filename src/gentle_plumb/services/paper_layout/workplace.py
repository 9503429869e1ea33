"""The workplace's paper, laid out: furniture, room and hours, and nothing else."""

from __future__ import annotations

from ...core.language import filled, joined, msg
from ..paper_models import Request, WorkplacePaper
from .blocks import Block, Column, Group, PaperLayout, Run, Table, ToFillIn
from .parts import (
    additions,
    cautions,
    figure,
    joints,
    looked_at_again,
    place,
    replaced,
    rhythm,
    settings,
)
from .pieces import about, framed, items, paragraph, run, runs, section


def workplace_layout(paper: WorkplacePaper) -> PaperLayout:
    """Lay out the workplace's paper."""
    chosen = msg("Options: {chosen}.", chosen=joined("; ", paper.chosen)) if paper.chosen else ""
    return PaperLayout(
        title=msg("Workplace adjustments"),
        about=about(
            msg("For {client}", client=paper.client),
            msg("visit on {visited}", visited=paper.visited),
            paper.work,
            looked_at_again(paper.follow_up_on),
        ),
        blocks=[
            paragraph(
                run(
                    msg(
                        "Workplace copy: furniture, room and hours. Health information is left out."
                    ),
                    "soft",
                )
            ),
            *(framed("boxed", run(words, "strong")) for words in paper.limits),
            *section(msg("Requested changes"), *_requests(paper.requests)),
            *section(msg("Equipment to buy"), *additions(paper.added, removes=False)),
            *section(msg("Found, target, setting, left at"), settings(paper.table)),
            *(block for further in paper.places for block in place(further, actions=False)),
            *section(msg("Between sitting and standing"), *items(paper.moves)),
            *([paragraph(run(chosen, "small"))] if chosen else ()),
            *section(
                msg("Drawing"),
                *figure(
                    paper,
                    msg(
                        "Side view of the workstation beside a height scale; the numbers are in the table above."
                    ),
                ),
            ),
            *joints(paper.joints),
            *section(msg("Hours"), *rhythm(paper.rhythm)),
            *replaced(paper.replaces),
            *cautions(
                paper.cautions,
                paper.local_wording,
                msg("Questions: {call}", call=paper.call) if paper.call else "",
            ),
        ],
    )


def _requests(requests: list[Request]) -> list[Block]:
    """Return what is asked for, a line each with a box to tick, and where it is signed when done.

    Versions signed before each request said who does it list them.
    """
    if not requests:
        return [paragraph(msg("Nothing apart from the settings below."))]
    if not requests[0].who:
        return items(
            runs(
                request.title, run(filled(". {do}", do=request.do), "strong") if request.do else ""
            )
            for request in requests
        )
    titles = (msg("How many"), msg("By when"), msg("Price"), msg("Who"))
    columns = [
        Column(title=msg("Done"), align="center"),
        Column(title=msg("What"), share=1.0),
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
    signed = ToFillIn(labels=[msg("Done by, signature"), msg("Date")])
    return [Table(columns=columns, rows=rows), Group(blocks=[signed])]


def _request(request: Request) -> list[Run]:
    return runs(
        run(msg("Make safe. "), "strong") if request.safety else "",
        run(request.title, "strong"),
        filled(". {do}", do=request.do) if request.do else "",
        run(filled(" {covers}.", covers=request.covers), "small") if request.covers else "",
    )
