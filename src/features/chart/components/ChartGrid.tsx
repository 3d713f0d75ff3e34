'use client';
import Box from '@mui/material/Box';
import { positionKey, type Pair, type Position } from '../board';
import { cellWords, pairWords, placeWords, type Place } from '../words';
import { CellPicture } from './CellPicture';
import type { ChartProps } from './Chart';

/** The cells themselves, with their heads that stay in sight. */
export function ChartGrid({
  axis,
  name,
  place,
  positions,
  pairAt,
  turned,
  width,
  stepsBack,
  onOpen,
  ...props
}: Pick<ChartProps, 'axis' | 'units' | 'share'> & {
  name: (slug: string) => string;
  place: Place;
  positions: ReadonlyMap<string, Position>;
  pairAt: (row: number, column: number) => Pair;
  turned: boolean;
  width: number;
  /** Is a cell none of those that are looked for? It stays in its place. */
  stepsBack: (cell: Position['main']) => boolean;
  onOpen: (pair: Pair) => void;
}) {
  return (
    <Box
      role="grid"
      aria-label={`Chart: ${placeWords(place)}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: `112px repeat(${axis.length + 1}, ${width}px)`,
        width: 'max-content',
      }}
    >
      <Box role="row" sx={{ display: 'contents' }}>
        <Box role="columnheader" sx={headStyle('corner')}>
          {turned ? 'over ↓  base →' : 'base ↓  over →'}
        </Box>
        <Box role="columnheader" sx={headStyle('column')}>
          by itself
        </Box>
        {axis.map((one) => (
          <Box key={one.slug} role="columnheader" sx={headStyle('column')}>
            {one.name}
          </Box>
        ))}
      </Box>
      {axis.map((line, row) => (
        <Box key={line.slug} role="row" sx={{ display: 'contents' }}>
          <Box role="rowheader" sx={headStyle('row')}>
            {line.name}
          </Box>
          {Array.from({ length: axis.length + 1 }, (_, column) => {
            const pair = pairAt(row, column);
            const position = positions.get(positionKey(pair.base, pair.over));
            const impossible = pair.base === pair.over && position === undefined;
            const words = pairWords(name(pair.base), pair.over === null ? null : name(pair.over));
            return (
              <Box key={column} role="gridcell" sx={{ width, height: width * 1.3 + 28, p: '2px' }}>
                {!impossible && (
                  <Box
                    component="button"
                    type="button"
                    data-row={row}
                    data-column={column}
                    tabIndex={row === 0 && column === 0 ? 0 : -1}
                    title={words}
                    aria-label={cellWords(words, place, position, props.units)}
                    onClick={() => onOpen(pair)}
                    sx={{
                      all: 'unset',
                      boxSizing: 'border-box',
                      display: 'block',
                      width: '100%',
                      height: '100%',
                      cursor: 'pointer',
                      opacity: position !== undefined && stepsBack(position.main) ? 0.15 : 1,
                      '&:focus-visible': {
                        outline: '3px solid',
                        outlineColor: 'primary.main',
                        outlineOffset: '1px',
                      },
                      '&:hover': { filter: 'brightness(1.06)' },
                    }}
                  >
                    <CellPicture
                      position={position}
                      share={props.share}
                      eager={row < 5 && column < 12}
                    />
                  </Box>
                )}
              </Box>
            );
          })}
        </Box>
      ))}
    </Box>
  );
}

const headStyle = (kind: 'corner' | 'column' | 'row') => ({
  position: 'sticky',
  top: kind === 'row' ? 'auto' : 0,
  left: kind === 'column' ? 'auto' : 0,
  zIndex: kind === 'corner' ? 3 : 2,
  bgcolor: 'background.paper',
  color: 'text.primary',
  px: 0.75,
  py: 0.5,
  fontWeight: 650,
  fontSize: '0.84rem',
  lineHeight: 1.15,
  display: 'flex',
  alignItems: kind === 'column' ? 'flex-end' : 'center',
  minHeight: 42,
  borderBottom: '1px solid',
  borderRight: '1px solid',
  borderColor: 'divider',
  overflowWrap: 'anywhere',
});
