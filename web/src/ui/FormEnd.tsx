import Button from 'react-bootstrap/Button';

/** The end of every form: what is wrong with it as a whole, and the button that sends it. */
export function FormEnd({
  failure,
  submitting,
  children,
}: {
  failure: string | null;
  submitting: boolean;
  /** What the button says. */
  children: string;
}) {
  return (
    <>
      {failure && (
        <p className="form-failure" role="alert">
          {failure}
        </p>
      )}
      <Button type="submit" disabled={submitting}>
        {children}
      </Button>
    </>
  );
}
