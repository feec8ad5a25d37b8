import { msg, type Message } from '@dewpot/core/units';
import type { CutPattern } from '@dewpot/core/patterns';

/** What one begins from, by its kind: sizes that go together. */
export const firstPatterns: { readonly [K in CutPattern['kind']]: Extract<CutPattern, { kind: K }> } = {
  solid: { kind: 'solid', which: 'cuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred' },
  box: { kind: 'box', length: 300, width: 200, height: 60, board: 18, corner: 'lapped', bottom: 'under', screw: 4 },
  'panel-box': { kind: 'panel-box', length: 400, width: 300, height: 250, panel: 25, corner: 'covered' },
  house: {
    kind: 'house',
    width: 240,
    depth: 300,
    eaves: 160,
    pitch: 40,
    panel: 15,
    overhang: 25,
    roof: 'wood',
    roofThickness: 9,
    base: 18,
    sheet: 5,
    cover: 6,
    openings: [{ wall: 'front', x: 90, y: 0, width: 60, height: 110 }],
  },
  strip: {
    kind: 'strip',
    line: { shape: 'ring', diameter: 400 },
    channel: 60,
    height: 50,
    strip: 1,
    sheet: 1000,
    overlap: 40,
  },
  gap: {
    kind: 'gap',
    sides: [400, 300, 380, 290],
    diagonals: [{ from: 0, to: 2, length: 500 }],
    joint: 10,
    thickness: 40,
    board: 18,
  },
  bed: {
    kind: 'bed',
    length: 1200,
    width: 800,
    panelHeight: 200,
    panelLength: 800,
    panel: 40,
    draft: 3,
    levels: 2,
    rod: 12,
  },
  wood: { kind: 'wood', wood: 'disc', length: 180, thickness: 18 },
  inside: { kind: 'inside', piece: { what: 'mesh', length: 400, width: 300, slab: 40, cover: 12 } },
};

/** What each kind is called, and what it is for. */
export const kindWords: Readonly<Record<CutPattern['kind'], { readonly name: Message; readonly what: Message }>> = {
  solid: { name: msg('patterns.kindSolid'), what: msg('patterns.whatSolid') },
  box: { name: msg('patterns.kindBox'), what: msg('patterns.whatBox') },
  'panel-box': { name: msg('patterns.kindPanelBox'), what: msg('patterns.whatPanelBox') },
  house: { name: msg('patterns.kindHouse'), what: msg('patterns.whatHouse') },
  strip: { name: msg('patterns.kindStrip'), what: msg('patterns.whatStrip') },
  gap: { name: msg('patterns.kindGap'), what: msg('patterns.whatGap') },
  bed: { name: msg('patterns.kindBed'), what: msg('patterns.whatBed') },
  wood: { name: msg('patterns.kindWood'), what: msg('patterns.whatWood') },
  inside: { name: msg('patterns.kindInside'), what: msg('patterns.whatInside') },
};
