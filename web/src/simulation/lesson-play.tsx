import { useMemo, useState } from 'react';
import { lessons, simulate, simulationPieces, type LessonKey, type Simulation } from '@dewpot/core/simulation';
import { Button } from '../ui/button';
import { Chart } from '../ui/chart';
import { ChoicesForm } from './choices-form';
import { CURVES_HEIGHT, curvesOption } from './curves-option';
import { OutcomeList } from './outcome-list';
import { useSay } from '../ui/say';

/** A set lesson: as most would do it, what that comes to, and what the learner does instead. */
export function LessonPlay({ lesson: key, onLearned }: { lesson: LessonKey; onLearned: () => void }) {
  const say = useSay();
  const lesson = lessons[key];
  const piece = simulationPieces[lesson.piece];
  const [choices, setChoices] = useState(lesson.start);
  const [seen, setSeen] = useState<Simulation>();
  const asMost = useMemo(() => simulate(piece, lesson.start), [piece, lesson]);
  const wanted = seen?.outcomes.filter(({ of }) => lesson.learned.includes(of)) ?? [];
  const learned = seen !== undefined && wanted.every(({ grade }) => grade === 'good');
  const option = useMemo(() => curvesOption(seen ? [seen, asMost] : [asMost], say), [seen, asMost, say]);
  const see = () => {
    const came = simulate(piece, choices);
    setSeen(came);
    if (came.outcomes.filter(({ of }) => lesson.learned.includes(of)).every(({ grade }) => grade === 'good'))
      onLearned();
  };
  return (
    <div className="grid gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
      <section className="card-slab space-y-4" aria-label={say(lesson.name)}>
        <h2 className="text-2xl">{say(lesson.name)}</h2>
        <p className="quiet text-sm">{say(piece.name)}</p>
        <p>{say(lesson.scene)}</p>
        <p className="font-semibold">{say(lesson.asks)}</p>
        <ChoicesForm
          name={say('simulation.whatYouDo')}
          choices={choices}
          open={lesson.open}
          onChange={(next) => {
            setChoices(next);
            setSeen(undefined);
          }}
        />
        <Button look="main" size="tall" className="w-full text-lg" onClick={see}>
          {say('simulation.seeWhatComes')}
        </Button>
      </section>
      <section className="card-slab min-w-0 space-y-4" aria-label={say('simulation.whatComes')}>
        {seen ? (
          <div role="status" className="space-y-3">
            <h2 className="text-2xl">{learned ? say('simulation.thatIsHow') : say('simulation.notYet')}</h2>
            <OutcomeList outcomes={seen.outcomes} />
            {learned && <p className="border-primary border-l-4 pl-3">{say(lesson.moral)}</p>}
            {!learned && <p className="quiet">{say('simulation.changeAndSee')}</p>}
          </div>
        ) : (
          <div className="space-y-3">
            <h2 className="text-2xl">{say('simulation.asMostWould')}</h2>
            <OutcomeList outcomes={asMost.outcomes.filter(({ of }) => lesson.learned.includes(of))} />
          </div>
        )}
        <Chart option={option} height={CURVES_HEIGHT} label={say('simulation.fortyDaysOf', { label: piece.name })} />
        {seen && <p className="quiet text-sm">{say('simulation.solidDashed')}</p>}
      </section>
    </div>
  );
}
