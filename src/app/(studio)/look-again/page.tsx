import { DueLooksPage } from '@/features/lookagain/rooms/DueLooksPage';

export const metadata = { title: 'Look again' };

export default DueLooksPage;
