import type { BaseSyntheticEvent, ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import './FormDialog.scss';
import { FormEnd } from './FormEnd.tsx';

/** A form in a dialog: its title, its fields, and what it does when it is sent or left. */
export function FormDialog({
  title,
  action,
  submit,
  failure,
  submitting,
  onClose,
  children,
}: {
  title: string;
  /** What the button that sends it says. */
  action: string;
  submit: (event?: BaseSyntheticEvent) => Promise<void>;
  failure: string | null;
  submitting: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Modal show centered animation={false} onHide={onClose}>
      <Form noValidate onSubmit={(event) => void submit(event)}>
        <Modal.Header closeButton>
          <Modal.Title>{title}</Modal.Title>
        </Modal.Header>
        <Modal.Body className="form-dialog">{children}</Modal.Body>
        <Modal.Footer>
          <Button variant="outline-primary" onClick={onClose}>
            Cancel
          </Button>
          <FormEnd failure={failure} submitting={submitting}>
            {action}
          </FormEnd>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}
