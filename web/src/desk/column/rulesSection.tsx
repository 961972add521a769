import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { Plus } from "lucide-react";
import { memo } from "react";
import { RULES, type Rule } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { addRule, moveRule } from "@/store/edits/rules";
import { Button } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { RULE_WORDS } from "../sentences/list";
import { RuleCard } from "./ruleCard";

/** How the motif is repeated, rule after rule. */
export const RulesSection = memo(function RulesSection({ part, rules }: { part: string; rules: readonly Rule[] }) {
  const { edit, now } = useEditing();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = rules.map((_, index) => String(index));
  return (
    <section aria-label="Rules" className="space-y-2">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over && over.id !== active.id) edit(moveRule(part, Number(active.id), Number(over.id)));
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="space-y-2">
            {rules.map((rule, index) => (
              <RuleCard key={index} part={part} rule={rule} index={index} last={index === rules.length - 1} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Menu
        trigger={
          <Button id="add-rule" look={rules.length === 0 ? "main" : "plain"}>
            <Plus size={16} /> Add a rule
          </Button>
        }
      >
        {RULES.map(({ kind }) => (
          <MenuItem key={kind} onSelect={() => edit(addRule(now(), part, kind))}>
            <b className="w-14 capitalize">{kind}</b>
            <span className="text-quiet">{RULE_WORDS[kind]?.promise}</span>
          </MenuItem>
        ))}
      </Menu>
    </section>
  );
});
