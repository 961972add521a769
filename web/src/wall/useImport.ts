import { useState } from "react";
import { toast } from "sonner";
import { messageOf } from "@/api/http";
import { bringBack, type Brought, type Choice } from "@/api/keep";
import { importFiles, isZip, type ImportOutcome } from "./importFiles";

/** A zip that is being brought. */
interface Coming {
  readonly file: File;
  readonly done: number;
  /** Designs in it; 0 until that is known. */
  readonly of: number;
  stop: () => void;
}

/** What a zip that was brought leaves to choose. */
export interface Undecided extends Pick<Brought, "differing" | "binned"> {
  readonly file: File;
}

/** Bringing files to the wall: design files, SVGs that carry one, and zips of everything. */
export function useImport(onBrought: () => void) {
  const [coming, setComing] = useState<Coming | null>(null);
  const [refused, setRefused] = useState<readonly ImportOutcome[]>([]);
  const [undecided, setUndecided] = useState<Undecided | null>(null);

  /** Brings one zip, and tells what came, what was refused and what can be chosen. */
  const bring = async (file: File, choices?: ReadonlyMap<string, Choice>): Promise<ImportOutcome[]> => {
    const ending = new AbortController();
    const show = (done: number, of: number) => setComing({ file, done, of, stop: () => ending.abort() });
    show(0, 0);
    try {
      const came = await bringBack(file, { choices, signal: ending.signal, onDesign: show });
      if (came.differing.length + came.binned.length > 0) setUndecided({ file, ...came });
      else if (came.designs + came.pieces === 0 && came.refused.length === 0)
        toast(`Everything in ${file.name} is here already`);
      return outcomesOf(file, came);
    } catch (error) {
      const reason = ending.signal.aborted ? null : messageOf(error);
      if (reason === null) toast("Stopped: what came whole is here");
      return [{ file: file.name, count: 0, reasons: reason === null ? [] : [reason] }];
    } finally {
      setComing(null);
    }
  };

  const tell = (outcomes: readonly ImportOutcome[]) => {
    const opened = outcomes.reduce((sum, { count }) => sum + count, 0);
    if (opened > 0) toast.success(opened === 1 ? "One design was added" : `${opened} designs were added`);
    setRefused(outcomes.filter(({ reasons }) => reasons.length > 0));
    onBrought();
  };

  return {
    coming,
    refused,
    undecided,
    take: async (files: readonly File[]) => {
      if (files.length === 0) return;
      const outcomes = await importFiles(files.filter((file) => !isZip(file)));
      for (const zip of files.filter(isZip)) outcomes.push(...(await bring(zip)));
      tell(outcomes);
    },
    /** Brings once more what was chosen otherwise than to stay. */
    choose: async (choices: ReadonlyMap<string, Choice>) => {
      setUndecided(null);
      const isChange = [...choices.values()].some((choice) => choice !== "mine");
      if (undecided && isChange) tell(await bring(undecided.file, choices));
    },
    forget: () => setRefused([]),
  };
}

/** One outcome for the zip, and one for each file in it that was refused. */
function outcomesOf(file: File, { designs, refused }: Brought): ImportOutcome[] {
  return [
    { file: file.name, count: designs, reasons: [] },
    ...refused.map(({ file: inner, errors }) => ({
      file: `${inner}, in ${file.name}`,
      count: 0,
      reasons: errors.map(({ path, message }) => (path === "" ? message : `${path}: ${message}`)),
    })),
  ];
}
