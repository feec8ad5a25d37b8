import { startTrial } from '../scripts/lib/trial.mjs';

/** One Dew Pot with the demo workshop for all journeys; those that want a workshop of their own register one. */
export default async function setup() {
  const trial = await startTrial({ demo: true });
  process.env.DEWPOT_URL = trial.url;
  return () => trial.stop();
}
