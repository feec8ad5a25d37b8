import { PatternsService, type createServer } from '@dewpot/server';
import type { PatternSheetInput } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { v7 as uuid } from 'uuid';
import { inWords } from './in-words.js';

type Server = Awaited<ReturnType<typeof createServer>>;

/** A lamp of card, a house for the toads, a spiral for the herb bed, and the gap beside the lock that one diagonal is wrong of. */
const patterns: readonly Omit<PatternSheetInput, 'moulds' | 'version'>[] = [
  {
    name: 'demo.canalLamp',
    cut: true,
    pattern: { kind: 'solid', which: 'cuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred', holder: { diameter: 40, depth: 45 } },
  },
  {
    name: 'demo.toadHouse',
    cut: false,
    pattern: {
      kind: 'house',
      width: 260,
      depth: 320,
      eaves: 150,
      pitch: 38,
      panel: 18,
      overhang: 25,
      roof: 'planted',
      roofThickness: 12,
      soil: 30,
      base: 18,
      sheet: 6,
      cover: 6,
      openings: [
        { wall: 'front', x: 95, y: 0, width: 70, height: 90 },
        { wall: 'left', x: 110, y: 60, width: 60, height: 45 },
      ],
    },
  },
  {
    name: 'demo.herbSpiral',
    cut: false,
    pattern: { kind: 'strip', line: { shape: 'spiral', start: 110, pitch: 150, turns: 2 }, channel: 60, height: 50, strip: 1.5, sheet: 1200, overlap: 40 },
  },
  {
    name: 'demo.lockGap',
    cut: false,
    pattern: {
      kind: 'gap',
      sides: [820, 529, 625, 663, 485],
      diagonals: [
        { from: 0, to: 2, length: 1087 },
        { from: 0, to: 3, length: 944 },
        { from: 1, to: 3, length: 960 },
        { from: 1, to: 4, length: 1051 },
        { from: 2, to: 4, length: 1081 },
      ],
      joint: 10,
      thickness: 45,
      board: 18,
    },
  },
]; // prettier-ignore

/** Draws the demo's patterns. */
export async function drawPatterns(app: Server, say: Speaker): Promise<void> {
  for (const pattern of inWords(patterns, say))
    await app.get(PatternsService).save(uuid(), { ...pattern, moulds: [], version: 0 });
}
