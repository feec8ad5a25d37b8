/** Languages that there are catalogues of. A further one is one more folder of them, and one word here. */
export const languages = ['en', 'es'] as const;
export type Language = (typeof languages)[number];
