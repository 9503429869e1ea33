"""A signed-in caller of the running program."""

from __future__ import annotations

import itertools
import re
from typing import Any
from uuid import uuid4

from plumb_demo.people import DEMO_MEMBERS


class CurrentUser:
    """A signed-in caller over one kept connection."""

    def __init__(self, address: str) -> None:
        import httpx2 as httpx

        self.http = httpx.Client(base_url=address)
        person = DEMO_MEMBERS[0]
        me = self.http.post(
            "/api/session", json={"email": person.email, "password": person.password}
        )
        self.http.headers["X-Plumb-Csrf"] = me.json()["csrf"]
        token = re.search(r"plumb_session=([^;]+)", me.headers["set-cookie"])
        assert token is not None
        self.http.headers["Cookie"] = f"plumb_session={token.group(1)}"
        lines = self.http.get("/api/visits").json()
        self.visit = next(line["id"] for line in lines if line["client"] == "Bram Tolliver")
        self.not_set_yet = next(line["id"] for line in lines if line["client"] == "Yara Fenwick")
        self._all = itertools.cycle([line["id"] for line in lines])

    def change(self, path: str, typed: str) -> None:
        """Type into a field, upon its present version."""
        entries = self.http.get(f"/api/visits/{self.visit}").json()["entries"]
        version = entries.get(path, {"version": 0})["version"]
        body = {"path": path, "typed": typed, "expected_version": version}
        answer = self.http.put(f"/api/visits/{self.visit}/changes/{uuid4()}", json=body)
        answer.raise_for_status()

    def record(self) -> dict[str, Any]:
        """The words of the record of a visit."""
        answer = self.http.get(f"/api/visits/{self.visit}/report")
        answer.raise_for_status()
        return dict(answer.json()["content"]["record"])

    def worked(self) -> bytes:
        """A visit worked out and drawn, another one each time: nothing is remembered of it."""
        answer = self.http.get(f"/api/visits/{next(self._all)}/results?width=790&height=690")
        answer.raise_for_status()
        return bytes(answer.content)
