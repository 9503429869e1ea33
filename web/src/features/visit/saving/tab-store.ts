/** What the tab keeps of a visit through a reload, under the member it belongs to. */

const PREFIX = "plumb:words:";

const keyOf = (member: string, visitId: string) => `${PREFIX}${member}:${visitId}`;

/** Keep a value; false where this device has no room for it. */
export function keep(member: string, visitId: string, value: unknown): boolean {
  try {
    sessionStorage.setItem(keyOf(member, visitId), JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

export function forget(member: string, visitId: string): void {
  try {
    sessionStorage.removeItem(keyOf(member, visitId));
  } catch {
    // a store that can't be written to holds nothing of ours either
  }
}

/** What was kept; null for nothing, or for what can't be read any more. */
export function recall(member: string, visitId: string): unknown {
  try {
    const kept = sessionStorage.getItem(keyOf(member, visitId));
    return kept === null ? null : JSON.parse(kept);
  } catch {
    forget(member, visitId);
    return null;
  }
}

/** The visits this tab still holds words for, that a member typed and the server has not got. */
export function visitsWithWords(member: string): string[] {
  const start = keyOf(member, "");
  try {
    return Object.keys(sessionStorage)
      .filter((key) => key.startsWith(start))
      .map((key) => key.slice(start.length));
  } catch {
    return [];
  }
}
