import { msg, plural, t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { useState } from "react";
import { fileBody, Refused, type Schemas, server } from "@/shared/api/client";
import { useImport, useLook } from "@/shared/api/measuring";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { Failure } from "@/shared/ui/fetched";
import { Notice } from "@/shared/ui/notice";
import { Waiting } from "@/shared/ui/waiting";
import { said } from "@/shared/words/said";
import { Troubles } from "./troubles";

const FORMATS = said([
  { id: "csv_readings", label: msg`CSV, one row per reading`, file: "readings.csv" },
  { id: "csv_clients", label: msg`CSV, one row per client`, file: "clients.csv" },
  { id: "json", label: "JSON", file: "measurements.json" },
  { id: "fhir", label: msg`HL7 FHIR R4 Bundle`, file: "measurements.fhir.json" },
]);

/** Measurements out as a file, and in from one: looked at first, then written whole or not at all. */
export function InAndOut({ mayWrite }: { mayWrite: boolean }) {
  return (
    <div className="grid gap-10 desk:grid-cols-[280px_minmax(0,1fr)]">
      <section aria-label={t`Export`}>
        <h2 className="mb-2 text-lg">{t`Export`}</h2>
        <p className="mb-3 text-sm text-soft">
          {t`Every measurement in the practice, with who took it and when. The file contains names: handle it like the record itself.`}
        </p>
        <ul className="space-y-2">
          {FORMATS.map((format) => (
            <li key={format.id}>
              <Download
                href={`/api/exchange?format=${format.id}`}
                file={format.file}
                className="w-full"
              >
                {format.label}
              </Download>
            </li>
          ))}
        </ul>
      </section>
      {mayWrite && <In />}
    </div>
  );
}

const BYTES = "application/octet-stream";

function In() {
  const look = useLook();
  const put = useImport();
  const [file, setFile] = useState<File | null>(null);
  const [explained, setExplained] = useState(false);
  const choose = (chosen: File | null) => {
    setFile(chosen);
    put.reset();
    if (chosen) look.mutate(fileBody(chosen, BYTES));
    else look.reset();
  };
  const found = look.data;
  const fresh = found?.understood.reduce((sum, one) => sum + one.new, 0) ?? 0;
  const refused = put.error instanceof Refused ? (put.error.problem.lines ?? []) : [];
  return (
    <section aria-label={t`Import`}>
      <h2 className="mb-2 text-lg">{t`Import`}</h2>
      <p className="mb-3 text-sm text-soft">
        {t`A file in one of the four formats. You see a preview first. Nothing is imported until you confirm, or if any line is wrong.`}
      </p>
      <div className="mb-3 flex flex-wrap gap-2">
        <Download href="/api/exchange/template.csv" file="template.csv">
          {t`CSV template`}
        </Download>
        <Button aria-expanded={explained} onClick={() => setExplained(!explained)}>
          {t`Column guide`}
        </Button>
      </div>
      {explained && <Columns />}
      <input
        type="file"
        aria-label={t`File to import`}
        accept=".csv,.json,text/csv,application/json,application/fhir+json"
        className="block min-h-11 w-full rounded-[3px] border border-ink/50 bg-ground px-3 py-2"
        onClick={(event) => {
          event.currentTarget.value = ""; // the same file, put right, counts as chosen again
        }}
        onChange={(event) => choose(event.target.files?.[0] ?? null)}
      />
      <div aria-live="polite" className="mt-4 space-y-4">
        {look.isPending && <Waiting>{t`Reading the file…`}</Waiting>}
        <Failure of={look} />
        {found && found.troubles.length > 0 && (
          <Notice role="alert">
            <p className="font-semibold">
              <Trans>
                {found.format}:{" "}
                <Plural value={found.troubles.length} one="# thing is" other="# things are" />{" "}
                wrong. Nothing has been imported.
              </Trans>
            </p>
            <Troubles lines={found.troubles} />
            {!explained && (
              <Button className="mt-2" onClick={() => setExplained(true)}>
                {t`Column guide`}
              </Button>
            )}
          </Notice>
        )}
        {found && found.understood.length > 0 && <Understood preview={found} />}
        {found && found.left_out.length > 0 && (
          <div>
            <p className="font-semibold">{t`Not recognised, skipped`}</p>
            <Troubles lines={found.left_out} />
          </div>
        )}
        {found && found.troubles.length === 0 && !put.isSuccess && (
          <Button
            look="next"
            disabled={put.isPending}
            onClick={() => file && put.mutate(fileBody(file, BYTES))}
          >
            {fresh ? t`Import ${readings(fresh)}` : t`No new readings: import the notes only`}
          </Button>
        )}
        {put.isPending && <Waiting>{t`Importing…`}</Waiting>}
        {put.isError && (
          <Notice role="alert">
            {put.error.message}
            <Troubles lines={refused} />
          </Notice>
        )}
        {put.isSuccess && (
          <Notice>
            <Trans>Imported: {readings(fresh)}, in the visits from now on.</Trans>
          </Notice>
        )}
      </div>
    </section>
  );
}

/** What a CSV file looks like inside, so that one can be made, or put right. */
function Columns() {
  const columns = server.useQuery("get", "/api/exchange/columns", undefined, {
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
  if (!columns) return <Waiting>{t`Loading…`}</Waiting>;
  return (
    <section aria-label={t`Column guide`} className="mb-4 border border-hair p-3 text-sm">
      <p className="mb-2">
        {t`CSV in UTF-8, one row per reading, separated by commas or semicolons. The first row names the columns. Columns can be in any order, and those you don’t need can be left out.`}
      </p>
      <dl className="grid grid-cols-[11rem_minmax(0,1fr)] gap-x-3">
        {Object.entries(columns).map(([name, holds]) => (
          <div key={name} className="col-span-2 grid grid-cols-subgrid border-t border-hair py-1">
            <dt className="font-semibold break-words">{name}</dt>
            <dd>{holds}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function readings(count: number): string {
  return plural(count, { one: "# reading", other: "# readings" });
}

function Understood({ preview }: { preview: Schemas["Preview"] }) {
  return (
    <div>
      <p className="mb-1 font-semibold">
        <Trans>
          {preview.format}:{" "}
          <Plural
            value={preview.understood.length}
            one="# visit understood"
            other="# visits understood"
          />
        </Trans>
      </p>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="text-start text-soft">
            <th className="font-normal">{t`Client`}</th>
            <th className="font-normal">{t`Visit`}</th>
            <th className="text-end font-normal">{t`Dimensions`}</th>
            <th className="text-end font-normal">{t`Readings`}</th>
            <th className="text-end font-normal">{t`New`}</th>
          </tr>
        </thead>
        <tbody>
          {preview.understood.map((understood) => (
            <tr
              key={`${understood.place} ${understood.client} ${understood.visit_on}`}
              className="border-t border-hair"
            >
              <td className="h-9">
                {understood.client} {!understood.client_known && <b>{t`new`}</b>}
              </td>
              <td className="figures">
                {understood.visit_on} {!understood.visit_known && <b>{t`new`}</b>}
              </td>
              <td className="figures text-end">{understood.dimensions}</td>
              <td className="figures text-end">{understood.values}</td>
              <td className="figures text-end font-semibold">{understood.new}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
