/** An engine ended under its work, or has ended and is not loaded anew yet. */
export class EngineEnded extends Error {
  constructor(message = "what combines shapes has ended under them; it is started anew") {
    super(message);
  }
}

/**
 * Whether an error says that a WebAssembly engine has ended: its memory is not to be trusted from then on. That is a trap, as the
 * language of the engine has it, or an exception of its own, which comes as a bare number.
 */
export function saysItEnded(error: unknown): boolean {
  return typeof error === "number" || (error instanceof Error && error.name === "RuntimeError");
}
