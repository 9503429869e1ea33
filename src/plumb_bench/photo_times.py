"""How long a photograph takes, from its file to the picture and to the angles read off it."""

from __future__ import annotations

import re
import time
from io import BytesIO

from PIL import Image
from playwright.sync_api import FilePayload, Page

from plumb_demo.photographs import Angles, photograph_side


def _large_picture() -> bytes:
    """A drawn photograph blown up to twelve megapixels, with the noise of a camera."""
    drawn = Image.open(BytesIO(photograph_side(Angles()).jpeg)).resize((4000, 3000))
    noise = Image.effect_noise(drawn.size, 24).convert("RGB")
    out = BytesIO()
    Image.blend(drawn, noise, 0.15).save(out, "JPEG", quality=92)
    return out.getvalue()


def photo_times(
    page: Page, address: str, rounds: int
) -> tuple[list[float], list[float], list[float]]:
    """From a file chosen to its picture on screen, to its place in the list, and from a point put down to its angle."""
    lines = page.request.get(f"{address}/api/visits").json()
    visit = next(line["id"] for line in lines if line["client"] == "Hugo Penn")
    points = photograph_side(Angles()).points
    picture, seen, shown, read = _large_picture(), [], [], []
    for _ in range(rounds):
        page.goto(f"{address}/visits/{visit}/look")
        page.get_by_role("tab", name="Photos").click()
        chooser = page.get_by_label("Photo from a file")
        chooser.wait_for(state="attached")
        file: FilePayload = {"name": "side.jpg", "mimeType": "image/jpeg", "buffer": picture}
        before = page.locator("ul[aria-label='Photos of this visit'] li").count()
        page.evaluate(
            """() => addEventListener('change', (event) => {
                 if (event.target.type === 'file') window.plumbChosen = performance.now();
               }, true)"""
        )
        chooser.set_input_files(file)
        page.wait_for_function(
            """() => {
              const coming = document.querySelector('img[alt="Sending"]');
              return coming?.complete && coming.naturalWidth > 0;
            }""",
            polling=5,
        )
        seen.append(page.evaluate("() => performance.now() - window.plumbChosen"))
        page.wait_for_function(
            """(before) => {
              const all = [...document.querySelectorAll('ul[aria-label="Photos of this visit"] img')];
              return all.length > before && all.every((one) => one.complete && one.naturalWidth);
            }""",
            arg=before,
        )
        shown.append(page.evaluate("() => performance.now() - window.plumbChosen"))
        svg = page.get_by_test_id("photo")
        box = svg.bounding_box()
        assert box is not None
        scale = min(box["width"] / 1600, box["height"] / 1200)
        left = box["x"] + (box["width"] - 1600 * scale) / 2
        top = box["y"] + (box["height"] - 1200 * scale) / 2
        for label, name in (
            ("Shoulder", "shoulder"),
            ("Elbow", "elbow"),
            ("Eye", "eye"),
            ("Ear", "ear"),
            ("Wrist", "wrist"),
        ):
            page.get_by_role("button", name=re.compile(f"^{label} ?not placed")).click()
            x, y = points[name]
            page.mouse.move(left + x * scale, top + y * scale)
            page.mouse.down()
            start = time.perf_counter()
            page.mouse.up()
        page.wait_for_function(
            """() => [...document.querySelectorAll('tr')].some(
              (row) => row.textContent.startsWith('Elbow') && row.textContent.includes('±'))"""
        )
        read.append((time.perf_counter() - start) * 1000)
        page.get_by_role("button", name="Delete this photo").click()
        page.get_by_role("button", name="Delete", exact=True).click()
        page.get_by_role("button", name="Delete", exact=True).wait_for(state="hidden")
    return seen, shown, read
