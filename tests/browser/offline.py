"""A browser with a profile of its own, that can be cut off and killed."""

import os
import re
import signal
import time
from contextlib import suppress
from pathlib import Path

from playwright.sync_api import BrowserContext, Error, expect

from plumb_demo.people import DEMO_MEMBERS

PASSWORD = DEMO_MEMBERS[0].password


class Tablet:
    """One device: its browser may be closed or killed, and finds again what it kept."""

    def __init__(self, playwright, launch, program, folder: Path, who=0):
        self._playwright, self._launch, self._who = playwright, launch, DEMO_MEMBERS[who]
        self.program, self.folder = program, folder
        self.context: BrowserContext | None = None

    def start(self, *, offline=False):
        """Open the browser, with network or without."""
        self.context = self._playwright.chromium.launch_persistent_context(
            self.folder, **self._launch, viewport={"width": 1280, "height": 800}
        )
        # a session ends with its browser, but one that was killed more than half a minute after the
        # sign-in has its cookie on the disk: whether it comes back must not hang on how fast this runs
        self.context.clear_cookies(name=re.compile("plumb_session$"))
        self.context.set_offline(offline)
        self.page = self.context.pages[0]
        self.page.set_default_timeout(120_000)
        self.troubles: list[str] = []
        self.page.on("pageerror", lambda error: self.troubles.append(str(error)))
        self.page.goto(self.program.address)
        if offline:
            self.unlock()
        return self.page

    def unlock(self, password=PASSWORD):
        """Open what is kept here, without network."""
        self.page.get_by_label("Password").fill(password)
        self.page.get_by_role("button", name="Open saved visits").click()

    def sign_in(self):
        """Sign in by the form, and wait until the page's files and today's visits are here."""
        page = self.page
        self.sign_in_again()
        expect(page.get_by_role("heading", name="Today", exact=True)).to_be_visible()
        self.until(lambda: page.evaluate("navigator.serviceWorker.controller !== null"))
        self.until(lambda: len(self.kept("visit:")) > 3)

    def sign_in_again(self):
        """Sign in by the form; a session ends with its browser."""
        self.page.get_by_label("Email").fill(self._who.email)
        self.page.get_by_label("Password").fill(self._who.password)
        self.page.get_by_role("button", name="Sign in").click()
        expect(self.page.get_by_label("Email")).to_be_hidden()

    def until(self, told, seconds=150):
        """Wait for something that no element tells."""
        deadline = time.monotonic() + seconds
        while not told():
            assert time.monotonic() < deadline, "it does not come"
            self.page.wait_for_timeout(200)

    def kept(self, start="", most=0):
        """What this device keeps, sealed as it lies there: stamp and so many first bytes by name."""
        rows = self.page.evaluate(
            """([start, most]) => new Promise((done) => {
                const opening = indexedDB.open("gentle-plumb");
                opening.onsuccess = () => {
                    const db = opening.result;
                    const all = db.transaction("kept").objectStore("kept").getAll();
                    all.onsuccess = () => { db.close(); done(all.result
                        .filter((one) => one.name.startsWith(start))
                        .map((one) => [one.name, one.stamp, [...one.sealed.slice(0, most)]])); };
                };
            })""",
            [start, most],
        )
        return {name: (stamp, bytes(sealed)) for name, stamp, sealed in rows}

    def takes_along(self, visit: str):
        """Wait until a visit is here, and goes on without network."""
        self.until(lambda: f"visit:{visit}" in self.kept("visit:"))

    def cut(self, offline=True):
        """Take the network away, or give it back."""
        self.context.set_offline(offline)

    def close(self):
        """Close the browser as a person does."""
        if self.context is not None:
            self.context.close()
            self.context = None

    def kill(self):
        """End the browser at once, in the middle of whatever it does."""
        mine = [
            int(at.name)
            for at in Path("/proc").iterdir()
            if at.name.isdigit() and str(self.folder) in _command(at)
        ]
        for pid in mine:
            os.kill(pid, signal.SIGKILL)
        with suppress(Error):  # it may have gone already
            self.close()
        self.context = None


def _command(process: Path) -> str:
    try:
        return (process / "cmdline").read_bytes().decode(errors="replace")
    except OSError:
        return ""


def readable_in(folder: Path, *words: str) -> list[str]:
    """Which files of a profile hold any of these words in the clear, however a browser writes text."""
    wanted = [word.encode(code) for word in words for code in ("utf-8", "utf-16-le")]
    return [
        str(file.relative_to(folder))
        for file in sorted(folder.rglob("*"))
        if file.is_file() and any(word in file.read_bytes() for word in wanted)
    ]
