import { msg } from "@lingui/core/macro";
import { said } from "@/shared/words/said";

/** Where something is set or done, and the words one may look for. */
export type Place = { label: string; more: string; to: string };

/** Every place and setting outside a visit. */
export const FOUND_PLACES: readonly Place[] = said([
  { label: msg`Today`, more: msg`agenda, week, appointments`, to: "/" },
  { label: msg`Clients`, more: msg`people, history, import`, to: "/clients" },
  { label: msg`Equipment`, more: msg`chairs, desks, screens, workstations`, to: "/equipment" },
  {
    label: msg`Measuring`,
    more: msg`lists, repeatability, reference data, import, export, training`,
    to: "/measuring",
  },
  { label: msg`Practice defaults`, more: msg`methods, house rules`, to: "/rules" },
  { label: msg`Team`, more: msg`members, roles, invite, passwords`, to: "/people" },
  {
    label: msg`Practice settings`,
    more: msg`time zone, date format, letterhead, contact, local wording, prices, two-step sign-in, lock, offline access`,
    to: "/people",
  },
  { label: msg`Opening hours and rooms`, more: msg`practice settings`, to: "/people" },
  { label: msg`Languages`, more: msg`translation, own words, PO file`, to: "/people" },
  { label: msg`Activity log`, more: msg`who did what, audit`, to: "/audit-log" },
  { label: msg`Data retention`, more: msg`erase, periods, old records`, to: "/retention" },
  { label: msg`Backups and email`, more: msg`status, worker, failed emails`, to: "/status" },
  {
    label: msg`Your account`,
    more: msg`password, language, signature, registration number, sessions, two-step sign-in`,
    to: "/account",
  },
  { label: msg`Private calendar`, more: msg`your account, calendar feed`, to: "/account" },
]);
