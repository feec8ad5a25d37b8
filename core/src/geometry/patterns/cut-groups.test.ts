import { describe, expect, it } from 'vitest';
import { work } from '../../testing/worked-patterns.js';
import { laidOutline, laySheets } from '../cutting/index.js';
import { writeDxf, writeSvg } from '../exports/index.js';
import { readDrawing } from '../meshes/index.js';
import { outlineArea, outlineBox, type PlanPoint } from '../solids/index.js';
import { cutGroups, lengthsOf, outlinesOf, sheetsDrawing } from './index.js';

const box = () => work({ kind: 'box', length: 300, width: 200, height: 60, board: 18, corner: 'lapped', bottom: 'under' }); // prettier-ignore

describe('parts', () => {
  it('of a box are cut from sticks where their grain runs along, the bottom from a sheet', () => {
    const groups = cutGroups(box().parts);
    expect(groups.map(({ key, width }) => [key, width])).toEqual([['stick 18', 60], ['sheet 18', 236]]); // prettier-ignore
    expect(lengthsOf(groups[0]!).map(({ length, count }) => [length, count])).toEqual([[336, 2], [200, 2]]); // prettier-ignore
  });

  it('are cut from sheets all, where that is wanted, and then keep to their grain', () => {
    const [all, ...more] = cutGroups(box().parts, true);
    expect(more).toEqual([]);
    expect(outlinesOf(all!).map(({ grain }) => grain)).toEqual([true, true, false]);
  });

  it('that are cast are cut from nothing', () => {
    const house = work({ kind: 'panel-box', length: 400, width: 300, height: 250, panel: 25, corner: 'covered' });
    expect(cutGroups(house.parts.filter(({ stuff }) => stuff === 'panel'))).toEqual([]);
  });
});

it('sheets that were laid are drawn so that our own readers find every part again', () => {
  const [group] = cutGroups(work({ kind: 'solid', which: 'cuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred' }).parts); // prettier-ignore
  const wanted = outlinesOf(group!);
  const sheets = [{ key: 'ply', length: 300, width: 200, count: 4 }];
  const laid = laySheets(wanted, sheets, { kerf: 3, saw: false, seed: 1, seconds: 9, clock: () => 0, tries: 2 })!;
  const parts = laid.sheets.flatMap(({ placed }) => placed.map((one) => laidOutline(wanted.find(({ key }) => key === one.key)!.outline, one))); // prettier-ignore
  const sizes = (outlines: readonly (readonly PlanPoint[])[]) =>
    outlines
      .map((one) => [(Math.abs(outlineArea(one)) / 10).toFixed(0), outlineBox(one).width.toFixed(1)].join(' '))
      .sort();
  const edges = laid.sheets.map((): PlanPoint[] => [[0, 0], [300, 0], [300, 200], [0, 200]]); // prettier-ignore
  const drawing = sheetsDrawing(laid.sheets, wanted, sheets);
  for (const text of [writeSvg(drawing), writeDxf(drawing)])
    expect(sizes(readDrawing(text).outlines)).toEqual(sizes([...edges, ...parts]));
});
