declare module "virtual:core-in-page" {
  /** Where the core's compiled files lie, as one ZIP. */
  export const CORE: string;
  /** The same of what answers without network. */
  export const PROGRAM: string;
  /** The folder of the interpreter. */
  export const PYTHON: string;
  /** The packages that the program needs. */
  export const WHEELS: readonly string[];
  /** Their Python files, compiled. */
  export const COMPILED: string;
}
