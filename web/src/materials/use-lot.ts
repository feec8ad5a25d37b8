import { useState } from 'react';
import type { LotView } from '@dewpot/contract';
import { format } from 'date-fns';
import { v7 as uuid } from 'uuid';
import { useSaveStore } from '../api/materials';
import { useNow } from '../ui/use-now';

const noon = (day: string) => new Date(`${day}T12:00`).getTime();
const dayOf = (at: number) => format(at, 'yyyy-MM-dd');

/** A lot that is being typed in; `money`, `bagsWrong` and the like say what its fields come to. */
export function useLot(lot: LotView | undefined, materialId: string, onKept: () => void) {
  const now = useNow();
  const save = useSaveStore();
  const [id] = useState(() => lot?.id ?? uuid());
  const [tried, setTried] = useState(false);
  const [draft, setDraft] = useState({
    materialId,
    bought: (lot?.bought ?? 25_000) as number | undefined,
    left: lot?.left,
    price: String(lot?.price ?? ''),
    day: dayOf(lot?.boughtAt ?? now),
    bags: lot?.bags ?? 1,
    opened: lot?.openedAt === undefined ? '' : dayOf(lot.openedAt),
    lumpy: lot?.lumpy ?? false,
  });
  const { bought, left = bought, bags, opened } = draft;
  const price = Number(draft.price.replace(',', '.'));
  const wrong = {
    bought: bought === undefined,
    price: draft.price.trim() === '' || !Number.isFinite(price) || price < 0,
    bags: !Number.isInteger(bags) || bags < 1,
  };
  const keep = () => {
    if (bought === undefined || left === undefined || wrong.price || wrong.bags) return setTried(true);
    const dates = { boughtAt: noon(draft.day), ...(opened && { openedAt: noon(opened) }) };
    const { lumpy, materialId: of } = draft;
    const input = { materialId: of, bought, left, price, ...dates, bags, lumpy, version: lot?.version ?? 0 };
    save.mutate({ id, kind: 'lots', input }, { onSuccess: onKept });
  };
  return {
    id,
    draft,
    set: (part: Partial<typeof draft>) => setDraft({ ...draft, ...part }),
    /** A field's error once one has tried to keep it. */
    error: (field: keyof typeof wrong, remedy: string) => (tried && wrong[field] ? remedy : undefined),
    today: dayOf(now),
    save,
    keep,
  };
}
