'use client';
import AddAPhoto from '@mui/icons-material/AddAPhotoOutlined';
import Box from '@mui/material/Box';
import { useState } from 'react';

/** A large place to take, choose or drop a picture of the piece in hand. */
export function PictureTaker({
  onFiles,
  count,
}: {
  onFiles: (files: readonly File[]) => void;
  count: number;
}) {
  const [over, setOver] = useState(false);
  return (
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
        onFiles([...event.dataTransfer.files]);
      }}
      sx={{
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        gap: 1,
        minHeight: 60,
        mt: 1,
        border: '2px dashed',
        borderColor: over ? 'primary.main' : 'divider',
        color: 'primary.main',
        fontWeight: 650,
        cursor: 'pointer',
        position: 'relative',
        '&:focus-within': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <AddAPhoto aria-hidden /> {count === 0 ? 'Take a picture' : 'Another picture'}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        aria-label="Take or choose a picture"
        style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </Box>
  );
}
