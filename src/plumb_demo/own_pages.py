"""What clients of the demo gave on their own pages: a self-check before a visit, a check a week after one."""

from __future__ import annotations

from datetime import datetime, timedelta
from uuid import UUID, uuid4

from gentle_plumb.core.intake import RED_FLAGS
from gentle_plumb.core.own_page import Round
from gentle_plumb.documents import PillowImageProcessor
from gentle_plumb.services.account_ports import Accounts
from gentle_plumb.services.models import LinkKind, Member, Practice
from gentle_plumb.services.own_page import (
    LinkService,
    MailService,
    OwnCaller,
    OwnPages,
    OwnPageService,
)
from gentle_plumb.services.photos import PhotoService
from gentle_plumb.services.ports import Clock, Records

NO_SIGNS = {f"sign.{id}": "no" for id in RED_FLAGS}
BEFORE: dict[str, str] = {
    **NO_SIGNS,
    "reason": "My neck is stiff by noon, and I never know where to put my feet.",
    "felt.nape": "5",
    "felt_often.nape": "most_days",
    "felt.low_back": "3",
    "felt_often.low_back": "now_and_then",
    "care_none": "yes",
    "hours.typing": "4",
    "hours.mouse": "2",
    "hours.meetings": "1",
    "writing_hand": "right",
    "mouse_hand": "right",
    "eyewear": "progressive",
    **dict.fromkeys(
        (
            *("station.thighs", "station.wrists", "station.screen_front", "station.screen_far"),
            *("station.text", "station.phone", "station.chair_moves", "station.laptop"),
        ),
        "yes",
    ),
    **dict.fromkeys(
        ("station.feet", "station.shoulders", "station.screen_top", "station.desk_moves"), "no"
    ),
    "station.back": "unsure",
    "station.mouse": "unsure",
    "station.breaks": "no",
    "room.glare": "wrong",
    "room.window": "wrong",
    "room.noise": "right",
    "room.cables": "right",
    "room.stability": "right",
    "stature.first": "161.5 cm",
    "stature.second": "161.7 cm",
    "popliteal_height.first": "39.5 cm",
    "popliteal_height.second": "39 cm",
    "buttock_popliteal_length.first": "46 cm",
    "buttock_popliteal_length.second": "46.5 cm",
    "elbow_height_sitting.first": "22.5 cm",
    "elbow_height_sitting.second": "23 cm",
    "eye_height_sitting.first": "73 cm",
    "eye_height_sitting.second": "73.5 cm",
}
"""A self-check in which something is off, and nothing is grave."""
AFTER: dict[str, str] = {
    **NO_SIGNS,
    "felt.nape": "3",
    "felt_often.nape": "now_and_then",
    "still.seat": "yes",
    "still.surface": "yes",
    "still.mouse": "yes",
    "still.screen_top": "no",
    "still.distance": "unsure",
    "rhythm": "some_days",
    "moved": "most_days",
    "worse": "no",
    "word": "Somebody used my desk on Tuesday, and the screen has been lower since.",
}
"""A week after: better, and one thing that is not as it was."""
EMAILS = {
    "Mirela Dunne": "mirela.dunne@saltmere.example",
    "Odile Marrick": "odile.marrick@saltmere.example",
}


def load_own_pages(
    pages: OwnPages,
    records: Records,
    accounts: Accounts,
    member: Member,
    practice: Practice,
    visits: dict[str, UUID],
    clock: Clock,
) -> None:
    """Make two links, and what their clients gave on them.

    Parameters
    ----------
    pages, records, accounts, member, practice, clock
        Where, by whom and when.
    visits : dict
        Each client's visit, by the client's name.

    """
    asked: tuple[tuple[str, LinkKind, Round, dict[str, str], int], ...] = (
        ("Mirela Dunne", "before", "before", BEFORE, 3),
        ("Odile Marrick", "after", "week_1", AFTER, 9),
    )
    for name, kind, round, answers, days in asked:
        ago, then = clock() - timedelta(days=days), clock() - timedelta(days=1)
        link = _links(pages, records, accounts, ago).make(
            member, practice, visits[name], kind=kind, base_url=""
        )
        own = _own(pages, records, accounts, then)
        held = pages.link(practice.id, link.link.id)
        pages.add_session(held.id.bytes, held, then, then)
        own.agree(_caller(pages, held.id, practice), yes=True)
        who = _caller(pages, held.id, practice)
        for question, typed in answers.items():
            own.answer(who, round, question, typed, "cm", change_id=uuid4(), expected_version=0)
        own.send(who, round)


def _links(pages: OwnPages, records: Records, accounts: Accounts, moment: datetime) -> LinkService:
    return LinkService(
        pages, records, accounts, MailService(pages, None, lambda: moment), lambda: moment
    )


def _own(pages: OwnPages, records: Records, accounts: Accounts, moment: datetime) -> OwnPageService:
    photos = PhotoService(records, PillowImageProcessor(), lambda: moment)
    return OwnPageService(pages, records, accounts, photos, lambda: moment)


def _caller(pages: OwnPages, link_id: UUID, practice: Practice) -> OwnCaller:
    link = pages.link(practice.id, link_id)
    practice_of, client = pages.whose(link)
    return OwnCaller(link=link, practice=practice_of, client=client, token="")
