import { CasePage } from '@/features/clinic/rooms/CasePage';

export const metadata = { title: 'Case' };

export default CasePage;
