'use client';
import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { DataGrid, type GridColDef, type GridRowSelectionModel } from '@mui/x-data-grid';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { MONO } from '@/ui/theme';
import { PutRight } from '../components/PutRight';
import * as contracts from '../contracts';

export type PieceRow = {
  id: string;
  code: string;
  mark: string;
  stack: string;
  body: string;
  form: string;
  state: string;
  owner: string;
  made: string;
  flags: number;
  surface: string;
  signs: string;
  cone: string;
  verdict: string;
};

const COLUMNS: GridColDef<PieceRow>[] = [
  {
    field: 'code',
    headerName: 'Code',
    width: 104,
    renderCell: ({ value }) => (
      <Link href={`/pieces/${value}`} prefetch={false} style={{ fontFamily: MONO, fontWeight: 700 }}>
        {value}
      </Link>
    ),
  },
  { field: 'mark', headerName: 'Mark', width: 100 },
  { field: 'stack', headerName: 'Layers', flex: 1, minWidth: 220 },
  { field: 'body', headerName: 'Body', width: 120 },
  { field: 'surface', headerName: 'Surface', width: 90 },
  { field: 'signs', headerName: 'Signs', width: 150 },
  { field: 'cone', headerName: 'Cone', width: 110 },
  { field: 'verdict', headerName: 'Verdict', width: 90 },
  { field: 'form', headerName: 'Form', width: 110 },
  { field: 'state', headerName: 'Where it is', width: 190 },
  { field: 'owner', headerName: 'Belongs to', width: 130 },
  { field: 'flags', headerName: 'Flags', type: 'number', width: 76 },
  { field: 'made', headerName: 'Made', width: 110 },
];

/** Pieces as a table that sorts, filters and bins. */
export function PieceGrid({
  rows,
  binned,
  edit,
  bodies,
  people,
}: {
  rows: readonly PieceRow[];
  binned: boolean;
  edit: boolean;
  bodies: readonly { id: string; name: string }[];
  people: readonly { id: string; name: string }[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [selection, setSelection] = useState<GridRowSelectionModel>({
    type: 'include',
    ids: new Set(),
  });
  const chosen =
    selection.type === 'include'
      ? [...selection.ids].map(String)
      : rows.filter((row) => !selection.ids.has(row.id)).map((row) => row.id);
  const bin = async (pieceIds: string[], into: boolean): Promise<void> => {
    const answer = await act(contracts.bin, { pieceIds, binned: into });
    if (!answer.ok) return;
    setSelection({ type: 'include', ids: new Set() });
    say(`${count(pieceIds.length, 'piece')} ${into ? 'in the bin' : 'back'}`, answer.undo);
    router.refresh();
  };
  return (
    <>
      <ProblemNote>{problem}</ProblemNote>
      {edit && (
        <PutRight
          pieces={rows.filter(({ id }) => chosen.includes(id)).slice(0, 500)}
          bodies={bodies}
          people={people}
          label={`Put ${chosen.length || ''} right …`}
          done={() => setSelection({ type: 'include', ids: new Set() })}
        />
      )}
      {edit && (
        <Button
          disabled={busy || chosen.length === 0 || chosen.length > 500}
          onClick={() => void bin(chosen, !binned)}
          sx={{ mb: 1 }}
        >
          {binned ? `Take ${chosen.length || ''} out of the bin` : `Put ${chosen.length || ''} in the bin`}
        </Button>
      )}
      <DataGrid
        rows={rows}
        columns={COLUMNS}
        density="compact"
        checkboxSelection={edit}
        disableRowSelectionOnClick
        rowSelectionModel={selection}
        onRowSelectionModelChange={setSelection}
        initialState={{ pagination: { paginationModel: { pageSize: 50 } } }}
        pageSizeOptions={[25, 50, 100]}
        sx={{ bgcolor: 'background.paper' }}
        autoHeight
        showToolbar
        aria-label="Pieces"
      />
    </>
  );
}
