import { t } from "@lingui/core/macro";
import { keepPreviousData } from "@tanstack/react-query";
import { useNavigate } from "@tanstack/react-router";
import { clsx } from "clsx";
import Fuse from "fuse.js";
import { Search } from "lucide-react";
import { Dialog } from "radix-ui";
import { type KeyboardEvent, useId, useMemo, useState } from "react";
import { server } from "@/shared/api/client";
import { shortDate } from "@/shared/dates";
import { useFocusBack } from "@/shared/ui/focus-back";
import { useLater } from "@/shared/use-later";
import { STATE_WORDS } from "../today/visits";
import { FOUND_PLACES } from "./places";

/** What the screen that is open can do. */
export type ScreenAction = { label: string; more?: string; run: () => void };
type Hit = { key: string; group: string; label: string; says: string; run: () => void };

/** One field over everything: clients, visits, equipment, places and settings, what this screen can do. */
export default function Find({
  actions,
  onDone,
}: {
  actions: readonly ScreenAction[];
  onDone: () => void;
}) {
  const focusing = useFocusBack();
  const [words, setWords] = useState("");
  const [at, setAt] = useState(0);
  const [buttons] = useState(buttonsHere);
  const hits = useHits(words, actions, buttons);
  const list = useId();
  const here = Math.min(at, hits.length - 1);
  const chosen = hits[here];
  const go = (hit: Hit | undefined) => {
    if (!hit) return;
    onDone();
    hit.run();
  };
  const keyed = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by && hits.length > 0) setAt((here + by + hits.length) % hits.length);
    else if (event.key === "Home") setAt(0);
    else if (event.key === "End") setAt(hits.length - 1);
    else if (event.key === "Enter") go(chosen);
    else return;
    event.preventDefault();
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onDone()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#20262b]/45" />
        <Dialog.Content
          {...focusing}
          aria-describedby={undefined}
          className="fixed top-[8dvh] left-1/2 z-50 flex max-h-[84dvh] w-[min(620px,94vw)] -translate-x-1/2 flex-col border border-ink/60 bg-ground"
        >
          <Dialog.Title className="sr-only">{t`Find`}</Dialog.Title>
          <span className="relative block border-b border-ink">
            <Search
              size={20}
              aria-hidden="true"
              className="pointer-events-none absolute top-1/2 start-4 -translate-y-1/2 text-soft"
            />
            <input
              role="combobox"
              aria-expanded="true"
              aria-controls={list}
              aria-activedescendant={chosen ? `${list} ${chosen.key}` : undefined}
              aria-label={t`Find a client, visit, piece of equipment, setting or action`}
              placeholder={t`Client, visit, equipment, setting or action`}
              autoComplete="off"
              spellCheck={false}
              maxLength={200}
              value={words}
              onChange={(event) => {
                setWords(event.target.value);
                setAt(0);
              }}
              onKeyDown={keyed}
              className="min-h-14 w-full bg-transparent ps-12 pe-4 text-lg outline-none placeholder:text-soft"
            />
          </span>
          <div
            id={list}
            role="listbox"
            aria-label={t`Found`}
            className="min-h-0 overflow-y-auto py-1"
          >
            {hits.map((hit, index) => (
              <div key={hit.key}>
                {hits[index - 1]?.group !== hit.group && (
                  <p className="px-4 pt-2 text-sm text-soft" aria-hidden="true">
                    {hit.group}
                  </p>
                )}
                {/* biome-ignore lint/a11y/useKeyWithClickEvents: the field above has the keys */}
                <div
                  id={`${list} ${hit.key}`}
                  role="option"
                  tabIndex={-1}
                  aria-selected={index === here}
                  aria-label={[hit.label, hit.says, hit.group].filter(Boolean).join(", ")}
                  ref={(element) => {
                    if (index === here) element?.scrollIntoView?.({ block: "nearest" });
                  }}
                  className={clsx(
                    "flex min-h-11 cursor-pointer items-center gap-3 px-4",
                    index === here ? "bg-deep" : "hover:bg-paper",
                  )}
                  onClick={() => go(hit)}
                >
                  <span className="font-semibold" dir="auto">
                    {hit.label}
                  </span>
                  <span className="figures min-w-0 flex-1 truncate text-sm text-soft" dir="auto">
                    {hit.says}
                  </span>
                </div>
              </div>
            ))}
          </div>
          <p className="px-4 py-2 text-sm text-soft" role="status">
            {hits.length === 0 ? t`Nothing found.` : t`↑ ↓ to choose, Enter to open, Esc to close`}
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** The buttons and links of the screen behind, each by its name: pressing one is what finding it does. */
function buttonsHere(): ScreenAction[] {
  const found = new Map<string, ScreenAction>();
  for (const one of document.querySelectorAll<HTMLElement>(
    "#main button, #main a[href], header button",
  )) {
    const label = (one.getAttribute("aria-label") ?? one.textContent ?? "").trim();
    const works = !one.matches(":disabled") && one.getClientRects().length > 0;
    if (label && works && !found.has(label)) found.set(label, { label, run: () => one.click() });
  }
  return [...found.values()];
}

/** What words find, in the order in which it is shown; without words, what this screen can do. */
function useHits(
  words: string,
  actions: readonly ScreenAction[],
  buttons: readonly ScreenAction[],
): Hit[] {
  const navigate = useNavigate();
  const q = useLater(words.trim());
  const asked = server.useQuery(
    "get",
    "/api/search",
    { params: { query: { q } } },
    { enabled: q.length > 0, placeholderData: keepPreviousData },
  );
  const near = useMemo(
    () => ({
      actions: new Fuse([...actions, ...buttons], {
        keys: ["label", "more"],
        threshold: 0.3,
        ignoreLocation: true,
      }),
      places: new Fuse(FOUND_PLACES, {
        keys: ["label", "more"],
        threshold: 0.3,
        ignoreLocation: true,
      }),
    }),
    [actions, buttons],
  );
  const sought = words.trim();
  const found = sought && q ? asked.data : undefined;
  const here = sought ? near.actions.search(sought, { limit: 6 }).map(({ item }) => item) : actions;
  const places = sought ? near.places.search(sought, { limit: 6 }).map(({ item }) => item) : [];
  return [
    ...(found?.clients ?? []).map(({ id, name, work }) => ({
      key: `client ${id}`,
      group: t`Clients`,
      label: name,
      says: work,
      run: () => void navigate({ to: "/clients/$clientId", params: { clientId: id } }),
    })),
    ...(found?.visits ?? []).map(({ id, client, started_on, state, practitioner }) => ({
      key: `visit ${id}`,
      group: t`Visits`,
      label: client,
      says: [shortDate(started_on), STATE_WORDS[state], practitioner].join(" · "),
      run: () =>
        void navigate({ to: "/visits/$visitId/$step", params: { visitId: id, step: "ask" } }),
    })),
    ...(found?.equipment ?? []).map(({ id, kind, name, place }) => ({
      key: `equipment ${id}`,
      group: t`Equipment`,
      label: name,
      says: place,
      run: () =>
        void navigate({
          to: "/equipment",
          search: kind === "workstation" ? { part: "workstations" } : {},
        }),
    })),
    ...here.map(({ label, run }) => ({
      key: `action ${label}`,
      group: t`On this screen`,
      label,
      says: "",
      run,
    })),
    ...places.map(({ label, more, to }) => ({
      key: `place ${label}`,
      group: t`Places and settings`,
      label,
      says: more,
      run: () => void navigate({ to }),
    })),
  ];
}
