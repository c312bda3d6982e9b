import { useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useSaveAthlete } from '../../api/queries.js';
import { AthleteForm } from './athlete-form.js';
import { usePerson } from './person.js';

/** The profile as a form; saving or cancelling leads back to where one was. */
export default function EditSection() {
  const person = usePerson();
  const save = useSaveAthlete();
  const navigate = useNavigate();
  const isFirstPage = useLocation().key === 'default';
  const goBack = () => (isFirstPage ? navigate(`/people/${person.id}/screening`, { replace: true }) : navigate(-1));
  // Whoever opens another section while the save is under way stays there.
  const isOpen = useRef(true);
  useEffect(() => {
    isOpen.current = true;
    return () => {
      isOpen.current = false;
    };
  }, []);
  return (
    <AthleteForm
      athlete={person}
      save={async (input) => {
        await save.mutateAsync({ id: person.id, input, etag: person.etag });
        if (isOpen.current) await goBack();
      }}
      cancel={() => void goBack()}
    />
  );
}
