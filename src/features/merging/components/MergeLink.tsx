import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import type { Kind } from '../contracts';

/** The way from a body, coating, kiln or person to the page where it is merged into its double. */
export const MergeLink = ({ kind, id }: { kind: Kind; id: string }) => (
  <Button component={Link} href={`/studio/merge?kind=${kind}&from=${id}`} prefetch={false}>
    There are two of it
  </Button>
);
