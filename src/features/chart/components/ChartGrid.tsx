'use client';
import type { CSSProperties } from 'react';
import { positionKey, type Pair, type Position } from '../board';
import { cellWords, pairWords, placeWords, type Place } from '../words';
import { CORNER } from '../corner';
import css from './board.module.css';
import { CellPicture } from './CellPicture';
import type { ChartProps } from './Chart';

/** The cells themselves, with their heads that stay in sight. */
export function ChartGrid({
  axis,
  corner,
  name,
  place,
  positions,
  pairAt,
  turned,
  width,
  stepsBack,
  onOpen,
  ...props
}: Pick<ChartProps, 'axis' | 'corner' | 'units' | 'share'> & {
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
  const [rows, columns] = corner ? [CORNER.rows, CORNER.columns] : [axis.length, axis.length + 1];
  return (
    <div
      role="grid"
      aria-label={`Chart: ${placeWords(place)}`}
      className={css.grid}
      style={
        {
          '--cell': `${width}px`,
          gridTemplateColumns: `112px repeat(${axis.length + 1}, ${width}px)`,
        } as CSSProperties
      }
    >
      <div role="row" className={css.row}>
        <div role="columnheader" className={css.corner}>
          {turned ? 'over ↓  base →' : 'base ↓  over →'}
        </div>
        <div role="columnheader" className={css.column}>
          by itself
        </div>
        {axis.map((one) => (
          <div key={one.slug} role="columnheader" className={css.column}>
            {one.name}
          </div>
        ))}
      </div>
      {axis.slice(0, rows).map((line, row) => (
        <div key={line.slug} role="row" className={css.row}>
          <div role="rowheader" className={css.line}>
            {line.name}
          </div>
          {Array.from({ length: Math.min(columns, axis.length + 1) }, (_, column) => {
            const pair = pairAt(row, column);
            const position = positions.get(positionKey(pair.base, pair.over));
            const impossible = pair.base === pair.over && position === undefined;
            const words = pairWords(name(pair.base), pair.over === null ? null : name(pair.over));
            const back = position !== undefined && stepsBack(position.main);
            return (
              <div key={column} role="gridcell" className={css.place}>
                {!impossible && (
                  <button
                    type="button"
                    className={back ? `${css.button} ${css.back}` : position ? css.button : css.untried}
                    data-row={row}
                    data-column={column}
                    tabIndex={row === 0 && column === 0 ? 0 : -1}
                    title={words}
                    aria-label={cellWords(words, place, position, props.units)}
                    onClick={() => onOpen(pair)}
                  >
                    {position && (
                      <CellPicture position={position} share={props.share} eager={row < 5 && column < 12} />
                    )}
                  </button>
                )}
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
