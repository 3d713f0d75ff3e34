import { ImportPage } from '@/features/exchange/rooms/ImportPage';

export const metadata = { title: 'Bring in past tests' };

export default ImportPage;
