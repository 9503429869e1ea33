"""What a practice works with: fields, shelf, rule sets, photographs, a case that is not kept."""

from __future__ import annotations

from collections.abc import Sequence
from uuid import UUID

from ..core.body import DIMENSIONS
from ..core.drawing import INKS, body_chart
from ..core.intake import CONSENTS, MAP_H, MAP_W, RED_FLAGS, REGIONS, URGENCY
from ..core.language import filled
from ..core.observation import HABITS, LIGHT_TASKS, ROOM
from ..core.photo import LANDMARKS
from ..core.policy import POLICY_QUESTIONS
from ..core.record import FAMILIES, FIELDS, PIECES, SHELF, STEPS, paths_of
from ..core.record import fields as record_fields
from ..core.record.fields.measure import Skip
from ..core.sources import SOURCES
from ..documents import CaseDocument
from ..documents.case_result import ResultDocument, result_document
from ..documents.image_processor import MOST_BYTES, too_large
from ..schemas.form import DimensionView, Fields, FieldView, LightTask, PieceView
from ..schemas.work import HouseRules
from ..services.models import (
    ChangedRuleSet,
    ChangedShelfItem,
    LightReading,
    NewRuleSet,
    NewShelfItem,
    PhotoHead,
    RuleSetView,
    ShelfView,
    view_of,
)
from .route import Caller, FileAnswer, FileBody, Needs, Routes
from .services import Services

PRACTICE_ROUTES = Routes("practice")
get, post, put, delete = (
    PRACTICE_ROUTES.get,
    PRACTICE_ROUTES.post,
    PRACTICE_ROUTES.put,
    PRACTICE_ROUTES.delete,
)


@get("/fields", Needs.MEMBER)
def fields(who: Caller) -> Fields:
    """The fields of a visit: labels, kinds, ranges, choices; and the drawing's inks."""
    asked = record_fields.measure.dimension
    return Fields(
        steps=STEPS,
        fields=[view_of(FieldView, field) for field in FIELDS.values()],
        families=[view_of(FieldView, field) for field in FAMILIES.values()],
        pieces=[
            PieceView(id=piece.id, label=piece.label, paths=list(paths_of(piece.id)))
            for piece in PIECES.values()
        ],
        kinds=list(SHELF.values()),
        red_flags=list(RED_FLAGS.values()),
        urgencies={str(id): words for id, words in URGENCY.items()},
        consents=list(CONSENTS.values()),
        map_width=MAP_W,
        map_height=MAP_H,
        map_marks=list(body_chart()),
        regions=list(REGIONS.values()),
        habits=list(HABITS.values()),
        room=list(ROOM.values()),
        light=[
            LightTask(id=id, label=label, least=least, most=most)
            for id, (label, least, most) in LIGHT_TASKS.items()
        ],
        landmarks=list(LANDMARKS.values()),
        dimensions=[
            view_of(DimensionView, entry, can_guess=asked[entry.id].guess is not None)
            for entry in DIMENSIONS.values()
        ],
        skips=Skip.labels(),
        picture_bytes=MOST_BYTES,
        inks=INKS,
        sources={
            key: filled("{title}. {note}", title=source.title, note=source.note)
            for key, source in SOURCES.items()
        },
    )


def _may_add(to: Services, who: Caller, visit_id: UUID, **_: object) -> None:
    to.photos.may_add(who.member, visit_id)


@put(
    "/visits/{visit_id}/photos/{photo_id}",
    Needs.WRITER,
    audit=("change", "photograph"),
    file=FileBody(MOST_BYTES, lambda size, _: too_large(size), "image/*"),
    before=_may_add,
    within_s=None,
)
def add_photo(
    to: Services, who: Caller, visit_id: UUID, photo_id: UUID, picture: bytes
) -> PhotoHead:
    """Keep a photograph, sent as it is: upright and without metadata from here on.

    The id is made on the page; sent twice it counts once.
    """
    return to.photos.add(who.member, visit_id, photo_id, picture)


@get("/photos/{photo_id}.jpg", Needs.HEALTH, audit=("read", "photograph"), media="image/jpeg")
def photo(to: Services, who: Caller, photo_id: UUID) -> FileAnswer:
    """A photograph, only within its practice."""
    _, jpeg = to.photos.picture(who.member, photo_id)
    return FileAnswer(content=jpeg, media="image/jpeg")


@get("/shelf", Needs.MEMBER)
def shelf(to: Services, who: Caller) -> Sequence[ShelfView]:
    """The practice's own pieces and shared workstations."""
    return to.shelf.items(who.member)


@post("/shelf", Needs.OFFICE, status=201)
def add_to_shelf(to: Services, who: Caller, item: NewShelfItem) -> ShelfView:
    """Keep a piece or a workstation."""
    return to.shelf.add(who.member, item)


@put("/shelf/{item_id}", Needs.OFFICE)
def change_on_shelf(to: Services, who: Caller, item_id: UUID, item: ChangedShelfItem) -> ShelfView:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    return to.shelf.change(who.member, item_id, item)


@delete("/shelf/{item_id}", Needs.OFFICE, status=204)
def drop_from_shelf(to: Services, who: Caller, item_id: UUID) -> None:
    """Take one off the shelf; visits keep what they took from it."""
    to.shelf.drop(who.member, item_id)


@get("/policies", Needs.MEMBER)
def house_rules(to: Services, who: Caller) -> HouseRules:
    """Every question, and the practice's bundles."""
    bundles = to.policies.bundles(who.member)
    return HouseRules(questions=list(POLICY_QUESTIONS.values()), bundles=bundles)


@post("/policies", Needs.WRITER, status=201)
def add_bundle(to: Services, who: Caller, new_rule_set: NewRuleSet) -> RuleSetView:
    """Keep a bundle; as the default, visits that begin from now on go by it."""
    return to.policies.add(who.member, new_rule_set)


@put("/policies/{bundle_id}", Needs.WRITER)
def change_bundle(
    to: Services, who: Caller, bundle_id: UUID, changed_rule_set: ChangedRuleSet
) -> RuleSetView:
    """Change one upon its version; on a stale version it answers 409 with what is there."""
    return to.policies.change(who.member, bundle_id, changed_rule_set)


@delete("/policies/{bundle_id}", Needs.WRITER, status=204)
def drop_bundle(to: Services, who: Caller, bundle_id: UUID) -> None:
    """Drop one; visits keep what they took from it."""
    to.policies.drop(who.member, bundle_id)


@post("/light-meter/readings", Needs.MEMBER, refusals=(503,))
def read_light(to: Services, who: Caller) -> LightReading:
    """Ask the light meter near the desk for one reading."""
    return to.light_meter.read()


@post("/fit", Needs.MEMBER)
def fit_case(who: Caller, case: CaseDocument) -> ResultDocument:
    """Work out a case that is not kept."""
    return result_document(case)
