import { useMemo, useState, type ReactNode } from 'react';
import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFns,
  globalFilteringFeature,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type RowData,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Download } from 'lucide-react';
import { unparse } from 'papaparse';
import { Button } from './button';
import { saveFile } from './save-file';
import { useSay } from './say';

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns,
  sortFns,
});

/** One column: what it sorts, filters and exports by, and what it shows. */
export interface TableColumn<Row> {
  readonly id: string;
  readonly title: string;
  readonly value: (row: Row) => string | number;
  readonly show?: (row: Row) => ReactNode;
  readonly right?: boolean;
}

/** Rows as CSV, under the titles of their columns. */
const csvOf = <Row,>(rows: readonly { readonly original: Row }[], columns: readonly TableColumn<Row>[]) =>
  unparse(rows.map(({ original }) => Object.fromEntries(columns.map(({ title, value }) => [title, value(original)]))));

function FilterBar({
  word,
  told,
  onWord,
  onExport,
}: {
  word: string;
  /** How many rows are shown. */
  told: string;
  onWord: (word: string) => void;
  onExport: () => void;
}) {
  const say = useSay();
  return (
    <div className="no-print mb-2 flex flex-wrap items-center gap-2">
      <input
        type="search"
        aria-label={say('ui.showOnlyRows')}
        placeholder={say('ui.onlyRows')}
        className="input input-bordered h-11 w-full max-w-64"
        value={word}
        onChange={(event) => onWord(event.target.value)}
      />
      <span className="quiet text-sm">{told}</span>
      <Button size="low" className="ml-auto" onClick={onExport}>
        <Download size={16} aria-hidden="true" /> {say('ui.csv')}
      </Button>
    </div>
  );
}

/** The head of a column, by which the table is sorted. */
function SortHead({
  sorted,
  right,
  onSort,
  children,
}: {
  sorted: false | 'asc' | 'desc';
  right: boolean;
  onSort: ((event: unknown) => void) | undefined;
  children: ReactNode;
}) {
  return (
    <th
      scope="col"
      aria-sort={sorted === false ? 'none' : sorted === 'asc' ? 'ascending' : 'descending'}
      className={right ? 'text-right' : ''}
    >
      <button
        type="button"
        className="text-base-content inline-flex min-h-8 items-center gap-1 font-semibold"
        onClick={onSort}
      >
        {children}
        {sorted === 'asc' && <ArrowUp size={14} aria-hidden="true" />}
        {sorted === 'desc' && <ArrowDown size={14} aria-hidden="true" />}
      </button>
    </th>
  );
}

/** A table that sorts by its heads, filters by any word, and exports what it shows as CSV. `name` names the file. */
export function DataTable<Row extends RowData>({
  name,
  rows,
  columns,
  empty,
}: {
  name: string;
  rows: readonly Row[];
  columns: readonly TableColumn<Row>[];
  empty: string;
}) {
  const say = useSay();
  const [word, setWord] = useState('');
  const data = useMemo(() => [...rows], [rows]);
  const shaped = useMemo(() => {
    const helper = createColumnHelper<typeof features, Row>();
    return helper.columns(
      columns.map(({ id, title, value, show }) =>
        helper.accessor(value, {
          id,
          header: title,
          sortFn: 'alphanumeric',
          cell: ({ row }) => show?.(row.original) ?? value(row.original),
        }),
      ),
    );
  }, [columns]);
  const table = useTable({ features, columns: shaped, data, globalFilterFn: 'includesString' });
  const shown = table.getRowModel().rows;
  const exported = () => saveFile(`${name}.csv`, csvOf(shown, columns), 'text/csv;charset=utf-8');
  return (
    <div>
      <FilterBar
        word={word}
        told={say('ui.shownOf', { shown: shown.length, rows: rows.length })}
        onWord={(next) => {
          setWord(next);
          table.setGlobalFilter(next);
        }}
        onExport={exported}
      />
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={say('ui.asTable', { name })}>
        <table className="table-sm table">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                {group.headers.map((header, i) => (
                  <SortHead
                    key={header.id}
                    sorted={header.column.getIsSorted()}
                    right={columns[i]?.right ?? false}
                    onSort={header.column.getToggleSortingHandler()}
                  >
                    <table.FlexRender header={header} />
                  </SortHead>
                ))}
              </tr>
            ))}
          </thead>
          <tbody>
            {shown.map((row) => (
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
      {shown.length === 0 && <p className="quiet py-4">{empty}</p>}
    </div>
  );
}
