import type { Invite, Member, OpenInvite } from '@bradyon/contract/teams';
import type { InviteId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { UserMinus, UserPlus, X } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { newId, request } from '../../api/index.ts';
import { Failure, Loading, longDate, notify, useTitle } from '../../ui/index.ts';
import './StaffPage.scss';
import { TeamTabs } from './TeamTabs.tsx';
import { useTeam } from './useTeams.ts';

/** Who keeps the times, and how somebody new gets in. */
export function StaffPage() {
  useTitle('Staff');
  const team = useTeam();
  const base = `/api/teams/${team.id}`;
  const members = useQuery({
    queryKey: ['members', team.id],
    queryFn: () => request<Member[]>('GET', `${base}/members`),
  });
  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      <div className="staff">
        <section className="card-box">
          <h2>Staff</h2>
          {members.data ? (
            <MemberList members={members.data} />
          ) : members.error ? (
            <Failure error={members.error} retry={() => void members.refetch()} />
          ) : (
            <Loading what="the staff" />
          )}
        </section>
        {team.role === 'owner' && <Invitations base={base} />}
      </div>
    </>
  );
}

function MemberList({ members }: { members: Member[] }) {
  const team = useTeam();
  const client = useQueryClient();
  const [leaving, setLeaving] = useState<Member | null>(null);
  const remove = useMutation({
    mutationFn: (member: Member) =>
      request('DELETE', `/api/teams/${team.id}/members/${member.accountId}`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['members', team.id] }),
    onError: ({ message }) => {
      notify(message);
    },
    onSettled: () => {
      setLeaving(null);
    },
  });
  return (
    <ul className="staff-list">
      {members.map((member) => (
        <li key={member.accountId}>
          <span>
            <strong>{member.name}</strong>{' '}
            <span className="quiet">{member.role === 'owner' ? 'owner' : 'assistant'}</span>
          </span>
          {team.role === 'owner' && member.role === 'assistant' && (
            <Button
              variant="outline-primary"
              onClick={() => {
                setLeaving(member);
              }}
            >
              <UserMinus size={18} aria-hidden="true" /> Take off
            </Button>
          )}
        </li>
      ))}
      {/* Asked, because it cannot be undone from here: they need a new code to come back. */}
      <Modal
        show={leaving !== null}
        centered
        onHide={() => {
          setLeaving(null);
        }}
      >
        <Modal.Header closeButton>
          <Modal.Title>Take {leaving?.name} off the staff?</Modal.Title>
        </Modal.Header>
        <Modal.Body>Their times stay. To come back they need a new code.</Modal.Body>
        <Modal.Footer>
          <Button
            variant="outline-primary"
            onClick={() => {
              setLeaving(null);
            }}
          >
            Keep
          </Button>
          <Button
            onClick={() => {
              if (leaving) remove.mutate(leaving);
            }}
          >
            Take off
          </Button>
        </Modal.Footer>
      </Modal>
    </ul>
  );
}

function Invitations({ base }: { base: string }) {
  const client = useQueryClient();
  const [fresh, setFresh] = useState<Invite | null>(null);
  const invites = useQuery({
    queryKey: ['invites', base],
    queryFn: () => request<OpenInvite[]>('GET', `${base}/invites`),
  });
  const refresh = () => client.invalidateQueries({ queryKey: ['invites', base] });
  const invite = useMutation({
    mutationFn: () => request<Invite>('POST', `${base}/invites`, { id: newId<InviteId>() }),
    onSuccess: (made) => {
      setFresh(made);
      return refresh();
    },
    onError: ({ message }) => {
      notify(message);
    },
  });
  const withdraw = useMutation({
    mutationFn: (id: InviteId) => request('DELETE', `${base}/invites/${id}`),
    onSuccess: (_nothing, id) => {
      if (fresh?.id === id) setFresh(null);
      return refresh();
    },
    onError: ({ message }) => {
      notify(message);
    },
  });
  return (
    <section className="card-box staff-invites">
      <h2>Invite an assistant</h2>
      <p className="quiet">
        An assistant times and keeps the rosters. Give the code only to people you want on your
        staff; it works for seven days.
      </p>
      {fresh && (
        <div className="staff-code" role="status">
          <strong className="figure">{fresh.code}</strong>
          <span>Write it down or send it now: it is not shown again.</span>
        </div>
      )}
      <Button
        disabled={invite.isPending}
        onClick={() => {
          invite.mutate();
        }}
      >
        <UserPlus size={18} aria-hidden="true" /> {fresh ? 'Make another code' : 'Make a code'}
      </Button>
      {invites.data && invites.data.length > 0 && (
        <ul className="staff-list">
          {invites.data.map(({ id, expiresAt }) => (
            <li key={id}>
              <span>Open until {longDate(expiresAt)}</span>
              <Button
                variant="outline-primary"
                onClick={() => {
                  withdraw.mutate(id);
                }}
              >
                <X size={18} aria-hidden="true" /> Withdraw
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
