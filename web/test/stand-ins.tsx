import type { ReactNode } from 'react';
import { handbookDemouldAge, learnDemouldAge } from '@dewpot/core/curing';
import { calculateDryDown } from '@dewpot/core/sealing';
import { duesOf, type DrySummary, type Life } from '@dewpot/core/casts';
import type { CastDetail, CastView, SessionView } from '@dewpot/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { sessionQuery } from '../src/api/session';
import { Reads } from '../src/ui/say';

export const HOUR = 3_600_000;
export const DAY = 24 * HOUR;
/** A fixed time: no test depends on today's date. */
export const NOW = Date.UTC(2026, 4, 20, 9);

export const session: SessionView = {
  person: { id: 'p', name: 'Ada', role: 'owner' },
  workshop: {
    id: 'w',
    name: 'Quince Yard',
    demo: false,
    setUp: true,
    units: 'metric',
    currency: 'EUR',
    liftLimit: 25000,
    bucket: 14000,
    scaleStep: 1,
    version: 1,
  },
};

/** Renders below a signed-in session and a router. */
export function renderInside(children: ReactNode, workshop: Partial<SessionView['workshop']> = {}) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(sessionQuery.queryKey, { ...session, workshop: { ...session.workshop, ...workshop } });
  return render(
    <QueryClientProvider client={client}>
      <Reads>
        <MemoryRouter>{children}</MemoryRouter>
      </Reads>
    </QueryClientProvider>,
  );
}

const frustum = (bottomDiameter: number, topDiameter: number, height: number) =>
  ({ kind: 'round-frustum', bottomDiameter, topDiameter, height }) as const;

export const potShape = {
  outer: frustum(160, 200, 180),
  cores: [{ name: 'The core', bottom: 18, solid: frustum(124, 160, 162) }],
  inserts: [],
};

/** What is due to a pot of Portland that stands at 20 °C all the time. */
const duesAt20 = (life: Life, dryEnough = false) =>
  duesOf(life, {
    now: NOW,
    binderClass: 'portland',
    reach: (age) => life.pouredAt + age * HOUR,
    demouldAge: handbookDemouldAge('portland', 'pot'),
    dryEnough,
  });

/** A cast with its record, as the server tells of it. */
export function castDetail(one: CastView, over: Partial<CastDetail> = {}): CastDetail {
  const { life, expected } = one;
  return {
    ...one,
    events: [{ id: 'p', at: life.pouredAt, type: 'poured' }],
    dryDown: calculateDryDown(life.weighings, expected, 'portland'),
    ambient: {
      place: 'the bench',
      temperatures: [{ hour: 0, temperature: 20 }],
      forecastFrom: NOW,
      bridges: [],
      bears: [],
    },
    demould: {
      handbook: 24,
      learned: learnDemouldAge(24, []),
      records: [],
      ways: { care: 'usual', off: false },
    },
    pictures: [],
    ...over,
  };
}

/** What is known of the dryness of a cast that nobody weighed. */
export const dry = (over: Partial<DrySummary> = {}): DrySummary => ({
  dryEnough: false,
  missing: [],
  film: false,
  heldDays: 0,
  heldWithin: 1,
  strays: [],
  ...over,
});

/** A cast as the server tells of it. */
export function cast(code: string, over: Partial<CastView> = {}): CastView {
  const whole = bareCast(code, over);
  return { dues: duesAt20({ ...whole.life, stage: whole.stage }, whole.dry.dryEnough), ...whole };
}

function bareCast(code: string, over: Partial<CastView>): Omit<CastView, 'dues'> & Partial<Pick<CastView, 'dues'>> {
  return {
    id: `id-${code}`,
    code,
    pourId: `pour-${code.replace(/\D+$/, '')}`,
    mouldId: 'm',
    stage: 'drying',
    expected: { fresh: 4400, dry: 4100, solids: 4000, loss: 300 },
    snapshot: {
      mouldName: 'Nested pot',
      mixName: 'Garden grey',
      shape: potShape,
      piece: 'pot',
      binderClass: 'portland',
      colour: '#b3ada1',
      ratio: 0.5,
    },
    life: {
      stage: 'drying',
      pouredAt: NOW - 10 * DAY,
      damage: [],
      weighings: [],
      coats: [],
      uncoveredAt: NOW - 2 * DAY,
    },
    dry: dry(),
    ...over,
  };
}
