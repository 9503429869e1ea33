import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { Notice } from "@/shared/ui/notice";
import { useWorkup } from "../../../state/workup";
import type { Shot } from "./points";

type Read = Schemas["PhotoView"];

/** A value with its error, the unit said once. */
export function withError(reading: Schemas["ReadingView"] | undefined): string {
  if (!reading?.value) return "–";
  const unit = / [a-z]+$/.exec(reading.value)?.[0] ?? "";
  return `${reading.value.slice(0, reading.value.length - unit.length)} ± ${reading.error}`;
}

/** What is read from a photograph, with what a pixel and a slip of the camera would make. */
export function Readings({ read, pair }: { read: Read; pair?: readonly [Shot, Shot] }) {
  const drawnVisit = useWorkup();
  if (pair) {
    const [before, after] = pair.map((shot) =>
      drawnVisit?.photos.find((photo) => photo.id === shot.id),
    );
    return (
      <table className="figures mt-3 w-full text-sm">
        <caption className="sr-only">{t`Readings from photos, before and after`}</caption>
        <thead>
          <tr className="border-b border-ink text-end">
            <th className="py-1 text-start font-semibold">{t`Reading`}</th>
            <th className="font-semibold">{t`Before`}</th>
            <th className="font-semibold">{t`After`}</th>
          </tr>
        </thead>
        <tbody>
          {before?.readings.map((reading) => {
            const then = after?.readings.find((other) => other.id === reading.id);
            return (
              <tr key={reading.id} className="border-b border-hair text-end">
                <th scope="row" className="py-1.5 text-start font-normal">
                  {reading.label}
                </th>
                <td>{withError(reading)}</td>
                <td className="font-semibold">{withError(then)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    );
  }
  return (
    <section className="mt-4" aria-label={t`Readings`}>
      <h3 className="border-b border-ink text-sm font-semibold">{t`Readings`}</h3>
      {read.warnings
        .filter((warning) => warning.state !== "holds")
        .map((warning) =>
          warning.state === "off" ? (
            <Notice key={warning.id} className="mt-2 text-sm" role="status">
              {warning.text}
            </Notice>
          ) : (
            <p key={warning.id} className="mt-1 text-sm text-soft">
              {warning.text}
            </p>
          ),
        )}
      <table className="figures mt-1 w-full text-sm">
        <thead>
          <tr className="text-end text-soft">
            <th className="text-start font-normal">
              <span className="sr-only">{t`What`}</span>
            </th>
            <th className="font-normal">{t`Value`}</th>
            <th className="ps-2 font-normal">{t`1 photo px`}</th>
            <th className="ps-2 font-normal">{t`Camera 5°`}</th>
          </tr>
        </thead>
        <tbody>
          {read.readings.map((reading) => (
            <tr key={reading.id} className="border-b border-hair text-end align-top">
              <th scope="row" className="py-1.5 text-start font-normal">
                {reading.label}
                {reading.reason && <span className="block text-soft">{reading.reason}</span>}
              </th>
              <td className="whitespace-nowrap font-semibold">{reading.value ?? "–"}</td>
              <td className="whitespace-nowrap">
                {reading.pixel_error && `± ${reading.pixel_error}`}
              </td>
              <td className="whitespace-nowrap">
                {reading.slip_error && `± ${reading.slip_error}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
