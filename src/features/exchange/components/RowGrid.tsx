'use client';
import { formatCone } from '@/core/cones';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { useState } from 'react';
import type { ImportOptions } from '../contracts';
import type { ImportRow } from '../interpret';
import type { ImportPlan } from '../plan';
import { fateOf, whyOf } from './fate';
import { MendGrid } from './MendGrid';

const COLUMNS: GridColDef<ImportRow>[] = [
  { field: 'line', headerName: 'Line', width: 66, type: 'number' },
  {
    field: 'fate',
    headerName: 'Would be',
    width: 110,
    valueGetter: (_, row) => fateOf(row),
  },
  {
    field: 'why',
    headerName: 'Because',
    flex: 1.3,
    minWidth: 240,
    valueGetter: (_, row) => whyOf(row),
  },
  { field: 'mark', headerName: 'Mark', width: 90 },
  { field: 'body', headerName: 'Body', width: 110 },
  {
    field: 'coats',
    headerName: 'First on → last on',
    flex: 1,
    minWidth: 200,
    valueGetter: (_, row) =>
      row.coats.map((coat) => `${coat.coating}${coat.coats > 1 ? ` × ${coat.coats}` : ''}`).join(' → '),
  },
  {
    field: 'cone',
    headerName: 'Cone',
    width: 84,
    valueGetter: (value: string | null) => (value === null ? 'unknown' : formatCone(value)),
  },
  { field: 'key', headerName: 'Key', width: 76 },
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

/** What would happen to each row, refused ones first. */
function Understood({ rows }: { rows: readonly ImportRow[] }) {
  return (
    <DataGrid
      rows={rows}
      columns={COLUMNS}
      getRowId={(row) => row.line}
      density="compact"
      getRowHeight={() => 'auto'}
      disableRowSelectionOnClick
      aria-label="Rows of the file"
      sx={{ bgcolor: 'background.paper', '& .MuiDataGrid-cell': { py: 0.5 } }}
      autoHeight
      initialState={{
        sorting: { sortModel: [{ field: 'fate', sort: 'desc' }] },
        pagination: { paginationModel: { pageSize: 25 } },
      }}
      pageSizeOptions={[25, 100]}
    />
  );
}

/** The rows as they are understood, and as they are written, where they are mended. */
export function RowGrid({
  plan,
  mended,
  onMended,
}: {
  plan: ImportPlan;
  mended: ImportOptions['mended'];
  onMended: (mended: ImportOptions['mended']) => void;
}) {
  const [view, setView] = useState<'understood' | 'written'>('understood');
  return (
    <>
      <Tabs
        value={view}
        onChange={(_, to: typeof view) => setView(to)}
        aria-label="How the rows are shown"
        sx={{ mb: 1 }}
      >
        <Tab value="understood" label="As understood" />
        <Tab value="written" label={`As written, to mend: ${plan.written.length}`} />
      </Tabs>
      {view === 'understood' ? (
        <Understood rows={plan.rows} />
      ) : (
        <MendGrid plan={plan} mended={mended} onMended={onMended} />
      )}
    </>
  );
}
