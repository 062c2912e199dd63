import { Box, Flex, Text } from '@chakra-ui/react';
import {
  createFilteredRowModel,
  createSortedRowModel,
  filterFns,
  globalFilteringFeature,
  columnFilteringFeature,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { count } from './format.ts';
import { SearchField } from './SearchField.tsx';
import styles from './DataTable.module.css';

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns,
  sortFns,
});

/** One column of a table: what it is sorted and searched by, and how it is shown. */
export interface Column<Row> {
  readonly id: string;
  readonly title: string;
  /** What it is sorted by and searched in; null for nothing known, which comes last. */
  readonly value: (row: Row) => string | number | null;
  /** How it is shown; the value itself where this is not said. */
  readonly show?: (row: Row) => ReactNode;
  /** Numbers stand at the right, and the greatest comes first. */
  readonly numeric?: boolean;
  /** It names the row. */
  readonly names?: boolean;
  /** Buttons: neither sorted nor printed. */
  readonly deeds?: boolean;
}

/**
 * Records as a table: sorted by a tap or a key on a heading, narrowed as one types, wide on paper; on a narrow screen each row
 * is a block whose values bear their headings.
 */
export function DataTable<Row extends RowData>({
  label,
  rows,
  columns,
  rowId,
  find,
  none,
  sorted = [],
  marks,
}: {
  readonly label: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row>[];
  readonly rowId: (row: Row) => string;
  /** The label of the field that narrows it; none where there is none. */
  readonly find?: string;
  /** What is said where there is no row at all. */
  readonly none: string;
  readonly sorted?: SortingState;
  /** Rows that ask for attention. */
  readonly marks?: (row: Row) => 'alarm' | 'past' | undefined;
}) {
  const [sorting, setSorting] = useState<SortingState>(sorted);
  const [wanted, setWanted] = useState('');
  const defs = useMemo(
    () =>
      columns.map((c): ColumnDef<typeof features, Row, unknown> => ({
        id: c.id,
        header: c.title,
        accessorFn: (row) => c.value(row) ?? undefined,
        enableSorting: !c.deeds,
        enableGlobalFilter: !c.deeds,
        sortDescFirst: c.numeric ?? false,
        sortUndefined: 'last',
        sortFn: c.numeric ? 'basic' : 'alphanumeric',
      })),
    [columns],
  );
  const table = useTable({
    features,
    columns: defs,
    data: rows,
    getRowId: rowId,
    state: { sorting, globalFilter: wanted },
    onSortingChange: setSorting,
    onGlobalFilterChange: setWanted,
    getColumnCanGlobalFilter: () => true,
    globalFilterFn: 'includesString',
  });
  const shown = table.getRowModel().rows;
  if (rows.length === 0) return <Text color="inkSoft">{none}</Text>;
  const byId = new Map(columns.map((c) => [c.id, c]));
  return (
    <>
      {find !== undefined && rows.length > 6 && (
        <SearchField label={find} value={wanted} onChange={setWanted} />
      )}
      <Box className={styles.scroll} role="region" aria-label={label} tabIndex={0}>
        <table className={styles.table} aria-label={label}>
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                {group.headers.map((h) => {
                  const column = byId.get(h.column.id);
                  const way = h.column.getIsSorted();
                  return (
                    <th
                      key={h.id}
                      scope="col"
                      data-numeric={column?.numeric || undefined}
                      data-deeds={column?.deeds || undefined}
                      aria-sort={way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : undefined}
                    >
                      {h.column.getCanSort() ? (
                        <button
                          type="button"
                          className={styles.sort}
                          onClick={h.column.getToggleSortingHandler()}
                        >
                          {column?.title}
                          <Way way={way} />
                        </button>
                      ) : (
                        <span className={styles.forReaders}>{column?.title}</span>
                      )}
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={row.id} data-mark={marks?.(row.original)}>
                {columns.map((c) => {
                  const content = c.show ? c.show(row.original) : (c.value(row.original) ?? '–');
                  return c.names ? (
                    <th key={c.id} scope="row">
                      {content}
                    </th>
                  ) : (
                    <td
                      key={c.id}
                      data-title={c.deeds ? undefined : c.title}
                      data-numeric={c.numeric || undefined}
                      data-deeds={c.deeds || undefined}
                    >
                      {content}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      {wanted !== '' && (
        <Flex as="p" role="status" color="inkSoft" mt={2}>
          {shown.length === 0 ? 'Nothing fits.' : `${shown.length} of ${count(rows.length, 'row')}.`}
        </Flex>
      )}
    </>
  );
}

function Way({ way }: { readonly way: false | 'asc' | 'desc' }) {
  const Icon = way === 'asc' ? ArrowUp : way === 'desc' ? ArrowDown : ArrowUpDown;
  return <Icon size={15} aria-hidden data-sorted={way !== false || undefined} />;
}
