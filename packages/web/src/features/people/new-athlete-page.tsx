import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useSaveAthlete } from '../../api/queries.js';
import { Page } from '../../ui/page.js';
import { AthleteForm } from './athlete-form.js';

/** Somebody new. */
export default function NewAthletePage() {
  const navigate = useNavigate();
  const save = useSaveAthlete();
  const [id] = useState(() => uuid());
  return (
    <Page title="New athlete">
      <AthleteForm
        save={async (input) => {
          await save.mutateAsync({ id, input });
          await navigate(`/people/${id}`);
        }}
        cancel={() => void navigate('/people')}
      />
    </Page>
  );
}
