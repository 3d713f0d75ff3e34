import QRCode from 'qrcode';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';

/** How a phone reaches the studio: its address as a QR code, and how the phone learns to trust it. */
export async function Phones() {
  const [address, trust] = [process.env.JITEN_LAN, process.env.JITEN_LAN_TRUST];
  if (!address || !trust)
    return (
      <Typography>
        Phones reach the studio when it is started with <code>./start --lan</code>: it then has an address on
        the local network, with TLS, and shows it here as a QR code.
      </Typography>
    );
  const codes = await Promise.all(
    [trust, address].map((one) => QRCode.toString(one, { type: 'svg', margin: 1 })),
  );
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        <Code
          title="Once on each phone"
          svg={codes[0]!}
          address={trust}
          words="It says how the phone learns to trust the studio’s own certificate."
        />
        <Code
          title="Then"
          svg={codes[1]!}
          address={address}
          words="Add it to the home screen: it opens to the openings and firings at hand."
        />
      </Box>
      <Typography variant="body2" sx={{ mt: 1 }}>
        Keep to this one address: what waits on a phone belongs to the address under which it was written.
        Found under an old one, it can be <Link href="/device">carried over by hand</Link>.
      </Typography>
    </>
  );
}

function Code({
  title,
  svg,
  address,
  words,
}: {
  title: string;
  svg: string;
  address: string;
  words: string;
}) {
  return (
    <Box sx={{ maxWidth: 240 }}>
      <Typography variant="h3">{title}</Typography>
      <Box
        role="img"
        aria-label={`QR code of ${address}`}
        sx={{ width: 180, bgcolor: '#fff', p: 1, my: 1, '& svg': { display: 'block' } }}
        dangerouslySetInnerHTML={{ __html: svg }}
      />
      <Typography sx={{ overflowWrap: 'anywhere', fontWeight: 650 }}>{address}</Typography>
      <Typography variant="body2">{words}</Typography>
    </Box>
  );
}
