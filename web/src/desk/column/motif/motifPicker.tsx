import { useState, type ReactNode } from "react";
import { rehearsed, useDeskStore } from "@/store/deskStore";
import { Menu, MenuHeading, MenuItem, MenuLine, MenuPictures } from "@/ui/menu";
import { PictureItem, PICTURE_SIZE } from "../../live/pictureItem";
import { useLivePictures } from "../../live/useLivePictures";
import { MADE_MOTIFS } from "./made/list";
import { MotifPicture, READY_KINDS } from "./motifKinds";

interface MotifPickerProps {
  readonly trigger: ReactNode;
  onPick: (kind: string) => void;
  /** Only ready shapes, for cutting and combining. */
  readonly readyOnly?: boolean;
}

/** Chooses a kind of motif: each ready shape is a live picture of this ornament with it. */
export function MotifPicker({ trigger, ...choices }: MotifPickerProps) {
  return (
    <Menu trigger={trigger} beside>
      <Choices {...choices} />
    </Menu>
  );
}

function Choices({ onPick, readyOnly = false }: Omit<MotifPickerProps, "trigger">) {
  const store = useDeskStore();
  // Worked out once, as the menu opens: the design does not change while it is open.
  const [wanted] = useState(() =>
    READY_KINDS.map((kind) => ({ key: kind, design: rehearsed(store, () => onPick(kind)) })),
  );
  const pictures = useLivePictures(wanted, "own", PICTURE_SIZE, true);
  return (
    <>
      {!readyOnly && <MenuHeading>Ready shapes</MenuHeading>}
      <MenuPictures>
        {READY_KINDS.map((kind) => (
          <PictureItem key={kind} name={kind} promise="" picture={pictures.get(kind)} onSelect={() => onPick(kind)} />
        ))}
      </MenuPictures>
      {!readyOnly && (
        <>
          <MenuLine />
          <MenuHeading>Made by you</MenuHeading>
          {MADE_MOTIFS.map(({ kind, name, promise }) => (
            <MenuItem key={kind} onSelect={() => onPick(kind)}>
              <MotifPicture kind={kind} size={28} /> <b className="font-medium">{name}</b>
              <span className="text-[15px] text-quiet">{promise}</span>
            </MenuItem>
          ))}
        </>
      )}
    </>
  );
}
