import { memo } from "react";
import { Plus, Trash2 } from "lucide-react";
import { GUIDE, type Guide } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { addGuide, removeGuide } from "@/store/edits/guides";
import { Button, IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { Sentence } from "@/ui/sentence";
import { GUIDE_LABELS, labelsOfGuide } from "./list";

/** Lines and figures to draw by. */
export const GuidesSection = memo(function GuidesSection() {
  const guides = useDesk((state) => state.history.design.guides);
  const { edit } = useEditing();
  return (
    <section aria-label="Guides">
      <h2 className="text-[15px] font-bold text-quiet">Guides</h2>
      <ul>
        {guides.map((guide, index) => (
          <li key={index} className="flex items-start gap-1">
            <div className="min-w-0 flex-1">
              <Sentence>
                <GuidePanel guide={guide} index={index} />
              </Sentence>
            </div>
            <IconButton label={`Remove guide ${index + 1}`} className="size-7" onClick={() => edit(removeGuide(index))}>
              <Trash2 size={14} />
            </IconButton>
          </li>
        ))}
      </ul>
      <Menu
        trigger={
          <Button className="mt-1">
            <Plus size={16} /> Lay a guide
          </Button>
        }
      >
        {GUIDE_LABELS.map(({ kind, name }) => (
          <MenuItem key={kind} onSelect={() => edit(addGuide(GUIDE[kind].first, `lay ${name}`))}>
            {name}
          </MenuItem>
        ))}
      </Menu>
    </section>
  );
});

function GuidePanel({ guide, index }: { guide: Guide; index: number }) {
  const labels = labelsOfGuide(guide);
  return labels ? <labels.Panel guide={guide} index={index} /> : null;
}
