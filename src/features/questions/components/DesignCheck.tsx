import Typography from '@mui/material/Typography';
import { designOf, type confounding, type Design } from '@/core/designs';
import { Section } from '@/ui/Page';

/** Whether a design can answer what is asked: what changes besides, and what always changes together. */
export function DesignCheck({
  design,
  asked,
  mixed,
}: {
  design: Pick<Design, 'bodies' | 'kind' | 'repeats'>;
  asked: readonly string[];
  mixed: ReturnType<typeof confounding>;
}) {
  const inSync = mixed.together.filter(([a, b]) => [a, b].includes('body') || !asked.includes(a));
  return (
    <Section title="Can it answer the question?">
      {mixed.unasked.length === 0 && inSync.length === 0 ? (
        <Typography>
          Nothing changes but what is asked about (
          {asked.filter((name) => !mixed.constant.includes(name)).join(', ')}).
        </Typography>
      ) : (
        <>
          {mixed.unasked.map(({ variable, values }) => (
            <Typography key={variable} sx={{ fontWeight: 650 }}>
              “{variable}” changes too: {values.slice(0, 5).join(', ')}.
            </Typography>
          ))}
          {inSync.map(([a, b]) => (
            <Typography key={`${a}/${b}`} sx={{ fontWeight: 650 }}>
              “{a}” and “{b}” always change together: their effects cannot be told apart.
            </Typography>
          ))}
        </>
      )}
      {design.bodies.length > 1 && !designOf(design.kind).acrossBodies && (
        <Typography>
          The body changes as well, in every combination: compare within one body first.
        </Typography>
      )}
      {design.repeats === 1 && (
        <Typography color="text.secondary">
          One of each: a surprise may be luck. Two of each begin to be evidence.
        </Typography>
      )}
    </Section>
  );
}
