'use client';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';

/** The way from a fault in hand to its causes: asked at once, or as soon as the server can be reached. */
export function WhyHere({
  caseId,
  waiting,
  faults,
  onAsk,
}: {
  caseId: string | null;
  /** Is something still on this device alone? */
  waiting: boolean;
  faults: readonly string[];
  onAsk: () => void;
}) {
  if (caseId === null)
    return faults.length === 0 ? null : (
      <Button variant="outlined" size="large" onClick={onAsk} sx={{ minHeight: 60 }}>
        Why?
      </Button>
    );
  return waiting ? (
    <Typography variant="body2" sx={{ maxWidth: 150, alignSelf: 'center' }}>
      “Why?” is kept, and asked when the server is reached.
    </Typography>
  ) : (
    <Button
      component={Link}
      href={`/clinic/cases/${caseId}`}
      variant="outlined"
      size="large"
      sx={{ minHeight: 60 }}
    >
      Its case
    </Button>
  );
}
