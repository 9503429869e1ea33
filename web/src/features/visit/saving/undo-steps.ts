type Undoable = { path: string; typed: string; step: number };

/** What was typed before, step by step: keystrokes of one edit, or changes made by one press, are one. */
export class UndoSteps {
  private undoable: Undoable[] = [];
  private redoable: [path: string, typed: string][] = [];
  private count = 0;

  next(): number {
    this.count += 1;
    return this.count;
  }

  /** Note what a field said before a step; once for each. */
  note(path: string, typed: string, step: number): void {
    if (this.undoable.some((undoable) => undoable.path === path && undoable.step === step)) return;
    this.undoable.push({ path, typed, step });
  }

  /** What the last step changed, the last field first; `now` tells what they say, for the way forth. */
  back(now: (path: string) => string): readonly { path: string; typed: string }[] {
    const last = this.undoable.at(-1);
    if (!last) return [];
    const mine = this.undoable.filter((undoable) => undoable.step === last.step);
    this.undoable = this.undoable.filter((undoable) => undoable.step !== last.step);
    this.redoable = mine.map(({ path }) => [path, now(path)]);
    return mine.reverse();
  }

  /** What was taken back last, once. */
  forth(): readonly (readonly [path: string, typed: string])[] {
    const again = this.redoable;
    this.redoable = [];
    return again;
  }

  /** Nothing of before is taken back: of a field, or of all. */
  forget(path?: string): void {
    this.undoable = path ? this.undoable.filter((undoable) => undoable.path !== path) : [];
  }
}
