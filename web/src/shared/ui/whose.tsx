/** Whose a button is, for who hears it: what is seen stands first, as it is seen. */
export function Whose({ children }: { children: string }) {
  return <span className="sr-only">: {children}</span>;
}
