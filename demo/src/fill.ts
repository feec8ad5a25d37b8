import { defined, stream } from '@dewpot/core/math';
import { DAY, type Language } from '@dewpot/core/units';
import type { Grade } from '@dewpot/core/mixes';
import { calculateSheet, plannedLog } from '@dewpot/core/pours';
import { makeSpeaker, type Speaker } from '@dewpot/locales';
import { lookupIn } from '@dewpot/locales/all';
import {
  ambientIn,
  ArticlesService,
  CastRecordsService,
  CastsService,
  FindingRecordsService,
  fillWithHandbook,
  firstSettings,
  MixesService,
  MouldsService,
  People,
  PoursService,
  WorkshopContext,
  WorkshopsService,
  MaterialsService,
  TilesService,
  TintsService,
  TrialsService,
  TubsService,
  type createServer,
} from '@dewpot/server';
import { MOST_ON_PAGE, type MixInput } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { inWords } from './in-words.js';
import { keyed, livesOf } from './lives.js';
import { lineKeys, takeOrders } from './orders.js';
import { drawPatterns } from './patterns.js';
import { Purchases } from './purchases.js';
import { season, type DemoPour } from './season.js';
import { furnishDemoPlaces } from './places.js';
import { moulds, tubs } from './moulds.js';
import { tiles } from './tiles.js';
import { demoTrial } from './trial.js';
import { chips, tints, type DemoColouring, type DemoTint } from './tints.js';
import { cutStock, lots, mixes, nextVersion, scoops, type DemoMix } from './workshop.js';

const SEED = 1834;
/** Moulds of the season, by their place in its list. */
const ROUND = 6;
const PLINTH = 7;
const THIMBLE = 2;

type Server = Awaited<ReturnType<typeof createServer>>;

interface DemoWays {
  /** In which it names its things. */
  readonly language?: Language;
  readonly progress?: (done: number, all: number) => void;
}

/**
 * Makes the demo workshop and its season up to `now` (ms), through the same services that people use.
 * All of it in one transaction: cut short, it leaves nothing.
 */
export function fillDemo(
  app: Server,
  now: number,
  { language = 'en', progress = () => {} }: DemoWays = {},
): Promise<void> {
  const say = makeSpeaker({ language, system: 'metric', currency: 'EUR' }, lookupIn(language));
  const random = stream(SEED);
  return app.get(WorkshopContext).inWorkshop(uuid(), async () => {
    // It calculates between its writes: on a busy machine that is longer than a request may be silent.
    await app.get(WorkshopContext).manager.query(`SET LOCAL idle_in_transaction_session_timeout = '10min'`);
    const people = app.get(People);
    const settings = { ...firstSettings, name: 'Thornwick Lane' };
    await app.get(WorkshopsService).found(settings, true);
    const personId = await people.join({ name: 'Maud', email: 'maud@thornwick.example' }, 'owner');
    const other = await people.join({ name: 'Osric', email: 'osric@thornwick.example' }, 'caster');
    await furnishDemoPlaces(app, now, say);
    const keys = await furnish(app, now, say);
    const lines = lineKeys();
    await beginTrial(app, keys, say);
    const purchases = new Purchases(app, keys.materials);
    for (const [index, pour] of season.entries()) {
      await purchases.before(now - pour.daysAgo * DAY);
      await pourAndFollow(app, { ...keys, lines }, inWords(pour, say), personId, now, random);
      progress(index + 1, season.length);
    }
    await purchases.useUp();
    await joinSundial(app, keys, say, personId, now);
    await revise(app, keys, say);
    await stock(app, keys.materials, now);
    for (const one of inWords(cutStock, say)) await app.get(MaterialsService).saveStock(uuid(), { ...one, version: 0 });
    await tryTiles(app, keys, say, now);
    await takeOrders(app, keys, lines, [personId, other], now, say);
    await drawPatterns(app, say);
    await app.get(FindingRecordsService).all();
  });
}

async function beginTrial(app: Server, { trial, moulds: ids }: Keys, say: Speaker): Promise<void> {
  await app.get(TrialsService).save(trial, { ...inWords(demoTrial, say), mouldId: defined(ids[THIMBLE]), version: 0 });
}

/** A stepping round was set on the plinth just now, after all else that was done to either, and is clamped. */
async function joinSundial(app: Server, keys: Keys, say: Speaker, personId: string, now: number): Promise<void> {
  const shelf = (await app.get(CastsService).shelf()).filter(
    ({ stage }) => stage === 'curing' || stage === 'drying' || stage === 'sealed',
  );
  const of = (mould: number) => shelf.filter(({ mouldId }) => mouldId === keys.moulds[mould]);
  // Where the weather keeps the plinth in its mould, two rounds make a step.
  const [plinth, round] = [...of(PLINTH), ...of(ROUND)];
  if (!plinth || !round) return;
  const part = (castId: string) => ({ castId, over: false });
  await app.get(ArticlesService).join(
    {
      id: uuid(),
      at: Math.round(now),
      name: say('demo.sundial'),
      arrangement: 'stacked',
      parts: [part(plinth.id), part(round.id)],
      bond: 'mortar',
      uses: ['outdoors', 'frost'],
    },
    personId,
    now,
  );
}

interface Keys {
  readonly materials: Record<string, string>;
  readonly moulds: readonly string[];
  readonly mixes: readonly string[];
  readonly scoop: string;
  readonly tints: readonly string[];
  readonly trial: string;
}

async function furnish(app: Server, now: number, say: Speaker): Promise<Keys> {
  const materials = await fillWithHandbook(app.get(WorkshopContext), say);
  const mouldKeys: string[] = [];
  for (const { copies, ...mould } of inWords(moulds, say)) {
    const id = uuid();
    const marks = Array.from({ length: copies }, (_, i) => ({ id: uuid(), mark: String.fromCharCode(65 + i) }));
    await app
      .get(MouldsService)
      .save(id, { ...structuredClone(mould), copies: marks, version: 0 } as Parameters<MouldsService['save']>[1]);
    mouldKeys.push(id);
  }
  for (const tub of inWords(tubs, say))
    await app
      .get(TubsService)
      .save(uuid(), { ...structuredClone(tub), version: 0 } as Parameters<TubsService['save']>[1]);
  const mixKeys: string[] = [];
  for (const mix of inWords(mixes, say)) {
    const id = uuid();
    await app.get(MixesService).save(id, recipe(mix, materials, 0));
    mixKeys.push(id);
  }
  const scoopKeys = scoops.map(() => uuid());
  for (const [i, [name, volume]] of inWords(scoops, say).entries())
    await app.get(MaterialsService).saveScoop(defined(scoopKeys[i]), { name, volume, version: 0 });
  const tintKeys = await palette(app, materials, now, say);
  return { materials, moulds: mouldKeys, mixes: mixKeys, scoop: defined(scoopKeys[0]), tints: tintKeys, trial: uuid() };
}

/** Tints, and the chips that taught them; answers the keys of the tints. */
async function palette(app: Server, materials: Record<string, string>, now: number, say: Speaker): Promise<string[]> {
  const service = app.get(TintsService);
  const body = ({ on: [binder, sand], doses }: Pick<DemoTint, 'on' | 'doses'>) => ({
    base: { binderId: defined(materials[binder]), sandId: defined(materials[sand]) },
    doses: doses.map(([key, amount]) => ({ materialId: defined(materials[key]), amount })),
    version: 0,
  });
  const keys: string[] = [];
  for (const { name, note, ...tint } of inWords(tints, say)) {
    keys.push(uuid());
    await service.save(defined(keys.at(-1)), { name, ...(note && { note }), ...body(tint) });
  }
  for (const { name, daysAgo, measured, ...chip } of inWords(chips, say)) {
    const id = uuid();
    const castAt = daysAgo === undefined ? {} : { castAt: Math.round(now - daysAgo * DAY) };
    const { version } = await service.saveSwatch(id, { name, ...body(chip), ...castAt }, now);
    if (!measured) continue;
    const { colour } = await service.readSwatch(id, now);
    const read = { colour, by: 'reader', at: Math.round(now - (defined(daysAgo) - 4) * DAY) } as const;
    await service.saveSwatch(id, { name, ...body(chip), ...castAt, measured: read, version }, now);
  }
  return keys;
}

/** A mix of the demo with the keys of its materials. */
function recipe({ lines, doses = [], ...mix }: DemoMix, materials: Record<string, string>, version: number): MixInput {
  return {
    by: 'volume',
    binderClass: 'portland',
    moistCuringDays: 7,
    ...mix,
    lines: lines.map(([key, parts]) => ({ materialId: defined(materials[key]), parts })),
    doses: doses.map(([key, amount]) => ({ materialId: defined(materials[key]), amount })),
    version,
  };
}

const tintedBy = ({ parts, ...colouring }: DemoColouring, { tints: ids }: Keys) => ({
  ...colouring,
  parts: parts.map(([tint, share]) => ({ tint: defined(ids[tint]), share })),
});

/** A poured mix is changed: it gets its next version. */
async function revise(app: Server, keys: Keys, say: Speaker): Promise<void> {
  const id = defined(keys.mixes[nextVersion.mix]);
  const { version } = await app.get(MixesService).one(id);
  const revised = { ...inWords(defined(mixes[nextVersion.mix]), say), doses: nextVersion.doses };
  await app.get(MixesService).save(id, recipe(revised, keys.materials, version));
}

async function stock(app: Server, materials: Record<string, string>, now: number): Promise<void> {
  for (const [key, bought, left, price, daysAgo] of lots) {
    await app.get(MaterialsService).saveLot(uuid(), {
      materialId: defined(materials[key]),
      bought: bought * 1000,
      left: left * 1000,
      price,
      boughtAt: Math.round(now - daysAgo * DAY),
      version: 0,
    });
  }
}

async function tryTiles(app: Server, { mixes: ids }: Keys, say: Speaker, now: number): Promise<void> {
  for (const { mix, daysAgo, ...tile } of inWords(tiles, say))
    await app
      .get(TilesService)
      .keep(uuid(), { ...tile, mixId: defined(ids[mix]), at: Math.round(now - daysAgo * DAY) });
}

async function pourAndFollow(
  app: Server,
  keys: Keys & { readonly lines: readonly string[] },
  { daysAgo, mix, items, place, cover, bare, colouring, lines = [], trial }: DemoPour,
  personId: string,
  now: number,
  random: () => number,
): Promise<void> {
  const pours = app.get(PoursService);
  const casts = app.get(CastsService);
  const records = app.get(CastRecordsService);
  const id = uuid();
  const pouredAt = Math.round(now - daysAgo * DAY);
  const { temperature } = ambientIn('shed', pouredAt);
  const tinted = colouring && tintedBy(colouring, keys);
  const chosen = items.map(([mould, count], i) => {
    const orderLine = keys.lines[lines[i] ?? -1];
    const colouringOf = tinted ? { colouring: tinted } : {};
    return { mouldId: defined(keys.moulds[mould]), count, ...colouringOf, ...(orderLine && { orderLine }) };
  });
  const flexible = items.every(([mould]) => defined(moulds[mould]).flexibility === 'flexible');
  const input = {
    items: chosen,
    mixId: defined(keys.mixes[mix]),
    grade: defined(mixes[mix]).grade as Grade,
    spare: 0.05,
    moisture: {},
    scoopId: keys.scoop,
    step: 0.25 as const,
    temperature,
    release: flexible ? 'none' : 'paste wax',
    cover,
    place,
    ...(trial && { trialId: keys.trial }),
    version: 0,
  };
  // As it was planned then: its cement was as old as it was at that time.
  const { parts } = await pours.save(id, input, pouredAt);
  const { plan } = defined(parts[0]);
  const planned = plannedLog(plan, calculateSheet(plan));
  const log = { ...planned, tap: planned.tap * (0.97 + 0.08 * random()), leftover: Math.round(40 + 160 * random()) };
  const made = items.flatMap(([, count], item) => Array.from({ length: count }, () => ({ id: uuid(), item })));
  await pours.finish(id, { logs: [log], casts: made, pouredAt }, personId, now);
  const { rows: all } = await casts.page({ pour: id, order: 'oldest', size: MOST_ON_PAGE });
  for (const item of chosen) {
    const alike = all.filter(({ mouldId }) => mouldId === item.mouldId);
    for (const [castId, events] of livesOf(alike, now, random, bare)) {
      await records.recordAll(castId, events.map(keyed), personId, now);
    }
  }
}
