import { memo } from "react";
import { Plus, Trash2 } from "lucide-react";
import { GUIDE, type Guide } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { addGuide, removeGuide } from "@/store/edits/guides";
import { IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { SectionHead } from "@/ui/sectionHead";
import { Sentence } from "@/ui/sentence";
import { WordButton } from "../../fields/wordButton";
import { GUIDE_LABELS, labelsOfGuide } from "./list";

/** Lines and figures to draw by. */
export const GuidesSection = memo(function GuidesSection() {
  const guides = useDesk((state) => state.history.design.guides);
  const { edit } = useEditing();
  return (
    <section aria-label="Guides">
      <SectionHead words="Guides">
        <Menu
          trigger={
            <WordButton>
              <Plus size={13} className="-mt-0.5 inline" /> Lay a guide
            </WordButton>
          }
        >
          {GUIDE_LABELS.map(({ kind, name }) => (
            <MenuItem key={kind} onSelect={() => edit(addGuide(GUIDE[kind].first, `lay ${name}`))}>
              {name}
            </MenuItem>
          ))}
        </Menu>
      </SectionHead>
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
    </section>
  );
});

function GuidePanel({ guide, index }: { guide: Guide; index: number }) {
  const labels = labelsOfGuide(guide);
  return labels ? <labels.Panel guide={guide} index={index} /> : null;
}
