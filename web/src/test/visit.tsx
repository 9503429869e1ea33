import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { vi } from "vitest";
import { createStore } from "zustand";
import type { ChangeQueue } from "@/features/visit/saving/change-queue";
import type { FieldState } from "@/features/visit/saving/field-state";
import { DrawingContext, DrawingStore } from "@/features/visit/state/drawing-store";
import { type Field, type VisitFacts, VisitFactsContext } from "@/features/visit/state/facts";
import { type Navigation, NavigationContext } from "@/features/visit/state/navigation";
import { RecordingContext } from "@/features/visit/state/recording";
import { WorkupContext } from "@/features/visit/state/workup";
import { BenchContext } from "@/features/visit/what-if/bench";
import type { WhatIfStore } from "@/features/visit/what-if/what-if-store";
import { SESSION_KEY } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";

type Row = Schemas["RowView"];
type Workup = Schemas["DrawnVisit"];

/** A target of 44.0 cm, found at 48.0 cm: to be set, and nothing in the way. */
export function aRow(over: Partial<Row> = {}): Row {
  return {
    key: "seat",
    posture: "seated",
    label: "Seat",
    unit: "cm",
    why: "Feet flat.",
    status: "off",
    state: "to_set",
    reason: null,
    target: "44.0",
    band: "42.0 to 45.0",
    plus_minus: "0.8",
    terms: "44.0 = 44.0 popliteal height",
    made_of: "44.0 popliteal height",
    setting: "44.0",
    found: "48.0",
    change: "down 4.0",
    left: null,
    left_unmeasured: false,
    left_by: "",
    became: aState(),
    left_over: null,
    limits: [],
    limited: false,
    cost: null,
    cost_off: false,
    estimated: [],
    retake: null,
    overruled: false,
    overrule_reason: null,
    check: null,
    remedied: false,
    dial: null,
    computed: null,
    chance: "99 %",
    datum: "from the floor",
    drag: null,
    about: { inputs: [], chosen: [], source: "iso-9241-5" },
    at: {
      target: 440,
      low: 420,
      high: 450,
      setting: 440,
      sd: 8,
      found: 480,
      left: null,
      dial: null,
    },
    ...over,
  };
}

/** A thing that has still to be set. */
export function aState(
  over: Partial<Schemas["StateView"]> = {},
): NonNullable<Schemas["RowView"]["became"]> {
  return {
    kind: "target",
    label: "To be set",
    says: "Still to be set to 44.0 cm",
    shared: "",
    stands: "48.0 cm",
    plus_minus: null,
    keep: null,
    to_set: "44.0 cm",
    word: "still to set",
    measured: true,
    needed: "",
    ...over,
  };
}

export function aFinding(over: Partial<Schemas["Finding"]> = {}): Schemas["Finding"] {
  return {
    id: "seated.seat",
    subject: "Settings",
    mechanism: "feet",
    title: "Seat",
    state: "off",
    cause: "Seat 48.0 cm, 4.0 cm higher than its target.",
    why: "",
    advice: "",
    adds: "",
    check: "",
    instruction: "Lower by 4.0 cm to 44.0 cm.",
    key: "seat",
    posture: "seated",
    region: "knee",
    joint: "",
    minutes: 88,
    severity: "marked",
    evidence: ["As found 48.0 cm"],
    discomfort: [],
    source: "iso-9241-5",
    safety: false,
    health: false,
    own: false,
    directions: [],
    act: "arrange",
    who: "practitioner",
    reason: null,
    left: null,
    over_deg: null,
    sum: null,
    photo: null,
    verdict: null,
    words: null,
    dismissed_for: null,
    ...over,
  };
}

export function anAction(over: Partial<Schemas["ActionView"]> = {}): Schemas["ActionView"] {
  return {
    id: "add.footrest",
    field: "add-footrest",
    kind: "add",
    heading: "Add",
    text: "Footrest",
    who: "Practitioner",
    when: "today",
    price: "small",
    temporary: false,
    state: "open",
    posture: "seated",
    step: "",
    changes: true,
    resolves: ["The feet hang"],
    group: "feet_chair",
    test: "",
    word: "",
    hurts_at: "",
    because: "",
    due: "",
    check: "",
    lever: "",
    tolerance: "",
    nudges: [],
    moved: "",
    aim: "",
    remark: "",
    status: "",
    settled: over.state === "done",
    ...over,
  };
}

export function aField(over: Partial<Field> = {}): Field {
  return {
    id: "set.seated.seat",
    step: "set",
    group: "Set",
    label: "Seat",
    kind: "length",
    section: "set",
    help: "",
    unit: "cm",
    low: 250,
    high: 900,
    choices: [],
    needed: false,
    part: "",
    when: [],
    or_when: [],
    health: false,
    pair: "",
    one_line: false,
    noted_only: false,
    of_the_seat: false,
    been: false,
    ...over,
  };
}

/** A yes-or-no question of the record. */
export function aQuestion(id: string, label: string): Field {
  const choices: Field["choices"] = [
    ["yes", "Yes"],
    ["no", "No"],
  ];
  return aField({ id, label, kind: "choice", choices });
}

export function aWorkup(over: Partial<Workup> = {}): Workup {
  const scene: Schemas["Scene"] = { width: 1, height: 1, marks: [] } as unknown as Schemas["Scene"];
  return {
    revision: 1,
    headline: "",
    rows: [aRow()],
    plan: "room",
    plans: [],
    fixes: [],
    offers: [],
    moves: [],
    pair: null,
    zones: [],
    laptop: [],
    gazes: [],
    bundle: {},
    order: ["seated.seat"],
    steps: [],
    findings: [],
    rest: [],
    hard: [],
    worse: null,
    causes: [],
    unexplained: [],
    actions: [],
    strain: [],
    photos: [],
    red_flags: [],
    precautions: [],
    display: null,
    measured: [],
    doubtful: [],
    again: [],
    table_origin: "",
    set_order: [],
    settle: { minutes: 15, seen: "", steps: [] },
    follows: [],
    joints: [],
    notes: [],
    scene,
    standing_possible: false,
    why_not_standing: null,
    hours: 6,
    hours_doubt: null,
    over_found: 8,
    over_set: 0,
    untold_found: [],
    untold_set: [],
    decider: null,
    seated_possible: true,
    place: "main",
    places: [],
    ...over,
  };
}

export function cell(typed: string): FieldState {
  return { typed, version: 1, held: null, state: "kept", problem: null };
}

/** What a panel did: everything it typed, sought and went to. */
export type Done = ReturnType<typeof spies>;

function spies() {
  const drawing = new DrawingStore();
  return {
    type: vi.fn(),
    typeAll: vi.fn(),
    go: vi.fn(),
    seek: vi.fn(),
    setPart: vi.fn(),
    setActive: vi.spyOn(drawing, "setActive"),
    drawing,
  };
}

type Over = Partial<VisitFacts> & {
  cells?: ReadonlyMap<string, FieldState>;
  drawnVisit?: Workup;
  part?: string;
  families?: Field[];
  /** What else the queue is to answer. */
  queue?: Partial<ChangeQueue>;
};

/** Render a panel in a visit; what is not said is an open visit with one seat to set. */
export function renderInVisit(panel: ReactNode, over: Over = {}): Done {
  const done = spies();
  const { go, seek, setPart, type, typeAll, drawing } = done;
  const {
    cells = new Map(),
    drawnVisit = aWorkup(),
    part = null,
    families = [],
    queue,
    ...facts
  } = over;
  const store = createStore(() => ({ cells, pending: 0 }));
  const own = { newStep: () => 1, onFlush: () => () => {}, holds: () => {} };
  const kept = { type, typeAll, store, ...own, ...queue } as unknown as ChangeQueue;
  const bench = { store: createStore(() => ({})) } as unknown as WhatIfStore;
  const catalogue = {
    families,
    sources: {},
    red_flags: [],
    urgencies: {},
    consents: [],
    fields: [],
  } as unknown as Schemas["Fields"];
  const navigation: Navigation = {
    step: "work",
    part,
    sought: null,
    go,
    seek,
    setPart,
    found: () => {},
    goPlace: () => {},
  };
  const visit = {
    client: { name: "Odile Marrick" },
    reports: [],
    consents: [],
  } as unknown as Schemas["OpenVisit"];
  const said: VisitFacts = {
    visit,
    catalogue,
    fields: [aField()],
    unit: "cm",
    readOnly: false,
    place: "main",
    ...facts,
  };
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.setQueryData(SESSION_KEY, { name: "Ines Calloway" });
  render(
    <QueryClientProvider client={queries}>
      <NavigationContext.Provider value={navigation}>
        <RecordingContext.Provider value={{ queue: kept, kept, place: "main" }}>
          <DrawingContext.Provider value={drawing}>
            <VisitFactsContext.Provider value={said}>
              <WorkupContext.Provider value={drawnVisit}>
                <BenchContext.Provider value={bench}>{panel}</BenchContext.Provider>
              </WorkupContext.Provider>
            </VisitFactsContext.Provider>
          </DrawingContext.Provider>
        </RecordingContext.Provider>
      </NavigationContext.Provider>
    </QueryClientProvider>,
  );
  return done;
}
