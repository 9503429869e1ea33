import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { openDevice, serve } from "@/test/device";
import { installed } from "./installed";
import { lost, network, reaches, whenBack } from "./network";
import { send } from "./send";
import { keepSealed, kept } from "./vault";

const clients = () => new Request(new URL("/api/clients", location.origin));

beforeEach(async () => {
  await openDevice();
  installed.setState({ ready: true });
  network.setState({ away: false });
});
afterEach(() => network.setState({ away: false }));

test("while the server answers, its answer counts, and lists are kept for later", async () => {
  serve({ "GET /api/clients": { body: [{ id: "c" }] } });
  expect(await (await send(clients())).json()).toEqual([{ id: "c" }]);
  await expect.poll(() => kept("answer:/api/clients")).toEqual([{ id: "c" }]);
});

test("a connection that breaks while the server is there is an error, and no reason to go on alone", async () => {
  serve({ "GET /api/health": { body: { status: "ok" } } });
  await expect(send(clients())).rejects.toThrow("nobody answers");
  expect(network.getState().away).toBe(false);
});

test("once nobody answers, this device does", async () => {
  await keepSealed("answer:/api/clients", [{ id: "kept" }]);
  serve({});
  expect(await (await send(clients())).json()).toEqual([{ id: "kept" }]);
  expect(network.getState().away).toBe(true);
  const asked = serve({});
  await send(clients());
  expect(asked).toEqual([]); // away: the server is not tried with every call
});

test("what no device answers fails as a connection does", async () => {
  serve({});
  await expect(send(new Request(new URL("/api/own/page", location.origin)))).rejects.toThrow(
    "Can’t reach the server.",
  );
});

test("a page that can’t go on alone only asks the server", async () => {
  installed.setState({ ready: false });
  await keepSealed("answer:/api/clients", [{ id: "kept" }]);
  serve({});
  await expect(send(clients())).rejects.toThrow("nobody answers");
  expect(network.getState().away).toBe(false);
});

test("a call that was given up is not the server’s fault", async () => {
  const giving = new AbortController();
  giving.abort();
  serve({});
  const request = new Request(clients(), { signal: giving.signal });
  await expect(send(request)).rejects.toThrow();
  expect(network.getState().away).toBe(false);
});

test("the server is asked for every two seconds, and everybody hears once it is back", async () => {
  vi.useFakeTimers();
  const heard: string[] = [];
  const stop = whenBack(() => void heard.push("one"));
  whenBack(() => void heard.push("two"));
  serve({});
  expect(await reaches()).toBe(false);
  lost();
  lost(); // twice is once
  await vi.advanceTimersByTimeAsync(2000);
  expect(network.getState().away).toBe(true);
  const asked = serve({ "GET /api/health": { body: {} } });
  await vi.advanceTimersByTimeAsync(2000);
  expect(network.getState().away).toBe(false);
  expect(heard).toEqual(["one", "two"]);
  await vi.advanceTimersByTimeAsync(10_000);
  expect(asked).toEqual(["GET /api/health"]);
  stop();
});

test("when the browser says that the network is back it is asked at once", async () => {
  serve({});
  lost();
  serve({ "GET /api/health": { body: {} } });
  dispatchEvent(new Event("online"));
  await expect.poll(() => network.getState().away).toBe(false);
});
