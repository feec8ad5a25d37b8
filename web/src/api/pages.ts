import { MINUTE } from '@dewpot/core/units';
// The classes that check requests stay out of what a browser fetches first.
import { MOST_ON_PAGE, type Page } from '@dewpot/contract/page';
import { queryOptions } from '@tanstack/react-query';
import { ask } from './client';

/** What is asked of a list, as its address has it. */
export type Asked = Readonly<Record<string, string>>;

const pathOf = (list: string, asked: Asked) => `${list}?${new URLSearchParams(asked).toString()}`;

/** One page of a list of the server. */
export const pageQuery = <Row>(list: string, asked: Asked = {}) =>
  queryOptions({
    queryKey: [list, 'page', asked],
    queryFn: ({ signal }) => ask<Page<Row>>('GET', pathOf(list, asked), undefined, signal),
    // The plain list is kept for when there is no connection; what was once looked for is not.
    ...(Object.keys(asked).length > 0 && { gcTime: 5 * MINUTE }),
  });

/** Every row of a list that is asked for, page after page. */
export async function everyRow<Row>(list: string, { after: _, before: __, ...asked }: Asked): Promise<Row[]> {
  const rows: Row[] = [];
  let after: string | null = null;
  do {
    const more: Asked = { ...asked, size: String(MOST_ON_PAGE), ...(after !== null && { after }) };
    const page: Page<Row> = await ask<Page<Row>>('GET', pathOf(list, more));
    rows.push(...page.rows);
    after = page.after;
  } while (after !== null);
  return rows;
}
