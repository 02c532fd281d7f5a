import type { CalendarDay } from '@/core/time/garden-day';
import type { WeatherDay } from '@/core/weather/weather-day';

/** Where a day's weather comes from: a station in the garden, or what stands in for one. */
export interface WeatherStation {
  readonly name: string;
  /** Shown on screen: these are no measured values. */
  readonly isStandIn: boolean;
  /** From one day to another, both included, oldest first. */
  days(from: CalendarDay, to: CalendarDay): Promise<readonly WeatherDay[]>;
}
