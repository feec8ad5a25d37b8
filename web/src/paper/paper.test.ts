import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { decodePDFRawStream, PDFDocument, type PDFArray, type PDFPage, type PDFRawStream } from 'pdf-lib';
import { describe, expect, it } from 'vitest';
import { speakerFor } from '@dewpot/locales/testing';
import { layInset, type Inset, type MouldShape } from '@dewpot/core/moulds';
import { lessonsFor, partsOf } from '@dewpot/core/planning';
import { workPattern } from '@dewpot/core/patterns';
import { alike, calculateSheet, placingsOf } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { mix, mould, palette } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { guidePaper } from './guide-paper';
import { labelPaper } from './label-paper';
import { patternPages, patternPaper } from './pattern-paper';
import { templatePaper } from './template-paper';
import { paperTiles } from './tiles';
import { linesOf, MM, papers } from './paper';
import { sheetPaper } from './sheet-paper';

const file = (weight: number) =>
  readFileSync(
    createRequire(import.meta.url).resolve(
      `@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`,
    ),
  );
const faces = { text: new Uint8Array(file(400)), bold: new Uint8Array(file(700)) };
const say = speakerFor();

function parts(count: number) {
  const { store, find, tints, colours } = palette;
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
    scoops: store.scoops,
    find,
    tints,
    colours,
    lots: [],
    lessons: (id) => lessonsFor(id, []),
    runs: [],
    workshop: session.workshop,
    now: NOW,
  }).map((part) => ({ ...part, sheet: calculateSheet(part.plan), placings: placingsOf(part.plan) }));
}

/** What is drawn on a page, as its operators. */
const drawn = (page: PDFPage): string =>
  (page.node.Contents() as PDFArray)
    .asArray()
    .map((ref) => Buffer.from(decodePDFRawStream(page.doc.context.lookup(ref) as PDFRawStream).decode()).toString('latin1'))
    .join('\n'); // prettier-ignore

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
    const told = { title: 'Pour 7', number: 7, address: 'http://127.0.0.1:8137/pours/7', layOut: ['the bucket'], ballast: ['On the core: 6.9 kg.'] }; // prettier-ignore
    const small = await sheetPaper(parts(2), told, { ...ways, paper: 'a4' });
    expect(await pages(small)).toEqual([[...papers.a4]]);
    const large = await pages(await sheetPaper(parts(2), told, { ...ways, paper: 'letter' }));
    expect(large[0]).toEqual([...papers.letter]);
    expect((await PDFDocument.load(small)).getTitle()).toBe('Pour 7');
    const buckets = await pages(await sheetPaper(parts(60), told, { ...ways, paper: 'a4' }));
    expect(buckets.length).toBeGreaterThanOrEqual(alike(parts(60)[0]!.sheet.bucketfuls).length);
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
        { paper: 'a4', faces, say },
      );
    expect(await pages(await made(14))).toHaveLength(1);
    expect(await pages(await made(15))).toHaveLength(2);
  });

  it('of a template shows the face where it goes onto one page, else the inset alone, over as many as it takes', async () => {
    const slab = (across: number): MouldShape => ({
      outer: { kind: 'round-frustum', bottomDiameter: across, topDiameter: across, height: 45 },
      cores: [],
      inserts: [],
    });
    const square = (half: number): Inset => ({ name: '12', face: 'mould', thickness: 3, loops: [[[-half, -half], [half, -half], [half, half], [-half, half]]] }); // prettier-ignore
    const made = (across: number, half: number, paper: 'a4' | 'letter' = 'a4') => {
      const inset = square(half);
      return templatePaper({ inset, laid: layInset(slab(across), inset), mould: 'A slab' }, { paper, faces, say });
    };
    expect(await pages(await made(160, 40))).toEqual([[...papers.a4]]);
    expect(await pages(await made(160, 40, 'letter'))).toEqual([[...papers.letter]]);
    expect(await pages(await made(400, 60))).toHaveLength(1);
    expect(await pages(await made(600, 150))).toHaveLength(4);
  });

  it('of a template in pages leaves nothing out, and every page laps over the next', () => {
    const box = { x0: -200, y0: -170, x1: 230, y1: 150 };
    const all = paperTiles(box, 180, 200);
    expect(all).toHaveLength(6);
    expect(Math.min(...all.map(({ x0 }) => x0))).toBeLessThanOrEqual(box.x0);
    expect(Math.max(...all.map(({ x1 }) => x1))).toBeGreaterThanOrEqual(box.x1);
    expect(Math.min(...all.map(({ y0 }) => y0))).toBeLessThanOrEqual(box.y0);
    expect(all[0]!.y1).toBe(box.y1);
    expect(all[1]!.x0).toBe(all[0]!.x1 - 10);
    expect(all[3]!.y1).toBe(all[0]!.y0 + 10);
  });

  const shade = workPattern({ kind: 'panel-box', length: 700, width: 300, height: 250, panel: 20, corner: 'covered' }, { density: 2, liftLimit: 25_000 }); // prettier-ignore

  it('of a pattern puts what goes onto one page side by side, and the rest on pages that lap, all of it and none twice', () => {
    const small = workPattern({ kind: 'solid', which: 'cube', edge: 60, open: 'square', board: 3, joint: 'mitred' }, { density: 2, liftLimit: 25_000 }); // prettier-ignore
    const parts = [...shade.parts, ...small.parts];
    const all = patternPages(parts, 186, 240);
    expect(all.flat().filter(({ part }) => part === shade.parts[0])).toHaveLength(8);
    expect(all.flat().filter(({ part }) => part === small.parts[0])).toHaveLength(1);
    for (const shown of all)
      for (const { x, y, stretch } of shown) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x + stretch.x1 - stretch.x0).toBeLessThanOrEqual(186 + 1e-9);
        expect(y + stretch.y1 - stretch.y0).toBeLessThanOrEqual(240 + 1e-9);
      }
  });

  it.each(['a4', 'letter'] as const)('of a pattern on %s has a bar of 100.0 mm on each page', async (paper) => {
    const file = await PDFDocument.load(await patternPaper({ name: 'Path box', parts: shade.parts }, { paper, faces, say })); // prettier-ignore
    expect(file.getPageCount()).toBeGreaterThan(4);
    for (const page of file.getPages()) {
      const bars = [...drawn(page).matchAll(/([\d.]+) ([\d.]+) m\n([\d.]+) \2 l\nS/g)].map(([, from, , to]) => (Number(to) - Number(from)) / MM); // prettier-ignore
      expect(Math.max(...bars)).toBeCloseTo(100, 3);
    }
  });
});

it('a guide is a page of contents, and pages for each chapter', async () => {
  const section = { title: 'The work', lines: Array.from({ length: 80 }, (_, i) => `${i + 1}. Mix until no grain shows its own colour.`) };
  const chapter = (title: string) => ({ title, about: 'What it is about.', sections: [section] });
  const book = { title: 'A guide', chapters: [chapter('Moulds'), chapter('Mixes')] };
  const made = await PDFDocument.load(await guidePaper(book, { paper: 'a4', faces }));
  expect(made.getTitle()).toBe('A guide');
  expect(made.getPageCount()).toBe(1 + 2 * 2);
}); // prettier-ignore
