'use client';
import { count, formatLength } from '@/core/units';
import { useUnits } from '@/ui/units';
import { useDraggable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { POST_MM, postsOf, type Footprint, type Shelf } from '@/core/load';
import { MONO } from '@/ui/theme';
import { scaleOf, shelfFrame, touched } from './shelf-frame';
import { type LoadItem } from '@/core/load/check-terms';

export type PlanItem = Pick<LoadItem, 'id' | 'code' | 'shelf' | 'spot' | 'footprint' | 'setting'> & {
  placementId: string;
  turned: boolean;
  form: string;
  owner: string | null;
};
/** Where a piece is on the plan; nowhere while it only waits. */
export type Place = {
  shelf: number | null;
  xMm: number | null;
  yMm: number | null;
  turned: boolean;
};

export type Drawn = { item: PlanItem; footprint: Footprint; place: Place; wrong: boolean };

/** One shelf to scale with what stands on it. */
export function ShelfDrawing({
  no,
  shelf,
  spacing,
  thermocouple,
  pieces,
  unplaced,
  held,
  edit,
  onPick,
  onPlace,
  onNudge,
}: {
  no: number;
  shelf: Shelf;
  spacing: number;
  thermocouple: { xMm: number; yMm: number } | null;
  pieces: readonly Drawn[];
  /** How many more are assigned to this shelf and have no place on it yet. */
  unplaced: number;
  held: string | null;
  edit: boolean;
  onPick: (id: string | null) => void;
  onPlace: (xMm: number, yMm: number) => void;
  onNudge: (item: PlanItem, dx: number, dy: number) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const scale = scaleOf(shelf);
  const units = useUnits();
  const place = (event: MouseEvent): void => {
    if (!edit || held === null || box.current === null) return;
    const { xMm, yMm } = touched(event, box.current, shelf);
    onPlace(xMm, yMm);
  };
  return (
    <Box sx={{ breakInside: 'avoid' }}>
      <Typography variant="h3">
        Shelf {no}
        <Typography component="span" variant="body2" color="text.secondary">
          {' '}
          {count(pieces.length + unplaced, 'piece')}
          {unplaced > 0 ? `, ${unplaced} of them without a place yet` : ''}
          {spacing > 0 ? `, posts of ${formatLength(Math.ceil(spacing / 5) * 5, units)}` : ''}
        </Typography>
      </Typography>
      <Box
        ref={box}
        onClick={place}
        role="group"
        aria-label={`Shelf ${no}, ${count(pieces.length + unplaced, 'piece')}`}
        sx={{
          ...shelfFrame(shelf),
          cursor: held !== null && edit ? 'crosshair' : 'default',
          touchAction: 'manipulation',
        }}
      >
        {postsOf(shelf).map((post) => (
          <Box
            key={`${post.xMm} ${post.yMm}`}
            aria-hidden
            title="post"
            sx={{
              position: 'absolute',
              left: (post.xMm + shelf.widthMm / 2 - POST_MM / 2) * scale,
              top: (shelf.depthMm / 2 - post.yMm - POST_MM / 2) * scale,
              width: POST_MM * scale,
              height: POST_MM * scale,
              bgcolor: 'booth.line',
            }}
          />
        ))}
        {thermocouple && (
          <Box
            role="img"
            aria-label="Thermocouple"
            sx={{
              position: 'absolute',
              left: (thermocouple.xMm + shelf.widthMm / 2) * scale - 5,
              top: (shelf.depthMm / 2 - thermocouple.yMm) * scale - 5,
              width: 10,
              height: 10,
              border: '2px solid',
              borderColor: 'text.primary',
              transform: 'rotate(45deg)',
            }}
          />
        )}
        {pieces.map((piece) => (
          <Stone
            key={piece.item.placementId}
            drawn={piece}
            shelf={shelf}
            scale={scale}
            held={held === piece.item.placementId}
            edit={edit}
            onPick={onPick}
            onNudge={onNudge}
          />
        ))}
      </Box>
    </Box>
  );
}

function Stone({
  drawn: { item, footprint, place, wrong },
  shelf,
  scale,
  held,
  edit,
  onPick,
  onNudge,
}: {
  drawn: Drawn;
  shelf: Shelf;
  scale: number;
  held: boolean;
  edit: boolean;
  onPick: (id: string | null) => void;
  onNudge: (item: PlanItem, dx: number, dy: number) => void;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({
    id: item.placementId,
    data: { scale },
    disabled: !edit,
  });
  const [w, d] = [footprint.widthMm * scale, footprint.depthMm * scale];
  const keys: Record<string, [number, number]> = {
    ArrowLeft: [-5, 0],
    ArrowRight: [5, 0],
    ArrowUp: [0, 5],
    ArrowDown: [0, -5],
  };
  return (
    <Box
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      component="button"
      type="button"
      disabled={!edit}
      aria-label={`${item.code}, ${item.form}${wrong ? ', too close or over the edge' : ''}`}
      aria-pressed={held}
      onClick={(event: MouseEvent) => {
        event.stopPropagation();
        onPick(held ? null : item.placementId);
      }}
      onKeyDown={(event: KeyboardEvent) => {
        const step = keys[event.key];
        if (step && edit) {
          event.preventDefault();
          onNudge(item, ...step);
        }
      }}
      sx={{
        all: 'unset',
        boxSizing: 'border-box',
        position: 'absolute',
        left: ((place.xMm as number) + shelf.widthMm / 2) * scale - w / 2,
        top: (shelf.depthMm / 2 - (place.yMm as number)) * scale - d / 2,
        width: w,
        height: d,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        overflow: 'hidden',
        borderRadius: footprint.round ? '50%' : '2px',
        bgcolor: held ? 'text.primary' : 'background.paper',
        color: held ? 'background.paper' : 'text.primary',
        border: wrong ? '3px dashed' : '1px solid',
        borderColor: wrong ? 'error.main' : 'text.primary',
        fontFamily: MONO,
        fontSize: Math.max(8, Math.min(12, w / 3.6)),
        fontWeight: 700,
        cursor: edit ? 'grab' : 'default',
        touchAction: 'none',
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        zIndex: transform || held ? 2 : 1,
        '&:focus-visible': { outline: '3px solid', outlineOffset: 1 },
      }}
    >
      {item.code}
    </Box>
  );
}
