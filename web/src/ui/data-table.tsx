import { useMemo, type ReactNode } from 'react';
import { createColumnHelper, rowSortingFeature, tableFeatures, useTable, type RowData } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { unparse } from 'papaparse';
import { useSay } from './say';

const features = tableFeatures({ rowSortingFeature });

/** One column: what it exports, what it shows, and the orders of the list that it stands for. */
export interface TableColumn<Row> {
  readonly id: string;
  readonly title: string;
  readonly value: (row: Row) => string | number;
  readonly show?: (row: Row) => ReactNode;
  readonly right?: boolean;
  readonly rising?: string | undefined;
  readonly falling?: string | undefined;
}

/** Rows as CSV, under the titles of their columns. */
export const csvOf = <Row,>(rows: readonly Row[], columns: readonly TableColumn<Row>[]): string =>
  unparse(rows.map((row) => Object.fromEntries(columns.map(({ title, value }) => [title, value(row)]))));

/** The head of a column, by which the list is ordered where it can be. */
function Head<Row>({
  column: { title, right, rising, falling },
  order,
  onOrder,
}: {
  column: TableColumn<Row>;
  order: string;
  onOrder: (order: string) => void;
}) {
  const next = order === rising ? (falling ?? rising) : (rising ?? falling);
  const sorted = order === rising ? 'ascending' : order === falling ? 'descending' : 'none';
  return (
    <th scope="col" {...(next && { 'aria-sort': sorted })} className={right ? 'text-right' : ''}>
      {next ? (
        <button
          type="button"
          className="text-base-content inline-flex min-h-8 items-center gap-1 font-semibold"
          onClick={() => onOrder(next)}
        >
          {title}
          {sorted === 'ascending' && <ArrowUp size={14} aria-hidden="true" />}
          {sorted === 'descending' && <ArrowDown size={14} aria-hidden="true" />}
        </button>
      ) : (
        <span className="text-base-content font-semibold">{title}</span>
      )}
    </th>
  );
}

/** The rows of a list's page as a table. The list itself is ordered by its heads: `order` is the one at hand. */
export function DataTable<Row extends RowData>({
  name,
  rows,
  columns,
  order,
  onOrder,
}: {
  name: string;
  rows: readonly Row[];
  columns: readonly TableColumn<Row>[];
  order: string;
  onOrder: (order: string) => void;
}) {
  const say = useSay();
  const data = useMemo(() => [...rows], [rows]);
  const shaped = useMemo(() => {
    const helper = createColumnHelper<typeof features, Row>();
    return helper.columns(
      columns.map(({ id, value, show }) =>
        helper.accessor(value, { id, cell: ({ row }) => show?.(row.original) ?? value(row.original) }),
      ),
    );
  }, [columns]);
  const table = useTable({ features, columns: shaped, data, manualSorting: true });
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={say('ui.asTable', { name })}>
      <table className="table-sm table">
        <thead>
          <tr>
            {columns.map((column) => (
              <Head key={column.id} column={column} order={order} onOrder={onOrder} />
            ))}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="hover:bg-base-200">
              {row.getAllCells().map((cell, i) => (
                <td key={cell.id} className={columns[i]?.right ? 'text-right' : ''}>
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
