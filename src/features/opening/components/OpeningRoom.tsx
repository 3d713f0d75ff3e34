'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { get, set } from 'idb-keyval';
import Link from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import type { Units } from '@/core/units';
import type { Witness } from '@/data/witnesses';
import { useSend } from '@/platform/useSend';
import { useSay } from '@/ui/Undo';
import { ConePacks } from '../../kilns';
import { blank, isWritten, nextUnwritten, tally, withRecord, type RoomPiece } from '../room';
import type { RecordInput, SeenInput } from '../schema';
import type { PaintChoice } from '../queries';
import type { OutboxState } from '../outbox';
import { useOutbox } from '../useOutbox';
import { ConflictDialog } from './ConflictDialog';
import { Finish } from './Finish';
import { PieceInHand } from './PieceInHand';
import { PlanList } from './PlanList';

type Drafts = Record<string, SeenInput>;

/** Opening mode: the load on one side, the piece in hand on the other; kept on the device first. */
export function OpeningRoom(props: {
  firingId: string;
  title: string;
  reached: string;
  pieces: RoomPiece[];
  coatings: PaintChoice[];
  cones: Witness[];
  target: string | null;
  units: Units;
  person: string;
  writtenUp: boolean;
  start: string | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { box, state } = useOutbox(props.firingId);
  const { act, busy, problem } = useSend();
  const [pieces, setPieces] = useState(props.pieces);
  const [drafts, setDrafts] = useState<Drafts>({});
  const [previews, setPreviews] = useState<Record<string, string[]>>({});
  const written = useMemo(
    () => new Set(pieces.filter(isWritten).map((piece) => piece.id)),
    [pieces],
  );
  const [at, setAt] = useState<string>(
    () =>
      props.pieces.find((piece) => piece.code === props.start)?.id ??
      props.pieces.find((piece) => !isWritten(piece))?.id ??
      'finish',
  );
  const [zone, setZone] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const draftKey = `jiten-drafts-${props.firingId}`;
  useEffect(() => {
    void get<Drafts>(draftKey).then((kept) => kept && setDrafts((now) => ({ ...kept, ...now })));
  }, [draftKey]);

  useEffect(() => {
    // What an earlier visit left here is already said, though the page was made without it.
    void box?.leftBehind().then((items) => {
      const records = items.flatMap((item) =>
        item.kind === 'act' && item.name === 'opening.record' ? [item.input as RecordInput] : [],
      );
      if (records.length > 0)
        setPieces((now) =>
          records.reduce(
            (all, record) => withRecord(all, record, props.person, new Date().toISOString()),
            now,
          ),
        );
    });
  }, [box, props.person]);

  const piece = pieces.find((one) => one.id === at);
  const lot = piece?.lotId
    ? pieces.filter(
        (one) => one.lotId === piece.lotId && one.form === piece.form && sameStack(one, piece),
      )
    : [];
  const key = `${at}/${zone ?? ''}`;
  const stored = piece?.seen[zone ?? '']?.seen;
  const seen =
    drafts[key] ??
    stored ??
    (piece ? { ...blank(piece.kind), ...(zone === null ? {} : { verdict: null }) } : null);
  const keepDrafts = (next: Drafts): void => {
    setDrafts(next);
    void set(draftKey, next);
  };
  const pick = (id: string): void => {
    setAt(id);
    setZone(null);
    setChosen(new Set([id]));
    window.scrollTo({ top: 0 });
  };
  const takePictures = async (files: readonly File[]): Promise<void> => {
    if (!piece || !box) return;
    for (const file of files) {
      setPreviews((now) => ({
        ...now,
        [piece.id]: [URL.createObjectURL(file), ...(now[piece.id] ?? [])],
      }));
      await box.add({
        id: v7(),
        kind: 'picture',
        file,
        fileName: file.name,
        pieceId: piece.id,
        firingId: props.firingId,
        label: `Picture of ${piece.code}`,
      });
    }
  };
  const save = async (goOn: boolean): Promise<void> => {
    if (!piece || !seen || !box) return;
    const ids = zone === null && chosen.size > 1 ? [...chosen] : [piece.id];
    const entries = ids.map((pieceId) => ({
      pieceId,
      observationId: v7(),
      basedOn: pieces.find((one) => one.id === pieceId)?.seen[zone ?? '']?.id ?? null,
    }));
    const input: RecordInput = { firingId: props.firingId, pieces: entries, zone, seen };
    await box.add({
      id: v7(),
      kind: 'act',
      name: 'opening.record',
      input,
      label: ids.length > 1 ? `${ids.length} alike` : piece.code,
    });
    const after = withRecord(pieces, input, props.person, new Date().toISOString());
    setPieces(after);
    const { [key]: _, ...rest } = drafts;
    keepDrafts(rest);
    say(
      ids.length > 1 ? `${ids.length} written up` : `${piece.code} written up`,
      () =>
        void act('opening.withdraw', {
          observationIds: entries.map((entry) => entry.observationId),
        }).then((answer) => answer.ok && setPieces(pieces)),
    );
    if (goOn) {
      const done = new Set(after.filter(isWritten).map((one) => one.id));
      pick(nextUnwritten(after, piece.id, done) ?? 'finish');
    } else setZone(null);
  };
  const answerConflict = async (answer: 'mine' | 'theirs'): Promise<void> => {
    const refused = state.refused;
    if (!box || refused === null) return;
    const item = refused.item;
    if (answer === 'mine' && item.kind === 'act')
      await box.settle({
        ...item,
        id: v7(),
        input: { ...(item.input as RecordInput), replace: true },
      });
    else {
      await box.settle(null);
      window.location.reload();
    }
  };
  const finish = async (done: boolean): Promise<void> => {
    const answer = await act('opening.finish', { firingId: props.firingId, done });
    if (!answer.ok) return;
    say(done ? 'The opening is written up' : 'The opening is open again');
    router.push(`/kilns/firings/${props.firingId}`);
    router.refresh();
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <Box
        component="header"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          columnGap: 2,
          px: 2,
          py: { xs: 0.25, md: 1 },
          borderBottom: '2px solid',
          borderColor: 'text.primary',
          bgcolor: 'background.paper',
        }}
      >
        <Typography variant="h2" component="p" sx={{ flex: '1 1 150px' }}>
          Opening {props.title}{' '}
          <Typography
            component="span"
            color="text.secondary"
            sx={{ display: { xs: 'none', md: 'inline' } }}
          >
            {props.reached}
          </Typography>
        </Typography>
        <Typography role="status" variant="body2" sx={{ fontWeight: 600 }}>
          {statusWords(state, written.size, pieces.length)}
        </Typography>
        {state.waiting > 0 && !state.sending && (
          <Button size="small" variant="outlined" onClick={() => void box?.flush()}>
            Send now
          </Button>
        )}
        <Button component={Link} href={`/kilns/firings/${props.firingId}`} size="small">
          Leave
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '290px minmax(0,1fr)' } }}>
        <Box
          sx={{
            p: 2,
            borderRight: { md: '1px solid' },
            borderColor: { md: 'divider' },
            order: { xs: 2, md: 1 },
          }}
        >
          <PlanList
            pieces={pieces}
            written={written}
            at={at}
            onPick={pick}
            extra={[
              { id: 'cones', label: 'Cones' },
              { id: 'finish', label: `${written.size} of ${pieces.length}` },
            ]}
          />
        </Box>
        <Box component="main" sx={{ p: 2, order: { xs: 1, md: 2 }, minWidth: 0 }}>
          {at === 'cones' && (
            <>
              <Typography variant="h1" sx={{ mb: 2 }}>
                Cones: how far each bent
              </Typography>
              <ConePacks
                firingId={props.firingId}
                cones={props.cones}
                target={props.target}
                reading
                edit
              />
            </>
          )}
          {at === 'finish' && (
            <Finish
              tally={tally(pieces, (one) => one.seen['']?.seen ?? null)}
              writtenUp={props.writtenUp}
              waiting={state.waiting}
              busy={busy}
              problem={problem}
              onFinish={(done) => void finish(done)}
              onPick={(code) => pick(pieces.find((one) => one.code === code)?.id ?? 'finish')}
            />
          )}
          {piece && seen && (
            <PieceInHand
              key={piece.id}
              piece={piece}
              lot={lot}
              coatings={props.coatings}
              units={props.units}
              previews={previews[piece.id] ?? []}
              zone={zone}
              onZone={setZone}
              seen={seen}
              changed={key in drafts}
              onSeen={(next) => keepDrafts({ ...drafts, [key]: next })}
              chosen={chosen.size === 0 ? new Set([piece.id]) : chosen}
              onChosen={setChosen}
              onPicture={(files) => void takePictures(files)}
              onSave={(next) => void save(next)}
            />
          )}
        </Box>
      </Box>
      {state.refused && (
        <ConflictDialog
          refused={state.refused}
          onAnswer={(answer) => void answerConflict(answer)}
        />
      )}
    </Box>
  );
}

const sameStack = (a: RoomPiece, b: RoomPiece): boolean =>
  JSON.stringify(a.layers.map(({ coat, region }) => [coat, region])) ===
  JSON.stringify(b.layers.map(({ coat, region }) => [coat, region]));

function statusWords(
  { ready, waiting, sending, trouble }: OutboxState,
  written: number,
  all: number,
): string {
  if (!ready) return `${written} of ${all} written up; looking through this device …`;
  if (waiting === 0) return `${written} of ${all} written up; all of it is on the studio’s server`;
  const here = `${waiting} on this device, not yet on the server`;
  return sending && trouble === null ? `${here}; sending …` : `${here}. ${trouble ?? ''}`;
}
