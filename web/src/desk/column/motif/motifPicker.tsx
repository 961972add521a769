import type { ReactNode } from "react";
import { Menu, MenuGrid, MenuHeading, MenuItem, MenuLine } from "@/ui/menu";
import { MADE_KINDS, MotifPicture, READY_KINDS } from "./motifKinds";

interface MotifPickerProps {
  readonly trigger: ReactNode;
  onPick: (kind: string) => void;
  /** Only ready shapes, for cutting and combining. */
  readonly readyOnly?: boolean;
}

/** Chooses a kind of motif from pictures. */
export function MotifPicker({ trigger, onPick, readyOnly = false }: MotifPickerProps) {
  return (
    <Menu trigger={trigger}>
      {!readyOnly && <MenuHeading>Ready shapes</MenuHeading>}
      <MenuGrid>
        {READY_KINDS.map((kind) => (
          <MenuItem key={kind} onSelect={() => onPick(kind)}>
            <MotifPicture kind={kind} size={28} /> {kind}
          </MenuItem>
        ))}
      </MenuGrid>
      {!readyOnly && (
        <>
          <MenuLine />
          <MenuHeading>Made by you</MenuHeading>
          {Object.entries(MADE_KINDS).map(([kind, { name, promise }]) => (
            <MenuItem key={kind} onSelect={() => onPick(kind)}>
              <MotifPicture kind={kind} size={28} /> <b className="font-medium">{name}</b>
              <span className="text-[15px] text-quiet">{promise}</span>
            </MenuItem>
          ))}
        </>
      )}
    </Menu>
  );
}
