/** Import of tables and pictures, export of everything. */
export { WholeStudio } from './components/WholeStudio';
