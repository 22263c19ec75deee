/** A thumb's bias and spread against known times. Seconds. */
export interface Calibration {
  biasSeconds: number;
  sdSeconds: number;
  /** The bias lies here with a chance of 80 %. */
  bias80: [low: number, high: number];
  count: number;
}
