import { defined } from '../../foundation/math/index.js';
import { Checker, msg, type Message, quantity } from '../../foundation/units/index.js';
import { baths } from '../../process/curing/index.js';
import type { Expected } from '../../process/pours/index.js';
import { standing, type CastEvent, type CastEventType } from './events.js';
import { lifeOf, type Life, type Stage } from './life.js';

/** Stages in which something can happen. */
const possible: Record<Exclude<CastEventType, 'poured' | 'voided'>, readonly Stage[]> = {
  wetted: ['setting', 'curing', 'drying', 'sealed'],
  covered: ['setting', 'curing'],
  moved: ['setting', 'curing', 'drying', 'sealed'],
  pulled: ['setting', 'curing'],
  dressed: ['curing', 'drying', 'sealed'],
  soaked: ['curing', 'drying'],
  rinsed: ['curing', 'drying'],
  ph: ['curing', 'drying', 'sealed'],
  postponed: ['setting', 'curing', 'drying', 'sealed'],
  demoulded: ['setting'],
  uncovered: ['curing'],
  weighed: ['curing', 'drying', 'sealed'],
  'film-tested': ['drying'],
  assembled: ['setting'],
  unclamped: ['setting'],
  joined: ['curing', 'drying', 'sealed'],
  decorated: ['curing', 'drying', 'sealed'],
  'seal-planned': ['setting', 'curing', 'drying', 'sealed'],
  coated: ['drying', 'sealed', 'finished'],
  checked: ['sealed', 'finished'],
  fitted: ['drying', 'sealed', 'finished'],
  'came-later': ['finished'],
  bubbles: ['curing', 'drying', 'sealed', 'finished'],
  'colour-seen': ['curing', 'drying', 'sealed', 'joined', 'finished'],
  'fault-seen': ['curing', 'drying', 'sealed', 'joined', 'finished', 'broken'],
  'found-sound': ['curing', 'drying', 'sealed', 'joined', 'finished'],
  finished: ['drying', 'sealed'],
  broken: ['setting', 'curing', 'drying', 'sealed', 'finished'],
};

const wayOn: Record<Stage, Message> = {
  setting: msg('assembly.demouldFirst'),
  curing: msg('casts.endMoistCuringFirst'),
  drying: msg('casts.chooseReady'),
  sealed: msg('casts.chooseReady'),
  joined: msg('casts.openArticle'),
  finished: msg('casts.undoFinished'),
  broken: msg('casts.undoBroken'),
};

/** An event as a sentence chooses its word by it. */
const codeOf = ({ type }: CastEvent) => type.replaceAll('-', '');

/** Room for an overfilled mould in a weighing. */
const HEAVIER = 1.1;
const LIGHTER = 0.7;
/** Clocks of two devices may differ by so much, ms. */
const CLOCK_SLACK = 2 * 60_000;

function checkMass(check: Checker, mass: number, expected: Expected): void {
  if (!check.number('mass', mass, msg('casts.weighing'), { above: 0, unit: 'g' })) return;
  const fresh = quantity(expected.fresh, 'g');
  const said = quantity(mass, 'g');
  check.expect(
    mass <= expected.fresh * HEAVIER,
    'mass',
    mass,
    msg('casts.heavierThanFresh', { said, fresh }),
    msg('casts.weighAgain'),
  );
  check.expect(
    mass >= expected.dry * LIGHTER,
    'mass',
    mass,
    msg('casts.farLighter', { said, dry: quantity(expected.dry, 'g') }),
    msg('casts.weighAgain'),
  );
}

function checkTime(check: Checker, event: CastEvent, life: Life, now: number): void {
  check.expect(event.at <= now + CLOCK_SLACK, 'at', event.at, msg('casts.inFuture'), msg('casts.enterWhenHappened'));
  check.expect(event.at >= life.pouredAt, 'at', event.at, msg('casts.beforePour'), msg('casts.afterPour'));
}

function checkVoid(check: Checker, events: readonly CastEvent[], target: string): void {
  const stands = standing(events);
  const index = stands.findIndex(({ id }) => id === target);
  if (index === -1) return check.add('event', target, msg('casts.entryGone'), msg('casts.lookAtRecord'));
  const event = defined(stands[index]);
  if (event.type === 'poured') return check.add('event', target, msg('casts.pourCannotUndo'), msg('casts.markBroken'));
  const without = stands.filter(({ id }) => id !== target);
  const later = firstImpossible(without, index);
  if (!later) return;
  const values = { event: codeOf(later) };
  check.add('event', target, msg('casts.neededLater', values), msg('casts.undoLater', values));
}

/** Something that is told late must leave room for what is on record after it, as by somebody else meanwhile. */
function checkLater(check: Checker, before: readonly CastEvent[], event: CastEvent, after: readonly CastEvent[]): void {
  const later = firstImpossible([...before, event, ...after], before.length + 1);
  // What was out of place before is not held against this one.
  if (!later || firstImpossible([...before, ...after], before.length) === later) return;
  const values = { event: codeOf(later) };
  check.add('type', event.type, msg('casts.shutsOut', values), msg('casts.undoLater', values));
}

/** The first event from `from` on that cannot have happened after those before it. */
const firstImpossible = (events: readonly CastEvent[], from: number): CastEvent | undefined =>
  events.find((later, i) => i >= from && !canHappen(lifeOf(events.slice(0, i)), later));

function canHappen(life: Life, event: CastEvent): boolean {
  return event.type === 'poured' || event.type === 'voided' || possible[event.type].includes(life.stage);
}

function checkFinish(check: Checker, event: CastEvent, life: Life): void {
  if (event.type === 'film-tested')
    check.number('hours', event.hours, msg('casts.theFilm'), { above: 0, max: 240, unit: 'h' });
  if (event.type === 'unclamped')
    check.expect(life.joint !== undefined, 'type', event.type, msg('casts.notArticle'), msg('casts.demouldInstead'));
  if (event.type === 'demoulded')
    check.expect(life.joint === undefined, 'type', event.type, msg('casts.isArticle'), msg('casts.unclampInstead'));
  if (event.type === 'seal-planned')
    check.number('coats', event.coats, msg('casts.coatCount'), { min: event.sealer ? 1 : 0, max: 10 });
  if (event.type === 'finished' && event.price !== undefined)
    check.number('price', event.price, msg('casts.price'), { min: 0, max: 1e6 });
  if (event.type === 'coated' && event.volume !== undefined)
    check.number('volume', event.volume, msg('casts.wentOn'), { above: 0, max: 20_000, unit: 'mL' });
}

/**
 * Appends an event to a cast's life. `now` in ms.
 * @throws InputError where it cannot have happened: wrong stage, future, a weighing that this piece cannot have.
 */
export function appendEvent(
  events: readonly CastEvent[],
  event: CastEvent,
  expected: Expected,
  now: number,
): CastEvent[] {
  const check = new Checker();
  const stands = standing(events);
  const before = stands.filter(({ at }) => at <= event.at);
  const life = lifeOf(before.length > 0 ? before : events);
  checkTime(check, event, lifeOf(events), now);
  check.done();
  if (event.type === 'voided') checkVoid(check, events, event.event);
  else if (!canHappen(life, event)) {
    check.add(
      'type',
      event.type,
      msg('casts.cannotHappen', { event: codeOf(event), stage: life.stage }),
      wayOn[life.stage],
    );
  } else checkLater(check, before, event, stands.slice(before.length));
  if (event.type === 'weighed') {
    checkMass(check, event.mass, expected);
    check.number('step', event.step, msg('casts.scaleStep'), { above: 0, max: 1000, unit: 'g' });
    if (event.together !== undefined)
      check.number('together', event.together, msg('casts.piecesOnScale'), { min: 2, max: 200 });
  }
  if (event.type === 'soaked')
    check.number('hours', event.hours, msg('casts.bath'), { above: 0, max: baths[event.bath].most, unit: 'h' });
  if (event.type === 'ph') check.number('ph', event.ph, msg('casts.ph'), { min: 4, max: 14 });
  checkFinish(check, event, life);
  if (event.type === 'rinsed')
    check.expect(life.soak !== undefined, 'type', event.type, msg('casts.noBath'), msg('casts.enterBath'));
  check.done();
  return [...events, event];
}
