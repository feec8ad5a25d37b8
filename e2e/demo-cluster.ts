import { makeDemoCluster } from '../scripts/lib/trial.mjs';

/** Makes the demo workshop once: each worker begins with a copy of it. */
export default async function setup(): Promise<() => void> {
  const { directory, remove } = await makeDemoCluster();
  process.env.DEWPOT_DEMO_CLUSTER = directory;
  return remove;
}
