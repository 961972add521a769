import { LiveNumber } from "./liveNumber";

interface FixedNumberProps {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  /** What it is where nothing is said. */
  readonly usual: number;
  onSet: (value: number) => void;
}

/** A number in a sentence that belongs to no design: it is pulled, stepped and typed, and is no formula. */
export function FixedNumber({ usual, onSet, ...shown }: FixedNumberProps) {
  const { value, min, max, whole } = shown;
  return (
    <LiveNumber
      {...shown}
      text={String(value)}
      pullable
      onDefault={() => onSet(usual)}
      onChange={onSet}
      onType={(text) => {
        const typed = Number(text.replace(",", "."));
        if (text.trim() === "" || !(typed >= min && typed <= max) || (whole && !Number.isInteger(typed))) {
          return { trouble: `must be a ${whole ? "whole " : ""}number from ${min} to ${max}` };
        }
        onSet(typed);
        return { ok: true };
      }}
    />
  );
}
