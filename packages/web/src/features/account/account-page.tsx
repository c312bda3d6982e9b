import { UnitsInput, type WhoAmI } from '@clay-pot/contracts';
import { LENGTH_UNITS, MASS_UNITS } from '@clay-pot/core';
import { Controller, useForm } from 'react-hook-form';
import { useChooseUnits, useMe } from '../../api/queries.js';
import { askToSignOut } from '../../domain/account/sign-out.js';
import { Button } from '../../ui/button.js';
import { Loading, Page, Part } from '../../ui/page.js';
import { asTyped, requestResolver } from '../../ui/request-resolver.js';
import { Switch } from '../../ui/switch.js';
import { useDeveloper } from '../../store/developer.js';
import { Segments } from '../../ui/segments.js';
import { GradesForm } from './grades-form.js';
import { VoiceSettings } from './voice-settings.js';

const MASS_NAMES = { kg: 'kilograms', lb: 'pounds' } as const;
const LENGTH_NAMES = { cm: 'centimetres', in: 'inches' } as const;

/** Who is signed in, and how they read numbers. */
export default function AccountPage() {
  const me = useMe();
  const { hasDeviceFaults, showsVoiceLog } = useDeveloper();
  if (!me.data) return <Loading what="your account" />;
  const { name, email, studio, units } = me.data;
  return (
    <Page title="Your account" lead={`${name}, ${studio.name}`}>
      <div className="grid max-w-2xl gap-8">
        <Part title="Units">
          <UnitsForm units={units} />
        </Part>
        <Part title="Voice">
          <VoiceSettings />
        </Part>
        <Part title="Springs and bands">
          <GradesForm />
        </Part>
        <Part title="For developers">
          <Switch
            label="Offer faults of simulated devices"
            className="py-3"
            on={hasDeviceFaults}
            turn={(on) => useDeveloper.setState({ hasDeviceFaults: on })}
          />
          <Switch
            label="Show the voice log in sessions"
            className="py-3"
            on={showsVoiceLog}
            turn={(on) => useDeveloper.setState({ showsVoiceLog: on })}
          />
        </Part>
        <Part title="Signed in">
          <p className="flex flex-wrap items-center justify-between gap-3 py-3">
            {email}
            <Button onClick={() => void askToSignOut()}>Sign out</Button>
          </p>
        </Part>
      </div>
    </Page>
  );
}

/** Each choice holds at once. */
function UnitsForm({ units }: Pick<WhoAmI, 'units'>) {
  const choice = useChooseUnits();
  const { control, handleSubmit } = useForm<UnitsInput>({
    resolver: requestResolver(UnitsInput, { tidy: asTyped }),
    values: units,
  });
  const keep = (change: Partial<UnitsInput>) => void handleSubmit(() => choice.mutate(change))();
  return (
    <form noValidate>
      <div className="grid gap-4 py-3 sm:grid-cols-2">
        <div>
          <p className="mb-1 text-small font-semibold">Weight and force</p>
          <Controller
            control={control}
            name="mass"
            render={({ field }) => (
              <Segments
                label="Weight and force in"
                options={MASS_UNITS}
                words={(unit) => MASS_NAMES[unit]}
                chosen={field.value}
                choose={(mass) => {
                  field.onChange(mass);
                  keep({ mass });
                }}
              />
            )}
          />
        </div>
        <div>
          <p className="mb-1 text-small font-semibold">Length</p>
          <Controller
            control={control}
            name="length"
            render={({ field }) => (
              <Segments
                label="Length in"
                options={LENGTH_UNITS}
                words={(unit) => LENGTH_NAMES[unit]}
                chosen={field.value}
                choose={(length) => {
                  field.onChange(length);
                  keep({ length });
                }}
              />
            )}
          />
        </div>
      </div>
      <p className="text-small text-ink-soft">
        Applies to you, on every device. Other coaches can choose their own units. Angles, newton metres, distances and edges in millimetres
        don’t change.
      </p>
      {choice.error && (
        <p role="alert" className="mt-2 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {choice.error.message}
        </p>
      )}
    </form>
  );
}
