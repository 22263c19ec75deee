import { IMPORT_ROWS, type Imported } from '@bradyon/contract/timing';
import { matchColumns, unmatched, type Column, type Matching, type Row } from '@bradyon/core/files';
import { useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { FormField } from '../../ui/index.ts';
import { tableFor, type Table } from './csv.ts';

/** What a kind of file needs to be brought in. */
export interface CsvKind<Key extends string, T> {
  columns: readonly Column<Key>[];
  read: (lines: string[][], matching: Matching<Key>) => { rows: Row<T>[]; before?: ReactNode };
  /** What has to be there before the rows. */
  prepare?: (lines: string[][], matching: Matching<Key>) => Promise<void>;
  send: (values: T[]) => Promise<Imported>;
  /** A row in a few words, for the preview. */
  words: (value: T) => string;
  done: () => Promise<void>;
  /** More choices about the file, such as its units. */
  choices?: ReactNode;
  /** How rows are called: "players", "times". */
  noun: string;
}

type Stage =
  | { at: 'choosing'; problem?: string }
  | { at: 'preview' }
  | { at: 'sending'; sent: number; of: number }
  | { at: 'done'; imported: Imported }
  | { at: 'failed'; imported: Imported; message: string };

const SHOWN_GOOD = 4;
const SHOWN_BAD = 50;

/** Rows, from a file or pasted: matched, looked at, and then imported; every bad row with its line and reason. */
export function CsvImport<Key extends string, T>({ kind }: { kind: CsvKind<Key, T> }) {
  const [stage, setStage] = useState<Stage>({ at: 'choosing' });
  const [table, setTable] = useState<Table | null>(null);
  const [pasted, setPasted] = useState('');
  const [matching, setMatching] = useState<Matching<Key> | null>(null);

  const open = (text: string): void => {
    const found = tableFor(kind.columns, text);
    setTable(found);
    setMatching(found && matchColumns(kind.columns, found.headings));
    setStage(
      found
        ? { at: 'preview' }
        : {
            at: 'choosing',
            problem: 'Choose or paste a header row and at least one more row.',
          },
    );
  };

  const openFile = async (file: File | undefined): Promise<void> => {
    if (file) open(await file.text());
  };

  const picker = (
    <>
      <FormField label="CSV file" error={stage.at === 'choosing' ? stage.problem : undefined}>
        {(field) => (
          <Form.Control
            {...field}
            type="file"
            accept=".csv,.txt,text/csv"
            onChange={({ target }) => void openFile((target as HTMLInputElement).files?.[0])}
          />
        )}
      </FormField>
      <FormField
        label="Or paste rows"
        hint="Copy the rows in your spreadsheet and paste them here."
      >
        {(field) => (
          <Form.Control
            {...field}
            as="textarea"
            rows={2}
            value={pasted}
            onChange={({ target }) => {
              setPasted(target.value);
            }}
            onPaste={(event) => {
              const text = event.clipboardData.getData('text');
              event.preventDefault();
              setPasted(text);
              open(text);
            }}
            onBlur={() => {
              if (pasted.trim() !== '' && table === null) open(pasted);
            }}
          />
        )}
      </FormField>
    </>
  );
  if (!table || !matching) return picker;

  const lacking = unmatched(kind.columns, matching);
  const { rows, before } = lacking.length > 0 ? { rows: [] } : kind.read(table.lines, matching);
  const good = rows.flatMap((row) => (row.ok ? [row] : []));
  const fresh = good.filter(({ alreadyThere }) => !alreadyThere).map(({ value }) => value);
  const bad = rows.flatMap((row) =>
    row.ok ? [] : [{ line: table.numbers[row.line - 2] ?? row.line, reasons: row.reasons }],
  );

  const bringIn = async (): Promise<void> => {
    const imported: Imported = { added: 0, alreadyThere: good.length - fresh.length };
    try {
      setStage({ at: 'sending', sent: 0, of: fresh.length });
      await kind.prepare?.(table.lines, matching);
      for (let sent = 0; sent < fresh.length; sent += IMPORT_ROWS) {
        setStage({ at: 'sending', sent, of: fresh.length });
        const answer = await kind.send(fresh.slice(sent, sent + IMPORT_ROWS));
        imported.added += answer.added;
        imported.alreadyThere += answer.alreadyThere;
      }
      await kind.done();
      setStage({ at: 'done', imported });
    } catch (error) {
      const message = error instanceof Error ? error.message : 'The rest was not imported.';
      setStage({ at: 'failed', imported, message });
    }
  };

  return (
    <>
      {picker}
      <fieldset className="csv-columns">
        <legend>Match the columns</legend>
        {kind.columns.map(({ key, title, needed }) => (
          <FormField
            key={key}
            label={needed ? title : `${title}, if there is one`}
            error={needed && matching[key] === null ? 'Choose the column.' : undefined}
          >
            {(field) => (
              <Form.Select
                {...field}
                value={matching[key] ?? ''}
                onChange={({ target }) => {
                  const index = target.value === '' ? null : Number(target.value);
                  setMatching({ ...matching, [key]: index });
                  setStage({ at: 'preview' });
                }}
              >
                <option value="">not in the file</option>
                {table.headings.map((heading, index) => (
                  <option key={`${String(index)} ${heading}`} value={index}>
                    {heading || `column ${String(index + 1)}`}
                  </option>
                ))}
              </Form.Select>
            )}
          </FormField>
        ))}
      </fieldset>
      {kind.choices}
      {lacking.length > 0 ? (
        <p role="status">Choose which column holds: {lacking.join(', ')}.</p>
      ) : (
        <div role="status" className="csv-preview">
          <p>
            <strong>{fresh.length}</strong> new {kind.noun},{' '}
            <strong>{good.length - fresh.length}</strong> already here,{' '}
            <strong>{bad.length}</strong> bad {bad.length === 1 ? 'row' : 'rows'}.
          </p>
          {before}
          <ul>
            {fresh.slice(0, SHOWN_GOOD).map((value, index) => (
              <li key={index}>{kind.words(value)}</li>
            ))}
            {fresh.length > SHOWN_GOOD && (
              <li className="quiet">and {fresh.length - SHOWN_GOOD} more</li>
            )}
          </ul>
          {bad.length > 0 && (
            <details open>
              <summary>These rows have problems and will be skipped</summary>
              <ul className="csv-bad">
                {bad.slice(0, SHOWN_BAD).map(({ line, reasons }) => (
                  <li key={line}>
                    <strong>Line {line}</strong> {reasons.join(' ')}
                  </li>
                ))}
                {bad.length > SHOWN_BAD && (
                  <li className="quiet">and {bad.length - SHOWN_BAD} more</li>
                )}
              </ul>
            </details>
          )}
        </div>
      )}
      {stage.at === 'sending' && (
        <progress
          className="csv-progress"
          value={stage.sent}
          max={stage.of}
          aria-label="Importing"
        />
      )}
      {stage.at === 'done' && (
        <p role="status" className="csv-done">
          {stage.imported.added} {kind.noun} imported, {stage.imported.alreadyThere} were already
          here
          {bad.length > 0 ? `, ${String(bad.length)} rows skipped` : ''}.
        </p>
      )}
      {stage.at === 'failed' && (
        <p role="alert" className="form-failure">
          {stage.message} {stage.imported.added} were imported. It is safe to import the file again.
        </p>
      )}
      {stage.at !== 'done' && (
        <Button
          disabled={fresh.length === 0 || stage.at === 'sending'}
          onClick={() => void bringIn()}
        >
          Import {fresh.length} {kind.noun}
        </Button>
      )}
    </>
  );
}
