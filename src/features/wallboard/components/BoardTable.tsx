'use client';
import Box from '@mui/material/Box';
import type { ClipboardEvent } from 'react';
import type { Raster } from '@/core/sight';
import { pasted, placeOf, type Axis } from '@/core/wallboard';
import { MONO } from '@/ui/theme';
import { headed, type OnBoard, type Said } from '../said';
import { TileCut } from './TileCut';

export type Names = { coatings: readonly string[]; bodies: readonly string[] };

const HINT: Record<Axis, string> = {
  coating: 'coating',
  body: 'body',
  coats: 'coats',
  nothing: '',
};

/** The board as it will stand on record: headings to type into, every tile cut out of the picture. */
export function BoardTable({
  raster,
  list,
  board,
  counts,
  names,
  at,
  onHeadings,
  onTouch,
}: {
  raster: Raster;
  list: readonly OnBoard[];
  board: Said['board'];
  counts: { rows: number; columns: number };
  names: Names;
  at: string | null;
  onHeadings: (side: 'rows' | 'columns', headings: string[]) => void;
  onTouch: (key: string) => void;
}) {
  const heading = (side: 'rows' | 'columns', i: number) => {
    const { are, headings } = board[side];
    const label = side === 'rows' ? placeOf(i, 0).replace(/\d+$/, '') : String(i + 1);
    if (are === 'nothing') return <span>{label}</span>;
    const put = (written: readonly string[]): void =>
      onHeadings(side, headed(headings, i, written, counts[side]));
    return (
      <Box
        component="input"
        value={headings[i] ?? ''}
        list={are === 'coats' ? undefined : `wall-${are}`}
        placeholder={label}
        title={headings[i] ?? ''}
        aria-label={`${side === 'rows' ? 'Row' : 'Column'} ${label}, ${HINT[are]}`}
        maxLength={80}
        onChange={({ target }) => put([target.value])}
        onPaste={(event: ClipboardEvent) => {
          const written = pasted(event.clipboardData.getData('text'));
          if (written.length < 2) return;
          event.preventDefault();
          put(written);
        }}
        sx={{
          width: side === 'rows' ? 116 : 90,
          minHeight: 40,
          px: 0.5,
          font: 'inherit',
          fontWeight: 650,
          fontSize: side === 'rows' ? 14 : 12.5,
          color: 'text.primary',
          bgcolor: 'background.paper',
          border: '1px solid',
          borderColor: 'divider',
          borderRadius: '4px',
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
        }}
      />
    );
  };
  const by = new Map(list.map((one) => [one.key, one]));
  return (
    <Box sx={{ overflow: 'auto', maxHeight: '76dvh', border: '1px solid', borderColor: 'divider' }}>
      {(['coating', 'body'] as const).map((are) => (
        <datalist key={are} id={`wall-${are}`}>
          {names[are === 'coating' ? 'coatings' : 'bodies'].map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      ))}
      <Box
        component="table"
        aria-label="The board, tile by tile"
        sx={{
          borderCollapse: 'separate',
          borderSpacing: 3,
          '& th': { p: 0, textAlign: 'left', position: 'sticky', bgcolor: 'background.default', zIndex: 1 },
          '& thead th': { top: 0, zIndex: 2 },
          '& tbody th': { left: 0 },
          '& td': { p: 0, verticalAlign: 'top' },
        }}
      >
        <thead>
          <tr>
            <th scope="col" style={{ left: 0 }} />
            {Array.from({ length: counts.columns }, (_, i) => (
              <th key={i} scope="col">
                {heading('columns', i)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: counts.rows }, (_, row) => (
            <tr key={row}>
              <th scope="row">{heading('rows', row)}</th>
              {Array.from({ length: counts.columns }, (_, column) => {
                const one = by.get(`${row}/${column}`);
                return (
                  <td key={column}>
                    {one && <Place one={one} raster={raster} chosen={at === one.key} onTouch={onTouch} />}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** One place of the board; what is unknown of it stands on it. */
function Place({
  one,
  raster,
  chosen,
  onTouch,
}: {
  one: OnBoard;
  raster: Raster;
  chosen: boolean;
  onTouch: (key: string) => void;
}) {
  const name = placeOf(one.row, one.column);
  const words = !one.hangs ? 'empty' : one.own !== '' ? one.own : one.is.lost ? 'not known' : '';
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={chosen}
      aria-label={`${name}, ${one.hangs ? stackWords(one.is) : 'no tile hangs here'}`}
      onClick={() => onTouch(one.key)}
      sx={{
        position: 'relative',
        p: 0,
        border: '3px solid',
        borderColor: chosen ? 'primary.main' : 'transparent',
        bgcolor: 'transparent',
        cursor: 'pointer',
        display: 'block',
        opacity: one.hangs ? 1 : 0.35,
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <TileCut raster={raster} corners={one.corners} alt="" />
      {words !== '' && (
        <Box
          component="span"
          sx={{
            position: 'absolute',
            left: 0,
            right: 0,
            bottom: 0,
            px: 0.25,
            fontSize: 12,
            lineHeight: 1.3,
            bgcolor: 'background.paper',
            color: 'text.primary',
            fontFamily: one.own === '' ? 'inherit' : MONO,
          }}
        >
          {words}
        </Box>
      )}
    </Box>
  );
}

/** What a tile is, in words: "Pitch, over it Tarn, twice above". */
export function stackWords({ coats, lost, doubted }: OnBoard['is']): string {
  if (lost) return 'nobody knows what is on it';
  if (coats.length === 0) return 'bare';
  const part = (from: number, to: number): string =>
    to - from > 0.999 ? '' : from === 0 ? ' below' : ' above';
  const words = coats.map(
    ({ coating, coats: n, stretch }) => `${coating}${n > 1 ? ` ×${n}` : ''}${part(stretch.from, stretch.to)}`,
  );
  return `${doubted ? 'likely ' : ''}${words.join(', then ')}`;
}
