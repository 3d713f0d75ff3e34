export * as questionsOperations from './actions';
export { sheetPdf } from './pdf';
export { askChoices, questionData, questionSeen, ripe } from './queries';
