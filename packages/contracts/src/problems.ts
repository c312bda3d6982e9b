/** RFC 9457 problem document. */
export interface Problem {
  /** Stable: `urn:clay-pot:problem:` and a name. */
  type: string;
  title: string;
  status: number;
  /** A sentence a person can act on. */
  detail: string;
  instance?: string;
  /** Field by field, with JSON pointers into the request, lines when the request held a file, and the nearest value that is possible (for a target: what comes closest, and at which value). */
  errors?: {
    pointer: string;
    message: string;
    line?: number;
    column?: number;
    nearest?: number;
    at?: number;
    /** Names that come nearest to one that is not known. */
    names?: readonly string[];
  }[];
  [extension: string]: unknown;
}
