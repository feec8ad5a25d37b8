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
}; // prettier-ignore
