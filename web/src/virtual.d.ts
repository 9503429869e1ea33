declare module "virtual:core-in-page" {
  /** Where the core's files lie, as one JSON of path to text. */
  export const CORE: string;
  /** The same of what answers without network. */
  export const PROGRAM: string;
  /** The folder of the interpreter. */
  export const PYTHON: string;
  /** The packages that the program needs. */
  export const WHEELS: readonly string[];
}
