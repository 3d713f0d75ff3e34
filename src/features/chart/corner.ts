/** Of a board, so many rows and columns are in sight at first. */
export const CORNER = { rows: 8, columns: 12 };
