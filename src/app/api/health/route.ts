import { database } from '@/platform/database';
import { answering } from '@/platform/respond';

export const dynamic = 'force-dynamic';

export function GET(): Promise<Response> {
  return answering('health', async () => {
    await database().raw('SELECT 1');
    return { database: 'answers' };
  });
}
