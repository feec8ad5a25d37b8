import type { Side } from '@dewpot/core/sealing';
import { sealedArea } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';

/** Faces of casts that a coat goes on, mm²; of an article all its parts less its joints. */
export const areaToSeal = (casts: readonly CastView[], side: Side): number =>
  casts.reduce((sum, { snapshot: { shape, article } }) => {
    const parts = article ? article.parts.map((part) => part.shape) : [shape];
    return sum + sealedArea(parts, side, article?.joinedFaces ?? 0);
  }, 0);

/** Whether its faces drink: lightweight mixes and hypertufa. */
export const porousOf = ({ snapshot: { piece, lightweight } }: CastView): boolean =>
  lightweight === true || piece === 'hypertufa-pot';
