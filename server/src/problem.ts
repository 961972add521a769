import { STATUS_CODES } from "node:http";
import type { ErrorRequestHandler, RequestHandler, Response } from "express";
import type { Problem } from "@twin-petal/core";

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

/** Answers every error as a problem document; what is not ours is logged and kept to ourselves. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  if (error instanceof HttpProblem) return send(response, error);
  const known =
    (isBodyError(error) ? fromBodyError(error) : null) ??
    (isRequestError(error) ? fromRequestError(error, request.path) : null);
  if (known) return send(response, known);
  request.log.error({ err: error }, "unexpected");
  send(response, new HttpProblem(500, "Something went wrong here; the design was not changed. Try again."));
};
