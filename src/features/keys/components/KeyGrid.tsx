'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import Link from '@/ui/Link';
import { Picture } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import { putRight } from '../../pieces/contracts';
import {
  changesOf,
  COAT_FIELDS,
  filledDown,
  pasted,
  readKeyRow,
  type KeyCoating,
  type KeyPiece,
} from '../key-grid';
import { useGridDraft } from '../useGridDraft';

export type GridPiece = KeyPiece & {
  code: string;
  mark: string | null;
  form: string;
  /** Its newest picture. */
  sha: string | null;
  /** What was seen of it, in words. */
  seen: string;
};

const HEADINGS = ['First coat', 'Over it', 'Over that'];

/**
 * What lies on many pieces, typed in a grid: words of the store's coatings, "x2" for two coats, "none" for
 * bare. Pasted from a spreadsheet they spread over the cells; Ctrl+D fills a column down. What stays empty is
 * not known.
 */
export function KeyGrid({
  about,
  pieces,
  coatings,
}: {
  /** What is begun is kept on this device under this name. */
  about: string;
  pieces: readonly GridPiece[];
  coatings: readonly KeyCoating[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const names = useId();
  const table = useRef<HTMLTableElement>(null);
  const { grid, setGrid, forget } = useGridDraft(
    about,
    pieces.map(({ id }) => id),
  );
  const [sure, setSure] = useState(true);
  const read = grid.map((cells) => readKeyRow(cells, coatings));
  const changes = changesOf(pieces, read, sure);
  const known = changes.reduce((sum, { pieceIds }) => sum + pieceIds.length, 0);
  const wrong = read.filter(({ says }) => says === 'wrong').length;
  const write = (row: number, column: number, text: string): void =>
    setGrid(
      grid.map((cells, r) => cells.map((cell, c) => (r === row && c === column ? text.slice(0, 200) : cell))),
    );
  const go = (row: number, column: number): void =>
    table.current?.querySelector<HTMLInputElement>(`[data-cell="${row}/${column}"]`)?.focus();
  const onKey = (event: KeyboardEvent, row: number, column: number): void => {
    const { key, ctrlKey, metaKey } = event;
    if ((ctrlKey || metaKey) && key.toLowerCase() === 'd') setGrid(filledDown(grid, row, column));
    else if (key === 'Enter' || key === 'ArrowDown') go(row + 1, column);
    else if (key === 'ArrowUp') go(row - 1, column);
    else return;
    event.preventDefault();
  };
  const save = async (): Promise<void> => {
    const answer = await act(putRight, { changes });
    if (!answer.ok) return;
    say(`${count(known, 'piece')} with their coats`, answer.undo);
    forget();
    router.refresh();
  };
  return (
    <>
      <datalist id={names}>
        {coatings.map(({ name, versionId }) => (
          <option key={versionId} value={name} />
        ))}
        <option value="none" />
        <option value="not known" />
      </datalist>
      <Box sx={{ overflowX: 'auto' }}>
        <Box
          component="table"
          ref={table}
          sx={{
            borderCollapse: 'collapse',
            '& th, & td': {
              borderTop: '1px solid',
              borderColor: 'divider',
              p: 0.5,
              textAlign: 'left',
            },
          }}
        >
          <thead>
            <tr>
              <th scope="col">Piece</th>
              <th scope="col">Seen</th>
              {HEADINGS.slice(0, COAT_FIELDS).map((heading) => (
                <th key={heading} scope="col">
                  {heading}
                </th>
              ))}
              <th aria-label="How it is read" />
            </tr>
          </thead>
          <tbody>
            {pieces.map((piece, row) => {
              const says = read[row]!;
              return (
                <tr key={piece.id}>
                  <Box component="th" scope="row" sx={{ minWidth: 150 }}>
                    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                      {piece.sha !== null && (
                        <Box sx={{ width: 44, flex: 'none' }}>
                          <Picture sha={piece.sha} alt="" />
                        </Box>
                      )}
                      <Box>
                        <Typography sx={{ fontWeight: 700, fontSize: '1.1rem' }}>
                          {piece.mark ?? piece.code}
                        </Typography>
                        <Typography variant="body2" sx={{ fontFamily: MONO }}>
                          <Link href={`/pieces/${piece.code}`}>{piece.code}</Link>, {piece.form}
                        </Typography>
                      </Box>
                    </Box>
                  </Box>
                  <Box component="td" sx={{ minWidth: 120, maxWidth: 220, fontSize: '0.85rem' }}>
                    {piece.seen}
                  </Box>
                  {grid[row]!.map((cell, column) => (
                    <td key={column}>
                      <Box
                        component="input"
                        value={cell}
                        list={names}
                        data-cell={`${row}/${column}`}
                        aria-label={`${piece.mark ?? piece.code}, ${HEADINGS[column]!.toLowerCase()}`}
                        aria-invalid={says.says === 'wrong' && says.at === column}
                        placeholder={column === 0 ? 'not known' : ''}
                        onChange={(event) => write(row, column, event.target.value)}
                        onKeyDown={(event) => onKey(event, row, column)}
                        onPaste={(event) => {
                          const text = event.clipboardData.getData('text/plain');
                          if (!/[\t\n]/.test(text.trim())) return;
                          event.preventDefault();
                          setGrid(pasted(grid, row, column, text));
                        }}
                        sx={{
                          font: 'inherit',
                          width: 150,
                          minHeight: 44,
                          px: 1,
                          border: '1px solid',
                          borderColor: says.says === 'wrong' && says.at === column ? 'error.main' : 'divider',
                          bgcolor: 'background.paper',
                          color: 'text.primary',
                        }}
                      />
                    </td>
                  ))}
                  <Box component="td" sx={{ minWidth: 130 }}>
                    {says.says === 'known' && says.coats.length === 0 && 'bare'}
                    {says.says === 'known' && says.likely && 'likely so'}
                    {says.says === 'not known' && 'stays not known'}
                    {says.says === 'wrong' && (
                      <Typography variant="body2" color="error">
                        {says.why}{' '}
                        {says.near !== null && (
                          <Button size="small" onClick={() => write(row, says.at, says.near!)}>
                            {says.near}?
                          </Button>
                        )}
                      </Typography>
                    )}
                  </Box>
                </tr>
              );
            })}
          </tbody>
        </Box>
      </Box>
      <FormControlLabel
        sx={{ my: 1 }}
        control={<Switch checked={sure} onChange={(event) => setSure(event.target.checked)} />}
        label={sure ? 'From a record: a list, a board, a spoken note' : 'From memory: likely so'}
      />
      <ProblemNote>{problem}</ProblemNote>
      <Box sx={{ position: 'sticky', bottom: 0, bgcolor: 'background.default', py: 1.5 }}>
        <Button
          variant="contained"
          size="large"
          disabled={busy || known === 0}
          onClick={() => void save()}
          sx={{ minHeight: 56 }}
        >
          {known === 0 ? 'Nothing said yet' : `Keep what is on ${count(known, 'piece')}`}
        </Button>{' '}
        {wrong > 0 && `${count(wrong, 'row')} cannot be read and will stay open.`}
      </Box>
    </>
  );
}
