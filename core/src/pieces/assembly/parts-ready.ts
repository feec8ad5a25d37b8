import { msg, quantity, listed, type Message } from '../../foundation/units/index.js';
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
  readonly told: Message;
  readonly remedy: Message;
}

const STRONG_ENOUGH = 0.5;

const refuses = (told: Message, remedy: Message): JoinRemark => ({ severity: 'refuse', told, remedy });
const tells = (told: Message, remedy: Message): JoinRemark => ({ severity: 'tell', told, remedy });

function remarkOn({ code, stage, strength, dry }: JoinedState, bond: Bond): JoinRemark[] {
  const { face, name } = bonds[bond];
  if (stage === 'setting') return [refuses(msg('assembly.stillInMould', { code }), msg('assembly.demouldFirst'))];
  if (stage === 'finished' || stage === 'broken' || stage === 'joined')
    return [refuses(msg('assembly.partUnusable', { code, stage }), msg('assembly.chooseAnother'))];
  const told: JoinRemark[] = [];
  if (strength < STRONG_ENOUGH)
    told.push(
      tells(msg('assembly.partWeak', { code, strength: quantity(strength * 100, '%', 0) }), msg('assembly.waitOrProp')),
    );
  if (stage === 'sealed' && bond !== 'dry')
    told.push(tells(msg('assembly.partSealed', { code }), msg('assembly.rubBare')));
  if (face === 'dry' && !dry && stage !== 'sealed')
    told.push(tells(msg('assembly.partDamp', { code, name }), msg('assembly.waitOrMortar')));
  if (face === 'damp' && dry) told.push(tells(msg('assembly.partDry', { code }), msg('assembly.dampJoint')));
  return told;
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
            told: msg('assembly.unevenlyDry', {
              dry: listed(dry),
              count: dry.length,
              wet: listed(wet),
              wetCount: wet.length,
            }),
            remedy: msg('assembly.dryToSame'),
          },
        ]
      : stages.size > 1
        ? [
            {
              severity: 'tell' as const,
              told: msg('assembly.unlikeStages'),
              remedy: msg('assembly.furthestBack'),
            },
          ]
        : [];
  return [...each, ...uneven];
}
