"""Work out: plans, choices, trying by hand and by typing, and the core in the page."""

import json
import re
from datetime import date
from functools import cache
from random import Random

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import entry, kept, open_step, pick, tab
from gentle_plumb.core.policy import POLICY_QUESTIONS
from gentle_plumb.core.record import Record
from gentle_plumb.core.visit import case_from
from gentle_plumb.core.what_if import JsonWhatIfSession, VisitInput, visit_input_to_json
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import full_visit

SEED, VISITS = 20261125, 40


def in_page(page: Page) -> None:
    """The page's own core has been loaded and holds the visit."""
    tab(page, "Try")
    expect(page.get_by_text("Calculated on this device")).to_be_visible(timeout=60_000)


def tried(page: Page):
    return page.get_by_role("region", name="Trial result")


def test_a_plan_is_taken_with_what_it_costs_and_leaves(desk: Page, program):
    open_step(desk, program, "Yara", "work")
    tab(desk, "Plans")
    room = desk.get_by_role("region", name="With existing equipment")
    expect(room).to_contain_text("ream of paper")
    expect(room).to_contain_text("temporary")
    expect(room).to_contain_text(re.compile(r"\d+° left"))
    expect(desk.get_by_role("region", name="What would fix this")).to_contain_text("min a day")
    lasting = desk.get_by_role("region", name="Long term")
    lasting.get_by_role("button", name="Use this plan").click()
    kept(desk)
    expect(lasting).to_contain_text("Current plan")
    assert entry(desk, program, "work.plan", "Yara")["value"] == "lasting"
    stack = desk.get_by_role("region", name="Stack")
    stack.get_by_label("Raise by").fill("11")
    stack.get_by_role("button", name="Find a stack").click()
    expect(stack.get_by_role("status")).to_contain_text(
        "2 × ream of paper: 10.0 cm ± 0.4, short by 1.0"
    )
    room.get_by_role("button", name="Use this plan").click()
    kept(desk)


def test_a_choice_shows_what_it_would_move_before_it_is_taken(desk: Page, program):
    open_step(desk, program, "Odile", "work")
    tab(desk, "Options")
    desk.get_by_role("button", name=re.compile("^Back(?! to)")).click()
    positions = desk.get_by_role("group", name="Options")
    expect(positions).to_contain_text(re.compile(r"Hip angle[\d.]+°\+10\.0"))
    positions.get_by_label("Hips about 110°, leaning back").click()
    kept(desk)
    expect(desk.get_by_role("button", name=re.compile("^Back(?! to)"))).to_contain_text(
        "this visit"
    )
    assert entry(desk, program, "work.policy.back", "Odile")["value"] == "leaning"
    pick(desk, "First rule set", "Standard")
    pick(desk, "Second rule set", "This visit")
    desk.get_by_role("button", name="Compare for this client").click()
    expect(tried(desk).get_by_role("row", name=re.compile("^Hip"))).to_contain_text("+10.0")
    expect(desk.get_by_role("region", name="Trial", exact=True)).to_contain_text("over Standard")
    desk.get_by_role("button", name="Reset to target").first.click()
    tab(desk, "Options")
    desk.get_by_role("button", name=re.compile("^Back(?! to)")).click()
    desk.get_by_role("button", name="Back to the practice’s").click()
    kept(desk)


def test_anything_is_tried_and_nothing_kept_until_said_so(desk: Page, program):
    open_step(desk, program, "Odile", "work")
    in_page(desk)
    before = entry(desk, program, "work.seated.seat", "Odile")
    desk.get_by_label("Seat", exact=True).fill("48")
    row = tried(desk).get_by_role("row", name=re.compile("^Seat"))
    expect(row).to_contain_text("48.0")
    expect(tried(desk)).to_contain_text("Feet 4.8 cm off their support.")
    expect(tried(desk)).to_contain_text(re.compile(r"Findings of this visit: .*resolved"))
    desk.get_by_label("Seat", exact=True).fill("4800")
    expect(desk.get_by_role("alert")).to_contain_text("4800.0 cm is outside 25.0 to 90.0 cm")
    desk.get_by_label("Seat", exact=True).fill("")
    flag = desk.get_by_role("button", name=re.compile("^Surface, seated"))
    box = flag.bounding_box()
    desk.mouse.move(box["x"] + 30, box["y"] + 8)
    desk.mouse.down()
    desk.mouse.move(box["x"] + 30, box["y"] - 32, steps=8)
    desk.mouse.up()
    expect(tried(desk).get_by_role("row", name=re.compile("^Surface"))).to_contain_text("up")
    desk.get_by_role("button", name="Take snapshot to compare").click()
    desk.get_by_label("Recline", exact=True).fill("20")
    expect(tried(desk).get_by_role("row", name=re.compile("^Hip"))).to_contain_text("+10.0")
    assert entry(desk, program, "work.seated.seat", "Odile") == before
    flag = desk.get_by_role("button", name=re.compile("^Screen top, seated"))
    flag.focus()
    flag.press("ArrowUp")
    expect(tried(desk).get_by_role("row", name=re.compile("^Screen top"))).to_be_visible()
    tried(desk).get_by_role("button", name="Reset to as found").click()
    expect(desk.get_by_role("region", name="Trial", exact=True)).to_contain_text("As found")
    tried(desk).get_by_role("button", name="Reset to target").click()
    expect(tried(desk)).to_be_hidden()
    desk.get_by_label("Eye to screen", exact=True).first.fill("66")
    tried(desk).get_by_role("button", name="Save").click()
    kept(desk)
    assert entry(desk, program, "work.seated.distance", "Odile")["value"] == 660
    tab(desk, "Targets")
    desk.get_by_role("button", name="Eye to screen").first.click()
    expect(
        desk.get_by_text(re.compile(r"Own value: calculated .* set 66.0\scm by"))
    ).to_be_visible()
    desk.get_by_label("Eye to screen, my number").fill("")
    kept(desk)


def test_every_number_opens_to_what_it_rests_on(desk: Page, program):
    open_step(desk, program, "Odile", "work")
    desk.get_by_role("button", name="Seat").first.click()
    desk.get_by_text("Source").click()
    expect(desk.get_by_text(re.compile("Popliteal height .* adds ±"))).to_be_visible()
    expect(desk.get_by_text(re.compile("What to set first"))).to_be_visible()
    expect(desk.get_by_text(re.compile(r"% that [\d.]+\scm is in range"))).to_be_visible()
    expect(desk.get_by_text(re.compile("^Rule: "))).to_be_visible()


def test_house_rules_are_kept_as_bundles(desk: Page, program):
    desk.goto(f"{program.address}/rules")
    desk.get_by_role("button", name="New rule set").click()
    form = desk.get_by_role("form", name="Rule set")
    form.get_by_label("Name").fill("Sit back")
    pick(form, "Back", "Hips about 110°, leaning back")
    pick(form, "Screen height, standing", "Centre 15° below the eye line")
    form.get_by_role("button", name="Save").click()
    desk.get_by_role("button", name="Sit back 2 changed").click()
    expect(form.get_by_label("Back", exact=True)).to_contain_text("leaning back")
    form.get_by_role("button", name="Delete").click()
    expect(desk.get_by_role("button", name="Sit back")).to_have_count(0)


def test_a_ring_is_turned_by_hand_and_by_key(desk: Page, program):
    open_step(desk, program, "Odile", "work")
    in_page(desk)
    ring = desk.get_by_role("slider", name="Recline")
    box = ring.bounding_box()
    desk.mouse.move(box["x"] + 18, box["y"] + 18)
    desk.mouse.down()
    desk.mouse.move(box["x"] - 22, box["y"] + 22, steps=6)
    desk.mouse.up()
    expect(tried(desk)).to_contain_text("Findings of this visit")  # the hand rests
    expect(tried(desk).get_by_role("row", name=re.compile("^Hip"))).to_contain_text("+")
    turned = int(desk.get_by_label("Recline", exact=True).input_value())
    expect(ring).to_have_accessible_name(f"Recline {turned}°")
    ring.press("ArrowDown")
    expect(desk.get_by_label("Recline", exact=True)).to_have_value(f"{turned - 1}")


@cache
def whole_visit(name: str) -> dict[str, float | str | None]:
    """A demo client's visit once it is whole."""
    return full_visit(name)[0]


def generated(draw: Random) -> tuple[str, str]:
    """A visit made of a demo client's, with numbers and choices of its own, and something tried."""
    client = draw.choice(DEMO_CLIENTS)
    values = dict(whole_visit(client.name))
    for path, value in list(values.items()):
        if isinstance(value, float) and path.startswith(("measure.", "look.found.")):
            values[path] = round(value * draw.uniform(0.97, 1.03), 1)
    for question in draw.sample(list(POLICY_QUESTIONS.values()), 4):
        values[f"work.policy.{question.id}"] = draw.choice(question.positions).id
    values["work.plan"] = draw.choice(["room", "little", "lasting"])
    case_from(Record(values))  # makes a policy of it, or the case is none
    given = VisitInput(
        values=values,
        today=date(2026, 11, 25),
        sex=client.sex,
        practice={"elbow": draw.choice(["open", "square"])},
    )
    tries = {"work.seated.seat": f"{draw.uniform(40, 55):.1f}", "work.number.recline": "12"}
    request = {
        "overrides": draw.choice([{}, tries]),
        "unit": draw.choice(["cm", "mm", "in"]),
        "against": None,
        "behind": False,
        "plans": draw.random() < 0.1,
        "found": draw.random() < 0.2,
        "scene": {
            "width": 790,
            "height": 690,
            "mode": draw.choice(["both", "overlay"]),
            "show": "target",
            "unit": "cm",
        },
    }
    return json.dumps(visit_input_to_json(given)), json.dumps(request)


def apart(mine, theirs, where="") -> list[str]:
    """Where two answers differ, beyond the last bits of a number."""
    if isinstance(mine, dict) and isinstance(theirs, dict) and mine.keys() == theirs.keys():
        return [one for key in mine for one in apart(mine[key], theirs[key], f"{where}.{key}")]
    if isinstance(mine, list) and isinstance(theirs, list) and len(mine) == len(theirs):
        pairs = zip(mine, theirs, strict=True)
        return [one for n, pair in enumerate(pairs) for one in apart(*pair, f"{where}[{n}]")]
    if isinstance(mine, float) and isinstance(theirs, int | float):
        return [] if mine == pytest.approx(theirs, abs=1e-6) else [f"{where}: {mine} {theirs}"]
    return [] if mine == theirs else [f"{where}: {mine!r} {theirs!r}"]


def test_page_and_server_come_to_the_same_on_generated_visits(desk: Page, program):
    open_step(desk, program, "Odile", "work")
    in_page(desk)
    desk.evaluate(
        """() => {
          const file = performance.getEntriesByType('resource')
            .map((one) => one.name).find((name) => name.includes('python-worker'));
          if (!file) throw new Error("no worker was fetched");
          const worker = new Worker(file, { type: 'module' });
          window.plumbAsk = (message) => new Promise((resolve, reject) => {
            worker.onerror = (event) => reject(new Error(event.message));
            worker.onmessage = ({ data }) => data.trouble ? reject(data.trouble) : resolve(data.answer);
            worker.postMessage({ id: 0, ...message });
          });
        }"""
    )
    for number in range(VISITS):
        given, request = generated(Random(SEED + number))
        desk.evaluate(
            """([given, request]) => {
              window.plumbTold = window.plumbAsk({ kind: 'open', given, language: 'en' })
                .then(() => window.plumbAsk({ kind: 'try', request }));
            }""",
            [given, request],
        )
        mine = json.loads(JsonWhatIfSession(given).try_out(request))
        theirs = json.loads(desk.evaluate("() => window.plumbTold"))
        assert apart(mine, theirs) == [], f"seed {SEED + number}"
