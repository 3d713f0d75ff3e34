import { redirect } from 'next/navigation';

/** There is one door to the matrix: the question that it answers. */
export default function MatrixPage(): never {
  redirect('/tests/ask?design=matrix');
}
