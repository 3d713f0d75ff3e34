import { KeysPage } from '@/features/keys/rooms/KeysPage';

export const metadata = { title: 'What is on them?' };

export default KeysPage;
