import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** Tiles as they will stand on the board: rows and columns of the design, on the grey of the booth. */
export function Board<T extends { no: number; row: number; column: number }>({
  tiles,
  label,
  render,
  width = 64,
}: {
  tiles: readonly T[];
  label: string;
  render: (tile: T) => ReactNode;
  width?: number;
}) {
  const rows = [...new Set(tiles.map(({ row }) => row))].sort((a, b) => a - b);
  const columns = Math.max(0, ...tiles.map(({ column }) => column)) + 1;
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{ bgcolor: 'booth.ground', color: 'booth.ink', p: 1.5, overflowX: 'auto' }}
    >
      {rows.map((row) => (
        <Box
          key={row}
          sx={{
            display: 'grid',
            gridTemplateColumns: `repeat(${columns}, minmax(${width}px, ${columns > 4 ? '1fr' : '150px'}))`,
            gap: 1,
            mb: 1,
          }}
        >
          {Array.from({ length: columns }, (_, column) => {
            // A repeat stands on its tile's own place; all of them are shown there.
            const here = tiles.filter((tile) => tile.row === row && tile.column === column);
            return (
              <Box key={column} sx={{ display: 'grid', gap: 0.5, alignContent: 'start' }}>
                {here.map((tile) => (
                  <Box key={tile.no}>{render(tile)}</Box>
                ))}
              </Box>
            );
          })}
        </Box>
      ))}
    </Box>
  );
}

/** Letters that corners of a blend go by, in the order in which they were chosen. */
export const LETTERS = ['A', 'B', 'C', 'D'];

/** A tile that has no picture yet: its number and what it is; of a blend, its shares as bars. */
export function Blank({
  no,
  label,
  role,
  shares,
  body,
}: {
  no: number;
  label: string;
  /** Where tiles of several bodies stand on one board. */
  body: string | null;
  role: string;
  shares?: readonly number[] | null;
}) {
  return (
    <Box
      title={label}
      sx={{
        border: role === 'control' ? '2px solid' : '1px solid',
        borderColor: role === 'control' ? 'booth.ink' : 'booth.line',
        borderStyle: role === 'repeat' ? 'dashed' : 'solid',
        minHeight: 74,
        p: 0.75,
        lineHeight: 1.15,
      }}
    >
      <Typography sx={{ fontWeight: 700, fontSize: '1.05rem', lineHeight: 1.2 }}>
        {no}
        {body !== null && (
          <Typography component="span" sx={{ fontSize: '0.75rem', fontWeight: 650, ml: 0.75 }}>
            {body}
          </Typography>
        )}
      </Typography>
      {shares ? (
        <Box role="img" aria-label={label} sx={{ display: 'flex', gap: '3px', alignItems: 'flex-end' }}>
          {shares.map((share, i) => (
            <Box key={i} sx={{ flex: 1, textAlign: 'center' }}>
              <Box sx={{ height: 30, display: 'flex', alignItems: 'flex-end' }}>
                <Box
                  sx={{
                    width: '100%',
                    height: `${Math.max(share > 0 ? 6 : 0, share * 100)}%`,
                    bgcolor: 'booth.ink',
                  }}
                />
              </Box>
              <Typography sx={{ fontSize: '0.7rem', lineHeight: 1.1 }}>{LETTERS[i]}</Typography>
            </Box>
          ))}
        </Box>
      ) : (
        <Typography sx={{ fontSize: '0.75rem', lineHeight: 1.2, overflowWrap: 'anywhere' }}>
          {label}
          {role === 'control' ? ' · control' : ''}
        </Typography>
      )}
    </Box>
  );
}

/** Shares of a mix by corner, when it is a blend of several. */
export const sharesOf = (
  mix: { shares: Record<string, number> } | null,
  corners: readonly string[],
): number[] | null =>
  mix === null || corners.length < 2 ? null : corners.map((corner) => mix.shares[corner] ?? 0);

/** Which letter stands for which corner. */
export function Legend({ names }: { names: readonly string[] }) {
  return (
    <Typography sx={{ mt: 1 }}>
      {names.map((name, i) => (
        <span key={name}>
          {i > 0 && ', '}
          <b>{LETTERS[i]}</b> {name}
        </span>
      ))}
    </Typography>
  );
}
