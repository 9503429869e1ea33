/** The plumb bob, our mark. */
export function Logo({ size = 24 }: { size?: number }) {
  return (
    <svg width={size} height={size * 1.25} viewBox="0 0 24 30" aria-hidden="true">
      <path d="M12 0V10" stroke="currentColor" strokeWidth="1.4" />
      <path d="M7 10h10l1.6 8L12 29 5.4 18z" fill="currentColor" />
    </svg>
  );
}
