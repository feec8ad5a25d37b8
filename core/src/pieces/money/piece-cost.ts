import { Checker, computed, figure, line, msg, type Figure, type Message } from '../../foundation/units/index.js';
import { goodShare } from './good-share.js';
import { wearOf, type WornMould } from './mould-wear.js';

/** What one piece takes, in the workshop's money and in minutes. */
export interface PieceTakes {
  /** Its share of the batch, leftover that is thrown away included. */
  readonly mix: number;
  readonly release: number;
  readonly mould?: WornMould;
  /** Of work up to its demoulding, and after it. */
  readonly minutes: number;
  readonly laterMinutes: number;
  readonly sealer: number;
  readonly fitting: number;
  readonly packing: number;
  /** Of an hour of work. */
  readonly rate: number;
  readonly good: number;
  readonly casts: number;
}

type CostKind = 'mix' | 'release' | 'wear' | 'work' | 'bad' | 'sealer' | 'fitting' | 'packing' | 'later';

/** One part of a piece's cost, to be drawn as a bar. */
interface CostPart {
  readonly kind: CostKind;
  readonly name: Message;
  readonly cost: number;
}

/** What a piece costs, by its parts, and what of it is materials alone. */
export interface PieceCost {
  readonly cost: Figure;
  readonly parts: readonly CostPart[];
  readonly materials: number;
  readonly goodShare: number;
}

const MINUTES = 60;
const MOST = 1e6;

const names: Readonly<Record<CostKind, Message>> = {
  mix: msg('money.mix'),
  release: msg('money.release'),
  wear: msg('money.wear'),
  work: msg('money.work'),
  bad: msg('money.bad'),
  sealer: msg('money.sealer'),
  fitting: msg('money.fitting'),
  packing: msg('money.packing'),
  later: msg('money.later'),
};

function checkTakes(takes: PieceTakes): void {
  const check = new Checker();
  const amounts = ['mix', 'release', 'minutes', 'laterMinutes', 'sealer', 'fitting', 'packing', 'rate'] as const;
  for (const field of amounts)
    check.number(field, takes[field], msg('money.amountOf', { field }), { min: 0, max: MOST });
  check.number('casts', takes.casts, msg('money.casts'), { min: 0, max: MOST });
  check.number('good', takes.good, msg('findings.goodOnes'), { min: 0, max: takes.casts });
  if (takes.mould) check.number('mould.lasts', takes.mould.lasts, msg('money.lasts'), { above: 0, max: MOST });
  check.done();
}

/**
 * What a piece costs: (mix + release + wear + minutes to demould × rate) ÷ good share + (sealer + fitting + packing + later minutes × rate). What bad ones
 * cost the good ones is a part of its own. Handbook 21. @throws InputError
 */
export function pieceCost(takes: PieceTakes): PieceCost {
  checkTakes(takes);
  const { mix, release, mould, minutes, laterMinutes, sealer, fitting, packing, rate } = takes;
  const share = goodShare(takes);
  const wear = mould ? wearOf(mould) : 0;
  const worked = (time: number) => (time * rate) / MINUTES;
  const [work, later] = [worked(minutes), worked(laterMinutes)];
  const before = mix + release + wear + work;
  const bad = before / share - before;
  const costs: Record<CostKind, number> = { mix, release, wear, work, bad, sealer, fitting, packing, later };
  const parts = (Object.keys(names) as CostKind[]).map((kind) => ({ kind, name: names[kind], cost: costs[kind] }));
  const cost = parts.reduce((sum, part) => sum + part.cost, 0);
  return {
    cost: figure(cost, 'money', computed, [
      line(msg('money.upToDemoulding'), before, 'money'),
      line(msg('money.goodShare'), share * 100, '%', '(4.5 + g) / (5 + n)'),
      line(msg('money.forAGoodOne'), before / share, 'money'),
      line(msg('money.after'), sealer + fitting + packing + later, 'money'),
      line(msg('money.pieceCosts'), cost, 'money'),
    ]),
    parts: parts.filter((part) => part.cost > 0),
    materials: (mix + release) / share + sealer + fitting + packing,
    goodShare: share,
  };
}
