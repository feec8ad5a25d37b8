import boldAddress from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff?url';
import textAddress from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff?url';
import type { PaperFaces } from './paper';

const bytes = async (address: string) => (await fetch(address)).arrayBuffer();

/** The text face as it ships with the application. */
export const fetchFaces = async (): Promise<PaperFaces> => ({
  text: await bytes(textAddress),
  bold: await bytes(boldAddress),
});
