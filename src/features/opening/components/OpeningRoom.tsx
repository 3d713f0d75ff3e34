'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { get, set } from 'idb-keyval';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import type { Units } from '@/core/units';
import type { Witness } from '@/data/witnesses';
import { useSay } from '@/ui/Undo';
import type { Place } from '@/core/looks';
import {
  formStart,
  isWritten,
  looksAt,
  nextUnwritten,
  nowOf,
  tally,
  usualSaying,
  withRecord,
  type RoomLook,
  type RoomPiece,
  type Writer,
} from '../room';
import type { PaintChoice } from '../queries';
import { useOutbox } from '../useOutbox';
import { CodeField } from './CodeField';
import { ConflictDialog } from './ConflictDialog';
import { Finish } from './Finish';
import { PieceInHand } from './PieceInHand';
import { PlanList } from './PlanList';
import { RoomHead } from './RoomHead';
import * as contracts from '../contracts';
import { ConePacks } from '@/features/firings';
import type { RecordInput, SeenInput } from '../contracts';
import { useFiringActs } from '../useFiringActs';
import { faultsHere, useWhy } from '../useWhy';
import { WhyHere } from './WhyHere';
import { sameStack, statusWords, unreadOf } from '../status';

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
  person: Writer;
  place: Place;
  writtenUp: boolean;
  start: string | null;
  /** Open cases of the clinic on pieces of this firing, by piece. */
  cases: Readonly<Record<string, string>>;
  /** What the whole load shares, by what is on the server. */
  shared: ReactNode;
  /** May they say what is of the whole firing: its cones, who was in it, that it is written up? */
  keeps: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { box, state } = useOutbox(props.firingId);
  const { act, busy, problem, takeOut, join, finish } = useFiringActs(props.firingId);
  const why = useWhy(box, props.firingId, props.cases);
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
  const [place, setPlace] = useState(props.place);
  const [saying, setSaying] = useState<Record<string, RoomLook | null>>({});
  const [opened] = useState(() => new Date().toISOString());
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const draftKey = `jiten-drafts-${props.firingId}`;
  useEffect(() => {
    void get<Drafts>(draftKey).then((kept) => kept && setDrafts((now) => ({ ...kept, ...now })));
  }, [draftKey]);

  useEffect(() => {
    // What an earlier visit left here is already said, though the page was made without it.
    void box?.leftBehind().then((items) => {
      const records = items.flatMap((item) =>
        item.kind === 'act' && item.name === contracts.record.name
          ? [item.input as RecordInput]
          : [],
      );
      if (records.length > 0)
        setPieces((now) =>
          records.reduce((all, record) => withRecord(all, record, props.person), now),
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
  // Undefined until somebody says otherwise: one's own words of today are put right.
  const correcting =
    saying[key] !== undefined
      ? saying[key]
      : piece
        ? usualSaying(looksAt(piece, zone), props.person, opened)
        : null;
  const seen = piece ? (drafts[key] ?? formStart(piece, zone, correcting)) : null;
  const correct = (look: RoomLook | null): void => {
    setSaying((now) => ({ ...now, [key]: look }));
    const { [key]: _, ...rest } = drafts;
    keepDrafts(rest);
  };
  const keepDrafts = (next: Drafts): void => {
    setDrafts(next);
    void set(draftKey, next);
  };
  const pick = (id: string): void => {
    setAt(id);
    setZone(null);
    setChosen(new Set([id]));
    // The last page speaks of what has been written up meanwhile.
    if (id === 'finish' && state.waiting === 0) router.refresh();
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
    const seenAt = new Date().toISOString();
    const entries = ids.map((pieceId) => {
      const own = pieces.find((one) => one.id === pieceId);
      const usual = own ? usualSaying(looksAt(own, zone), props.person, seenAt) : null;
      return {
        pieceId,
        observationId: v7(),
        corrects: (pieceId === piece.id ? correcting : usual)?.id ?? null,
      };
    });
    const input: RecordInput = {
      firingId: props.firingId,
      pieces: entries,
      zone,
      seenAt,
      place,
      seen,
    };
    await box.add({
      id: v7(),
      kind: 'act',
      name: contracts.record.name,
      input,
      label: ids.length > 1 ? `${ids.length} alike` : piece.code,
    });
    const back = contracts.record.inverse!(input, null);
    const after = withRecord(pieces, input, props.person);
    setPieces(after);
    const { [key]: _, ...rest } = drafts;
    keepDrafts(rest);
    setSaying(({ [key]: _, ...others }) => others);
    say(
      ids.length > 1 ? `${ids.length} written up` : `${piece.code} written up`,
      () => void act(back.contract, back.input).then((answer) => answer.ok && setPieces(pieces)),
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
    if (answer === 'mine' && item.kind === 'act') {
      const input = item.input as RecordInput;
      const pieces = input.pieces.map((entry) => ({ ...entry, corrects: null }));
      await box.settle({ ...item, id: v7(), input: { ...input, pieces } });
    } else {
      await box.settle(null);
      window.location.reload();
    }
  };
  const faults = piece === undefined ? [] : faultsHere(piece, seen);
  const askWhy = async (): Promise<void> => {
    if (piece === undefined) return;
    // What is being said of it comes first: the clinic reads what was written up.
    if (drafts[key] !== undefined) await save(false);
    await why.ask(piece, faults);
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <RoomHead
        title={props.title}
        reached={props.reached}
        leave={props.keeps ? `/kilns/firings/${props.firingId}` : '/mine'}
        status={statusWords(state, written.size, pieces.length)}
        onSend={state.waiting > 0 && !state.sending ? () => void box?.flush() : null}
      />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '290px minmax(0,1fr)' },
          gridTemplateRows: { md: 'auto 1fr' },
        }}
      >
        {/* On top on a phone: pots come out in no order. */}
        <Box
          sx={{
            px: 2,
            pt: 2,
            order: 0,
            borderRight: { md: '1px solid' },
            borderColor: { md: 'divider' },
          }}
        >
          <CodeField
            pieces={pieces}
            onPick={pick}
            onJoin={props.keeps ? (code) => void join(code) : null}
          />
        </Box>
        <Box
          sx={{
            px: 2,
            pb: 2,
            pt: 1,
            borderRight: { md: '1px solid' },
            borderColor: { md: 'divider' },
            order: { xs: 2, md: 2 },
            gridRow: { md: 2 },
          }}
        >
          <PlanList
            pieces={pieces}
            written={written}
            at={at}
            onPick={pick}
            strangers={props.keeps ? `/tests/fired?firing=${props.firingId}` : null}
            extra={[
              ...(props.keeps ? [{ id: 'cones', label: 'Cones' }] : []),
              { id: 'finish', label: `${written.size} of ${pieces.length}` },
            ]}
          />
        </Box>
        <Box
          component="main"
          sx={{ p: 2, order: 1, minWidth: 0, gridColumn: { md: 2 }, gridRow: { md: '1 / span 2' } }}
        >
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
              tally={tally(pieces, (one) => nowOf(looksAt(one, null)))}
              writtenUp={props.writtenUp}
              waiting={state.waiting}
              unread={unreadOf(props.cones)}
              onCones={() => pick('cones')}
              busy={busy}
              problem={problem}
              onFinish={props.keeps ? (done) => void finish(done) : null}
              onPick={(code) => pick(pieces.find((one) => one.code === code)?.id ?? 'finish')}
              shared={props.shared}
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
              writer={props.person}
              correcting={correcting}
              onCorrect={correct}
              place={place}
              onPlace={setPlace}
              onSeen={(next) => keepDrafts({ ...drafts, [key]: next })}
              chosen={chosen.size === 0 ? new Set([piece.id]) : chosen}
              onChosen={setChosen}
              onPicture={(files) => void takePictures(files)}
              onTakeOut={looksAt(piece, null).length > 0 ? null : () => void takeOut(piece.joined)}
              onSave={(next) => void save(next)}
              why={
                <WhyHere
                  caseId={why.caseOf(piece.id)}
                  waiting={state.waiting > 0}
                  faults={faults}
                  onAsk={() => void askWhy()}
                />
              }
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
