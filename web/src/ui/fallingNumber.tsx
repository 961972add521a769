import { LiveNumber } from "./liveNumber";

interface FallingNumberProps {
  readonly label: string;
  readonly words: string;
  /** What it falls back to. */
  readonly value: number;
  readonly unit: string;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  onSet: (by: number, label: string, gesture?: string) => void;
}

/** A number that does something and falls back. */
export function FallingNumber({ label, words, value, onSet, ...limits }: FallingNumberProps) {
  return (
    <>
      {words}{" "}
      <LiveNumber
        label={label}
        value={value}
        text={String(value)}
        {...limits}
        whole={false}
        pullable
        onDefault={() => undefined}
        onChange={(by, gesture) => onSet(by, label, `${label}/${gesture}`)}
        onType={(text) => {
          const by = Number(text.replace(",", "."));
          if (!Number.isFinite(by) || by < limits.min || by > limits.max) {
            return { trouble: `must be a number from ${limits.min} to ${limits.max}` };
          }
          onSet(by, `${label} by ${by}`);
          return { ok: true };
        }}
      />
    </>
  );
}
