import { hostname, networkInterfaces } from "node:os";
import type { RequestHandler } from "express";
import { HttpProblem } from "./problem";
import type { Settings } from "./settings";

/** The names this machine is called by: its own, and those the settings name. */
export function knownHosts({ host, allowedHosts }: Settings): ReadonlySet<string> {
  const addresses = Object.values(networkInterfaces()).flatMap((own) => (own ?? []).map(({ address }) => address));
  return new Set(["localhost", "127.0.0.1", "::1", host, hostname(), ...addresses, ...allowedHosts].map(plainName));
}

/** Refuses what was sent to a name that only points here: such a page would pass for one of this application. */
export function knownHost(hosts: ReadonlySet<string>): RequestHandler {
  return (request, _response, next) => {
    const name = nameIn(request.get("Host"));
    if (name !== null && hosts.has(name)) return next();
    throw new HttpProblem(
      421,
      `This server is not called “${name ?? ""}”. Open it by the address it printed, or name it in ALLOWED_HOSTS.`,
    );
  };
}

/** The name in a Host header, without its port. */
function nameIn(header: string | undefined): string | null {
  const address = `http://${header ?? ""}`;
  return header !== undefined && URL.canParse(address) ? plainName(new URL(address).hostname) : null;
}

function plainName(name: string): string {
  return name.replace(/^\[|\]$/g, "").toLowerCase();
}
