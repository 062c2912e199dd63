export {
  flyingWeather,
  matingDays,
  nextRain,
  type Night,
  nights,
  type ScaleDay,
  scaleDays,
  scaleVerdict,
  WEATHER_LIMITS,
  type WorkingWindow,
  workingWindows,
} from './beeWeather.ts';
export { type DayOfWork, dayOfWork, minutesLeft } from './dayOfWork.ts';
export {
  dayOfHour,
  type ScaleHour,
  scaleHour,
  scaleRows,
  type WeatherHour,
  weatherHour,
  weatherRows,
} from './weatherHour.ts';
