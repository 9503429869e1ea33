"""The record for colleagues, laid out."""

from __future__ import annotations

from ...core.language import filled, joined, msg
from ..paper_models import PaperAction, RecordPaper
from .blocks import Block, Column, Heading, PaperLayout, Photographs, Table
from .parts import (
    action_runs,
    additions,
    causes,
    cautions,
    figure,
    got_worse,
    joints,
    place,
    precautions,
    red_flags,
    replaced,
    rhythm,
    settings,
    shortfalls,
    since_then,
)
from .pieces import about, framed, in_one_line, items, paragraph, run, runs, section

STATES = {"open": msg("to do"), "done": "done", "later": msg("not today"), "stopped": "stopped"}
STRAIN = msg(
    "Hours a day × share of the time × degrees out of range (up to 30°) ÷ 30°. A way to rank what to do first, not a prediction of injury."
)
"""How strain minutes are worked out: see :mod:`gentle_plumb.core.assessment`."""
SETTINGS = msg(
    "Target is the ideal; setting is what this equipment allows. ± is two standard deviations of the target. Below each “left at” is how it was measured."
)


def record_layout(paper: RecordPaper) -> PaperLayout:
    """Lay out the record: everything, with its method and how each number is known."""
    return PaperLayout(
        title=msg("Assessment record"),
        about=about(
            paper.client,
            paper.work or msg("job not recorded"),
            msg("visit on {visited}", visited=paper.visited),
            msg("follow-up on {follow_up_on}", follow_up_on=paper.follow_up_on)
            if paper.follow_up_on
            else msg("no follow-up set"),
        ),
        blocks=[
            *replaced(paper.replaces),
            *_named(msg("Reason"), paper.reason),
            *red_flags(paper.warning),
            *got_worse(paper.since),
            *([paragraph(run(paper.asked, "small"))] if paper.asked else ()),
            *precautions(paper.precautions),
            *_named(msg("Discomfort"), joined("; ", paper.discomfort)),
            *([framed("tinted", paper.note)] if paper.note else ()),
            *shortfalls(paper.shortfalls),
            *([framed("boxed", paper.worse)] if paper.worse else ()),
            *since_then(paper.since),
            *section(msg("Actions"), _actions(paper.actions)),
            *section(msg("Causes and findings"), *_good(paper), *causes(paper, evidence=True)),
            *section(msg("Strain minutes a day"), *_strain(paper)),
            *([Heading(level=2, text=paper.place)] if paper.place else ()),
            *section(msg("Found, target, setting, left at"), *_settings(paper)),
            *section(msg("Desk heights to return to"), *items(paper.desk), level=3),
            *(block for further in paper.places for block in place(further, method=True)),
            *_plan(paper),
            *section(
                msg("Drawing"),
                *figure(
                    paper,
                    msg(
                        "Side view of {client} seated and standing beside a height scale; the numbers are in the table above.",
                        client=paper.client,
                    ),
                ),
            ),
            *joints(paper.joints),
            *([Photographs(title=msg("Photos"), photos=paper.photos)] if paper.photos else ()),
            *section(msg("Body measurements"), *_body(paper)),
            *section(msg("Work and breaks"), *rhythm(paper.rhythm)),
            *section(msg("Method"), *items([run(line, "small")] for line in paper.method)),
            *section(msg("Not assessed"), *items(paper.notes)),
            *section(
                msg("Noted"),
                *(
                    [paragraph(run(filled("{noted}.", noted=joined("; ", paper.noted)), "small"))]
                    if paper.noted
                    else ()
                ),
            ),
            *cautions(paper.cautions, paper.local_wording),
        ],
    )


def _named(name: str, text: str) -> list[Block]:
    return [paragraph(run(filled("{name}\n", name=name), "soft"), text)] if text else []


def _good(paper: RecordPaper) -> list[Block]:
    return (
        [paragraph(msg("Done well: {in_one_line}.", in_one_line=in_one_line(paper.good)))]
        if paper.good
        else []
    )


def _actions(actions: list[PaperAction]) -> Block:
    if not actions:
        return paragraph(msg("Nothing: everything checked is as it should be."))
    priced = any(action.price for action in actions)
    rows = [
        [
            [
                *action_runs(action, who=False),
                *runs(
                    run(
                        filled(" {resolves}", resolves=joined(", ", action.resolves)),
                        "small",
                        "soft",
                    )
                    if action.resolves
                    else ""
                ),
            ],
            runs(action.who),
            runs(action.when),
            *([runs(action.price)] if priced else ()),
            runs(STATES[action.state]),
        ]
        for action in actions
    ]
    columns = [
        Column(title=msg("What"), share=1.0),
        *(Column(title=title) for title in (msg("Who"), msg("When"))),
        *([Column(title=msg("Price"))] if priced else ()),
        Column(title=msg("State")),
    ]
    return Table(columns=columns, rows=rows)


def _strain(paper: RecordPaper) -> list[Block]:
    rows = [
        [
            runs(region.label),
            runs(msg("{minutes} min", minutes=region.minutes)),
            runs(run("\n".join(region.sums), "small", "soft")),
        ]
        for region in paper.strain
    ]
    columns = [
        Column(title=msg("Region")),
        Column(title=msg("Minutes"), align="right"),
        Column(title=msg("Sum"), share=1.0),
    ]
    note = paragraph(run(STRAIN, "small", "soft"))
    return [Table(columns=columns, rows=rows), note] if rows else []


def _settings(paper: RecordPaper) -> list[Block]:
    said = joined(", ", paper.self_reported)
    estimated = joined(", ", paper.estimated)
    notes = [
        run(SETTINGS, "small", "soft"),
        run(
            msg("Reported by the client, not confirmed: {said}.", said=said) if said else "",
            "small",
        ),
        run(
            msg("~ based on estimated dimensions: {estimated}.", estimated=estimated)
            if estimated
            else "",
            "small",
        ),
    ]
    return [
        settings(paper.table, method=True),
        *([paragraph(paper.standing)] if paper.standing else ()),
        *(paragraph(note) for note in notes if note.text),
    ]


def _plan(paper: RecordPaper) -> list[Block]:
    plan = paper.plan
    chosen = msg("Options: {chosen}.", chosen=joined("; ", plan.chosen)) if plan.chosen else ""
    return [
        *section(
            msg("{label}: equipment", label=plan.label),
            *additions(plan.added, removes=True),
            *(paragraph(run(words, "small")) for words in plan.cautions if plan.added),
        ),
        *section(msg("Between sitting and standing"), *items(plan.moves), level=3),
        *([paragraph(run(chosen, "small"))] if chosen else ()),
    ]


def _body(paper: RecordPaper) -> list[Block]:
    rows = [
        [
            runs(dimension.label),
            runs(dimension.value),
            runs(
                filled("± {plus_minus}", plus_minus=dimension.plus_minus)
                if dimension.plus_minus
                else ""
            ),
            runs(run(dimension.how, "small", "soft")),
        ]
        for dimension in paper.body
    ]
    columns = [
        Column(title=msg("Dimension")),
        Column(title=msg("Value"), align="right"),
        Column(title="±"),
        Column(title=msg("How"), share=1.0),
    ]
    return [Table(columns=columns, rows=rows)] if rows else []
