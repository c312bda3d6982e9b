/** An error whose message is all that a person needs: printed without a stack. */
export class UserError extends Error {}
