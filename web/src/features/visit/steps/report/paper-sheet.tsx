import { t } from "@lingui/core/macro";
import type { ReactNode } from "react";
import { Marks } from "@/drawing/marks";
import type { Schemas } from "@/shared/api/client";
import { Picture } from "@/shared/ui/picture";
import { useVisitFacts } from "../../state/facts";

type Paper = Schemas["ClientPaper"] | Schemas["WorkplacePaper"] | Schemas["RecordPaper"];
type Block = Schemas["PaperLayout"]["blocks"][number];
type Run = Schemas["Run"];
type Of<Kind extends Block["kind"]> = Extract<Block, { kind: Kind }>;

const MARKS: Record<NonNullable<Run["marks"]>[number], string> = {
  strong: "font-semibold",
  italic: "italic",
  soft: "text-soft",
  small: "text-sm",
  fine: "text-sm",
  tick: "inline-block size-3.5 border border-ink align-middle",
};
const FRAMES: Record<NonNullable<Of<"group">["frame"]>, string> = {
  "": "",
  boxed: "mt-2 border border-ink p-2",
  barred: "mt-2 border-s-2 border-ink ps-2",
  tinted: "bg-paper p-2",
};
const ALIGNS = { left: "text-start", right: "text-end", center: "text-center" };

/** A paper as it would be signed: letterhead, title and the blocks that the PDF is set from too. */
export function PaperSheet({
  paper,
  layout,
  label,
}: {
  paper: Paper;
  layout: Schemas["PaperLayout"];
  label: string;
}) {
  return (
    <article
      aria-label={label}
      className="mx-auto my-4 w-full max-w-[760px] border border-hair bg-ground px-5 py-6 desk:my-8 desk:px-14 desk:py-12"
    >
      <div className="flex flex-wrap justify-between gap-x-6 text-sm text-soft">
        <p className="font-semibold">{paper.practice}</p>
        <p className="text-end whitespace-pre-line">{(paper.letterhead ?? []).join("\n")}</p>
      </div>
      <h3 className="mt-2 text-2xl">{layout.title}</h3>
      <p className="mb-2">{layout.about}</p>
      <Blocks blocks={layout.blocks} paper={paper} />
    </article>
  );
}

function Blocks({ blocks, paper }: { blocks: readonly Block[]; paper: Paper }) {
  return blocks.map((block) => (
    <BlockView key={JSON.stringify(block)} block={block} paper={paper} />
  ));
}

function BlockView({ block, paper }: { block: Block; paper: Paper }): ReactNode {
  switch (block.kind) {
    case "heading":
      return block.level === 2 ? (
        <h4 className="mt-5 mb-1 text-base font-semibold">{block.text}</h4>
      ) : (
        <h5 className="mt-3 mb-1 font-semibold">{block.text}</h5>
      );
    case "text":
      return (
        <p className="my-1">
          <Runs runs={block.runs} />
        </p>
      );
    case "items":
      return <ItemList block={block} />;
    case "table":
      return <BlockTable table={block} />;
    case "drawing":
      return <BlockDrawing drawing={block} paper={paper} />;
    case "photographs":
      return <Photographs block={block} />;
    case "to_fill_in":
      return (
        <p className="mt-3 flex gap-2 text-soft">
          {block.labels.map((label) => (
            <span key={label} className="flex-1 border-b border-soft">
              {label}
            </span>
          ))}
        </p>
      );
    case "group":
      return <Group block={block} paper={paper} />;
  }
}

/** Runs of text; a line feed begins a new line. */
function Runs({ runs }: { runs: readonly Run[] }) {
  return runs.map((run) => {
    const marks = run.marks ?? [];
    return (
      <span
        key={`${marks.join(" ")} ${run.text}`}
        className={`whitespace-pre-line ${marks.map((mark) => MARKS[mark]).join(" ")}`}
      >
        {run.text}
      </span>
    );
  });
}

function ItemList({ block }: { block: Of<"items"> }) {
  const List = block.numbered ? "ol" : "ul";
  return (
    <List className={`ps-5 ${block.numbered ? "list-decimal" : "list-disc"}`}>
      {block.items.map((item) => (
        <li key={JSON.stringify(item)} className="py-0.5">
          <Runs runs={item} />
        </li>
      ))}
    </List>
  );
}

/** A table whose first column with words names the row. */
function BlockTable({ table }: { table: Of<"table"> }) {
  const named = Math.max(
    0,
    table.columns.findIndex((column) => column.align !== "center"),
  );
  return (
    <div className="overflow-x-auto">
      <table className="figures w-full">
        <thead>
          <tr className="border-b border-ink">
            {table.columns.map((column) => (
              <th
                key={column.title}
                scope="col"
                className={`px-1 font-semibold whitespace-nowrap ${ALIGNS[column.align ?? "left"]}`}
              >
                {column.title || <span className="sr-only">{t`What`}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row) => (
            <tr key={JSON.stringify(row)} className="border-b border-hair align-top">
              {row.map((cell, index) => {
                const column = table.columns[index];
                const whole = column?.share ? "" : "[&_span]:whitespace-pre";
                const look = `px-1 py-0.5 ${ALIGNS[column?.align ?? "left"]} ${whole}`;
                return index === named ? (
                  <th key={column?.title} scope="row" className={`font-normal ${look}`}>
                    <Runs runs={cell} />
                  </th>
                ) : (
                  <td key={column?.title} className={look}>
                    <Runs runs={cell} />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Group({ block, paper }: { block: Of<"group">; paper: Paper }) {
  const drawings = block.drawings ?? [];
  const body = <Blocks blocks={block.blocks} paper={paper} />;
  const look = FRAMES[block.frame ?? ""];
  if (drawings.length === 0) return look ? <div className={look}>{body}</div> : body;
  return (
    <div className={`my-2 grid items-start gap-4 desk:grid-cols-[200px_1fr] ${look}`}>
      <div className="flex gap-2">
        {drawings.map((drawing) => (
          <BlockDrawing key={drawing.of} drawing={drawing} paper={paper} />
        ))}
      </div>
      <div>{body}</div>
    </div>
  );
}

/** A drawing of the paper, named by its path in it. */
function BlockDrawing({ drawing, paper }: { drawing: Schemas["Drawing"]; paper: Paper }) {
  const { catalogue } = useVisitFacts();
  const scene = sceneAt(paper, drawing.of);
  if (!scene) return null;
  return (
    <figure className="my-2 flex-1">
      <div role="img" aria-label={drawing.alt} className="[&_svg]:h-auto [&_svg]:w-full">
        <Marks
          marks={scene.marks}
          inks={catalogue.inks}
          width={scene.width}
          height={scene.height}
        />
      </div>
      {drawing.caption && <figcaption className="text-sm text-soft">{drawing.caption}</figcaption>}
    </figure>
  );
}

/** The scene at a path such as `movements.0.scenes.1`. */
function sceneAt(paper: Paper, path: string): Schemas["Scene"] | null {
  let held: unknown = paper;
  for (const key of path.split(".")) held = (held as Record<string, unknown> | null)?.[key];
  return (held as Schemas["Scene"] | undefined) ?? null;
}

function Photographs({ block }: { block: Of<"photographs"> }) {
  return (
    <>
      {block.title && <h4 className="mt-5 mb-1 text-base font-semibold">{block.title}</h4>}
      <div className="mt-3 grid grid-cols-2 gap-4">
        {block.photos.map((photo) => (
          <figure key={photo.id}>
            <Picture id={photo.id} alt={photo.caption} className="w-full" />
            <figcaption className="text-sm">
              <b>{photo.caption}.</b> {photo.readings.join("; ")}
            </figcaption>
          </figure>
        ))}
      </div>
    </>
  );
}
