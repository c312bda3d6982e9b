import { counted, type Fault } from '@clay-pot/core';
import type { Problem } from '@clay-pot/contracts';
import { HttpException } from '@nestjs/common';

const TYPE = 'urn:clay-pot:problem:';

type FieldErrors = NonNullable<Problem['errors']>;

/** An answer that is an RFC 9457 problem document. Throw one of the kinds below rather than a bare status. */
export class ProblemError extends HttpException {
  constructor(
    readonly problem: Problem,
    readonly headers: Record<string, string> = {},
  ) {
    super(problem.detail, problem.status);
  }
}

function problem(name: string, status: number, title: string, detail: string, more: Partial<Problem> = {}): Problem {
  return { type: TYPE + name, title, status, detail, ...more };
}

/** There is none, or it is somebody else’s: both get the same answer. */
export const notFound = (what: string) =>
  new ProblemError(problem('not-found', 404, 'Not found', `There is no such ${what} in this studio.`));

/** Something in a request that is not valid, field by field: a person acts on the first sentence, a program on the pointers. */
export const invalid = (faults: readonly (Fault & Partial<FieldErrors[number]>)[]) => {
  const errors = faults.map(({ label: _label, ...error }) => error);
  const first = errors[0];
  const more = errors.length > 1 ? ` (and ${errors.length - 1} more)` : '';
  const detail = first ? `${first.pointer || 'The request'}: ${first.message}${more}` : 'The request isn’t valid.';
  return new ProblemError(problem('invalid', 422, 'Some values aren’t valid', detail, { errors }));
};

/** A file that cannot be read, place by place. */
export const brokenFile = (errors: FieldErrors) =>
  new ProblemError(
    problem(
      'broken-file',
      422,
      'The file can’t be imported',
      `Not imported. ${counted(errors.length, 'place needs', 'places need')} attention.`,
      { errors },
    ),
  );

/** A text that cannot be read, place by place, with the names that come nearest. */
export const brokenText = (errors: FieldErrors) =>
  new ProblemError(
    problem('broken-text', 422, 'The text can’t be read', `${counted(errors.length, 'place needs', 'places need')} attention.`, {
      errors,
    }),
  );

/** Nobody is signed in. */
export const signInNeeded = () =>
  new ProblemError(problem('sign-in-needed', 401, 'Sign in first', 'You are signed out. Sign in to continue.'));

/** Wrong password and unknown user get the same answer. */
export const wrongSignIn = () => new ProblemError(problem('wrong-sign-in', 401, 'Sign-in failed', 'Wrong e-mail address or password.'));

/** Too many failures in a row; with the seconds to wait. */
export const tooManyTries = (waitS: number) =>
  new ProblemError(problem('too-many-tries', 429, 'Too many attempts', `Wait ${Math.ceil(waitS / 60)} min before you try again.`), {
    'retry-after': String(waitS),
  });

/** A write from another site’s page. */
export const foreignOrigin = () =>
  new ProblemError(problem('foreign-origin', 403, 'Refused', 'Changes are only accepted from this site’s own pages.'));

/** Another version was stored meanwhile; with what differs. */
export const staleEdit = (extension: Record<string, unknown>, etag: string) =>
  new ProblemError(problem('stale-edit', 412, 'Changed elsewhere', 'Someone changed it since you opened it.', extension), { etag });

/** A write that does not say which version it was made from. */
export const versionNeeded = () =>
  new ProblemError(problem('version-needed', 428, 'Version needed', 'It already exists. Send If-Match with the version you edited.'));

/** Not possible as things stand, though the request is sound. */
export const conflict = (detail: string) => new ProblemError(problem('conflict', 409, 'Not possible right now', detail));

/** Too much is asked at the moment; with the seconds after which it may be tried again. */
export const busy = (waitS: number) =>
  new ProblemError(
    problem('busy', 503, 'Busy', `The server is busy with other calculations. Try again in ${counted(Math.ceil(waitS), 'second')}.`),
    { 'retry-after': String(Math.ceil(waitS)) },
  );

const SOON = { 'retry-after': '2' };

/** The database does not answer. Of a write it is not known whether it was stored; the same again is stored once. */
export const databaseAway = (isWrite: boolean) =>
  new ProblemError(
    problem(
      'database-away',
      503,
      'Not possible right now',
      isWrite
        ? 'The database stopped answering, so it isn’t certain that this was saved. Send it again in a few seconds: it won’t be saved twice.'
        : 'The database doesn’t answer. Try again in a few seconds.',
    ),
    SOON,
  );

/** A statement was ended because it took too long: nothing of it is stored. */
export const slowDatabase = (isWrite: boolean) =>
  new ProblemError(
    problem('busy', 503, 'Busy', `The database took too long.${isWrite ? ' Your change wasn’t saved.' : ''} Try again in a minute.`),
    { 'retry-after': '30' },
  );

/** No room on the disk: nothing of a write is stored, reading goes on. */
export const noRoom = () =>
  new ProblemError(
    problem('no-room', 507, 'Disk full', 'The server’s disk is full, so nothing was saved. Free some space there, then try again.'),
    { 'retry-after': '60' },
  );

/** Whatever has no kind of its own. */
export const plain = (status: number, detail: string) =>
  new ProblemError(problem(`http-${status}`, status, status >= 500 ? 'Our fault' : 'Not possible', detail));
