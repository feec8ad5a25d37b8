/** What a simulation came to, as far as its outcome goes. */
export interface Came {
  /** Chance that it broke at demoulding, 0–1. */
  readonly breaks: number;
  /** Hours for which young faces lay dry. */
  readonly dried: number;
  /** °C, while it had less than 3.5 MPa. */
  readonly coldestWhenWeak: number;
  /** Share of 28-day strength at the end, and what it would have had kept damp at 20 °C. */
  readonly finalStrength: number;
  readonly expectedStrength: number;
  /** Of a coated piece: the water in it then, and the most that there may be, g. */
  readonly coat?: { readonly film: boolean; readonly water: number; readonly limit: number };
}

export type OutcomeOf = 'demould' | 'faces' | 'frost' | 'strength' | 'sealer';

/** One thing that came of it. */
export interface Outcome {
  readonly of: OutcomeOf;
  readonly grade: 'good' | 'doubtful' | 'bad';
  readonly told: string;
}

const grade = (value: number, doubtful: number, bad: number): Outcome['grade'] =>
  value >= bad ? 'bad' : value >= doubtful ? 'doubtful' : 'good';

const byGrade = (of: OutcomeOf, is: Outcome['grade'], words: Record<Outcome['grade'], string>): Outcome => ({
  of,
  grade: is,
  told: words[is],
});

function sealerOutcome({ film, water, limit }: NonNullable<Came['coat']>): Outcome {
  const over = water / limit;
  return byGrade('sealer', grade(over, 1, film ? 1.6 : 2.5), {
    good: 'The coat lies on a dry piece and stays clear.',
    doubtful: `${water.toFixed(0)} g of water were left, ${limit.toFixed(0)} g is the most: it may cloud.`,
    bad: film
      ? `${water.toFixed(0)} g of water were left, ${limit.toFixed(0)} g is the most: the film blisters and turns milky.`
      : `${water.toFixed(0)} g of water were left, ${limit.toFixed(0)} g is the most: the sealer did not go in.`,
  });
}

/** What came of a simulation, in sentences. */
export function outcomesOf({ breaks, dried, coldestWhenWeak, finalStrength, expectedStrength, coat }: Came): Outcome[] {
  const percent = `${Math.round(breaks * 100)} in 100`;
  const share = finalStrength / expectedStrength;
  return [
    byGrade('demould', grade(breaks, 0.15, 0.4), {
      good: 'It came out of the mould clean.',
      doubtful: `Demoulded early: ${percent} such pieces lose a corner.`,
      bad: `Demoulded too early: ${percent} such pieces break.`,
    }),
    byGrade('faces', grade(dried, 8, 20), {
      good: 'Its faces stayed damp while it was young.',
      doubtful: `Its young faces lay dry for ${dried.toFixed(0)} hours: fine cracks may show.`,
      bad: `Its young faces lay dry for ${dried.toFixed(0)} hours: it crazes and dusts.`,
    }),
    byGrade('frost', coldestWhenWeak < 0 ? 'bad' : coldestWhenWeak < 5 ? 'doubtful' : 'good', {
      good: 'It was never too cold for it.',
      doubtful: `It stood at ${coldestWhenWeak.toFixed(0)} °C while it was weak: it hardened slowly.`,
      bad: `It froze (${coldestWhenWeak.toFixed(0)} °C) before it had 3.5 MPa: its skin flakes.`,
    }),
    byGrade('strength', share >= 0.9 ? 'good' : share >= 0.75 ? 'doubtful' : 'bad', {
      good: `After forty days it has ${Math.round(finalStrength * 100)} % of its 28-day strength.`,
      doubtful: `It has ${Math.round(finalStrength * 100)} % of its 28-day strength: it dried or stood cold before it was done.`,
      bad: `It stopped at ${Math.round(finalStrength * 100)} % of its 28-day strength: it dried out or stood cold, and hardens no more.`,
    }),
    ...(coat ? [sealerOutcome(coat)] : []),
  ];
}
