import { useConnection } from '../../api/connection.js';

/** That nobody answers, and what that means; silent otherwise. */
export function ConnectionState() {
  const away = useConnection((state) => state.away);
  return (
    <p role="status" className={away ? 'text-small font-semibold text-iron' : ''}>
      {away && (
        <>
          No connection<span className="max-sm:hidden">: showing your last copy. We’ll reconnect automatically.</span>.
        </>
      )}
    </p>
  );
}
