import type { Contract, Misfit } from '@bradyon/contract/rule';
import { useState, type BaseSyntheticEvent } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from 'react-hook-form';
import { RefusedError } from './request.ts';

/** The first words about a field, of the form or of the server. */
function mistakesFor(misfits: readonly Misfit[], path: string): string | undefined {
  return misfits.find((misfit) => misfit.path === path)?.message;
}

interface ContractForm<Values extends FieldValues> {
  form: UseFormReturn<Values>;
  /** What to enter in this field instead; undefined when it fits. */
  errorOf: (path: string) => string | undefined;
  /** What is wrong with no field in particular. */
  failure: string | null;
  submit: (event?: BaseSyntheticEvent) => Promise<void>;
  submitting: boolean;
}

/**
 * A form held to the contract that the server uses, with the same words. Nothing entered is lost
 * when it is refused. The contract is fetched when the form is first sent: pages stay light.
 */
export function useContractForm<Values extends FieldValues, Sent>(options: {
  initial: DefaultValues<Values>;
  contract: () => Promise<Contract<Sent>>;
  /** What is sent, made of what is entered. */
  toSend: (values: Values) => unknown;
  send: (value: Sent) => Promise<unknown>;
  /** The field that a path of the contract stands for, where the two differ. */
  fieldOf?: (path: string) => string;
}): ContractForm<Values> {
  const form = useForm<Values>({
    defaultValues: options.initial,
    // What arrives later than the form fills the fields that nobody has touched.
    values: options.initial as Values,
    resetOptions: { keepDirtyValues: true },
  });
  const [misfits, setMisfits] = useState<readonly Misfit[]>([]);
  const [failure, setFailure] = useState<string | null>(null);

  const refuse = (errors: readonly Misfit[], words: string): void => {
    setMisfits(errors);
    const fieldOf = options.fieldOf ?? ((path) => path);
    const known = errors
      .map(({ path }) => fieldOf(path))
      .find((field) => field in form.getValues());
    if (known === undefined) setFailure(words);
    else form.setFocus(known as Path<Values>);
  };

  const submit = form.handleSubmit(async (values) => {
    setFailure(null);
    setMisfits([]);
    try {
      const checked = (await options.contract()).check(options.toSend(values));
      if (checked.ok) await options.send(checked.value);
      else refuse(checked.errors, checked.errors[0]?.message ?? '');
    } catch (error) {
      if (error instanceof RefusedError) refuse(error.problem.errors, error.message);
      else if (error instanceof Error) setFailure(error.message);
    }
  });

  return {
    form,
    errorOf: (path) => mistakesFor(misfits, path),
    failure,
    submit,
    submitting: form.formState.isSubmitting,
  };
}
