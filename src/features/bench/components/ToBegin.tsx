import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Line, Lines } from '@/ui/Lines';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';

/** What a new studio needs before its first tile. */
export function ToBegin({ bodies, coatings, kilns }: { bodies: number; coatings: number; kilns: number }) {
  return (
    <Section title="To begin">
      <Lines>
        <Line
          figure="→"
          act={
            <Button component={Link} href="/tests/fired" variant="contained">
              I hold a fired tile
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>
            The quickest way to a chart: take a tile off the board and write it up.
          </Typography>
          <Typography variant="body2" color="text.secondary">
            Its body and its coatings come into the store with it.
          </Typography>
        </Line>
        <Line
          figure={bodies > 0 ? '✓' : '1'}
          act={
            <Button component={Link} href="/store/bodies/new" variant={bodies > 0 ? 'text' : 'outlined'}>
              Add a body
            </Button>
          }
        >
          <Typography>The clay bodies you use: {bodies} in the store.</Typography>
        </Line>
        <Line
          figure={coatings > 0 ? '✓' : '2'}
          act={
            <Button component={Link} href="/store/coatings/new" variant={coatings > 0 ? 'text' : 'outlined'}>
              Add a coating
            </Button>
          }
        >
          <Typography>Glazes, slips and washes: {coatings} in the store.</Typography>
        </Line>
        <Line
          figure={kilns > 0 ? '✓' : '3'}
          act={
            <Button component={Link} href="/kilns/new" variant={kilns > 0 ? 'text' : 'outlined'}>
              Add a kiln
            </Button>
          }
        >
          <Typography>Your kilns: {kilns} so far.</Typography>
        </Line>
        <Line
          figure="or"
          act={
            <Button component={Link} href="/studio/import" variant="outlined">
              Bring in past tests
            </Button>
          }
        >
          <Typography>
            A spreadsheet of past tests brings bodies, coatings, kilns and results with it.
          </Typography>
        </Line>
        <Line
          figure="or"
          act={
            <Button component={Link} href="/studio/board" variant="outlined">
              Bring in a wall board
            </Button>
          }
        >
          <Typography>One picture of the board of tiles on your wall becomes the chart.</Typography>
        </Line>
      </Lines>
    </Section>
  );
}
