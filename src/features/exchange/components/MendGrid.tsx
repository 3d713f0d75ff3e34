'use client';
import { count } from '@/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useState } from 'react';
import { Nothing } from '@/ui/Page';
import type { ImportOptions } from '../contracts';
import type { ImportPlan } from '../plan';
import { fateOf, whyOf } from './fate';

type Mended = ImportOptions['mended'];
type Line = { line: number; fate: string; why: string } & Record<`c${number}`, string>;

/** Rows that somebody should look at, as they stand in the file: each cell can be written over. */
export function MendGrid({
  plan,
  mended,
  onMended,
}: {
  plan: ImportPlan;
  mended: Mended;
  onMended: (mended: Mended) => void;
}) {
  /** The cell written last, while others say the same. */
  const [alike, setAlike] = useState<(Mended[number] & { others: number }) | null>(null);
  const byLine = new Map(plan.rows.map((row) => [row.line, row]));
  const rows = plan.written.map(({ line, cells }): Line => {
    const row = byLine.get(line)!;
    return {
      line,
      fate: fateOf(row),
      why: whyOf(row),
      ...Object.fromEntries(plan.header.map((_, i) => [`c${i}`, cells[i] ?? ''])),
    };
  });
  const columns: GridColDef<Line>[] = [
    { field: 'line', headerName: 'Line', width: 66, type: 'number' },
    { field: 'fate', headerName: 'Would be', width: 100 },
    { field: 'why', headerName: 'Because', width: 320 },
    ...plan.header.map((title, i): GridColDef<Line> => ({
      field: `c${i}`,
      headerName: title === '' ? `column ${i + 1}` : title,
      minWidth: 110,
      flex: 1,
      editable: true,
    })),
  ];
  const write = (next: Line, was: Line): Line => {
    const column = plan.header.findIndex((_, i) => next[`c${i}`] !== was[`c${i}`]);
    if (column < 0) return was;
    const [from, to] = [was[`c${column}`] ?? '', (next[`c${column}`] ?? '').trim()];
    const one = { column, line: next.line, from, to };
    const others = plan.written.filter(
      ({ line, cells }) => line !== next.line && (cells[column] ?? '') === from,
    ).length;
    setAlike(others > 0 ? { ...one, others } : null);
    onMended([...mended, one]);
    return next;
  };
  if (rows.length === 0) return <Nothing>No row has a remark: there is nothing to mend.</Nothing>;
  return (
    <>
      <Typography variant="body2" sx={{ mb: 1 }}>
        Touch a cell twice, or type into it. The file itself is not changed.
      </Typography>
      {alike !== null && (
        <Alert
          severity="info"
          sx={{ mb: 1 }}
          action={
            <Button
              onClick={() => {
                const { others: _, ...one } = alike;
                onMended([...mended, { ...one, line: null }]);
                setAlike(null);
              }}
            >
              Mend all alike
            </Button>
          }
        >
          {alike.from === '' ? 'Nothing' : `“${alike.from}”`} stands in {count(alike.others, 'more row')}{' '}
          under {plan.header[alike.column] || 'this heading'}.
        </Alert>
      )}
      <DataGrid
        rows={rows}
        columns={columns}
        getRowId={(row) => row.line}
        density="compact"
        getRowHeight={() => 'auto'}
        disableRowSelectionOnClick
        processRowUpdate={write}
        aria-label="Rows to mend"
        sx={{ bgcolor: 'background.paper', '& .MuiDataGrid-cell': { py: 0.5 } }}
        autoHeight
        initialState={{ pagination: { paginationModel: { pageSize: 25 } } }}
        pageSizeOptions={[25, 100]}
      />
      {mended.length > 0 && (
        <Box sx={{ mt: 1 }}>
          <Button
            onClick={() => {
              setAlike(null);
              onMended(mended.slice(0, -1));
            }}
          >
            Take the last mending back ({mended.length})
          </Button>
        </Box>
      )}
    </>
  );
}
