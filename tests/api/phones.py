"""A client's own telephone, as the interface sees it."""

from uuid import uuid4

from api.conftest import Page
from gentle_plumb.core.intake import RED_FLAGS


class Client:
    """A client's phone."""

    def __init__(self, app):
        self.http, self.seen = Page(app).http, {}

    def open(self, made, code=None):
        return self.http.post(
            "/api/own/session",
            json={"token": made["url"].split("#")[1], "code": code or made["code"]},
        )

    def agree(self, what="answers", yes=True):
        return self.http.put("/api/own/agreement", json={"what": what, "yes": yes})

    def answer(self, question, typed, round="before", unit="cm", change=None):
        """Answer upon the version this device has seen, and note the one that comes back."""
        body = {"question": question, "typed": typed, "unit": unit, "id": change or str(uuid4())}
        body["expected_version"] = self.seen.get((round, question), 0)
        answer = self.http.put(f"/api/own/rounds/{round}/answer", json=body)
        if answer.status_code == 200:
            self.seen[round, question] = answer.json()["version"]
        return answer

    def all_signs(self, round="before", **there):
        for id in RED_FLAGS:
            assert self.answer(f"sign.{id}", there.get(id, "no"), round).status_code == 200

    def send(self, round="before"):
        return self.http.post(f"/api/own/rounds/{round}/send")
