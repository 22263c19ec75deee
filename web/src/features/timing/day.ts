/** The local day of an instant, such as '2031-05-01'. */
export function dayOf(instant: string | number): string {
  const at = new Date(instant);
  const two = (figure: number): string => String(figure).padStart(2, '0');
  return `${String(at.getFullYear())}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
