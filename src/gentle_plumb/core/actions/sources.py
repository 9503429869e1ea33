"""What actions are collected from."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..findings import Finding
from ..fit import FitRow
from ..observation import Technique
from ..plans import Added
from ..states import States, StepAnswers
from ..visit import RaisedRedFlag


@dataclass(frozen=True, kw_only=True)
class ActionSources:
    """What actions are collected from.

    ``order`` is the working order; ``states`` what became of everything that can be set; ``added`` what the chosen plan
    adds; ``techniques`` what is worth saying of how things are used; ``turns`` the ways to have a laptop alone, by
    identifier, in words; ``said`` what was said of an action, by its identifier in the record.
    """

    order: Sequence[FitRow]
    states: States
    added: Sequence[Added]
    findings: Sequence[Finding]
    red_flags: Sequence[RaisedRedFlag]
    said: Mapping[str, StepAnswers]
    techniques: Sequence[Technique] = ()
    turns: Sequence[tuple[str, str]] = ()
