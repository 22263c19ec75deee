import QRCode from 'qrcode';
import { useEffect, useState } from 'react';

/** A code that a phone's camera opens. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const [picture, setPicture] = useState<string | null>(null);
  useEffect(() => {
    let isOld = false;
    void QRCode.toString(text, { type: 'svg', margin: 2 }).then((svg) => {
      if (!isOld) setPicture(`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`);
    });
    return () => {
      isOld = true;
    };
  }, [text]);
  return picture && <img src={picture} width="180" height="180" alt={label} />;
}
