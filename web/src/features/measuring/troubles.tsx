import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";

const MOST = 12;

type Line = Schemas["FileLine"] | { [key: string]: string };

/** Lines of a file with what is to be said of each; the first dozen, then how many more. */
export function Troubles({ lines }: { lines: readonly Line[] }) {
  if (!lines.length) return null;
  return (
    <table className="mt-2 w-full text-sm">
      <thead>
        <tr className="text-start text-soft">
          <th className="w-24 font-normal">{t`Line`}</th>
          <th className="w-44 font-normal">{t`Field`}</th>
          <th className="font-normal">{t`Problem`}</th>
        </tr>
      </thead>
      <tbody>
        {lines.slice(0, MOST).map((line) => (
          <tr
            key={`${line.line} ${line.field} ${line.reason}`}
            className="border-t border-hair align-top"
          >
            <td className="figures py-1 pe-2">{line.line}</td>
            <td className="py-1 pe-2 break-words">{line.field}</td>
            <td className="py-1">{line.reason}</td>
          </tr>
        ))}
        {lines.length > MOST && (
          <tr className="border-t border-hair">
            <td colSpan={3} className="py-1 text-soft">
              <Trans>and {lines.length - MOST} more</Trans>
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
