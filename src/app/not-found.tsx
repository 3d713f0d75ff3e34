import Link from '@/ui/Link';
import { Page } from '@/ui/Page';

export default function NotFound() {
  return (
    <Page title="Not here">
      <p>
        There is nothing at this address: it may have been removed, or a character of the code may be wrong.
      </p>
      <Link href="/">To the studio</Link>
    </Page>
  );
}
