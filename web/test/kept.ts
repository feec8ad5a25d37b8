/** What the browser keeps between visits, in the tests: by key. */
export const kept = new Map<string, unknown>();
