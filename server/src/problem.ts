import { STATUS_CODES } from "node:http";
import type { ErrorRequestHandler, RequestHandler, Response } from "express";
import type { Problem } from "@twin-petal/core";
import { isBusy, isFull } from "./db/trouble";

/** An error answered as an RFC 9457 problem document. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly more: Readonly<Record<string, unknown>> = {},
    /** What is wrong with a design, where that is what it is about. */
    readonly problems: readonly Problem[] | null = null,
  ) {
    super(detail);
  }
}

/** 422: everything that is wrong with a design. */
export function badDesign(problems: readonly Problem[]): HttpProblem {
  const count = problems.length === 1 ? "1 fault" : `${problems.length} faults`;
  return new HttpProblem(422, `The design has ${count}; nothing was changed.`, { errors: problems }, problems);
}

function send(response: Response, { status, message, more }: HttpProblem): void {
  response
    .status(status)
    .set("Cache-Control", "no-store")
    .type("application/problem+json")
    .send(JSON.stringify({ type: "about:blank", title: STATUS_CODES[status], status, detail: message, ...more }));
}

export const notFound: RequestHandler = (request) => {
  throw new HttpProblem(404, `There is nothing at ${request.path}.`);
};

/** What the framework throws for requests that cannot be understood, and for files that are not there. */
interface RequestError {
  readonly status: number;
}

function isRequestError(error: unknown): error is RequestError {
  return error instanceof Error && "status" in error && typeof error.status === "number";
}

function fromRequestError({ status }: RequestError, path: string): HttpProblem | null {
  if (status === 404) return new HttpProblem(404, `There is nothing at ${path}.`);
  return status >= 400 && status < 500 ? new HttpProblem(status, "The request cannot be understood.") : null;
}

interface BodyError {
  readonly type: string;
  readonly limit?: number;
}

function isBodyError(error: unknown): error is BodyError {
  return error instanceof Error && "type" in error && typeof error.type === "string";
}

/** What the body parsers throw, in our words. */
function fromBodyError({ type, limit }: BodyError): HttpProblem | null {
  switch (type) {
    case "entity.too.large":
      return new HttpProblem(413, `The body is larger than ${Math.round((limit ?? 0) / 2 ** 20)} MB.`, { limit });
    case "encoding.unsupported":
    case "charset.unsupported":
      return new HttpProblem(415, "The body must be JSON in UTF-8.");
    default:
      return null;
  }
}

const FULL =
  "There is no room left on the server's disk: nothing was changed. Free some there; what is not saved yet is sent again by itself.";
const BUSY =
  "The database is in use by something else for longer than it is waited for; nothing was changed. Try again.";

/** An error that is told; null for what nobody foresaw. */
export function problemOf(error: unknown, path: string): HttpProblem | null {
  if (error instanceof HttpProblem) return error;
  if (isFull(error)) return new HttpProblem(507, FULL);
  if (isBusy(error)) return new HttpProblem(503, BUSY);
  return (
    (isBodyError(error) ? fromBodyError(error) : null) ?? (isRequestError(error) ? fromRequestError(error, path) : null)
  );
}

/** What nobody foresaw is kept to ourselves. */
export const UNFORESEEN = new HttpProblem(500, "Something went wrong here; the design was not changed. Try again.");

/** Answers every error as a problem document; what is not ours is logged. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const known = problemOf(error, request.path);
  if (!known) request.log.error({ err: error }, "unexpected");
  send(response, known ?? UNFORESEEN);
};
