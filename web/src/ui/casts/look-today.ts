import { faceColour } from '@dewpot/core/tints';
import type { FaceColouring } from '@dewpot/core/pours';
import { wetness } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { recoloured } from '../face-paint';
import type { StandingPart } from '../whole-piece';

/** How a cast looks today. */
export interface Today {
  readonly colour: string;
  readonly faceColouring?: FaceColouring;
  /** Of an article: its parts, each in its own colours. */
  readonly parts?: readonly StandingPart[];
}

/** Today's colours of a cast: dark when wet, paling as the water is calculated to leave. */
export function lookToday({ life, expected, dry, snapshot }: CastView, now: number): Today {
  const { colour, faceColouring, article } = snapshot;
  const wet = wetness(life, expected.loss, now, dry.typical);
  const today = (one: string) => faceColour(one, wet);
  return {
    colour: today(colour),
    ...(article && {
      parts: article.parts.map((part) => ({
        shape: part.shape,
        over: part.over,
        colour: today(part.colour),
        ...(part.faceColouring && { faceColouring: recoloured(part.faceColouring, today) }),
      })),
    }),
    ...(faceColouring && { faceColouring: recoloured(faceColouring, today) }),
  };
}
