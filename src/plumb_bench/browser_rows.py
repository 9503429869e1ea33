"""Rows measured in Chromium: first load, typing, dragging, photographs, what moves by itself."""

from __future__ import annotations

import re
import statistics
from collections.abc import Callable
from functools import partial

from playwright.sync_api import Page, sync_playwright

from gentle_plumb.core.record import STEPS, fields
from plumb_demo.people import DEMO_MEMBERS

from .caller import CurrentUser
from .photo_times import photo_times
from .rows import Figure, Rows, spread

NOT_REDRAWN_MS = 10_000
"""So long a drawing is waited for that does not change, ms: then the row says so."""


BROWSER_ARGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-sync",
    "--no-proxy-server",
    "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1",
]


class Stopwatch:
    """In the page: from an event to the drawing redrawn. It waits, and asks for nothing meanwhile."""

    def __init__(self, page: Page, event: str, when: str = "true") -> None:
        self.page = page
        page.evaluate(
            f"""() => {{
              const room = document.querySelector('[data-testid=elevation]').parentElement;
              let began = 0, tell = null;
              window.plumbStart = () => {{
                began = 0;
                window.plumbDrawn = new Promise((resolve, reject) => {{
                  tell = resolve;
                  setTimeout(() => reject(new Error("nothing was redrawn")), {NOT_REDRAWN_MS});
                }});
              }};
              addEventListener('{event}', (event) => {{
                if ({when}) began = performance.now();
              }}, true);
              new MutationObserver(() => {{
                const mine = began;
                if (mine) requestAnimationFrame(() => tell(performance.now() - mine));
              }}).observe(room, {{ subtree: true, childList: true, attributes: true,
                                   characterData: true }});
            }}"""
        )

    def time(self, act: Callable[[], object]) -> float:
        """Milliseconds from what an act sets off until it is drawn."""
        self.page.evaluate("() => window.plumbStart()")
        act()
        return float(self.page.evaluate("() => window.plumbDrawn"))


def browser_row(table: Rows, caller: CurrentUser, address: str, rounds: int) -> None:
    """Add every row that Chromium measures."""
    person = DEMO_MEMBERS[0]
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=BROWSER_ARGS)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        loaded = _counted(page)
        page.goto(address)
        page.get_by_label("Email").fill(person.email)
        page.get_by_label("Password").fill(person.password)
        page.get_by_role("button", name="Sign in").click()
        page.get_by_role("heading", name="Today", exact=True).wait_for()
        page.get_by_text("To finish").first.wait_for()
        requests, sent = len(loaded), sum(loaded)
        by_server = _typed_times(page, caller, address, max(12, rounds // 3), in_page=False)
        by_page = _typed_times(page, caller, address, max(12, rounds // 3), in_page=True)
        dragged = _drag_times(page, caller, address, max(30, rounds))
        nudged = _nudge_times(page, caller, address, max(10, rounds // 4))
        seen, shown, read = photo_times(page, address, max(5, rounds // 10))
        shift, longest = _smoothness(page, caller, address)
        browser.close()
    table.add_row(
        "layout shift of all seven steps opened one by one; longest task while numbers are typed",
        [Figure("shift", shift, "", 4), Figure("longest", longest, digits=0)],
        "under 0.02; no task over 50 ms",
    )
    table.add_row(
        "first load, from an empty browser to Today: sent, and requests",
        [Figure("sent", sent / 1000, "kB", 0), Figure("requests", requests, "", 0)],
        "under 300 kB in at most 25",
    )
    table.add_row(
        "photograph of 12 MP: seen; sent, made fit and listed; then a point placed to its angles on screen",
        [
            Figure("seen median", statistics.median(seen), digits=0),
            Figure("listed median", statistics.median(shown), digits=0),
            Figure("placed median", statistics.median(read), digits=0),
        ],
        "seen within 300 ms",
    )
    table.add_row(
        "nudge tapped in Set to drawing redrawn in Chromium",
        spread(nudged, digits=0),
        "p95 under 100 ms",
    )
    table.add_row(
        "flag dragged to drawing redrawn in Chromium, with the core in the page",
        spread(dragged, digits=0),
        "p95 under 30 ms",
    )
    table.add_row(
        "number typed to drawing redrawn in Chromium, with the core in the page",
        spread(by_page, digits=0),
        "p95 under 50 ms",
    )
    table.add_row(
        "number typed to drawing redrawn in Chromium, over the API",
        spread(by_server, digits=0),
        "p95 under 100 ms",
    )


WATCHED = """() => {
  window.plumbShift = 0;
  window.plumbLongest = 0;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (!entry.hadRecentInput) window.plumbShift += entry.value;
  }).observe({ type: "layout-shift", buffered: true });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.plumbLongest = Math.max(window.plumbLongest, duration);
  }).observe({ type: "longtask" });
}"""
"""In the page: what moves by itself, and tasks over 50 ms from now on, the longest of them."""


def _smoothness(page: Page, caller: CurrentUser, address: str) -> tuple[float, float]:
    """How much moves by itself while a visit is gone through, and the longest task while typing, ms; 0 under 50."""
    shift = 0.0
    for step in STEPS:
        page.goto(f"{address}/visits/{caller.visit}/{step}")
        page.evaluate(WATCHED)
        page.wait_for_timeout(2500)
        shift += float(page.evaluate("() => window.plumbShift"))
    page.goto(f"{address}/visits/{caller.visit}/look")
    seat = page.get_by_role("textbox", name=fields.found.seat.label, exact=True)
    page.get_by_test_id("elevation").wait_for()
    page.wait_for_timeout(2500)
    page.evaluate(WATCHED)
    for index in range(12):
        seat.fill(f"{42 + index % 7}.{index % 10}")
        seat.press("Tab")
        page.wait_for_timeout(500)
    return shift, float(page.evaluate("() => window.plumbLongest"))


def _counted(page: Page) -> list[float]:
    """The bytes of each answer that a page is sent, headers included, as they come."""
    sent: list[float] = []
    line = page.context.new_cdp_session(page)
    line.send("Network.enable")
    line.on("Network.loadingFinished", lambda event: sent.append(event["encodedDataLength"]))
    return sent


PYTHON_IN_PAGE = re.compile(r"/assets/(python-\d|core-)")
"""The addresses of Python for the page: without it, the server draws."""
SETTLED_MS = 1800
"""So long the page's own core has to get ready for the next number, ms."""


def _typed_times(
    page: Page, caller: CurrentUser, address: str, rounds: int, *, in_page: bool
) -> list[float]:
    """From the key that ends a number to the drawing redrawn, by the page's own core or by the server."""
    if in_page:
        page.goto(f"{address}/visits/{caller.visit}/work")
        page.get_by_role("tab", name="Try").click()
        page.get_by_text("Calculated on this device").wait_for(timeout=90_000)
        page.get_by_role("button", name=re.compile(r"^2 Look\b")).first.click()
    else:
        page.route(PYTHON_IN_PAGE, lambda route: route.abort())
        page.goto(f"{address}/visits/{caller.visit}/look")
    seat = page.get_by_role("textbox", name=fields.found.seat.label, exact=True)
    page.get_by_test_id("elevation").wait_for()
    watch, spent = Stopwatch(page, "keydown", "event.key === 'Tab'"), []
    for index in range(rounds):
        page.wait_for_timeout(SETTLED_MS if in_page else 120)
        seat.fill(f"{42 + index % 7}.{index % 10}")
        spent.append(watch.time(lambda: seat.press("Tab")))
    page.unroute_all()
    return spent


def _drag_times(page: Page, caller: CurrentUser, address: str, rounds: int) -> list[float]:
    """From a pointer's movement on a flag to the drawing redrawn, the page's own core at work."""
    page.goto(f"{address}/visits/{caller.visit}/work")
    page.get_by_test_id("elevation").wait_for()
    page.get_by_role("tab", name="Try").click()
    page.get_by_text("Calculated on this device").wait_for(timeout=90_000)
    flag = page.get_by_role("button", name=re.compile("^Surface, seated")).bounding_box()
    assert flag is not None
    x, y = flag["x"] + 30, flag["y"] + 8
    watch = Stopwatch(page, "pointermove")
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x, y - 20)
    page.wait_for_timeout(1500)
    spent = []
    for index in range(rounds):
        up = 24 + 3 * (index % 9)
        spent.append(watch.time(partial(page.mouse.move, x, y - up)))
        page.wait_for_timeout(60)
    page.mouse.up()
    return spent


def _nudge_times(page: Page, caller: CurrentUser, address: str, rounds: int) -> list[float]:
    """From a tap on what is seen of the client to the drawing redrawn, to and fro."""
    page.goto(f"{address}/visits/{caller.not_set_yet}/set")
    page.get_by_test_id("elevation").wait_for()
    page.get_by_role("radio", name="Setting", exact=True).click()
    page.get_by_role("button", name="Seat", exact=True).click()
    watch, spent = Stopwatch(page, "click"), []
    for index in range(rounds):
        page.get_by_role("radio", name="Nearly").click()
        reason = ("Feet light on the floor", "Knees above hips")[index % 2]
        nudge = page.get_by_role("button", name=re.compile(reason))
        nudge.wait_for()
        page.wait_for_timeout(250)
        spent.append(watch.time(nudge.click))
        page.wait_for_timeout(250)
    return spent
