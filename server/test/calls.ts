import type { Running } from "./running";

/** What answers of the server may hold, each of them some of it. */
export interface Answer {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly designs: readonly { id: string; name: string; changed: number }[];
  readonly unreadable: readonly string[];
  readonly next: string | null;
  readonly revisions: readonly { revision: number }[];
  readonly errors: readonly { path: string; message: string }[];
  readonly status: number;
  readonly state: string;
  readonly detail: string;
}

/** Calls of one running server. */
export interface Calls {
  call: (path: string, init?: RequestInit) => Promise<Response>;
  /** Sends a body as JSON; a text as it is. */
  send: (method: string, path: string, body: unknown, headers?: Record<string, string>) => Promise<Response>;
}

export function callsTo({ address }: Pick<Running, "address">): Calls {
  const call = (path: string, init: RequestInit = {}) => fetch(address + path, init);
  return {
    call,
    send: (method, path, body, headers = {}) =>
      call(path, {
        method,
        body: typeof body === "string" ? body : JSON.stringify(body),
        headers: { "Content-Type": "application/json", ...headers },
      }),
  };
}

/** An answer's body. */
export async function answer(response: Response | Promise<Response>): Promise<Answer> {
  const body: Answer = JSON.parse(await (await response).text());
  return body;
}
