"""Rule sets: a choice of positions, one for each question it names, and the policy it makes.

What a rule set does not name is the default. A position sets fields of :class:`Policy`; nothing
else of the program knows schools.
"""

from __future__ import annotations

from collections.abc import Mapping

from ..errors import UnknownName
from ..language import msg
from .policy import Policy, with_values
from .questions import POLICY_QUESTIONS, PolicyQuestion

RuleSet = Mapping[str, str]
"""Position by question."""
STANDING = "standing."
"""Before a question's name: its position for standing alone."""


def policy_of(*bundles: RuleSet, base: Policy | None = None) -> Policy:
    """The policy that bundles make, later ones over earlier ones.

    Parameters
    ----------
    bundles : mapping of str to str
        Position by question; what begins with ``standing.`` is left out.
    base : Policy, optional
        What they start from.

    Raises
    ------
    UnknownName
        For a question or position that there is not.

    """
    chosen: dict[str, str] = {}
    for bundle in bundles:
        chosen.update({id: at for id, at in bundle.items() if not id.startswith(STANDING)})
    for id in chosen:
        question_of(id)
    sets: dict[str, float | str | bool] = {}
    for id, question in POLICY_QUESTIONS.items():  # the catalogue's order, whatever the bundle's
        if id in chosen:
            sets.update(question.position(chosen[id]).sets)
    return with_values(base or Policy(), sets)


def standing_policy_of(*bundles: RuleSet, base: Policy | None = None) -> Policy:
    """The policy for standing: the bundles, with what they say of standing alone on top."""
    alone: dict[str, str] = {}
    for id, at in (pair for bundle in bundles for pair in bundle.items()):
        if id.startswith(STANDING):
            question_of(id)
            alone[id.removeprefix(STANDING)] = at
    return policy_of(*bundles, alone, base=base)


def question_of(id: str) -> PolicyQuestion:
    """The question of this name; raises UnknownName."""
    question = POLICY_QUESTIONS.get(id.removeprefix(STANDING))
    if question is None or (id.startswith(STANDING) and not question.standing):
        raise UnknownName(
            field=id,
            value=id,
            choices=tuple(POLICY_QUESTIONS),
            message=msg("There is no question “{id}”.", id=id),
        )
    return question


def check_rule_set(bundle: RuleSet) -> None:
    """Raises UnknownName for a question or a position that there is not."""
    for id, at in bundle.items():
        question_of(id).position(at)


def defaults() -> dict[str, str]:
    """The default position of each question."""
    return {id: question.default for id, question in POLICY_QUESTIONS.items()}
