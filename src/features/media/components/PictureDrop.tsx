'use client';
import AddAPhoto from '@mui/icons-material/AddAPhotoOutlined';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { send } from '@/platform/client';
import * as contracts from '../contracts';

/** Sends a picture of a piece; sent again under the same id it is kept once. */
export const sendPicture = (file: File, pieceId: string, firingId: string | null, id = v7()) =>
  send(contracts.addPicture, { pieceId, firingId }, id, file);

/** Takes a picture with the camera, from the disk, or dropped here. Those that failed can be sent again. */
export function PictureDrop({
  pieceId,
  firingId,
  onKept,
  tall = false,
}: {
  pieceId: string;
  firingId: string | null;
  onKept?: (sha: string) => void;
  tall?: boolean;
}) {
  const router = useRouter();
  const [failed, setFailed] = useState<readonly { file: File; why: string }[]>([]);
  const [busy, setBusy] = useState(0);
  const [over, setOver] = useState(false);
  const sendAll = async (files: readonly File[]): Promise<void> => {
    // What failed before and is not sent again now stays among what failed.
    setFailed((held) => held.filter((one) => !files.includes(one.file)));
    setBusy((now) => now + files.length);
    for (const file of files) {
      const answer = await sendPicture(file, pieceId, firingId);
      setBusy((now) => now - 1);
      if (!answer.ok) setFailed((held) => [...held, { file, why: answer.problem.message }]);
      else if (onKept) onKept(answer.data.sha);
      else router.refresh();
    }
  };
  return (
    <Box sx={{ width: tall ? '100%' : 150 }}>
      <Box
        component="label"
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          void sendAll([...event.dataTransfer.files]);
        }}
        sx={{
          border: '2px dashed',
          borderColor: over ? 'primary.main' : 'divider',
          aspectRatio: tall ? 'auto' : '3 / 4',
          minHeight: 72,
          display: 'flex',
          flexDirection: tall ? 'row' : 'column',
          gap: 1,
          alignItems: 'center',
          justifyContent: 'center',
          cursor: 'pointer',
          p: 1,
          color: 'primary.main',
          fontWeight: 600,
          textAlign: 'center',
          '&:focus-within': { outline: '3px solid', outlineColor: 'primary.main' },
        }}
      >
        <AddAPhoto aria-hidden />
        <span>{busy > 0 ? `Sending ${busy} …` : 'Take or drop a picture'}</span>
        <input
          type="file"
          accept="image/*"
          capture="environment"
          multiple
          aria-label="Take or choose a picture"
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          onChange={(event) => {
            void sendAll([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </Box>
      {failed.length > 0 && (
        <Typography role="alert" variant="body2" color="error" sx={{ mt: 0.5 }}>
          {failed.length === 1
            ? `${failed[0]!.file.name}: ${failed[0]!.why}`
            : `${failed.length} pictures were not kept: ${[...new Set(failed.map(({ why }) => why))].join(' ')}`}{' '}
          <Box
            component="button"
            type="button"
            onClick={() => void sendAll(failed.map(({ file }) => file))}
            sx={{
              font: 'inherit',
              color: 'inherit',
              textDecoration: 'underline',
              background: 'none',
              border: 0,
              cursor: 'pointer',
              p: 0,
            }}
          >
            {failed.length === 1 ? 'Send it again' : 'Send them again'}
          </Box>
        </Typography>
      )}
    </Box>
  );
}
