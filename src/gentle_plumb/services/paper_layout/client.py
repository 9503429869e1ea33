"""The client's paper, laid out."""

from __future__ import annotations

from ...core.language import filled, joined, msg
from ..paper_models import CardLine, ClientPaper, PaperMovement
from .blocks import (
    Block,
    Column,
    Drawing,
    Group,
    Heading,
    Items,
    PaperLayout,
    Photographs,
    Run,
    Table,
)
from .parts import (
    action_runs,
    causes,
    cautions,
    figure,
    got_worse,
    looked_at_again,
    place,
    precautions,
    red_flags,
    replaced,
    rhythm,
    shortfalls,
    since_then,
)
from .pieces import about, in_one_line, items, paragraph, run, runs, section

CARRIES_FILES = msg(
    "This file also contains your measurements and answers. Give your workplace its own copy instead, which does not."
)


def client_layout(paper: ClientPaper, *, carries_files: bool = False) -> PaperLayout:
    """Lay out the client's paper: what to act on first, then the day, the movements, and why."""
    return PaperLayout(
        title=msg("Your workplace"),
        about=about(paper.client, paper.visited, looked_at_again(paper.follow_up_on)),
        blocks=[
            *red_flags(paper.warning),
            *got_worse(paper.since),
            *precautions(paper.precautions),
            *shortfalls(paper.shortfalls),
            *_first(paper),
            *([paragraph(run(paper.note, "italic"))] if paper.note else ()),
            *_habits(paper),
            *section(msg("Your limits"), *items(paper.limits)),
            _whom_to_call(paper),
            *section(msg("Your settings"), *_numbers(paper.numbers)),
            *figure(
                paper,
                msg(
                    "Side view of {client} at the workstation; the numbers are in the table above.",
                    client=paper.client,
                ),
            ),
            *(block for further in paper.places for block in place(further)),
            *_done(paper),
            *_todo(paper),
            *section(msg("For now"), *items(paper.temporary), level=3),
            *section(msg("Your day"), *rhythm(paper.rhythm), *_day(paper)),
            *section(msg("Your movements"), *_movements(paper)),
            *since_then(paper.since),
            *section(msg("Why"), *causes(paper, evidence=False, more=_further(paper))),
            *([Photographs(photos=paper.photos[:2])] if paper.photos else ()),
            *replaced(paper.replaces),
            *cautions(paper.cautions, paper.local_wording, CARRIES_FILES if carries_files else ""),
        ],
    )


def _first(paper: ClientPaper) -> list[Block]:
    listed = [
        [
            *action_runs(action),
            *runs(run(filled(" {helps}", helps=action.helps), "small") if action.helps else ""),
        ]
        for action in paper.first
    ]
    if not listed:
        return []
    return section(msg("First"), Group(frame="tinted", blocks=[Items(numbered=True, items=listed)]))


def _habits(paper: ClientPaper) -> list[Block]:
    good = paper.keep_doing
    return (
        [paragraph(msg("Keep doing this: {in_one_line}.", in_one_line=in_one_line(good)))]
        if good
        else []
    )


def _whom_to_call(paper: ClientPaper) -> Group:
    call = msg("Questions: {call}", call=paper.call) if paper.call else ""
    heading = Heading(level=2, text=msg("When to stop, and who to call"))
    return Group(blocks=[heading, *items([*paper.stop, call])])


def _numbers(lines: list[CardLine]) -> list[Block]:
    """Return the numbers, each with what it is: left at, as found, still to set.

    Versions signed before that was said have a star at what nobody measured.
    """

    def starred(line: CardLine) -> bool:
        return not line.sure and not line.seated_is and not line.standing_is

    def cell(number: str, is_what: str) -> list[Run]:
        return runs(
            number or "–",
            run(filled(" {is_what}", is_what=is_what), "fine", "soft") if is_what else "",
        )

    if not lines:
        return []
    table = Table(
        columns=[
            Column(title="", share=1.0),
            Column(title=msg("Sitting"), align="right"),
            Column(title=msg("Standing"), align="right"),
        ],
        rows=[
            [
                runs(filled("{label}{star}", label=line.label, star=" *" if starred(line) else "")),
                cell(line.seated, line.seated_is),
                cell(line.standing, line.standing_is),
            ]
            for line in lines
        ],
        close=True,
    )
    star = paragraph(run(msg("* set to target, not measured."), "small", "soft"))
    return [table, *([star] if any(starred(line) for line in lines) else ())]


def _done(paper: ClientPaper) -> list[Block]:
    set_today = (
        [runs(msg("Set, {set_today}.", set_today=paper.set_today))] if paper.set_today else []
    )
    done = [action_runs(action, who=False) for action in paper.done]
    return section(msg("Done today"), *items([*set_today, *done]))


def _todo(paper: ClientPaper) -> list[Block]:
    to_set = (
        [runs(msg("Set to the values above, {to_set}.", to_set=paper.to_set))]
        if paper.to_set
        else []
    )
    listed = items([*to_set, *(action_runs(action) for action in paper.todo)])
    if listed and paper.costs:
        listed.append(paragraph(msg("Still to buy, in total: {costs}.", costs=paper.costs)))
    return section(msg("Still to do"), *listed)


def _day(paper: ClientPaper) -> list[Block]:
    day = paper.day
    if day is None:
        return []
    alt = msg(
        "The day from {start} to {end}: low = sitting, high = standing, between = moving.",
        start=day.start,
        end=day.end,
    )
    bar: list[Block] = [Drawing(of="day.scene", alt=alt)] if day.scene is not None else []
    return [Group(blocks=[*bar, *items([*day.weeks, day.eyes, *day.tips])])]


def _movements(paper: ClientPaper) -> list[Block]:
    rules: list[Block] = (
        [paragraph(joined(" ", paper.movement_rules))] if paper.movement_rules else []
    )
    return rules + [_movement(index, each) for index, each in enumerate(paper.movements)]


def _movement(index: int, movement: PaperMovement) -> Group:
    """Return a movement beside its moments."""
    moments = [
        Drawing(
            of=f"movements.{index}.scenes.{moment}",
            alt=filled("{label}: {says}", label=movement.label, says=says),
            caption=says,
        )
        for moment, says in enumerate(movement.says[: len(movement.scenes)])
    ]
    steps = Items(numbered=True, items=[runs(step) for step in movement.steps])
    return Group(
        drawings=moments,
        blocks=[
            paragraph(
                run(filled("{label}.", label=movement.label), "strong"),
                filled(" {dose}. {start}.", dose=movement.dose, start=movement.start),
            ),
            steps,
            paragraph(
                run(
                    msg("Felt: {felt}. Not {never}.", felt=movement.felt, never=movement.never),
                    "small",
                )
            ),
        ],
    )


def _further(paper: ClientPaper) -> list[Block]:
    if not paper.further_causes:
        return []
    words = msg(
        "And {further_causes} less important ones: see the record.",
        further_causes=paper.further_causes,
    )
    return [paragraph(run(words, "soft"))]
