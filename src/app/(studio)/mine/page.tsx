import { OwnPiecesPage } from '@/features/pieces/rooms/OwnPiecesPage';

export const metadata = { title: 'My pieces' };

export default OwnPiecesPage;
