import type { Rep } from '@bradyon/core/drills';
import type { PersonId } from '@bradyon/core/units';
import Button from 'react-bootstrap/Button';
import type { Reps } from './useReps.ts';

/** A wrong tap is taken back: the last of somebody's reps of a drill. */
export function UndoLast({
  reps,
  personId,
  drill,
}: {
  reps: Reps;
  personId: PersonId;
  drill: Rep['drill'];
}) {
  const last = reps.rows.findLast((row) => row.personId === personId && row.rep.drill === drill);
  if (!last) return null;
  return (
    <Button
      variant="outline-primary"
      onClick={() => {
        reps.undo(last);
      }}
    >
      Undo the last one
    </Button>
  );
}
