/** Something is under way; says what. */
export function Waiting({ what }: { what: string }) {
  return (
    <main className="grid h-full place-items-center text-quiet">
      <p role="status">{what} …</p>
    </main>
  );
}
