import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A place to drop a file on, or to choose one by: the same file can be chosen again. */
export function DropFile({
  label,
  name,
  accept,
  minHeight,
  onFile,
}: {
  /** What stands in it. */
  label: ReactNode;
  /** What its field is called. */
  name: string;
  accept: string;
  minHeight: number;
  onFile: (file: File) => void;
}) {
  const take = (files: FileList | null): void => {
    const file = files?.[0];
    if (file !== undefined) onFile(file);
  };
  return (
    <Box
      component="label"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        take(event.dataTransfer.files);
      }}
      sx={{
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        gap: 1,
        border: '2px dashed',
        borderColor: 'divider',
        minHeight,
        p: 1,
        mb: 2,
        color: 'primary.main',
        fontWeight: 650,
        cursor: 'pointer',
        '&:focus-within': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      {label}
      <input
        type="file"
        accept={accept}
        aria-label={name}
        style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
        onChange={(event) => {
          take(event.target.files);
          event.target.value = '';
        }}
      />
    </Box>
  );
}
