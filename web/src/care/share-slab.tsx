import { FileDown } from 'lucide-react';
import { standing } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { castLabel, makeLabels, makeLife, PaperButton } from '../paper';
import { Button } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { CareNoteButton } from './care-note-button';
import { stageOf } from '../ui/casts/stage-words';
import { tellEvent } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

/** A cast's life as others can read it: what it was made of, everything that happened, what its weighings say. */
function castFile(cast: CastDetail): string {
  const { code, snapshot, stage, expected, events, dryDown, life } = cast;
  const { shape: _shape, article, faceColouring: _face, ...made } = snapshot;
  return JSON.stringify(
    {
      format: 'dew-pot-cast',
      version: 1,
      code,
      stage,
      made: {
        ...made,
        ...(article && { joinedOf: article.parts.map(({ code: part, name }) => ({ code: part, name })) }),
      },
      expected,
      events: standing(events),
      drying: {
        weighings: life.weighings,
        final: dryDown.final,
        remaining: dryDown.remaining?.value,
        curve: dryDown.curve,
      },
    },
    null,
    2,
  );
}

/** What goes with a piece: a label, a note for its keeper, its whole life on paper or as a file. */
export function ShareSlab({ cast }: { cast: CastDetail }) {
  const say = useSay();
  const { code, snapshot, life, events } = cast;
  const address = `${window.location.origin}/casts/${cast.id}`;
  return (
    <section className="card-slab no-print space-y-2" aria-label={say('care.takeAlong')}>
      <h2 className="text-xl">{say('care.takeAlong')}</h2>
      <CareNoteButton cast={cast} />
      <PaperButton
        name={say('paper.label')}
        file={`label ${code}`}
        make={(ways) => makeLabels([castLabel(cast, say)], ways)}
      />
      <PaperButton
        name={say('paper.history')}
        file={`life ${code}`}
        make={(ways) =>
          makeLife(
            {
              code,
              name: snapshot.mouldName,
              told: `${snapshot.mixName}, ${say(stageOf(cast))}`,
              address,
              from: life.pouredAt,
              weighings: life.weighings,
              curve: cast.dryDown.curve,
              dry: cast.expected.dry,
              say,
              events: standing(events).map((event) => ({
                at: say.value({ at: event.at, as: 'time' }),
                told: tellEvent(event, say),
              })),
            },
            ways,
          )
        }
      />
      <Button onClick={() => saveFile(`cast ${code}.json`, castFile(cast), 'application/json')}>
        <FileDown size={18} aria-hidden="true" /> {say('care.asFile')}
      </Button>
    </section>
  );
}
