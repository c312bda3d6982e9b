import { useOwnName } from '../../store/library.js';

/** A movement by its plain name, with what the studio calls it beside it. */
export function MovementName({ movement: { id, name } }: { movement: { readonly id: string; readonly name: string } }) {
  const own = useOwnName(id);
  return (
    <>
      {name}
      {own && <span className="font-normal text-ink-soft"> “{own}”</span>}
    </>
  );
}
