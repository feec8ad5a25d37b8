import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { PDFDocument } from 'pdf-lib';
import { describe, expect, it } from 'vitest';
import { formatQuantity, reckonSheet } from '@dewpot/core';
import { partsOf, type PourInput } from '@dewpot/contract';
import { mix, mould, palette } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { lessonsFor } from '../mixes';
import { labelPaper } from './label-paper';
import { linesOf, papers } from './paper';
import { sheetPaper } from './sheet-paper';

const file = (weight: number) =>
  readFileSync(
    createRequire(import.meta.url).resolve(
      `@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`,
    ),
  );
const faces = { text: new Uint8Array(file(400)), bold: new Uint8Array(file(700)) };
const say = (value: number, unit: 'g' | 'mL' | 'mm') => formatQuantity(value, unit, 'metric');

function parts(count: number) {
  const { stores, find, tints, colours } = palette;
  const input: PourInput = {
    items: [{ mouldId: 'm', count }],
    mixId: 'x',
    grade: 5,
    spare: 0.05,
    moisture: {},
    scoopId: 'can',
    step: 0.25,
    temperature: 18,
    version: 0,
  };
  return partsOf(input, {
    moulds: [mould],
    mixes: [mix],
    scoop: stores.scoops[0]!,
    find,
    tints,
    colours,
    lots: [],
    lessons: (id) => lessonsFor(id, []),
    runs: [],
    workshop: session.workshop,
    now: NOW,
  }).map((part) => ({ ...part, sheet: reckonSheet(part.plan) }));
}

const pages = async (bytes: Uint8Array) =>
  (await PDFDocument.load(bytes)).getPages().map((page) => [page.getWidth(), page.getHeight()]);

describe('paper', () => {
  it('breaks lines between words, and leaves a word that is too long whole', () => {
    const letters = (text: string) => text.length;
    expect(linesOf('one two three', 7, letters)).toEqual(['one two', 'three']);
    expect(linesOf('a considerable word', 6, letters)).toEqual(['a', 'considerable', 'word']);
    expect(linesOf('', 6, letters)).toEqual([]);
  });

  it('has the size that was asked for, and as many pages as the sheet takes', async () => {
    const ways = { faces, say };
    const small = await sheetPaper(parts(2), 'Pour 7', { ...ways, paper: 'a4' });
    expect(await pages(small)).toEqual([[...papers.a4]]);
    const large = await pages(await sheetPaper(parts(2), 'Pour 7', { ...ways, paper: 'letter' }));
    expect(large[0]).toEqual([...papers.letter]);
    expect((await PDFDocument.load(small)).getTitle()).toBe('Pour 7');
  });

  it('has fourteen labels a page, whatever a cast is called', async () => {
    const label = (i: number) => ({
      code: `${i}a`,
      mould: 'A mould with a name that is far too long for any label that one could print on a sheet of paper',
      mix: 'Ζάντα ½ − ⌀',
      pouredAt: NOW,
      address: `http://127.0.0.1:8137/casts/${i}`,
    });
    const made = (count: number) =>
      labelPaper(
        Array.from({ length: count }, (_, i) => label(i)),
        { paper: 'a4', faces },
      );
    expect(await pages(await made(14))).toHaveLength(1);
    expect(await pages(await made(15))).toHaveLength(2);
  });
});
