import { Trans } from "@lingui/react/macro";
import type { ReactNode } from "react";
import type { Figure } from "./figures";

/** A piece or workstation: what it is called, where it stands, what it can be set to. */
export function ItemCard({
  name,
  place,
  figures,
  users = [],
  act,
  heading: Heading = "h3",
}: {
  name: string;
  /** Where it stands under the page's own headings. */
  heading?: "h2" | "h3";
  place: string;
  figures: readonly Figure[];
  users?: readonly string[];
  act: ReactNode;
}) {
  return (
    <li className="flex flex-col border border-hair bg-paper p-3">
      <div className="flex items-start justify-between gap-3">
        <div className="min-w-0">
          <Heading className="font-semibold" dir="auto">
            {name}
          </Heading>
          {place && (
            <p className="text-sm text-soft" dir="auto">
              {place}
            </p>
          )}
        </div>
        {act}
      </div>
      {figures.length > 0 && (
        <dl className="mt-2 grid grid-cols-3 gap-x-4">
          {figures.map((figure) => (
            <div key={figure.name} className="flex min-w-0 flex-col-reverse justify-end">
              <dd className="figures font-semibold">{figure.value}</dd>
              <dt className="text-sm leading-tight text-soft">{figure.name}</dt>
            </div>
          ))}
        </dl>
      )}
      {users.length > 0 && (
        <p className="mt-2 text-sm text-soft">
          <Trans>Used by {users.join(", ")}</Trans>
        </p>
      )}
    </li>
  );
}
