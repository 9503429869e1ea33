import { t } from "@lingui/core/macro";
import { useLanguage } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { Failure } from "@/shared/ui/fetched";
import { Select } from "@/shared/ui/select";
import { nameOf, OFFERED, type Offered } from "@/shared/words/language";

/** The language of the interface: one's own, on every device. Reports are in the language their reader reads. */
export function LanguageChoice({ me }: { me: Schemas["Me"] }) {
  const change = useLanguage();
  return (
    <section aria-label={t`Language`} className="space-y-2">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Language`}</h2>
      <Select
        label={t`Language`}
        value={me.language}
        className="w-full"
        onChange={(tag) => change.mutate({ body: { language: tag as Offered | "" } })}
        options={[
          { value: "", label: t`As this browser` },
          ...OFFERED.map((tag) => ({ value: tag, label: nameOf(tag) })),
        ]}
      />
      <p className="text-sm text-soft">
        {t`For your screen. Each visit’s Report says which language the client and the workplace read.`}
      </p>
      <Failure of={change} />
    </section>
  );
}
