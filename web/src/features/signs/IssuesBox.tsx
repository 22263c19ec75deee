import { fixesFor, type SignIssue, type SignSystem } from '@bradyon/core/signs';
import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import { fixWords, issueWords } from './words.ts';

const SHOWN = 3;

/** What is wrong with a system, the worst first, each with what mends it in one tap. */
export function IssuesBox({
  system,
  issues,
  onFix,
}: {
  system: SignSystem;
  issues: readonly SignIssue[];
  onFix: (system: SignSystem) => void;
}) {
  const torn = issues.flatMap(({ code, plays }) => (code === 'TWO_MEANINGS' ? plays : []));
  const sorted = issues
    // What no sequence gives because it shares its touches is said once.
    .filter(({ code, plays }) => code !== 'UNREACHABLE_PLAY' || !torn.includes(plays[0] ?? ''))
    .toSorted((a, b) => Number(a.level === 'warning') - Number(b.level === 'warning'));
  const more = sorted.length - SHOWN;
  if (sorted.length === 0) {
    return (
      <p className="card-box signs-sound" role="status">
        No sequence has two meanings, however long.
      </p>
    );
  }
  return (
    <section className="card-box signs-issues" aria-label="What to fix">
      {sorted.slice(0, SHOWN).map((issue) => (
        <Issue
          key={`${issue.code} ${issue.plays.join('+')} ${issue.touches.join('+')}`}
          issue={issue}
          system={system}
          onFix={onFix}
        />
      ))}
      {more > 0 && <p className="quiet">And {more} more.</p>}
    </section>
  );
}

function Issue({
  issue,
  system,
  onFix,
}: {
  issue: SignIssue;
  system: SignSystem;
  onFix: (system: SignSystem) => void;
}) {
  const fixes = useMemo(() => fixesFor(issue, system), [issue, system]);
  return (
    <div className="signs-issue">
      <h3>
        {issue.code === 'TWO_MEANINGS'
          ? 'One sequence means two things'
          : issue.level === 'error'
            ? 'This cannot work'
            : 'Watch this'}
      </h3>
      <p>{issueWords(issue)}</p>
      <div className="signs-fixes">
        {fixes.map(({ what, system: mended }, index) => (
          <Button
            key={fixWords(what)}
            variant={index === 0 ? 'primary' : 'outline-primary'}
            onClick={() => {
              onFix(mended);
            }}
          >
            {fixWords(what)}
          </Button>
        ))}
      </div>
    </div>
  );
}
