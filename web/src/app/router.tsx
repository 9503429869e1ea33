import {
  createRootRoute,
  createRoute,
  createRouter,
  lazyRouteComponent,
} from "@tanstack/react-router";
import { Gate } from "./gate";
import { Shell } from "./shell";

const root = createRootRoute({ component: Gate });
const shell = createRoute({ getParentRoute: () => root, id: "shell", component: Shell });

const today = createRoute({
  getParentRoute: () => shell,
  path: "/",
  component: lazyRouteComponent(() => import("../features/today/today-page"), "TodayPage"),
});
const clients = createRoute({
  getParentRoute: () => shell,
  path: "/clients",
  component: lazyRouteComponent(() => import("../features/clients/clients-page"), "ClientsPage"),
});
const people = createRoute({
  getParentRoute: () => shell,
  path: "/people",
  component: lazyRouteComponent(() => import("../features/people/people-page"), "PeoplePage"),
});
export const visitRoute = createRoute({
  getParentRoute: () => root,
  path: "/visits/$visitId/$step",
  component: lazyRouteComponent(() => import("../features/visit/visit-page"), "VisitPage"),
});

export const router = createRouter({
  routeTree: root.addChildren([shell.addChildren([today, clients, people]), visitRoute]),
  defaultPreload: "intent",
});

declare module "@tanstack/react-router" {
  interface Register {
    router: typeof router;
  }
}
