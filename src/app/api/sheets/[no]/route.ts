import { questionSeen, sheetPdf } from '@/features/questions/server';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { notFound, Refusal } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

/** The sheets of a question as one PDF; `?sheet=` for one of them. */
export async function GET(http: Request, { params }: { params: Promise<{ no: string }> }): Promise<Response> {
  try {
    const person = await currentPerson();
    if (person === null) throw new Refusal({ code: 'not-signed-in', message: 'Sign in first.' });
    const { no } = await params;
    const data = await questionSeen(database(), person, Number(no));
    const only = new URL(http.url).searchParams.get('sheet');
    const sheets = data?.sheets.filter(({ key }) => only === null || key === only) ?? [];
    if (data === null || sheets.length === 0) throw notFound('This sheet');
    const pdf = await sheetPdf(`Question ${data.question.no}: ${data.question.text}`, sheets);
    return new Response(new Uint8Array(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="question-${data.question.no}-sheets.pdf"`,
      },
    });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'sheets') });
  }
}
