"""What axe finds on a page, by the release that the page's own packages name."""

from functools import cache

from playwright.sync_api import Page

from conftest import ROOT

AT_REST = """() => Promise.allSettled(document.getAnimations()
    .filter((one) => one.effect.getComputedTiming().iterations !== Infinity)
    .map((one) => one.finished))"""
"""A colour on its way to another one is neither."""


@cache
def _engine() -> str:
    return (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text("utf-8")


def violations(page: Page) -> list[str]:
    """What axe finds, with where; nothing counts as too small a fault."""
    if not page.evaluate("typeof axe === 'object'"):
        page.evaluate(_engine())
    page.evaluate(AT_REST)
    found = page.evaluate("axe.run({resultTypes: ['violations']})")
    return [
        f"{rule['id']}: {node['target']} {node['failureSummary']}"
        for rule in found["violations"]
        for node in rule["nodes"]
    ]
