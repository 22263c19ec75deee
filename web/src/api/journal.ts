const PREFIX = 'bradyon-write-';
let serial = 0;

/**
 * Writes that wait for the server, kept on the device at once: local storage is written before the
 * next line runs, so that a page closed right after a tap has it. One key a write, in order.
 */
export function keepWrite(key: string, item: object): void {
  serial += 1;
  // The time first, so that the order holds over a reload; the serial for two in one millisecond.
  const order = `${String(Date.now()).padStart(15, '0')}-${String(serial).padStart(6, '0')}`;
  try {
    localStorage.setItem(`${PREFIX}${order}-${key}`, JSON.stringify(item));
  } catch {
    // The device is full or keeps nothing: the write still goes out, it only does not outlive the page.
  }
}

/** The server has it, or has refused it. */
export function forgetWrite(key: string): void {
  for (const name of names()) if (name.endsWith(key)) localStorage.removeItem(name);
}

/** What waits, the oldest first. */
export function keptWrites<Item>(): { key: string; item: Item }[] {
  return names()
    .toSorted()
    .map((name) => ({
      key: name.slice(PREFIX.length + 23),
      item: JSON.parse(localStorage.getItem(name) ?? 'null') as Item,
    }));
}

/** Whoever signs in next does not send what another coach left. */
export function forgetAllWrites(): void {
  for (const name of names()) localStorage.removeItem(name);
}

function names(): string[] {
  return Object.keys(localStorage).filter((name) => name.startsWith(PREFIX));
}
