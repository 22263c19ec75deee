import { X } from 'lucide-react';
import { useEffect } from 'react';
import { create } from 'zustand';
import './Notices.scss';

interface Notice {
  text: string;
  undo: (() => void) | null;
  /** Tells one notice from the next of the same words. */
  serial: number;
}

const SHOWN_MS = 8000;
const useNotice = create<{ notice: Notice | null }>(() => ({ notice: null }));
let serial = 0;

/** Says something in passing, with a way to undo it where there is one. The newest replaces the one before. */
export function notify(text: string, undo: (() => void) | null = null): void {
  serial += 1;
  useNotice.setState({ notice: { text, undo, serial } });
}

function dismiss(): void {
  useNotice.setState({ notice: null });
}

export function Notices() {
  const notice = useNotice((state) => state.notice);
  useEffect(() => {
    if (!notice) return;
    const timer = setTimeout(dismiss, SHOWN_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [notice]);
  return (
    <div className="notices" role="status">
      {notice && (
        <div className="notice" key={notice.serial}>
          <span>{notice.text}</span>
          {notice.undo && (
            <button
              type="button"
              className="notice-undo"
              onClick={() => {
                notice.undo?.();
                dismiss();
              }}
            >
              Undo
            </button>
          )}
          <button type="button" className="notice-close" aria-label="Dismiss" onClick={dismiss}>
            <X size={18} />
          </button>
        </div>
      )}
    </div>
  );
}
