/** What can come of a throw to the base that he dives for; a throw away tags nobody. */
export interface TagAtBase {
  share: number;
  seconds: number;
  sdSeconds: number;
}
