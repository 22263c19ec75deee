import { useEffect } from 'react';
import { useRouteError } from 'react-router';
import './States.scss';

/** Words that browsers use when a part of the application could not be fetched. */
const NOT_FETCHED = /import|module|fetch|chunk|load/i;

/**
 * Stands where a screen failed. What is around it stays: the watch, the outbox, the way to the other
 * screens.
 */
export function Fault() {
  const error = useRouteError();
  const isNotFetched = error instanceof Error && NOT_FETCHED.test(error.message);
  useEffect(() => {
    // For whoever looks after the server: nothing of it leaves the device.
    console.error(error);
  }, [error]);
  return (
    <div className="state-box" role="alert">
      <p className="state-title">
        {isNotFetched ? 'This screen did not load.' : 'This screen stopped working.'}
      </p>
      <p>
        {isNotFetched
          ? 'Check your connection. The other screens still work.'
          : 'Your taps are safe. The other screens still work.'}
      </p>
      <button
        type="button"
        className="btn btn-outline-primary"
        onClick={() => {
          location.reload();
        }}
      >
        Retry
      </button>
    </div>
  );
}
