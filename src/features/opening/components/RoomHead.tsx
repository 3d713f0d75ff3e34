'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';

/** Which opening it is, what is safe on the server, and the way out. */
export function RoomHead({
  title,
  reached,
  leave,
  status,
  onSend,
}: {
  title: string;
  reached: string;
  /** Where one goes from here. */
  leave: string;
  status: string;
  /** Sends what waits on this device; null when nothing does. */
  onSend: (() => void) | null;
}) {
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 2,
        px: 2,
        py: { xs: 0.25, md: 1 },
        borderBottom: '2px solid',
        borderColor: 'text.primary',
        bgcolor: 'background.paper',
      }}
    >
      <Typography variant="h2" component="p" sx={{ flex: '1 1 150px' }}>
        Opening {title}{' '}
        <Typography component="span" color="text.secondary" sx={{ display: { xs: 'none', md: 'inline' } }}>
          {reached}
        </Typography>
      </Typography>
      <Typography role="status" variant="body2" sx={{ fontWeight: 600 }}>
        {status}
      </Typography>
      {onSend && (
        <Button size="small" variant="outlined" onClick={onSend}>
          Send now
        </Button>
      )}
      <Button component={Link} href={leave} size="small">
        Leave
      </Button>
    </Box>
  );
}
