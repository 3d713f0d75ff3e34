'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { get, set } from 'idb-keyval';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { complaintOf, type DrillQuestion } from '@/core/diagnosis';
import { count } from '@/core/units';
import { useDevicePerson } from '@/platform/device/person';
import Link from '@/ui/Link';
import { Picture } from '@/ui/Picture';
import { MONO } from '@/ui/theme';
import { Specimen } from '../../drawings';

/** Of each thing that was asked: how often it was named rightly, of how many. Stays on the device. */
type Score = Record<string, readonly [right: number, of: number]>;

/** One picture after another: a touch names it, the reason follows; alone, or with a class and its hands. */
export function Drill({ questions, inClass }: { questions: readonly DrillQuestion[]; inClass: boolean }) {
  const [at, setAt] = useState(0);
  const [rights, setRights] = useState(0);
  const key = `jiten-drill-${useDevicePerson()}`;
  const [score, setScore] = useState<Score>({});
  useEffect(() => {
    void get<Score>(key).then((kept) => kept && setScore(kept));
  }, [key]);
  const router = useRouter();
  const question = questions[at];
  const answered = (right: boolean): void => {
    if (right) setRights(rights + 1);
    const about = question!.right[0]!;
    const [before, of] = score[about] ?? [0, 0];
    const next = { ...score, [about]: [before + Number(right), of + 1] as const };
    setScore(next);
    void set(key, next);
  };
  if (question === undefined)
    return (
      <>
        {!inClass && (
          <Typography sx={{ fontSize: '1.6rem', fontWeight: 700 }}>
            {rights} of {count(questions.length, 'picture')} named rightly
          </Typography>
        )}
        {!inClass && <Weakest score={score} />}
        <Button
          variant="contained"
          size="large"
          onClick={() => {
            setAt(0);
            setRights(0);
            router.refresh();
          }}
        >
          Ten others
        </Button>
      </>
    );
  return (
    <>
      <Typography color="text.secondary">
        {at + 1} of {questions.length}
      </Typography>
      <Question
        key={`${at}/${question.sha}`}
        question={question}
        inClass={inClass}
        onAnswer={answered}
        onNext={() => setAt(at + 1)}
      />
    </>
  );
}

/** What is named wrongly most: worth another look at what tells it. */
function Weakest({ score }: { score: Score }) {
  const weak = Object.entries(score)
    .filter(([, [right, of]]) => of >= 2 && right / of < 0.7)
    .sort(([, [a, x]], [, [b, y]]) => a / x - b / y)
    .slice(0, 3)
    .flatMap(([id]) => complaintOf(id) ?? []);
  if (weak.length === 0) return null;
  return (
    <Box sx={{ my: 2 }}>
      <Typography sx={{ fontWeight: 650 }}>Worth another look:</Typography>
      {weak.map(({ id, sign, name, look }) => (
        <Box key={id} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', my: 1 }}>
          <Specimen id={id} sign={sign} size={52} />
          <Typography>
            <b>{name}</b>: {look}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function Question({
  question,
  inClass,
  onAnswer,
  onNext,
}: {
  question: DrillQuestion;
  inClass: boolean;
  onAnswer: (right: boolean) => void;
  onNext: () => void;
}) {
  const [picked, setPicked] = useState<string | null>(null);
  const [shown, setShown] = useState(false);
  const [hands, setHands] = useState<Readonly<Record<string, number>>>({});
  const told = shown || picked !== null;
  const pick = (id: string): void => {
    if (inClass) return setHands({ ...hands, [id]: (hands[id] ?? 0) + 1 });
    setPicked(id);
    onAnswer(question.right.includes(id));
  };
  const mark = (id: string): string => {
    if (!told) return '';
    if (question.right.includes(id)) return ' ✓';
    return id === picked ? ' ✗' : '';
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: '1fr', md: inClass ? '3fr 2fr' : '2fr 3fr' },
        alignItems: 'start',
      }}
    >
      <Picture sha={question.sha} alt="A piece of this studio" size="large" eager />
      <div>
        <Typography variant="h2" sx={inClass ? { fontSize: '2.2rem' } : {}}>
          {question.asked}
        </Typography>
        <Box sx={{ display: 'grid', gap: 1, my: 1.5 }}>
          {question.choices.map(({ id, name }) => (
            <Button
              key={id}
              variant="outlined"
              color="inherit"
              disabled={told}
              onClick={() => pick(id)}
              sx={{
                justifyContent: 'flex-start',
                textAlign: 'left',
                minHeight: 56,
                fontSize: inClass ? '1.5rem' : '1.05rem',
                borderWidth: told && question.right.includes(id) ? 3 : 1,
                '&.Mui-disabled': { color: 'text.primary' },
              }}
            >
              <span style={{ flex: 1 }}>
                {name}
                {mark(id)}
              </span>
              {inClass && <b aria-label={`hands for ${name}`}>{hands[id] ?? 0}</b>}
            </Button>
          ))}
        </Box>
        {inClass && !told && (
          <>
            <Typography variant="body2">A touch for every hand that goes up.</Typography>
            <Button onClick={() => setHands({})}>Count again</Button>{' '}
            <Button variant="contained" onClick={() => setShown(true)}>
              Show what it is
            </Button>
          </>
        )}
        {told && (
          <div role="status">
            <Typography sx={{ fontSize: '1.15rem', fontWeight: 650 }}>
              {picked === null ? '' : question.right.includes(picked) ? 'Yes. ' : 'No. '}
              {question.reason}
            </Typography>
            <Typography variant="body2">
              It is{' '}
              <Link href={`/pieces/${question.code}`} style={{ fontFamily: MONO }}>
                {question.code}
              </Link>
              , as it was written up here.
            </Typography>
            <Button variant="contained" size="large" onClick={onNext} sx={{ mt: 1 }}>
              Next
            </Button>
          </div>
        )}
      </div>
    </Box>
  );
}
