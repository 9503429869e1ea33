"""What to change first, in one sentence."""

import pytest

from gentle_plumb.services.workup import work_up

SAID = {
    "Yara": "Mouse in 4.5 cm (the arm reaches out); seat up 4.0 cm, footrest up 13.0 cm (the feet are off the floor); "
    "screen top down 10.2 cm (the screen is too high); and 2 more changes.",
    "Ivo": "Surface up 11.6 cm standing (the keyboard is not at hand height); "
    "screen top down 6.8 cm, screen top up 8.0 cm standing (the screen is too high).",
    "Otis": "Screen top up 7.7 cm (the screen is too low).",
    "Hugo": "Main screen, angle from straight ahead: right 5°, screen 2 to the side: right 17° (head or trunk stays "
    "turned); screen 3 top up 11.4 cm, screen top up 5.6 cm standing (the screen is not at eye height); surface down "
    "5.6 cm (the keys are above the hands); and 1 more change.",
    "Jonas": "",
}


@pytest.mark.parametrize("name", SAID)
def test_one_sentence_says_what_moves_how_far_and_why_in_order_of_effect(loaded, name):
    owner = loaded.accounts_port.member_by_email("ines@saltmere.example")
    line = next(line for line in loaded.visits.visits(owner) if line.client.startswith(name))
    opened = loaded.records.load_snapshot(owner.practice_id, line.id)
    said = work_up(opened, "cm").headline
    assert said.replace("\u00a0", " ") == SAID[name]
