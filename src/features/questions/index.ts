/** Questions put to glazes: designs, sheets, boards, conclusions; tile stock and clay. */
export { BodyTests } from './components/BodyTests';
