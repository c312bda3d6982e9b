import type { StoredMethod } from '@clay-pot/contracts';
import {
  checkMethod,
  type Fault,
  type Method,
  METHOD_LIMITS,
  METHOD_NUMBERS,
  METHOD_TEXT,
  type MethodNumber,
  POLICIES,
  POLICY_NAMES,
  type PolicyName,
} from '@clay-pot/core';
import { type SubmitEvent, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSaveMethod, useStoredMethods } from '../../api/own-queries.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Loading, Page, Trouble } from '../../ui/page.js';

/** A studio's own method, choice by choice. */
export default function MethodEditorPage() {
  const { id } = useParams();
  const stored = useStoredMethods();
  const own = stored.data?.find((method) => method.id === id);
  if (own) return <MethodForm key={own.etag} stored={own} />;
  if (stored.isPending) return <Loading what="the method" />;
  if (stored.error) return <Trouble error={stored.error} retry={() => void stored.refetch()} />;
  return (
    <Page title="No such method" lead="Shipped methods are copied before they are changed.">
      <ButtonLink to="/methods">To the methods</ButtonLink>
    </Page>
  );
}

const NUMBERS = Object.keys(METHOD_LIMITS) as MethodNumber[];

function MethodForm({ stored }: { stored: StoredMethod }) {
  const [method, setMethod] = useState<Method>(stored.method);
  const [tried, setTried] = useState(false);
  const save = useSaveMethod();
  const navigate = useNavigate();
  const faults = tried ? checkMethod(method) : [];
  const change = (part: Partial<Method>) => setMethod({ ...method, ...part });

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    setTried(true);
    if (checkMethod(method).length) return;
    const { id, ...input } = method;
    try {
      await save.mutateAsync({ id, input, etag: stored.etag });
    } catch {
      // What is wrong stands above the form; nothing that was typed is lost.
      return;
    }
    await navigate(`/methods/${id}`);
  }
  return (
    <Page title={`Change ${stored.method.name}`} lead="New blocks, wording and checks of its sequences follow at once.">
      <form className="grid max-w-3xl gap-5" onSubmit={(event) => void submit(event)} noValidate>
        {save.error && <Trouble error={save.error} />}
        <TextField
          label="Name"
          value={method.name}
          maxLength={METHOD_TEXT.nameLength}
          error={faultAt(faults, 'name')}
          onChange={(event) => change({ name: event.target.value })}
        />
        <TextField
          label="What it is for, in a line"
          value={method.reason}
          maxLength={METHOD_TEXT.reasonLength}
          error={faultAt(faults, 'reason')}
          onChange={(event) => change({ reason: event.target.value })}
        />
        <div className="grid gap-4 sm:grid-cols-2">
          {POLICY_NAMES.map((policy) => (
            <PolicyField key={policy} policy={policy} method={method} change={change} />
          ))}
          {NUMBERS.map((field) => (
            <TextField
              key={field}
              type="number"
              label={`${METHOD_NUMBERS[field]}, ${METHOD_LIMITS[field].unit}`}
              {...METHOD_LIMITS[field]}
              value={Number.isNaN(method[field]) ? '' : method[field]}
              error={faultAt(faults, field)}
              onChange={(event) => change({ [field]: event.target.valueAsNumber })}
            />
          ))}
        </div>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={method.asksCorners}
            onChange={(event) => change({ asksCorners: event.target.checked })}
          />
          Every session visits the four ends of the two-joint muscles
        </label>
        <div className="flex gap-2">
          <Button type="submit" kind="primary" disabled={save.isPending}>
            Keep it
          </Button>
          <ButtonLink to={`/methods/${stored.id}`}>Leave it as it was</ButtonLink>
        </div>
      </form>
    </Page>
  );
}

const faultAt = (faults: readonly Fault[], field: string) => faults.find(({ pointer }) => pointer === `/${field}`)?.message;

function PolicyField({ policy, method, change }: { policy: PolicyName; method: Method; change: (part: Partial<Method>) => void }) {
  const { label, options } = POLICIES[policy];
  return (
    <SelectField label={label} value={method[policy]} onChange={(event) => change({ [policy]: event.target.value })}>
      {Object.entries(options).map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </SelectField>
  );
}
