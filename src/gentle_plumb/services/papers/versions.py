"""What a later version says of the one before: that it takes its place, and what has changed."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ...core.words import say
from ..paper_models import RecordPaper

MOST_CHANGES = 12
"""So many changes are named one by one; the rest is counted. House value."""


def replaces(before: Mapping[str, Any], now: RecordPaper) -> list[str]:
    """Return what the new version replaces, and what has changed since.

    Parameters
    ----------
    before : mapping
        Content of the version before, as frozen.
    now : RecordPaper

    """
    old = before.get("record", before)  # versions signed before the papers were parted hold one
    found = [say("paper.replaces", version=f"{old['version']}", on=f"{old.get('signed_on') or ''}")]
    changes = [*_settings(old, now), *_actions(old, now), *_causes(old, now)]
    found += changes[:MOST_CHANGES]
    if len(changes) > MOST_CHANGES:
        found.append(say("paper.more_changes", many=f"{len(changes) - MOST_CHANGES}"))
    return found


def _settings(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {(row["posture"], row["label"]): row for row in old.get("table", ())}
    found = []
    for row in now.table:
        was = before.get((row.posture, row.label))
        told = was is not None and bool(was.get("setting"))  # older versions hold it as the target
        setting = row.target if told else row.setting
        for what, new in (("target", setting), ("after", row.after)):
            if was is not None and was[what] != new:
                found.append(
                    say(
                        f"paper.changed_{what}",
                        label=row.label,
                        posture="sitting" if row.posture == "seated" else "standing",
                        was=was[what],
                        now=new,
                    )
                )
    return found


def _actions(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {one["id"]: one for one in old.get("actions", ())}
    found = []
    for one in now.actions:
        was = before.get(one.id)
        if was is None:
            found.append(say("paper.action_new", what=one.text))
        elif was["state"] != one.state and one.state == "done":
            found.append(say("paper.action_done", what=one.text))
    kept = {one.id for one in now.actions}
    found += [
        say("paper.action_gone", what=one["text"]) for id, one in before.items() if id not in kept
    ]
    return found


def _causes(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {one["title"] for one in old.get("causes", ())}
    after = {one.title for one in now.causes}
    return [
        *(say("paper.cause_new", what=one) for one in sorted(after - before)),
        *(say("paper.cause_gone", what=one) for one in sorted(before - after)),
    ]
