"""Ask: before anything is touched."""

from __future__ import annotations

from ...catalogue import TASKS
from ...intake import CONSENTS, OFTEN, PRECAUTIONS, RED_FLAGS, REGIONS, STRONGEST
from .field import HAND, YES, Field, amount, choice, length, words

LOWER_LENS = ("bifocal", "progressive")

_CONSENT = tuple(
    choice(
        f"ask.consent.{consent.id}",
        "Consent",
        consent.label,
        {"yes": "Given", "no": "Not given", "withdrawn": "Withdrawn"},
        help=consent.says,
        needed=consent.id == "notes",
    )
    for consent in CONSENTS.values()
)

DONE_HELP = "Whom the client was sent to, how soon, and what they were told."
_SIGNS = (
    choice(
        "ask.warning",
        "Red flags",
        "Any other sign",
        {"none": "No other", "clinician": "Yes: clinician first", "urgent": "Yes: care now"},
        needed=True,
        health=True,
        help="Answered once all of them were asked about.",
    ),
    words(
        "ask.warning_done",
        "Red flags",
        "What was done about it",
        health=True,
        help=DONE_HELP,
        when=(("ask.warning", ("clinician", "urgent")),),
    ),
    words(
        "ask.warning_by",
        "Red flags",
        "By whom",
        health=True,
        when=(("ask.warning", ("clinician", "urgent")),),
    ),
    *(
        field
        for sign in RED_FLAGS.values()
        for field in (
            choice(f"ask.sign.{sign.id}", "Red flags", sign.label, YES, health=True, needed=True),
            words(
                f"ask.sign.{sign.id}.done",
                "Red flags",
                "What was done about it",
                help=DONE_HELP,
                health=True,
                when=((f"ask.sign.{sign.id}", ("yes",)),),
            ),
            words(
                f"ask.sign.{sign.id}.by",
                "Red flags",
                "By whom",
                health=True,
                when=((f"ask.sign.{sign.id}", ("yes",)),),
            ),
        )
    ),
)

_HOURS = (
    *(
        amount(f"ask.hours.{task}", "Hours", label, "h", 0, 24, needed=task in ("typing", "mouse"))
        for task, label in TASKS.items()
    ),
    amount(
        "ask.day_hours",
        "Hours",
        "At the desk in all",
        "h",
        0,
        24,
        help="As the client says; compared with the sum of the tasks.",
    ),
    amount("ask.standing_hours", "Hours", "Of these standing now", "h", 0, 24),
)

_HANDS = (
    choice("ask.writing_hand", "Eyes, hands", "Writing hand", HAND, needed=True),
    choice("ask.mouse_hand", "Eyes, hands", "Mouse hand", HAND, needed=True, part="mouse"),
    choice(
        "ask.typing_by",
        "Eyes, hands",
        "Types by",
        {"touch": "Touch", "eye": "Eye", "mixed": "Some of both"},
        help="By eye: the head goes down to the keys.",
    ),
    choice(
        "ask.eyewear",
        "Eyes, hands",
        "Eyewear at the desk",
        {
            "none": "None",
            "contacts": "Contact lenses",
            "distance": "Single vision, distance",
            "reading": "Reading glasses",
            "computer": "Computer glasses",
            "bifocal": "Bifocal",
            "progressive": "Progressive",
        },
        needed=True,
    ),
    choice(
        "ask.lower_lens",
        "Eyes, hands",
        "Reads through the lower part of the lens",
        YES,
        help="Watch the chin while they read from the screen.",
        when=(("ask.eyewear", LOWER_LENS),),
    ),
    length(
        "ask.sharp_near",
        "Eyes, hands",
        "Computer glasses sharp from",
        200,
        3000,
        when=(("ask.eyewear", ("computer",)),),
        help="From the eye; as the optometrist says.",
    ),
    length(
        "ask.sharp_far",
        "Eyes, hands",
        "Computer glasses sharp up to",
        200,
        3000,
        when=(("ask.eyewear", ("computer",)),),
    ),
    choice(
        "ask.leans",
        "Eyes, hands",
        "Leans to see",
        {"forward": "Forward", "back": "Back", "no": "No"},
    ),
)

_CARE = tuple(
    field
    for care in PRECAUTIONS.values()
    for field in (
        choice(f"ask.care.{care.id}", "Conditions", care.label, YES, health=True),
        words(
            f"ask.care.{care.id}.note",
            "Conditions",
            f"{care.label}: what to know",
            health=True,
            when=((f"ask.care.{care.id}", ("yes",)),),
        ),
        words(
            f"ask.care.{care.id}.cleared_by",
            "Conditions",
            f"{care.label}: cleared by, on",
            health=True,
            when=((f"ask.care.{care.id}", ("yes",)),),
            help="Who lifted the limit, and when.",
        ),
    )
)

_DISCOMFORT = tuple(
    field
    for region in REGIONS.values()
    for field in (
        amount(
            f"ask.discomfort.{region.id}", "Discomfort", region.label, "", 0, STRONGEST, health=True
        ),
        choice(f"ask.discomfort.{region.id}.often", "Discomfort", "How often", OFTEN, health=True),
        words(f"ask.discomfort.{region.id}.since", "Discomfort", "Since when", health=True),
        words(f"ask.discomfort.{region.id}.eases", "Discomfort", "What eases it", health=True),
    )
)

_FOOTWEAR = (
    length(
        "ask.shoe_seated",
        "Shoes",
        "Heel, seated",
        0,
        150,
        help="Height of the shoe under the heel; 0 for barefoot.",
        needed=True,
        part="seat",
    ),
    length("ask.shoe_standing", "Shoes", "Heel, standing", 0, 150, needed=True),
    length("ask.mat", "Shoes", "Mat underfoot, standing", 0, 60, help="0 where there is none."),
)

ASK: tuple[Field, ...] = (
    *_CONSENT,
    words(
        "ask.reason",
        "Reason",
        "Reason for the visit",
        help="In the client's own words.",
        needed=True,
        health=True,
    ),
    choice(
        "ask.place",
        "Reason",
        "Place",
        {"office": "Office", "home": "Home", "site": "On site", "both": "Office and home"},
    ),
    choice(
        "ask.sit_stand",
        "Reason",
        "Used to standing at work",
        {"new": "New to it", "some": "Some", "used": "Used to it"},
    ),
    *_SIGNS,
    *_HOURS,
    *_HANDS,
    *_CARE,
    *_DISCOMFORT,
    *_FOOTWEAR,
)
"""All of Ask, in the order it is asked."""
