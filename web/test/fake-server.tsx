import type { ReactNode } from 'react';
import { english } from '@dewpot/locales/testing';
import { finderOf, handbookMaterials } from '@dewpot/core/materials';
import { mixLessonsOf } from '@dewpot/core/planning';
import { knownColours } from '@dewpot/core/tints';
import type {
  AmbientView,
  MaterialView,
  MixView,
  MouldView,
  PastPoursView,
  PourRow,
  PourView,
  Problem,
  StoreView,
  SwatchView,
  TintsView,
  TintView,
} from '@dewpot/contract';
import { QueryClientProvider, type QueryClient } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import type { Palette } from '../src/api/tints';
import { Reads } from '../src/ui/say';
import { openClient } from './open-client';
import { cast, HOUR, NOW, potShape, session } from './stand-ins';

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

const materials: MaterialView[] = handbookMaterials.map(({ key, name, ...rest }) => ({
  ...rest,
  name: english(name),
  id: key,
  version: 1,
}));

export const store: StoreView = {
  materials,
  lots: [
    {
      id: 'lot',
      materialId: 'grey-cement',
      bought: 25000,
      left: 20000,
      price: 7.5,
      boughtAt: NOW - 900 * HOUR,
      version: 1,
    },
  ],
  scoops: [{ id: 'can', name: 'the bean can', volume: 400, version: 1 }],
  stock: [],
};

export const mould: MouldView = {
  id: 'm',
  version: 3,
  name: 'Nested pot',
  flexibility: 'rigid',
  piece: 'pot',
  shape: potShape,
  copies: [
    { id: 'c1', mark: 'A', cycles: 4, condition: 'good', note: '', retired: false },
    { id: 'c2', mark: 'B', cycles: 3, condition: 'good', note: '', retired: false },
    { id: 'c3', mark: 'C', cycles: 3, condition: 'good', note: '', retired: false },
  ],
  pictures: [],
  cycles: 10,
};

export const mix: MixView = {
  id: 'x',
  version: 2,
  name: 'Garden grey',
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
  packed: false,
  binderClass: 'portland',
  moistCuringDays: 7,
  colour: '#b3ada1',
  lines: [
    { materialId: 'grey-cement', parts: 1 },
    { materialId: 'sharp-sand', parts: 2.5 },
  ],
  revision: 1,
  used: false,
};

const chalk = { binderId: 'white-cement', sandId: 'fine-sand' };

export const brick: TintView = {
  id: 'brick',
  version: 3,
  name: 'Old brick',
  base: chalk,
  doses: [{ materialId: 'red-oxide', amount: 0.02 }],
  revision: 1,
  used: true,
};
export const straw: TintView = {
  ...brick,
  id: 'straw',
  name: 'Straw',
  doses: [{ materialId: 'yellow-oxide', amount: 0.01 }],
  used: false,
};

/** A chip of two per cent of red, cast a month before. */
export const redChip: SwatchView = {
  id: 'chip',
  version: 1,
  name: 'Red 2 %',
  base: chalk,
  doses: [{ materialId: 'red-oxide', amount: 0.02 }],
  castAt: NOW - 700 * HOUR,
};

/** What the screens make of store, tints and chips. */
export function paletteOf(over: Partial<TintsView> = {}): Palette {
  const find = finderOf(materials);
  const swatches = over.swatches ?? [];
  return { tints: [brick, straw], ...over, swatches, store, find, colours: knownColours(swatches, find) };
}
export const palette = paletteOf();

const ambient: AmbientView = {
  basis: 'measured',
  station: 'A station',
  now: { at: NOW, temperature: 18, humidity: 0.6, wind: 5 },
  past: Array.from({ length: 100 }, (_, i) => ({
    at: NOW - (100 - i) * 3 * HOUR,
    temperature: 18,
    humidity: 0.6,
    wind: 5,
  })),
  ahead: Array.from({ length: 60 }, (_, i) => ({ at: NOW + i * HOUR, temperature: 18, humidity: 0.6, wind: 5 })),
};

/**
 * What the stand-in for the server holds, by path; a function answers again each time. Of moulds, mixes, pours, tints and materials all that there
 * are, of `casts` those on the shelf, and of `record` all: they are answered page by page too.
 */
export type Answers = Record<string, unknown>;

/** A list as one page, of the rows that have the words asked for. */
const asPage = (rows: readonly object[]) => (_: unknown, query: URLSearchParams) => {
  const found = rows.filter((row) =>
    JSON.stringify(row)
      .toLowerCase()
      .includes(query.get('q')?.toLowerCase() ?? ''),
  );
  return { rows: found, count: found.length, before: null, after: null };
};

const pourRow = ({ id, number, status, parts, pouredAt }: PourView): PourRow => ({
  ...{ id, number, status },
  pieces: parts.flatMap(({ plan, colour }) =>
    plan.items.map(({ mouldId, name, count }) => ({ mouldId, name, count, colour })),
  ),
  mixes: parts.map(({ mixName }) => mixName),
  ...(pouredAt !== undefined && { pouredAt }),
});

/** What is held, under the paths by which the server answers it. */
function byPath({ moulds, mixes, tints, materials: kept, pours, casts, record, ...rest }: Answers): Answers {
  const all = pours as readonly PourView[];
  const done = all.filter(({ status }) => status === 'finished');
  const list = (rows: unknown) => (Array.isArray(rows) ? asPage(rows as object[]) : rows);
  return {
    ...{ 'moulds/all': moulds, moulds: list(moulds), 'mixes/all': mixes, mixes: list(mixes) },
    ...{ 'tints/all': tints, tints: list((tints as TintsView).tints) },
    ...{ store: kept, materials: list((kept as StoreView).materials) },
    ...{ 'casts/shelf': casts, casts: list(record) },
    ...Object.fromEntries(all.map((pour) => [`pours/${pour.id}`, pour])),
    pours: asPage(all.map(pourRow)),
    'pours/past': pastOf(done),
    ...rest,
  };
}

const pastOf = (done: readonly PourView[]): PastPoursView => ({
  lessons: done.flatMap(({ parts }) => mixLessonsOf(parts)),
  runs: done.flatMap(({ lessons }) => lessons ?? []),
  ...(done[0] && { last: done[0].input }),
  measured: done.flatMap(({ input: { mixId, measuring } }) => (measuring ? [{ mixId, measuring }] : [])),
});

/** What a plan is told of where nothing was poured. */
export const noPast: PastPoursView = { lessons: [], runs: [], measured: [] };

const held: Answers = {
  session,
  ambient,
  materials: store,
  tints: { tints: [brick, straw], swatches: [] } as TintsView,
  moulds: [mould],
  mixes: [mix],
  pours: [] as PourView[],
  places: [
    {
      id: 'bench',
      name: 'the bench',
      kind: 'shed',
      source: 'logger',
      version: 1,
      now: { ...ambient.now },
      lastRead: NOW,
    },
  ],
  casts: [cast('1a'), cast('1b')],
  record: [cast('1a'), cast('1b'), cast('2a', { stage: 'finished' })],
  tiles: [],
  overrides: { seen: [], open: { ease: 1, records: 0 }, film: { ease: 1, records: 0 } },
  people: [{ id: 'p', name: 'Ada', email: 'ada@example.org', role: 'owner' }],
  invitations: [],
  mails: asPage([]),
  webhooks: [],
  'photos/room': { photos: 3, bytes: 3 * 2 ** 20, most: 2000 * 2 ** 20 },
  'archive/outline': { casts: 2, photos: 1, bytes: 3 * 2 ** 20 },
  'session/workshops': [{ id: session.workshop.id, name: session.workshop.name, role: 'owner', current: true }],
  'account/recovery': { left: 0 },
  'account/passkeys': [],
  tubs: [],
  'findings-aside': [],
  door: { demo: true },
};

/** A refusal as the server sends it. */
export class Refusal {
  constructor(readonly problem: Omit<Problem, 'type'>) {}
}

/** Puts a stand-in for the server behind `fetch`; answers what was sent to it. */
export function fakeServer(over: Answers = {}): Sent[] {
  const sent: Sent[] = [];
  const answers = byPath({ ...held, ...over });
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const path = url.replace('/api/', '');
    const method = init.method ?? 'GET';
    const body = typeof init.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined;
    if (method !== 'GET') sent.push({ method, path, body });
    const key = method === 'GET' ? path : `${method} ${path.split('/')[0]}`;
    const given: unknown = answers[key] ?? answers[key.replace(/\?.*$/, '')] ?? body;
    const answer: unknown = typeof given === 'function' ? given(body, new URLSearchParams(path.split('?')[1])) : given;
    if (answer instanceof Refusal) {
      const { problem } = answer;
      return new Response(JSON.stringify({ type: 'about:blank', ...problem }), {
        status: problem.status,
        headers: { 'Content-Type': 'application/problem+json' },
      });
    }
    return answer === undefined ? new Response(null, { status: 204 }) : Response.json(answer);
  });
  return sent;
}

/** Renders a screen at an address, below a signed-in session. Addresses it leads to are shown as text. `prepare`: what the page remembers. */
export function renderScreen(
  element: ReactNode,
  at = '/here',
  path = '/here',
  who = session,
  prepare: (client: QueryClient) => void = () => undefined,
) {
  const client = openClient();
  client.setQueryData(['session'], who);
  prepare(client);
  const router = createMemoryRouter(
    [
      { path, element },
      { path: '*', Component: () => <p>elsewhere</p> },
    ],
    { initialEntries: [at] },
  );
  render(
    <QueryClientProvider client={client}>
      <Reads>
        <RouterProvider router={router} />
      </Reads>
    </QueryClientProvider>,
  );
  return router;
}
