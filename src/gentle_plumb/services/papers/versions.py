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
    texts = [say("paper.replaces", version=f"{old['version']}", on=f"{old.get('signed_on') or ''}")]
    changes = [*_settings(old, now), *_actions(old, now), *_causes(old, now)]
    texts += changes[:MOST_CHANGES]
    if len(changes) > MOST_CHANGES:
        texts.append(say("paper.more_changes", many=f"{len(changes) - MOST_CHANGES}"))
    return texts


def _settings(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {(row["posture"], row["label"]): row for row in old.get("table", ())}
    settings = []
    for row in now.table:
        was = before.get((row.posture, row.label))
        has_target = was is not None and bool(
            was.get("setting")
        )  # older versions hold it as the target
        setting = row.target if has_target else row.setting
        for what, new in (("target", setting), ("after", row.after)):
            if was is not None and was[what] != new:
                settings.append(
                    say(
                        f"paper.changed_{what}",
                        label=row.label,
                        posture="sitting" if row.posture == "seated" else "standing",
                        was=was[what],
                        now=new,
                    )
                )
    return settings


def _actions(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {one["id"]: one for one in old.get("actions", ())}
    actions = []
    for action in now.actions:
        was = before.get(action.id)
        if was is None:
            actions.append(say("paper.action_new", what=action.text))
        elif was["state"] != action.state and action.state == "done":
            actions.append(say("paper.action_done", what=action.text))
    kept = {action.id for action in now.actions}
    actions += [
        say("paper.action_gone", what=one["text"]) for id, one in before.items() if id not in kept
    ]
    return actions


def _causes(old: Mapping[str, Any], now: RecordPaper) -> list[str]:
    before = {one["title"] for one in old.get("causes", ())}
    after = {cause.title for cause in now.causes}
    return [
        *(say("paper.cause_new", what=text) for text in sorted(after - before)),
        *(say("paper.cause_gone", what=one) for one in sorted(before - after)),
    ]
