import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { examples } from '../src/script-api/mould-examples.js';
import { answersItsExamples, newWorkshop, potInput, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const box = { kind: 'rect-frustum', bottomLength: 400, bottomWidth: 200, topLength: 420, topWidth: 220, height: 180 };
const square = [
  [0, 0],
  [120, 0],
  [120, 90],
  [0, 90],
];

/** One of every kind, as it is sent, with what it must hold, mL. */
const families: [string, object, number][] = [
  ['a pail', { outer: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 } }, 4599.29],
  ['a box, its corners unsaid', { outer: box }, 15504],
  ['a hexagon', { outer: examples.solid }, 4949.3],
  ['a bowl', { outer: { kind: 'cap', rimDiameter: 330, depth: 90 } }, 4230.61],
  ['an egg', { outer: { kind: 'half-ellipsoid', rimDiameter: 240, depth: 150 } }, 4523.89],
  [
    'a turned profile',
    {
      outer: {
        kind: 'revolution',
        points: [
          { height: 0, radius: 50 },
          { height: 100, radius: 50 },
        ],
      },
    },
    785.4,
  ],
  ['an outline', { outer: { kind: 'prism', outline: square, depth: 50 } }, 540],
  ['a ring', { outer: { kind: 'ring', innerDiameter: 260, width: 45, depth: 40 } }, 1724.73],
  ['a bow', { outer: { kind: 'arc', radius: 400, angle: 60, width: 90, depth: 60 } }, 2261.95],
  ['a spiral', { outer: { kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 20, depth: 10 } }, 454.24],
  ['equal faces', { outer: { kind: 'polyhedron', which: 'cube', edge: 100, open: 'square' } }, 1000],
  ['a leaf', { outer: examples.leaf }, 1440],
  ['what it took', { outer: { kind: 'known-volume', volume: 1200, length: 160, width: 120, height: 90 } }, 1200],
  [
    'a mesh',
    {
      outer: {
        kind: 'mesh',
        height: 50,
        side: 21000,
        curve: [0, 270, 540],
        slices: [{ z: 25, loops: [square] }],
      },
    },
    540,
  ],
  ['a shell', { outer: box, pressed: { side: 'over', thickness: 40 } }, 0],
  [
    'a slab with pipes',
    {
      outer: { ...box, bottomLength: 500, topLength: 500, bottomWidth: 300, topWidth: 300, height: 60 },
      inserts: [
        {
          name: 'A pipe',
          bottom: 15,
          solid: { kind: 'lying-pipe', diameter: 25, run: 500 },
          pattern: { kind: 'row', count: 1, step: 10 },
        },
      ],
    },
    8754.56,
  ],
];

describe('a mould of every family', () => {
  it.each(families)('%s comes back as it was sent, and holds what it must', async (_, given, volume) => {
    const shape = { cores: [], inserts: [], ...given };
    const id = uuid();
    const saved = await agent
      .put(`/api/moulds/${id}`)
      .send({ ...potInput(), shape })
      .expect(200);
    expect(saved.body.shape).toMatchObject(shape);
    const again = await agent.get('/api/moulds/all').expect(200);
    expect((again.body as { id: string; shape: object }[]).find((one) => one.id === id)!.shape).toEqual(
      saved.body.shape,
    );
    const told = await request(harness.app.getHttpServer())
      .post('/api/calculate/moulds/fill')
      .send({ shape, layers: [0.5, 0.5] })
      .expect(200);
    if (volume > 0) expect(told.body.volume / volume).toBeCloseTo(1, 4);
    expect(told.body.layers).toHaveLength(2);
  });

  it('keeps its material, its release, what must be made again, its notes', async () => {
    const kept = {
      material: 'sand',
      release: 'film',
      once: true,
      remake: 'The bed of sand',
      notes: 'Damp it first.',
      sleeve: false,
      coreMass: 250,
      meshOpening: 12,
    };
    const { body } = await agent
      .put(`/api/moulds/${uuid()}`)
      .send({ ...potInput(), ...kept })
      .expect(200);
    expect(body).toMatchObject({ ...kept, cycles: 0, pictures: [] });
  });

  it('is refused by field where it cannot be cast, and nothing is kept', async () => {
    const wrong: [object, string][] = [
      [{ outer: { kind: 'polyhedron', which: 'cube', edge: 80 } }, 'outer.open'],
      [{ outer: { kind: 'prism', outline: [...square, [60, -40]], depth: 50 } }, 'outer.outline'],
      [
        {
          outer: {
            kind: 'prism',
            outline: [
              [0, 0],
              ['x', 3],
              [9, 9],
            ],
            depth: 50,
          },
        },
        'shape.outer.outline',
      ],
      [{ outer: { kind: 'prism', outline: square, depth: 100, draft: 45 } }, 'outer.draft'],
      [{ outer: box, pressed: { side: 'inside', thickness: 120 } }, 'pressed.thickness'],
      [{ outer: { kind: 'mesh', height: 50, side: 1, curve: [0, 9, 3], slices: [] } }, 'outer.curve'],
      [{ outer: { kind: 'known-volume', volume: 9e6, length: 100, width: 100, height: 100 } }, 'outer.volume'],
    ];
    for (const [given, field] of wrong) {
      const id = uuid();
      const shape = { cores: [], inserts: [], ...given };
      const { body } = await agent
        .put(`/api/moulds/${id}`)
        .send({ ...potInput(), shape })
        .expect(422);
      expect(
        (body.errors as { field: string }[]).map((one) => one.field),
        field,
      ).toContain(field);
      const all = (await agent.get('/api/moulds/all')).body as { id: string }[];
      expect(all.some((one) => one.id === id)).toBe(false);
    }
  });

  it('has copies with their condition; a retired one keeps its count', async () => {
    const id = uuid();
    const [a, b] = [uuid(), uuid()];
    const copies = [
      { id: a, mark: 'A', condition: 'leaks', note: 'Seam at the back', washedAt: 1_700_000_000_000 },
      { id: b, mark: 'B', retired: true },
    ];
    const { body } = await agent
      .put(`/api/moulds/${id}`)
      .send({ ...potInput(), copies })
      .expect(200);
    expect(body.copies).toMatchObject([
      { ...copies[0], retired: false, cycles: 0 },
      { id: b, mark: 'B', condition: 'good', note: '', retired: true },
    ]);
  });
});

describe('mould questions of scripts', () => {
  const paths: [string, object][] = [
    ['cavity', examples.cavity],
    ['solid', examples.solid],
    ['shell', examples.shell],
    ['fill', examples.fill],
    ['faces', { shape: examples.fill.shape }],
    ['ballast', examples.ballast],
    ['measured', examples.measured],
    ['pairs', examples.pairs],
    ['grain', examples.grain],
    ['level', examples.level],
    ['mesh-cut', examples.meshCut],
    ['panel-box', examples.panelBox],
    ['bed-sand', examples.leaf],
    ['release', examples.release],
  ];
  const ask = (path: string, question: object) =>
    request(harness.app.getHttpServer()).post(`/api/calculate/moulds/${path}`).send(question);

  answersItsExamples('moulds', Object.fromEntries(paths), () => harness);

  it('with the figures of the handbook', async () => {
    const shells = (await ask('shell', examples.shell)).body.shells as {
      volume: { value: number };
      fiveMore: number;
    }[];
    expect(shells[2]!.volume.value / shells[0]!.volume.value).toBeCloseTo(1.36, 2);
    expect(shells[0]!.fiveMore).toBeGreaterThan(0);
    expect((await ask('level', examples.level)).body.error.value).toBeCloseTo(8.7, 1);
    expect((await ask('fill', examples.fill)).body.volumes).toEqual([
      expect.closeTo(758.25, 1),
      expect.closeTo(1154.79, 1),
    ]);
    expect((await ask('ballast', examples.ballast)).body.whole.mass.value).toBeCloseTo(6654.6 - 120, 0);
    expect((await ask('grain', examples.grain)).body).toMatchObject({ passes: false });
    expect((await ask('pairs', { ...examples.pairs, wall: -1 }).expect(422)).body.errors[0].field).toBe('wall');
  });
});

describe('tubs', () => {
  it('are kept, edited and thrown away; a bowl is none', async () => {
    const id = uuid();
    const tub = { name: 'Ten-litre pail', inside: examples.pairs.tubs[0].inside, wall: 2, version: 0 };
    const saved = await agent.put(`/api/tubs/${id}`).send(tub).expect(200);
    expect(saved.body).toMatchObject({ id, name: tub.name, wall: 2, version: 1 });
    await agent
      .put(`/api/tubs/${id}`)
      .send({ ...tub, name: 'Pail', version: 1 })
      .expect(200);
    await agent
      .put(`/api/tubs/${id}`)
      .send({ ...tub, name: 'Bucket', version: 1 })
      .expect(409);
    expect((await agent.get('/api/tubs')).body).toHaveLength(1);
    const bowl = { ...tub, inside: { kind: 'cap', rimDiameter: 300, depth: 90 } };
    expect((await agent.put(`/api/tubs/${uuid()}`).send(bowl).expect(422)).body.errors[0].field).toBe('inside.kind');
    await agent.delete(`/api/tubs/${id}`).expect(204);
    expect((await agent.get('/api/tubs')).body).toEqual([]);
  });
});
