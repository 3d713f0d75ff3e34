'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import type { Witness } from '@/data/witnesses';
import { useSay } from '@/ui/Undo';
import type { Place } from '@/core/looks';
import { isWritten, looksAt, nowOf, tally, type RoomPiece, type Writer } from '../room';
import type { PaintChoice } from '../queries';
import { lotOf, useHand } from '../useHand';
import { useLoad, useShots } from '../useLoad';
import type { Units } from '@/core/units';
import { Camera, PictureTaker } from '../../media';
import { HoldToTalk } from '../../sounds';
import { useLaying } from '../useLaying';
import { byLabel, useTaking } from '../useTaking';
import { useOpeningTray } from '../useOpeningTray';
import { Tray } from './Tray';
import { CodeField } from './CodeField';
import { ConflictDialog } from './ConflictDialog';
import { Dragging } from './Dragging';
import { Finish } from './Finish';
import { NotOpen } from './NotOpen';
import { PieceInHand } from './PieceInHand';
import { PlanList } from './PlanList';
import type { Refires } from './RefireRisk';
import { RoomHead } from './RoomHead';
import { ConePacks } from '@/features/firings';
import { useFiringActs } from '../useFiringActs';
import { useRoomLeft } from '../useRoomLeft';
import { useOthers } from '../useOthers';
import { faultsHere, useWhy } from '../useWhy';
import { WhyHere } from './WhyHere';
import { sameStack, statusWords, unreadOf } from '../status';

/** Opening mode: the load on one side, the piece in hand on the other; kept on the device first. */
export function OpeningRoom(props: {
  firingId: string;
  title: string;
  reached: string;
  pieces: RoomPiece[];
  /** When this page was made, by the server's clock, ms. */
  madeAt: number;
  /** The word for all that was said of the load by then. */
  mark: string;
  coatings: PaintChoice[];
  words: string[];
  card: readonly number[] | null;
  refires: Refires;
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
  /** How it stands while it is not open yet; null once it is. */
  closed: { status: 'firing' | 'cooling'; crackAtC: number } | null;
  /** May they say what is of the whole firing: its cones, who was in it, that it is written up? */
  keeps: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const page = useMemo(
    () => ({ pieces: props.pieces, at: props.madeAt, mark: props.mark }),
    [props.pieces, props.madeAt, props.mark],
  );
  const { made, look } = useOthers(props.firingId, page);
  const load = useLoad(props.firingId, made, props.person);
  const { pieces, sender, state } = load;
  const [place, setPlace] = useState(props.place);
  const [filming, setFilming] = useState(false);
  const hand = useHand({
    load,
    firingId: props.firingId,
    writer: props.person,
    start: props.start,
    place,
  });
  const { piece, seen, at, zone } = hand;
  const shots = useShots(load, piece);
  const tray = useOpeningTray(load, props.firingId);
  const room = useRoomLeft(load.items.length + tray.items.length);
  const { busy, problem, takeOut, join, finish } = useFiringActs(props.firingId);
  const why = useWhy(sender, load.items, props.firingId, props.cases);
  const written = useMemo(() => new Set(pieces.filter(isWritten).map((one) => one.id)), [pieces]);
  const lot = piece === null ? [] : lotOf(pieces, piece, sameStack);
  const pick = (id: string): void => {
    hand.pick(id);
    // The last page speaks of what has been written up meanwhile.
    if (id === 'finish' && state.waiting === 0 && navigator.onLine) router.refresh();
  };
  const taking = useTaking({
    load,
    firingId: props.firingId,
    piece,
    at,
    tray,
    room,
    hold: hand.hold,
  });
  /** A label in the camera's view takes its piece in hand. */
  const labelled = (text: string): void => {
    const named = byLabel(pieces, text);
    if (named === undefined || named.id === piece?.id || at === 'tray') return;
    pick(named.id);
    say(`${named.code} by its label`);
  };
  const laying = useLaying(tray, pieces);
  /** In the tray a touch on the plan says of what the chosen pictures are. */
  const pickFromPlan = (id: string): void => {
    if (at !== 'tray' || !laying.onto(id)) pick(id);
  };
  const save = async (goOn: boolean): Promise<void> => {
    await room.trying(async () => {
      const saved = await hand.save(goOn);
      if (saved !== null && piece !== null)
        say(`${saved.count > 1 ? saved.count : piece.code} written up`, saved.undo);
    });
  };
  const answerConflict = async (answer: 'mine' | 'theirs'): Promise<void> => {
    const { refused } = state;
    if (sender === null || refused === null) return;
    const mine = answer === 'mine' ? refused.anyway : null;
    await sender.settle(refused.id, mine && { id: v7(), ...mine });
    await look();
  };
  const talk = (
    // Another piece in hand ends what is being said of this one, and keeps it for this one.
    <HoldToTalk
      key={taking.spokenOf}
      of={taking.spokenOf}
      onRecorded={(recorded) => void taking.speak(recorded)}
    />
  );
  const closed = load.opened ? null : props.closed;
  const faults = piece === null ? [] : faultsHere(piece, seen);
  const askWhy = async (): Promise<void> => {
    if (piece === null) return;
    // What is being said of it comes first: the clinic reads what was written up.
    if (hand.begun) await save(false);
    await why.ask(piece, faults);
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <RoomHead
        title={props.title}
        reached={props.reached}
        leave={props.keeps ? `/kilns/firings/${props.firingId}` : '/mine'}
        status={statusWords(state, written.size, pieces.length)}
        onSend={state.waiting > 0 && !state.sending ? () => void sender?.flush() : null}
      />
      <Dragging onDrop={laying.drop}>
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
              onPick={pickFromPlan}
              strangers={props.keeps ? `/tests/fired?firing=${props.firingId}` : null}
              extra={[
                ...(props.keeps ? [{ id: 'cones', label: 'Cones' }] : []),
                {
                  id: 'tray',
                  label: tray.items.length === 0 ? 'Tray' : `Tray ${tray.items.length}`,
                },
                { id: 'finish', label: `${written.size} of ${pieces.length}` },
              ]}
            />
          </Box>
          <Box
            component="main"
            sx={{
              p: 2,
              order: 1,
              minWidth: 0,
              gridColumn: { md: 2 },
              gridRow: { md: '1 / span 2' },
            }}
          >
            {room.words !== null && (
              <Typography role="alert" sx={{ fontWeight: 650, mb: 1 }}>
                {room.words}
              </Typography>
            )}
            {closed !== null && (
              <NotOpen {...closed} pieces={pieces.length} onOpen={() => void load.open(closed.status)} />
            )}
            {closed === null && (piece !== null || at === 'tray') && (
              <Camera
                of={piece?.code ?? 'one for the tray'}
                onShot={(file, thumb) => void taking.pictures([file], thumb)}
                onRunning={setFilming}
                onLabel={labelled}
                beside={talk}
              />
            )}
            {closed === null && piece === null && at !== 'tray' && props.keeps && talk}
            {closed === null && at === 'tray' && (
              <>
                <PictureTaker onFiles={(files) => void taking.pictures(files)} count={tray.items.length} />
                <Tray tray={tray} pieces={pieces} />
              </>
            )}
            {closed === null && at === 'cones' && (
              <>
                <Typography variant="h1" sx={{ mb: 2 }}>
                  Cones: how far each bent
                </Typography>
                <ConePacks firingId={props.firingId} cones={props.cones} target={props.target} reading edit />
              </>
            )}
            {closed === null && at === 'finish' && (
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
            {closed === null && piece && seen && (
              <PieceInHand
                key={piece.id}
                firingId={props.firingId}
                piece={piece}
                lot={lot}
                coatings={props.coatings}
                words={props.words}
                refires={props.refires}
                units={props.units}
                shots={shots}
                filming={filming}
                zone={zone}
                onZone={hand.setZone}
                seen={seen}
                writer={props.person}
                correcting={hand.correcting}
                onCorrect={hand.correct}
                place={place}
                onPlace={setPlace}
                onSeen={hand.say}
                chosen={hand.chosen}
                onChosen={hand.setChosen}
                onPicture={(files) => void taking.pictures(files)}
                card={props.card}
                framed={shots[0] !== undefined && load.framed.has(shots[0].key)}
                onFrame={(picture, accepted) => void load.frame(piece, picture, accepted)}
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
      </Dragging>
      {state.refused && (
        <ConflictDialog refused={state.refused} onAnswer={(answer) => void answerConflict(answer)} />
      )}
    </Box>
  );
}
