export { boardAhead, boardAnswer, boardCorner } from './board-answer';
export { boardOfView, chartData, type ChartData } from './queries';
export { viewOf, type ChartView } from './view';
export { elsewhereThan, zoomHere } from './zoom';
export { zoomAnswer } from './zoom-answer';
export { namedCell, type NamedCell } from './to-cell';
export { keptBodies, keptChoices, keptCoatings } from './lists';
export { sortCones } from './board';
