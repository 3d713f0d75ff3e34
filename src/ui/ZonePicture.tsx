import Box from '@mui/material/Box';
import { Cutout, type Part } from './Cutout';
import { Picture } from './Picture';

/**
 * The part of a picture that is meant, where it is known; else the whole picture; on the grey it is to be
 * judged on.
 */
export function ZonePicture({
  sha,
  cut,
  alt,
  share,
  sx,
}: {
  sha: string | null;
  cut: Part | null;
  alt: string;
  share?: string | null;
  sx?: Record<string, unknown>;
}) {
  if (sha === null || cut === null)
    return <Picture sha={sha} alt={alt} share={share ?? null} {...(sx === undefined ? {} : { sx })} />;
  return (
    <Box
      sx={{
        bgcolor: 'booth.ground',
        aspectRatio: '3 / 4',
        overflow: 'hidden',
        '& svg': { display: 'block', width: '100%', height: '100%' },
        ...sx,
      }}
    >
      <Cutout sha={sha} part={cut} alt={alt} share={share ?? null} />
    </Box>
  );
}
