import { Link } from "react-router";

/** For an address nothing is at. */
export function NowhereScreen() {
  return (
    <main className="grid h-full place-content-center gap-3 text-center">
      <h1 className="text-2xl font-bold">There is nothing here</h1>
      <p className="text-quiet">The address may have been mistyped.</p>
      <Link className="font-medium text-live underline" to="/">
        To the wall
      </Link>
    </main>
  );
}
