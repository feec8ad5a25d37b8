import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { faults } from '../casts/index.js';
import { amountOf, causeCalled, causeKeys, causeName, changeFor, evidenceInWords, faultLooks, faultName, isPlannable, plannedAgainst, wayKindName, wayKinds, type Evidence } from './index.js'; // prettier-ignore

describe('a next pour against a cause', () => {
  const choices = { items: [{ mouldId: 'm' }], grade: 5 as const, cover: 'none', spare: 0.05 };

  it('is covered, stiffer, meshed or helped, and otherwise as it was', () => {
    expect(plannedAgainst(choices, 'dried-early')).toEqual({ ...choices, cover: 'bag' });
    expect(plannedAgainst(choices, 'over-ceiling').grade).toBe(4);
    expect(plannedAgainst({ ...choices, grade: 1 as const }, 'over-ceiling').grade).toBe(1);
    expect(plannedAgainst(choices, 'unreinforced').items).toEqual([{ mouldId: 'm', mesh: true }]);
    expect(plannedAgainst(choices, 'late-placing')).toEqual({ ...choices, people: 2 });
    expect(plannedAgainst(choices, 'no-release')).toEqual({ ...choices, release: 'wax' });
  });

  it('changes something for each cause that it is offered for, and nothing for the others', () => {
    for (const cause of causeKeys) {
      const same = JSON.stringify(plannedAgainst(choices, cause)) === JSON.stringify(choices);
      expect(isPlannable(cause), cause).toBe(!same);
    }
    expect([causeCalled('frost'), causeCalled('luck'), causeCalled(null)]).toEqual(['frost', undefined, undefined]);
  });
});

describe('findings in words', () => {
  it('name every fault, every cause with its change, and every kind of way', () => {
    const all = [...faults.flatMap((fault) => [faultName(fault), faultLooks(fault)]), ...causeKeys.flatMap((cause) => [causeName(cause), changeFor(cause)]), ...wayKinds.map(wayKindName)]; // prettier-ignore
    for (const message of all) expect(english(message), message.key).not.toMatch(/findings\.|undefined/);
    expect(new Set(all.map((message) => english(message))).size).toBeGreaterThan(faults.length * 2);
  });

  it('tell a record with its limit, the good ones and the regression', () => {
    const evidence: Evidence = { value: 0.61, limit: 0.5, against: 'past', distance: 4, usual: { among: 'mould', casts: 6, middle: 0.17, spread: 0.1 }, regression: { casts: 60, withFault: 9, term: 1.2 } }; // prettier-ignore
    expect(evidenceInWords('dried-early', evidence).map((message) => english(message))).toEqual([
      'Evaporation in the first day, at its worst: 0.61 kg/m²/h.',
      'At most 0.50 kg/m²/h.',
      'Your 6 good ones of this mould and mix: about 0.17 kg/m²/h.',
      'Over 60 casts it goes with this fault (9 had it).',
    ]);
  });

  it('tell a flag without a number, and grades by how far off', () => {
    const flag: Evidence = { value: 1, against: 'none', usual: { among: 'kind', casts: 8, middle: 0, spread: 0.2 } };
    expect(evidenceInWords('uncovered', flag).map((message) => english(message))).toEqual(['Nothing over it.', 'Hardly any of your 8 good ones were so.']); // prettier-ignore
    expect([2, 0, -1].map((off) => english(amountOf('grade', off) as never))).toEqual(['2 grades wetter', 'as planned', '1 grade stiffer']); // prettier-ignore
  });
});
