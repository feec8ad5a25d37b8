/** Servers, or hosts of a database, that can be struck. */
export interface House {
  readonly stop: () => Promise<void>;
}

/** What was acknowledged while blows fell, and what of it is gone. */
interface Report {
  readonly acknowledged: number;
  readonly lost: readonly string[];
}

interface Chaos {
  readonly chaos: (options: House & { rounds: number }) => Promise<Report>;
}

/** Blows while clients write, with what another script exports: they are plain JavaScript. */
export async function chaosWith<Exports>(script: string): Promise<Exports & Chaos> {
  const load = (name: string) =>
    import(new URL(`../../scripts/lib/${name}.mjs`, import.meta.url).href) as Promise<object>;
  return { ...(await load(script)), ...(await load('chaos')) } as Exports & Chaos;
}
