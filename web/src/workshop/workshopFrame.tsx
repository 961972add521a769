import { useEffect, type ReactNode } from "react";
import { NavLink } from "react-router";
import { hasSolids } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { NumbersSection } from "@/desk/column/numbersSection";
import { useHistoryKeys } from "@/desk/historyKeys";
import { SavePanel } from "@/desk/strips/savePanel";
import { UndoRedo } from "@/desk/strips/undoRedo";
import { BackToDesk } from "@/ui/backToDesk";
import { watchWheel } from "@/ui/wheelSteps";
import { WORKSHOPS } from "./workshops";

interface WorkshopFrameProps {
  readonly actions: ReactNode;
  readonly settings: ReactNode;
  readonly checks: ReactNode;
  /** Where it is sent. */
  readonly device: ReactNode;
  /** The time line along the bottom. */
  readonly run: ReactNode;
  readonly children: ReactNode;
}

/** A workshop: settings on the left, what will be made in the middle, checks on the right, the run along the bottom. */
export function WorkshopFrame({ actions, settings, checks, device, run, children }: WorkshopFrameProps) {
  const id = useDesk((state) => state.id);
  const name = useDesk((state) => state.history.design.name);
  const isSolid = useDesk((state) => hasSolids(state.history.design));
  const workshops = WORKSHOPS.filter(({ kind }) => kind !== "solid" || isSolid);
  useEffect(watchWheel, []);
  useHistoryKeys();
  return (
    <div className="flex h-full min-w-[1024px] flex-col">
      <header className="flex h-11 shrink-0 items-center gap-2 border-b border-hairline bg-surface px-3">
        <BackToDesk id={id} />
        <h1 className="text-[18px] font-bold">{name}</h1>
        <nav aria-label="Workshops" className="flex items-center text-[15px]">
          {workshops.map(({ kind, name: words }) => (
            <NavLink
              key={kind}
              to={`/designs/${id}/${kind}`}
              className="rounded px-2 text-quiet hover:text-words aria-[current=page]:bg-words aria-[current=page]:text-surface"
            >
              {words}
            </NavLink>
          ))}
        </nav>
        <SavePanel />
        <UndoRedo />
        <span className="ml-auto" />
        {actions}
      </header>
      <main className="flex min-h-0 flex-1">
        <aside
          aria-label="Settings of the making"
          className="flex w-72 shrink-0 flex-col gap-4 overflow-y-auto border-r border-hairline bg-surface px-4 py-3 text-[16.5px]"
        >
          {settings}
          <hr className="border-hairline" />
          <NumbersSection />
        </aside>
        <div className="flex min-w-0 flex-1 flex-col">
          {children}
          <div
            role="group"
            aria-label="Run"
            className="flex h-16 shrink-0 items-center gap-3 border-t border-hairline bg-surface px-4"
          >
            {run}
          </div>
        </div>
        <aside
          aria-label="Checks and device"
          className="flex w-72 shrink-0 flex-col gap-3 overflow-y-auto border-l border-hairline bg-surface px-4 py-3 text-[16px]"
        >
          {checks}
          <hr className="border-hairline" />
          {device}
        </aside>
      </main>
    </div>
  );
}
