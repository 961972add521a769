/** A handle's mark: a drop that points the way it moves. Dark core, light rim: it shows on any artwork. */
export function DropMark({ turn, small = false }: { turn: number; small?: boolean }) {
  return (
    <path
      d="M0-11C5-4 6-1 6 2A6 6 0 0 1-6 2C-6-1-5-4 0-11Z"
      transform={`rotate(${turn})${small ? " scale(.78)" : ""}`}
      fill="#2B2140"
      stroke="#FFFFFF"
      strokeWidth={2}
    />
  );
}
