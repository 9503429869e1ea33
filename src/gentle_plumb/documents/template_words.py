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
    "cleared": msg("Cleared: {by}."),
    "ask": msg("Ask: {whom}."),
    "client": msg("Client"),
    "referral": msg("Referral"),
    "to": msg("To:"),
    "born": msg("born {year}"),
    "seen_on": msg("Seen on"),
    "work": msg("Work"),
    "how_soon": msg("How soon"),
    "sign": msg("At an assessment of the workplace, the client answered yes to this:"),
    "no_diagnosis": msg("This is not a diagnosis."),
    "reported": msg("What the client reported"),
    "seen": msg("What we saw"),
    "done": msg("What was done at the workplace"),
    "informed": msg("What the client was told"),
    "limits": msg("What we keep to until you answer"),
    "conditions": msg("Known conditions"),
    "question": msg("Our question"),
    "from_day": msg("From which day"),
    "name_signature_date": msg("Name, signature, date"),
    "return": msg(
        "Please return this page to us. Your answer is recorded with your name and its date."
    ),
    "call_back": msg("We call the client back on {day}."),
    "request": msg("Request to the workplace"),
    "for": msg("For {client} · visit on {day}"),
    "again": msg("review on {day}"),
    "tick": msg(
        "Please tick what has been done, and send this form back to us. It holds no health information."
    ),
    "nothing_asked": msg("Nothing is asked for."),
    "make_safe": msg("Make safe."),
    "how_many": msg("how many: {count}"),
    "by": msg("by: {who}"),
    "price": msg("price: {price}"),
    "note": msg("Note"),
    "done_by": msg("Done by"),
    "date": msg("Date"),
    "erasure": msg("Proof of erasure"),
    "erased": msg("Erased"),
    "what": msg("What"),
    "why": msg("Why"),
    "erased_by": msg("By"),
    "reference": msg("Reference"),
    "gone": msg("What was there, and is gone"),
    "searched": msg("What was searched"),
    "backups": msg("Backups"),
    "log": msg("In the activity log"),
}


def template_words(language: Language) -> str:
    """Return the templates' words in a language, as JSON."""
    return json.dumps({"lang": language.tag, **language.say(TEMPLATE_WORDS)})
