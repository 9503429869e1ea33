import { type FormEvent, useEffect, useMemo, useState } from "react";
import { Button } from "@/shared/ui/button";
import english from "../../../../src/gentle_plumb/services/own_page/en.json";
import { useOwnDeeds, useOwnDoor } from "./api";
import { wordsOf } from "./words";

/** The door of the page: the code that was given apart from the link. */
export function Door({ token }: { token: string }) {
  const door = useOwnDoor(token, true).data;
  const { open } = useOwnDeeds();
  const [code, setCode] = useState("");
  const { t } = useMemo(() => wordsOf({ ...english.messages, ...door?.messages }), [door]);
  useEffect(() => {
    document.title = t("door.title");
  }, [t]);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (code.trim()) open.mutate({ token, code: code.trim() });
  };
  const status = open.data?.status;
  const said =
    token === ""
      ? t("door.gone_any")
      : open.isError
        ? t("door.trouble")
        : status === 401
          ? `${t("door.wrong")} ${t("door.gone_any")}`
          : status === 429
            ? t("door.wait", { minutes: Math.ceil(Number(open.data?.wait ?? 60) / 60) })
            : "";
  return (
    <main
      id="main"
      lang={door?.language ?? "en"}
      dir={door?.direction ?? "ltr"}
      className="mx-auto flex min-h-full max-w-md flex-col justify-center p-6 text-lg"
    >
      <form onSubmit={submit} className="space-y-4">
        <h1 className="text-3xl">{t("door.title")}</h1>
        <div>
          <label htmlFor="code" className="mb-1 block font-semibold">
            {t("door.code")}
          </label>
          <input
            id="code"
            inputMode="numeric"
            autoComplete="one-time-code"
            maxLength={20}
            dir="ltr"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            aria-describedby="code-help"
            className="figures min-h-14 w-full rounded-[3px] border border-ink/60 bg-ground px-4 text-center text-3xl tracking-[0.3em]"
          />
          <p id="code-help" className="mt-1 text-base text-soft">
            {t("door.help")}
          </p>
        </div>
        {said && (
          <p role="alert" className="border-s-4 border-ink bg-deep px-3 py-2 text-base">
            {said}
          </p>
        )}
        <Button
          type="submit"
          look="next"
          className="min-h-14 w-full text-lg"
          disabled={open.isPending || token === ""}
        >
          {t("door.open")}
        </Button>
      </form>
    </main>
  );
}
