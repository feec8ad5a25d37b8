import type { PlaceView } from '@dewpot/contract';
import {
  ambientIn,
  PlaceSeriesCache,
  PlaceEntity,
  ReadingsService,
  WorkshopContext,
  type createServer,
} from '@dewpot/server';
import type { AmbientReading } from '@dewpot/core/ambient';
import type { Speaker } from '@dewpot/locales';
import { v7 as uuid } from 'uuid';
import { inWords } from './in-words.js';
import { DAY, HOUR } from '@dewpot/core/units';

/** The season, and a little before it. */
const SEASON = 175 * DAY;

type DemoPlace = Pick<PlaceView, 'name' | 'kind' | 'source' | 'typed' | 'simulated'>;

/** Where casts stand at Thornwick Lane: the bench with a logger, a sill that is read out of files, the yard, a cellar by a typed figure. */
const places: readonly DemoPlace[] = [
  { name: 'demo.bench', kind: 'shed', source: 'logger', simulated: true },
  { name: 'demo.sill', kind: 'shed', source: 'files' },
  { name: 'demo.yard', kind: 'yard', source: 'forecast' },
  { name: 'demo.cellar', kind: 'cellar', source: 'typed', typed: { temperature: 12, humidity: 0.82, wind: 0 } },
];

/** Two heatwaves, from and to so many days ago: in them the sill is hot, dry and draughty, whatever the time of year. */
const HEATWAVES = [[132, 129], [113, 110]] as const; // prettier-ignore

/** What the sill's own logger read at a time. */
function onSill(at: number, now: number): AmbientReading {
  const { temperature, humidity } = ambientIn('shed', at);
  const ago = (now - at) / DAY;
  const hot = HEATWAVES.some(([from, to]) => ago <= from && ago >= to);
  if (!hot) return { at, temperature: temperature + 1.5, humidity };
  return { at, temperature: Math.max(31, temperature + 12), humidity: 0.32, wind: 16 };
}

/** Makes the places of the demo with a season of their air. */
export async function furnishDemoPlaces(
  app: Awaited<ReturnType<typeof createServer>>,
  now: number,
  say: Speaker,
): Promise<void> {
  const rows = app.get(WorkshopContext);
  const { workshopId } = rows;
  for (const { name, ...body } of inWords(places, say))
    await rows.of(PlaceEntity).insert({ id: uuid(), workshopId, name, body });
  for (const place of await app.get(PlaceSeriesCache).places()) {
    await app.get(PlaceSeriesCache).collect(place, now, SEASON);
    if (place.body.source !== 'files') continue;
    const first = Math.ceil((now - SEASON) / HOUR) * HOUR;
    const read = Array.from({ length: Math.floor((now - first) / HOUR) + 1 }, (_, i) => onSill(first + i * HOUR, now));
    await app.get(ReadingsService).take(place, read, now);
  }
}
