"""The same visit by different hands: by keys alone, by a finger on a phone."""

from __future__ import annotations

from playwright.sync_api import Locator, Page, expect

MOST_TABS = 160
"""So many presses of Tab lead to anything on a screen."""


class Hand:
    """Taps, and types on the keyboard of a phone."""

    def __init__(self, page: Page) -> None:
        self.page = page

    def press(self, target: Locator) -> None:
        target.scroll_into_view_if_needed()
        target.tap()

    def choose(self, target: Locator) -> None:
        """One of a few."""
        self.press(target)

    def into(self, target: Locator) -> None:
        """Go into a field."""
        self.press(target)

    def type(self, text: str) -> None:
        self.page.keyboard.type(text)

    def enter(self) -> None:
        self.page.keyboard.press("Enter")

    def ache(self, region: str, strength: str) -> None:
        """Mark a region of the body chart."""
        self.press(self.page.locator(f"[data-region={region}]").first)
        self.press(self.page.get_by_role("radio", name=strength, exact=True).first)


class KeyHand(Hand):
    """Never leaves the keyboard: what can't be reached by Tab is not there."""

    def reach(self, target: Locator, key: str = "Tab", *, within: bool = False) -> None:
        target.wait_for()
        there = (
            "one.contains(document.activeElement)" if within else "one === document.activeElement"
        )
        for _ in range(MOST_TABS):
            if target.evaluate(f"one => {there}"):
                return
            self.page.keyboard.press(key)
        raise AssertionError(f"not reached by {key}: {target}")

    def press(self, target: Locator) -> None:
        expect(target).to_be_enabled()
        self.reach(target)
        self.page.keyboard.press("Enter")

    def into(self, target: Locator) -> None:
        self.reach(target)

    def choose(self, target: Locator) -> None:
        group = target.locator("xpath=ancestor::*[@role='radiogroup']")
        self.reach(group, within=True)
        self.reach(target, "ArrowRight")
        self.page.keyboard.press("Space")

    def ache(self, region: str, strength: str) -> None:
        self.reach(self.page.locator("[data-region][tabindex='0']"))
        for key in ("ArrowDown", "ArrowRight", "ArrowDown"):
            self.page.keyboard.press(key)
        self.page.keyboard.press(strength)


class Tally:
    """What a hand has done on a page since: presses and keys that the browser says came from outside."""

    def __init__(self, page: Page) -> None:
        self.page = page
        page.evaluate(
            """() => {
                window.tally = { clicks: 0, keys: 0 };
                const count = (kind) => (event) => { if (event.isTrusted) window.tally[kind] += 1; };
                addEventListener("pointerdown", count("clicks"), true);
                addEventListener("keydown", count("keys"), true);
            }"""
        )

    def clicks_and_keys(self) -> tuple[int, int]:
        """Fails where the page has been loaded anew in between."""
        said = self.page.evaluate("() => window.tally")
        return said["clicks"], said["keys"]
