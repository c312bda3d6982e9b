import { type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes, useId } from 'react';

/** The look of a control anywhere. */
export const INPUT =
  'w-full border border-ink/45 bg-white px-2.5 py-1.5 text-body placeholder:text-ash focus:border-ink aria-disabled:bg-ground aria-disabled:text-ink-soft aria-invalid:border-iron aria-invalid:bg-iron-wash';

interface FieldProps {
  label: string;
  error?: string | undefined;
  hint?: string;
  children: (props: { id: string; 'aria-invalid'?: true; 'aria-describedby'?: string }) => ReactNode;
}

/** Label, control, hint and error, tied together for those who hear the page. */
export function Field({ label, error, hint, children }: FieldProps) {
  const id = useId();
  const note = error ?? hint;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-small font-semibold">
        {label}
      </label>
      {children({
        id,
        ...(error && { 'aria-invalid': true as const }),
        ...(note && { 'aria-describedby': `${id}-note` }),
      })}
      {note && (
        <p id={`${id}-note`} className={`mt-1 text-small ${error ? 'font-semibold text-iron' : 'text-ink-soft'}`}>
          {note}
        </p>
      )}
    </div>
  );
}

type TextProps = InputHTMLAttributes<HTMLInputElement> & { label: string; error?: string | undefined; hint?: string };

/** A line of text with its label, hint and error. */
export function TextField({ label, error, hint, ...rest }: TextProps) {
  return (
    <Field label={label} error={error} {...(hint && { hint })}>
      {(props) => <input className={INPUT} {...rest} {...props} />}
    </Field>
  );
}

type SelectProps = SelectHTMLAttributes<HTMLSelectElement> & { label: string; error?: string | undefined };

/** One of a list, with its label and error. */
export function SelectField({ label, error, children, ...rest }: SelectProps) {
  return (
    <Field label={label} error={error}>
      {(props) => (
        <select className={INPUT} {...rest} {...props}>
          {children}
        </select>
      )}
    </Field>
  );
}
