import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { quantity } from '@dewpot/core/units';
import { sheetsOf, sticksOf, type KeyedStock } from '@dewpot/core/cutting';
import { cutGroups, type CutGroup, type CutPart } from '@dewpot/core/patterns';
import { storeQuery } from '../api/materials';
import { CheckField } from '../ui/check-field';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';
import { SheetsGroup } from './laid-sheets';
import { SticksGroup } from './cut-sticks';

/** A saw cut, and sticks and sheets as they are usually sold, mm. Handbook 19. */
const USUAL_KERF = 3;
const USUAL_STICK = 2400;
const USUAL_SHEET = { length: 2440, width: 1220 };
const MANY = 50;

/** What the parts are cut from: sticks and sheets out of the store, else of a size that is typed; as few as can be. */
export function CuttingSlab({ name, parts }: { name: string; parts: readonly CutPart[] }) {
  const say = useSay();
  const { data: store } = useQuery(storeQuery);
  const [kerf, setKerf] = useState<number | undefined>(USUAL_KERF);
  const [saw, setSaw] = useState(false);
  const [fromSheets, setFromSheets] = useState(false);
  const groups = cutGroups(parts, fromSheets);
  if (groups.length === 0) return null;
  return (
    <section className="card-slab" aria-label={say('patterns.cutting')}>
      <h2 className="text-xl">{say('patterns.cutting')}</h2>
      <div className="mt-2 grid gap-x-4 gap-y-2 sm:grid-cols-[10rem_1fr]">
        <QuantityField label={say('patterns.kerf')} name="kerf" dimension="length" value={kerf} onChange={setKerf} />
        <div className="self-end">
          <CheckField label={say('patterns.onTableSaw')} on={saw} onChange={setSaw} />
          {cutGroups(parts).some(({ from }) => from === 'stick') && <CheckField label={say('patterns.allFromSheets')} on={fromSheets} onChange={setFromSheets} />}
        </div>
      </div>
      {groups.map((group) => (
        <Group key={group.key} name={name} group={group} kerf={kerf ?? NaN} saw={saw} stock={store?.stock ?? []} />
      ))}
    </section>
  );
} // prettier-ignore

/** The parts of one thickness, and what they are cut from. */
function Group({ name, group, kerf, saw, stock }: { name: string; group: CutGroup; kerf: number; saw: boolean; stock: readonly (KeyedStock & { readonly name: string })[] }) {
  const say = useSay();
  const { from, thickness, width } = group;
  const sticks = from === 'stick' ? sticksOf(stock, thickness, width) : [];
  const sheets = from === 'stick' ? [] : sheetsOf(stock, thickness, from);
  const kept = [...sticks, ...sheets];
  const [typed, setTyped] = useState({ length: from === 'stick' ? USUAL_STICK : USUAL_SHEET.length, width: USUAL_SHEET.width });
  const nameOf = (key: string) => stock.find(({ id }) => id === key)?.name;
  const usual = { key: 'typed', length: typed.length, count: MANY };
  return (
    <div className="border-base-300 mt-4 border-t pt-3">
      <h3 className="text-lg">{say('patterns.groupFrom', { from, thickness: quantity(thickness, 'mm') })}</h3>
      {kept.length > 0 ? (
        <p className="quiet text-sm">{say('patterns.fromStore', { names: kept.map(({ key }) => nameOf(key) ?? '').join(', ') })}</p>
      ) : (
        <>
          <div className="mt-1 grid grid-cols-2 gap-3">
            <QuantityField label={say(from === 'stick' ? 'patterns.stickLength' : 'patterns.sheetLength')} name="stock.length" dimension="length" value={typed.length} onChange={(length = NaN) => setTyped({ ...typed, length })} />
            {from !== 'stick' && <QuantityField label={say('patterns.sheetWidth')} name="stock.width" dimension="length" value={typed.width} onChange={(next = NaN) => setTyped({ ...typed, width: next })} />}
          </div>
          <p className="quiet mt-1 text-sm">
            {say('patterns.noneInStore')} <Link className="link" to="/materials">{say('patterns.toStore')}</Link>
          </p>
        </>
      )}
      {from === 'stick' ? (
        <SticksGroup group={group} kerf={kerf} sticks={sticks.length > 0 ? sticks : [usual]} nameOf={nameOf} />
      ) : (
        <SheetsGroup name={name} group={group} kerf={kerf} saw={saw} sheets={sheets.length > 0 ? sheets : [{ ...usual, width: typed.width }]} nameOf={nameOf} />
      )}
    </div>
  );
} // prettier-ignore
