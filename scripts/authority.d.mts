/** Types of authority.mjs, which is plain JavaScript because npm start runs it. */
export interface Certificates {
  authority: string;
  key: string;
  certificate: string;
}
export function ownAddresses(): string[];
export function ensureCertificates(
  folder: string,
  addresses: readonly string[],
  now?: Date,
): Certificates;
