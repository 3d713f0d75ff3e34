'use client';
import SwapVert from '@mui/icons-material/SwapVert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useRef, useState, useTransition, type KeyboardEvent } from 'react';
import { formatCone } from '@/core/cones';
import type { Units } from '@/core/units';
import type { BoardCell } from '@/data/board';
import { positionKey, type AxisCoating, type Position } from '../board';
import { cellWords, groundWords, pairWords, placeWords } from '../words';
import { CellPicture } from './CellPicture';
import { Legend } from './Legend';

const ZoomPanel = dynamic(() => import('./ZoomPanel').then((module) => module.ZoomPanel), {
  ssr: false,
});

export type ChartProps = {
  bodies: { slug: string; name: string }[];
  names: Record<string, string>;
  chosen: { body: string; bodyName: string; cone: string; atmosphere: string; slips: string };
  cones: string[];
  atmospheres: string[];
  grounds: string[];
  axis: AxisCoating[];
  positions: Position[];
  deeper: BoardCell[];
  units: Units;
  timeZone: string;
  share: string | null;
  mayMake: boolean;
};

const SIZES = { small: 62, medium: 92, large: 150 };
type SizeName = keyof typeof SIZES;

/** The board: rows base, columns what goes over; turned round with `o`. */
export function Chart(props: ChartProps) {
  const router = useRouter();
  const path = usePathname();
  const query = useSearchParams();
  const [pending, startTransition] = useTransition();
  const [size, setSize] = useState<SizeName>('medium');
  const board = useRef<HTMLDivElement>(null);
  const positions = useMemo(
    () => new Map(props.positions.map((one) => [positionKey(one.base, one.over), one])),
    [props.positions],
  );
  const turned = query.get('turn') === '1';
  const at = query.get('at');
  const { chosen, axis } = props;
  const name = (slug: string): string => props.names[slug] ?? slug;
  const place = {
    body: chosen.bodyName,
    ground: groundWords(chosen.slips, name),
    cone: chosen.cone,
    atmosphere: chosen.atmosphere,
  };

  const address = (part: Record<string, string | null>): string => {
    const next = new URLSearchParams(query.toString());
    for (const [key, value] of Object.entries(part)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    return `${path}?${next.toString()}`;
  };
  const go = (part: Record<string, string | null>): void =>
    startTransition(() => router.push(address(part), { scroll: false }));
  const show = (part: Record<string, string | null>): void =>
    window.history.replaceState(null, '', address(part));
  const turn = (): void => {
    const open = at?.split('/');
    show({ turn: turned ? null : '1', ...(open?.[1] ? { at: `${open[1]}/${open[0]}` } : {}) });
  };
  const cycle = (key: string, values: readonly string[], now: string): void => {
    if (values.length > 1)
      go({ [key]: values[(values.indexOf(now) + 1) % values.length] as string });
  };
  const pairAt = (row: number, column: number): { base: string; over: string | null } => {
    const line = axis[row]!.slug;
    if (column === 0) return { base: line, over: null };
    const other = axis[column - 1]!.slug;
    return turned ? { base: other, over: line } : { base: line, over: other };
  };
  const onKey = (event: KeyboardEvent<HTMLElement>): void => {
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      (event.target as HTMLElement).closest('input, [role="combobox"], [role="listbox"]')
    )
      return;
    const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-row]');
    const steps: Record<string, [number, number]> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
    };
    const step = steps[event.key];
    if (step && cell) {
      event.preventDefault();
      // Where a coating would meet itself there is no cell: go on to the next.
      for (let far = 1; far <= axis.length; far++) {
        const [row, column] = [
          Number(cell.dataset.row) + far * step[0],
          Number(cell.dataset.column) + far * step[1],
        ];
        const next = board.current?.querySelector<HTMLElement>(
          `[data-row="${row}"][data-column="${column}"]`,
        );
        if (next) return next.focus();
      }
    } else if (event.key === 'o') turn();
    else if (event.key === 'b')
      cycle(
        'body',
        props.bodies.map((body) => body.slug),
        chosen.body,
      );
    else if (event.key === 'c') cycle('cone', props.cones, chosen.cone);
    else if (event.key === 'a') cycle('atmosphere', props.atmospheres, chosen.atmosphere);
  };
  const width = SIZES[size];
  const [openBase, openOver] = at?.split('/') ?? [];
  const tried = props.positions.length;
  return (
    <Box onKeyDown={onKey}>
      <Box
        className="no-print"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 1.5 }}
      >
        <Pick
          label="Body"
          value={chosen.body}
          onChange={(body) => go({ body, ground: null, cone: null, atmosphere: null })}
          choices={props.bodies.map((body) => ({ value: body.slug, label: body.name }))}
        />
        <Pick
          label="Ground"
          value={chosen.slips}
          onChange={(ground) => go({ ground })}
          choices={props.grounds.map((slips) => ({
            value: slips,
            label: groundWords(slips, name),
          }))}
        />
        <Pick
          label="Cone"
          value={chosen.cone}
          onChange={(cone) => go({ cone, ground: null })}
          choices={props.cones.map((cone) => ({
            value: cone,
            label: formatCone(cone === 'unknown' ? null : cone),
          }))}
        />
        <Pick
          label="Atmosphere"
          value={chosen.atmosphere}
          onChange={(atmosphere) => go({ atmosphere, ground: null })}
          choices={props.atmospheres.map((value) => ({ value, label: value }))}
        />
        <Pick
          label="Tiles"
          value={size}
          onChange={(next) => setSize(next as SizeName)}
          choices={Object.keys(SIZES).map((value) => ({ value, label: value }))}
        />
        <Button
          variant="outlined"
          startIcon={<SwapVert />}
          onClick={turn}
          aria-pressed={turned}
          sx={{ minHeight: 40 }}
        >
          {turned ? 'Rows over, columns base' : 'Rows base, columns over'}
        </Button>
      </Box>
      <Typography sx={{ mb: 1 }} role="status">
        <b>{placeWords(place)}</b>: {tried} combinations seen{pending ? ' …' : ''}
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
                const words = pairWords(
                  name(pair.base),
                  pair.over === null ? null : name(pair.over),
                );
                return (
                  <Box
                    key={column}
                    role="gridcell"
                    sx={{ width, height: width * 1.3 + 28, p: '2px' }}
                  >
                    {!impossible && (
                      <Box
                        component="button"
                        type="button"
                        data-row={row}
                        data-column={column}
                        tabIndex={row === 0 && column === 0 ? 0 : -1}
                        title={words}
                        aria-label={cellWords(words, place, position, props.units)}
                        onClick={() => show({ at: `${pair.base}/${pair.over ?? ''}` })}
                        sx={{
                          all: 'unset',
                          boxSizing: 'border-box',
                          display: 'block',
                          width: '100%',
                          height: '100%',
                          cursor: 'pointer',
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
      </Box>
      <Legend />
      {props.deeper.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          Three coats and more:{' '}
          {props.deeper
            .slice(0, 12)
            .map((cell) =>
              cell.stackKey
                .split(' + ')
                .map((part) => name(part.split('#')[0] as string))
                .reverse()
                .join(' over '),
            )
            .join('; ')}
          {props.deeper.length > 12 ? ` and ${props.deeper.length - 12} more` : ''}.
        </Typography>
      )}
      {openBase && (
        <ZoomPanel
          key={at}
          base={openBase}
          over={openOver ? openOver : null}
          chosen={chosen}
          place={place}
          names={props.names}
          units={props.units}
          timeZone={props.timeZone}
          share={props.share}
          mayMake={props.mayMake}
          onClose={() => show({ at: null })}
          onTurn={turn}
          onStep={(dr, dc) => {
            const [line, other] =
              turned && openOver ? [openOver, openBase] : [openBase, openOver ?? null];
            const row = axis.findIndex((one) => one.slug === line) + dr;
            const column = (other ? axis.findIndex((one) => one.slug === other) + 1 : 0) + dc;
            if (row < 0 || row >= axis.length || column < 0 || column > axis.length) return;
            const next = pairAt(row, column);
            show({ at: `${next.base}/${next.over ?? ''}` });
          }}
        />
      )}
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

function Pick({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly { value: string; label: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={{ width: 'auto', minWidth: 118 }}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {choices.map((choice) => (
        <MenuItem key={choice.value} value={choice.value}>
          {choice.label}
        </MenuItem>
      ))}
    </TextField>
  );
}
