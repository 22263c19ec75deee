/** Empty is none; a comma is as good as a point. What is no number is sent as it is and refused with its reason. */
export function figure(typed: string): number | string | null {
  const plain = typed.trim().replace(',', '.');
  if (plain === '') return null;
  return Number.isNaN(Number(plain)) ? typed : Number(plain);
}
