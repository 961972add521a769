/** What unit tests import from `@jest/globals`: the runner keeps them as globals of bare Node. */
export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, jest, test } = globalThis;
