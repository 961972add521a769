import { EventSourceParserStream } from "eventsource-parser/stream";
import { array, boolean, number, object, string, type InferType } from "yup";
import { ApiError, ask } from "./http";

const named = { id: string().required(), name: string().defined() };

const brought = object({
  designs: number().required(),
  takes: number().required(),
  there: number().required(),
  pieces: number().required(),
  /** Designs that lie in the bin here. */
  binned: array(object(named)).required(),
  /** Designs that are here otherwise; when they were changed here and in the file, milliseconds since 1970. */
  differing: array(
    object({ ...named, here: number().required(), file: number().required(), binned: boolean().required() }),
  ).required(),
  refused: array(
    object({
      file: string().required(),
      errors: array(object({ path: string().defined(), message: string().required() })).required(),
    }),
  ).required(),
});

const progress = object({ done: number().required(), of: number().required() });
const problem = object({ status: number().required(), detail: string().required() });

/** What came of bringing back a zip. */
export type Brought = InferType<typeof brought>;

/** What becomes of a design that is here otherwise: it stays, becomes the file's, or the file's comes beside it. */
export type Choice = "mine" | "file" | "both";

interface Asked {
  /** What was chosen, by the designs' ids; what is not named stays as it is. */
  readonly choices?: ReadonlyMap<string, Choice>;
  readonly signal?: AbortSignal;
  /** Is told how many designs of how many are done. */
  readonly onDesign?: (done: number, of: number) => void;
}

/** Brings back what a zip of everything holds; tells what came, what was refused, and what can be chosen. */
export async function bringBack(zip: Blob, { choices, signal, onDesign }: Asked = {}): Promise<Brought> {
  const response = await ask(`/api/keep?${queryOf(choices ?? new Map())}`, {
    method: "POST",
    headers: { "Content-Type": "application/zip", Accept: "text/event-stream" },
    body: zip,
    signal: signal ?? null,
  });
  const events = response.body?.pipeThrough(new TextDecoderStream()).pipeThrough(new EventSourceParserStream());
  const reader = events?.getReader();
  for (let next = await reader?.read(); next?.value; next = await reader?.read()) {
    const { event, data } = next.value;
    const told: unknown = JSON.parse(data);
    if (event === "end") return brought.validate(told);
    if (event === "design") {
      const { done, of } = await progress.validate(told);
      onDesign?.(done, of);
    } else {
      const { status, detail } = await problem.validate(told);
      throw new ApiError(status, detail);
    }
  }
  throw new ApiError(0, "The server ended before all of it was brought; what came whole is there.");
}

/** Most designs are named by none: what most were chosen for is said once, for all. */
function queryOf(choices: ReadonlyMap<string, Choice>): URLSearchParams {
  const idsOf = (choice: Choice) => [...choices].filter(([, own]) => own === choice).map(([id]) => id);
  const all = (["mine", "file", "both"] as const).map((choice) => ({ choice, ids: idsOf(choice) }));
  const [most, ...others] = all.sort((a, b) => b.ids.length - a.ids.length);
  if (!most || most.ids.length === 0) return new URLSearchParams();
  const rest = others.filter(({ ids }) => ids.length > 0).map(({ choice, ids }) => [choice, ids.join(",")]);
  return new URLSearchParams([["differing", most.choice], ...rest]);
}
