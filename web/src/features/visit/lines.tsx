/** Names and words in two columns; what has no words is left out. */
export function Lines({ of }: { of: readonly (readonly [string, string | null | undefined])[] }) {
  return (
    <dl className="grid grid-cols-[84px_1fr] gap-x-2 gap-y-0.5">
      {of.map(
        ([name, words]) =>
          words && (
            <div key={name} className="contents">
              <dt className="text-soft">{name}</dt>
              <dd className="figures">{words}</dd>
            </div>
          ),
      )}
    </dl>
  );
}
