import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { english, speakerFor } from '@dewpot/locales/testing';
import type { MouldView, TubView } from '@dewpot/contract';
import { fakeServer, mould, renderScreen } from '../../test/fake-server';
import { mouldsCsv, mouldsJson, readMoulds } from './mould-files';
import { MouldsPage } from './moulds-page';
import { PairsPage } from './pairs-page';
import { startsIn } from './starts';

const starts = startsIn(speakerFor());

const of = (key: string, name: string, piece: MouldView['piece'] = 'slab'): MouldView => ({
  ...mould,
  id: key,
  name,
  piece,
  shape: starts.find((start) => start.key === key)!.shape,
  cycles: 0,
});
const three = [mould, of('trough', 'Long trough', 'trough'), of('bought', 'Small dish', 'dish')];

describe('which moulds', () => {
  it('none of them: says so, and offers all again', async () => {
    fakeServer({ moulds: three });
    renderScreen(<MouldsPage />, '/moulds?q=gargoyle&least=500', '/moulds');
    expect(await screen.findByText('No mould fits that.')).toBeVisible();
    expect(screen.getByRole('searchbox')).toHaveValue('gargoyle');
    expect(screen.getByLabelText('Holding at least')).toHaveValue('500 mL');
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
    await waitFor(() => expect(screen.getAllByRole('link', { name: /L$/ })).toHaveLength(3));
    expect(screen.getByRole('searchbox')).toHaveValue('');
  });
  it('are asked for in the address, words as the typing pauses', async () => {
    fakeServer({ moulds: three });
    const router = renderScreen(<MouldsPage />, '/moulds?after=x', '/moulds');
    await userEvent.type(await screen.findByRole('searchbox'), 'trough');
    await waitFor(() => expect(router.state.location.search).toBe('?q=trough'));
    expect(await screen.findByText('1 found')).toBeVisible();
    await userEvent.selectOptions(screen.getByLabelText('Order'), 'volume');
    await waitFor(() => expect(router.state.location.search).toBe('?q=trough&order=volume'));
  });
});

describe('moulds in a file', () => {
  it('go out as a table for a spreadsheet', () => {
    const [head, first] = mouldsCsv(three, speakerFor()).split('\r\n');
    expect(head).toContain('volume_mL');
    expect(first).toMatch(/^Nested pot,pot,rigid,round-frustum,20\d\d\.\d,200\.0,200\.0,180\.0,3,10,pot,A B C,/);
  });
  it('come back as they went out, under keys of their own', () => {
    const { moulds, wrong } = readMoulds(mouldsJson(three));
    expect(wrong).toEqual([]);
    expect(moulds.map(({ input }) => input.name)).toEqual(three.map(({ name }) => name));
    expect(moulds[1]!.input.shape).toMatchObject(JSON.parse(JSON.stringify(three[1]!.shape)) as object);
    expect(new Set(moulds.map(({ id }) => id)).size).toBe(3);
    expect(moulds[0]!.input.copies.map(({ mark }) => mark)).toEqual(['A', 'B', 'C']);
  });
  it('of version 1 come back as well', () => {
    const old = mouldsJson(three).replaceAll('"flexibility"', '"stuff"').replace('"version": 2', '"version": 1');
    expect(old).toContain('"stuff": "rigid"');
    const { moulds, wrong } = readMoulds(old);
    expect([wrong, moulds[0]!.input.flexibility]).toEqual([[], 'rigid']);
  });
  it.each([
    ['no JSON', '{hello', /no JSON/],
    ['another table', 'a,b\n1,2', /lacks the column “shape”/],
    ['a table whose shape is broken', 'name,wall,piece,shape\nOdd,rigid,pot,{', /Odd was left out/],
    ['something else', '{"format":"else"}', /holds no moulds/],
    ['a mould without a shape', '{"format":"dewpot-moulds","moulds":[{"name":"Odd"}]}', /Odd was left out/],
  ])('that holds %s is told of', (_, text, told) => {
    const { moulds, wrong } = readMoulds(text);
    expect(moulds).toEqual([]);
    expect(english(wrong).join()).toMatch(told);
  });
  it('come back from the table too', () => {
    const { moulds, wrong } = readMoulds(mouldsCsv(three, speakerFor()));
    expect(wrong).toEqual([]);
    expect(moulds.map(({ input }) => [input.name, input.piece, input.flexibility])).toEqual(
      three.map(({ name, piece, flexibility }) => [name, piece, flexibility]),
    );
    expect(moulds[1]!.input.shape).toMatchObject(JSON.parse(JSON.stringify(three[1]!.shape)) as object);
  });
  it('with one that cannot be cast leaves that one out and reads the rest', () => {
    const text = mouldsJson(three).replace('"bottomDiameter": 124', '"bottomDiameter": 900');
    const { moulds, wrong } = readMoulds(text);
    expect(moulds).toHaveLength(2);
    expect(english(wrong[0]!)).toMatch(/Nested pot was left out: The core is 900/);
  });
  it('are read by the screen and saved one by one', async () => {
    const sent = fakeServer({ moulds: [] });
    renderScreen(<MouldsPage />);
    const file = new File([mouldsJson(three)], 'moulds.json', { type: 'application/json' });
    await userEvent.upload(await screen.findByLabelText('A file of moulds'), file);
    await waitFor(() => expect(sent.filter(({ method }) => method === 'PUT')).toHaveLength(3));
  });
});

describe('tubs that nest', () => {
  const tub = (id: string, name: string, bottomDiameter: number, topDiameter: number): TubView => ({
    id,
    version: 1,
    name,
    wall: 2,
    inside: { kind: 'round-frustum', bottomDiameter, topDiameter, height: 180 },
  });
  it('are shown best first, and follow what is wanted', async () => {
    fakeServer({
      tubs: [tub('a', 'Bulb tub', 160, 200), tub('b', 'Bean tub', 116, 152), tub('c', 'Jam pail', 140, 180)],
    });
    renderScreen(<PairsPage />);
    const pairs = await screen.findByRole('region', { name: 'Pairs' });
    expect(within(pairs).getAllByRole('heading')[0]).toHaveTextContent('Bean tub in bulb tub');
    const wall = screen.getByLabelText('A wall of');
    await userEvent.clear(wall);
    await userEvent.type(wall, '8 mm{Enter}');
    expect(within(pairs).getAllByRole('heading')[0]).toHaveTextContent(/Jam pail in bulb tub|Bean tub in jam pail/);
    await userEvent.clear(wall);
    await userEvent.type(wall, '0{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('The required wall is 0 mm.');
  });
  it('a tub measured outside is kept by its inside', async () => {
    const sent = fakeServer();
    renderScreen(<PairsPage />);
    await userEvent.click(await screen.findByText('One more tub'));
    await userEvent.type(screen.getByLabelText('What it is called'), 'Lidded crock');
    await userEvent.click(screen.getByText('Outside'));
    await userEvent.click(screen.getByRole('button', { name: 'Put it on record' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'PUT', body: { name: 'Lidded crock', wall: 2, inside: { height: 178 } } });
  });
});
