import { SetUpRequest } from '@clay-pot/contracts';
import { useForm } from 'react-hook-form';
import { ProblemError } from '../../api/request.js';
import { setUpStudio } from '../../domain/account/front-door.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { asTyped, fieldAt, requestResolver } from '../../ui/request-resolver.js';

const BLANK = { code: '', studio: '', name: '', email: '', password: '' };

/** The first studio of its own on this server, and its coach. */
export default function SetUpForm() {
  const { register, handleSubmit, setError, formState } = useForm<SetUpRequest>({
    resolver: requestResolver(SetUpRequest, { tidy: asTyped }),
    // The day of a session is the studio’s calendar day: this device is most likely in the studio.
    defaultValues: { ...BLANK, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
  });
  const { errors, isSubmitting } = formState;
  async function setUp(body: SetUpRequest) {
    try {
      await setUpStudio(body);
    } catch (error) {
      const faults = error instanceof ProblemError ? (error.problem.errors ?? []) : [];
      for (const { pointer, message } of faults) setError(fieldAt(pointer) as keyof SetUpRequest, { message });
      if (faults.length === 0) setError('root', { message: error instanceof Error ? error.message : String(error) });
    }
  }
  return (
    <form
      aria-label="Set up your studio"
      className="mt-6 grid max-w-sm gap-4"
      onSubmit={(event) => void handleSubmit(setUp)(event)}
      noValidate
    >
      <TextField
        label="Setup code"
        hint="Printed in the window where Clay Pot was started."
        autoFocus
        autoComplete="off"
        error={errors.code?.message}
        {...register('code')}
      />
      <TextField label="Studio" autoComplete="organization" error={errors.studio?.message} {...register('studio')} />
      <TextField label="Your name" autoComplete="name" error={errors.name?.message} {...register('name')} />
      <TextField label="E-mail" type="email" autoComplete="username" error={errors.email?.message} {...register('email')} />
      <TextField
        label="Password"
        type="password"
        hint="10 characters or more."
        autoComplete="new-password"
        error={errors.password?.message}
        {...register('password')}
      />
      <TextField
        label="Time zone"
        hint="It decides which day a session belongs to."
        error={errors.timeZone?.message}
        {...register('timeZone')}
      />
      {errors.root && (
        <p role="alert" className="border-l-4 border-iron bg-iron-wash px-3 py-2">
          {errors.root.message}
        </p>
      )}
      <Button kind="primary" type="submit" disabled={isSubmitting} className="py-2.5">
        {isSubmitting ? 'Setting up…' : 'Create studio'}
      </Button>
    </form>
  );
}
