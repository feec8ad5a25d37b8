import type { ReactNode } from 'react';
import type { CastView, SessionView } from '@dewpot/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { sessionQuery } from '../src/api/session';

export const HOUR = 3_600_000;
export const DAY = 24 * HOUR;
/** A fixed time: no test depends on today's date. */
export const NOW = Date.UTC(2026, 4, 20, 9);

export const session: SessionView = {
  person: { id: 'p', name: 'Ada' },
  workshop: {
    id: 'w',
    name: 'Quince Yard',
    demo: false,
    units: 'metric',
    currency: '€',
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
      <MemoryRouter>{children}</MemoryRouter>
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

/** A cast as the server tells of it. */
export function cast(code: string, over: Partial<CastView> = {}): CastView {
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
      setting: 'portland',
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
    dry: { dryEnough: false, missing: [] },
    ...over,
  };
}
