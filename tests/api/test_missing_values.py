"""Any one value of a visit may be missing, and any two dimensions: work out and papers still answer."""

from itertools import combinations
from uuid import UUID, uuid4

import pytest

from api.conftest import fill


class Visit:
    """A whole visit whose entries are taken out and put back."""

    def __init__(self, page):
        self.page, self.id = page, page.new_visit()
        fill(page, self.id, "Odile Marrick")
        held = page.http.get(f"/api/visits/{self.id}").json()["entries"]
        self.entries = {
            path: one for path, one in held.items() if not path.startswith("ask.consent.")
        }
        self.names = sorted({path.split(".")[1] for path in held if path.startswith("measure.")})

    def of(self, *dimensions):
        starts = tuple(f"measure.{name}." for name in dimensions)
        return [path for path in self.entries if path.startswith(starts)]

    def write(self, path, typed):
        entry = self.entries[path]
        entry["version"] = self.page.app.state.services.visits.change(
            self.page.member,
            UUID(self.id),
            change_id=uuid4(),
            path=path,
            typed=typed,
            expected_version=entry["version"],
            unit="cm",
        )[0].version

    def without(self, paths, *views):
        """Ask for views of the visit without some values, then put them back."""
        for path in paths:
            self.write(path, "")
        answers = [self.page.http.get(f"/api/visits/{self.id}/{view}") for view in views]
        for path in paths:
            self.write(path, self.entries[path]["typed"])
        assert [answer.status_code for answer in answers] == [200] * len(views), (
            paths,
            answers[0].text,
        )
        return [answer.json() for answer in answers]


@pytest.fixture
def whole(owner):
    return Visit(owner)


def test_any_one_value_may_be_missing_from_work_out_and_every_paper(whole):
    assert len(whole.entries) > 60
    for path in sorted(whole.entries):
        whole.without([path], "results", "report")


def test_any_dimension_and_any_two_may_be_missing_and_it_is_said_which(whole):
    assert len(whole.names) > 12
    for pair in combinations(whole.names, 2):
        whole.without(whole.of(*pair), "results")
    for name in ("popliteal_height", "elbow_height_sitting", "eye_height_sitting"):
        (worked,) = whole.without(whole.of(name), "results")
        waiting = [row for row in worked["rows"] if row["target"] is None]
        assert [row["key"] for row in waiting if not row["reason"]] == [], name
