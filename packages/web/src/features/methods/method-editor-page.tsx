import { MethodInput, type StoredMethod } from '@clay-pot/contracts';
import { METHOD_LIMITS, METHOD_NUMBERS, METHOD_TEXT, type MethodNumber, POLICIES, POLICY_NAMES } from '@clay-pot/core';
import { useForm } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import { useSaveMethod, useStoredMethods } from '../../api/own-queries.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { asTyped, requestResolver } from '../../ui/request-resolver.js';

/** A studio's own method, choice by choice. */
export default function MethodEditorPage() {
  const { id } = useParams();
  const stored = useStoredMethods();
  const own = stored.data?.find((method) => method.id === id);
  if (own) return <MethodForm key={own.etag} stored={own} />;
  if (stored.isPending) return <Loading what="the method" />;
  if (stored.error) return <Trouble error={stored.error} retry={() => void stored.refetch()} />;
  return (
    <Page title="Method not found" lead="Shipped methods are copied before they are changed.">
      <ButtonLink to="/methods">Back to the methods</ButtonLink>
    </Page>
  );
}

const NUMBERS = Object.keys(METHOD_LIMITS) as MethodNumber[];

function MethodForm({ stored }: { stored: StoredMethod }) {
  const { id, ...method } = stored.method;
  const { register, handleSubmit, formState } = useForm<MethodInput>({
    resolver: requestResolver(MethodInput, { tidy: asTyped }),
    defaultValues: method,
  });
  const { errors } = formState;
  const save = useSaveMethod();
  const navigate = useNavigate();

  async function submit(input: MethodInput) {
    try {
      await save.mutateAsync({ id, input, etag: stored.etag });
    } catch {
      // Faults are listed above the form; nothing that was typed is lost.
      return;
    }
    await navigate(`/methods/${id}`);
  }
  return (
    <Page title={`Change ${stored.method.name}`} lead="New blocks, wording and checks of its sequences follow at once.">
      <form className="grid max-w-3xl gap-5" onSubmit={(event) => void handleSubmit(submit)(event)} noValidate>
        {save.error && <Trouble error={save.error} />}
        <TextField label="Name" maxLength={METHOD_TEXT.nameLength} error={errors.name?.message} {...register('name')} />
        <TextField
          label="Purpose in one line"
          maxLength={METHOD_TEXT.reasonLength}
          error={errors.reason?.message}
          {...register('reason')}
        />
        <div className="grid gap-4 sm:grid-cols-2">
          {POLICY_NAMES.map((policy) => (
            <SelectField key={policy} label={POLICIES[policy].label} error={errors[policy]?.message} {...register(policy)}>
              {Object.entries(POLICIES[policy].options).map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </SelectField>
          ))}
          {NUMBERS.map((field) => (
            <TextField
              key={field}
              type="number"
              label={`${METHOD_NUMBERS[field]}, ${METHOD_LIMITS[field].unit}`}
              step={METHOD_LIMITS[field].step}
              error={errors[field]?.message}
              {...register(field, { valueAsNumber: true })}
            />
          ))}
        </div>
        <label className="flex items-center gap-2">
          <input type="checkbox" className="size-5 accent-ink" {...register('asksCorners')} />
          Every session covers the four ends of the two-joint muscles
        </label>
        <div className="flex gap-2">
          <Button type="submit" kind="primary" disabled={save.isPending}>
            Save
          </Button>
          <ButtonLink to={`/methods/${stored.id}`}>Cancel</ButtonLink>
        </div>
      </form>
    </Page>
  );
}
