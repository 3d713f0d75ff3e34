export { WhatPage as default } from '@/features/frames/rooms/WhatPage';
