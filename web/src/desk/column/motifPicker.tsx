import type { ReactNode } from "react";
import { boxOfPath, designResolver, motifOf, MOTIFS, outlineOf, pathData } from "@twin-petal/core";
import { Menu, MenuItem } from "@/ui/menu";

/** The outline of a kind as it comes, for choosing. */
export function MotifPicture({ kind, size = 34 }: { kind: string; size?: number }) {
  const definition = motifOf(kind);
  if (!definition) return null;
  const outline = outlineOf(
    definition.prepare(
      { kind },
      designResolver(() => undefined),
      "",
    ),
  );
  const { left, top, right, bottom } = boxOfPath(outline);
  const side = Math.max(right - left, bottom - top) * 1.1;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${(left + right - side) / 2} ${(top + bottom - side) / 2} ${side} ${side}`}
      aria-hidden="true"
    >
      <path d={pathData(outline)} fill="var(--good)" fillRule="nonzero" />
    </svg>
  );
}

/** Chooses a kind of motif from pictures. */
export function MotifPicker({ trigger, onPick }: { trigger: ReactNode; onPick: (kind: string) => void }) {
  return (
    <Menu trigger={trigger}>
      {MOTIFS.map(({ kind }) => (
        <MenuItem key={kind} onSelect={() => onPick(kind)}>
          <MotifPicture kind={kind} /> {kind}
        </MenuItem>
      ))}
    </Menu>
  );
}
