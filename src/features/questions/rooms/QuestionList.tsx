import { count } from '@/core/units';
import Typography from '@mui/material/Typography';
import type { Question } from '@/data/questions';
import { RowLink } from '@/ui/RowLink';
import { ripe } from '../queries';

const state = (question: Question): string =>
  question.conclusion !== null
    ? `concluded: ${question.conclusion.asExpected}`
    : question.tiles === 0
      ? 'no tiles yet'
      : ripe(question)
        ? 'all tiles are out: conclude it'
        : question.seen === 0
          ? `${count(question.tiles, 'tile')}, none fired yet`
          : `${question.seen} of ${question.tiles} written up`;

/** Questions, open ones first, each with where it stands. */
export function QuestionList({ questions }: { questions: readonly Question[] }) {
  return questions.map((question) => (
    <RowLink
      key={question.id}
      href={`/tests/questions/${question.no}`}
      columns={{ xs: '32px 1fr', md: '32px 1.4fr 1fr 260px' }}
    >
      <Typography color="text.secondary">{question.no}</Typography>
      <Typography sx={{ fontWeight: 650 }}>{question.text}</Typography>
      <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
        {question.conclusion?.said ?? question.varied}
      </Typography>
      <Typography
        variant="body2"
        sx={{
          gridColumn: { xs: '2 / -1', md: 'auto' },
          fontWeight: ripe(question) ? 700 : 400,
        }}
      >
        {state(question)}
      </Typography>
    </RowLink>
  ));
}
