import type { ReactNode } from "react";
import { Menu, MenuHeading, MenuItem, MenuLine } from "@/ui/menu";
import { MADE_MOTIFS } from "./made/list";
import { MotifPicture, READY_KINDS } from "./motifKinds";
import { MotifPictures } from "./motifPictures";

interface MotifPickerProps {
  readonly trigger: ReactNode;
  onPick: (kind: string) => void;
}

/** Chooses a kind of motif: each ready shape is a live picture of this ornament with it. */
export function MotifPicker({ trigger, onPick }: MotifPickerProps) {
  return (
    <Menu trigger={trigger} beside>
      <MenuHeading>Ready shapes</MenuHeading>
      <MotifPictures offers={READY_KINDS.map((kind) => ({ key: kind, name: kind, pick: () => onPick(kind) }))} />
      <MenuLine />
      <MenuHeading>Made by you</MenuHeading>
      {MADE_MOTIFS.map(({ kind, name, promise }) => (
        <MenuItem key={kind} onSelect={() => onPick(kind)}>
          <MotifPicture kind={kind} size={28} /> <b className="font-medium">{name}</b>
          <span className="text-[15px] text-quiet">{promise}</span>
        </MenuItem>
      ))}
    </Menu>
  );
}
