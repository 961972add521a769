import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { memo } from "react";
import type { Rule } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { moveRule } from "@/store/edits/rules";
import { RuleCard } from "./ruleCard";

/** How the motif is repeated, rule after rule. */
export const RulesSection = memo(function RulesSection({ part, rules }: { part: string; rules: readonly Rule[] }) {
  const { edit } = useEditing();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  if (rules.length === 0) return null;
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
    </section>
  );
});
