"""Photos, from the file or the camera to the angle."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import kept, open_step, tab
from plumb_demo.photographs import Angles, Camera, photograph_side

pytestmark = pytest.mark.browser


def test_a_photograph_from_file_to_angle(desk: Page, program, tmp_path):
    drawn = photograph_side(Angles(neck=44, elbow=118), Camera(distance=3000))
    file = tmp_path / "side.jpg"
    file.write_bytes(drawn.jpeg)
    open_step(desk, program, "Hugo", "look")
    tab(desk, "Photos")
    desk.get_by_label("Photo from a file").set_input_files(file)
    picture = desk.get_by_test_id("photo")
    expect(picture).to_be_visible()
    box = picture.bounding_box()
    scale = min(box["width"] / 1600, box["height"] / 1200)
    left = box["x"] + (box["width"] - 1600 * scale) / 2
    top = box["y"] + (box["height"] - 1200 * scale) / 2

    def put(label, name, off=0.0):
        desk.get_by_role("button", name=re.compile(f"^{label} ?(not )?placed")).click()
        x, y = drawn.points[name]
        desk.mouse.move(left + (x + off) * scale, top + y * scale)
        desk.mouse.down()
        desk.mouse.move(left + x * scale, top + y * scale, steps=3)
        desk.mouse.up()

    for label, name in (
        ("Eye", "eye"),
        ("Ear", "ear"),
        ("C7", "c7"),
        ("Shoulder", "shoulder"),
        ("Elbow", "elbow"),
        ("Wrist", "wrist"),
    ):
        put(label, name, off=30)
    elbow = desk.get_by_role("row", name=re.compile("^Elbow")).get_by_role("cell").first
    expect(elbow).to_have_text(re.compile(r"11[789]°"))
    point = desk.get_by_role("button", name=re.compile("^Wrist, .* px"))
    before = point.get_attribute("aria-label")
    point.focus()
    expect(desk.get_by_test_id("magnifier")).to_be_visible()
    for _ in range(3):
        desk.keyboard.press("ArrowDown")
    desk.keyboard.press("Shift+ArrowDown")
    moved = int(before.split()[2]) + 13
    expect(desk.get_by_role("button", name=re.compile(f"^Wrist, .* {moved} px"))).to_be_visible()
    kept(desk)
    desk.reload()
    tab(desk, "Photos")
    expect(desk.get_by_role("button", name=re.compile(f"^Wrist, .* {moved} px"))).to_be_visible()


def test_the_camera_takes_a_picture_and_points_go_on_it_by_key(desk: Page, program):
    open_step(desk, program, "Pia", "look")
    tab(desk, "Photos")
    pictures = desk.get_by_role("list", name="Photos of this visit").get_by_role("button")
    expect(pictures).to_have_count(1)
    desk.get_by_role("button", name="Camera", exact=True).click()
    desk.get_by_role("button", name="Take photo").click()
    expect(pictures).to_have_count(2)
    desk.get_by_role("button", name=re.compile("^Ear ?not placed")).press("Enter")
    desk.get_by_test_id("photo").focus()
    desk.keyboard.press("Enter")
    ear = desk.get_by_role("button", name=re.compile("^Ear, .* px"))
    expect(ear).to_be_focused()
    x, y = ear.get_attribute("aria-label").split()[1:3]
    desk.keyboard.press("ArrowLeft")
    expect(desk.get_by_role("button", name=f"Ear, {int(x) - 1} {y} px")).to_be_visible()
    desk.keyboard.press("Enter")  # on to the next point, which the next key places
    expect(desk.get_by_test_id("photo")).to_be_focused()
    desk.keyboard.press("ArrowDown")
    c7 = desk.get_by_role("button", name=re.compile("^C7, .* px"))
    expect(c7).to_be_focused()
    expect(desk.get_by_role("button", name=f"Ear, {int(x) - 1} {y} px")).to_be_visible()
    desk.keyboard.press("Delete")
    expect(c7).to_have_count(0)
    expect(desk.get_by_test_id("photo")).to_be_focused()
    desk.get_by_role("button", name="Camera", exact=True).click()
    desk.get_by_role("button", name="Take photo").click()
    expect(pictures).to_have_count(3)
    points = desk.get_by_role("region", name="Points")
    expect(
        points.get_by_text(re.compile(r"^Known length, one end\."))
    ).to_be_visible()  # begins at its own first point
    desk.get_by_role("button", name="Delete this photo").click()
    desk.get_by_role("button", name="Delete", exact=True).click()
    expect(pictures).to_have_count(2)
    desk.get_by_role("button", name="Delete this photo").click()
    desk.get_by_role("button", name="Delete", exact=True).click()
    expect(pictures).to_have_count(1)
