import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A PostgreSQL that a test may end and start again. */
export interface Cluster {
  readonly directory: string;
  readonly port: number;
  readonly url: (database: string) => string;
  readonly revive: () => Promise<boolean>;
  readonly stop: () => Promise<void>;
}
interface Clusters {
  readonly startCluster: (options: { directory: string; throwaway: boolean; follows?: Cluster }) => Promise<Cluster>;
}

/** Clusters of a test in a folder of its own, by the start's own script, which is plain JavaScript. */
export class OwnClusters {
  private readonly parent = mkdtempSync(join(tmpdir(), 'dewpot-clusters-'));
  private readonly all: Cluster[] = [];

  constructor() {
    // The database's own user enters it too.
    chmodSync(this.parent, 0o755);
  }

  /** Starts one, or one that follows another. */
  async start(follows?: Cluster): Promise<Cluster> {
    const script = new URL('../../scripts/lib/postgres.mjs', import.meta.url).href;
    const { startCluster } = (await import(script)) as Clusters;
    const directory = join(this.parent, `cluster-${this.all.length}`);
    const cluster = await startCluster({ directory, throwaway: true, ...(follows && { follows }) });
    this.all.push(cluster);
    return cluster;
  }

  /** Ends and removes them. */
  async remove(): Promise<void> {
    for (const cluster of [...this.all].reverse()) await cluster.stop();
    rmSync(this.parent, { recursive: true, force: true });
  }
}
