/** A runner's way past a mark; drawn to the grid of the icon set. */
export function StealIcon({ size }: { size: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d="M3 8h13m-4-4 4 4-4 4" />
      <path d="M3 17h10" />
      <path d="m19 14 3 3-3 3-3-3z" />
    </svg>
  );
}
