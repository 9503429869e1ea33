import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMailbox } from "@/shared/api/own";
import { PageHead } from "@/shared/ui/page-head";

/** What arrived at the simulated mail server: in the demo, mail goes no further. */
export function InboxPage() {
  const { data, error } = useMailbox();
  return (
    <>
      <PageHead
        title={t`Simulated inbox`}
        says={t`The demo keeps all email here; nothing is sent out.`}
      />
      {error && <p role="alert">{error.message}</p>}
      {data?.length === 0 && <p className="text-soft">{t`No messages yet.`}</p>}
      <ul className="max-w-prose">
        {data?.map((letter) => (
          <li key={`${letter.to} ${letter.text}`} className="border-t border-hair py-3">
            <p className="font-semibold">{letter.subject}</p>
            <p className="text-sm text-soft">
              <Trans>To {letter.to}</Trans>
            </p>
            <p className="mt-2 break-words whitespace-pre-wrap">
              {letter.text.split(/(https?:\/\/\S+)/).map((part) =>
                part.startsWith("http") ? (
                  <a key={part} href={part} target="_blank" rel="noreferrer" className="underline">
                    {part}
                  </a>
                ) : (
                  part
                ),
              )}
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}
