"""A visit without network: begun, gone on with after the browser was closed or killed, and merged."""

import os
import random
import re
from shutil import copytree
from uuid import uuid4

import pytest
from playwright.sync_api import expect

from browser.conftest import entry, open_step, tab, visit_id, walk_to
from browser.offline import Tablet, readable_in
from plumb_demo.photographs import Angles, Camera, photograph_side

pytestmark = pytest.mark.browser
PATIENCE = 120_000
"""Python comes to the page within seconds, on a busy machine within a minute, ms."""


@pytest.fixture(scope="session")
def been_here(playwright, browser_type_launch_args, program, tmp_path_factory):
    """A profile whose browser has been here before, and fetched the page's files: 18 MB, once."""
    device = Tablet(playwright, browser_type_launch_args, program, tmp_path_factory.mktemp("been"))
    device.start()
    device.page.evaluate("navigator.serviceWorker.register('/sw.js').then(() => undefined)")
    device.until(lambda: device.page.evaluate("navigator.serviceWorker.controller !== null"))
    device.close()
    return device.folder


@pytest.fixture
def new_tablet(playwright, browser_type_launch_args, program):
    """Signed in on a device of one's own: never here before, or with a copy of a profile."""
    devices = []

    def make(folder, who=0):
        device = Tablet(playwright, browser_type_launch_args, program, folder, who=who)
        devices.append(device)
        device.start()
        device.sign_in()
        return device

    yield make
    for device in devices:
        assert device.troubles == []
        device.close()


@pytest.fixture
def tablet(new_tablet, been_here, tmp_path):
    return new_tablet(copytree(been_here, tmp_path / "profile"))


@pytest.fixture
def second_tablet(new_tablet, been_here, tmp_path):
    """A colleague's."""
    return new_tablet(copytree(been_here, tmp_path / "second"), who=1)


def add_client(page, name):
    page.get_by_role("link", name="Clients").first.click()
    page.get_by_role("button", name="New client").click()
    page.get_by_label("Name", exact=True).fill(name)
    page.get_by_role("radio", name="Women").click()
    page.get_by_role("button", name="Save and start visit").click()
    expect(page.get_by_role("heading", name=name)).to_be_visible(timeout=PATIENCE)


def on_device(page):
    expect(page.get_by_role("status").first).to_contain_text(
        "kept on this device", timeout=PATIENCE
    )


def saved(page):
    expect(page.get_by_role("status").first).to_contain_text(
        re.compile("Saved|Everything else saved"), timeout=PATIENCE
    )


def consent(page, to):
    page.get_by_role("button", name=f"Given: {to}", exact=True).click()
    on_device(page)


def step(page, name):
    bead = page.get_by_role("button", name=re.compile(rf"^\d {name}, "))
    bead.click()
    expect(bead).to_have_attribute("aria-current", "step", timeout=PATIENCE)


def take(page, label, typed):
    walk_to(page, label).fill(typed)
    page.keyboard.press("Enter")


def test_a_whole_visit_without_network_outlives_the_browser_and_merges(
    new_tablet, program, tmp_path
):
    tablet = new_tablet(tmp_path / "never here before")
    page = tablet.page
    tablet.cut()
    add_client(page, "Wren Castell")
    consent(page, "To keep health notes")
    tab(page, "Reason")
    page.get_by_label("Reason for the visit").fill("A stiff neck by noon.")
    tab(page, "Hours")
    page.get_by_label("Typing", exact=True).fill("3")
    step(page, "Look")
    take(page, "Seat height, client seated", "46")
    take(page, "Surface", "72")
    seat = walk_to(page, "Seat height, client seated")
    seat.fill("4")
    seat.press("Tab")
    expect(page.get_by_role("alert")).to_contain_text("4.0 cm is outside 25.0 to 90.0 cm")
    seat.fill("46,5")
    seat.press("Tab")
    on_device(page)

    tablet.kill()
    page = tablet.start(offline=True)
    here = page.get_by_role("region", name="On this device")
    here.get_by_role("link", name=re.compile("Wren Castell")).click()
    expect(
        page.get_by_label("Reason for the visit").or_(page.get_by_role("tab", name="Reason"))
    ).to_be_visible(timeout=PATIENCE)
    tab(page, "Reason")
    expect(page.get_by_label("Reason for the visit")).to_have_value("A stiff neck by noon.")
    step(page, "Look")
    expect(walk_to(page, "Seat height, client seated")).to_have_value("46,5")
    step(page, "Ask")
    consent(page, "To take and keep photos")
    step(page, "Look")
    tab(page, "Photos")
    picture = tmp_path / "side.jpg"
    picture.write_bytes(photograph_side(Angles(neck=30, elbow=100), Camera(distance=3000)).jpeg)
    page.get_by_label("Photo from a file").set_input_files(picture)
    expect(page.get_by_test_id("photo")).to_be_visible(timeout=PATIENCE)
    step(page, "Measure")
    for name in ("Work out", "Set", "Pace", "Report"):
        step(page, name)
    expect(page.get_by_text("signing and printing need the server")).to_be_visible()
    expect(page.get_by_role("article", name="Client’s report")).to_contain_text("Wren Castell")

    tablet.cut(False)
    tablet.sign_in_again()
    tablet.until(lambda: tablet.kept("queue:") == {} and tablet.kept("out:") == {})
    visit = page.request.get(
        f"{program.address}/api/visits/{visit_id(page, program, 'Wren')}"
    ).json()
    held = {path: one["typed"] for path, one in visit["entries"].items()}
    assert held["look.found.seat"] == "46,5 cm"
    assert held["ask.reason"] == "A stiff neck by noon."
    assert (held["ask.hours.typing"], held["look.found.surface"]) == ("3", "72 cm")
    assert [one["width"] for one in visit["photos"]] == [1600]


def test_while_the_server_is_busy_the_device_draws_by_itself(tablet, program):
    """Many draw at once: what is typed goes to the server, and comes back without its drawing."""
    page, asked = tablet.page, []

    def busy(route):
        answer = route.fetch(url=route.request.url.replace("draw=true", "draw=false"))
        said = {"X-Plumb-Busy": str(answer.json()["revision"])}
        route.fulfill(response=answer, headers=answer.headers | said)

    tablet.context.route("**/changes/**", busy)

    def note(request):
        if "/results?" in request.url:
            asked.append(request.url)

    page.on("request", note)
    add_client(page, "Wren Ostler")
    tablet.takes_along(page.url.split("/visits/")[1][:36])
    numbers = iter(range(700, 800))

    def draws_by_itself():
        number = f"{next(numbers) / 10}"
        step(page, "Look")
        field = walk_to(page, "Surface")
        saved(page)
        asked.clear()
        field.fill(number)
        page.keyboard.press("Enter")
        flag = page.get_by_role("button", name=re.compile(rf"^Surface, seated.*{number}"))
        expect(flag).to_be_visible(timeout=PATIENCE)
        saved(page)  # the page draws before it is answered
        return asked == []

    tablet.until(draws_by_itself)  # the server draws until Python has come
    saved(page)
    assert draws_by_itself()


def test_nothing_readable_is_kept_and_nothing_at_all_after_signing_out(tablet):
    """In the page's own store, and in what the browser itself writes down: forms, autofill, the history's titles."""
    page, words = tablet.page, ("Quillon", "Ferrars", "Unmistakable", "Tolliver")
    tablet.cut()
    add_client(page, "Quillon Ferrars")
    consent(page, "To keep health notes")
    tab(page, "Reason")
    page.get_by_label("Reason for the visit").fill("Unmistakable words")
    on_device(page)
    kept = tablet.kept(most=20_000)
    assert any(name.startswith("queue:") for name in kept)
    for name, (_, sealed) in kept.items():
        for word in words:
            assert word.encode() not in sealed, name
    assert "Unmistakable" not in page.evaluate("JSON.stringify(sessionStorage)")
    page.get_by_role("link", name="Today").click()
    page.get_by_label("Find a visit").fill("Quillon")
    page.goto(f"{tablet.program.address}/equipment#written-after")
    tablet.until(lambda: readable_in(tablet.folder, "written-after"))  # and so is what came before
    tablet.kill()
    assert readable_in(tablet.folder, *words) == []
    page = tablet.start()
    tablet.sign_in()
    page.get_by_label("Find a visit").fill("Quillon")
    page.get_by_role("link", name="Quillon Ferrars").first.click()
    step(page, "Look")
    saved(page)
    page.get_by_role("link", name="Today").click()
    page.get_by_role("button", name="Sign out").click()
    expect(page.get_by_label("Email")).to_be_visible()
    tablet.until(lambda: tablet.kept() == {})
    tablet.close()
    assert readable_in(tablet.folder, *words) == []
    tablet.start()


def test_a_former_members_device_erases_itself_at_first_contact(second_tablet, owner):
    mine = {"name": "Yorick Quill", "email": "yorick@saltmere.example"}
    body = {**mine, "id": str(uuid4()), "role": "practitioner", "password": "four quiet lamps"}
    made = owner.post("/api/members", data=body)
    assert made.ok, made.text()
    other = second_tablet.page
    other.get_by_role("button", name="Sign out").click()
    other.get_by_label("Email").fill(mine["email"])
    other.get_by_label("Password").fill(body["password"])
    other.get_by_role("button", name="Sign in").click()
    second_tablet.until(lambda: len(second_tablet.kept("visit:")) > 3)
    second_tablet.cut()
    add_client(other, "Wilmot Hask")
    assert owner.delete(f"/api/members/{body['id']}").ok
    assert second_tablet.kept("out:") != {}
    second_tablet.cut(False)
    expect(other.get_by_text("Yorick Quill has left the practice")).to_be_visible(timeout=PATIENCE)
    second_tablet.until(lambda: second_tablet.kept() == {})
    second_tablet.cut()
    other.reload()
    expect(other.get_by_role("button", name="Open saved visits")).to_have_count(0)


def test_signing_out_at_a_lock_keeps_what_the_server_has_not_got(tablet, program):
    page = tablet.page
    open_step(page, program, "Casper", "look")
    page.route("**/changes/**", lambda route: route.abort())
    take(page, "Surface", "71,3")
    tablet.until(lambda: tablet.kept("queue:") != {})
    token = page.request.get(f"{program.address}/api/session", max_retries=3).json()["csrf"]
    page.request.post(f"{program.address}/api/session/lock", headers={"X-Plumb-Csrf": token})
    page.on("dialog", lambda dialog: dialog.accept())
    page.reload()  # nothing is opened on the device yet: nobody can tell what is unsent
    lock = page.get_by_role("dialog", name="Locked")
    expect(lock).to_contain_text("stays here, sealed")
    lock.get_by_role("button", name="Sign out").click()
    expect(page.get_by_label("Email")).to_be_visible()
    assert tablet.kept("queue:") != {}
    page.unroute("**/changes/**")
    tablet.sign_in_again()
    tablet.until(lambda: tablet.kept("queue:") == {})
    assert entry(page, program, "look.found.surface", "Casper")["typed"] == "71,3 cm"


def test_two_devices_change_one_field_without_network_and_both_are_shown_once(
    tablet, second_tablet, program
):
    page, other = tablet.page, second_tablet.page
    add_client(page, "Ansel Roake")
    step(page, "Look")
    take(page, "Surface", "70")
    saved(page)
    open_step(page, program, "Ansel", "look")
    open_step(other, program, "Ansel", "look")
    for device in (tablet, second_tablet):
        device.takes_along(visit_id(page, program, "Ansel"))
        device.cut()
    take(page, "Surface", "71")
    take(page, "Surface", "72")
    take(page, "Eye to screen", "60")
    on_device(page)
    take(other, "Surface", "75")
    take(other, "Seat height, client seated", "44")
    on_device(other)
    second_tablet.cut(False)
    saved(other)
    tablet.cut(False)
    expect(page.get_by_role("button", name="1 to resolve")).to_be_visible(timeout=PATIENCE)
    page.get_by_role("button", name="1 to resolve").click()
    expect(page.get_by_role("alert")).to_contain_text("Tomas")
    expect(page.get_by_role("alert")).to_contain_text("75 cm here while you typed 72")
    assert entry(page, program, "look.found.distance", "Ansel")["typed"] == "60 cm"
    assert entry(page, program, "look.found.seat", "Ansel")["typed"] == "44 cm"
    assert entry(page, program, "look.found.surface", "Ansel")["typed"] == "75 cm"
    page.get_by_role("button", name="Mine", exact=True).click()
    saved(page)
    assert entry(page, program, "look.found.surface", "Ansel")["typed"] == "72 cm"


KILLS = int(os.environ.get("GENTLE_PLUMB_KILLS", "1"))
FIELDS = {
    "Seat height, client seated": (38, 55),
    "Surface": (60, 80),
    "Eye to screen": (45, 90),
    "Top of screen": (95, 130),
}


def test_no_input_that_the_device_has_said_it_keeps_is_lost_by_a_kill(tablet, program):
    seed = random.randrange(10**6)
    print(f"seed {seed}")
    draw = random.Random(seed)
    page = tablet.page
    tablet.cut()
    add_client(page, "Petra Sollis")
    step(page, "Look")
    told = {}
    for _ in range(KILLS):
        for _ in range(draw.randrange(1, 4)):
            label, (low, high) = draw.choice(list(FIELDS.items()))
            typed = str(draw.randrange(low * 10, high * 10) / 10)
            take(page, label, typed)
            if draw.random() < 0.7:
                on_device(page)
                told[label] = {typed}
            else:  # not said to be kept yet: either text may be found
                told[label] = told.get(label, {""}) | {typed}
        page.wait_for_timeout(draw.randrange(0, 120))
        tablet.kill()
        page = tablet.start(offline=True)
        here = page.get_by_role("region", name="On this device")
        here.get_by_role("link", name=re.compile("Petra Sollis")).click()
        step(page, "Look")
        for label, texts in told.items():
            either = "|".join(map(re.escape, texts))
            expect(walk_to(page, label)).to_have_value(re.compile(f"^({either})$"))
    tablet.cut(False)
    tablet.sign_in_again()
    tablet.until(lambda: tablet.kept("queue:") == {} and tablet.kept("out:") == {})
    held = page.request.get(
        f"{program.address}/api/visits/{visit_id(page, program, 'Petra Sollis')}"
    ).json()["entries"]
    for label, path in (
        ("Surface", "look.found.surface"),
        ("Eye to screen", "look.found.distance"),
    ):
        if told.get(label):
            found = held.get(path, {"typed": ""})["typed"].removesuffix(" cm")
            assert found in told[label], (told, held)
