import type { ReactNode } from "react";
import type { Figure } from "./figures";

/** A piece or workstation: what it is called, where it stands, what it can be set to. */
export function ItemCard({
  name,
  place,
  figures,
  users = [],
  act,
}: {
  name: string;
  place: string;
  figures: readonly Figure[];
  users?: readonly string[];
  act: ReactNode;
}) {
  return (
    <li className="flex flex-col border border-hair bg-paper p-3">
      <div className="flex items-start justify-between gap-3">
        <div className="min-w-0">
          <h3 className="font-semibold" dir="auto">
            {name}
          </h3>
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
          {figures.map((one) => (
            <div key={one.name} className="flex min-w-0 flex-col-reverse justify-end">
              <dd className="figures font-semibold">{one.value}</dd>
              <dt className="text-sm leading-tight text-soft">{one.name}</dt>
            </div>
          ))}
        </dl>
      )}
      {users.length > 0 && <p className="mt-2 text-sm text-soft">Used by {users.join(", ")}</p>}
    </li>
  );
}
