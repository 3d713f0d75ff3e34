'use client';
import { count } from '@/core/units';
import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { fullness, onShelf, tooNear, type Footprint, type Shelf, type Spot } from '@/core/load';
import { useSend } from '@/platform/useSend';
import { PrintButton } from '@/ui/PrintButton';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import type { PackAnswer } from '@/workers/pack.worker';
import { GapOffer } from './GapOffer';
import { HeldPiece } from './HeldPiece';
import { PostPlan } from './PostPlan';
import { usePacking } from './usePacking';
import { ShelfDrawing, type Place, type PlanItem } from './ShelfDrawing';
import * as contracts from '../contracts';

/**
 * The shelves drawn to scale with the pieces on them: dragged, or touched and then set down by
 * touching the place; packed by itself; printed, it is the key when numbers burn off.
 */
export function ShelfPlan({
  firingId,
  kilnId,
  shelf,
  shelves,
  chamberMm,
  thermocouple,
  items,
  small,
  edit,
}: {
  firingId: string;
  kilnId: string;
  shelf: Shelf;
  shelves: number;
  chamberMm: number | null;
  thermocouple: { xMm: number; yMm: number } | null;
  items: readonly PlanItem[];
  /** Pieces that wait and suit this firing: offered for the gaps. */
  small: readonly { id: string; code: string; footprint: Footprint }[];
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [moved, setMoved] = useState<Record<string, Place>>({});
  const [held, setHeld] = useState<string | null>(null);
  const { done: packed, wrong, inWorker } = usePacking();
  const packing = packed !== null;
  const [left, setLeft] = useState<PackAnswer['left']>([]);
  const [gaps, setGaps] = useState<PackAnswer['spots'] | null>(null);
  const [gapsTurned, setGapsTurned] = useState<ReadonlySet<string>>(new Set());
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const placeOf = (item: PlanItem): Place =>
    moved[item.placementId] ?? {
      shelf: item.shelf,
      xMm: item.spot?.xMm ?? null,
      yMm: item.spot?.yMm ?? null,
      turned: item.turned,
    };
  const footprintOf = (item: PlanItem): Footprint => {
    const turns = placeOf(item).turned !== item.turned;
    return turns
      ? { ...item.footprint, widthMm: item.footprint.depthMm, depthMm: item.footprint.widthMm }
      : item.footprint;
  };
  const standing = items.flatMap((item) => {
    const { shelf: no, xMm, yMm } = placeOf(item);
    return no === null || xMm === null || yMm === null
      ? []
      : [{ id: item.id, footprint: footprintOf(item), spot: { shelf: no, xMm, yMm } }];
  });
  const close = new Set(tooNear(standing, 2).flatMap(({ a, b }) => [a, b]));
  const full = fullness(shelf, shelves, chamberMm, standing);
  const unplaced = items.filter((item) => placeOf(item).xMm === null);
  const chosen = items.find((item) => item.placementId === held) ?? null;

  const save = async (places: Record<string, Place>, said: string): Promise<void> => {
    const before = Object.fromEntries(
      items.filter((item) => item.placementId in places).map((item) => [item.placementId, placeOf(item)]),
    );
    setMoved((now) => ({ ...now, ...places }));
    const answer = await act(contracts.arrange, {
      firingId,
      spots: Object.entries(places).map(([placementId, place]) => ({ placementId, ...place })),
    });
    if (!answer.ok) {
      setMoved((now) => ({ ...now, ...before }));
      return;
    }
    if (said !== '') say(said, () => void save(before, ''));
    router.refresh();
  };
  const putDown = (item: PlanItem, place: Partial<Place>): void =>
    void save({ [item.placementId]: { ...placeOf(item), ...place } }, '');

  const size = { shelf, shelves, chamberMm };
  const packAll = (): void =>
    inWorker(
      { kind: 'pack', ...size, parcels: items.map(({ id, footprint }) => ({ id, footprint })) },
      (packed) => {
        setLeft(packed.left);
        const spots = new Map(packed.spots);
        const turned = new Set(packed.turned);
        const places: Record<string, Place> = {};
        for (const item of items) {
          const spot = spots.get(item.id);
          places[item.placementId] = spot
            ? { ...spot, turned: item.turned !== turned.has(item.id) }
            : { shelf: null, xMm: null, yMm: null, turned: item.turned };
        }
        void save(places, `${count(packed.spots.length, 'piece')} packed`);
      },
    );
  const lookForGaps = (): void =>
    inWorker(
      {
        kind: 'gaps',
        ...size,
        standing,
        parcels: small.map(({ id, footprint }) => ({ id, footprint })),
      },
      (packed) => {
        setGaps(packed.spots);
        setGapsTurned(new Set(packed.turned));
      },
    );
  const fill = async (): Promise<void> => {
    const byShelf = new Map<number, [string, Spot & { turned: boolean }][]>();
    for (const [id, spot] of gaps ?? [])
      byShelf.set(spot.shelf, [
        ...(byShelf.get(spot.shelf) ?? []),
        [id, { ...spot, turned: gapsTurned.has(id) }],
      ]);
    for (const [no, own] of byShelf) {
      const put = await act(contracts.place, {
        firingId,
        pieceIds: own.map(([id]) => id),
        shelf: no,
      });
      if (!put.ok) return;
      await act(contracts.arrange, {
        firingId,
        spots: put.data.placementIds.map((placementId, i) => ({
          placementId,
          shelf: no,
          xMm: own[i]![1].xMm,
          yMm: own[i]![1].yMm,
          turned: own[i]![1].turned,
        })),
      });
    }
    say(`${gaps?.length ?? 0} small pieces in the gaps`);
    setGaps(null);
    router.refresh();
  };
  const nameOf = useMemo(() => new Map(items.map(({ id, code }) => [id, code])), [items]);
  return (
    <Box>
      {edit && (
        <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', mb: 1 }}>
          <Button variant="outlined" disabled={busy || packing || items.length === 0} onClick={packAll}>
            {packing ? `Packing … ${packed} of ${items.length} done` : 'Pack the shelves'}
          </Button>
          {small.length > 0 && (
            <Button
              variant="outlined"
              disabled={busy || packing || standing.length === 0}
              onClick={lookForGaps}
            >
              What waits and fits the gaps?
            </Button>
          )}
          <PostPlan key={JSON.stringify(shelf.posts)} kilnId={kilnId} shelf={shelf} />
          <PrintButton quiet>Print the plan</PrintButton>
        </Stack>
      )}
      <Typography sx={{ mb: 1 }}>
        {Math.round(full.area * 100)} % of the shelves stood on
        {chamberMm === null ? '' : `, ${Math.round(full.height * 100)} % of the height used`}.{' '}
        {edit && 'Drag a piece, or touch it and then its place; arrow keys move what is held.'}
      </Typography>
      <ProblemNote>{problem ?? wrong}</ProblemNote>
      {gaps !== null && (
        <GapOffer
          gaps={gaps}
          codeOf={(id) => small.find((one) => one.id === id)?.code}
          busy={busy}
          onPut={() => void fill()}
          onLeave={() => setGaps(null)}
        />
      )}
      {left.length > 0 && (
        <ProblemNote>
          Not placed: {left.map(({ id, why }) => `${nameOf.get(id)} (${why})`).join(', ')}.
        </ProblemNote>
      )}
      {unplaced.length > 0 && (
        <Box sx={{ mb: 1.5 }}>
          <Typography variant="h3">Not on the plan yet</Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
            {unplaced.map((item) => (
              <Button
                key={item.placementId}
                size="small"
                variant={held === item.placementId ? 'contained' : 'outlined'}
                disabled={!edit}
                onClick={() => setHeld(held === item.placementId ? null : item.placementId)}
                sx={{ fontFamily: MONO, minHeight: 44 }}
              >
                {item.code}
              </Button>
            ))}
          </Box>
        </Box>
      )}
      <DndContext
        id="shelf-plan"
        sensors={sensors}
        onDragEnd={({ active, delta }) => {
          const item = items.find(({ placementId }) => placementId === active.id);
          const scale = Number(active.data.current?.scale ?? 1);
          if (item === undefined) return;
          const place = placeOf(item);
          if (place.xMm === null || place.yMm === null) return;
          putDown(item, {
            xMm: Math.round(place.xMm + delta.x / scale),
            yMm: Math.round(place.yMm - delta.y / scale),
          });
        }}
      >
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', sm: 'repeat(auto-fill, minmax(300px, 1fr))' },
          }}
        >
          {Array.from({ length: shelves }, (_, i) => shelves - i)
            .filter((no) => edit || items.some((item) => placeOf(item).shelf === no))
            .map((no) => (
              <ShelfDrawing
                key={no}
                no={no}
                shelf={shelf}
                spacing={full.spacing[no - 1] ?? 0}
                thermocouple={thermocouple}
                unplaced={
                  items.filter((item) => placeOf(item).shelf === no && placeOf(item).xMm === null).length
                }
                pieces={items
                  .filter((item) => placeOf(item).shelf === no && placeOf(item).xMm !== null)
                  .map((item) => ({
                    item,
                    footprint: footprintOf(item),
                    place: placeOf(item),
                    wrong:
                      close.has(item.id) ||
                      !onShelf(shelf, footprintOf(item), {
                        shelf: no,
                        xMm: placeOf(item).xMm as number,
                        yMm: placeOf(item).yMm as number,
                      }),
                  }))}
                held={held}
                edit={edit}
                onPick={setHeld}
                onPlace={(xMm, yMm) => {
                  if (chosen === null) return;
                  putDown(chosen, { shelf: no, xMm, yMm });
                  setHeld(null);
                }}
                onNudge={(item, dx, dy) => {
                  const place = placeOf(item);
                  putDown(item, { xMm: (place.xMm ?? 0) + dx, yMm: (place.yMm ?? 0) + dy });
                }}
              />
            ))}
        </Box>
      </DndContext>
      {edit && chosen && (
        <HeldPiece
          firingId={firingId}
          item={chosen}
          turned={placeOf(chosen).turned}
          onPut={(place) => putDown(chosen, place)}
        />
      )}
    </Box>
  );
}
