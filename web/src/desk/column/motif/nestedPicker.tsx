import type { Motif } from "@twin-petal/core";
import type { ReactNode } from "react";
import { useDesk, useEditing } from "@/store/deskStore";
import type { NestedList } from "@/store/edits/nested";
import { motifFor } from "@/store/edits/parts";
import { Menu, MenuHeading } from "@/ui/menu";
import { READY_KINDS } from "./motifKinds";
import { MotifPictures, type MotifOffer } from "./motifPictures";

interface NestedPickerProps {
  /** The part it becomes a piece of; it is not offered itself. */
  readonly part: string;
  readonly trigger: ReactNode;
  /** Which list it adds to: what is added has the keys then. */
  readonly adds?: NestedList;
  onPick: (motif: Motif) => void;
}

/** Chooses a motif within another: a ready shape, or another part of whatever kind, drawn ones included. */
export function NestedPicker({ trigger, adds, ...choices }: NestedPickerProps) {
  const leading = adds && { leadsTo: `[data-nested="${adds}"] li:last-child [role="spinbutton"]` };
  return (
    <Menu trigger={trigger} beside {...leading}>
      <Choices {...choices} />
    </Menu>
  );
}

function Choices({ part, onPick }: Omit<NestedPickerProps, "trigger" | "adds">) {
  const { now } = useEditing();
  const parts = useDesk((state) => state.history.design.parts);
  const others = parts.filter(({ id }) => id !== part);
  const pick = (motif: Motif) => () => onPick(motif);
  const ready = READY_KINDS.map((kind): MotifOffer => ({ key: kind, name: kind, pick: pick(motifFor(now(), kind)) }));
  const follow = others.map(({ id, name }): MotifOffer => {
    return { key: id, name, pick: pick({ kind: "part", part: id, stands: "sheet" }) };
  });
  return (
    <>
      <MotifPictures offers={ready} many />
      {follow.length > 0 && (
        <>
          <MenuHeading>Another part, as it stands; it follows when that changes</MenuHeading>
          <MotifPictures offers={follow} many />
        </>
      )}
    </>
  );
}
