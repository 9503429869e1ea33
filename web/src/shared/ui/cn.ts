import { type ClassValue, clsx } from "clsx";
import { twMerge } from "tailwind-merge";

/** Class names together; of two that say the same thing differently the last one holds. */
export function cn(...classes: ClassValue[]): string {
  return twMerge(clsx(classes));
}
