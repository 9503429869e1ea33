"""A practice says it its own way: a PO file, held to the messages that there are."""

from api.conftest import fill

HEAD = 'msgid ""\nmsgstr ""\n"Language: de\\n"\n"Content-Type: text/plain; charset=utf-8\\n"\n\n'
GERMAN = {"Accept-Language": "de"}


def put(owner, *entries):
    raw = HEAD + "\n\n".join(entries)
    return owner.http.put("/api/languages", content=raw.encode())


def test_own_words_come_before_the_catalogues_on_screen_on_paper_and_on_the_clients_page(owner):
    visit = owner.new_visit("Yara Fenwick")
    fill(owner, visit, "Yara Fenwick", **{"report.client_language": "de"})
    added = put(
        owner,
        'msgid "Seat height, client seated"\nmsgstr "Sitzfläche, belastet"',
        'msgid "Your workplace"\nmsgstr "Ihr Platz"',
        'msgctxt "page.next"\nmsgid "Next"\nmsgstr "Los"',
        'msgid "Screen top"\nmsgstr ""',
    )
    assert added.status_code == 200, added.text
    fields = owner.http.get("/api/fields", headers=GERMAN).json()["fields"]
    labels = {field["id"]: field["label"] for field in fields}
    assert labels["look.found.seat"] == "Sitzfläche, belastet"
    paper = owner.http.get(f"/api/visits/{visit}/report").json()
    assert "Ihr Platz" in str(paper["layouts"]["client"])
    words = owner.http.get("/api/languages/de/words").json()
    assert set(words.values()) == {"Sitzfläche, belastet", "Ihr Platz"}
    back = owner.http.get("/api/languages/de.po").text
    assert 'msgid "Your workplace"\nmsgstr "Ihr Platz"' in back
    assert 'msgid "Screen top"\nmsgstr "Bildoberkante"' in back
    assert owner.http.delete("/api/languages/de").status_code == 204
    assert owner.http.get("/api/languages/de/words").json() == {}


def test_a_file_that_is_wrong_says_where_and_changes_nothing(owner):
    refused = put(
        owner,
        'msgid "{client} was imported."\nmsgstr "{klient} ist da."',
        'msgid "No such thing is said"\nmsgstr "Nein"',
    )
    assert refused.status_code == 422
    lines = {line["field"]: line["reason"] for line in refused.json()["lines"]}
    assert "{client}" in lines["{client} was imported."]
    assert lines["No such thing is said"] == "there is no such message"
    assert owner.http.get("/api/languages/de/words").json() == {}


def test_what_is_downloaded_can_be_taken_in_as_it_is(owner):
    for language in ("en", "es"):
        whole = owner.http.get(f"/api/languages/{language}.po").content
        taken = owner.http.put("/api/languages", content=whole)
        assert taken.status_code == 200, taken.text[:400]
        assert owner.http.get(f"/api/languages/{language}/words").json() == {}
