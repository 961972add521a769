/** A fault the server told about, or that kept it from being asked. */
export class ApiError extends Error {
  constructor(
    /** HTTP status; 0 when the server could not be reached. */
    readonly status: number,
    message: string,
    readonly details: ApiDetails = {},
  ) {
    super(message);
  }
}

interface ApiDetails {
  readonly errors?: readonly { readonly path: string; readonly message: string }[];
  /** The current revision, when a save was stale. */
  readonly revision?: number;
}

interface ProblemDocument extends ApiDetails {
  readonly detail: string;
}

function isProblem(data: unknown): data is ProblemDocument {
  return typeof data === "object" && data !== null && "detail" in data && typeof data.detail === "string";
}

/** What says that a body is JSON. */
export const JSON_HEADERS = { "Content-Type": "application/json" } as const;

/** Asks the server; anything but a success is thrown as an ApiError with the server's own words. */
export async function ask(path: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(path, init).catch(() => {
    throw new ApiError(0, "The server cannot be reached. Is it still running?");
  });
  if (response.ok) return response;
  const data: unknown = await response.json().catch(() => null);
  if (isProblem(data)) throw new ApiError(response.status, data.detail, data);
  throw new ApiError(response.status, `The server answered ${response.status} ${response.statusText}.`);
}

export function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
