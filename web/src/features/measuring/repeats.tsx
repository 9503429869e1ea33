import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Unit } from "@/shared/api/client";
import { usePrecision } from "@/shared/api/measuring";

/** How well each practitioner repeats a reading, dimension by dimension. */
export function Repeats({ unit }: { unit: Unit }) {
  const query = usePrecision(unit);
  const names = [...new Set(query.data?.map((one) => one.member))];
  return (
    <section aria-label={t`Repeatability`}>
      <p className="mb-4 max-w-[680px]">
        {t`Measurement error of a single reading, from repeat pairs on the same client: the technical error of measurement with its 90% interval. New visits use the practitioner’s own error; with few pairs, mostly the default.`}
      </p>
      {names.map((name) => (
        <section key={name} className="mb-6" aria-label={name}>
          <h2 className="text-lg">{name}</h2>
          <table className="w-full border-collapse">
            <thead>
              <tr className="text-start text-sm text-soft">
                <th className="font-normal">{t`Dimension`}</th>
                <th className="text-end font-normal">{t`Pairs`}</th>
                <th className="text-end font-normal">{t`Over the limit`}</th>
                <th className="text-end font-normal">
                  <Trans>Error, {unit}</Trans>
                </th>
                <th className="text-end font-normal">
                  <Trans>90% interval, {unit}</Trans>
                </th>
                <th className="text-end font-normal">
                  <Trans>Used, {unit}</Trans>
                </th>
              </tr>
            </thead>
            <tbody>
              {query.data
                ?.filter((one) => one.member === name)
                .map((one) => (
                  <tr key={one.dimension} className="border-t border-hair">
                    <th scope="row" className="h-9 text-start font-normal">
                      {one.label}
                    </th>
                    <td className="figures text-end">{one.pairs}</td>
                    <td className="figures text-end">{one.over_limit || "–"}</td>
                    <td className="figures text-end font-semibold">{one.error}</td>
                    <td className="figures text-end text-soft">
                      <Trans>
                        {one.low} to {one.high}
                      </Trans>
                    </td>
                    <td className="figures text-end">{one.reckoned}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
      {query.data?.length === 0 && <p className="text-soft">{t`No repeat readings yet.`}</p>}
    </section>
  );
}
