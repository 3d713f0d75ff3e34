'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { pingsWords } from '@/core/looks';
import { SEVERITIES } from '@/core/signs';
import { count } from '@/core/units';
import { studioNow } from '@/platform/device/clock';
import { useItemsAbout, useSender } from '@/platform/sender/host';
import { keeping } from '@/platform/useSend';
import Link from '@/ui/Link';
import { Nothing } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import { addPicture } from '../../media/contracts';
import { PictureTaker } from '../../media';
import { record, type RecordInput } from '../../opening/contracts';
import { actsOf, crazingOf, type DuePiece, type Found } from '../looks';
import { PingCounter } from './PingCounter';

/** Under which name second looks wait on a device. */
const ABOUT = 'second-looks';

/**
 * Pieces that are due: tick those that are as they were, touch what is new, take a picture; one act for all.
 */
export function DueLooks({ pieces }: { pieces: readonly DuePiece[] }) {
  const router = useRouter();
  const say = useSay();
  const { sender } = useSender();
  const items = useItemsAbout(ABOUT) ?? [];
  const [found, setFound] = useState<Readonly<Record<string, Found>>>({});
  const [shot, setShot] = useState<Readonly<Record<string, number>>>({});
  // What was written here and has not gone out is not due any more.
  const written = new Set(
    items
      .filter(({ name, state }) => name === record.name && state !== 'refused')
      .flatMap(({ input }) => (input as RecordInput).pieces.map(({ pieceId }) => pieceId)),
  );
  const open = pieces.filter(({ pieceId }) => !written.has(pieceId));
  const chosen = open.filter(({ pieceId }) => found[pieceId] !== undefined);
  const as = (piece: DuePiece): Found =>
    found[piece.pieceId] ?? { crazing: crazingOf(piece.signs), pings: null };
  const set = (piece: DuePiece, part: Partial<Found> | null): void =>
    setFound(({ [piece.pieceId]: _, ...others }) =>
      part === null ? others : { ...others, [piece.pieceId]: { ...as(piece), ...part } },
    );
  const picture = async (piece: DuePiece, files: readonly File[]): Promise<void> => {
    for (const file of files)
      await sender?.add({
        id: v7(),
        name: addPicture.name,
        input: { pieceId: piece.pieceId, firingId: piece.firingId },
        label: `Picture of ${piece.code}`,
        about: ABOUT,
        file,
      });
    setShot((now) => ({ ...now, [piece.pieceId]: (now[piece.pieceId] ?? 0) + files.length }));
    set(piece, {});
  };
  const save = async (): Promise<void> => {
    if (sender === null) return;
    const seenAt = new Date(studioNow()).toISOString();
    const ids: string[] = [];
    for (const { firingId, seen, pieces: entries, codes } of actsOf(open, found)) {
      const input: RecordInput = { firingId, pieces: entries, zone: null, seenAt, place: 'desk', seen };
      const item = { ...keeping(record, input), label: `A second look: ${codes.join(', ')}`, about: ABOUT };
      await sender.add(item);
      ids.push(item.id);
    }
    const n = chosen.length;
    setFound({});
    say(`${count(n, 'piece')} looked at again`, () => {
      for (const id of ids) void sender.takeBack(id).then(() => router.refresh());
    });
  };
  if (open.length === 0) return <Nothing>Nothing is due.</Nothing>;
  return (
    <>
      <Button
        onClick={() => setFound(Object.fromEntries(open.map((piece) => [piece.pieceId, as(piece)])))}
        sx={{ minHeight: 56 }}
      >
        All of them are as they were
      </Button>
      {open.map((piece) => {
        const heard = pingsWords([
          ...piece.pings,
          ...(found[piece.pieceId]?.pings == null ? [] : [found[piece.pieceId]!.pings!]),
        ]);
        return (
          <Box
            key={`${piece.pieceId}/${piece.firingId}`}
            component="section"
            aria-label={piece.code}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '56px 84px 1fr', md: '56px 110px 1fr auto' },
              gap: 1,
              py: 1,
              borderTop: '1px solid',
              borderColor: 'divider',
              alignItems: 'start',
            }}
          >
            <Checkbox
              checked={found[piece.pieceId] !== undefined}
              onChange={(_, checked) => set(piece, checked ? {} : null)}
              slotProps={{ input: { 'aria-label': `${piece.code} was looked at` } }}
              sx={{ width: 56, height: 56 }}
            />
            <Picture sha={piece.sha} alt={`Picture of ${piece.code}`} />
            <Box>
              <Typography sx={{ fontFamily: MONO, fontWeight: 700 }}>
                <Link href={`/opening/${piece.firingId}?piece=${piece.code}&look=desk`}>{piece.code}</Link>
              </Typography>
              <Typography variant="body2">
                {piece.firing}, after {piece.after}; it was {piece.now || 'not described'}
              </Typography>
              {heard !== '' && <Typography variant="body2">{heard}</Typography>}
              <PingCounter
                pings={found[piece.pieceId]?.pings ?? null}
                onPings={(pings) => set(piece, { pings })}
              />
            </Box>
            <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, minWidth: 260 }}>
              <ToggleButtonGroup
                exclusive
                value={as(piece).crazing}
                onChange={(_, crazing: Found['crazing'] | null) =>
                  crazing !== null && set(piece, { crazing })
                }
                aria-label={`Crazing of ${piece.code}`}
              >
                {(['not crazed', ...SEVERITIES] as const).map((word, severity) => (
                  <ToggleButton key={word} value={severity} sx={{ minHeight: 56 }}>
                    {word}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              <PictureTaker
                count={shot[piece.pieceId] ?? 0}
                onFiles={(files) => void picture(piece, files)}
              />
            </Box>
          </Box>
        );
      })}
      <Box sx={{ position: 'sticky', bottom: 0, bgcolor: 'background.default', py: 1.5 }}>
        <Button
          variant="contained"
          size="large"
          disabled={sender === null || chosen.length === 0}
          onClick={() => void save()}
          sx={{ minHeight: 60 }}
        >
          {chosen.length === 0
            ? 'Nothing looked at yet'
            : `Keep the looks at ${count(chosen.length, 'piece')}`}
        </Button>
      </Box>
    </>
  );
}
