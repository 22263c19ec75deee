import type { Kept } from '@bradyon/contract/kept';
import type { SignBook } from '@bradyon/core/signs';
import type { ReactNode } from 'react';
import { Failure, Loading, useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './Signs.scss';
import { SignTabs } from './SignTabs.tsx';
import { useSigns } from './useSigns.ts';

/** The frame of the rooms of Signs, once the signs are there. */
export function SignPage({
  title,
  children,
}: {
  title: string;
  children: (book: Kept<SignBook>) => ReactNode;
}) {
  useTitle(title);
  const team = useTeam();
  const { book, error, retry } = useSigns(team.id);
  return (
    <>
      <div className="page-head">
        <h1>{title}</h1>
        <SignTabs />
      </div>
      {book ? (
        children(book)
      ) : error ? (
        <Failure error={error} retry={retry} />
      ) : (
        <Loading what="your signs" />
      )}
    </>
  );
}
