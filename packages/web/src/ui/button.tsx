import type { ButtonHTMLAttributes, ReactNode } from 'react';

const SHAPE =
  'inline-flex items-center justify-center gap-1.5 border px-3 py-1.5 text-body font-semibold transition-colors disabled:opacity-50';
const KINDS = {
  primary: 'border-ink bg-ink text-white hover:bg-ink-soft',
  plain: 'border-ink/60 bg-white text-ink hover:bg-ground',
  quiet: 'border-transparent bg-transparent text-ink hover:bg-ground',
  stop: 'border-iron bg-white text-iron hover:bg-iron-wash',
} as const;
/** How much weight a button has. */
export type ButtonKind = keyof typeof KINDS;

/** How what is pressed looks. */
export const buttonLook = (kind: ButtonKind, className: string) => `${SHAPE} ${KINDS[kind]} ${className}`;

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { kind?: ButtonKind };

/** A button; never submits a form unless it is set to. */
export function Button({ kind = 'plain', className = '', type = 'button', ...rest }: Props) {
  return <button type={type} className={buttonLook(kind, className)} {...rest} />;
}

/** A button that shows only an icon and says its name to those who hear the page. */
export function IconButton({
  name,
  children,
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { name: string; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-label={name}
      title={name}
      className={`grid size-8 shrink-0 place-items-center text-ink-soft hover:bg-ground hover:text-ink disabled:opacity-35 ${className}`}
      {...rest}
    >
      {children}
    </button>
  );
}
