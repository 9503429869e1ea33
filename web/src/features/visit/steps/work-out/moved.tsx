import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { quantity } from "@/shared/quantity";

/** What is otherwise than before, in the display unit and in degrees. */
export function SettingChanges({
  of,
  none,
}: {
  of: readonly Schemas["SettingChange"][];
  none: string;
}) {
  if (of.length === 0) return <p className="text-sm text-soft">{none}</p>;
  return (
    <table className="w-full text-sm">
      <thead className="sr-only">
        <tr>
          <th>{t`What`}</th>
          <th>{t`Before`}</th>
          <th>{t`After`}</th>
          <th>{t`Moved`}</th>
        </tr>
      </thead>
      <tbody>
        {of.map((settingChange) => (
          <tr key={`${settingChange.posture}.${settingChange.id}`} className="border-b border-hair">
            <th scope="row" className="py-1 pe-2 text-start font-normal">
              {settingChange.label}
              {settingChange.posture === "standing" && (
                <span className="text-soft"> {t`standing`}</span>
              )}
            </th>
            <td className="figures text-end text-soft">{settingChange.before}</td>
            <td className="figures px-1.5 text-end whitespace-nowrap">
              {settingChange.after}
              <span className="text-soft">{quantity("", settingChange.unit)}</span>
            </td>
            <td className="figures text-end font-semibold whitespace-nowrap">{settingChange.by}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
