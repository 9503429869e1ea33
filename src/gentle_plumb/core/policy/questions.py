"""Where practitioners disagree: each question with its positions, and the reason for each; from questions.toml."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from ..errors import UnknownName
from ..language import Words, joined, msg
from ..pace import RHYTHMS
from ..tables import entry, toml_table


@dataclass(frozen=True, kw_only=True)
class PolicyOption:
    """One answer: what it says, why its followers hold it, and the policy fields it sets."""

    id: str
    label: Words
    why: Words
    sets: Mapping[str, float | str | bool] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class PolicyQuestion:
    """One disagreement. ``targets`` are the rows it moves; ``standing`` whether it does so there too."""

    id: str
    label: Words
    positions: tuple[PolicyOption, ...]
    default: str
    targets: tuple[str, ...] = ()
    standing: bool = False

    def position(self, id: str) -> PolicyOption:
        """The position of this name; raises UnknownName."""
        for option in self.positions:
            if option.id == id:
                return option
        raise UnknownName(
            field=self.id,
            value=id,
            choices=tuple(position.id for position in self.positions),
            message=msg(
                "{label}: there is no “{id}”; one of {id2}",
                label=self.label,
                id=id,
                id2=joined(", ", (position.id for position in self.positions)),
            ),
        )


def _question(id: str, given: Mapping[str, Any]) -> PolicyQuestion:
    place = msg("questions.toml: {id}", id=id)
    positions = tuple(
        entry(PolicyOption, {"id": name, **option}, f"{place}, {name}", {})
        for name, option in given["positions"].items()
    )
    if id == "rhythm":
        positions += tuple(
            PolicyOption(
                id=rhythm.id, label=rhythm.label, why=rhythm.says, sets={"rhythm": rhythm.id}
            )
            for rhythm in RHYTHMS.values()
        )
    facts = {name: value for name, value in given.items() if name != "positions"}
    question = entry(
        PolicyQuestion,
        {"id": id, **facts, "positions": positions},
        place,
        {"positions": lambda positions: positions},
    )
    question.position(question.default)
    return question


POLICY_QUESTIONS: dict[str, PolicyQuestion] = {
    id: _question(id, given) for id, given in toml_table(__package__, "questions.toml").items()
}
"""Every question by name, in the order in which they are asked."""
