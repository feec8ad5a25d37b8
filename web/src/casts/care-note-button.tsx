import { careNote, lastCoat, sealerOfCoat, type CareFacts } from '@dewpot/core';
import type { CastView } from '@dewpot/contract';
import { makeCareNote, PaperButton } from '../paper';

/** What is known of a cast that goes out. */
export function careFacts({ code, snapshot, life }: CastView): CareFacts {
  const coat = lastCoat(life);
  const ph = life.ph?.[life.ph.length - 1]?.ph;
  return {
    name: snapshot.mouldName,
    code,
    mixName: snapshot.mixName,
    uses: life.sealPlan?.uses ?? [],
    lightweight: snapshot.lightweight ?? false,
    gypsum: snapshot.setting === 'gypsum',
    lamp: life.fitted?.includes('lamp kit') ?? false,
    ...(ph !== undefined && { ph }),
    ...(coat && { sealer: { kind: coat.sealer, name: sealerOfCoat(coat).name, coats: life.coats.length } }),
  };
}

/** A note for the keeper of a piece, as PDF. */
export function CareNoteButton({ cast }: { cast: CastView }) {
  return (
    <PaperButton
      name="Care note"
      file={`care ${cast.code}`}
      make={(ways) =>
        makeCareNote(
          { ...careNote(careFacts(cast)), address: `${window.location.origin}/casts/${cast.id}`, code: cast.code },
          ways,
        )
      }
    />
  );
}
