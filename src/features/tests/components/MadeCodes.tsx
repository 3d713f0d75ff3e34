'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import Typography from '@mui/material/Typography';
import { MONO } from '@/ui/theme';

/** The codes to scratch into the clay, or to write on what is fired hard, large, ready to be printed. */
export function MadeCodes({
  codes,
  onMore,
  fired,
  onList,
}: {
  codes: readonly string[];
  /** Fired hard already: nothing can be scratched in any more. */
  fired: boolean;
  onMore: () => void;
  onList: () => void;
}) {
  return (
    <Box>
      <Typography sx={{ mb: 2, maxWidth: 640 }}>
        {codes.length === 1 ? 'This piece is' : `These ${codes.length} pieces are`} waiting to be fired.{' '}
        {fired
          ? 'Write the code on the foot of each with an iron or underglaze pencil, where no glaze comes'
          : 'Scratch the code into each, deep enough to be read through glaze'}
        ; the last character checks the others.
      </Typography>
      <Box
        component="ol"
        aria-label="Codes"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gap: 1,
          gridTemplateColumns: 'repeat(auto-fill, minmax(130px, 1fr))',
        }}
      >
        {codes.map((code, i) => (
          <Box
            component="li"
            key={code}
            sx={{ border: '1px solid', borderColor: 'text.primary', p: 1, textAlign: 'center' }}
          >
            <Typography variant="body2" color="text.secondary">
              {i + 1}
            </Typography>
            <Typography
              component={Link}
              href={`/pieces/${code}`}
              sx={{
                fontFamily: MONO,
                fontSize: '1.6rem',
                fontWeight: 700,
                color: 'inherit',
                textDecoration: 'none',
              }}
            >
              {code}
            </Typography>
          </Box>
        ))}
      </Box>
      <Box className="no-print" sx={{ mt: 3, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={onMore}>
          Make more like {codes.length === 1 ? 'it' : 'these'}
        </Button>
        <Button variant="outlined" component={Link} href="/kilns/plan">
          Plan a firing
        </Button>
        <Button variant="outlined" onClick={() => window.print()}>
          Print the codes
        </Button>
        <Button onClick={onList}>All pieces</Button>
      </Box>
    </Box>
  );
}
