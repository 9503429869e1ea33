declare module "virtual:core-in-page" {
  /** Where the core's files lie, as one JSON of path to text. */
  export const CORE: string;
  /** The folder of the interpreter. */
  export const PYTHON: string;
}
