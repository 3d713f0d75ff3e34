import { KnowledgePage } from '@/features/clinic/rooms/KnowledgePage';

export const metadata = { title: 'What the clinic knows' };

export default KnowledgePage;
