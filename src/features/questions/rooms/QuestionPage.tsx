import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { notFound } from 'next/navigation';
import { listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { may, permit } from '@/features/people';
import { Blank, Board, Legend, sharesOf } from '../components/Board';
import { CompareTiles } from '../components/CompareTiles';
import { ConcludeForm, ReopenButton } from '../components/ConcludeForm';
import { Sheets } from '../components/Sheets';
import { questionSeen, ripe } from '../server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { day } from '@/ui/time';
import { distanceWords } from '@/core/colour';
import { nearerFirst, nearTo } from '../near';

export async function QuestionPage({ params }: { params: Promise<{ no: string }> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const { no } = await params;
  const db = database();
  const data = await questionSeen(db, person, Number(no));
  if (data === null) notFound();
  const { question, tiles, sheets, names } = data;
  const keeps = may(person, 'keep records');
  const { design } = question;
  const corners: readonly string[] = design !== null && 'corners' in design ? design.corners : [];
  const [target] =
    question.targetPieceId === null ? [] : await listPieces(db, { ids: [question.targetPieceId] });
  const [targetPhoto] = target === undefined ? [] : await listPhotos(db, { pieceIds: [target.id] });
  const bodies = new Set(tiles.map(({ bodyName }) => bodyName));
  const near =
    target === undefined
      ? null
      : await nearTo(
          db,
          target.id,
          tiles.map(({ pieceId }) => pieceId),
        );
  const ranked = [...tiles]
    .filter(({ rating, pieceId }) => rating !== null || near?.distances.has(pieceId))
    .sort((a, b) => nearerFirst(near, a.pieceId, b.pieceId) || (b.rating ?? 0) - (a.rating ?? 0));
  const facts = (
    [
      ['Varied', question.varied],
      ['Held', question.held],
      ['Expected', question.expected],
    ] as const
  ).filter(([, text]) => text !== '');
  return (
    <Page
      title={question.text}
      lead={`Question ${question.no}, asked by ${question.askedBy}, ${day(question.askedAt, studio.timeZone)}. ${
        question.tiles === 0 ? 'No tiles yet.' : `${question.seen} of ${question.tiles} tiles are written up.`
      }`}
      wide
    >
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto 1fr',
          columnGap: 2,
          m: 0,
          mb: 3,
          '& dd': { m: 0 },
          '& dt': { fontWeight: 650 },
        }}
      >
        {facts.map(([name, text]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <dt>{name}</dt>
            <dd>{text}</dd>
          </Box>
        ))}
      </Box>
      {question.conclusion && (
        <Section title="Concluded" acts={keeps && <ReopenButton id={question.id} />}>
          <Typography sx={{ fontSize: '1.2rem', maxWidth: 760 }}>{question.conclusion.said}</Typography>
          <Typography color="text.secondary">
            {question.conclusion.asExpected}; {question.concludedBy}
            {question.concludedAt && `, ${day(question.concludedAt, studio.timeZone)}`}
          </Typography>
          {Object.entries(question.conclusion.counts).map(([count, text]) => (
            <Typography key={count}>
              <b>{count}:</b> {text}
            </Typography>
          ))}
          {question.conclusion.nextChange !== '' && (
            <Typography sx={{ mt: 1 }}>
              <b>Next:</b> {question.conclusion.nextChange}
            </Typography>
          )}
        </Section>
      )}
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1.2fr 1fr' } }}>
        <Box sx={{ minWidth: 0 }}>
          {target && (
            <Section title="To be matched">
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, '& > div': { width: 130 } }}>
                <div>
                  <Picture sha={targetPhoto?.sha ?? null} alt={`${target.code}, to be matched`} />
                  <Link href={`/pieces/${target.code}`}>{target.code}</Link>
                </div>
                {ranked.slice(0, 4).map((tile, i) => (
                  <div key={tile.no}>
                    <Picture sha={tile.photo} alt={`Attempt ${tile.no}, ${tile.label}`} />
                    <Link href={`/pieces/${tile.code}`}>
                      {i === 0 ? 'Nearest: ' : ''}
                      {tile.no}
                      {tile.rating === null ? '' : `, ${tile.rating} of 5`}
                    </Link>
                    {near?.distances.has(tile.pieceId) && (
                      <Typography variant="body2">
                        {near.distances.get(tile.pieceId)!.toFixed(1)} ΔE₀₀ from it:{' '}
                        {distanceWords(near.distances.get(tile.pieceId)!, near.scatter)}
                      </Typography>
                    )}
                  </div>
                ))}
              </Box>
            </Section>
          )}
          <Section title={bodies.size === 1 ? `Tiles, all on ${[...bodies][0]}` : 'Tiles'}>
            {tiles.length === 0 ? (
              <Nothing
                act={
                  <Button component={Link} href="/tests/ask" variant="outlined">
                    Choose a design
                  </Button>
                }
              >
                This question has no tiles.
              </Nothing>
            ) : (
              <Board
                tiles={tiles}
                label="The tiles as they stand on the board"
                render={(tile) => (
                  <Box
                    component={Link}
                    href={`/pieces/${tile.code}`}
                    prefetch={false}
                    sx={{ color: 'inherit', textDecoration: 'none', display: 'block' }}
                  >
                    {tile.photo === null ? (
                      <Blank
                        no={tile.no}
                        body={bodies.size > 1 ? tile.bodyName : null}
                        label={tile.label}
                        role={tile.role}
                        shares={sharesOf(tile.mix, corners)}
                      />
                    ) : (
                      <>
                        <Picture
                          sha={tile.photo}
                          alt={`Tile ${tile.no}, ${tile.label} on ${tile.bodyName}`}
                        />
                        <Typography sx={{ fontSize: '0.78rem', lineHeight: 1.2 }}>
                          <b>{tile.no}</b> {tile.label}
                          {bodies.size > 1 ? ` on ${tile.bodyName}` : ''}
                          {tile.rating === null ? '' : ` · ${tile.rating} of 5`}
                        </Typography>
                      </>
                    )}
                    {tile.shown !== null && (
                      <Typography sx={{ fontSize: '0.85rem', fontWeight: 700, lineHeight: 1.25 }}>
                        {tile.shown}
                      </Typography>
                    )}
                  </Box>
                )}
              />
            )}
            {corners.length > 1 && <Legend names={corners.map((id) => names.get(id) ?? '')} />}
          </Section>
          {tiles.length > 1 && (
            <Section title="Compare two tiles">
              <CompareTiles
                tiles={tiles.map(({ no: at, label, factors, shelf, bodyName }) => ({
                  no: at,
                  label,
                  factors,
                  shelf,
                  bodyName,
                }))}
              />
            </Section>
          )}
          {question.conclusion === null && keeps && (
            <Section title={ripe(question) ? 'All tiles are out: what came of it?' : 'Conclude'}>
              {ripe(question) || tiles.length === 0 ? (
                <ConcludeForm question={question} />
              ) : (
                <Box component="details" sx={{ '& summary': { cursor: 'pointer', mb: 1.5 } }}>
                  <summary>
                    {question.tiles - question.seen} tiles are not written up yet; conclude all the same
                  </summary>
                  <ConcludeForm question={question} />
                </Box>
              )}
            </Section>
          )}
        </Box>
        <Box sx={{ minWidth: 0 }}>
          {sheets.length > 0 && question.seen < question.tiles && (
            <Section title="Sheets to work from">
              <Sheets no={question.no} sheets={sheets} />
            </Section>
          )}
        </Box>
      </Box>
    </Page>
  );
}
