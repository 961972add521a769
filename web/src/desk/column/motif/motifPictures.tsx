import { useState } from "react";
import { rehearsed, useDeskStore } from "@/store/deskStore";
import { MenuPictures } from "@/ui/menu";
import { PictureItem, PICTURE_SIZE } from "../../live/pictureItem";
import { useLivePictures } from "../../live/useLivePictures";

/** A motif that can be chosen. */
export interface MotifOffer {
  readonly key: string;
  readonly name: string;
  pick: () => void;
}

/** Motifs to choose from, each a live picture of this ornament with it. */
export function MotifPictures({ offers, many = false }: { offers: readonly MotifOffer[]; many?: boolean }) {
  const store = useDeskStore();
  // Worked out once, as the menu opens: the design does not change while it is open.
  const [wanted] = useState(() => offers.map(({ key, pick }) => ({ key, design: rehearsed(store, pick) })));
  const pictures = useLivePictures(wanted, "own", PICTURE_SIZE, true);
  return (
    <MenuPictures many={many}>
      {offers.map(({ key, name, pick }) => {
        const picture = pictures.get(key);
        const trouble = picture?.trouble ?? null;
        return (
          <PictureItem
            key={key}
            name={name}
            promise={trouble ?? ""}
            picture={picture}
            disabled={trouble !== null}
            onSelect={pick}
          />
        );
      })}
    </MenuPictures>
  );
}
