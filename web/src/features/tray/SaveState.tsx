import { onlineManager } from '@tanstack/react-query';
import { CircleAlert, CloudOff } from 'lucide-react';
import { useState, useSyncExternalStore } from 'react';
import { useOutbox } from '../../api/index.ts';
import './Tray.scss';
import { savingWords } from './saving.ts';
import { TrayDialog } from './TrayDialog.tsx';

/** Whether everything tapped is with the server, and the way to what it refused. */
export function SaveState() {
  const { waiting, tray, others, unkept, isFull, trouble } = useOutbox();
  const [isOpen, setIsOpen] = useState(false);
  const isOnline = useSyncExternalStore(
    (changed) => onlineManager.subscribe(changed),
    () => onlineManager.isOnline(),
  );
  const isAway = !isOnline || trouble !== null;
  return (
    <div className="strip-saved">
      <p role="status" title={trouble ?? undefined}>
        {isAway && <CloudOff size={16} aria-hidden="true" />}
        {savingWords({ waiting, unkept, isFull, isOnline, trouble, inTray: tray.length })}
      </p>
      {tray.length + others.length > 0 && (
        <button
          type="button"
          className={tray.length > 0 ? 'strip-button tray-open' : 'strip-button'}
          onClick={() => {
            setIsOpen(true);
          }}
        >
          <CircleAlert size={18} aria-hidden="true" />
          {tray.length > 0 ? `${String(tray.length)} not saved` : 'Waiting'}
        </button>
      )}
      {isOpen && (
        <TrayDialog
          entries={tray}
          others={others}
          onClose={() => {
            setIsOpen(false);
          }}
        />
      )}
    </div>
  );
}
