/** The house's own mark: a base and the way to it. */
export function Mark({ size = 34 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="4 4 32 32" aria-hidden="true">
      <path
        d="M20 6 35 20 20 34 5 20Z"
        fill="none"
        stroke="currentColor"
        strokeWidth="2.4"
        strokeLinejoin="round"
      />
      <path
        d="M12 20h13m-5-5 5.5 5-5.5 5"
        fill="none"
        stroke="#e08a5c"
        strokeWidth="2.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
