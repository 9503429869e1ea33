"""An invited assistant comes in by the link in their mail; a client is hidden, and erased with a proof."""

import re
import time

import pytest
from playwright.sync_api import expect

from browser.conftest import sign_in

pytestmark = pytest.mark.browser
CHOSEN = "four quiet harbour lamps"


def link_for(page, program, email):
    """The address in the mail to somebody, once it is there: the mail server is busy at first."""
    deadline = time.monotonic() + 120
    while time.monotonic() < deadline:
        for letter in page.request.get(f"{program.address}/api/mailbox", max_retries=3).json():
            found = re.search(r"\S+/enter#[\w-]+", letter["text"])
            if letter["to"] == email and found:
                return found[0]
        page.wait_for_timeout(500)
    raise AssertionError(f"no mail to {email}")


def test_an_invited_assistant_comes_in_and_finds_names_but_no_visit(page, program, browser):
    owner = sign_in(page, program)
    owner.get_by_role("link", name="Practice", exact=True).click()
    owner.get_by_role("button", name="Invite a member").click()
    form = owner.get_by_role("dialog")
    form.get_by_label("Name", exact=True).fill("Wim Aldous")
    form.get_by_label("Email").fill("wim@saltmere.example")
    form.get_by_role("radio", name="Assistant").click()
    form.get_by_role("button", name="Send invitation", exact=True).click()
    expect(form).to_contain_text("on its way to wim@saltmere.example")
    form.get_by_role("button", name="Done").click()
    expect(owner.get_by_role("region", name="Pending invitations")).to_contain_text("Wim Aldous")

    guest = browser.new_context(base_url=program.address, service_workers="block").new_page()
    guest.goto(link_for(owner, program, "wim@saltmere.example"))
    expect(guest.get_by_text("Welcome, Wim Aldous.")).to_be_visible()
    assert "#" not in guest.url
    guest.get_by_label("Password", exact=True).fill(CHOSEN)
    guest.get_by_label("Repeat password").fill(CHOSEN)
    guest.get_by_role("button", name="Set password").click()
    guest.get_by_role("link", name="Go to sign-in").click()
    guest.get_by_label("Email").fill("wim@saltmere.example")
    guest.get_by_label("Password").fill(CHOSEN)
    guest.get_by_role("button", name="Sign in").click()
    guest.get_by_role("link", name="Clients").first.click()
    guest.get_by_role("button", name="New client").click()
    guest.get_by_label("Name", exact=True).fill("Iver Stannage")
    guest.get_by_role("button", name="Save", exact=True).click()
    guest.get_by_role("link", name="Iver Stannage").click()
    expect(guest.get_by_role("heading", name="Iver Stannage")).to_be_visible()
    expect(guest.get_by_role("button", name="Edit")).to_be_visible()
    for kept in ("New visit", "Delete…", "Export"):
        expect(guest.get_by_role("button", name=kept)).to_have_count(0)
    guest.context.close()


def test_a_client_is_hidden_from_a_colleague_then_erased_with_a_proof(page, program, browser):
    owner = sign_in(page, program)
    owner.get_by_role("link", name="Clients").first.click()
    owner.get_by_role("button", name="New client").click()
    owner.get_by_label("Name", exact=True).fill("Alma Trewin")
    owner.get_by_role("button", name="Save and start visit").click()
    expect(owner.get_by_role("heading", name="Alma Trewin")).to_be_visible()
    owner.goto(f"{program.address}/clients")
    owner.get_by_role("link", name="Alma Trewin").click()
    owner.get_by_role("button", name="Access").click()
    owner.get_by_role("radio", name="Selected members only").click()
    owner.get_by_role("dialog").get_by_role("button", name="Save").click()
    expect(owner.get_by_text("Only selected members can see this client")).to_be_visible()

    context = browser.new_context(base_url=program.address, service_workers="block")
    other = sign_in(context.new_page(), program, who=1)
    other.get_by_role("link", name="Clients").first.click()
    expect(other.get_by_role("list", name="Clients")).to_be_visible()
    expect(other.get_by_role("link", name="Alma Trewin")).to_have_count(0)
    context.close()

    owner.get_by_role("button", name="Delete…").click()
    owner.get_by_label("Type the client’s name to confirm").fill("Alma Trewin")
    owner.get_by_role("button", name="Delete client").click()
    proof = owner.get_by_role("dialog", name="Deleted")
    expect(proof).to_contain_text("1 visit")
    expect(proof).to_contain_text("nothing is left in the database")
    with owner.expect_download() as paper:
        proof.get_by_role("button", name="Certificate for the client").click()
    assert paper.value.path().read_bytes().startswith(b"%PDF")
    proof.get_by_role("button", name="Done").click()
    expect(owner.get_by_role("list", name="Clients")).to_be_visible()
    expect(owner.get_by_role("link", name="Alma Trewin")).to_have_count(0)
