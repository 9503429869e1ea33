"""Every screen in made-up languages: longer words, written from right to left, on every size of screen."""

import json
import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import DEMO_MEMBERS, at_rest, open_step, pick, visit_id

pytestmark = pytest.mark.browser
STEPS = ("ask", "look", "measure", "work", "set", "pace", "report")
PLACES = ("", "clients", "equipment", "measuring", "rules", "people", "account", "trail", "keeping")
SIZES = {"desk": (1280, 800), "tablet": (768, 1024), "phone": (390, 844)}
MADE_UP = {"en-XA": "ltr", "ar-XB": "rtl"}

CUT_OFF = """() => {
    const seen = (one) => one.checkVisibility({ visibilityProperty: true, opacityProperty: true })
        && !one.closest('.sr-only, [aria-hidden=true]');
    const inside = (one) => {  // what may be scrolled sideways is not cut off
        for (let room = one.parentElement; room; room = room.parentElement)
            if (['auto', 'scroll'].includes(getComputedStyle(room).overflowX)
                && room.scrollWidth > room.clientWidth + 1 && room.id !== 'main') return true;
        return false;
    };
    const floats = (one) => {
        for (let box = one; box; box = box.parentElement)
            if (['absolute', 'sticky', 'fixed'].includes(getComputedStyle(box).position)) return box;
        return null;
    };
    const wide = document.documentElement.clientWidth;
    const found = [];
    for (const one of document.querySelectorAll(
        'h1, h2, h3, p, li, dt, dd, th, td, label, legend, button, a, input, summary')) {
        if (!seen(one)) continue;
        const box = one.getBoundingClientRect();
        if (!box.width || !box.height) continue;
        const style = getComputedStyle(one);
        const clips = style.overflowX === 'hidden' || style.overflowX === 'clip';
        if (clips && style.textOverflow !== 'ellipsis' && one.scrollWidth > one.clientWidth + 1)
            found.push(`clipped: ${one.innerText || one.value}`);
        if ((box.right > wide + 1 || box.left < -1) && !inside(one))
            found.push(`outside: ${one.innerText || one.outerHTML.slice(0, 80)}`);
    }
    const targets = [...document.querySelectorAll('main button, main a[href], main input')]
        .filter((one) => seen(one) && one.getBoundingClientRect().width > 1);
    for (const [at, one] of targets.entries()) for (const other of targets.slice(at + 1, at + 12)) {
        if (one.contains(other) || other.contains(one) || one.closest('svg') || other.closest('svg')) continue;
        if (floats(one) !== floats(other)) continue;  // what scrolls passes under what stays in sight
        const a = one.getBoundingClientRect(), b = other.getBoundingClientRect();
        const over = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const under = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        if (over > 2 && under > 2) found.push(`overlapping: ${one.innerText} / ${other.innerText}`);
    }
    return found;
}"""
"""What runs out of the screen, is cut off by its own box, or lies on another target."""


def speaks(page: Page, program, tag: str) -> None:
    """Sign in, and have this browser speak a language."""
    page.set_default_timeout(60_000)
    page.add_init_script(
        f"localStorage.setItem('plumb:look', JSON.stringify({{...JSON.parse(localStorage.getItem("
        f"'plumb:look') ?? '{{}}'), language: {json.dumps(tag)}}}))"
    )
    who = {"email": DEMO_MEMBERS[0].email, "password": DEMO_MEMBERS[0].password}
    assert page.request.post(f"{program.address}/api/session", data=who).ok


def fits(page: Page, *where: str) -> None:
    """What is open, at each size: nothing cut off, nothing overlapping, nothing that runs sideways."""
    sideways = "document.documentElement.scrollWidth - document.documentElement.clientWidth"
    for size, (width, height) in SIZES.items():
        page.set_viewport_size({"width": width, "height": height})
        at_rest(page)
        assert page.evaluate(CUT_OFF) == [], (*where, size)
        assert page.evaluate(sideways) == 0, (*where, size)


@pytest.mark.parametrize("tag", MADE_UP)
def test_longer_and_mirrored_words_fit_on_every_screen(page: Page, program, tag):
    speaks(page, program, tag)
    for path in PLACES:
        page.goto(f"{program.address}/{path}")
        expect(page.get_by_role("heading", level=1)).to_be_visible()
        expect(page.locator("html")).to_have_attribute("lang", tag)
        expect(page.locator("html")).to_have_attribute("dir", MADE_UP[tag])
        fits(page, path)
    visit = visit_id(page, program, "Odile")
    for step in STEPS:
        page.goto(f"{program.address}/visits/{visit}/{step}")
        expect(page.locator("#main :is(h2, h3)").first).to_be_visible()
        fits(page, step)


def test_the_language_changes_without_a_reload_and_back(desk: Page, program, owner):
    open_step(desk, program, "Odile", "set")
    expect(desk.get_by_role("button", name="Seat", exact=True)).to_be_visible()
    desk.goto(f"{program.address}/account")
    desk.evaluate("window.stillThere = true")
    try:
        pick(desk.get_by_role("region", name="Language"), "Language", "Deutsch")
        expect(desk.get_by_role("heading", level=1, name="Konto")).to_be_visible()
        expect(desk.locator("html")).to_have_attribute("lang", "de")
        assert desk.evaluate("window.stillThere")
        open_step(desk, program, "Odile", "set")
        expect(desk.get_by_role("button", name="Sitz", exact=True)).to_be_visible()
        expect(desk.get_by_text(re.compile(r"\d,\d\scm")).first).to_be_visible()
    finally:
        assert owner.put("/api/me/language", data={"language": ""}).ok
