import { useRef, useState } from 'react';
import { proxy } from 'comlink';
import type { BuyBy, CalendarPlan, HeldUpBy, WayOut } from '@dewpot/core/calendar';
import type { CalendarData } from '../workers/calendar-work';
import { useCalendarWork } from './use-calendar-work';

/** What would help a plan, as far as it was found out. */
export interface Help {
  readonly ways: readonly WayOut[];
  readonly held?: HeldUpBy;
  readonly buy: readonly BuyBy[];
  readonly over: boolean;
}
const noHelp: Help = { ways: [], buy: [], over: false };

/** Looks for what would help, one thing after another, in a worker of its own: no session that is moved waits for it. */
export function useHelp(data: CalendarData) {
  const { ask, end } = useCalendarWork(data);
  const [help, setHelp] = useState<Help>(noHelp);
  const turn = useRef(0);
  const forget = () => {
    turn.current += 1;
    end();
    setHelp(noHelp);
  };
  const look = async (plan: CalendarPlan) => {
    forget();
    const mine = turn.current;
    const told = (part: (help: Help) => Help) => mine === turn.current && setHelp(part);
    const buy = await ask((work) => work.buy(plan));
    told((one) => ({ ...one, buy }));
    const found = proxy((way: WayOut) => void told((one) => ({ ...one, ways: [...one.ways, way] })));
    await ask((work) => work.help(plan, found));
    const held = await ask((work) => work.heldUp(plan));
    told((one) => ({ ...one, ...(held && { held }), over: true }));
  };
  return { help, look, forget };
}
