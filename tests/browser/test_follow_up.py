"""A client who comes again: one tap, as left beside as found, and a call back on Today."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import kept

pytestmark = pytest.mark.browser


FIRST = {
    "ask.consent.notes": "yes",
    "ask.discomfort.nape": "5",
    "ask.shoe_seated": "2.5",
    "look.found.seat": "46",
    "measure.popliteal_height.first": "41",
    "set.seated.seat": "43",
    "set.seated.surface": "63.5",
}


def seen_before(desk: Page, name: str) -> None:
    """A client of this test's own, with a visit in which something was set."""
    desk.evaluate(
        """async ([name, first]) => {
             const me = await (await fetch('/api/me')).json();
             const send = async (method, path, body) => {
               const answer = await fetch(`/api/${path}`, { method, body: JSON.stringify(body),
                 headers: {'X-Plumb-Csrf': me.csrf, 'Content-Type': 'application/json'} });
               if (!answer.ok) throw new Error(await answer.text());
               return answer.json();
             };
             const client = await send('POST', 'clients',
               { id: crypto.randomUUID(), name, sex: 'female', work: '' });
             const visit = await send('POST', 'visits',
               { id: crypto.randomUUID(), client_id: client.id });
             for (const [path, typed] of Object.entries(first))
               await send('PUT', `visits/${visit.id}/changes/${crypto.randomUUID()}`,
                 { path, typed, expected_version: 0 });
           }""",
        [name, FIRST],
    )


def test_a_follow_up_begins_with_what_is_known_and_says_what_has_become(desk: Page, program):
    seen_before(desk, "Petra Lindqvist")
    desk.get_by_role("link", name="Clients").click()
    desk.reload()
    desk.get_by_role("link", name="Petra Lindqvist").click()
    desk.get_by_role("button", name="Follow-up", exact=True).click()
    desk.wait_for_url("**/ask")
    visit = desk.url.split("/")[-2]
    desk.goto(f"{program.address}/visits/{visit}/look")
    expect(desk.get_by_text(re.compile(r"Left at\s43\.0\scm on"))).to_be_visible()
    desk.get_by_role("button", name="No change").click()
    entry = desk.get_by_role("textbox", name="Surface", exact=True)
    expect(entry).to_be_focused()
    entry.fill("66")
    entry.press("Enter")
    kept(desk)
    held = desk.request.get(f"{program.address}/api/visits/{visit}", max_retries=3).json()[
        "entries"
    ]
    assert held["look.found.seat"]["value"] == 430
    assert held["measure.popliteal_height.origin"]["value"] == "carried_over"
    desk.goto(f"{program.address}/visits/{visit}/report")
    desk.get_by_role("radio", name="Record").click()
    paper = desk.get_by_role("article", name="Record")
    expect(paper).to_contain_text(re.compile(r"Surface, sitting: left at 63\.5\scm, found at 66"))
    expect(paper).to_contain_text("now not asked")


def test_who_is_to_be_called_back_stands_first_until_they_went(desk: Page, program):
    desk.get_by_role("link", name="Today").click()
    call = desk.get_by_role("region", name=re.compile("Call back"))
    expect(call.get_by_text(re.compile("Call back: (due today|1 day overdue)"))).to_be_visible()
    call.get_by_role("link", name="Ruben Hale").click()
    desk.goto(re.sub(r"/[a-z]+$", "/ask?part=red-flags", desk.url.split("?")[0]))
    went = desk.get_by_role("radiogroup", name="Called back")
    expect(desk.get_by_role("link", name="Referral letter (PDF)")).to_be_visible()
    went.get_by_role("radio", name="They went").click()
    kept(desk)
    desk.get_by_role("link", name="Back to Today").click()
    expect(desk.get_by_role("heading", name="Today", exact=True)).to_be_visible()
    expect(desk.get_by_text(re.compile("^Call back: "))).to_be_hidden()
