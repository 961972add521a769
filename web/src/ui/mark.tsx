/** The product's mark: two petals from one foot. */
export function Mark({ size = 24 }: { size?: number }) {
  return (
    <svg viewBox="0 0 32 32" width={size} height={size} aria-hidden="true">
      <path d="M16 28C5 23 5 10 11 4c5 5 9 14 5 24Z" fill="var(--words)" />
      <path d="M16 28c11-5 11-18 5-24-5 5-9 14-5 24Z" fill="var(--live)" fillOpacity=".92" />
    </svg>
  );
}
