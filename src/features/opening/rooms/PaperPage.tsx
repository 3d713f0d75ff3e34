import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import QRCode from 'qrcode';
import { firingTitle, reachedWords } from '@/core/firing';
import { SIGNS, SIGN_KEYS, SURFACES, VERDICTS } from '@/core/signs';
import { findFiring } from '@/data/firings';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { overTls } from '@/platform/peer';
import Link from '@/ui/Link';
import { Page } from '@/ui/Page';
import { PrintButton } from '@/ui/PrintButton';
import { MONO } from '@/ui/theme';
import { openingRoom } from '../queries';
import type { RoomPiece } from '../room';

/**
 * The load on paper, for the glove that touches no phone: a row for each piece in the order of the plan, in
 * which it is typed in afterwards; or a label for each with its code, to lie beside it while a picture is
 * taken.
 */
export async function PaperPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ labels?: string }>;
}) {
  await enter(permit('keep records'));
  const { id } = await params;
  const labels = (await searchParams).labels === '1';
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  const { pieces } = await openingRoom(db, firing);
  const host = (await headers()).get('host') ?? 'localhost';
  const base = `${(await overTls()) ? 'https' : 'http'}://${host}/pieces/`;
  const codes = labels
    ? await Promise.all(
        pieces.map(({ code }) => QRCode.toString(`${base}${code}`, { type: 'svg', margin: 1 })),
      )
    : [];
  return (
    <Page
      title={labels ? 'Labels for the pictures' : 'On paper'}
      lead={
        labels
          ? 'Cut out and laid beside a piece: in the tray its pictures find their piece by themselves, and before the camera it is taken in hand.'
          : `${firingTitle(firing)}, ${reachedWords(firing)}. Write while you unload; type it in afterwards in the same order.`
      }
      wide
      acts={
        <>
          <PrintButton>Print</PrintButton>
          <Button
            component={Link}
            href={`/kilns/firings/${id}/paper${labels ? '' : '?labels=1'}`}
            variant="outlined"
          >
            {labels ? 'The sheet' : 'Labels'}
          </Button>
          <Button component={Link} href={`/opening/${id}`} variant="outlined">
            Type it in
          </Button>
        </>
      }
    >
      {labels ? (
        <Labels pieces={pieces} codes={codes} />
      ) : (
        <Sheet pieces={pieces} title={firingTitle(firing)} />
      )}
    </Page>
  );
}

const LINE = { border: '0.3mm solid #555', p: '1.2mm 1.5mm', verticalAlign: 'top' } as const;

function Sheet({ pieces, title }: { pieces: readonly RoomPiece[]; title: string }) {
  const faults = SIGNS.filter(({ usually }) => usually === 'fault');
  return (
    <Box data-print-only sx={{ bgcolor: '#fff', color: '#000', fontSize: '3.4mm', overflowX: 'auto' }}>
      <Typography sx={{ fontSize: '5mm', fontWeight: 700 }}>{title}</Typography>
      <Typography sx={{ fontSize: '3mm', mb: '2mm' }}>
        Surface: {SURFACES.join(', ')}. Then: {VERDICTS.join(', ')}. Faults by their letter, twice for worse:{' '}
        {faults.map(({ id, name }) => `${SIGN_KEYS[id]} ${name.toLowerCase()}`).join(', ')}.
      </Typography>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          '& thead': { display: 'table-header-group' },
          '& tr': { breakInside: 'avoid' },
        }}
      >
        <thead>
          <tr>
            {['Shelf', 'Piece', 'What', 'Surface', 'Faults', 'Ran', 'Then', 'Note'].map((head) => (
              <Box key={head} component="th" scope="col" sx={{ ...LINE, textAlign: 'left' }}>
                {head}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {pieces.map((piece) => (
            <tr key={piece.id}>
              <Box component="td" sx={LINE}>
                {piece.shelf ?? ''}
              </Box>
              <Box component="th" scope="row" sx={{ ...LINE, textAlign: 'left', whiteSpace: 'nowrap' }}>
                <span style={{ fontFamily: MONO, fontSize: '4.4mm' }}>{piece.code}</span>
                {piece.mark === null ? '' : ` “${piece.mark}”`}
              </Box>
              <Box component="td" sx={LINE}>
                {piece.form}, {piece.bodyName}
                {piece.owner === null ? '' : `, ${piece.owner}’s`}
                {piece.flags.length > 0 ? ` ⚑ ${piece.flags.join('; ')}` : ''}
              </Box>
              {['20mm', '26mm', '12mm', '16mm', '40mm'].map((width, i) => (
                <Box key={i} component="td" sx={{ ...LINE, minWidth: width, height: '9mm' }} />
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function Labels({ pieces, codes }: { pieces: readonly RoomPiece[]; codes: readonly string[] }) {
  return (
    <Box
      data-print-only
      component="ul"
      sx={{
        listStyle: 'none',
        p: 0,
        m: 0,
        bgcolor: '#fff',
        color: '#000',
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, 42mm)',
      }}
    >
      {pieces.map((piece, i) => (
        <Box
          key={piece.id}
          component="li"
          sx={{ border: '0.3mm dashed #777', p: '2mm', breakInside: 'avoid', textAlign: 'center' }}
        >
          <Box
            role="img"
            aria-label={`QR code of ${piece.code}`}
            sx={{ '& svg': { width: '30mm', display: 'block', m: 'auto' } }}
            dangerouslySetInnerHTML={{ __html: codes[i]! }}
          />
          <Typography sx={{ fontFamily: MONO, fontSize: '6mm', fontWeight: 800, lineHeight: 1 }}>
            {piece.code}
          </Typography>
          <Typography sx={{ fontSize: '3mm' }}>{piece.mark ?? piece.form}</Typography>
        </Box>
      ))}
    </Box>
  );
}
