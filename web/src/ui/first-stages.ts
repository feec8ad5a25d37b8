/** Stages whose sentences the first screen says: they are built into one file of each language, and fetched before anything is drawn. */
export const FIRST_STAGES: readonly string[] = ['shell', 'shelf', 'today', 'units'];
