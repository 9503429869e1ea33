"""Takes the pictures of the README from a running demo: ./plumb demo --fresh, then this.

Run as ``.venv/bin/python docs/screenshots/take.py [ADDRESS]``.
"""

from __future__ import annotations

import io
import subprocess
import sys
import tempfile
from pathlib import Path
from typing import cast

from PIL import Image
from playwright.sync_api import Browser, Page, sync_playwright

HERE = Path(__file__).parent
ADDRESS = sys.argv[1] if len(sys.argv) > 1 else "http://127.0.0.1:8750"
ARGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-sync",
    "--no-proxy-server",
    "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1",
    "--font-render-hinting=none",
]
VISITS = {
    "ask": ("Elif", "ask"),
    "look": ("Hugo", "look"),
    "photographs": ("Odile", "look"),
    "measure": ("Hugo", "measure"),
    "work-out": ("Odile", "work"),
    "findings": ("Bram", "work"),
    "set": ("Bram", "set"),
    "pace": ("Odile", "pace"),
    "report": ("Odile", "report"),
    "plans": ("Yara", "work"),
    "places": ("Pia", "set"),
    "trying": ("Odile", "work"),
}
PARTS = {
    "ask": "red-flags",
    "photographs": "photos",
    "findings": "findings",
    "plans": "plans",
    "trying": "try",
}


def sign_in(page: Page) -> dict[str, str]:
    """Sign in as the owner; visits by the client's first name."""
    page.goto(ADDRESS)
    page.get_by_role("button", name="Sign in").wait_for()
    page.wait_for_timeout(500)
    page.get_by_role("button", name="Owner").click()
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today", exact=True).wait_for()
    lines = page.request.get(f"{ADDRESS}/api/visits").json()
    return {line["client"].split()[0]: line["id"] for line in reversed(lines)}


def visit_pictures(page: Page, visits: dict[str, str]) -> None:
    """One picture of each step."""
    for name, (client, step) in VISITS.items():
        part = f"?part={PARTS[name]}" if name in PARTS else ""
        page.goto(f"{ADDRESS}/visits/{visits[client]}/{step}{part}")
        page.locator("#main :is(h2, h3)").first.wait_for()
        page.wait_for_timeout(800)
        if name == "photographs":
            page.locator("[data-point=ear]").focus()
        if name == "findings":
            page.get_by_role("button", name="Elbow away from the side").click()
        if name == "places":
            page.get_by_role("button", name="Kitchen worktop").click()
        if name == "plans":
            page.get_by_role("heading", name="Build your own plan").scroll_into_view_if_needed()
        if name == "measure":
            page.get_by_role("button", name="query: Elbow-fingertip length").click()
        if name == "trying":
            page.get_by_role("button", name="Dark mode").click()
            page.get_by_text("Calculated on this device").wait_for(timeout=60_000)
            page.get_by_label("Surface", exact=True).first.fill("70")
            page.get_by_label("Recline", exact=True).fill("18")
            page.get_by_text("Findings of this visit").wait_for()
            page.get_by_role("region", name="Trial result").evaluate("one => one.scrollIntoView()")
            page.get_by_role("button", name="Take snapshot to compare").wait_for()
        page.wait_for_timeout(700)
        page.screenshot(path=HERE / f"{name}.png")
        if name == "trying":
            page.get_by_role("button", name="Light mode").click()
    pdf = page.request.get(f"{ADDRESS}/api/visits/{visits['Odile']}/report.pdf").body()
    with tempfile.NamedTemporaryFile(suffix=".pdf") as file:
        file.write(pdf)
        file.flush()
        target = str(HERE / "report-pdf")
        command = ["pdftoppm", "-r", "80", "-png", "-f", "1", "-l", "1", "-singlefile"]
        subprocess.run([*command, file.name, target], check=True)


def own_page_picture(page: Page) -> None:
    """A client's own page on two phones, beside the practice's page of that client."""
    page.goto(f"{ADDRESS}/clients")
    page.get_by_role("link", name="Odile Marrick").click()
    page.get_by_role("button", name="New code").first.click()
    url, code = (page.get_by_test_id(f"own-{what}").inner_text() for what in ("url", "code"))
    page.get_by_role("button", name="Close", exact=True).click()
    page.set_viewport_size({"width": 1280, "height": 844})
    page.wait_for_timeout(600)
    shots = [page.screenshot()]
    browser = cast("Browser", page.context.browser)
    phone = browser.new_page(viewport={"width": 390, "height": 844})
    phone.goto(url)
    phone.locator("#code").fill(code)
    phone.get_by_role("button", name="Open").click()
    for heading in ("Your page", "Your day"):
        phone.get_by_role("heading", name=heading).evaluate("one => one.scrollIntoView()")
        phone.wait_for_timeout(600)
        shots.append(phone.screenshot())
    phone.close()
    pictures = [Image.open(io.BytesIO(one)) for one in shots]
    whole = Image.new("RGB", (sum(one.width for one in pictures) + 40, 844), "#cfc5b4")
    left = 0
    for one in pictures:
        whole.paste(one, (left, 0))
        left += one.width + 20
    whole.save(HERE / "own-page.png", optimize=True)


def main() -> None:
    """Take them all."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=ARGS)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        visits = sign_in(page)
        for name in ("today", "equipment", "measuring", "rules"):
            page.goto(f"{ADDRESS}/{name if name != 'today' else ''}")
            title = "Practice defaults" if name == "rules" else name.title()
            page.get_by_role("heading", name=title, exact=True).wait_for()
            if name == "measuring":
                page.get_by_role("tab", name="Repeatability").click()
            page.wait_for_timeout(400)
            page.screenshot(path=HERE / f"{name}.png")
        visit_pictures(page, visits)
        own_page_picture(page)
        page.set_viewport_size({"width": 390, "height": 844})
        page.goto(f"{ADDRESS}/visits/{visits['Odile']}/work")
        page.get_by_role("button", name="Drawing").click()
        page.wait_for_timeout(900)
        page.screenshot(path=HERE / "phone.png")
        browser.close()


if __name__ == "__main__":
    main()
