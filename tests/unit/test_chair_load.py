"""What a chair may carry, and how old it is."""

from plain_visit import PLAIN, papers


def test_what_a_chair_carries_is_checked_and_the_weight_never_leaves():
    def said(**more):
        workup, made = papers(PLAIN, **more, **{"ask.consent.workplace": "yes"})
        found = {finding.id: finding for finding in workup.analysis.findings}
        return found, made.workplace.model_dump_json()

    heavy = {"ask.weight": 131.0}
    found, _ = said()
    assert not {"chair_load", "chair_age"} & set(found)  # nobody needs the weight
    assert said(**heavy)[0]["chair_load"].state == "not assessable"
    found, paper = said(**heavy, **{"look.chair.load_limit": 110.0, "look.chair.age": 12.0})
    assert found["chair_load"].state == "off"
    assert found["chair_load"].safety
    assert "131" in found["chair_load"].cause
    assert found["chair_age"].state == "off"
    assert "kg" not in paper
    assert "Load limit" not in paper
    held, _ = said(**heavy, **{"look.chair.load_limit": 150.0, "look.chair.age": 3.0})
    assert (held["chair_load"].state, held["chair_age"].state) == ("holds", "holds")
