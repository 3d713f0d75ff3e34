import Link from '@/ui/Link';

/** To the record that a fact was read from; nothing where there is none to see. */
export const ToRecord = ({ href }: { href: string | null }) =>
  href === null ? null : (
    <>
      {' '}
      <Link href={href}>see</Link>
    </>
  );
