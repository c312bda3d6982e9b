import { Link, type LinkProps } from 'react-router';
import { type ButtonKind, buttonLook } from './button.js';

/** A link that looks like a button. By itself: what has buttons only, as the sign-in, needs no router. */
export function ButtonLink({ kind = 'plain', className = '', ...rest }: LinkProps & { kind?: ButtonKind }) {
  return <Link className={buttonLook(kind, className)} {...rest} />;
}
