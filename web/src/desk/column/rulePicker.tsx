import { useMemo } from "react";
import { Plus } from "lucide-react";
import { RULES } from "@twin-petal/core";
import { applyEdit } from "@/store/edit";
import { useDesign, useEditing } from "@/store/deskStore";
import { addRule, leadingPart } from "@/store/edits/rules";
import { Button } from "@/ui/button";
import { Menu, MenuPictures } from "@/ui/menu";
import { PictureItem, PICTURE_SIZE } from "../live/pictureItem";
import { useLivePictures } from "../live/useLivePictures";
import { RULE_LABELS } from "../sentences/list";

/** Adds a rule: each choice is a live picture of this ornament with that rule added. */
export function RulePicker({ part, isFirst }: { part: string; isFirst: boolean }) {
  return (
    <Menu
      beside
      // What was added is what is set next: its first number has the keys, and shows its neighbours.
      leadsTo='section[aria-label="Rules"] li:last-child [role="spinbutton"]'
      trigger={
        <Button id="add-rule" look={isFirst ? "main" : "plain"}>
          <Plus size={16} /> Add a rule
        </Button>
      }
    >
      <Choices part={part} />
    </Menu>
  );
}

function Choices({ part }: { part: string }) {
  const design = useDesign();
  const { edit, now } = useEditing();
  const canLead = leadingPart(design, part) !== undefined;
  const wanted = useMemo(
    () =>
      RULES.filter(({ leads }) => leads === null || canLead).map(({ kind }) => ({
        key: kind,
        design: applyEdit(design, addRule(design, part, kind)),
      })),
    [design, part, canLead],
  );
  const pictures = useLivePictures(wanted, "own", PICTURE_SIZE, true);
  return (
    <MenuPictures>
      {RULES.map(({ kind, leads }) => {
        const missing = leads !== null && !canLead;
        return (
          <PictureItem
            key={kind}
            name={kind}
            promise={missing ? "needs another part whose line it follows" : (RULE_LABELS[kind]?.promise ?? "")}
            picture={pictures.get(kind)}
            disabled={missing}
            onSelect={() => edit(addRule(now(), part, kind))}
          />
        );
      })}
    </MenuPictures>
  );
}
