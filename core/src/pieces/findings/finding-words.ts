import {
  exactly,
  fixed,
  msg,
  quantity,
  type Message,
  type MessageKey,
  type MessageValue,
} from '../../foundation/units/index.js';
import { COLD } from '../../process/curing/index.js';
import type { Fault } from '../casts/index.js';
import { causes, type Cause } from './causes.js';
import { circumstances, flags, type Circumstance } from './circumstances.js';
import type { Evidence } from './explain-fault.js';
import type { WayKind } from './finding-record.js';
import { SEALED_WARM } from './stood-under.js';

/** `broken-edge` as a part of a key: `BrokenEdge`. */
const keyOf = (name: string): string => name.split('-').map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join(''); // prettier-ignore
const named = (before: string, name: string): MessageKey => `findings.${before}${keyOf(name)}`;

export const faultName = (fault: Fault): Message => msg(named('fault', fault));
/** What a fault looks like. */
export const faultLooks = (fault: Fault): Message => msg(named('looks', fault));
export const causeName = (cause: Cause): Message => msg(named('cause', cause));
export const wayKindName = (kind: WayKind): Message => msg(named('way', kind));

/** What is warm enough to pour and to seal in, °C. */
const WARM_ENOUGH: Readonly<Partial<Record<Cause, number>>> = { 'cold-pour': COLD, 'sealed-cold': SEALED_WARM };

/** What to change next time. */
export function changeFor(cause: Cause): Message {
  const least = WARM_ENOUGH[cause];
  return msg(named('change', cause), least === undefined ? undefined : { least: exactly(least, '°C') });
}

/** An amount of a circumstance as a sentence takes it. */
export function amountOf(of: Circumstance, value: number): MessageValue {
  const { unit, decimals } = circumstances[of];
  if (of === 'grade') return gradesOff(value);
  if (of === 'ratio') return fixed(value, decimals);
  if (unit === 'count') return Math.round(value);
  return quantity(unit === '%' ? value * 100 : value, unit, decimals);
}

function gradesOff(value: number): Message {
  const grades = Math.round(Math.abs(value));
  if (grades === 0) return msg('findings.gradeAsPlanned');
  return msg(value > 0 ? 'findings.gradesWetter' : 'findings.gradesStiffer', { grades });
}

const amongKey = { mould: 'findings.usualMould', mix: 'findings.usualMix', kind: 'findings.usualKind' } as const;

/** What good casts were like. */
function usualInWords(of: Circumstance, { usual, value }: Evidence): Message[] {
  if (!usual) return [];
  const { casts, among, middle } = usual;
  if (!flags.includes(of)) return [msg(amongKey[among], { casts, usual: amountOf(of, middle) })];
  return [msg(middle === value ? 'findings.goodSoToo' : 'findings.goodNotSo', { casts })];
}

/** The evidence of a cause as sentences with their figures, the record itself first. */
export function evidenceInWords(cause: Cause, evidence: Evidence): Message[] {
  const { of, harm } = causes[cause];
  const { value, limit, against, regression } = evidence;
  const what = msg(`findings.${of}`);
  const flag = flags.includes(of);
  const record = flag ? msg(value > 0 ? 'findings.holds' : 'findings.holdsNot', { what }) : msg('findings.isValue', { what, value: amountOf(of, value) }); // prettier-ignore
  const bound = limit !== undefined && !flag && of !== 'grade' && against !== 'none' ? [msg(harm > 0 ? 'findings.overMost' : 'findings.underLeast', { limit: amountOf(of, limit) })] : []; // prettier-ignore
  const { casts = 0, withFault = 0, term = 0 } = regression ?? {};
  const over = regression ? [msg(term > 0 ? 'findings.goesWith' : 'findings.goesNotWith', { casts, withFault })] : [];
  return [record, ...bound, ...usualInWords(of, evidence), ...over];
}
