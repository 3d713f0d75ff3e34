'use client';
import FlagOutlined from '@mui/icons-material/FlagOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Units } from '@/core/units';
import { KEY_LIKELY, describeZone, plainStack, whereOnPiece, zoneKey, zonesOf } from '@/core/zones';
import Link from '@/ui/Link';
import { useKeys } from '@/ui/useKeys';
import { Picture } from '@/ui/Picture';
import { MONO } from '@/ui/theme';
import { Silhouette, namesOf, paintsOf } from '../../drawings';
import { isWritten, looksAt, type RoomLook, type RoomPiece, type Writer } from '../room';
import { BeforeRefire } from './BeforeRefire';
import { LooksHere } from './LooksHere';
import type { Place } from '@/core/looks';
import type { PaintChoice } from '../queries';
import { LotPicker } from './LotPicker';
import { facesToFrame, FrameHere, FrameWaiting, measuredWords, useFrames, type Accepted } from '../../frames';
import { PictureTaker } from '../../media';
import type { Refires } from './RefireRisk';
import { SeenFields } from './SeenFields';
import { WherePad } from './WherePad';
import { ZonePick } from './ZonePick';
import type { SeenInput } from '../contracts';
import { canFrameHere, type Shot } from '../useLoad';

export type InHand = {
  firingId: string;
  piece: RoomPiece;
  lot: readonly RoomPiece[];
  coatings: readonly PaintChoice[];
  units: Units;
  /** Its pictures, newest first. */
  shots: readonly Shot[];
  /** Is the camera on above it? Then the drawing makes room on a phone. */
  filming: boolean;
  zone: string | null;
  onZone: (zone: string | null) => void;
  seen: SeenInput;
  onSeen: (seen: SeenInput) => void;
  writer: Writer;
  correcting: RoomLook | null;
  onCorrect: (look: RoomLook | null) => void;
  place: Place;
  onPlace: (place: Place) => void;
  chosen: ReadonlySet<string>;
  onChosen: (chosen: ReadonlySet<string>) => void;
  onPicture: (files: readonly File[]) => void;
  /** The studio’s grey card; where a frame of its newest picture waits with it; and saying one. */
  card: readonly number[] | null;
  framed: boolean;
  onFrame: (picture: string, accepted: Accepted) => void;
  onSave: (next: boolean) => void;
  /** Takes a piece out again that was put in by mistake; null where it is written up. */
  onTakeOut: (() => void) | null;
  /** Words for colours that the studio uses most. */
  words: readonly string[];
  refires: Refires;
  /** The way to the clinic. */
  why?: ReactNode;
};

/** The piece in hand: what lies on it, its pictures, and what is to be said of it. */
export function PieceInHand(props: InHand) {
  const { piece, zone, seen } = props;
  const paints = paintsOf(piece.bodyColour, props.coatings, piece.bodyName);
  // Of a piece nobody knows the coats of only the whole can be spoken of.
  const zones = piece.keyKnown === 'lost' ? [] : zonesOf(piece.faces, piece.layers, 99);
  const current = zones.find((one) => zoneKey(one) === zone);
  const [shot] = props.shots;
  const framed = useFrames(piece.id, shot !== undefined && 'sha' in shot ? shot.sha : null);
  const stacked = (current ? [current] : zones).some((one) => one.stack.length > 1);
  useKeys((key, { ctrlKey }) => {
    const saves = key === 'Enter' && ctrlKey;
    if (saves) props.onSave(zone === null);
    return saves;
  });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', lg: '340px minmax(0,1fr)' },
        gap: 2.5,
      }}
    >
      <Box>
        <Typography
          component="h1"
          sx={{ fontFamily: MONO, fontSize: '2.4rem', fontWeight: 800, lineHeight: 1 }}
        >
          {piece.code}
        </Typography>
        <Typography sx={{ mb: 1 }}>
          {piece.mark ? `“${piece.mark}”, ` : ''}
          {piece.form}, {piece.bodyName}
          {piece.generation > 1 ? `, glaze firing ${piece.generation}` : ''}
          {piece.owner ? `, ${piece.owner}’s` : ''}
        </Typography>
        {piece.keyKnown === 'lost' && (
          <Typography>
            Nobody knows what is on it.{' '}
            <Link href={`/tests/keys?firing=${props.firingId}`}>Say it for many at once</Link>
          </Typography>
        )}
        {piece.keyKnown === 'likely' && <Typography>{KEY_LIKELY}</Typography>}
        {piece.joined !== null && props.onTakeOut !== null && (
          <Typography variant="body2">
            It was on no list of this firing.{' '}
            <Button size="small" onClick={props.onTakeOut}>
              It was not in it
            </Button>
          </Typography>
        )}
        {piece.flags.map((flag) => (
          <Typography key={flag} sx={{ fontWeight: 700, border: '2px solid', px: 1, py: 0.5, mb: 0.5 }}>
            <FlagOutlined fontSize="small" aria-label="Flag" sx={{ verticalAlign: '-4px' }} /> {flag}
          </Typography>
        ))}
        {piece.otherwise.map((line) => (
          <Typography key={line} variant="body2">
            {line}
          </Typography>
        ))}
        <Box
          sx={{
            bgcolor: 'booth.ground',
            color: 'booth.ink',
            p: 1.5,
            display: { xs: props.filming && zone === null ? 'none' : 'flex', lg: 'flex' },
            flexWrap: piece.kind === 'ware' ? 'wrap' : 'nowrap',
            gap: 1.5,
            alignItems: 'flex-start',
            justifyContent: 'center',
          }}
        >
          <Silhouette
            faces={piece.faces}
            layers={piece.layers}
            paints={paints}
            // The rim and foot of ware are small: they are drawn for a thumb.
            height={piece.kind === 'ware' ? 240 : 160}
            form={piece.form}
            marked={(one) => zoneKey(one) === zone}
            onZone={(one) => props.onZone(zoneKey(one) === zone ? null : zoneKey(one))}
            points={seen.signs.flatMap(({ points }) => points ?? [])}
          />
          {props.shots.slice(0, 1).map((one) =>
            'sha' in one ? (
              <Picture
                key={one.key}
                sha={one.sha}
                alt={`Picture of ${piece.code}`}
                size="medium"
                sx={{ flex: 1 }}
                eager
              />
            ) : (
              // eslint-disable-next-line @next/next/no-img-element -- a picture still on this device
              <img
                key={one.key}
                src={one.url}
                alt={`Picture of ${piece.code}, on this device`}
                style={{ flex: 1, minWidth: 0, maxHeight: 190, objectFit: 'contain' }}
              />
            ),
          )}
        </Box>
        <PictureTaker onFiles={props.onPicture} count={props.shots.length} />
        {props.shots[0] !== undefined && 'sha' in props.shots[0] && piece.keyKnown !== 'lost' && (
          <FrameHere
            key={props.shots[0].sha}
            pieceId={piece.id}
            sha={props.shots[0].sha}
            onDone={framed.again}
          />
        )}
        {shot !== undefined && 'url' in shot && piece.keyKnown !== 'lost' && canFrameHere() && (
          <FrameWaiting
            key={shot.key}
            url={shot.url}
            code={piece.code}
            faces={facesToFrame(piece.faces, piece.layers, 99)}
            card={props.card}
            framed={props.framed}
            onFrame={(accepted) => props.onFrame(shot.key, accepted)}
          />
        )}
        <ZonePick
          zone={zone}
          onZone={props.onZone}
          choices={[
            { key: '', label: `the whole piece${isWritten(piece) ? ' ✓' : ''}` },
            ...[...zones].reverse().map((one) => {
              const face = piece.faces.find((entry) => entry.no === one.face)!;
              const done = looksAt(piece, zoneKey(one)).length > 0 ? ' ✓' : '';
              return {
                key: zoneKey(one),
                label: `${whereOnPiece(one, piece.faces, namesOf(paints).coat)}: ${describeZone(one, face, namesOf(paints))}${done}`,
              };
            }),
          ]}
        />
      </Box>
      <Box>
        {zone === null && (
          <LotPicker piece={piece} lot={props.lot} chosen={props.chosen} onChange={props.onChosen} />
        )}
        {zone !== null && (
          <Typography sx={{ mb: 1, fontWeight: 650 }}>Only where it differs from the whole piece.</Typography>
        )}
        <LooksHere
          looks={looksAt(piece, zone)}
          correcting={props.correcting}
          onCorrect={props.onCorrect}
          place={props.place}
          onPlace={props.onPlace}
          writer={props.writer}
          units={props.units}
        />
        {zone === null && piece.before !== null && (
          <BeforeRefire code={piece.code} before={piece.before} seen={seen} onSeen={props.onSeen} />
        )}
        <SeenFields
          seen={seen}
          onChange={props.onSeen}
          stacked={stacked}
          whole={zone === null}
          units={props.units}
          cautions={piece.cautions}
          words={props.words}
          measured={measuredWords(framed.photo, zone)}
          refires={props.refires}
          stacks={[...new Set(zones.map((one) => plainStack(one.stack)))]}
          {...(piece.keyKnown !== 'lost' && {
            where: (sign, onPoints) => (
              <WherePad sign={sign} piece={piece} paints={paints} shot={props.shots[0]} onPoints={onPoints} />
            ),
          })}
        />
        <Box
          sx={{
            position: 'sticky',
            bottom: 0,
            bgcolor: 'background.default',
            py: 1.5,
            display: 'flex',
            gap: 1,
            mt: 1,
            zIndex: 2,
          }}
        >
          <Button
            variant="contained"
            size="large"
            sx={{ flex: 1, minHeight: 60, fontSize: '1.1rem' }}
            onClick={() => props.onSave(zone === null)}
          >
            {zone !== null
              ? 'Save this zone'
              : props.chosen.size > 1
                ? `Save ${props.chosen.size}, next`
                : 'Save, next piece'}
          </Button>
          {props.why}
        </Box>
      </Box>
    </Box>
  );
}
