import type { ReactNode } from "react";
import { Notice } from "./notice";
import { Skeleton } from "./skeleton";

/** What a request says of itself while it runs and after it failed. */
export type Request = { isError: boolean; error: { message: string } | null };

/** Why a request failed, where it did. */
export function Failure({ of, className = "" }: { of: Request; className?: string }) {
  if (!of.isError || !of.error) return null;
  return (
    <Notice role="alert" className={className}>
      {of.error.message}
    </Notice>
  );
}

/** What is fetched for a part of a page: grey lines before, the reason where it failed, then what came. */
export function Fetched<Data>({
  query,
  lines,
  label,
  children,
}: {
  query: Request & { isPending: boolean; data: Data | undefined };
  lines?: number;
  /** What is said of the grey lines, such as "Fetching people". */
  label: string;
  children: (data: Data) => ReactNode;
}) {
  return (
    <>
      <Failure of={query} />
      {query.isPending && <Skeleton lines={lines ?? 6} label={label} />}
      {query.data !== undefined && children(query.data)}
    </>
  );
}
