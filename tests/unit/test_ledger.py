"""What is worked out and decided for fixed visits is as it was when somebody last looked."""

from itertools import zip_longest

from ledger import LEDGER, ledger


def test_nothing_is_worked_out_otherwise_unless_it_is_meant():
    held, now = LEDGER.read_text("utf-8").splitlines(), ledger().splitlines()
    visit = ""
    for was, line in zip_longest(held, now, fillvalue=""):
        visit = line if line.startswith("#") else visit
        assert line == was, f"{visit}; update it if this is meant: python tests/ledger.py"
