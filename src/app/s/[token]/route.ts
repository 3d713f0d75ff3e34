import { NextResponse } from 'next/server';
import { findShareLink } from '@/data/people';
import { database } from '@/platform/database';
import { rememberLink } from '@/platform/viewer';

export const dynamic = 'force-dynamic';

/** A share link is followed: its secret stays with the browser, and the address goes on without it. */
export async function GET(_: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  const link = /^[\w-]{10,100}$/.test(token) ? await findShareLink(database(), token, new Date()) : null;
  if (link !== null) await rememberLink(link);
  return new NextResponse(null, {
    status: 303,
    headers: {
      location: `/shared/${link?.id ?? 'none'}`,
      'referrer-policy': 'no-referrer',
      'cache-control': 'no-store',
    },
  });
}
