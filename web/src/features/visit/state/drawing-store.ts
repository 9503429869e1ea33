import { createContext, useContext, useEffect, useRef } from "react";
import { createStore, type StoreApi, useStore } from "zustand";
import type { View } from "@/shared/api/queries";
import type { StepId } from "@/shared/steps";
import type { Room } from "../layout";

export type Size = { width: number; height: number };
type Show = View["show"];
/** What is done when a part of the drawing is pressed; true where that was the answer to it. */
type Listener = (part: string, posture: string) => boolean;

/** What the drawing shows and what of it is lit; nothing of it is kept. */
export type DrawingState = {
  size: Size | null;
  /** The part of the drawing that belongs to what has the focus. */
  active: string | null;
  /** Which figures; null for what the room suggests. */
  mode: View["mode"] | null;
  /** Which settings, where somebody chose for a step. */
  chosenShow: { step: StepId; show: Show } | null;
  /** How far on the way from what was found, where the slider is moved. */
  between: number | null;
  /** The body dimension being measured, whose tape is drawn. */
  tape: string | null;
  /** Whether the figure stands in the pose of that dimension. */
  posed: boolean;
  /** Habits in the place of heights. */
  habits: boolean;
  /** Where something else than the elevation is shown; see StagePortal. */
  room: HTMLElement | null;
  /** How many parts of a panel show something else there. */
  taken: number;
  /** The room chosen for a step, in place of the one it has by itself. */
  chosenRoom: Room | null;
};

const AT_FIRST: DrawingState = {
  size: null,
  active: null,
  mode: null,
  chosenShow: null,
  between: null,
  tape: null,
  posed: true,
  habits: false,
  room: null,
  taken: 0,
  chosenRoom: null,
};

/** The drawing's own state, and who wants to know what is pressed in it. */
export class DrawingStore {
  readonly store: StoreApi<DrawingState> = createStore(() => AT_FIRST);
  private listeners = new Set<Listener>();
  private pending: [part: string, posture: string] | null = null;

  set = (change: Partial<DrawingState>): void => {
    const now = this.store.getState();
    const news = Object.entries(change).some(
      ([key, value]) => now[key as keyof DrawingState] !== value,
    );
    if (news) this.store.setState(change);
  };

  setActive = (active: string | null): void => this.set({ active });

  setTape = (tape: string | null): void => this.set({ tape });

  setHabits = (habits: boolean): void => this.set({ habits });

  setRoom = (room: HTMLElement | null): void => this.set({ room });

  /** Something else takes the stage; what it returns gives it back. */
  takeStage = (): (() => void) => {
    const count = (by: number) =>
      this.store.setState(({ taken }) => ({ taken: taken + by, chosenRoom: null }));
    count(1);
    return () => count(-1);
  };

  /** A part of the drawing was pressed: whoever knows it answers, now or once it is there. */
  pick = (part: string, posture: string): void => {
    this.pending = [part, posture];
    for (const listener of [...this.listeners]) this.offer(listener);
  };

  onPick(listener: Listener): () => void {
    this.listeners.add(listener);
    this.offer(listener);
    return () => this.listeners.delete(listener);
  }

  /** A press that nobody answered is forgotten when one goes elsewhere. */
  forgetPick = (): void => {
    this.pending = null;
  };

  private offer(listener: Listener): void {
    if (this.pending && listener(...this.pending)) this.pending = null;
  }
}

export const DrawingContext = createContext<DrawingStore | null>(null);

export function useDrawingStore(): DrawingStore {
  const store = useContext(DrawingContext);
  if (!store) throw new Error("outside a visit");
  return store;
}

export function useDrawing<T>(select: (state: DrawingState) => T): T {
  return useStore(useDrawingStore().store, select);
}

/** The row that a part of the drawing belongs to: the keys are set with what they stand on. */
export function rowPicked(part: string, posture: string): string {
  return `${posture}.${part === "keys" ? "surface" : part}`;
}

/** Do something whenever a part of the drawing is pressed. */
export function usePicked(listener: Listener): void {
  const drawing = useDrawingStore();
  const latest = useRef(listener);
  useEffect(() => {
    latest.current = listener;
  });
  useEffect(() => drawing.onPick((part, posture) => latest.current(part, posture)), [drawing]);
}
