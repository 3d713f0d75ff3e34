import { MatrixPage } from '@/features/tests/rooms/MatrixPage';

export const metadata = { title: 'Matrix' };

export default MatrixPage;
