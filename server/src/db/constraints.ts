import { DatabaseError } from 'pg';
import { Problem } from '../http/problem.ts';

interface Reason {
  status: number;
  path: string;
  message: string;
}

const NOBODY_KNOWN: Reason = {
  status: 422,
  path: 'personId',
  message: 'Choose a player on your roster or an opponent.',
};
const TAKEN: Reason = {
  status: 409,
  path: 'id',
  message: 'This id already stands for something else. Make a new one.',
};

/** What a broken constraint means to a coach: the status, the field and what to do. */
const REASONS: Record<string, Reason> = {
  accounts__id: TAKEN,
  game_entries__most: {
    status: 422,
    path: 'entries',
    message: 'This game has too many entries.',
  },
  accounts__email: {
    status: 409,
    path: 'email',
    message: 'This email address has an account. Sign in instead.',
  },
  opponents__team_id_name: {
    status: 409,
    path: 'name',
    message: 'You already have an opponent with this name. Choose another, or restore that one.',
  },
  people__number_taken: {
    status: 409,
    path: 'number',
    message: 'Another player on this team wears this number. Choose another, or leave it blank.',
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
  gate_runs__person_id: NOBODY_KNOWN,
  sign_answers__person_id: NOBODY_KNOWN,
  bunt_tries__person_id: NOBODY_KNOWN,
  fielder_looks__person_id: NOBODY_KNOWN,
  lead_looks__person_id: NOBODY_KNOWN,
  drill_reps__person_id: NOBODY_KNOWN,
  drill_passes__person_id: NOBODY_KNOWN,
  drill_passes__team_id_id: TAKEN,
  games__opponent_id: {
    status: 422,
    path: 'opponentId',
    message: 'Choose one of your opponents.',
  },
  invites__team_id_id: TAKEN,
  readings__moved_from: {
    status: 422,
    path: 'movedFrom',
    message: 'The time this one replaces is not here.',
  },
};

/** Ours to mend if they ever break; to the client they are still a refusal, not a fault. */
const REFUSALS: Record<string, [status: number, message: string]> = {
  '23505': [409, 'This is here already.'],
  '23503': [422, 'This belongs to something that was deleted.'],
  '23514': [422, 'These values do not go together.'],
};

const COMES_BACK = 'The database is not answering. Your taps are kept and sent again.';
const SOON_SECONDS = 2;
const TOO_BUSY = 'The server is busy. Your taps are kept and sent again.';

/** What passes by itself: a database that restarts, a lock or a query that took too long. */
const PASSING: Record<string, string> = {
  '25P03': TOO_BUSY,
  '40001': TOO_BUSY,
  '40P01': TOO_BUSY,
  '53300': TOO_BUSY,
  '55P03': TOO_BUSY,
  '57014': TOO_BUSY,
  '57P01': COMES_BACK,
  '57P02': COMES_BACK,
  '57P03': COMES_BACK,
};
const NETWORK = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EAI_AGAIN'];
/** The driver's own words for a connection that ended or never came; it gives them no code. */
const CONNECTION_LOST =
  /connection terminated|timeout exceeded when trying to connect|query read timeout|client has encountered a connection error|not queryable/i;

/** 503 with a word when the database is away or too slow, or null. */
function passing(error: unknown): Problem | null {
  if (!(error instanceof Error)) return null;
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  const isLost =
    code.startsWith('08') || NETWORK.includes(code) || CONNECTION_LOST.test(error.message);
  const words = isLost ? COMES_BACK : error instanceof DatabaseError ? PASSING[code] : undefined;
  return words === undefined ? null : new Problem(503, words, [], SOON_SECONDS);
}

/** The database's refusal in words, or null when it is our fault. */
export function problemFromDatabase(error: unknown): Problem | null {
  const later = passing(error);
  if (later) return later;
  if (!(error instanceof DatabaseError)) return null;
  const reason = REASONS[error.constraint ?? ''];
  if (reason) {
    const { status, path, message } = reason;
    return new Problem(status, message, [{ path, message }]);
  }
  const refusal = REFUSALS[error.code ?? ''];
  if (refusal) return new Problem(...refusal);
  // Class 22 is data that PostgreSQL cannot hold.
  if (error.code?.startsWith('22')) return new Problem(400, 'A value is out of range.');
  return null;
}
