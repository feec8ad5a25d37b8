import { standing, usualCause, type CameLater, type CastEvent, type Damage, type Fault, type SeenFault, type Severity } from '../casts/index.js'; // prettier-ignore

/** Bubbles from this grade of five on are a fault, and from this on a clear one. */
const PINHOLED = 4;
const MANY = 5;

const ofSize: Readonly<Record<Damage['size'], Severity>> = { chip: 'slight', piece: 'clear', through: 'spoilt' };

const ofLater: Readonly<Record<CameLater, Fault | undefined>> = {
  well: undefined,
  frost: 'crumbly',
  bloom: 'bloom',
  crack: 'crack',
  'sealer let go': 'sealer',
  gone: undefined,
};

/** Damage at demoulding as a fault: what was dropped is none of the mix's doing. */
function ofDemoulding({ damage, force, cause }: CastEvent & { type: 'demoulded' }): SeenFault[] {
  const why = cause ?? usualCause(damage, force);
  if (why === 'dropped') return [];
  if (damage.length === 0) return why === 'stuck' ? [{ fault: 'stuck-core', severity: 'slight' }] : [];
  return damage.map(({ spot, size }) => {
    const stuck = spot === 'core-end' && why === 'stuck';
    const fault: Fault = stuck ? 'stuck-core' : spot === 'face' && size === 'through' ? 'crack' : 'broken-edge';
    return { fault, severity: ofSize[size], spot };
  });
}

function ofEvent(event: CastEvent): SeenFault[] {
  switch (event.type) {
    case 'demoulded':
      return ofDemoulding(event);
    case 'bubbles':
      return event.grade < PINHOLED ? [] : [{ fault: 'pinholes', severity: event.grade < MANY ? 'slight' : 'clear', spot: event.face }]; // prettier-ignore
    case 'fault-seen': {
      const { fault, severity, spot, drawn } = event;
      return [{ fault, severity, ...(spot && { spot }), ...(drawn && { drawn }) }];
    }
    case 'came-later': {
      const fault = ofLater[event.came];
      return fault ? [{ fault, severity: 'clear' }] : [];
    }
    case 'checked':
      return event.held ? [] : [{ fault: 'sealer', severity: 'clear' }];
    default:
      return [];
  }
}

/** Everything that was found wrong with a cast, by whichever step it was told at; each fault once, as badly as it was seen. */
export function foundFaults(events: readonly CastEvent[]): SeenFault[] {
  const worst = new Map<Fault, SeenFault>();
  const rank: Readonly<Record<Severity, number>> = { slight: 0, clear: 1, spoilt: 2 };
  for (const seen of standing(events).flatMap(ofEvent)) {
    const before = worst.get(seen.fault);
    if (!before || rank[seen.severity] > rank[before.severity]) worst.set(seen.fault, seen);
  }
  return [...worst.values()];
}
