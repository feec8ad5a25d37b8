import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { bondsFor, type Arrangement, type Bond, type JointUse } from '@dewpot/core/assembly';
import type { CastView } from '@dewpot/contract';
import { useNavigate, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useJoin } from '../api/finish';
import { useAmbient, useSession } from '../api/session';
import type { ArticlePartRow } from './parts-list';
import { useArticle } from './use-article';
import { useSay } from '../ui/say';

/** Without air in sight, °C. */
const USUAL = 18;

/** Casts that are being joined: which, how, by what, what the whole comes to, and how it is recorded. */
export function useJoining(casts: readonly CastView[]) {
  const say = useSay();
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const { liftLimit } = useSession().workshop;
  const temperature = useAmbient().data?.now.temperature ?? USUAL;
  const join = useJoin();
  const [id] = useState(() => uuid());
  const [parts, setParts] = useState<readonly ArticlePartRow[]>(() => {
    const asked = search.getAll('with');
    const found = asked.flatMap((one) => casts.find(({ id: key }) => key === one) ?? []);
    // Like pots stand rim on rim.
    return found.map((cast, i) => ({ cast, over: i === 1 && cast.mouldId === defined(found[0]).mouldId }));
  });
  const [arrangement, setArrangement] = useState<Arrangement>(
    parts[0]?.cast.snapshot.piece === 'panel' ? 'panel box' : 'stacked',
  );
  const [uses, setUses] = useState<readonly JointUse[]>(['outdoors']);
  const [chosen, setBond] = useState<Bond>();
  const [name, setName] = useState('');
  const holds = bondsFor(uses);
  const bond = chosen ?? holds[0] ?? 'mortar';
  const figures = useArticle({ parts, arrangement, bond, uses, temperature, liftLimit });
  const called =
    name.trim() ||
    parts
      .map(({ cast }) => cast.snapshot.mouldName)
      .reduce((lower, upper) => (lower ? say('assembly.onAnother', { lower, upper }) : upper), '');
  const send = () =>
    join.mutate(
      {
        id,
        at: Date.now(),
        name: called.slice(0, 80),
        arrangement,
        bond,
        uses: [...uses],
        parts: parts.map(({ cast, over }) => ({ castId: cast.id, over })),
      },
      { onSuccess: (article) => void navigate(`/casts/${article.id}`) },
    );
  return {
    ...{ parts, setParts, arrangement, setArrangement, uses, setUses, holds, bond, setBond },
    ...{ name, setName, called, figures, join, send },
  };
}

export type Joining = ReturnType<typeof useJoining>;
