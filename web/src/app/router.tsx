import {
  createRootRoute,
  createRoute,
  createRouter,
  lazyRouteComponent,
  Outlet,
  useRouterState,
} from "@tanstack/react-router";
import type { PlaceId } from "../features/visit/at-place";
import type { VisitSearch } from "../features/visit/state/navigation";
import { Failure, Nowhere } from "./failure";
import { Gate } from "./gate";
import { Shell } from "./shell";

const OPEN: ReadonlySet<string> = new Set(["/own", "/enter"]);

/** A client's own page, and a one-time link, have doors of their own; everything else is behind the sign-in. */
function Root() {
  const open = useRouterState({ select: (state) => OPEN.has(state.location.pathname) });
  return open ? <Outlet /> : <Gate />;
}

/** Which day of the agenda is shown, and whose visits. No names: a browser writes addresses down. */
export type TodaySearch = { day?: string; whose?: "mine" };
const DAY = /^\d{4}-\d{2}-\d{2}$/;

const root = createRootRoute({ component: Root });
const ownPage = createRoute({
  getParentRoute: () => root,
  path: "/own",
  component: lazyRouteComponent(() => import("../features/own-page/own-page"), "OwnPage"),
});
/** Come in by a one-time link: nobody is signed in yet. */
const enter = createRoute({
  getParentRoute: () => root,
  path: "/enter",
  component: lazyRouteComponent(() => import("../features/sign-in/enter-page"), "EnterPage"),
});
const shell = createRoute({ getParentRoute: () => root, id: "shell", component: Shell });

const today = createRoute({
  getParentRoute: () => shell,
  path: "/",
  validateSearch: (search: Record<string, unknown>): TodaySearch => ({
    ...(typeof search.day === "string" && DAY.test(search.day) ? { day: search.day } : {}),
    ...(search.whose === "mine" ? { whose: search.whose } : {}),
  }),
  component: lazyRouteComponent(() => import("../features/today/today-page"), "TodayPage"),
});
const clients = createRoute({
  getParentRoute: () => shell,
  path: "/clients",
  component: lazyRouteComponent(() => import("../features/clients/clients-page"), "ClientsPage"),
});
const client = createRoute({
  getParentRoute: () => shell,
  path: "/clients/$clientId",
  component: lazyRouteComponent(() => import("../features/clients/client-page"), "ClientPage"),
});
const check = createRoute({
  getParentRoute: () => shell,
  path: "/clients/checks/$checkId",
  component: lazyRouteComponent(() => import("../features/clients/check-page"), "CheckPage"),
});
const auditLog = createRoute({
  getParentRoute: () => shell,
  path: "/audit-log",
  validateSearch: (search: Record<string, unknown>): { client?: string } =>
    typeof search.client === "string" ? { client: search.client } : {},
  component: lazyRouteComponent(() => import("../features/people/audit-log-page"), "AuditLogPage"),
});
const keeping = createRoute({
  getParentRoute: () => shell,
  path: "/retention",
  component: lazyRouteComponent(() => import("../features/people/retention-page"), "RetentionPage"),
});
const running = createRoute({
  getParentRoute: () => shell,
  path: "/status",
  component: lazyRouteComponent(() => import("../features/people/status-page"), "StatusPage"),
});
const inbox = createRoute({
  getParentRoute: () => shell,
  path: "/inbox",
  component: lazyRouteComponent(() => import("../features/clients/inbox-page"), "InboxPage"),
});
const account = createRoute({
  getParentRoute: () => shell,
  path: "/account",
  component: lazyRouteComponent(() => import("../features/people/account-page"), "AccountPage"),
});
const people = createRoute({
  getParentRoute: () => shell,
  path: "/people",
  component: lazyRouteComponent(() => import("../features/people/people-page"), "PeoplePage"),
});
const equipment = createRoute({
  getParentRoute: () => shell,
  path: "/equipment",
  validateSearch: (search: Record<string, unknown>): { part?: string } =>
    typeof search.part === "string" ? { part: search.part } : {},
  component: lazyRouteComponent(
    () => import("../features/equipment/equipment-page"),
    "EquipmentPage",
  ),
});
const measuring = createRoute({
  getParentRoute: () => shell,
  path: "/measuring",
  validateSearch: (search: Record<string, unknown>): { part?: string } =>
    typeof search.part === "string" ? { part: search.part } : {},
  component: lazyRouteComponent(
    () => import("../features/measuring/measuring-page"),
    "MeasuringPage",
  ),
});
const rules = createRoute({
  getParentRoute: () => shell,
  path: "/rules",
  component: lazyRouteComponent(() => import("../features/rules/rules-page"), "RulesPage"),
});
export const visitRoute = createRoute({
  getParentRoute: () => root,
  path: "/visits/$visitId/$step",
  validateSearch: (search: Record<string, unknown>): VisitSearch => ({
    ...(typeof search.part === "string" ? { part: search.part } : {}),
    ...(isPlace(search.place) ? { place: search.place } : {}),
    ...(typeof search.field === "string" ? { field: search.field } : {}),
  }),
  component: lazyRouteComponent(() => import("../features/visit/visit-page"), "VisitPage"),
});

function isPlace(value: unknown): value is PlaceId {
  return typeof value === "string" && ["2", "3", "4"].includes(value);
}

export const router = createRouter({
  routeTree: root.addChildren([
    shell.addChildren([
      today,
      clients,
      client,
      check,
      inbox,
      auditLog,
      keeping,
      running,
      equipment,
      measuring,
      rules,
      people,
      account,
    ]),
    visitRoute,
    ownPage,
    enter,
  ]),
  defaultPreload: "intent",
  defaultErrorComponent: Failure,
  defaultNotFoundComponent: Nowhere,
});

declare module "@tanstack/react-router" {
  interface Register {
    router: typeof router;
  }
}
