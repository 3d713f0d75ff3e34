import Typography from '@mui/material/Typography';
import { nowWith } from '@/core/diagnosis';
import { Section } from '@/ui/Page';

/** What to do with the piece now, before anybody knows why. */
export function NowWith({ complaints, one }: { complaints: readonly string[]; one: boolean }) {
  const all = nowWith(complaints);
  if (all.length === 0) return null;
  return (
    <Section title={one ? 'With this piece now' : 'With these pieces now'}>
      {all.map(({ name, now: { use, mend, keep } }) => (
        <div key={name}>
          {all.length > 1 && <Typography sx={{ fontWeight: 650, mt: 0.5 }}>{name}</Typography>}
          <Typography>{use}</Typography>
          {mend !== null && <Typography>{mend}</Typography>}
          {keep !== null && <Typography variant="body2">{keep}</Typography>}
        </div>
      ))}
    </Section>
  );
}
