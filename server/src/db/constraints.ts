import { DatabaseError } from 'pg';
import { Problem } from '../http/problem.ts';

const NOBODY_KNOWN = {
  status: 422,
  path: 'personId',
  message: 'Choose somebody of your roster or of an opponent.',
};

/** What a broken constraint means to a coach: the status, the field and what to do. */
const REASONS: Record<string, { status: number; path: string; message: string }> = {
  accounts__email: {
    status: 409,
    path: 'email',
    message: 'There is an account with this e-mail address. Sign in instead.',
  },
  opponents__team_id_name: {
    status: 409,
    path: 'name',
    message: 'You have an opponent of this name. Choose another, or bring that one back.',
  },
  people__number_taken: {
    status: 409,
    path: 'number',
    message: 'Another player of this side wears this number. Choose another, or leave it empty.',
  },
  people__opponent_id: {
    status: 422,
    path: 'opponentId',
    message: 'Choose one of your opponents.',
  },
  readings__person_id: NOBODY_KNOWN,
  test_dives__person_id: NOBODY_KNOWN,
  batting_totals__person_id: NOBODY_KNOWN,
  batting_order__person: { ...NOBODY_KNOWN, path: 'personIds' },
  gate_devices__runner_id: NOBODY_KNOWN,
  readings__moved_from: {
    status: 422,
    path: 'movedFrom',
    message: 'The reading that this one replaces is not known.',
  },
};

/** The database's refusal in words, or null when it is our fault. */
export function problemFromDatabase(error: unknown): Problem | null {
  if (!(error instanceof DatabaseError)) return null;
  const reason = REASONS[error.constraint ?? ''];
  if (reason) {
    const { status, path, message } = reason;
    return new Problem(status, message, [{ path, message }]);
  }
  // Class 22 is data that PostgreSQL cannot hold, such as a year before the calendar began.
  if (error.code?.startsWith('22')) return new Problem(400, 'A value is out of range.');
  return null;
}
