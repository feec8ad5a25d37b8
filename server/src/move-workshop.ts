import { configFrom } from './config.js';
import { NotMoved, WorkshopMove } from './moving/workshop-move.js';

const USAGE =
  'Say the workshop by its key, and where it goes: TARGET_DATABASE_URL=postgres://… move-workshop.js 01a2b3c4-…';

const [workshop = ''] = process.argv.slice(2);
const target = process.env.TARGET_DATABASE_URL;
try {
  if (!target || !/^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i.test(workshop)) throw new NotMoved(USAGE);
  const { rows, closed } = await WorkshopMove.between(configFrom(process.env).ownerUrl, target, workshop);
  process.stdout.write(`Moved: ${rows} rows. It could be read alone for ${(closed / 1000).toFixed(1)} s.\n`);
} catch (error) {
  process.stderr.write(`${error instanceof NotMoved ? error.message : String((error as Error).stack ?? error)}\n`);
  process.exitCode = 1;
}
