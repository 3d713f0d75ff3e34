import { count } from '@/core/units';
import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { describePiece, nameIn } from '@/core/zones';
import { glazeFirings, openFiringsOf } from '@/data/placements';
import { listPieces } from '@/data/pieces';
import { flagsOf } from '@/data/flags';
import { facesOf, layersOf } from '@/data/layers';
import { listQuestions } from '@/data/questions';
import { may, permit } from '@/features/people';
import { QuestionList } from '../../questions/rooms/QuestionList';
import { PieceGrid } from '../../pieces/rooms/PieceGrid';
import { NOTHING_SEEN, seenOf } from '../seen';
import { makeChoices } from '../../pieces/server';
import { stateWords } from '@/data/journey';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page, Section } from '@/ui/Page';
import { coatNames, listCoatings } from '@/data/coatings';

const SHOWN = 2000;

export async function TestsPage({
  searchParams,
}: {
  searchParams: Promise<{ bin?: string; lot?: string; owner?: string }>;
}) {
  const { person } = await enter(permit('see records'));
  const { bin, lot, owner } = await searchParams;
  const db = database();
  const questions = bin === '1' || lot || owner ? [] : await listQuestions(db);
  const pieces = await listPieces(db, {
    binned: bin === '1',
    limit: SHOWN,
    ...(lot ? { lotId: lot } : {}),
    ...(owner ? { ownerId: owner } : {}),
  });
  const ids = pieces.map((piece) => piece.id);
  const [choices, faces, layers, flags, open, fired, coatings, seen] = await Promise.all([
    makeChoices(db),
    facesOf(db, ids),
    layersOf(db, ids, ['done']),
    flagsOf(db, ids),
    openFiringsOf(db, ids),
    glazeFirings(db, ids),
    listCoatings(db),
    seenOf(db, ids),
  ]);
  const names = { coat: nameIn(coatNames(coatings)), body: null };
  const rows = pieces.map((piece) => ({
    id: piece.id,
    code: piece.code,
    mark: piece.mark ?? '',
    body: piece.bodyName,
    form: piece.form,
    owner: piece.ownerName ?? '',
    stack: describePiece(faces.get(piece.id) ?? [], layers.get(piece.id) ?? [], names, piece.keyKnown),
    state: stateWords(piece, open.get(piece.id)?.label, fired.get(piece.id) ?? 0),
    made: piece.madeOn ?? '',
    flags: flags.get(piece.id)?.length ?? 0,
    ...(seen.get(piece.id) ?? NOTHING_SEEN),
  }));
  return (
    <Page
      title={bin === '1' ? 'Bin' : lot ? 'A lot' : 'Tests'}
      wide
      lead={
        pieces.length === SHOWN
          ? `The newest ${count(SHOWN, 'piece')}; older ones are found by their code.`
          : `${count(pieces.length, 'piece')}`
      }
      acts={
        <>
          <Button component={Link} href="/tests/ask" variant="contained">
            Ask a question
          </Button>
          <Button component={Link} href="/tests/make" variant="outlined">
            Make tiles
          </Button>
          <Button component={Link} href="/tests/ask?design=matrix" variant="outlined">
            Every base under every over
          </Button>
          <Button component={Link} href="/tests/keys">
            What is on them?
          </Button>
          <Button component={Link} href="/tests/stock">
            Tile stock
          </Button>
          <Button component={Link} href={bin === '1' ? '/tests' : '/tests?bin=1'}>
            {bin === '1' ? 'Back from the bin' : 'Bin'}
          </Button>
        </>
      }
    >
      {questions.length > 0 && (
        <Section title="Questions">
          <QuestionList questions={questions} />
        </Section>
      )}
      {pieces.length === 0 ? (
        <Nothing
          act={
            bin === '1' ? undefined : (
              <Button component={Link} href="/tests/make" variant="contained">
                Make the first tiles
              </Button>
            )
          }
        >
          {bin === '1'
            ? 'Nothing is in the bin.'
            : 'No piece is on record yet. Tiles are made here: body, form, layers; each gets a code to scratch into it.'}
        </Nothing>
      ) : (
        <Section title={bin === '1' ? 'In the bin' : 'Pieces'}>
          <PieceGrid
            rows={rows}
            binned={bin === '1'}
            edit={may(person, 'keep records')}
            bodies={choices.bodies}
            people={choices.people}
          />
        </Section>
      )}
    </Page>
  );
}
