import type { QueryClient } from "@tanstack/react-query";

/**
 * Has what is listed under some keys read once more, after something was changed. What is being read just now is given up: it
 * may have been answered before the change, and a first reading would otherwise be taken for the new one.
 */
export async function readAnew(client: QueryClient, ...keys: readonly string[][]): Promise<void> {
  await Promise.all(
    keys.map(async (queryKey) => {
      await client.cancelQueries({ queryKey });
      await client.invalidateQueries({ queryKey });
    }),
  );
}
