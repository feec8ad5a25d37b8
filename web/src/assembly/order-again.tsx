import { useMutation, useQueryClient } from '@tanstack/react-query';
import { carriesAfter } from '@dewpot/core/assembly';
import type { CastSnapshot } from '@dewpot/core/casts';
import { defined } from '@dewpot/core/math';
import { useNavigate } from 'react-router';
import { castQuery } from '../api/casts';
import { pourQuery } from '../api/pours';
import { Button } from '../ui/button';
import { countedLines, lineAgain, orderAddress, type LineAsked } from '../ui/order-address';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** °C in which the joint of an ordered article is taken to harden: its day is not known yet. */
const JOINT_TEMPERATURE = 20;

/** Orders the parts of an article again, as they were poured, with the hours that their joint takes. */
export function OrderAgain({ article }: { article: NonNullable<CastSnapshot['article']> }) {
  const say = useSay();
  const client = useQueryClient();
  const navigate = useNavigate();
  const lineOf = async (castId: string): Promise<LineAsked> => {
    const { mouldId, pourId } = await client.fetchQuery(castQuery(castId));
    const { input } = await client.fetchQuery(pourQuery(pourId));
    const item = defined(input.items.find((one) => one.mouldId === mouldId));
    const joining = carriesAfter(article.bond, JOINT_TEMPERATURE).value;
    return { ...lineAgain(item, input.mixId), count: 1, joining };
  };
  const order = useMutation({
    mutationFn: async () => countedLines(await Promise.all(article.parts.map(({ castId }) => lineOf(castId)))),
    onSuccess: (lines) => navigate(orderAddress(lines)),
  });
  return (
    <>
      <Button className="mt-2 w-full" disabled={order.isPending} onClick={() => order.mutate()}>
        {say('assembly.orderAgain')}
      </Button>
      <Failure error={order.error} />
    </>
  );
}
