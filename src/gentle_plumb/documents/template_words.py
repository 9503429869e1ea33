"""The few words that stand in the papers' templates themselves."""

from __future__ import annotations

import json

from ..core.language import Language, msg

TEMPLATE_WORDS: dict[str, str] = {
    "version": msg("version"),
    "draft": msg("draft, not signed"),
    "not_signed": msg("Draft. Not signed."),
    "of": msg("{page} of {all}"),
    "signed": msg("Signed"),
    "on": msg("On"),
    "registration": msg("registration"),
    "frozen": msg("frozen"),
    "digest": msg("SHA-256 of what was signed:"),
    "card": msg("Settings card"),
    "card_view": msg(
        "Side view of the workstation beside a staff; the numbers are in the table below."
    ),
    "sitting": msg("Sitting"),
    "standing": msg("Standing"),
    "not_measured": msg("not measured"),
    "for_a_time": msg("For a time:"),
    "code": msg("The numbers of this card as text, to scan."),
    "code_holds": msg("The code holds these numbers as text and needs no network."),
    "comfort": msg("Comfort overrules a number, and pain overrules comfort."),
}


def template_words(language: Language) -> str:
    """Return the templates' words in a language, as JSON."""
    return json.dumps({"lang": language.tag, **language.say(TEMPLATE_WORDS)})
