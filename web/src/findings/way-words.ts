import { msg, type Phrase } from '@dewpot/core/units';
import { coverOf, coverWords } from '@dewpot/core/curing';
import type { WayKind } from '@dewpot/core/findings';
import { sealers, type SealerKind } from '@dewpot/core/materials';
import { releaseCalled, releases } from '@dewpot/core/moulds';
import { monthInWords } from '../ui/month-words';

const compaction: Readonly<Record<string, Phrase>> = {
  tapped: msg('findings.tapped'),
  none: msg('findings.untapped'),
};
const reinforcement: Readonly<Record<string, Phrase>> = {
  mesh: msg('findings.withMesh'),
  fibre: msg('findings.withFibre'),
  none: msg('findings.withoutBoth'),
};

/** A way in words: what casters call it, or what the handbook does. */
export function wayName(kind: WayKind, way: string): Phrase {
  switch (kind) {
    case 'release': {
      const known = releaseCalled(way);
      return known ? releases[known].name : way;
    }
    case 'cover':
      return coverWords[coverOf(way)];
    case 'compaction':
      return compaction[way] ?? way;
    case 'reinforcement':
      return reinforcement[way] ?? way;
    case 'sealer':
      return way in sealers ? sealers[way as SealerKind].name : way;
    case 'month':
      return monthInWords(way);
    default:
      return way;
  }
}
