import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { createMemoryHistory, createRouter, RouterProvider } from "@tanstack/react-router";
import { render, screen } from "@testing-library/react";
import { router } from "@/app/router";
import type { Schemas } from "@/shared/api/client";
import { anAgenda } from "./agenda";
import { type Answers, ServerStandIn } from "./server";

type Me = Schemas["Me"];

/** Ines, an owner of the practice. */
export function aMember(over: Partial<Me> = {}): Me {
  const practice = {
    time_zone: "Europe/London",
    date_order: "dmy" as const,
    local_wording: "",
    letterhead: "",
    contact: "",
    second_factor: false,
    idle_minutes: 15,
    device_days: 14,
    opens_at: 480,
    closes_at: 1080,
    open_days: "12345",
    rooms: "",
    price_small: 40,
    price_medium: null,
    price_large: null,
    currency: "EUR",
    unit: "cm" as const,
    practice: "Harbour Street Practice",
  };
  return {
    ...practice,
    id: "member-1",
    email: "ines@example.org",
    name: "Ines Calloway",
    title: "Physiotherapist",
    role: "owner",
    sees_health: true,
    registration: "PH-1",
    language: "",
    has_second_factor: false,
    writes: true,
    office: true,
    must_enrol: false,
    recovery_left: 0,
    locked: false,
    csrf: "token",
    device_key: "",
    ...over,
  };
}

export function aClient(over: Partial<Schemas["ListedClient"]> = {}): Schemas["ListedClient"] {
  return {
    id: "client-1",
    version: 1,
    name: "Odile Marrick",
    work: "Claims clerk, Tidewater Mutual",
    email: "odile@example.org",
    sex: "female",
    birth_year: 1984,
    restricted: false,
    last_visit: null,
    follow_up: null,
    ...over,
  };
}

export function aLine(over: Partial<Schemas["VisitLineView"]> = {}): Schemas["VisitLineView"] {
  return {
    id: "visit-1",
    client_id: "client-1",
    client: "Odile Marrick",
    work: "Claims clerk, Tidewater Mutual",
    practitioner: "Ines Calloway",
    started_on: "2026-11-25",
    changed_at: "2026-11-25T09:00:00Z",
    follow_up: null,
    state: "draft",
    sign: null,
    call_back: null,
    shared_report: null,
    step: "ask",
    settles_at: null,
    worse: [],
    ...over,
  };
}

/** Open the program at an address as somebody; what it asks of the server is what is not given here. */
export async function openPage(path: string, answers: Answers = {}, me: Partial<Me> = {}) {
  const server = new ServerStandIn({
    "GET /api/session": { body: aMember(me) },
    "GET /api/welcome": { body: { product: "Gentle Plumb", mails: true, demo: [] } },
    "GET /api/health": { body: { status: "ok" } },
    "GET /api/clients": { body: [] },
    "GET /api/visits": { body: [] },
    "GET /api/bulk": { body: [] },
    "GET /api/members": { body: [] },
    "GET /api/languages": { body: [] },
    "GET /api/checks": { body: [] },
    "GET /api/agenda": { body: anAgenda() },
    "GET /api/phrases": { body: [] },
    "GET /api/calendar": { body: { names: false, made_at: null } },
    ...answers,
  });
  const queries = new QueryClient({
    defaultOptions: {
      queries: { retry: false, networkMode: "always" },
      mutations: { networkMode: "always" },
    },
  });
  const here = createRouter({
    ...router.options,
    history: createMemoryHistory({ initialEntries: [path] }),
  }) as typeof router;
  render(
    <QueryClientProvider client={queries}>
      <RouterProvider router={here} />
    </QueryClientProvider>,
  );
  await screen.findByRole("main", {}, { timeout: 30_000 });
  return { server, router: here };
}
