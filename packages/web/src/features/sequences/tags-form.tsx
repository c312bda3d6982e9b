import { SEQUENCE_LIMITS } from '@clay-pot/core';
import { useState } from 'react';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';

interface Props {
  tags: readonly string[];
  /** Of which sequence, for who hears the page. */
  title: string;
  save: (tags: string[]) => void;
  cancel: () => void;
}

const { tags: MOST, tagLength: LONGEST } = SEQUENCE_LIMITS;

/** What was typed between commas, each once. */
const tagsIn = (typed: string): string[] => [...new Set(typed.split(',').map((tag) => tag.trim()))].filter(Boolean);

function faultIn(tags: readonly string[]): string | undefined {
  if (tags.length > MOST) return `Use up to ${MOST} tags.`;
  const long = tags.find((tag) => tag.length > LONGEST);
  return long && `“${long}” is too long: use up to ${LONGEST} characters.`;
}

/** The tags of a sequence, typed with commas between them. */
export function TagsForm({ tags, title, save, cancel }: Props) {
  const [typed, setTyped] = useState(tags.join(', '));
  const next = tagsIn(typed);
  const fault = faultIn(next);
  return (
    <form
      aria-label={`Tags of ${title}`}
      className="mt-2 flex flex-wrap items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!fault) save(next);
      }}
    >
      <div className="w-72 max-w-full">
        <TextField
          label="Tags, separated by commas"
          autoFocus
          value={typed}
          error={fault}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={({ key }) => key === 'Escape' && cancel()}
        />
      </div>
      <div className="flex gap-2 pt-6">
        <Button type="submit" kind="primary">
          Save tags
        </Button>
        <Button onClick={cancel}>Cancel</Button>
      </div>
    </form>
  );
}
