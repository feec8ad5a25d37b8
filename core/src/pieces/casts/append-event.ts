import { defined } from '../../foundation/math/index.js';
import { Checker, formatQuantity } from '../../foundation/units/index.js';
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
  finished: ['drying', 'sealed'],
  broken: ['setting', 'curing', 'drying', 'sealed', 'finished'],
};

const inWords: Record<CastEventType, string> = {
  poured: 'poured',
  wetted: 'wetted',
  covered: 'covered',
  moved: 'moved',
  pulled: 'freed of a core',
  dressed: 'trimmed',
  soaked: 'soaked',
  rinsed: 'taken out of its soak',
  ph: 'tested with a strip',
  postponed: 'postponed',
  demoulded: 'demoulded',
  uncovered: 'uncovered',
  weighed: 'weighed',
  'film-tested': 'tried with a clear film',
  assembled: 'put together',
  unclamped: 'unclamped',
  joined: 'joined',
  decorated: 'decorated',
  'seal-planned': 'given a way to be sealed',
  checked: 'tried',
  fitted: 'given fittings',
  'came-later': 'recorded later',
  coated: 'coated',
  bubbles: 'inspected',
  finished: 'finished',
  broken: 'broken',
  voided: 'undone',
};

const stageInWords: Record<Stage, string> = {
  setting: 'still setting in its mould',
  curing: 'in its moist curing',
  drying: 'drying',
  sealed: 'sealed',
  joined: 'assembled',
  finished: 'finished',
  broken: 'broken',
};

const wayOn: Record<Stage, string> = {
  setting: 'Demould it first.',
  curing: 'End its moist curing first.',
  drying: 'Choose what it is ready for.',
  sealed: 'Choose what it is ready for.',
  joined: 'Open the article, or take it apart.',
  finished: 'Undo “finished” first.',
  broken: 'Undo “broken” first.',
};

/** Room for an overfilled mould in a weighing. */
const HEAVIER = 1.1;
const LIGHTER = 0.7;
/** Clocks of two devices may differ by so much, ms. */
const CLOCK_SLACK = 2 * 60_000;

function checkMass(check: Checker, mass: number, expected: Expected): void {
  if (!check.number('mass', mass, 'The weighing', { above: 0, unit: 'g' })) return;
  const fresh = formatQuantity(expected.fresh, 'g', 'metric');
  const said = formatQuantity(mass, 'g', 'metric');
  check.expect(
    mass <= expected.fresh * HEAVIER,
    'mass',
    mass,
    `${said} is heavier than the piece was fresh (${fresh}).`,
    'Weigh it again, or check that this is the right piece and unit.',
  );
  check.expect(
    mass >= expected.dry * LIGHTER,
    'mass',
    mass,
    `${said} is far lighter than the piece can be (about ${formatQuantity(expected.dry, 'g', 'metric')} dry).`,
    'Weigh it again, or check that this is the right piece and unit.',
  );
}

function checkTime(check: Checker, event: CastEvent, life: Life, now: number): void {
  check.expect(
    event.at <= now + CLOCK_SLACK,
    'at',
    event.at,
    'That time is in the future.',
    'Enter when it happened; what is still to come is shown under Today.',
  );
  check.expect(
    event.at >= life.pouredAt,
    'at',
    event.at,
    'That time is before the pour.',
    'Enter a time after the pour.',
  );
}

function checkVoid(check: Checker, events: readonly CastEvent[], target: string): void {
  const stands = standing(events);
  const index = stands.findIndex(({ id }) => id === target);
  if (index === -1)
    return check.add('event', target, 'That entry is not there, or was undone already.', 'Look at the record again.');
  const event = defined(stands[index]);
  if (event.type === 'poured')
    return check.add('event', target, 'The pour itself cannot be undone here.', 'Mark the cast as broken instead.');
  const without = stands.filter(({ id }) => id !== target);
  for (let i = index; i < without.length; i++) {
    const later = defined(without[i]);
    if (canHappen(lifeOf(without.slice(0, i)), later)) continue;
    return check.add(
      'event',
      target,
      `It was ${inWords[later.type]} after that, which needs it.`,
      `Undo “${inWords[later.type]}” first.`,
    );
  }
}

function canHappen(life: Life, event: CastEvent): boolean {
  return event.type === 'poured' || event.type === 'voided' || possible[event.type].includes(life.stage);
}

function checkFinish(check: Checker, event: CastEvent, life: Life): void {
  if (event.type === 'film-tested') check.number('hours', event.hours, 'The film', { above: 0, max: 240, unit: 'h' });
  if (event.type === 'unclamped')
    check.expect(life.joint !== undefined, 'type', event.type, 'It is not an article.', 'Demould it instead.');
  if (event.type === 'demoulded')
    check.expect(life.joint === undefined, 'type', event.type, 'It is an article.', 'Unclamp it instead.');
  if (event.type === 'seal-planned')
    check.number('coats', event.coats, 'The number of coats', { min: event.sealer ? 1 : 0, max: 10 });
  if (event.type === 'finished' && event.price !== undefined)
    check.number('price', event.price, 'The price', { min: 0, max: 1e6 });
  if (event.type === 'coated' && event.volume !== undefined)
    check.number('volume', event.volume, 'What went on', { above: 0, max: 20_000, unit: 'mL' });
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
  const before = standing(events).filter(({ at }) => at <= event.at);
  const life = lifeOf(before.length > 0 ? before : events);
  checkTime(check, event, lifeOf(events), now);
  check.done();
  if (event.type === 'voided') checkVoid(check, events, event.event);
  else if (!canHappen(life, event)) {
    check.add(
      'type',
      event.type,
      `It cannot be ${inWords[event.type]}: it is ${stageInWords[life.stage]}.`,
      wayOn[life.stage],
    );
  }
  if (event.type === 'weighed') {
    checkMass(check, event.mass, expected);
    check.number('step', event.step, 'The scale’s step', { above: 0, max: 1000, unit: 'g' });
    if (event.together !== undefined)
      check.number('together', event.together, 'The pieces on the scale', { min: 2, max: 200 });
  }
  if (event.type === 'soaked')
    check.number('hours', event.hours, 'The bath', { above: 0, max: baths[event.bath].most, unit: 'h' });
  if (event.type === 'ph') check.number('ph', event.ph, 'The pH', { min: 4, max: 14 });
  checkFinish(check, event, life);
  if (event.type === 'rinsed')
    check.expect(life.soak !== undefined, 'type', event.type, 'It lies in no bath.', 'Enter the bath first.');
  check.done();
  return [...events, event];
}
