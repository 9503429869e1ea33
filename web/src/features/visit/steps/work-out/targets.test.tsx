import { replaceEqualDeep } from "@tanstack/react-query";
import { act, render } from "@testing-library/react";
import { Profiler, useState } from "react";
import { expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { Folds } from "@/shared/ui/folds";

type Row = Schemas["RowView"];
const drawn: string[] = [];
vi.mock("../../row-mark", () => ({
  RowMark: ({ row }: { row: Row }) => {
    drawn.push(row.key);
    return null;
  },
}));

import { TargetRow } from "./targets";

const row = (key: string, setting: string) =>
  ({
    ...{ key, setting, posture: "seated", label: key, unit: "cm", target: setting },
    ...{ limits: [], estimated: [], made_of: "the body", change: null },
  }) as unknown as Row;
const answer = (surface: string) => [row("seat", "46"), row("surface", surface), row("mouse", "9")];

let take: (rows: Row[]) => void = () => undefined;

/** A page whose answers are kept as the program keeps them: what is equal stays the same object. */
function Page() {
  const [rows, setRows] = useState(answer("71"));
  take = (next) => setRows((held) => replaceEqualDeep(held, next) as Row[]);
  return (
    <Folds open={null} onOpen={() => undefined}>
      {rows.map((each) => (
        <TargetRow key={each.key} row={each} next={false} open={false} />
      ))}
    </Folds>
  );
}

test("an answer draws again only the rows that it changed", () => {
  const commits: string[] = [];
  const { container } = render(
    <Profiler id="targets" onRender={(_, phase) => commits.push(phase)}>
      <Page />
    </Profiler>,
  );
  expect(drawn).toEqual(["seat", "surface", "mouse"]);
  act(() => take(answer("72.5")));
  expect(drawn.slice(3)).toEqual(["surface"]);
  expect(container.textContent).toContain("72.5");
  const drawings = commits.length;
  expect(commits).toContain("update");
  act(() => take(answer("72.5")));
  expect(drawn).toHaveLength(4);
  expect(commits).toHaveLength(drawings);
});
