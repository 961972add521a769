import { Menu, MenuItem } from "@/ui/menu";
import { WordButton } from "../../fields/wordButton";
import { OFFERED } from "./goalWords";

/** Offers what the number in hand can be set for. */
export function GoalMenu({ onGoal }: { onGoal: (kind: string) => void }) {
  return (
    <Menu trigger={<WordButton title="Find the value with which something holds">until …</WordButton>}>
      {OFFERED.map(({ goal, words }) => (
        <MenuItem key={goal.kind} onSelect={() => onGoal(goal.kind)}>
          {words.offer}
        </MenuItem>
      ))}
    </Menu>
  );
}
