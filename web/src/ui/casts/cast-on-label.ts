const CAST = /^\/casts\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

/** The cast whose label says this; undefined where it is no address of one. A label may have been printed when the server had another name. */
export const castOnLabel = (text: string): string | undefined =>
  URL.canParse(text) ? CAST.exec(new URL(text).pathname)?.[1] : undefined;
