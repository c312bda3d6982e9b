import {
  firstOf,
  type Method,
  METHOD_LIMITS,
  METHOD_NUMBERS,
  METHOD_TEXT,
  type MethodNumber,
  POLICIES,
  POLICY_NAMES,
  type PolicyName,
} from '@clay-pot/core';
import { shippedMethod, USUAL_METHOD } from '@clay-pot/core/library';
import { useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemoveMethod, useSaveMethod } from '../../api/own-queries.js';
import { useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Page } from '../../ui/page.js';
import { useToast } from '../../ui/toast.js';

const NUMBERS = Object.keys(METHOD_LIMITS) as MethodNumber[];

/** All methods beside each other: what practitioners differ on, row by row. */
export default function MethodsPage() {
  const { id } = useParams();
  const methods = useStudioLibrary().methods;
  const first = firstOf(methods);
  return (
    <Page
      title="Training methods"
      lead="Where coaches differ. The method of a sequence sets its new blocks, wording, checks and order of sides."
    >
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Compare methods">
        <table className="w-full min-w-4xl table-fixed border-collapse text-small">
          <thead>
            <tr className="align-bottom">
              <td className="w-36" />
              {methods.map((method) => (
                <MethodHead key={method.id} method={method} isShown={method.id === id} />
              ))}
            </tr>
          </thead>
          <tbody>
            {POLICY_NAMES.map((policy) => (
              <tr key={policy} className="border-t border-line align-top">
                <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                  {POLICIES[policy].label}
                </th>
                {methods.map((method) => (
                  <td key={method.id} className={`py-1.5 pr-3 pl-2 ${shade(method, id)}`}>
                    {school(policy, method)}
                  </td>
                ))}
              </tr>
            ))}
            {NUMBERS.map((field) => (
              <tr key={field} className="border-t border-line align-top">
                <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                  {METHOD_NUMBERS[field]}
                </th>
                {methods.map((method) => (
                  <td key={method.id} className={`py-1.5 pr-3 pl-2 figures ${shade(method, id)}`}>
                    {field === 'weakerSideRatio' && method.sides !== 'weaker first' ? '–' : `${method[field]} ${METHOD_LIMITS[field].unit}`}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="border-t border-line align-top">
              <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                Every session covers the two-joint corners
              </th>
              {methods.map((method) => (
                <td key={method.id} className={`py-1.5 pr-3 pl-2 ${shade(method, id)}`}>
                  {method.asksCorners ? 'yes' : 'no'}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <p className="mt-4 max-w-prose text-small text-ink-soft">
        A sequence without a method uses {USUAL_METHOD.name}. The numbers are starting points: duplicate {first.name} or another method and
        edit it.
      </p>
    </Page>
  );
}

const shade = (method: Method, shown: string | undefined) => (method.id === shown ? 'bg-white' : '');

function school(policy: PolicyName, method: Method): string {
  const { options } = POLICIES[policy];
  return (options as Record<string, string>)[method[policy]] ?? method[policy];
}

function MethodHead({ method, isShown }: { method: Method; isShown: boolean }) {
  const save = useSaveMethod();
  const remove = useRemoveMethod();
  const navigate = useNavigate();
  const own = shippedMethod(method.id) === undefined;

  async function copy() {
    const { id: _id, ...rest } = method;
    const id = uuid();
    await save.mutateAsync({
      id,
      input: { ...rest, name: `${method.name} (custom)`.slice(0, METHOD_TEXT.nameLength) },
    });
    await navigate(`/methods/${id}/edit`);
  }
  async function archive() {
    await remove.mutateAsync({ id: method.id, undo: false });
    useToast.getState().show({
      text: `${method.name} archived. Sequences that use it keep it.`,
      action: { label: 'Undo', run: () => void remove.mutateAsync({ id: method.id, undo: true }) },
    });
  }
  return (
    <th scope="col" className={`max-w-44 pt-2 pr-3 pb-2 pl-2 text-left align-top font-normal ${isShown ? 'bg-white' : ''}`}>
      <span className="display block text-body leading-tight font-bold">{method.name}</span>
      <span className="mt-1 block text-fine text-ink-soft">{method.reason}</span>
      <span className="mt-2 flex flex-wrap gap-1">
        {own && (
          <ButtonLink className="px-2! py-0.5! text-small!" to={`/methods/${method.id}/edit`} aria-label={`Change ${method.name}`}>
            Edit
          </ButtonLink>
        )}
        <Button
          className="px-2! py-0.5! text-small!"
          aria-label={`Duplicate ${method.name} and edit it`}
          disabled={save.isPending}
          onClick={() => void copy()}
        >
          Duplicate
        </Button>
        {own && (
          <Button kind="quiet" className="px-2! py-0.5! text-small!" aria-label={`Archive ${method.name}`} onClick={() => void archive()}>
            Archive
          </Button>
        )}
      </span>
    </th>
  );
}
