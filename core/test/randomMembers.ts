import fc from "fast-check";

/**
 * The random members of every property: the same in each run, so that a failing run speaks of the change it runs on.
 * `npm run hunt` takes others every time.
 */
const seed = process.env["MEMBERS"] === "new" ? Date.now() : 7;

fc.configureGlobal({ seed });
