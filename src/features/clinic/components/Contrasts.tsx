import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { ZonePicture } from '@/ui/ZonePicture';
import { MONO } from '@/ui/theme';
import type { CaseView } from '../queries';

/** The piece beside the nearest that are clean: what is otherwise with them is where to look. */
export function Contrasts({ view }: { view: CaseView }) {
  if (view.contrasts.length === 0) return null;
  return (
    <Section title="The nearest that are clean">
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: 'repeat(auto-fill, minmax(130px, 1fr))',
        }}
      >
        <div>
          <ZonePicture {...view.itself} alt="The piece of this case" />
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            this one
          </Typography>
        </div>
        {view.contrasts.map(({ code, sha, cut, differs }) => (
          <div key={code}>
            <ZonePicture sha={sha} cut={cut} alt={`Picture of ${code}`} />
            <Link href={`/pieces/${code}`} style={{ fontFamily: MONO }}>
              {code}
            </Link>
            <Typography variant="body2">
              {differs.length === 0 ? 'nothing on record is otherwise' : differs.join('; ')}
            </Typography>
          </div>
        ))}
      </Box>
    </Section>
  );
}
