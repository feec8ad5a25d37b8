// @ts-check
import { AS_PAGES } from './trial.mjs';
import { randomUUID } from 'node:crypto';
import { nestedPot } from './bench-pours.mjs';

/** So many pots poured so many hours ago, at a place. @typedef {{ count: number, hours: number, place?: string }} ShelfPour */

/** A workshop of its own with pots on its shelf. @param {import('@playwright/test').APIRequestContext} request @param {readonly ShelfPour[]} pours */
export async function fillShelf(request, pours) {
  const email = `${randomUUID()}@example.org`;
  await request.post('/api/workshops', {
    ...AS_PAGES,
    data: { workshop: 'Full shelf', name: 'Ada', email, passphrase: 'a long passphrase' },
  });
  await request.post('/api/session', { ...AS_PAGES, data: { email, passphrase: 'a long passphrase' } });
  const { materials } = await (await request.get('/api/store')).json();
  const id = (/** @type {string} */ name) =>
    materials.find((/** @type {{ name: string }} */ one) => one.name.startsWith(name)).id;
  const [cement, sand] = [id('Grey Portland'), id('Sharp sand')];
  const [mould, mix] = [randomUUID(), randomUUID()];
  const lines = [
    { materialId: cement, parts: 1 },
    { materialId: sand, parts: 2.5 },
  ];
  await request.put(`/api/moulds/${mould}`, {
    ...AS_PAGES,
    data: { name: 'Pot', flexibility: 'rigid', piece: 'pot', shape: nestedPot(), copies: [], version: 0 },
  });
  await request.put(`/api/mixes/${mix}`, {
    ...AS_PAGES,
    data: {
      name: 'Grey',
      by: 'volume',
      grade: 5,
      exposure: 'outdoors',
      packed: false,
      binderClass: 'portland',
      moistCuringDays: 7,
      colour: '#b3ada1',
      lines,
      version: 0,
    },
  });
  for (const { count, hours, place } of pours) {
    const pour = randomUUID();
    await request.put(`/api/pours/${pour}`, {
      ...AS_PAGES,
      data: {
        items: [{ mouldId: mould, count }],
        mixId: mix,
        grade: 5,
        spare: 0.05,
        moisture: {},
        step: 0.25,
        temperature: 18,
        ...(place && { place }),
        version: 0,
      },
    });
    await request.post(`/api/pours/${pour}/finish`, {
      ...AS_PAGES,
      data: {
        logs: [{ used: { [cement]: 1000 * count, [sand]: 3000 * count }, tap: 520 * count, grade: 5, temperature: 18 }],
        casts: Array.from({ length: count }, () => ({ id: randomUUID(), item: 0 })),
        pouredAt: Date.now() - hours * 3_600_000,
      },
    });
  }
}
