/** The air at an hour. */
export interface AirReading {
  /** ms */
  readonly at: number;
  readonly temperature: number;
  /** Share, 0–1. */
  readonly humidity: number;
  /** km/h */
  readonly wind: number;
}

/** The air now, behind and ahead, as the workshop's station tells it. */
export interface AirView {
  readonly station: string;
  readonly now: AirReading;
  readonly past: readonly AirReading[];
  readonly ahead: readonly AirReading[];
}
