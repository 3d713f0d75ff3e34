'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { parseAsString, useQueryStates } from 'nuqs';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { CELL } from '@/core/axes';
import type { Units } from '@/core/units';
import { count } from '@/core/units';
import { coatsOfKey, describeStack, nameIn } from '@/core/zones';
import type { BoardCell } from '@/data/board';
import { positionKey } from '../board';
import type { BoardSent } from '../board-answer';
import { groundWords, placeWords } from '../words';
import { filtersOf, passes } from '../board-filter';
import { ChartGrid } from './ChartGrid';
import { ChartToolbar, SIZES, type SizeName } from './ChartToolbar';
import { chartKeys } from './chart-keys';
import { DeeperStacks } from './DeeperStacks';
import { Legend } from './Legend';

/** What the address of the chart says: which board, which way round, which cell is open. */
const VIEW = {
  body: parseAsString,
  cone: parseAsString,
  atmosphere: parseAsString,
  ground: parseAsString,
  turn: parseAsString,
  at: parseAsString,
  refires: parseAsString,
  /** What of the board is looked for. */
  show: parseAsString,
};

const ZoomPanel = dynamic(() => import('./ZoomPanel').then((module) => module.ZoomPanel), {
  ssr: false,
});

export type ChartProps = NonNullable<BoardSent> & {
  units: Units;
  timeZone: string;
  share: string | null;
  mayMake: boolean;
  /** Is another board on its way? */
  pending: boolean;
};

/** How many combinations a board has, those below its grid included. */
const seenWords = (pairs: number, deeper: number): string =>
  `${count(pairs + deeper, 'combination')} seen${deeper === 0 ? '' : `, ${deeper} of them of three coats and more, below the grid`}`;

/** The board: rows base, columns what goes over; turned round with `o`. */
export function Chart(props: ChartProps) {
  const [size, setSize] = useState<SizeName>('medium');
  const board = useRef<HTMLDivElement>(null);
  const positions = useMemo(
    () => new Map(props.positions.map((one) => [positionKey(one.base, one.over), one])),
    [props.positions],
  );
  const [{ turn: way, at, show }, setView] = useQueryStates(VIEW);
  const turned = way === '1';
  const { chosen, axis, pending } = props;
  const name = (slug: string): string => props.names[slug] ?? slug;
  const place = {
    body: chosen.bodyName,
    ground: groundWords(chosen.slips, name),
    cone: chosen.cone,
    atmosphere: chosen.atmosphere,
  };

  /** The board that is shown, by its whole name: what was left open is chosen by then. */
  const here = {
    body: chosen.body,
    cone: chosen.cone,
    atmosphere: chosen.atmosphere,
    ground: chosen.slips,
  };
  /** Another board: the way back is a page back. */
  const go = (part: Partial<Record<keyof typeof VIEW, string | null>>): void =>
    void setView({ ...here, ...part }, { history: 'push', scroll: false });
  const turn = (): void => {
    const pair = at?.split('/');
    void setView({
      turn: turned ? null : '1',
      ...(pair?.[1] ? { at: `${pair[1]}/${pair[0]}` } : {}),
    });
  };
  const cycle = (key: string, values: readonly string[], now: string): void => {
    if (values.length > 1) go({ [key]: values[(values.indexOf(now) + 1) % values.length] as string });
  };
  const pairAt = (row: number, column: number): { base: string; over: string | null } => {
    const line = axis[row]!.slug;
    if (column === 0) return { base: line, over: null };
    const other = axis[column - 1]!.slug;
    return turned ? { base: other, over: line } : { base: line, over: other };
  };
  const letters: Record<string, () => void> = {
    o: turn,
    b: () =>
      cycle(
        'body',
        props.bodies.map((body) => body.slug),
        chosen.body,
      ),
    c: () => cycle('cone', props.cones, chosen.cone),
    a: () => cycle('atmosphere', props.atmospheres, chosen.atmosphere),
  };
  const onKey = (event: KeyboardEvent<HTMLElement>): void =>
    chartKeys(event, board.current, axis.length, letters);
  const deepWords = (cell: BoardCell): string =>
    describeStack(
      coatsOfKey(cell.stackKey).map(({ slug, version, amount }) => ({
        coat: { slug, version, kind: 'glaze' },
        amount,
      })),
      cell.slips,
      { coat: nameIn(props.names), body: chosen.bodyName },
    );
  const deep = props.deeper.find(({ id }) => at === `${CELL}${id}`);
  const [openBase, openOver] = at?.split('/') ?? [];
  const open =
    deep !== undefined
      ? { cell: deep.id, words: deepWords(deep) }
      : openBase && !openBase.startsWith(CELL)
        ? { base: openBase, over: openOver ? openOver : null }
        : null;
  const cells = props.positions.map(({ main }) => main);
  const filters = filtersOf(cells);
  const tried = props.positions.length;
  const left = cells.filter((cell) => passes(show, cell)).length;
  const signs = [
    ...new Set(props.positions.flatMap(({ main }) => main.signs.map(({ sign }) => sign))),
  ].sort();
  return (
    <Box onKeyDown={onKey}>
      <ChartToolbar
        {...props}
        oneBoard={props.share !== null}
        name={name}
        size={size}
        onSize={setSize}
        turned={turned}
        onTurn={turn}
        onGo={go}
        filters={filters}
        show={show}
        onShow={(next) => void setView({ show: next })}
      />
      <Typography sx={{ mb: 1 }} role="status">
        <b>{placeWords(place)}</b>: {props.corner ? '…' : seenWords(tried, props.deeper.length)}
        {show !== null && left < tried
          ? `, ${left} of them ${filters.find(({ value }) => value === show)?.label ?? 'shown'}`
          : ''}
        {pending ? ' …' : ''}
      </Typography>
      <Box
        ref={board}
        sx={{
          overflow: 'auto',
          maxHeight: { xs: '70vh', md: 'calc(100vh - 245px)' },
          border: '1px solid',
          borderColor: 'text.primary',
          bgcolor: 'booth.ground',
          opacity: pending ? 0.6 : 1,
          '@media print': { maxHeight: 'none', overflow: 'visible' },
        }}
      >
        <ChartGrid
          {...props}
          name={name}
          place={place}
          positions={positions}
          pairAt={pairAt}
          turned={turned}
          width={SIZES[size]}
          stepsBack={(cell) => !passes(show, cell)}
          onOpen={({ base, over }) =>
            // The way back closes it; which board it stands on is said with it.
            void setView({ ...here, at: `${base}/${over ?? ''}` }, { history: 'push' })
          }
        />
      </Box>
      <Legend signs={signs} ways={props.positions.some(({ ways }) => ways > 1)} />
      <DeeperStacks
        cells={props.deeper}
        share={props.share}
        words={deepWords}
        onOpen={(id) => void setView({ at: `${CELL}${id}` })}
      />
      {open !== null && (
        <ZoomPanel
          key={at}
          at={open}
          chosen={chosen}
          place={place}
          names={props.names}
          units={props.units}
          timeZone={props.timeZone}
          share={props.share}
          mayMake={props.mayMake}
          onClose={() => void setView({ at: null })}
          onTurn={turn}
          onLetter={(key) => letters[key]?.()}
          onElsewhere={(one) =>
            go({
              body: one.body,
              cone: one.cone,
              atmosphere: one.atmosphere,
              ground: one.slips,
              at: `${one.base ?? ''}/${one.over ?? ''}`,
            })
          }
          onStep={(dr, dc) => {
            if (openBase === undefined || deep !== undefined) return;
            const [line, other] = turned && openOver ? [openOver, openBase] : [openBase, openOver ?? null];
            const row = axis.findIndex((one) => one.slug === line) + dr;
            const column = (other ? axis.findIndex((one) => one.slug === other) + 1 : 0) + dc;
            if (row < 0 || row >= axis.length || column < 0 || column > axis.length) return;
            const next = pairAt(row, column);
            void setView({ at: `${next.base}/${next.over ?? ''}` });
          }}
        />
      )}
    </Box>
  );
}
