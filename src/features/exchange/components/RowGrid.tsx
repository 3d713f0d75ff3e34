'use client';
import { formatCone } from '@/core/cones';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import type { ImportRow } from '../interpret';

const COLUMNS: GridColDef<ImportRow>[] = [
  { field: 'line', headerName: 'Line', width: 66, type: 'number' },
  {
    field: 'fate',
    headerName: 'Would be',
    width: 110,
    valueGetter: (_, row) =>
      row.errors.length > 0 ? 'refused' : row.warnings.length > 0 ? 'added, but' : 'added',
  },
  {
    field: 'why',
    headerName: 'Because',
    flex: 1.3,
    minWidth: 240,
    valueGetter: (_, row) => [...row.errors, ...row.warnings].join(' '),
  },
  { field: 'mark', headerName: 'Mark', width: 90 },
  { field: 'body', headerName: 'Body', width: 110 },
  {
    field: 'coats',
    headerName: 'First on → last on',
    flex: 1,
    minWidth: 200,
    valueGetter: (_, row) =>
      row.coats
        .map((coat) => `${coat.coating}${coat.coats > 1 ? ` × ${coat.coats}` : ''}`)
        .join(' → '),
  },
  {
    field: 'cone',
    headerName: 'Cone',
    width: 84,
    valueGetter: (value: string | null) => (value === null ? 'unknown' : formatCone(value)),
  },
  { field: 'atmosphere', headerName: 'Atmosphere', width: 130 },
  {
    field: 'date',
    headerName: 'Fired',
    width: 104,
    valueGetter: (value: string | null) => value ?? 'unknown',
  },
  {
    field: 'signs',
    headerName: 'Signs',
    width: 150,
    valueGetter: (_, row) => row.signs.map((sign) => sign.sign).join(', '),
  },
];

/** What would happen to each row; refused ones first. */
export function RowGrid({ rows }: { rows: readonly ImportRow[] }) {
  return (
    <DataGrid
      rows={rows}
      columns={COLUMNS}
      getRowId={(row) => row.line}
      density="compact"
      disableRowSelectionOnClick
      aria-label="Rows of the file"
      sx={{ bgcolor: 'background.paper' }}
      autoHeight
      initialState={{
        sorting: { sortModel: [{ field: 'fate', sort: 'desc' }] },
        pagination: { paginationModel: { pageSize: 25 } },
      }}
      pageSizeOptions={[25, 100]}
    />
  );
}
