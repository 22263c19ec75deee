/** A click is one of ours when it comes back within this. */
const LONGEST_SECONDS = 0.4;
/** At least so many have to be heard, and agree so well. */
const CLICKS_HEARD = 4;
const AGREE_SECONDS = 0.006;

/**
 * How late clicks come back; each is matched with the first sound after it.
 * @returns the middle of those that agree, seconds; null when too few do
 */
export function delayOf(heard: readonly number[], played: readonly number[]): number | null {
  const late = played
    .flatMap((at) => {
      const back = heard.find((each) => each > at && each < at + LONGEST_SECONDS);
      return back === undefined ? [] : [back - at];
    })
    .sort((a, b) => a - b);
  const middle = late[Math.floor(late.length / 2)];
  if (middle === undefined) return null;
  const agreeing = late.filter((each) => Math.abs(each - middle) <= AGREE_SECONDS);
  return agreeing.length >= CLICKS_HEARD ? middle : null;
}
