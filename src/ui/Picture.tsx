import Box from '@mui/material/Box';
import { pictureUrl } from './picture-url';

/** A picture on the neutral grey it is to be judged on; without one, the grey alone. */
export function Picture(props: {
  sha: string | null;
  alt: string;
  size?: 'small' | 'medium' | 'large';
  share?: string | null;
  sx?: Record<string, unknown>;
  eager?: boolean;
}) {
  return (
    <Box
      sx={{
        bgcolor: 'booth.ground',
        position: 'relative',
        overflow: 'hidden',
        aspectRatio: '3 / 4',
        ...props.sx,
      }}
    >
      {props.sha !== null && (
        // The sizes are made on the server already, so the framework's image service is not wanted.
        // eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server
        <img
          src={pictureUrl(props.sha, props.size ?? 'small', props.share)}
          alt={props.alt}
          loading={props.eager ? 'eager' : 'lazy'}
          decoding="async"
          style={{ width: '100%', height: '100%', objectFit: 'contain', display: 'block' }}
        />
      )}
    </Box>
  );
}
