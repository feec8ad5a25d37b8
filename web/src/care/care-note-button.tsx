import { calculateMould } from '@dewpot/core/moulds';
import { careNote, plantedMass, type CareFacts } from '@dewpot/core/care';
import { lastCoat, massKnown, sealerOfCoat } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { useSay } from '../ui/say';
import { makeCareNote, PaperButton } from '../paper';

/** What a cast weighs, and what it will weigh full of watered soil where it is for plants. */
function weightsOf({ snapshot: { shape, piece, article }, life, expected }: CastView) {
  const dry = massKnown(life, expected);
  const forPlants = life.sealPlan?.uses.some((use) => use === 'plants' || use === 'bare plants') ?? false;
  const planting = forPlants && !article ? calculateMould(shape, { flexibility: 'rigid', piece }).planting : undefined;
  return {
    weight: dry,
    ...(planting && { planted: plantedMass(dry, planting.value).value }),
  };
}

/** What is known of a cast that goes out. */
function careFacts(cast: CastView): CareFacts {
  const { code, snapshot, life } = cast;
  const coat = lastCoat(life);
  const ph = life.ph?.[life.ph.length - 1]?.ph;
  return {
    name: snapshot.mouldName,
    code,
    mixName: snapshot.mixName,
    uses: life.sealPlan?.uses ?? [],
    ...(snapshot.exposure && { exposure: snapshot.exposure }),
    lightweight: snapshot.lightweight ?? false,
    gypsum: snapshot.binderClass === 'gypsum',
    castAt: life.pouredAt,
    ...weightsOf(cast),
    lamp: life.fitted?.includes('lamp kit') ?? false,
    ...(ph !== undefined && { ph }),
    ...(coat && { sealer: { kind: coat.sealer, name: sealerOfCoat(coat).name, coats: life.coats.length } }),
  };
}

/** A note for the keeper of a piece, as PDF. */
export function CareNoteButton({ cast }: { cast: CastView }) {
  const say = useSay();
  return (
    <PaperButton
      name={say('care.careNote')}
      file={`care ${cast.code}`}
      make={(ways) =>
        makeCareNote(
          {
            ...careNote(careFacts(cast)),
            address: `${window.location.origin}/casts/${cast.id}`,
            code: cast.code,
          },
          say,
          ways,
        )
      }
    />
  );
}
