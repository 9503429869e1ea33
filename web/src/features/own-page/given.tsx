import { useEffect, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Marks } from "../../drawing/marks";
import { useOwnMap } from "./api";
import { arcOf, minutesOf, nowIn, type Spell } from "./clock";
import { useWords } from "./words";

type Given = Schemas["OwnNumbers"];

/** The numbers to come back to, and the drawing as it was left. */
export function Numbers({ ownNumbers }: { ownNumbers: Given }) {
  const { t, of } = useWords();
  const stands = ownNumbers.numbers.some((line) => line.standing);
  const sits = ownNumbers.numbers.some((line) => line.seated);
  return (
    <>
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink text-base">
            <th>
              <span className="sr-only">{t("home.numbers")}</span>
            </th>
            {sits && <th className="text-end font-semibold">{t("numbers.sitting")}</th>}
            {stands && <th className="ps-3 text-end font-semibold">{t("numbers.standing")}</th>}
          </tr>
        </thead>
        <tbody>
          {ownNumbers.numbers.map((line) => (
            <tr key={line.label} className="border-b border-hair">
              <th scope="row" className="py-2 text-start font-normal">
                {of(`number.${line.key}`, line.label)}
                {starred(line) && " *"}
              </th>
              {sits && <NumberCell text={line.seated} is={line.seated_is} />}
              {stands && <NumberCell text={line.standing} is={line.standing_is} />}
            </tr>
          ))}
        </tbody>
      </table>
      {ownNumbers.numbers.some(starred) && (
        <p className="mt-2 text-base text-soft">{t("numbers.unsure")}</p>
      )}
      {ownNumbers.drawings.length > 0 && (
        <figure className="mt-4 space-y-4">
          <figcaption className="text-base text-soft">{t("numbers.drawing")}</figcaption>
          {ownNumbers.drawings.map((scene, value) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: drawings have no name of their own
            <Drawn key={value} scene={scene} />
          ))}
        </figure>
      )}
      {ownNumbers.temporary.length > 0 && (
        <div className="mt-3">
          <h3>{t("numbers.temporary")}</h3>
          <ul className="list-disc ps-5" lang="en" dir="ltr">
            {ownNumbers.temporary.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

/** Papers signed before each number said what it is have a star for what nobody measured. */
function starred(line: Given["numbers"][number]) {
  return !line.sure && !line.seated_is && !line.standing_is;
}

/** A number with what it is: left at, as found, still to set. */
function NumberCell({ text, is }: { text: string; is: string | undefined }) {
  const { of } = useWords();
  return (
    <td className="ps-3 text-end">
      <span className="figures whitespace-nowrap" dir="ltr">
        {text || "–"}
      </span>
      {is && (
        <span className="block text-base text-soft">
          {of(`is.${is.replaceAll(",", "").replaceAll(" ", "_")}`, is)}
        </span>
      )}
    </td>
  );
}

function Drawn({ scene, label }: { scene: Schemas["Scene"]; label?: string }) {
  const inks = useOwnMap().data?.inks;
  if (!inks) return null;
  return (
    <div
      dir="ltr"
      className="[&_svg]:h-auto [&_svg]:w-full"
      {...(label ? { role: "img", "aria-label": label } : {})}
    >
      <Marks marks={scene.marks} inks={inks} width={scene.width} height={scene.height} />
    </div>
  );
}

const SIZE = 260;
const RING = {
  sit: "var(--figure)",
  stand: "var(--ink)",
  move: "var(--blue)",
  lunch: "var(--hair)",
} as const;

function ringOf(spell: Spell): keyof typeof RING {
  return spell.posture in RING ? (spell.posture as keyof typeof RING) : "lunch";
}

/** The rhythm as a clock: the day as a ring, what it is time for now, and how long. */
export function Day({ day }: { day: Schemas["PaperDay"] }) {
  const { t, of } = useWords();
  const [minute, setMinute] = useState(nowMinute);
  useEffect(() => {
    const ticking = setInterval(() => setMinute(nowMinute()), 5000);
    return () => clearInterval(ticking);
  }, []);
  const spells: readonly Spell[] = day.spells ?? [];
  const { now, next } = nowIn(spells, minute);
  const [from, to] = [minutesOf(day.start), minutesOf(day.end)];
  const name = (spell: Spell) => of(`clock.${spell.posture}`, t("clock.lunch"));
  const left = now ? minutesOf(now.end) - minute : 0;
  return (
    <>
      {spells.length > 0 && (
        <div className="flex flex-col items-center" role="timer" aria-live="off">
          <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="w-full max-w-80" aria-hidden="true">
            {spells.map((spell) => (
              <path
                key={spell.at}
                d={arcOf(spell, from, to, SIZE)}
                fill="none"
                stroke={RING[ringOf(spell)]}
                strokeWidth={spell.posture === "sit" ? 12 : 22}
              />
            ))}
            {minute >= from && minute < to && (
              <path
                d={arcOf({ at: day.start, end: day.end, posture: "" }, from, to, SIZE, minute)}
                fill="none"
                stroke="var(--accent)"
                strokeWidth="34"
              />
            )}
            <text
              x="50%"
              y="46%"
              textAnchor="middle"
              fontSize="30"
              fontWeight="600"
              fill="var(--ink)"
            >
              {now && name(now)}
            </text>
            {now && (
              <text x="50%" y="58%" textAnchor="middle" fontSize="16" fill="var(--soft)">
                {t("clock.left", { minutes: left })}
              </text>
            )}
            <text x="34%" y="97%" textAnchor="middle" fontSize="14" fill="var(--soft)">
              {day.start}
            </text>
            <text x="66%" y="97%" textAnchor="middle" fontSize="14" fill="var(--soft)">
              {day.end}
            </text>
          </svg>
          <p>
            {now
              ? `${t("clock.now")}: ${name(now)}, ${t("clock.until", { time: now.end })}`
              : t("clock.off", { start: day.start, end: day.end })}
          </p>
          {next && (
            <p className="text-soft">
              {t("clock.next")}: {name(next)}, {t("clock.from", { time: next.at })}
            </p>
          )}
          <ul className="mt-2 flex flex-wrap justify-center gap-x-4 text-base">
            {(["sit", "stand", "move", "lunch"] as const)
              .filter((text) => spells.some((spell) => ringOf(spell) === text))
              .map((text) => (
                <li key={text} className="flex items-center gap-2">
                  <span
                    className="inline-block w-6"
                    style={{ background: RING[text], height: text === "sit" ? 7 : 14 }}
                  />
                  {of(`clock.${text}`)}
                </li>
              ))}
          </ul>
        </div>
      )}
      <div lang="en" dir="ltr" className="mt-4 space-y-1">
        {[...day.weeks, day.eyes, ...day.tips].filter(Boolean).map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
    </>
  );
}

function nowMinute(): number {
  const now = new Date();
  return now.getHours() * 60 + now.getMinutes();
}

/** The movements, each with its figures in the order of its moments. */
export function Movements({ ownNumbers }: { ownNumbers: Given }) {
  const { t } = useWords();
  return (
    <ul className="space-y-6">
      {ownNumbers.movements.map((movement) => (
        <li key={movement.label} className="border-b border-hair pb-4">
          <h3 className="text-lg" lang="en" dir="ltr">
            {movement.label}
          </h3>
          <div className="my-2 flex gap-2" dir="ltr">
            {movement.scenes.map((scene, value) => (
              <div key={movement.says[value]} className="min-w-0 flex-1">
                <Drawn scene={scene} label={movement.says[value] ?? movement.label} />
              </div>
            ))}
          </div>
          <dl className="space-y-1">
            {(
              [
                ["move.start", movement.start],
                ["move.how", movement.steps.join(" ")],
                ["move.dose", movement.dose],
                ["move.felt", movement.felt],
                ["move.never", movement.never],
              ] as const
            ).map(([key, text]) => (
              <div key={key}>
                <dt className="inline font-semibold">{t(key)}: </dt>
                <dd className="inline" lang="en" dir="ltr">
                  {text}
                </dd>
              </div>
            ))}
          </dl>
        </li>
      ))}
      <li className="list-none text-base text-soft" lang="en" dir="ltr">
        {ownNumbers.movement_rules.join(" ")}
      </li>
    </ul>
  );
}

/** When to stop, and whom to call. */
export function Care({ ownNumbers, contact }: { ownNumbers: Given; contact: string }) {
  const { t } = useWords();
  return (
    <>
      <ul className="list-disc space-y-2 ps-5" lang="en" dir="ltr">
        {[
          ...ownNumbers.stop,
          ...ownNumbers.cautions.filter((line) => !ownNumbers.stop.includes(line)),
        ].map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {contact && (
        <p className="mt-3" dir="auto">
          <b>{t("care.call")}:</b> {contact}
        </p>
      )}
    </>
  );
}
