import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { type Resolver, useForm } from 'react-hook-form';
import type { WhoAmI } from '@clay-pot/contracts';
import { keepMe, queryClient } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { lookAtFrontDoor, visitDemo } from '../../domain/account/front-door.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { Loading, useTitle } from '../../ui/page.js';
import { exclusively } from '../../store/exclusively.js';
import { accountOnDevice } from '../../store/me.js';
import { flush, SENDER } from '../../store/outbox.js';

const SetUpForm = lazy(() => import('./set-up-form.js'));

interface SignIn {
  email: string;
  password: string;
}

/** The rules of the form come when it is sent: whoever only opens the page need not wait for them. */
const resolver: Resolver<SignIn> = async (...parameters) => (await import('./sign-in-rules.js')).signInResolver(...parameters);

/** Signing in, and what can be done by whoever has no account yet. */
export default function SignInPage() {
  useTitle('Sign in');
  const door = useQuery({ queryKey: ['front-door'], queryFn: lookAtFrontDoor }).data;
  const wantsSetUp = new URLSearchParams(window.location.search).has('set-up');
  const canSetUp = door?.canSetUp ?? false;
  return (
    <main className="grid min-h-dvh sm:grid-cols-[minmax(20rem,30rem)_1fr]">
      <div className="flex flex-col justify-center px-6 py-10 sm:px-12">
        <h1 className="text-figure font-extrabold">Clay Pot</h1>
        <p className="mt-2 max-w-sm text-lead text-ink-soft">Prepare wrists, hands and forearms for load.</p>
        {canSetUp && wantsSetUp ? (
          <Suspense fallback={<Loading what="the form" />}>
            <SetUpForm />
          </Suspense>
        ) : (
          <SignInForm />
        )}
        <div className="mt-6 flex max-w-sm flex-wrap gap-x-6 gap-y-2">
          {canSetUp && (
            <a className="underline underline-offset-2" href={wantsSetUp ? '/' : '/?set-up'}>
              {wantsSetUp ? 'Sign in instead' : 'Set up your studio'}
            </a>
          )}
          {door?.hasDemo && (
            <button type="button" className="underline underline-offset-2" onClick={() => void visitDemo()}>
              Visit the demo studio
            </button>
          )}
        </div>
        <p className="mt-10 max-w-sm text-small text-ink-soft">
          Clay Pot informs and counts. It doesn’t diagnose: doctors, therapists and local rules come first.
        </p>
      </div>
      <div className="hidden bg-ground sm:block" aria-hidden>
        <SignInDrawing />
      </div>
    </main>
  );
}

function SignInForm() {
  const { register, handleSubmit, setError, formState } = useForm<SignIn>({ resolver, defaultValues: { email: '', password: '' } });
  const { errors, isSubmitting } = formState;

  async function signIn(body: SignIn) {
    try {
      const before = accountOnDevice();
      // Nothing is sent meanwhile, in no tab: it would be sent in the new one's name.
      await exclusively(SENDER, async () => keepMe(await request<WhoAmI>('/sign-in', { method: 'POST', body })));
      if (before !== null && before !== accountOnDevice()) {
        // This page still holds what another account has seen.
        window.location.assign('/');
        return;
      }
      void flush();
      await queryClient.resetQueries({ queryKey: ['me'] });
    } catch (error) {
      setError('root', { message: error instanceof Error ? error.message : String(error) });
    }
  }

  return (
    <form className="mt-8 grid max-w-sm gap-4" onSubmit={(event) => void handleSubmit(signIn)(event)} noValidate>
      <TextField label="E-mail" type="email" autoComplete="username" autoFocus error={errors.email?.message} {...register('email')} />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        error={errors.password?.message}
        {...register('password')}
      />
      {errors.root && (
        <p role="alert" className="border-l-4 border-iron bg-iron-wash px-3 py-2">
          {errors.root.message}
        </p>
      )}
      <Button kind="primary" type="submit" disabled={isSubmitting} className="py-2.5">
        {isSubmitting ? 'Signing in…' : 'Sign in'}
      </Button>
    </form>
  );
}

/** An even pot, left hand cobalt and right hand ochre, built of coils. */
function SignInDrawing() {
  const widths = [30, 44, 57, 67, 73, 75, 72, 65, 55, 44, 35, 31, 34];
  return (
    <svg viewBox="-110 -30 220 230" className="size-full" preserveAspectRatio="xMidYMid meet">
      <defs>
        <pattern id="right-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="#c98a1b" />
          <rect width="1.4" height="5" fill="#8a5300" />
        </pattern>
      </defs>
      {widths.map((width, index) => (
        <g key={index} transform={`translate(0 ${160 - index * 12.5})`}>
          <rect x={-width} width={width - 0.6} height="11" rx="5.5" fill="#1f45a8" />
          <rect x={0.6} width={width - 0.6} height="11" rx="5.5" fill="url(#right-hatch)" />
        </g>
      ))}
    </svg>
  );
}
