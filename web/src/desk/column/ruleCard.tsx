import { memo } from "react";
import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Copy, GripVertical, MoreHorizontal, MoveDown, MoveUp, Power, Trash2 } from "lucide-react";
import { ruleOf, type Rule } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { duplicateRule, moveRule, removeRule, switchRule } from "@/store/edits/rules";
import { IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { Sentence } from "@/ui/sentence";
import { FieldsProvider } from "../fields/fieldsContext";
import { LinkPanel } from "../fields/linkPanel";
import { RULE_LABELS } from "../sentences/list";

interface RuleCardProps {
  readonly part: string;
  readonly rule: Rule;
  readonly index: number;
  readonly last: boolean;
}

/** One rule as a sentence, with a grip to reorder it. */
export const RuleCard = memo(function RuleCard({ part, rule, index, last }: RuleCardProps) {
  const { edit } = useEditing();
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: String(index),
  });
  const words = RULE_LABELS[rule.kind];
  const { kind, on } = rule;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`group flex gap-1 rounded-md border border-hairline bg-surface py-1.5 pr-1 ${isDragging ? "z-10 shadow-floating" : ""}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Reorder rule ${index + 1}, ${kind}`}
        title="Drag to reorder"
        className="cursor-grab touch-none self-stretch rounded px-0.5 text-quiet hover:text-words"
      >
        <GripVertical size={15} />
      </button>
      <div className={`min-w-0 flex-1 ${on ? "" : "opacity-50"}`}>
        <FieldsProvider part={part} owner={{ rule: index }} stored={rule} table={ruleOf(kind)?.fields ?? {}}>
          <Sentence aside={<LinkPanel />}>{words && <words.Sentence />}</Sentence>
        </FieldsProvider>
        {!on && <p className="text-[15px]">Switched off.</p>}
      </div>
      <div className="flex flex-col">
        <Menu
          trigger={
            <IconButton label={`More for rule ${index + 1}, ${kind}`} className="size-7">
              <MoreHorizontal size={16} />
            </IconButton>
          }
        >
          <MenuItem onSelect={() => edit(switchRule(part, index, kind, !on))}>
            <Power size={16} /> {on ? "Switch off" : "Switch on"}
          </MenuItem>
          <MenuItem onSelect={() => edit(duplicateRule(part, index, kind))}>
            <Copy size={16} /> Duplicate
          </MenuItem>
          <MenuItem disabled={index === 0} onSelect={() => edit(moveRule(part, index, index - 1))}>
            <MoveUp size={16} /> Apply earlier
          </MenuItem>
          <MenuItem disabled={last} onSelect={() => edit(moveRule(part, index, index + 1))}>
            <MoveDown size={16} /> Apply later
          </MenuItem>
          <MenuItem onSelect={() => edit(removeRule(part, index, kind))}>
            <Trash2 size={16} /> Remove
          </MenuItem>
        </Menu>
      </div>
    </li>
  );
});
