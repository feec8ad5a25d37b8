const pail = { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 };
const pot = {
  outer: pail,
  cores: [
    {
      name: 'The core',
      bottom: 18,
      solid: { kind: 'round-frustum', bottomDiameter: 124, topDiameter: 160, height: 162 },
    },
  ],
  inserts: [
    {
      name: 'The drain plug',
      bottom: 0,
      solid: { kind: 'round-frustum', bottomDiameter: 19, topDiameter: 19, height: 18 },
    },
  ],
};
const tub = (name: string, bottomDiameter: number, topDiameter: number, height: number) => ({
  name,
  inside: { ...pail, bottomDiameter, topDiameter, height },
  wall: 2,
});

/** An example of each mould question, shown in the API's document and answered by its tests. */
export const examples = {
  cavity: { shape: pot, flexibility: 'rigid', piece: 'pot', density: 2.15, largestGrain: 4 },
  solid: { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 },
  shell: {
    form: {
      kind: 'rect-frustum',
      bottomLength: 350,
      bottomWidth: 250,
      topLength: 350,
      topWidth: 250,
      height: 200,
      cornerRadius: 0,
    },
    side: 'over',
    thicknesses: [35, 40, 45],
    density: 1.4,
  },
  fill: { shape: pot, heights: [60, 100], volumes: [500], layers: [0.25, 0.25, 0.5] },
  ballast: { shape: pot, density: 2.15, coreMass: 120, lifts: 3 },
  measured: { by: 'water', mass: 2035 },
  pairs: { tubs: [tub('Ten-litre pail', 220, 260, 240), tub('Bulb tub', 180, 220, 200)], wall: 18, base: 25 },
  grain: { grain: 10, gap: 18, meshOpening: 12 },
  level: { length: 500, slope: 1 },
  meshCut: { piece: 'slab', length: 450, width: 300, cover: 12 },
  panelBox: { length: 400, width: 300, thickness: 25 },
  leaf: { kind: 'leaf', area: 90000, middle: 20, edge: 12, rise: 60 },
  release: { material: 'rigid-plastic' },
} as const;
