/** Import of tables and pictures, export of everything. */
export {};
