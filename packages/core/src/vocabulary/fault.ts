/** Something wrong in a document: where (RFC 6901 JSON pointer) and what would be right. */
export interface Fault {
  readonly pointer: string;
  readonly message: string;
}
