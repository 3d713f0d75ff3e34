import Box from '@mui/material/Box';

/** A field to choose pictures with, one by one or a folder of them. */
export function FileChoice({
  label,
  name,
  folder = false,
  onFiles,
}: {
  label: string;
  name: string;
  folder?: boolean;
  onFiles: (files: readonly File[]) => void;
}) {
  return (
    <Box
      component="label"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        border: '2px dashed',
        borderColor: 'divider',
        minHeight: 60,
        px: 3,
        mr: 1,
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
        multiple
        aria-label={name}
        style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
        {...(folder ? { webkitdirectory: '' } : { accept: 'image/*' })}
        onChange={(event) => onFiles([...(event.target.files ?? [])])}
      />
    </Box>
  );
}
