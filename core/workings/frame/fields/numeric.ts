/** A number as people type one, without a unit. */
export const NUMERIC = /^\s*[-+]?(\d+(\.\d+)?|\.\d+)\s*$/;
