/** The reference chart: the board of a body, its cells, and the zoom into one. */
export {};
