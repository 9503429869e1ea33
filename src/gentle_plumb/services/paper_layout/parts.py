"""What several papers have in common, as blocks."""

from __future__ import annotations

from collections.abc import Sequence

from ...core.language import filled, joined, msg, numeral
from ..paper_models import (
    ClientPaper,
    PaperAction,
    PaperAdded,
    PaperCause,
    PaperFinding,
    PaperFlag,
    PaperJoint,
    PaperPlace,
    PaperPrecaution,
    PaperRhythm,
    PaperRow,
    PaperSince,
    RecordPaper,
    WorkplacePaper,
)
from .blocks import Block, Column, Drawing, Group, Run, Table
from .pieces import framed, items, paragraph, run, runs, section

FOR_A_TIME = msg("for now: agree a date to review it")


def looked_at_again(day: str) -> str:
    """Return when the client is seen next, empty without a day."""
    return msg("review on {day}", day=day) if day else ""


def red_flags(flags: Sequence[PaperFlag]) -> list[Block]:
    """Return the red flags that are there, each with what was done."""
    return [
        framed(
            "boxed",
            run(filled("{urgency}.", urgency=flag.urgency), "strong"),
            filled(" {label}. ", label=flag.label),
            flag.done or run(msg("Not answered yet."), "strong"),
            msg(" We will call back on {call_back}.", call_back=flag.call_back)
            if flag.done and flag.call_back
            else "",
        )
        for flag in flags
    ]


def precautions(cares: Sequence[PaperPrecaution]) -> list[Block]:
    """Return the precautions, each with what is kept to or by whom it was cleared."""
    return [
        framed(
            "barred",
            run(filled("{label}.", label=care.label), "strong"),
            msg(" Cleared: {cleared}.", cleared=care.cleared)
            if care.cleared is not None
            else msg(" {limit} Ask: {ask}.", limit=care.limit, ask=care.ask),
            *(filled(" {line}", line=line) for line in care.limits_cleared if care.cleared is None),
            filled(" {note}", note=care.note) if care.note else "",
        )
        for care in cares
    ]


def shortfalls(sentences: Sequence[str]) -> list[Block]:
    """Return what does not fit with the plan."""
    return [
        framed(
            "boxed", run(msg("Not met with this plan."), "strong"), filled(" {words}", words=words)
        )
        for words in sentences
    ]


def action_runs(action: PaperAction, *, who: bool = True) -> list[Run]:
    """Return one thing to do, with who does it and when where that is wanted."""
    settled = action.told
    shows_who = who and action.who != "Practitioner" and not settled
    price = msg(", price: {price}", price=action.price) if action.price else ""
    return runs(
        *_standing(action.posture),
        action.words or action.text,
        run(msg(" Computed: {text}", text=action.text), "small", "soft") if action.words else "",
        run(filled(" {remark}", remark=action.remark), "italic")
        if action.remark
        else run(msg(" Not today."), "italic")
        if action.state == "later" and not settled
        else "",
        run(filled(" {who}, {when}{price}.", who=action.who, when=action.when, price=price), "soft")
        if shows_who
        else "",
        run(msg(" For now: agree a date to review it."), "soft") if action.temporary else "",
    )


def _standing(posture: str) -> list[Run]:
    return [run(msg("Standing. "), "italic")] if posture == "standing" else []


def causes(
    paper: ClientPaper | RecordPaper, *, evidence: bool, more: Sequence[Block] = ()
) -> list[Block]:
    """Return the causes with their findings; ``evidence``: with load, limits and what was measured."""
    blocks: list[Block] = [_cause(cause, evidence=evidence) for cause in paper.causes]
    if not blocks:
        blocks = [paragraph(msg("Everything measured is in range."))]
    blocks += more
    if paper.unexplained:
        blocks.append(
            paragraph(
                msg(
                    "Not explained by anything found here: {unexplained}.",
                    unexplained=joined("; ", paper.unexplained),
                )
            )
        )
    return blocks


def _cause(cause: PaperCause, *, evidence: bool) -> Group:
    title = paragraph(
        run(cause.words or cause.title, "strong"),
        run(msg(" Computed: {title}", title=cause.title), "small", "soft") if cause.words else "",
        run(msg(" (left out of the client’s report)"), "small", "soft")
        if evidence and cause.left_out
        else "",
        run(msg(" {minutes} min a day", minutes=cause.minutes), "soft")
        if evidence and cause.minutes is not None
        else "",
        run(msg(". May explain: {explains}.", explains=joined("; ", cause.explains)), "soft")
        if cause.explains
        else "",
    )
    listed = [_finding(finding, evidence=evidence) for finding in cause.findings]
    return Group(blocks=[title, *items(listed)])


def _finding(finding: PaperFinding, *, evidence: bool) -> list[Run]:
    return runs(
        *_standing(finding.posture),
        run(finding.cause, "small"),
        run(msg(" (not confirmed)"), "small", "soft") if not finding.confirmed else "",
        run(msg(" Limit: {left}.", left=finding.left), "small", "italic")
        if evidence and finding.left
        else "",
        run(filled(" {evidence}", evidence=joined("; ", finding.evidence)), "small", "soft")
        if evidence and finding.evidence
        else "",
    )


def settings(table: Sequence[PaperRow], *, method: bool = False) -> Table:
    """Return the settings as found, aimed at, set and left.

    Target is the ideal, setting what the equipment allows of it; versions signed before the two were told apart hold
    the setting as their target. ``method``: with how sure a target is, and how it is known what was left.
    """
    has_settings = any(row.setting for row in table)
    titles = [
        msg("Found"),
        msg("Target"),
        *([msg("Setting")] if has_settings else []),
        msg("Left at"),
        msg("Still off"),
    ]
    rows = []
    for row in table:
        plus_minus = (
            filled("\n± {plus_minus}", plus_minus=row.plus_minus)
            if method and row.plus_minus
            else ""
        )
        how = filled("\n{how}", how=row.how) if method and row.how else ""
        rows.append(
            [
                runs(
                    row.label,
                    run(msg(", standing"), "soft") if row.posture == "standing" else "",
                    run(filled("\n{note}", note=row.note), "small", "soft") if row.note else "",
                ),
                runs(row.before),
                runs(row.target, run(plus_minus, "fine", "soft") if plus_minus else ""),
                *([runs(row.setting)] if has_settings else []),
                runs(row.after, run(how, "fine", "soft") if how else ""),
                runs(row.left),
            ]
        )
    columns = [Column(title=msg("What"), share=1.0)]
    return Table(
        columns=columns + [Column(title=title, align="right") for title in titles], rows=rows
    )


def joints(table: Sequence[PaperJoint]) -> list[Block]:
    """Return the joints before and as aimed at, with their bands."""
    rows = [
        [
            runs(
                joint.label, run(msg(", standing"), "soft") if joint.posture == "standing" else ""
            ),
            runs(joint.band),
            runs(_angle(joint.found, off=joint.found_off)),
            runs(_angle(joint.aim, off=joint.aim_off)),
        ]
        for joint in table
    ]
    columns = [
        Column(title=msg("Joint"), share=1.0),
        *(
            Column(title=title, align="right")
            for title in (msg("Range"), msg("Before"), msg("Planned"))
        ),
    ]
    return section(msg("Joints"), Table(columns=columns, rows=rows)) if rows else []


def _angle(angle: str | None, *, off: bool) -> str:
    """Return an angle, and that it is out of its range where it is."""
    return msg("{angle} (off)", angle=angle or "–") if off else angle or "–"


def additions(added: Sequence[PaperAdded], *, removes: bool) -> list[Block]:
    """Return what the plan adds, with its price; ``removes``: and with what it takes away."""
    rows = [
        [
            runs(
                piece.label,
                run(
                    filled(
                        " {does}{what}",
                        does=piece.does,
                        what=filled(", {for_a_time}", for_a_time=FOR_A_TIME)
                        if piece.temporary
                        else "",
                    ),
                    "small",
                    "soft",
                ),
            ),
            runs(piece.price),
            *(
                [runs(filled("−{minutes}", minutes=piece.removes) if piece.removes else "")]
                if removes
                else []
            ),
        ]
        for piece in added
    ]
    columns = [Column(title=msg("What"), share=1.0), Column(title=msg("Price"))]
    if removes:
        columns.append(Column(title=msg("Removes"), align="right"))
    return [Table(columns=columns, rows=rows)] if rows else []


def place(paper: PaperPlace, *, method: bool = False, actions: bool = True) -> list[Block]:
    """Return a further place: what is done there, how it is set, and what changes on the way over."""
    lines = [*(paper.actions if actions else ()), *paper.desk, *paper.moves]
    return section(
        filled("{name}: {use}", name=paper.name, use=paper.use.lower()),
        *(shortfalls(paper.shortfalls) if actions else ()),
        *items(lines),
        *([settings(paper.table, method=method)] if paper.table else ()),
    )


def figure(paper: ClientPaper | WorkplacePaper | RecordPaper, alt: str) -> list[Block]:
    """Return the side view to scale, with what its flags say."""
    if paper.scene is None:
        return []
    flags = (
        msg(
            "as left. Flags show the height as left and what still has to change; thick ticks mark the target."
        )
        if paper.scene_shows == "left"
        else msg(
            "as planned. Flags show the setting and what has to change; thick ticks mark the height as found."
        )
    )
    return [Drawing(of="scene", alt=alt, caption=msg("Side view to scale, {flags}", flags=flags))]


def rhythm(pattern: PaperRhythm | None) -> list[Block]:
    """Return how the hours at the desk are divided."""
    if pattern is None:
        return []
    stand = (
        msg("{stand} min standing, ", stand=numeral(f"{pattern.stand:.0f}"))
        if pattern.stand > 0
        else ""
    )
    longest = (
        msg(
            " and {longest_stand} min standing",
            longest_stand=numeral(f"{pattern.longest_stand:.0f}"),
        )
        if pattern.longest_stand > 0
        else ""
    )
    change = (
        msg(
            "moving; never longer than {longest_sit} min seated{longest} at a time.",
            longest_sit=numeral(f"{pattern.longest_sit:.0f}"),
            longest=longest,
        )
        if pattern.walks
        else msg(
            "of weight shifts, at least every {longest_sit} min.",
            longest_sit=numeral(f"{pattern.longest_sit:.0f}"),
        )
    )
    return [
        paragraph(
            run(filled("{label}.", label=pattern.label), "strong"),
            msg(
                " {says} Over {hours} h at the desk: {sit} min sitting, {stand}{move} min {change}",
                says=pattern.says,
                hours=numeral(f"{pattern.hours:g}"),
                sit=numeral(f"{pattern.sit:.0f}"),
                stand=stand,
                move=numeral(f"{pattern.move:.0f}"),
                change=change,
            ),
        )
    ]


def replaced(lines: Sequence[str]) -> list[Block]:
    """Return which version this one takes the place of, and what has changed since."""
    if not lines:
        return []
    changes = items(lines[1:])
    first = paragraph(run(lines[0], "strong"), msg(" What has changed:") if changes else "")
    return [Group(frame="barred", blocks=[first, *changes])]


def cautions(lines: Sequence[str], *more: str) -> list[Block]:
    """Return what is to be borne in mind, with the practice's own wording."""
    return [Group(blocks=section(msg("Please note"), *items([*lines, *more])))]


def got_worse(since: PaperSince | None) -> list[Block]:
    """Return what hurts more than at the visit before: it stands on the first page."""
    if since is None or not since.worse:
        return []
    return [
        framed(
            "boxed",
            run(msg("Worse than on {on}.", on=since.on), "strong"),
            filled(" {worse}.", worse=joined("; ", since.worse)),
        )
    ]


def since_then(since: PaperSince | None) -> list[Block]:
    """Return what has become of the client since the visit before."""
    if since is None:
        return []
    named = {
        "Gone": since.resolved,
        "Still there": since.unchanged,
        "New": since.new,
        "Not checked again": since.not_assessed,
    }
    lines = [
        *since.discomfort,
        *(
            filled("{name}: {titles}.", name=name, titles=joined("; ", titles))
            for name, titles in named.items()
            if titles
        ),
        *since.drift,
        *(msg("Temporary: {line}", line=line) for line in since.temporary),
    ]
    return section(msg("Since {on}", on=since.on), *items(lines))
