/** An example of each question about patterns, shown in the API's document and answered by its tests. */
export const patternExamples = {
  parts: {
    pattern: { kind: 'strip', line: { shape: 'spiral', start: 30, pitch: 60, turns: 3 }, channel: 40, height: 50, strip: 1, sheet: 1000, overlap: 40 },
    density: 2.2,
    liftLimit: 20_000,
  },
  assembled: {
    pattern: { kind: 'solid', which: 'cuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred' },
  },
  sticks: {
    pieces: [{ id: 'side', length: 636, count: 4 }, { id: 'end', length: 400, count: 4 }],
    sticks: [{ id: 'board', length: 2400, count: 10 }],
    kerf: 3,
  },
  sheets: {
    parts: [
      { id: 'gable', outline: [[0, 0], [200, 0], [200, 120], [100, 200], [0, 120]], count: 2 },
      { id: 'side', outline: [[0, 0], [300, 0], [300, 120], [0, 120]], count: 2, grain: true },
    ],
    sheets: [{ id: 'ply', length: 800, width: 400, count: 3, price: 9.5 }],
    kerf: 3,
  },
}; // prettier-ignore
