import { bonds, type Bond } from './bonds.js';

/** A cast as far as joining it goes. */
export interface JoinedState {
  readonly code: string;
  readonly stage: 'setting' | 'curing' | 'drying' | 'sealed' | 'finished' | 'broken' | 'joined';
  /** Share of its strength. */
  readonly strength: number;
  /** Whether it is dry enough to seal. */
  readonly dry: boolean;
}

/** What speaks against joining now: refused, or told and left to the caster. */
export interface JoinRemark {
  readonly severity: 'refuse' | 'tell';
  readonly told: string;
  readonly remedy: string;
}

const STRONG_ENOUGH = 0.5;

function remarkOn({ code, stage, strength, dry }: JoinedState, bond: Bond): JoinRemark[] {
  const { face, name } = bonds[bond];
  if (stage === 'setting')
    return [{ severity: 'refuse', told: `${code} is still in its mould.`, remedy: 'Demould it first.' }];
  if (stage === 'finished' || stage === 'broken' || stage === 'joined')
    return [
      {
        severity: 'refuse',
        told: `${code} is ${stage === 'joined' ? 'part of another article' : stage === 'finished' ? 'finished' : 'broken'}.`,
        remedy: 'Choose another.',
      },
    ];
  return [
    ...(strength < STRONG_ENOUGH
      ? [
          {
            severity: 'tell' as const,
            told: `${code} has ${(strength * 100).toFixed(0)} % of its 28-day strength.`,
            remedy: 'Wait until it has half, or prop it well.',
          },
        ]
      : []),
    ...(stage === 'sealed' && bond !== 'dry'
      ? [
          {
            severity: 'tell' as const,
            told: `${code} is sealed: nothing holds on a sealer.`,
            remedy: 'Rub the joint bare first.',
          },
        ]
      : []),
    ...(face === 'dry' && !dry && stage !== 'sealed'
      ? [
          {
            severity: 'tell' as const,
            told: `${code} is still damp: ${name.toLowerCase()} wants a dry face.`,
            remedy: 'Wait until it is dry, or take mortar.',
          },
        ]
      : []),
    ...(face === 'damp' && dry
      ? [
          {
            severity: 'tell' as const,
            told: `${code} is dry: it would drink the water out of the mortar.`,
            remedy: 'Damp the joint well first.',
          },
        ]
      : []),
  ];
}

/** What speaks against joining these casts with that bond now, each by name, and that they are not alike. */
export function joinRemarks(parts: readonly JoinedState[], bond: Bond): JoinRemark[] {
  const each = parts.flatMap((part) => remarkOn(part, bond));
  const stages = new Set(parts.map(({ stage }) => stage));
  const dry = parts.filter((part) => part.dry).map(({ code }) => code);
  const wet = parts.filter((part) => !part.dry).map(({ code }) => code);
  const uneven =
    dry.length > 0 && wet.length > 0
      ? [
          {
            severity: 'tell' as const,
            told: `${dry.join(', ')} ${dry.length > 1 ? 'are' : 'is'} dry and ${wet.join(', ')} ${wet.length > 1 ? 'are' : 'is'} not: the wettest decides when the whole is sealed, and the joint is pulled as it shrinks.`,
            remedy: 'Let them dry to the same first, where it can wait.',
          },
        ]
      : stages.size > 1
        ? [
            {
              severity: 'tell' as const,
              told: 'They stand in different stages of the work.',
              remedy: 'The whole goes on from the one that is furthest back.',
            },
          ]
        : [];
  return [...each, ...uneven];
}
