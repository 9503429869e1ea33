import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useRef, useState } from "react";
import { type Schemas, server } from "@/shared/api/client";
import { lengthText } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { toast } from "@/shared/ui/toasts";
import { useVisitFacts } from "../../state/facts";
import { useCell, useQueue } from "../../state/recording";
import type { Row } from "./steps";

/** The word to go on is said so often while the button is held; the desk stands still half a second after it. */
const WORD_MS = 200;

/** The electric desk, where there is one: moved while a button is held, its height taken over, its keys saved. */
export function DeskKeys({ row }: { row: Row }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const desk = server.useQuery("get", "/api/desk", undefined, { retry: false, staleTime: 30_000 });
  const [at, setAt] = useState<number | null>(null);
  const { mutate: save, ...saving } = server.useMutation("put", "/api/desk/presets/{key}");
  const preset = `set.preset.${row.posture}`;
  const key = Number(useCell(preset)?.typed) || 0;
  const target = row.at.dial;
  if (readOnly || !desk.data || target === null || target === undefined) return null;
  const shown = at ?? desk.data.at;
  const say = (mm: number) => `${lengthText(mm, unit)} ${unit}`;
  const there = Math.abs(shown - target) <= 1;
  const offset = (row.at.setting ?? 0) - target;
  const keep = async (number: number) => {
    if (!(await queue.mayChange())) return; // the desk's keys and the record stay of one mind
    save(
      { params: { path: { key: number } } },
      {
        onSuccess: ({ key, held }) => {
          queue.type(preset, String(key), unit);
          void toast(t`Key ${key} saved at ${say(held)}, checked.`);
        },
      },
    );
  };
  return (
    <section aria-label={t`Electric desk`} className="mt-3 border-t border-hair pt-2">
      <p className="flex items-baseline justify-between text-sm">
        <span>{t`Display reads`}</span>
        <b className="figures text-lg">{say(shown)}</b>
      </p>
      <HoldToMove target={target} words={say(target)} there={there} onAt={setAt} />
      <p className="mt-1 text-sm text-soft">
        {t`It moves only while you hold the button. Keep people and objects clear of the underside and edges, leave slack in the cables, and tell the client it will move.`}
      </p>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <Button
          onClick={() =>
            queue.typeAll(
              [
                [`set.${row.posture}.surface`, say(shown + offset)],
                [`set.${row.posture}.surface.by`, "display"],
              ],
              unit,
            )
          }
          className="text-sm"
        >
          <Trans>Take {say(shown + offset)} from the display</Trans>
        </Button>
        {Array.from({ length: Math.min(4, desk.data.presets) }, (_, index) => index + 1).map(
          (number) => (
            <Button
              key={number}
              disabled={saving.isPending || !there}
              aria-pressed={key === number}
              onClick={() => void keep(number)}
              className="text-sm"
            >
              <Trans>
                Save on key {number}
                {key === number && " (saved)"}
              </Trans>
            </Button>
          ),
        )}
      </div>
      {saving.error && <Notice role="alert">{saving.error.message}</Notice>}
    </section>
  );
}

/** A button that moves the desk while it is held, by finger, mouse or space bar; anything else stops it. */
function HoldToMove({
  target,
  words,
  there,
  onAt,
}: {
  target: number;
  words: string;
  there: boolean;
  onAt: (at: number) => void;
}) {
  const { mutate: hold, ...held } = server.useMutation("post", "/api/desk/hold");
  const { mutate: stop } = server.useMutation("post", "/api/desk/stop");
  const timer = useRef<ReturnType<typeof setInterval>>(undefined);
  const [moving, setMoving] = useState(false);
  const halt = useRef(() => {});
  const told = ({ at }: Schemas["DeskMotion"]) => onAt(at);
  halt.current = () => {
    if (timer.current === undefined) return;
    clearInterval(timer.current);
    timer.current = undefined;
    setMoving(false);
    stop({}, { onSuccess: told });
  };
  const goOn = () =>
    hold(
      { body: { target } },
      {
        onSuccess: (motion) => {
          told(motion);
          if (!motion.moving) halt.current();
        },
        onError: () => {
          clearInterval(timer.current);
          timer.current = undefined;
          setMoving(false);
        },
      },
    );
  const start = () => {
    if (timer.current !== undefined) return;
    setMoving(true);
    timer.current = setInterval(goOn, WORD_MS);
    goOn();
  };
  useEffect(() => {
    const away = () => halt.current();
    addEventListener("blur", away);
    document.addEventListener("visibilitychange", away);
    return () => {
      removeEventListener("blur", away);
      document.removeEventListener("visibilitychange", away);
      halt.current();
    };
  }, []);
  return (
    <>
      <Button
        className="mt-2 min-h-16 w-full touch-none text-base font-semibold select-none"
        disabled={there && !moving}
        aria-pressed={moving}
        onPointerDown={start}
        onPointerUp={() => halt.current()}
        onPointerLeave={() => halt.current()}
        onPointerCancel={() => halt.current()}
        onBlur={() => halt.current()}
        onContextMenu={(event) => event.preventDefault()}
        onKeyDown={(event) => {
          if (event.key !== " " && event.key !== "Enter") return;
          event.preventDefault();
          if (!event.repeat) start();
        }}
        onKeyUp={() => halt.current()}
      >
        {there && !moving
          ? `At ${words}`
          : moving
            ? t`Moving: release to stop`
            : t`Hold to move to ${words}`}
      </Button>
      {held.error && (
        <Notice role="alert" className="mt-2">
          {held.error.message}
          <Button
            className="mt-2 block"
            onClick={() =>
              stop(
                {},
                {
                  onSuccess: (motion) => {
                    told(motion);
                    held.reset();
                  },
                },
              )
            }
          >
            {t`Stopped; area is clear`}
          </Button>
        </Notice>
      )}
    </>
  );
}
