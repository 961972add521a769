import { Dialog } from "@/ui/dialog";
import { HELD_KEYS } from "./heldKeys";
import { CLIPBOARD_KEYS, MEASURE_KEYS, NODE_KEYS, NUMBER_KEYS, SHORTCUTS } from "./keys";

/** All shortcuts, from the table that binds them. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog title="Keys" open={open} onClose={onClose}>
      <div className="grid grid-cols-2 gap-8">
        <KeyList
          heading="On the desk"
          rows={[
            ...SHORTCUTS.filter(({ shown }) => shown !== ""),
            ...CLIPBOARD_KEYS,
            ...HELD_KEYS.map(({ key, words }) => ({ shown: key.toUpperCase(), words })),
          ]}
        />
        <div className="space-y-4">
          <KeyList heading="On a number, or a handle" rows={NUMBER_KEYS} />
          <KeyList heading="On nodes, and drawing" rows={NODE_KEYS} />
          <KeyList heading="Measuring" rows={MEASURE_KEYS} />
        </div>
      </div>
    </Dialog>
  );
}

function KeyList({ heading, rows }: { heading: string; rows: readonly { shown: string; words: string }[] }) {
  return (
    <section>
      <h3 className="mb-1 text-quiet">{heading}</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {rows.map(({ shown, words }) => (
          <div key={shown} className="contents">
            <dt className="font-mono text-[13px] leading-6">{shown}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
