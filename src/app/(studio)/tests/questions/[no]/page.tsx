import { QuestionPage } from '@/features/questions/rooms/QuestionPage';

export default QuestionPage;
