import type { SeasonMonth } from '@dewpot/core/money';
import type { Speaker } from '@dewpot/locales';
import type { TableColumn } from '../ui/data-table';

const rounded = (value: number) => Math.round(value * 100) / 100;

/** Columns of a season month by month, for tables and files: masses kg, volumes L, money in the workshop's own. */
export const seasonColumns = (say: Speaker): TableColumn<SeasonMonth>[] => {
  const column = (id: keyof SeasonMonth, title: string, per = 1): TableColumn<SeasonMonth> => ({
    id,
    title,
    right: true,
    value: (month) => rounded(Number(month[id]) / per),
  });
  return [
    { id: 'month', title: say('money.monthHead'), value: ({ month }) => month },
    column('casts', say('money.pieces')),
    column('good', say('money.goodOnes')),
    column('seen', say('money.lookedAt')),
    column('broken', say('money.brokenOnes')),
    column('mass', say('money.made'), 1000),
    column('volume', say('money.mixed'), 1000),
    column('leftover', say('money.leftOver'), 1000),
    column('spent', say('money.spent')),
    column('wasted', say('money.wasted')),
    column('sold', say('money.sold')),
    column('income', say('money.income')),
  ];
};
