// @ts-check
import { times } from './bench-mixes.mjs';

/** The fewest scoopings of a mix of eight lines by six scoops, over sizes of the batch. @param {import('./bench-mixes.mjs').Note} note */
export async function measures(note) {
  const { handbookMaterial } = await import('@dewpot/core/materials');
  const { massesPerPart, scaleMasses } = await import('@dewpot/core/mixes');
  const { measureBatch } = await import('@dewpot/core/measuring');
  const keys = ['grey-cement', 'lime', 'fine-sand', 'sharp-sand', 'pea-gravel', 'perlite', 'vermiculite', 'peat'];
  const lines = keys.map((key, i) => {
    const { key: id, ...rest } = handbookMaterial(key);
    return { material: { ...rest, name: key, id }, parts: 1 + i / 4 };
  });
  const mix = /** @type {const} */ ({ lines, by: 'volume', grade: 4, exposure: 'outdoors' });
  const conditions = { moistCuringDays: 7 };
  const perPart = massesPerPart(mix, conditions);
  const scoops = [95, 140, 240, 410, 900, 1700].map((volume) => ({ id: `${volume}`, name: `${volume} mL`, volume }));
  const vessels = /** @type {const} */ ({ scoop: scoops[0], scoops, step: 0.25, scaleStep: 1 });
  const asked = { mix, conditions, moisture: {}, spare: 0.05, vessels };
  for (const litres of [1, 9, 40]) {
    const batch = scaleMasses(perPart, (litres * 1050) / perPart.volume);
    const { middle, longest } = times(() => measureBatch(batch, 'scoops', asked));
    note(
      `${litres} L of a mix of 8 lines measured by 6 scoops`,
      `${middle.toFixed(0)} ms (longest ${longest.toFixed(0)})`,
      'under 50 ms',
    );
  }
}
