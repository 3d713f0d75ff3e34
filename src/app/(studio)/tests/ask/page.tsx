import { AskPage } from '@/features/questions/rooms/AskPage';

export const metadata = { title: 'Ask a question' };

export default AskPage;
