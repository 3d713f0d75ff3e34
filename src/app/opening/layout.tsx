import { Inside } from '@/features/shell/rooms/Inside';

export default Inside;
