import { i18n, type MessageDescriptor } from "@lingui/core";

/** A table whose messages are texts. */
export type Said<T> = [T] extends [MessageDescriptor]
  ? [MessageDescriptor] extends [T]
    ? string
    : Parts<T>
  : Parts<T>;
type Parts<T> = T extends (...given: never[]) => unknown
  ? T
  : T extends object
    ? { -readonly [K in keyof T]: Said<T[K]> }
    : T;

function isMessage(value: object): value is MessageDescriptor {
  return (
    "id" in value &&
    Object.keys(value).every((key) => /^(id|message|comment|context|values)$/.test(key))
  );
}

/**
 * A table of texts that is written down once, outside any component: each message in it is said in the language
 * of the moment it is read.
 */
export function said<const T>(table: T): Said<T> {
  if (typeof table !== "object" || table === null || Object.isFrozen(table))
    return table as Said<T>;
  const out: object = Array.isArray(table) ? [] : {};
  for (const [key, part] of Object.entries(table)) {
    if (typeof part === "object" && part !== null && isMessage(part))
      Object.defineProperty(out, key, { enumerable: true, get: () => i18n._(part) });
    else if (Array.isArray(part) || isPlain(part)) Object.assign(out, { [key]: said(part) });
    else Object.assign(out, { [key]: part });
  }
  return out as Said<T>;
}

function isPlain(value: unknown): boolean {
  return (
    typeof value === "object" && value !== null && Object.getPrototypeOf(value) === Object.prototype
  );
}
