import { useEffect } from "react";

/** A device types faster than a hand: characters nearer than this belong together. */
export const APART_MS = 120;
const PART = /^[\d.,/ "'a-z]$/i;

/**
 * Tells a device that types like a keyboard from a hand pressing one key. Feed it the keys that
 * no field has; it calls back with a whole reading, or with the single digit a person pressed.
 */
export class DeviceTyping {
  private text = "";
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly onReading: (text: string) => void,
    private readonly onDigit: (digit: number) => void,
  ) {}

  /** Whether the key was taken; one that was not goes on to its usual meaning. */
  key(key: string): boolean {
    if (!this.text && !/^\d$/.test(key)) return false;
    if (key === "Enter") {
      this.done();
      return true;
    }
    if (!PART.test(key)) return false;
    this.text += key;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.done(), APART_MS);
    return true;
  }

  private done(): void {
    clearTimeout(this.timer);
    const text = this.text.trim();
    this.text = "";
    if (text.length > 1) this.onReading(text);
    else if (text) this.onDigit(Number(text));
  }
}

/** Readings typed by a device while no field has the focus; digits of a person stay step keys. */
export function useDeviceTyping(
  onReading: (text: string) => void,
  onDigit: (digit: number) => void,
): void {
  useEffect(() => {
    const typing = new DeviceTyping(onReading, onDigit);
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (target.closest("input, textarea, select, [role=dialog], [contenteditable]")) return;
      if (!typing.key(event.key)) return;
      event.preventDefault();
      event.stopPropagation();
    };
    addEventListener("keydown", listen, true);
    return () => removeEventListener("keydown", listen, true);
  }, [onReading, onDigit]);
}
