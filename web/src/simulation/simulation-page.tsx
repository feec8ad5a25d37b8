import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { lessons, type LessonKey } from '@dewpot/core/simulation';
import { Check } from 'lucide-react';
import { FreePlay } from './free-play';
import { LessonPlay } from './lesson-play';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';

const KEPT = 'dew-pot-lessons';
const keys = Object.keys(lessons) as LessonKey[];

/** Lessons that were learned on this device. */
function learnedBefore(): readonly LessonKey[] {
  const kept = localStorage.getItem(KEPT)?.split(',') ?? [];
  return keys.filter((key) => kept.includes(key));
}

/** Try it first: forty days of a piece before it is poured, and four set lessons. */
export function SimulationPage() {
  const say = useSay();
  const wanted = useSearchParams()[0].get('lesson');
  const [playing, setPlaying] = useState<LessonKey | 'free'>(keys.find((key) => key === wanted) ?? 'free');
  const [learned, setLearned] = useState(learnedBefore);
  const learn = (key: LessonKey) => {
    const all = [...new Set([...learned, key])];
    setLearned(all);
    localStorage.setItem(KEPT, all.join(','));
  };
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h1 className="text-3xl">{say('shell.simulate')}</h1>
        <div role="tablist" aria-label={say('simulation.whatToTry')} className="flex flex-wrap gap-1.5">
          {(['free', ...keys] as const).map((key) => (
            <Button
              key={key}
              role="tab"
              aria-selected={key === playing}
              look={key === playing ? 'strong' : 'soft'}
              onClick={() => setPlaying(key)}
            >
              {key !== 'free' && learned.includes(key) && <Check size={18} aria-label={say('simulation.learned')} />}
              {key === 'free' ? say('simulation.fortyFreely') : say(lessons[key].name)}
            </Button>
          ))}
        </div>
      </div>
      {playing === 'free' ? (
        <FreePlay />
      ) : (
        <LessonPlay key={playing} lesson={playing} onLearned={() => learn(playing)} />
      )}
    </div>
  );
}
