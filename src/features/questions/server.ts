export * as questionsOperations from './actions';
export { sheetPdf } from './pdf';
export { askChoices, questionData, ripe } from './queries';
