"""A short visit in Firefox and in WebKit, over plain HTTP on loopback as it is served."""

import os
import signal
import subprocess
import time
from contextlib import contextmanager, suppress
from pathlib import Path
from shutil import copytree, ignore_patterns, which

import pytest

from browser.offline import readable_in
from plumb_demo.people import DEMO_MEMBERS

pytestmark = [pytest.mark.browser, pytest.mark.filterwarnings("ignore")]
"""The drivers of these browsers warn of their own making."""
MINI = sorted(Path("/usr/lib").glob("*/webkit2gtk-4.*/MiniBrowser"))
BROWSERS = {
    "firefox": (which("firefox-esr"), "Firefox is not installed (Debian’s firefox-esr)"),
    "webkit": (
        which("WebKitWebDriver") and which("Xvfb") and MINI,
        "WebKit is not installed (Debian’s webkit2gtk-driver and xvfb)",
    ),
}
PATIENCE_S = 40


@contextmanager
def firefox(folder, profile=None):
    from marionette_driver.marionette import Marionette

    browser = Marionette(
        bin=BROWSERS["firefox"][0],
        headless=True,
        port=0,
        gecko_log=str(folder / "firefox.log"),
        prefs={
            "browser.sessionstore.interval": 500,  # what it would write every 15 s
            "network.proxy.type": 0,
        },
        **({"profile": str(profile)} if profile else {}),
    )
    browser.start_session()
    browser.timeout.script = PATIENCE_S
    try:
        yield Firefox(browser, browser.navigate, browser.execute_script, Path(browser.profile_path))
    finally:
        with suppress(Exception):  # a browser that was killed can't be asked to leave
            browser.quit()
        browser.cleanup()


@contextmanager
def webkit(folder):
    from selenium import webdriver
    from selenium.webdriver.webkitgtk.options import Options
    from selenium.webdriver.webkitgtk.service import Service

    screen, told = os.pipe()
    xvfb = subprocess.Popen(
        ["Xvfb", "-displayfd", str(told), "-screen", "0", "1300x900x24", "-nolisten", "tcp"],
        pass_fds=[told],
        stderr=subprocess.DEVNULL,
    )
    os.close(told)
    with os.fdopen(screen) as answer:
        display = f":{answer.readline().strip()}"
    options = Options()
    options.binary_location = str(MINI[-1])
    options.add_argument("--automation")
    env = {
        **os.environ,
        "DISPLAY": display,
        "WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS": "1",
        "HOME": str(folder),
    }
    try:
        browser = webdriver.WebKitGTK(
            options=options, service=Service(which("WebKitWebDriver"), env=env)
        )
        try:
            yield Hand(
                browser,
                browser.get,
                lambda script, args: browser.execute_script(script, *args),
                folder,
            )
        finally:
            browser.quit()
    finally:
        xvfb.terminate()
        xvfb.wait(10)


class Hand:
    """What a person does, in words of the page, whichever browser it is; ``keeps`` is where it writes."""

    def __init__(self, browser, go_to, run, keeps):
        self.browser, self.go_to, self.run, self.keeps = browser, go_to, run, keeps

    def until(self, script, *args):
        """The first answer of a script that is there."""
        deadline = time.monotonic() + PATIENCE_S
        while not (result := self.run(script, args)):
            page = self.run("return document.body.innerText", [])
            assert time.monotonic() < deadline, f"{args}: {page}"
            time.sleep(0.1)
        return result

    def writes(self, words):
        """Wait until the browser has written down where it has been, and with it what came before."""
        deadline = time.monotonic() + PATIENCE_S
        while not readable_in(self.keeps, words):
            assert time.monotonic() < deadline, f"{words} is not written down"
            time.sleep(0.1)

    def sees(self, words):
        self.until("return document.body.innerText.includes(arguments[0])", words)

    def press(self, words):
        self.until(
            """const all = [...document.querySelectorAll('button, a, [role=radio]')];
            const one = all.find(each => each.textContent.trim().startsWith(arguments[0]));
            if (one) one.click();
            return one !== undefined""",
            words,
        )

    def type(self, label, text):
        place = self.until(
            """const label = [...document.querySelectorAll('label')]
              .find(each => each.textContent.trim() === arguments[0]);
            return label && label.control && label.control.id""",
            label,
        )
        self.browser.find_element("id", place).send_keys(text)
        return place


KEPT = """return new Promise((done) => {
    const opening = indexedDB.open("gentle-plumb");
    opening.onsuccess = () => {
        const all = opening.result.transaction("kept").objectStore("kept").getAllKeys();
        all.onsuccess = () => { opening.result.close(); done(all.result.map(String)) };
    };
}).then((names) => %s)"""
TAKEN_ALONG = KEPT % "names.some((one) => one.includes('visit:'))"
WHERE = """const said = document.body.innerText;
    return said.includes("To finish") ? "in" : said.includes("Email") && "door";"""
ALL_SENT = KEPT % "!names.some((one) => one.includes('queue:') || one.includes('out:'))"
NOTHING_KEPT = KEPT % "names.length === 0"


class Firefox(Hand):
    """One whose network can be taken away, and that can be killed."""

    def cut(self):
        """Send everything to a proxy that is not there."""
        dead = {"network.proxy.type": 1, "network.proxy.http": "127.0.0.1"}
        dead |= {"network.proxy.http_port": 9, "network.proxy.allow_hijacking_localhost": True}
        self.browser.set_prefs(dead)

    def kill(self):
        """End it at once; a copy of what it leaves on the disk."""
        os.kill(self.browser.process_id, signal.SIGKILL)
        left = self.keeps.with_name(f"{self.keeps.name}-left")
        copytree(self.keeps, left, ignore=ignore_patterns("lock", "*.sqlite-shm"))
        return left


def short_visit(hand, program, name):
    owner = DEMO_MEMBERS[0]
    hand.go_to(program.address)
    hand.type("Email", owner.email)
    hand.type("Password", owner.password)
    hand.press("Sign in")
    hand.sees("To finish")  # the session was kept: lists are not empty
    hand.press("New visit")
    hand.press("New client")
    hand.type("Name", f"Otmar {name}")
    hand.press("Save and start visit")
    hand.sees("Before you adjust anything")
    hand.press("Given")
    hand.press("Next: Reason")
    hand.type("Reason for the visit", "Unmistakable words")
    hand.sees("Saved ")
    hand.press("2 Look")
    hand.press("Seat height, client seated")
    hand.type("Seat height, client seated", "46,5")
    hand.sees("Saved ")
    hand.until("return document.querySelector('[data-testid=elevation]') !== null")
    hand.browser.refresh()
    hand.sees("46,5 cm")
    if name == "firefox":  # which does write where it has been
        hand.writes(f"127.0.0.1:{program.port}")
    assert readable_in(hand.keeps, f"Otmar {name}", "Unmistakable") == []
    hand.browser.delete_all_cookies()
    hand.press("Today")
    hand.sees("Your session has ended. Sign in again")


@pytest.mark.parametrize("name", sorted(BROWSERS))
def test_a_short_visit(name, program, tmp_path):
    there, missing = BROWSERS[name]
    if not there:
        pytest.skip(missing)
    with {"firefox": firefox, "webkit": webkit}[name](tmp_path) as hand:
        short_visit(hand, program, name)


def test_firefox_keeps_nothing_readable_of_a_visit_without_network_killed_and_signed_out(
    program, tmp_path
):
    if not BROWSERS["firefox"][0]:
        pytest.skip(BROWSERS["firefox"][1])
    words, owner = ("Otmar Firegrave", "Unspeakable", "Tolliver"), DEMO_MEMBERS[0]
    with firefox(tmp_path) as hand:
        hand.go_to(program.address)
        hand.type("Email", owner.email)
        hand.type("Password", owner.password)
        hand.press("Sign in")
        hand.press("New visit")
        hand.until("return navigator.serviceWorker.controller !== null")
        hand.press("New client")
        hand.type("Name", words[0])
        hand.press("Save and start visit")
        hand.sees("Before you adjust anything")
        hand.press("Given")
        hand.press("Next: Reason")
        hand.until(TAKEN_ALONG)
        hand.cut()
        hand.type("Reason for the visit", f"{words[1]} without network")
        hand.sees("on this device")
        hand.writes(f"127.0.0.1:{program.port}")
        left = hand.kill()
        assert readable_in(hand.keeps, *words) == []
    with firefox(tmp_path, left) as hand:
        hand.go_to(program.address)
        if hand.until(WHERE) == "door":  # the session may have been restored with the browser
            hand.type("Email", owner.email)
            hand.type("Password", owner.password)
            hand.press("Sign in")
        hand.sees("To finish")
        hand.until(ALL_SENT)
        hand.press("Sign out")
        hand.until(NOTHING_KEPT)
        hand.go_to(f"{program.address}/?after-signing-out")
        hand.writes("after-signing-out")
        hand.kill()
        assert readable_in(hand.keeps, *words) == []
